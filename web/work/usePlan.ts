import type { Outline } from '../../core/outline';
import type { Mend } from '../../core/mends';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Cover } from '../../core/garden/garden';
import { outline } from '../../core/plan';
import type { Result } from '../../core/base/result';
import type { BestSoFar, PlanWork } from './plan.worker';
import { lookForMends, stopWork, workOut } from './planClient';
import { useGarden } from '../app/hooks';

export interface WorkState {
  /** The last finished work; it may belong to the design a moment ago while `busy`. */
  readonly work: PlanWork | undefined;
  readonly busy: boolean;
  /** Busy long enough to say so. */
  readonly slow: boolean;
  readonly problem: string | undefined;
  /** How far slow work has come, in sections. */
  readonly progress: Pick<BestSoFar<PlanWork>, 'solved' | 'sections'> | undefined;
  /** Stopped by the gardener: the work is the best that was found until then. */
  readonly stopped: boolean;
  readonly stop: () => void;
}

/** The outline of a cover, worked out at once. */
export function useOutline(cover: Cover | undefined): Result<Outline> | undefined {
  const garden = useGarden();
  return useMemo(() => cover && outline(garden, cover), [garden, cover]);
}

const SLOW_MS = 300;
const PAUSE_MS = 30;
/** Covers already worked out, by garden and cover, so that walking between places shows them at once. */
const finished = new WeakMap<object, Map<string, Result<PlanWork>>>();

/** Mends of a cover, looked for in the background once its price is known. */
export function useMends(cover: Cover | undefined, work: PlanWork | undefined): readonly Mend[] | undefined {
  const garden = useGarden();
  const [found, setFound] = useState<{ readonly work: PlanWork; readonly mends: readonly Mend[] }>();
  useEffect(() => {
    if (!cover || !work) return;
    let current = true;
    lookForMends(garden, cover).then(
      (mends) => {
        if (current) setFound({ work, mends });
      },
      () => undefined,
    );
    return () => {
      current = false;
    };
    // Work is new whenever the garden or the cover is.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- see above
  }, [work]);
  return found !== undefined && found.work === work ? found.mends : undefined;
}

const IDLE: Omit<WorkState, 'stop'> = {
  work: undefined,
  busy: false,
  slow: false,
  problem: undefined,
  progress: undefined,
  stopped: false,
};

/** Cuts and list of a cover, worked out in the background; only the latest design counts. */
export function useWork(cover: Cover | undefined): WorkState {
  const garden = useGarden();
  const [state, setState] = useState<Omit<WorkState, 'stop'>>(IDLE);
  const best = useRef<PlanWork>(undefined);
  const asked = useRef(0);
  const answersKey = cover && JSON.stringify(cover);

  useEffect(() => {
    if (!cover || answersKey === undefined) return;
    const turn = ++asked.current;
    const known = finished.get(garden) ?? new Map<string, Result<PlanWork>>();
    finished.set(garden, known);
    const show = (result: Result<PlanWork>): void =>
      setState({
        ...IDLE,
        work: result.ok ? result.value : undefined,
        problem: result.ok ? undefined : result.faults[0]?.message,
      });
    const before = known.get(answersKey);
    const begin = (): void => {
      best.current = undefined;
      setState((s) => ({ ...s, busy: true, progress: undefined, stopped: false }));
      const hear = ({ work, ...progress }: BestSoFar<PlanWork>): void => {
        if (asked.current !== turn) return;
        best.current = work;
        setState((s) => ({ ...s, progress }));
      };
      workOut(garden, cover, hear).then(
        (result) => {
          known.set(answersKey, result);
          if (asked.current === turn) show(result);
        },
        () => {
          if (asked.current === turn)
            setState({
              ...IDLE,
              problem: 'The cut list could not be worked out. Change something and it is tried again.',
            });
        },
      );
    };
    // After the redraw, and once for a run of quick edits.
    const timers = before
      ? [setTimeout(() => show(before), 0)]
      : [setTimeout(begin, PAUSE_MS), setTimeout(() => setState((s) => ({ ...s, slow: s.busy })), SLOW_MS)];
    return () => timers.forEach(clearTimeout);
    // The key stands for the cover.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- answersKey changes exactly when the cover does
  }, [garden, answersKey]);

  const stop = useCallback(() => {
    asked.current++;
    stopWork();
    const work = best.current;
    setState({
      ...IDLE,
      stopped: true,
      work,
      problem: work ? undefined : 'Stopped. Change something and it is worked out again.',
    });
  }, []);
  return { ...state, stop };
}
