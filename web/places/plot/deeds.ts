/** What is done to beds, covers and landmarks on the plot, and what is said of it. */
import { useMemo } from 'react';
import type { Result } from '../../../core/base/result';
import type { ThingKind } from '../../../core/commands/change';
import { moveCover, setCoverState } from '../../../core/commands/covers';
import {
  addBed,
  addLandmark,
  copyBed,
  copyCover,
  copyLandmark,
  layOnPlot,
  moveInList,
  removeThing,
  rename,
} from '../../../core/commands/things';
import type { Cover, CoverState, Garden } from '../../../core/garden/garden';
import type { LandmarkKind } from '../../../core/site/landmark';
import type { PlanPoint } from '../../../core/site/survey';
import { useAppDispatch, useGarden, useRun } from '../../app/hooks';
import { newId } from '../../app/names';
import { noticeShown } from '../../app/state';
import type { Laying, Thing } from './useLying';

/** Deeds on the open garden. */
export function usePlotDeeds() {
  const garden = useGarden();
  const run = useRun();
  const dispatch = useAppDispatch();
  return useMemo(() => deedsOf(garden, run, (words) => dispatch(noticeShown(words))), [garden, run, dispatch]);
}
export type Deeds = ReturnType<typeof usePlotDeeds>;

/** What can be done to a garden, by the way that commands are carried out. */
export function deedsOf(garden: Garden, run: ReturnType<typeof useRun>, say: (words: string) => void) {
  /** Says why something could not be done. */
  const told = <T>(made: Result<T>): Result<T> => {
    if (!made.ok) say(made.faults[0]?.message ?? '');
    return made;
  };
  /** Makes something new, and gives its id; none where it could not be made. */
  const fresh = (make: (id: string) => Result<unknown>): string => {
    const id = newId();
    return told(make(id)).ok ? id : '';
  };
  return {
    rename: (kind: ThingKind, id: string, name: string) => run((g) => rename(g, kind, id, name)),
    lay: (how: Laying, thing: Thing) => run((g) => layOnPlot(g, how, thing)),
    addBed: (drawn?: { readonly at: PlanPoint; readonly lengthMm: number; readonly widthMm: number }): string =>
      fresh((id) => run((g) => addBed(g, id, drawn))),
    addLandmark: (kind: LandmarkKind): string => fresh((id) => run((g) => addLandmark(g, kind, id))),
    copyBed: (of: string, withCovers: boolean): string =>
      fresh((id) => run((g) => copyBed(g, of, id, withCovers ? newId : undefined))),
    copyCover: (of: string): string => fresh((id) => run((g) => copyCover(g, of, id))),
    copyLandmark: (of: string): string => fresh((id) => run((g) => copyLandmark(g, of, id))),

    takeAway: (kind: ThingKind, thing: { readonly id: string; readonly name: string }): void => {
      const covers = kind === 'bed' ? garden.covers.filter((c) => c.bedId === thing.id).length : 0;
      const also = covers === 0 ? '' : ` with ${covers === 1 ? 'its cover' : `its ${covers} covers`}`;
      if (told(run((g) => removeThing(g, kind, thing.id))).ok)
        say(`${thing.name} is taken away${also}. Undo brings it back.`);
    },

    /** One place up or down in its list. */
    order: (kind: 'bed' | 'cover', id: string, by: -1 | 1) => void run((g) => moveInList(g, kind, id, by)),
    setState: (id: string, state: CoverState) => void run((g) => setCoverState(g, id, state)),

    /** A cover to another bed; what could not follow is said. */
    moveCover: (cover: Cover, bedId: string): void => {
      const moved = told(run((g) => moveCover(g, cover.id, bedId)));
      if (!moved.ok) return;
      const { altered } = moved.value;
      const bed = garden.beds.find((b) => b.id === bedId)?.name ?? '';
      say(
        altered.length === 0
          ? `${cover.name} is on ${bed} now, all as it was.`
          : `${cover.name} is on ${bed} now. To fit, these were changed: ${altered.join(', ').toLowerCase()}.`,
      );
    },
  };
}
