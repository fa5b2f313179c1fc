import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { type Fault, type Result, messageOf } from '../../core/base/result';
import type { Garden } from '../../core/garden/garden';
import { lookForNewer, quiet } from '../app/appUpdate';
import { useGarden } from '../app/hooks';
import type { BestSoFar, OnBest } from './plan.worker';
import { stopWork } from './planClient';

/** Work in the background, as a screen sees it. */
export interface Job<T> {
  /** Failed: the call itself broke, and can be tried again. */
  readonly state: 'idle' | 'pending' | 'done' | 'failed' | 'stopped';
  /** What came of it; while pending, what there was a moment ago; when stopped, the best until then. */
  readonly value: T | undefined;
  /** Why there is none. */
  readonly faults: readonly Fault[];
  /** Pending long enough to say so. */
  readonly slow: boolean;
  /** How far slow work has come. */
  readonly progress: BestSoFar<T> | undefined;
  readonly retry: () => void;
  readonly stop: () => void;
}

type State<T> = Omit<Job<T>, 'retry' | 'stop'> & {
  readonly garden: Garden | undefined;
  readonly of: string | undefined;
};

const IDLE = { state: 'idle', faults: [], slow: false, progress: undefined } as const;
const SLOW_MS = 300;
/** After the redraw; and after an edit long enough that quick ones are not worked out each while the hand needs the machine. */
const PAUSE_MS = 30;
const PAUSE_EDITED_MS = 150;

/** What was already worked out, by garden and by what was asked, so that walking between places shows it at once. */
const finished = new WeakMap<Garden, Map<string, unknown>>();

function finishedOf<T>(garden: Garden): Map<string, Result<T>> {
  const known = (finished.get(garden) ?? new Map<string, unknown>()) as Map<string, Result<T>>;
  finished.set(garden, known);
  return known;
}

/**
 * One call in the background for the open garden; asked again when either changes, and only the latest counts.
 * @param input what is asked beside the garden; nothing is asked while it is undefined
 * @param halt ends the work where it is stopped
 */
export function useJob<I, T>(
  kind: string,
  input: I | undefined,
  run: (garden: Garden, input: I, hear: OnBest<T>) => Promise<Result<T>>,
  halt: () => void = stopWork,
): Job<T> {
  const of = input === undefined ? undefined : `${kind} ${JSON.stringify(input)}`;
  // What is edited is drawn first.
  const garden = useDeferredValue(useGarden());
  const [now, setNow] = useState<State<T>>({ ...IDLE, value: undefined, garden: undefined, of: undefined });
  const [again, setAgain] = useState(0);
  /** Overtakes the call that counts now. */
  const overtake = useRef(() => {});
  const running = useRef<Promise<unknown>>(undefined);
  const designConditions = useRef(garden);
  const best = useRef<T>(undefined);
  const call = useRef({ input, run });
  useEffect(() => {
    call.current = { input, run };
  });

  useEffect(() => {
    if (of === undefined) return;
    let current = true;
    const leave = (): void => {
      current = false;
    };
    overtake.current = leave;
    const known = finishedOf<T>(garden);
    const show = (result: Result<T>): void =>
      setNow({
        ...IDLE,
        state: 'done',
        value: result.ok ? result.value : undefined,
        faults: result.ok ? [] : result.faults,
        garden,
        of,
      });
    const begin = async (): Promise<void> => {
      setNow((s) => ({ ...IDLE, state: 'pending', value: s.value, garden, of }));
      best.current = undefined;
      // What was overtaken ends first, and of all that waited only the latest goes on.
      await running.current;
      if (!current) return;
      const hear = (progress: BestSoFar<T>): void => {
        if (!current) return;
        best.current = progress.work;
        setNow((s) => ({ ...s, progress }));
      };
      const { input, run } = call.current;
      if (input === undefined) return;
      const asked = run(garden, input, hear);
      running.current = asked.catch(() => undefined);
      try {
        const result = await asked;
        known.set(of, result);
        if (current) show(result);
      } catch (why) {
        // The worker's own part may be gone with an older build.
        void lookForNewer().then(quiet);
        const faults = [{ field: kind, message: messageOf(why) }];
        if (current) setNow({ ...IDLE, state: 'failed', faults, value: undefined, garden, of });
      }
    };
    const before = known.get(of);
    const pause = designConditions.current === garden ? PAUSE_MS : PAUSE_EDITED_MS;
    designConditions.current = garden;
    const timers = before
      ? [setTimeout(() => show(before), 0)]
      : [
          setTimeout(() => void begin(), pause),
          setTimeout(() => setNow((s) => ({ ...s, slow: s.state === 'pending' })), SLOW_MS),
        ];
    return () => {
      leave();
      timers.forEach(clearTimeout);
    };
  }, [garden, kind, of, again]);

  const stop = useCallback(() => {
    overtake.current();
    halt();
    setNow((s) => ({ ...s, ...IDLE, state: 'stopped', value: best.current }));
  }, [halt]);
  const retry = useCallback(() => setAgain((n) => n + 1), []);
  const fresh = now.garden === garden && now.of === of;
  const state = of === undefined ? 'idle' : fresh ? now.state : 'pending';
  return useMemo(() => ({ ...now, state, retry, stop }), [now, state, retry, stop]);
}
