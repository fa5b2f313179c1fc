import type { Fix } from '../../core/explore/fixes';
import type { OptionCost } from '../../core/explore/options';
import type { Cover } from '../../core/garden/garden';
import type { PlanWork } from './jobs';
import { type Job, useJob } from './useJob';

/** Cuts and list of a cover. */
export const useWork = (cover: Cover | undefined): Job<PlanWork> => useJob('work', cover?.id);

/** Mends of a cover. */
export const useMends = (cover: Cover | undefined): Job<readonly Fix[]> => useJob('mends', cover?.id);

/** What the options of a question cost beside what is chosen. */
export const useOptions = (cover: Cover, questionId: string | undefined): Job<readonly OptionCost[]> =>
  useJob('options', questionId === undefined ? undefined : { coverId: cover.id, questionId });
