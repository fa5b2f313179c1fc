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
/** Steps of the search for fewer set-ups, before a programme is asked. */
const SET_UP_STEPS = 30_000;

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
  const now = setUpsOf(bars);
  if (patterns.length > SET_UPS_AMONG || left() === 0 || now < 2) return bars;
  const [priceCap, lengthCap] = [costOf(bars) + 1e-7, stuffOf(bars) + 1e-6];
  const most = { price: priceCap, length: lengthCap, bars: job.stock.map((bar) => bar.available ?? Infinity) };
  const steps = { left: SET_UP_STEPS };
  for (let kinds = 1; kinds < now; kinds++) {
    const found = cutAlike(job, patterns, kinds, now, most, steps);
    if (found) return found;
  }
  if (steps.left > 0) return bars;
  const found = solver.solve(
    lpText(job, { patterns, objective: () => 1, priceCap, lengthCap, setUps: true, integer: true }),
    Math.min(left(), SET_UP_SECONDS),
  );
  const fewer = found.feasible ? toBars(job, patterns, found.values) : undefined;
  return fewer &&
    costOf(fewer) <= costOf(bars) + CENT &&
    stuffOf(fewer) <= stuffOf(bars) + CENT &&
    setUpsOf(fewer) < now
    ? fewer
    : bars;
}

/** What bars may come to at the most: money, stock, and how many of each. */
interface Most {
  readonly price: number;
  readonly length: number;
  readonly bars: readonly number[];
}

/** Bars cut by so many patterns at the most, with fewer set-ups than there are now. */
function cutAlike(
  job: BarJob,
  patterns: readonly Pattern[],
  kinds: number,
  now: number,
  most: Most,
  steps: { left: number },
): readonly CutBar[] | undefined {
  const go = (
    from: number,
    need: readonly number[],
    taken: Readonly<Record<string, number>>,
    left: Most,
  ): readonly CutBar[] | undefined => {
    for (let k = from; k < patterns.length && --steps.left > 0; k++) {
      const p = patterns[k];
      const bar = p && job.stock[p.stock];
      if (!p || !bar) continue;
      const each = need.flatMap((n, i) => (n > 0 ? [Math.ceil(n / (p.counts[i] ?? 0))] : []));
      const all = Math.max(...each);
      const byPrice = bar.price > 0 ? Math.floor(left.price / bar.price) : Infinity;
      const room = Math.min(left.bars[p.stock] ?? 0, byPrice, Math.floor(left.length / bar.length));
      // Pieces that are too many are left out, so that bars of one pattern may come out different.
      const bars = all <= room ? toBars(job, patterns, { ...taken, [`x${k}`]: all }) : undefined;
      if (bars && setUpsOf(bars) < now) return bars;
      if (Object.keys(taken).length + 1 >= kinds) continue;
      // More of it than the piece that wants it most are of no use.
      const useful = Math.max(0, ...each.filter(Number.isFinite));
      for (let n = 1; n <= Math.min(room, useful); n++) {
        const rest = need.map((want, i) => want - n * (p.counts[i] ?? 0));
        const found = go(
          k + 1,
          rest,
          { ...taken, [`x${k}`]: n },
          {
            price: left.price - n * bar.price,
            length: left.length - n * bar.length,
            bars: left.bars.map((count, s) => (s === p.stock ? count - n : count)),
          },
        );
        if (found) return found;
      }
    }
    return undefined;
  };
  const need = job.pieces.map((piece) => piece.quantity);
  return go(0, need, {}, most);
}
