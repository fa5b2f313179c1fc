import type { Mend } from '../../core/mends';
import { type Remote, proxy, wrap } from 'comlink';
import type { Cover, Garden } from '../../core/garden/garden';
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

/** Works a cover out in the background. */
export function workOut(garden: Garden, cover: Cover, onBest: OnBest<PlanWork>): Promise<Result<PlanWork>> {
  return ask<Result<PlanWork>>((s) => s.work(garden, cover, proxy(onBest)));
}

/** Looks for mends in the background. */
export function lookForMends(garden: Garden, cover: Cover): Promise<readonly Mend[]> {
  return ask((s) => s.mends(garden, cover));
}

/** Compares every kind of cover on a bed in the background. */
export function compareKinds(garden: Garden, bedId: string, cropKey: string): Promise<readonly Shown[]> {
  return ask((s) => s.compare(garden, bedId, cropKey));
}

/** Cuts and buys several covers as one in the background. */
export function planAllTogether(
  garden: Garden,
  ids: readonly string[],
  onBest: OnBest<Together>,
): Promise<Result<Together>> {
  return ask<Result<Together>>((s) => s.together(garden, ids, proxy(onBest)));
}

/** Works versions of a cover out in the background. */
export function workOutVersions(garden: Garden, cover: Cover): Promise<readonly ShownVersion[]> {
  return ask((s) => s.versions(garden, cover));
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
  waiting.forEach((refuse) => refuse(new Error('stopped')));
  waiting.clear();
}
