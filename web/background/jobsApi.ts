/** Work in the background as the store sees it: asked by a key, kept for a while, shared by all who ask the same. */
import { type UnknownAction, createAction } from '@reduxjs/toolkit';
import { type BaseQueryFn, createApi } from '@reduxjs/toolkit/query';
import { messageOf } from '../../core/base/result';
import type { Garden } from '../../core/garden/garden';
import type { Weather } from '../../core/judge/weather/weather';
import type { BestSoFar } from './given';
import type { JobInput, JobKind } from './jobs';
import { numbered } from './numbered';
import { NotWanted, type Work } from './queue';

/** What is asked of those who work in the background. */
export interface JobCall {
  readonly kind: JobKind;
  readonly garden: Garden;
  /** Tells the garden from any other. */
  readonly version: number;
  readonly weather: Weather | undefined;
  readonly input: never;
}

/** Who works in the background: the workers, or what a test puts in their place. */
export interface Workforce {
  readonly begin: (call: JobCall, hear: (progress: unknown) => void) => Work;
}

/** Why there is no answer. */
export interface JobError {
  readonly why: 'failed' | NotWanted['why'];
  readonly message: string;
}

const gardens = numbered<Garden>();
const skies = numbered<Weather>();

/** What is asked, in one line: the kind of job, the garden as it is, the weather, and the rest. */
export const jobKey = <K extends JobKind>(
  kind: K,
  garden: Garden,
  weather: Weather | undefined,
  input: JobInput<K>,
): string => JSON.stringify([kind, gardens.numberOf(garden), weather ? skies.numberOf(weather) : 0, input]);

/** Jobs that are not answered yet, and how many wait for each. */
const working = new Map<string, Work>();
const waiting = new Map<string, number>();

/** Ends one job for all who wait for it. */
export const stopJob = (key: string): void => working.get(key)?.stop();

/** One more waits for a job, until what is returned is called. */
export function awaitJob(key: string): () => void {
  waiting.set(key, (waiting.get(key) ?? 0) + 1);
  return () => {
    const left = (waiting.get(key) ?? 1) - 1;
    if (left > 0) waiting.set(key, left);
    else {
      waiting.delete(key);
      working.get(key)?.leave();
    }
  };
}

/** An answer as it came: the store keeps it whole, and does not walk through it to freeze every part. */
export class Answer {
  constructor(readonly of: unknown) {}
}

const inWorker: BaseQueryFn<string, Answer, JobError> = async (key, { dispatch, extra }) => {
  const [kind, garden, sky, input] = JSON.parse(key) as [JobKind, number, number, never];
  const of = gardens.of(garden);
  if (!of) return { error: { why: 'left', message: 'the garden has gone on' } };
  const hear = (progress: unknown): void => void dispatch(jobHeard({ key, progress: progress as BestSoFar<unknown> }));
  dispatch(jobBegun(key));
  const { begin } = extra as Workforce;
  const work = begin({ kind, garden: of, version: garden, weather: skies.of(sky), input }, hear);
  working.set(key, work);
  try {
    return { data: new Answer(await work.answer) };
  } catch (why) {
    return { error: { why: why instanceof NotWanted ? why.why : 'failed', message: messageOf(why) } };
  } finally {
    working.delete(key);
  }
};

const KEPT_S = 60;

export const jobsApi = createApi({
  reducerPath: 'jobs',
  baseQuery: inWorker,
  keepUnusedDataFor: KEPT_S,
  endpoints: (build) => ({
    // Answers are large, and told apart by their key: none is compared with the one before.
    job: build.query<Answer, string>({ query: (key) => key, structuralSharing: false }),
  }),
});

type Progress = Readonly<Record<string, BestSoFar<unknown>>>;

const without = (state: Progress, key: string): Progress =>
  key in state ? Object.fromEntries(Object.entries(state).filter(([k]) => k !== key)) : state;

const jobBegun = createAction<string>('jobBegun');
const jobHeard = createAction<{ readonly key: string; readonly progress: BestSoFar<unknown> }>('jobHeard');

/** How far jobs are. What is heard is kept as it came, so this is no slice, whose parts are all frozen. */
export function progressReducer(state: Progress = {}, action: UnknownAction): Progress {
  if (jobHeard.match(action)) {
    const { key, progress } = action.payload;
    // What there is so far stays until there is something better.
    return { ...state, [key]: { ...progress, work: progress.work ?? state[key]?.work } };
  }
  // What was heard before is of another try; and once there is an answer, how far it was is nobody's concern.
  if (jobBegun.match(action)) return without(state, action.payload);
  return jobsApi.endpoints.job.matchFulfilled(action) ? without(state, action.meta.arg.originalArgs) : state;
}
