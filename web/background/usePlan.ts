import type { Fix } from '../../core/explore/fixes';
import type { OptionCost } from '../../core/explore/options';
import type { Cover } from '../../core/garden/garden';
import { ok } from '../../core/base/result';
import type { PlanWork } from './plan.worker';
import { lookForMends, priceOptions, workOut } from './planClient';
import { type Job, useJob } from './useJob';

/** Cuts and list of a cover. */
export function useWork(cover: Cover | undefined): Job<PlanWork> {
  return useJob('work', cover?.id, workOut);
}

/** Mends of a cover. */
export function useMends(cover: Cover | undefined): Job<readonly Fix[]> {
  return useJob('mends', cover?.id, (garden, c) => lookForMends(garden, c).then(ok));
}

/** What the options of a question cost beside what is chosen. */
export function useOptions(cover: Cover, questionId: string | undefined): Job<readonly OptionCost[]> {
  return useJob(
    'options',
    questionId === undefined ? undefined : ([cover.id, questionId] as const),
    (garden, [id, question]) => priceOptions(garden, id, question).then(ok),
  );
}
