import { skipToken } from '@reduxjs/toolkit/query';
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import type { Fault, Result } from '../../core/base/result';
import type { Garden } from '../../core/garden/garden';
import type { Weather } from '../../core/judge/weather/weather';
import { useApp, useAppDispatch, useGarden } from '../app/hooks';
import type { BestSoFar } from './given';
import type { JobAnswer, JobInput, JobKind } from './jobs';
import { type JobError, awaitJob, jobKey, jobsApi, stopJob } from './jobsApi';

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

const SLOW_MS = 300;
/** After the redraw; and after an edit long enough that quick ones are not worked out each while the hand needs the machine. */
const PAUSE_MS = 30;
const PAUSE_EDITED_MS = 150;
const NONE: readonly Fault[] = [];

interface JobOptions {
  /** What it works in, where it needs any. */
  readonly weather?: Weather | undefined;
  /** The garden as it was, where edits afterwards are not to start it anew. */
  readonly garden?: Garden;
  /** It follows a hand: asked again as soon as the last answer is there, always of the latest. */
  readonly live?: boolean;
}

/**
 * One job in the background for the open garden; asked again when the garden or the question changes, and only the latest counts.
 * @param input what is asked beside the garden; nothing is asked while it is undefined
 */
export function useJob<K extends JobKind>(
  kind: K,
  input: JobInput<K> | undefined,
  { weather, garden: then, live = false }: JobOptions = {},
): Job<JobAnswer<K>> {
  // What is edited is drawn first.
  const now = useDeferredValue(useGarden());
  const garden = then ?? now;
  const wanted = input === undefined ? undefined : jobKey(kind, garden, weather, input);
  const dispatch = useAppDispatch();
  const [asked, ask] = useState(wanted);
  const [again, setAgain] = useState(0);
  const [begun, setBegun] = useState<string>();
  const answer = useApp(useMemo(() => jobsApi.endpoints.job.select(asked ?? skipToken), [asked]));
  const progress = useApp((s) => (asked === undefined ? undefined : s.progress[asked])) as
    BestSoFar<JobAnswer<K>> | undefined;
  // The base query gives no other error. What nobody waited for is asked for anew.
  const error = answer.isError ? (answer.error as JobError) : undefined;
  // What failed when another place asked it is asked again here, and shown as that.
  const failed = error?.why === 'left' || begun !== asked ? undefined : error;
  const pending = asked !== undefined && !answer.isSuccess && !failed;
  if (asked !== wanted && !(live && pending)) ask(wanted);

  const gardenAsked = useRef(garden);
  useEffect(() => {
    if (asked === undefined) return;
    const pause = live ? 0 : gardenAsked.current === garden ? PAUSE_MS : PAUSE_EDITED_MS;
    gardenAsked.current = garden;
    let leave = (): void => undefined;
    const timer = setTimeout(() => {
      const done = awaitJob(asked);
      const held = dispatch(jobsApi.endpoints.job.initiate(asked));
      setBegun(asked);
      leave = () => {
        held.unsubscribe();
        done();
      };
    }, pause);
    return () => {
      clearTimeout(timer);
      leave();
    };
    // The garden is in what is asked.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked, again, live, dispatch]);

  const [slowKey, setSlow] = useState<string>();
  useEffect(() => {
    if (!pending) return;
    const timer = setTimeout(() => setSlow(asked), SLOW_MS);
    return () => clearTimeout(timer);
  }, [pending, asked]);

  const result = (answer.isSuccess ? answer.data.of : undefined) as Result<JobAnswer<K>> | undefined;
  const [before, keep] = useState<Result<JobAnswer<K>>>();
  if (result && result !== before) keep(result);
  const stop = useCallback(() => {
    if (asked !== undefined) stopJob(asked);
  }, [asked]);
  const retry = useCallback(() => setAgain((n) => n + 1), []);
  return useMemo(() => {
    const shown = result ?? (pending ? before : undefined);
    const stopped = failed?.why === 'stopped';
    return {
      state: asked === undefined ? 'idle' : result ? 'done' : stopped ? 'stopped' : failed ? 'failed' : 'pending',
      value: shown?.ok ? shown.value : stopped ? progress?.work : undefined,
      faults:
        result && !result.ok ? result.faults : failed && !stopped ? [{ field: kind, message: failed.message }] : NONE,
      slow: pending && slowKey === asked,
      progress: pending ? progress : undefined,
      retry,
      stop,
    };
  }, [asked, result, before, pending, failed, progress, slowKey, kind, retry, stop]);
}
