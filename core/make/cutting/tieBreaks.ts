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
  const caps = { priceCap: costOf(bars) + 1e-7, lengthCap: stuffOf(bars) + 1e-6 };
  const steps = { left: SET_UP_STEPS };
  for (let most = 1; most < now; most++) {
    const found = cutAlike(job, patterns, most, now, caps, steps);
    if (found) return found;
  }
  if (steps.left > 0) return bars;
  const found = solver.solve(
    lpText(job, { patterns, objective: () => 1, ...caps, setUps: true, integer: true }),
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

/** Bars cut by so many patterns at the most, with fewer set-ups than there are now, within a price and an amount of stock. */
function cutAlike(
  job: BarJob,
  patterns: readonly Pattern[],
  most: number,
  now: number,
  caps: { readonly priceCap: number; readonly lengthCap: number },
  steps: { left: number },
): readonly CutBar[] | undefined {
  const go = (
    from: number,
    need: readonly number[],
    taken: Readonly<Record<string, number>>,
    used: { readonly price: number; readonly length: number; readonly stocks: readonly number[] },
  ): readonly CutBar[] | undefined => {
    for (let k = from; k < patterns.length && --steps.left > 0; k++) {
      const p = patterns[k];
      const bar = p && job.stock[p.stock];
      if (!p || !bar) continue;
      const each = need.flatMap((n, i) => (n > 0 ? [Math.ceil(n / (p.counts[i] ?? 0))] : []));
      const all = Math.max(...each);
      const room = Math.min(
        (bar.available ?? Infinity) - (used.stocks[p.stock] ?? 0),
        Math.floor((caps.lengthCap - used.length) / bar.length),
        bar.price > 0 ? Math.floor((caps.priceCap - used.price) / bar.price) : Infinity,
      );
      // Pieces that are too many are left out, so that bars of one pattern may come out different.
      const bars = all <= room ? toBars(job, patterns, { ...taken, [`x${k}`]: all }) : undefined;
      if (bars && setUpsOf(bars) < now) return bars;
      if (Object.keys(taken).length + 1 >= most) continue;
      // More of it than the piece that wants it most are of no use.
      const useful = Math.max(0, ...each.filter(Number.isFinite));
      for (let n = 1; n <= Math.min(room, useful); n++) {
        const found = go(
          k + 1,
          need.map((want, i) => want - n * (p.counts[i] ?? 0)),
          { ...taken, [`x${k}`]: n },
          {
            price: used.price + n * bar.price,
            length: used.length + n * bar.length,
            stocks: used.stocks.map((x, s) => (s === p.stock ? x + n : x)),
          },
        );
        if (found) return found;
      }
    }
    return undefined;
  };
  const none = { price: 0, length: 0, stocks: job.stock.map(() => 0) };
  return go(
    0,
    job.pieces.map((piece) => piece.quantity),
    {},
    none,
  );
}
