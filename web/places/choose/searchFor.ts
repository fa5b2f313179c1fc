import type { Garden } from '../../../core/garden/garden';
import type { Brief } from '../../../core/site/brief';

/** What is searched for: of the garden as it was then. Edits afterwards do not start it anew. */
export interface SearchFor {
  readonly garden: Garden;
  readonly bedId: string;
  readonly brief: Brief;
}
