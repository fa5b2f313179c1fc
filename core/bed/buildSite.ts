import type { Bed } from './bed';
import type { Survey } from './survey';

/** The bed a cover stands on, and what the place asks of it. */
export interface BuildSite {
  readonly bed: Bed;
  readonly survey: Survey;
  readonly windy: boolean;
}
