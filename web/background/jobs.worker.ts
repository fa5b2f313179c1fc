/** A worker: it has the garden and the weather as the page has them, and does one job at a time. */
import { expose } from 'comlink';
import type { Garden } from '../../core/garden/garden';
import { type GardenChange, withChanges } from '../../core/garden/difference';
import type { Weather } from '../../core/judge/weather/weather';
import type { OnBest } from './given';
import { type JobKind, jobs } from './jobs';

let garden: Garden | undefined;
let weather: Weather | undefined;
/** Nobody waits for the job that is done. */
let left = false;

const sent = <T>(thing: T | undefined, what: string): T => {
  if (thing === undefined) throw new Error(`no ${what} was sent`);
  return thing;
};

const service = {
  /** Takes a garden to work on. */
  open(whole: Garden): void {
    garden = whole;
  },
  /** Takes what is new in the garden. */
  change(changes: readonly GardenChange[]): void {
    garden = withChanges(sent(garden, 'garden'), changes);
  },
  /** Takes the weather to work with. */
  sky(air: Weather): void {
    weather = air;
  },
  /** Nobody waits any more for the job that is done. */
  leave(): void {
    left = true;
  },
  /** Does a job on them. */
  run(kind: JobKind, version: number, input: never, hear: OnBest<unknown>): unknown {
    left = false;
    return jobs[kind](
      {
        garden: sent(garden, 'garden'),
        version,
        weather: () => sent(weather, 'weather'),
        hear,
        left: () => left,
      },
      input,
    );
  },
};

export type JobService = typeof service;
expose(service);
