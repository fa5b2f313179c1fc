/** Which bars to take before how to cut them: the cheapest choice of whole bars that holds every piece. */
import type { BarJob } from './job';
import { type IntegerSolver, type SolverAnswer, type TimeLeft, lpText, toBars } from './linearProgram';
import type { Pattern } from './patterns';
import { CENT, type CutBar, costOf, stuffOf } from './bestFitDecreasing';

/** A choice of bars: how many of each stock. */
interface Choice {
  readonly counts: readonly number[];
  readonly price: number;
  /** Of what is bought: using up the shelf is no waste. */
  readonly length: number;
}

/** The plan in hand, that a choice must better: in price, or at its price in stock that is bought. */
export interface PlanToBetter {
  readonly cost: number;
  readonly length: number;
}

/** A plan as one in hand. */
export const planToBetter = (bars: readonly CutBar[]): PlanToBetter => ({
  cost: costOf(bars),
  length: stuffOf(bars.filter((bar) => bar.price > 0)),
});

/** How far choices of bars are gone through: so many at the most, steps in counting them, and steps of the search for each. */
interface Effort {
  readonly choices: number;
  readonly counted: number;
  readonly each: number;
}
/** In an instant, for comparing; before programmes are asked; and with them. */
export const AT_ONCE: Effort = { choices: 400, counted: 20_000, each: 300 };
export const SEARCHED: Effort = { choices: 40, counted: 400_000, each: 2_000 };
const WITH_PROGRAMMES: Effort = { choices: 4000, counted: 400_000, each: 20_000 };

/**
 * Every choice of bars within two prices that is long enough for all pieces and their cuts, the cheapest first and of one price
 * the shortest; undefined where there are too many.
 */
function choices(job: BarJob, from: number, hand: PlanToBetter, most: Effort): readonly Choice[] | undefined {
  const need = job.pieces.reduce((sum, p) => sum + p.quantity * (p.length + job.kerf), 0);
  const below = hand.cost + 2 * CENT;
  const bars = job.stock
    .map((bar, s) => ({ ...bar, s, room: bar.length + job.kerf }))
    .sort((a, b) => b.price / b.room - a.price / a.room);
  // Cheapest by length last: what they can still add is known.
  const rate = bars.map((_, i) => Math.min(...bars.slice(i).map((bar) => bar.price / bar.room)));
  const found: Choice[] = [];
  const counts = new Array<number>(job.stock.length).fill(0);
  const pieces = job.pieces.reduce((sum, p) => sum + p.quantity, 0);
  let steps = 0;
  const go = (at: number, price: number, room: number, length: number): boolean => {
    if (++steps > most.counted) return false;
    const bar = bars[at];
    if (!bar) {
      const better = price < hand.cost - CENT || length < hand.length - 1;
      if (better && room >= need - CENT && price >= from - CENT) found.push({ counts: [...counts], price, length });
      return found.length <= most.choices;
    }
    if (price + Math.max(0, need - room) * (rate[at] ?? 0) >= below - CENT) return true;
    // What costs nothing is taken whole: more of it never makes a plan dearer. Of the rest a bar a piece is enough.
    const all = Math.min(bar.available ?? Infinity, pieces);
    for (let n = bar.price === 0 ? all : 0; n <= all && price + n * bar.price < below - CENT; n++) {
      counts[bar.s] = n;
      if (!go(at + 1, price + n * bar.price, room + n * bar.room, length + (bar.price > 0 ? n * bar.length : 0)))
        return false;
    }
    counts[bar.s] = 0;
    return true;
  };
  return go(0, 0, 0, 0) ? found.sort((a, b) => a.price - b.price || a.length - b.length) : undefined;
}

/**
 * Cuts every piece from chosen bars, or finds that it cannot be done. Bar after bar is filled as far as it goes; what is wasted on
 * them all together cannot be more than what they are longer than the pieces.
 * Source: bin completion, R. E. Korf, AAAI (2002) 731-736, here for bars of several lengths.
 * @returns the bars, 'none', or undefined when it was given up
 */
export function cutFrom(job: BarJob, choice: Choice, steps: { left: number }): readonly CutBar[] | 'none' | undefined {
  const kinds = job.pieces.map((_, i) => i).sort((a, b) => (job.pieces[b]?.length ?? 0) - (job.pieces[a]?.length ?? 0));
  const size = kinds.map((i) => (job.pieces[i]?.length ?? 0) + job.kerf);
  const left = kinds.map((i) => job.pieces[i]?.quantity ?? 0);
  // Short bars first: fewer ways to fill them.
  const bins = choice.counts
    .flatMap((n, s) => Array.from({ length: n }, () => s))
    .sort((a, b) => (job.stock[a]?.length ?? 0) - (job.stock[b]?.length ?? 0) || a - b);
  const need = size.reduce((sum, z, k) => sum + z * (left[k] ?? 0), 0);
  const slack = bins.reduce((sum, s) => sum + (job.stock[s]?.length ?? 0) + job.kerf, 0) - need;
  const filled: number[][] = [];
  const failed = new Set<string>();

  /** Fills one bar from a kind of piece on; `again` is what the same bar before it holds, that this one may not go beyond. */
  const fill = (
    bin: number,
    k: number,
    room: number,
    waste: number,
    counts: number[],
    again: number[] | undefined,
  ): boolean => {
    if (--steps.left < 0) return false;
    if (k === size.length) {
      // A piece that would still go in might as well.
      if (room > waste + CENT || size.some((z, j) => (left[j] ?? 0) > 0 && z <= room + CENT && fitsOn(bin, j)))
        return false;
      filled.push([...counts]);
      if (next(bin + 1, waste - room)) return true;
      filled.pop();
      return false;
    }
    const most = fitsOn(bin, k) ? Math.min(left[k] ?? 0, Math.floor((room + CENT) / (size[k] ?? 1))) : 0;
    const cap = again ? Math.min(most, again[k] ?? 0) : most;
    for (let n = cap; n >= 0; n--) {
      counts[k] = n;
      left[k] = (left[k] ?? 0) - n;
      const alike = again && n === again[k] ? again : undefined;
      const done = fill(bin, k + 1, room - n * (size[k] ?? 0), waste, counts, alike);
      if (done) return true;
      left[k] = (left[k] ?? 0) + n;
      if (steps.left < 0) return false;
    }
    counts[k] = 0;
    return false;
  };
  const fitsOn = (bin: number, k: number): boolean => {
    const bar = job.stock[bins[bin] ?? 0];
    return (size[k] ?? 0) - job.kerf <= Math.min(bar?.length ?? 0, bar?.longestPiece ?? Infinity) + CENT;
  };
  const next = (bin: number, waste: number): boolean => {
    if (bin === bins.length) return left.every((n) => n === 0);
    const s = bins[bin] ?? 0;
    const again = bin > 0 && bins[bin - 1] === s ? filled[bin - 1] : undefined;
    const key = `${bin} ${left.join(' ')} ${again?.join(' ') ?? ''}`;
    if (failed.has(key)) return false;
    const done = fill(
      bin,
      0,
      (job.stock[s]?.length ?? 0) + job.kerf,
      waste,
      new Array<number>(size.length).fill(0),
      again,
    );
    if (!done && steps.left >= 0) failed.add(key);
    return done;
  };
  if (!next(0, slack)) return steps.left < 0 ? undefined : 'none';
  return bins.map((s, bin) => ({
    stockLength: job.stock[s]?.length ?? 0,
    price: job.stock[s]?.price ?? 0,
    stock: s,
    pieces: kinds.flatMap((i, k) => Array.from({ length: filled[bin]?.[k] ?? 0 }, () => job.pieces[i]?.length ?? 0)),
  }));
}

/** What came of looking for a better choice of bars. */
export interface ChosenBars {
  /** A better plan; undefined when none was found. */
  readonly bars: readonly CutBar[] | undefined;
  /** No plan costs less than this. */
  readonly bound: number;
  readonly proven: boolean;
}

/** Cuts the pieces from a choice of bars; or tells that it cannot be done, or that it was given up. */
type FromChoice = (choice: Choice) => ReturnType<typeof cutFrom>;

/** The first of some choices, in their order, that holds every piece; undefined stands for too many choices. */
function firstThatHolds(
  all: readonly Choice[] | undefined,
  bound: number,
  hand: PlanToBetter,
  cut: FromChoice,
): ChosenBars {
  let proven = all !== undefined;
  let least = bound;
  for (const choice of all ?? []) {
    if (proven) least = choice.price;
    const found = cut(choice);
    if (found === undefined) proven = false;
    else if (found !== 'none') {
      const bars = found.filter((bar) => bar.pieces.length > 0);
      return { bars, bound: proven ? costOf(bars) : least, proven };
    }
  }
  return { bars: undefined, bound: proven ? hand.cost : least, proven };
}

/** The cheapest plan, if it is better than the one in hand, as far as it is found by search alone. */
export const cheapestBySearch = (job: BarJob, bound: number, hand: PlanToBetter, effort: Effort): ChosenBars =>
  firstThatHolds(choices(job, bound, hand, effort), bound, hand, (choice) =>
    cutFrom(job, choice, { left: effort.each }),
  );

/** Most time for the programme of one choice, seconds. */
const CHOICE_SECONDS = 0.4;

/**
 * The cheapest plan made of given patterns, if it is better than the one in hand; of those at its price one of the least stock.
 * Most choices of bars do not hold the pieces even in parts, which a linear programme says at once; the few others are tried.
 * @param patterns all that a better plan can be made of
 * @param bound what no plan goes below
 */
export function cheapestChoice(
  job: BarJob,
  patterns: readonly Pattern[],
  bound: number,
  hand: PlanToBetter,
  solver: IntegerSolver,
  left: TimeLeft,
): ChosenBars {
  const within = (most: readonly number[], integer: boolean, seconds: number): SolverAnswer =>
    solver.solve(lpText(job, { patterns, objective: () => 1, most, integer }), seconds);
  const whole: FromChoice = ({ counts }) => {
    const answer = within(counts, true, Math.min(CHOICE_SECONDS, left()));
    if (answer.infeasible) return 'none';
    return answer.feasible ? toBars(job, patterns, answer.values) : undefined;
  };
  return firstThatHolds(choices(job, bound, hand, WITH_PROGRAMMES), bound, hand, (choice) => {
    if (left() === 0) return undefined;
    if (within(choice.counts, false, left()).infeasible) return 'none';
    return cutFrom(job, choice, { left: WITH_PROGRAMMES.each }) ?? whole(choice);
  });
}
