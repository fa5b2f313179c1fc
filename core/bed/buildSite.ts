import type { Bed } from './bed';
import type { Market } from '../catalog/market';
import type { Survey } from './survey';

/** The bed a cover stands on, and what the place asks of it. */
export interface BuildSite {
  readonly bed: Bed;
  readonly survey: Survey;
  readonly windy: boolean;
  /** Stock of the shops here. */
  readonly market: Market;
}
