/** What every job in the background is given, and how it tells how far it is. */
import type { Garden } from '../../core/garden/garden';
import type { Weather } from '../../core/judge/weather/weather';

/** What there is while work goes on: how far it is, and the best so far, to be kept if it is stopped. */
export interface BestSoFar<T> {
  readonly solved: number;
  readonly sections: number;
  readonly work: T | undefined;
}
export type OnBest<T> = (best: BestSoFar<T>) => void;

/** What a job works on. */
export interface Given<T> {
  readonly garden: Garden;
  /** Tells the garden from any other. */
  readonly version: number;
  readonly weather: () => Weather;
  readonly hear: OnBest<T>;
  /** Whether nobody waits for it any more. */
  readonly left: () => boolean;
}
