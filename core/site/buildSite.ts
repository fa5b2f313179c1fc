import { type Catalog, section } from '../catalog/catalog';
import { type Market, stockFor } from '../catalog/market';
import type { Section } from '../catalog/types';
import type { Bed } from './bed';
import type { Survey } from './survey';

/** The bed a cover stands on, what the place asks of it, and what can be bought for it. */
export interface BuildSite {
  readonly bed: Bed;
  readonly survey: Survey;
  readonly windy: boolean;
  /** Stock of the shops here. */
  readonly market: Market;
  readonly catalog: Catalog;
}

/** A section as the shops here sell it: the metric board or pipe that does the work of a North American one. */
export function stock(site: Pick<BuildSite, 'market' | 'catalog'>, key: string): Section {
  return section(site.catalog, stockFor(site.market, key));
}
