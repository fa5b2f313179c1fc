/** The way to the search's own worker. */
import { type Remote, proxy, wrap } from 'comlink';
import type { Result } from '../../core/base/result';
import type { WishCost } from '../../core/brief/costs';
import type { WhyNot } from '../../core/brief/whyNot';
import type { Cover, Garden } from '../../core/garden/garden';
import type { Brief } from '../../core/site/brief';
import type { OnFound, SearchService, ShownFound } from './search.worker';

let worker: Worker | undefined;
let remote: Remote<SearchService> | undefined;
const waiting = new Set<(why: Error) => void>();

function service(): Remote<SearchService> {
  if (!remote) {
    worker = new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' });
    worker.onerror = () => stopSearch('its part of Cabanon did not start, or broke');
    worker.onmessageerror = () => stopSearch('its answer could not be read');
    remote = wrap<SearchService>(worker);
  }
  return remote;
}

/** Ends what is being searched; what has been told of it stays. */
export function stopSearch(why = 'it was stopped'): void {
  worker?.terminate();
  worker = undefined;
  remote = undefined;
  for (const refuse of waiting) refuse(new Error(why));
  waiting.clear();
}

function ask<T>(of: (service: Remote<SearchService>) => Promise<T>): Promise<T> {
  return new Promise((take, refuse) => {
    waiting.add(refuse);
    of(service())
      .then(take, refuse)
      .finally(() => waiting.delete(refuse));
  });
}

/** Searches every kind of cover for a brief. */
export const findIn = (garden: Garden, bedId: string, brief: Brief, hear: OnFound): Promise<Result<ShownFound>> =>
  ask((s) => s.find(garden, bedId, brief, proxy(hear)) as Promise<Result<ShownFound>>);

/** What the wishes of the last brief cost beside one of its designs. */
export const costsIn = (
  offerId: string,
  hear: (costs: readonly WishCost[]) => void,
): Promise<Result<readonly WishCost[]>> =>
  ask((s) => s.costs(offerId, proxy(hear)) as Promise<Result<readonly WishCost[]>>);

/** A design of the gardener's own held against another. */
export const whyNotIn = (
  garden: Garden,
  bedId: string,
  brief: Brief,
  own: Cover,
  other: Cover,
): Promise<Result<WhyNot>> => ask((s) => s.whyNot(garden, bedId, brief, own, other) as Promise<Result<WhyNot>>);
