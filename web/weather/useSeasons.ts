import { useMemo } from 'react';
import { seasonOfCover } from '../../core/air';
import { evaluate } from '../../core/evaluate';
import { type Cover, isInUse } from '../../core/garden/garden';
import type { Task } from '../../core/judge/season/calendar';
import type { Outline } from '../../core/outline';
import { useGarden } from '../app/hooks';

/** A cover and its calendar. */
export interface SeasonOf {
  readonly cover: Cover;
  readonly outline: Outline;
  readonly tasks: readonly Task[];
}

/** Calendars of all covers of the open garden that are in use, for twelve months from a date. */
export function useSeasons(from: string): readonly SeasonOf[] {
  const garden = useGarden();
  return useMemo(
    () =>
      garden.covers.flatMap((cover): readonly SeasonOf[] => {
        if (!isInUse(cover)) return [];
        const o = evaluate(garden, cover);
        return o.ok ? [{ cover, outline: o.value, tasks: seasonOfCover(o.value, from) }] : [];
      }),
    [garden, from],
  );
}
