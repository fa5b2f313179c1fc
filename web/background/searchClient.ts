/** The way to the search's own worker. */
import { proxy } from 'comlink';
import type { Result } from '../../core/base/result';
import type { WishCost } from '../../core/explore/brief/costs';
import type { ComparisonAnswer } from '../../core/explore/brief/compareDesigns';
import type { Cover, Garden } from '../../core/garden/garden';
import type { Brief } from '../../core/site/brief';
import { remoteWork } from './remote';
import type { SearchService, ShownFound } from './search.worker';

const { ask, stop } = remoteWork<SearchService>(
  () => new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }),
);

/** Ends what is being searched; what has been told of it stays. */
export const stopSearch = (): void => stop();

/** Searches every kind of cover for a brief. */
export const findIn = (
  garden: Garden,
  bedId: string,
  brief: Brief,
  hear: (found: ShownFound) => void,
): Promise<Result<ShownFound>> =>
  ask((s, alive) => {
    const told = proxy((found: ShownFound | undefined) => {
      alive();
      if (found) hear(found);
    });
    return s.find(garden, bedId, brief, told) as Promise<Result<ShownFound>>;
  });

/** What the wishes of the last brief cost beside one of its designs. */
export const costsIn = (
  offerId: string,
  hear: (costs: readonly WishCost[]) => void,
): Promise<Result<readonly WishCost[]>> =>
  ask((s, alive) => {
    const told = proxy((costs: readonly WishCost[]) => {
      alive();
      hear(costs);
    });
    return s.costs(offerId, told) as Promise<Result<readonly WishCost[]>>;
  });

/** A design of the gardener's own held against another. */
export const whyNotIn = (
  garden: Garden,
  bedId: string,
  brief: Brief,
  own: Cover,
  other: Cover,
): Promise<Result<ComparisonAnswer>> =>
  ask((s) => s.whyNot(garden, bedId, brief, own, other) as Promise<Result<ComparisonAnswer>>);
