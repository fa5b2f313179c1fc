/** What a garden's own readings teach of a cover: how much more or less it loses, and takes in, than reckoned. */
import { MS_PER_HOUR } from '../../base/days';
import type { Weather } from '../weather/weather';
import type { Climate, ClimateOptions } from './climate';
import { type Calibration, UNCALIBRATED } from './model';

/** One day as it was read, C; what was not read is null. */
export interface Reading {
  readonly date: string;
  readonly insideLowC: number | null;
  readonly insideHighC: number | null;
}

/** What the readings come to. */
export interface CalibrationFit {
  readonly taught: Calibration;
  /** Nine times in ten the true factor lies within so much of it, as a factor; null where it was not fitted. */
  readonly sure: { readonly loss: number | null; readonly gain: number | null };
  /** Lows and highs that counted. */
  readonly lows: number;
  readonly highs: number;
  /** How far off the middle reading is, before and after, C. */
  readonly offBeforeC: number;
  readonly offAfterC: number;
}

/** Fewer lows than this teach nothing of losses, fewer highs nothing of the sun. */
export const LEAST_READINGS = 6;
/** Beyond this a reading is taken for a slip of the hand: its pull grows no more. Source: P. J. Huber, Robust Statistics (1981), 1.345 spreads. */
const HUBER = 1.345;
/** A cover is not more than so much better or worse than reckoned. */
const MOST_FACTOR = 3;
const ROUNDS = 8;
const STEP = 0.05;
/** A tenth of readings is off by more than this many spreads. */
const NINE_IN_TEN = 1.645;

interface Residuals {
  readonly low: readonly number[];
  readonly high: readonly number[];
}

/**
 * Fits losses to the lows and the sun to the highs of readings: Gauss-Newton on the logarithms of both factors, each reading weighted
 * after Huber so that a slip of the hand pulls no more than a bad day.
 * @param run the cover in the weather of those days, with factors
 * @returns undefined where there are too few readings of days in that weather
 */
export function fitReadings(
  readings: readonly Reading[],
  run: (options: ClimateOptions) => Climate,
): CalibrationFit | undefined {
  const of = (taught: Calibration): Residuals => {
    const days = new Map(run({ taught }).days.map((d) => [d.date, d]));
    const pairs = readings.flatMap((r) => {
      const day = days.get(r.date);
      return day ? [{ r, day }] : [];
    });
    return {
      low: pairs.flatMap(({ r, day }) => (r.insideLowC === null ? [] : [r.insideLowC - day.lowC])),
      high: pairs.flatMap(({ r, day }) => (r.insideHighC === null ? [] : [r.insideHighC - day.highC])),
    };
  };
  const before = of(UNCALIBRATED);
  const [lows, highs] = [before.low.length, before.high.length];
  const fitsLoss = lows >= LEAST_READINGS;
  const fitsGain = highs >= LEAST_READINGS;
  if (!fitsLoss && !fitsGain) return undefined;

  const used = (r: Residuals): readonly number[] => [...(fitsLoss ? r.low : []), ...(fitsGain ? r.high : [])];
  const at = (x: readonly [number, number]): Calibration => ({ loss: Math.exp(x[0]), gain: Math.exp(x[1]) });
  const most = Math.log(MOST_FACTOR);
  const held = (v: number): number => Math.max(-most, Math.min(most, v));
  let x: readonly [number, number] = [0, 0];
  let now = used(before);
  let normal = { a: 0, b: 0, d: 0 };
  let spread = spreadOf(now);
  for (let i = 0; i < ROUNDS; i++) {
    const from = now;
    const moved = (dx: number, dy: number): readonly number[] => used(of(at([x[0] + dx, x[1] + dy])));
    // How the residuals move with each factor, the lesser of both ways: a day on which snow slides off or does not jumps in one.
    const slopes = (dx: number, dy: number): readonly number[] => {
      const [up, down] = [moved(dx, dy), moved(-dx, -dy)];
      return from.map((r, k) => lesser(((up[k] ?? r) - r) / STEP, (r - (down[k] ?? r)) / STEP));
    };
    const byLoss = fitsLoss ? slopes(STEP, 0) : from.map(() => 0);
    const byGain = fitsGain ? slopes(0, STEP) : from.map(() => 0);
    spread = spreadOf(now);
    let [a, b, d, u, v] = [0, 0, 0, 0, 0];
    now.forEach((r, k) => {
      const w = Math.min(1, (HUBER * spread) / Math.max(1e-9, Math.abs(r)));
      const [p, q] = [byLoss[k] ?? 0, byGain[k] ?? 0];
      a += w * p * p;
      b += w * p * q;
      d += w * q * q;
      u -= w * p * r;
      v -= w * q * r;
    });
    normal = { a, b, d };
    // A factor that nothing moves stays; a little weight keeps two that cannot be told apart from running away.
    const [aa, dd] = [a * 1.001 + 1e-6, d * 1.001 + 1e-6];
    const det = aa * dd - b * b;
    const step: readonly [number, number] = [(u * dd - v * b) / det, (v * aa - u * b) / det];
    const next: readonly [number, number] = [
      fitsLoss ? held(x[0] + Math.max(-0.5, Math.min(0.5, step[0]))) : 0,
      fitsGain ? held(x[1] + Math.max(-0.5, Math.min(0.5, step[1]))) : 0,
    ];
    const small = Math.abs(next[0] - x[0]) + Math.abs(next[1] - x[1]) < 0.002;
    x = next;
    now = used(of(at(x)));
    if (small) break;
  }
  spread = spreadOf(now);
  const det = Math.max(1e-12, normal.a * normal.d - normal.b * normal.b);
  const within = (fitted: boolean, other: number, own: number, otherFitted: boolean): number | null => {
    if (!fitted) return null;
    const variance = spread * spread * (otherFitted ? other / det : 1 / Math.max(1e-9, own));
    return Math.exp(NINE_IN_TEN * Math.sqrt(Math.max(0, variance)));
  };
  return {
    taught: at(x),
    sure: {
      loss: within(fitsLoss, normal.d, normal.a, fitsGain),
      gain: within(fitsGain, normal.a, normal.d, fitsLoss),
    },
    lows,
    highs,
    offBeforeC: middle(used(before).map(Math.abs)),
    offAfterC: middle(now.map(Math.abs)),
  };
}

const lesser = (a: number, b: number): number => (Math.abs(a) < Math.abs(b) ? a : b);

const middle = (list: readonly number[]): number => {
  const sorted = [...list].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
};

/** Spread of residuals by their middle one, so that slips do not count; never less than a thermometer's own half degree. Source: 1.4826 MAD. */
const spreadOf = (list: readonly number[]): number => Math.max(0.5, 1.4826 * middle(list.map(Math.abs)));

/** Days of readings in a weather: from the first to the last, with some before to settle; no hours where there are none. */
export function readingSpan(
  readings: readonly Reading[],
  weather: Weather,
): { readonly from: number; readonly hours: number } {
  const hour = (date: string, h: number): number =>
    Math.round((Date.parse(`${date}T00:00:00Z`) - weather.startMs) / MS_PER_HOUR) + h;
  const dates = readings.map((r) => r.date).sort();
  const [first, last] = [dates[0], dates[dates.length - 1]];
  if (first === undefined || last === undefined) return { from: 0, hours: 0 };
  const from = Math.max(0, hour(first, 0) - 24 * 4);
  const to = Math.min(weather.airC.length, hour(last, 24) + 24);
  return { from, hours: Math.max(0, to - from) };
}
