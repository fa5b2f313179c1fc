import type { Mend } from '../../core/mends';
import { type Remote, proxy, wrap } from 'comlink';
import { changesOf } from '../../core/garden/changes';
import type { Garden } from '../../core/garden/garden';
import type { Result } from '../../core/base/result';
import type { Together } from '../../core/together';
import type { OnBest, PlanService, PlanWork, Shown, ShownVersion } from './plan.worker';

let worker: Worker | undefined;
let remote: Remote<PlanService> | undefined;
/** Calls without an answer yet: what to tell each when there will be none. */
const waiting = new Set<(why: Error) => void>();

function service(): Remote<PlanService> {
  if (!remote) {
    worker = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });
    worker.onerror = () => stopWork();
    worker.onmessageerror = () => stopWork();
    remote = wrap<PlanService>(worker);
  }
  return remote;
}

/** Asks the worker; refused when the worker breaks or is stopped, which the worker itself cannot say. */
function ask<T>(of: (service: Remote<PlanService>) => Promise<T>): Promise<T> {
  return new Promise((take, refuse) => {
    waiting.add(refuse);
    of(service())
      .then(take, refuse)
      .finally(() => waiting.delete(refuse));
  });
}

/** The garden that the worker has. */
let sent: Garden | undefined;

/** Asks about a garden: what the worker does not have of it goes ahead of the question. */
function askOf<T>(garden: Garden, of: (service: Remote<PlanService>) => Promise<T>): Promise<T> {
  return ask((s) => {
    const before = sent;
    sent = garden;
    const told = before === garden ? undefined : before ? s.change(changesOf(before, garden)) : s.open(garden);
    // Messages arrive in order: the question need not wait for the answer to what goes ahead of it.
    return Promise.all([of(s), told]).then(([answer]) => answer);
  });
}

/** Works a cover out in the background. */
export function workOut(garden: Garden, coverId: string, onBest: OnBest<PlanWork>): Promise<Result<PlanWork>> {
  return askOf<Result<PlanWork>>(garden, (s) => s.work(coverId, proxy(onBest)));
}

/** Looks for mends in the background. */
export function lookForMends(garden: Garden, coverId: string): Promise<readonly Mend[]> {
  return askOf(garden, (s) => s.mends(coverId));
}

/** Compares every kind of cover on a bed in the background. */
export function compareKinds(garden: Garden, bedId: string, cropKey: string): Promise<readonly Shown[]> {
  return askOf(garden, (s) => s.compare(bedId, cropKey));
}

/** Cuts and buys several covers as one in the background. */
export function planAllTogether(
  garden: Garden,
  ids: readonly string[],
  onBest: OnBest<Together>,
): Promise<Result<Together>> {
  return askOf<Result<Together>>(garden, (s) => s.together(ids, proxy(onBest)));
}

/** Works versions of a cover out in the background. */
export function workOutVersions(garden: Garden, coverId: string): Promise<readonly ShownVersion[]> {
  return askOf(garden, (s) => s.versions(coverId));
}

/** Starts the worker and its solver before they are needed. */
export function warmUp(): void {
  // A call that needs the solver says what is wrong with it.
  ask((s) => s.warmUp()).catch(() => undefined);
}

/** Ends all work; the next call starts afresh. */
export function stopWork(): void {
  worker?.terminate();
  worker = undefined;
  remote = undefined;
  sent = undefined;
  waiting.forEach((refuse) => refuse(new Error('stopped')));
  waiting.clear();
}
