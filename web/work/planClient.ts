import type { Mend } from '../../core/mends';
import { type Remote, proxy, wrap } from 'comlink';
import type { Cover, Garden } from '../../core/garden/garden';
import type { Result } from '../../core/base/result';
import type { Together } from '../../core/together';
import type { OnBest, PlanService, PlanWork, Shown, ShownVersion } from './plan.worker';

let worker: Worker | undefined;
let remote: Remote<PlanService> | undefined;

function service(): Remote<PlanService> {
  if (!remote) {
    worker = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });
    remote = wrap<PlanService>(worker);
  }
  return remote;
}

/** Works a cover out in the background. */
export function workOut(garden: Garden, cover: Cover, onBest: OnBest<PlanWork>): Promise<Result<PlanWork>> {
  return service().work(garden, cover, proxy(onBest));
}

/** Looks for mends in the background. */
export function lookForMends(garden: Garden, cover: Cover): Promise<readonly Mend[]> {
  return service().mends(garden, cover);
}

/** Compares every kind of cover on a bed in the background. */
export function compareKinds(garden: Garden, bedId: string, cropKey: string): Promise<readonly Shown[]> {
  return service().compare(garden, bedId, cropKey);
}

/** Cuts and buys several covers as one in the background. */
export function planAllTogether(
  garden: Garden,
  ids: readonly string[],
  onBest: OnBest<Together>,
): Promise<Result<Together>> {
  return service().together(garden, ids, proxy(onBest));
}

/** Works versions of a cover out in the background. */
export function workOutVersions(garden: Garden, cover: Cover): Promise<readonly ShownVersion[]> {
  return service().versions(garden, cover);
}

/** Starts the worker and its solver before they are needed. */
export function warmUp(): void {
  void service().warmUp();
}

/** Ends work that takes too long; the next call starts afresh. */
export function stopWork(): void {
  worker?.terminate();
  worker = undefined;
  remote = undefined;
}
