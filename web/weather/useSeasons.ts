import { useMemo } from 'react';
import { type Cover, isInUse } from '../../core/garden/garden';
import type { Task } from '../../core/judge/season/calendar';
import { useGarden } from '../app/hooks';
import { type Job, useJob } from '../background/useJob';

/** A cover and its calendar. */
export interface SeasonOf {
  readonly cover: Cover;
  /** Its own cover material, by key. */
  readonly wears: string;
  readonly tasks: readonly Task[];
}

/** Calendars of all covers of the open garden that are in use, for twelve months from a date, laid out in the background. */
export function useSeasons(from: string): Job<readonly SeasonOf[]> {
  const garden = useGarden();
  const { covers } = garden;
  const ids = useMemo(() => covers.filter(isInUse).map((c) => c.id), [covers]);
  const job = useJob('seasons', { coverIds: ids, from });
  const { value: found } = job;
  const value = useMemo(
    () =>
      found?.flatMap(({ coverId, ...season }): readonly SeasonOf[] => {
        const cover = covers.find((c) => c.id === coverId);
        return cover ? [{ cover, ...season }] : [];
      }),
    [found, covers],
  );
  return { ...job, value, progress: undefined };
}
