/** Among plans of one price: less stock, then fewer set-ups. */
import { lowerBound } from './lowerBound';
import type { BarJob } from './job';
import type { Pattern } from './patterns';
import { type IntegerSolver, type TimeLeft, lpText, toBars } from './linearProgram';
import { CENT, type CutBar, costOf, stuffOf } from './bestFitDecreasing';

const LEAST_SECONDS = 0.6;
/** More patterns than these are not gone through for a tie. */
const STUFF_AMONG = 4000;

/** Of plans at the same price, one that uses less stock, where these patterns have one. */
export function leastStock(
  job: BarJob,
  patterns: readonly Pattern[],
  bars: readonly CutBar[],
  solver: IntegerSolver,
  left: TimeLeft,
): readonly CutBar[] {
  if (patterns.length > STUFF_AMONG || left() === 0) return bars;
  const cost = costOf(bars);
  const objective = (p: Pattern): number => job.stock[p.stock]?.length ?? 0;
  const floor = lowerBound(job, (bar) => bar.length);
  if (stuffOf(bars) <= floor + 1) return bars;
  const least = solver.solve(
    lpText(job, { patterns, objective, floor, priceCap: cost + 1e-7, integer: true }),
    Math.min(left(), LEAST_SECONDS),
  );
  if (!least.feasible) return bars;
  const tidy = toBars(job, patterns, least.values);
  return tidy && costOf(tidy) <= cost + CENT && stuffOf(tidy) < stuffOf(bars) ? tidy : bars;
}

/** A tie among more patterns than this, or more bars, is not worth the wait. */
const SET_UPS_AMONG = 120;
const SET_UP_SECONDS = 0.25;

/** How many different ways of cutting a bar there are in a plan. */
export function setUpsOf(bars: readonly CutBar[]): number {
  return new Set(bars.map((bar) => `${bar.stock}: ${bar.pieces.join(' ')}`)).size;
}

/** Of plans at the same price and with no more stock, one with fewer different bars, where these patterns have one. */
export function fewestSetUps(
  job: BarJob,
  patterns: readonly Pattern[],
  bars: readonly CutBar[],
  solver: IntegerSolver,
  left: TimeLeft,
): readonly CutBar[] {
  if (patterns.length > SET_UPS_AMONG || left() === 0 || setUpsOf(bars) < 2) return bars;
  const caps = { priceCap: costOf(bars) + 1e-7, lengthCap: stuffOf(bars) + 1e-6 };
  const found = solver.solve(
    lpText(job, { patterns, objective: () => 1, ...caps, setUps: true, integer: true }),
    Math.min(left(), SET_UP_SECONDS),
  );
  const fewer = found.feasible ? toBars(job, patterns, found.values) : undefined;
  return fewer &&
    costOf(fewer) <= costOf(bars) + CENT &&
    stuffOf(fewer) <= stuffOf(bars) + CENT &&
    setUpsOf(fewer) < setUpsOf(bars)
    ? fewer
    : bars;
}
