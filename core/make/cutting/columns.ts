/** Jobs with too many patterns to list: columns one by one, and the proof that what they leave out is not needed. */
import type { BarJob } from './job';
import { type Pattern, bestPattern, byWorth, fractionalWorth, patternsWithin } from './patterns';
import { type IntegerSolver, type TimeLeft, lpText, timeLeft, toBars } from './linearProgram';
import { CENT, type CutPlan, costOf } from './bestFitDecreasing';
import { type ChosenBars, type PlanToBetter, cheapestChoice } from './choices';

/** Patterns that a gap may leave. */
const LEFT_BY_GAP = 15000;

export interface Columns {
  readonly patterns: Pattern[];
  readonly bound: number;
  /** Worth of each piece and cost of each bar by the last linear programme. */
  readonly worth: readonly number[];
  readonly barCost: readonly number[];
}

/** Stock lengths that each piece is put on by itself to start from. */
const STARTS = 4;

/** Patterns to start from: those of a quick plan, and one kind of piece to a bar on the bars where that costs least. */
function startPatterns(job: BarJob, quick: CutPlan | undefined): Pattern[] {
  const at = new Map(job.pieces.map((p, i) => [p.length, i]));
  const unlike = new Map((quick?.bars ?? []).map((bar) => [`${bar.stock}: ${bar.pieces.join(' ')}`, bar]));
  const patterns = [...unlike.values()].map((bar): Pattern => {
    const counts = new Array<number>(job.pieces.length).fill(0);
    for (const length of bar.pieces) {
      const i = at.get(length) ?? 0;
      counts[i] = (counts[i] ?? 0) + 1;
    }
    return { stock: bar.stock, counts, used: bar.pieces.reduce((sum, l) => sum + l + job.kerf, 0) - job.kerf };
  });
  job.pieces.forEach((piece, i) => {
    if (piece.quantity === 0) return;
    const alone = job.stock.flatMap((bar, s) => {
      if (piece.length > (bar.longestPiece ?? Infinity) + CENT || bar.available === 0) return [];
      const most = Math.min(piece.quantity, Math.floor((bar.length + job.kerf + CENT) / (piece.length + job.kerf)));
      return most > 0 ? [{ s, most, each: bar.price / most, limited: bar.available !== undefined }] : [];
    });
    alone.sort((a, b) => a.each - b.each);
    // Without a plan in hand there may have to be recourse to every bar there is.
    const near = [...alone.slice(0, STARTS), ...alone.filter((x) => !x.limited).slice(0, 1)];
    const taken = quick ? new Set(near) : alone;
    for (const { s, most } of taken) {
      const counts = new Array<number>(job.pieces.length).fill(0);
      counts[i] = most;
      patterns.push({ stock: s, counts, used: most * (piece.length + job.kerf) - job.kerf });
    }
  });
  return patterns;
}

/** Columns beyond these are more than the last programme could choose among. */
const MOST_COLUMNS = 6000;

/** Columns by Gilmore and Gomory's generation, for jobs with too many patterns to list; also the linear bound. */
export function generateColumns(
  job: BarJob,
  start: CutPlan | undefined,
  solver: IntegerSolver,
  left: TimeLeft,
): Columns {
  const patterns = startPatterns(job, start);
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  let bound = 0;
  let worth: number[] = [];
  let barCost: number[] = [];
  while (left() > 0 && patterns.length < MOST_COLUMNS) {
    const lp = solver.solve(lpText(job, { patterns, objective: price, integer: false }), left());
    if (!lp.optimal) break;
    worth = job.pieces.map((_, i) => Math.max(0, lp.duals[`d${i}`] ?? 0));
    barCost = job.stock.map((bar, s) => bar.price - Math.min(0, lp.duals[`a${s}`] ?? 0));
    const order = byWorth(job, worth);
    let worstRatio = 1;
    let added = 0;
    job.stock.forEach((bar, s) => {
      if (bar.available === 0) return;
      const cost = barCost[s] ?? bar.price;
      const atMost = fractionalWorth(job, s, order, worth);
      // Where not even parts of pieces are worth the bar there is nothing to look for; nor when the time is up.
      const found = atMost > cost + 1e-7 && left() > 0 ? bestPattern(job, s, worth, order) : undefined;
      if (found && found.worth > cost + 1e-7) {
        patterns.push(found.pattern);
        added++;
      }
      if (cost > 0) worstRatio = Math.max(worstRatio, (found?.worthAtMost ?? atMost) / cost);
    });
    // Farley's bound: scaling the duals until no pattern is worth more than its bar keeps them feasible.
    bound = Math.max(bound, lp.objective / worstRatio);
    if (added === 0) break;
  }
  return { patterns, bound, worth, barCost };
}

/** Largest amount that every price is a whole multiple of, where prices are whole hundredths; else 0. */
export function priceStep(job: BarJob): number {
  const cents = job.stock.map((s) => Math.round(s.price * 100));
  if (job.stock.some((s, i) => Math.abs(s.price * 100 - (cents[i] ?? 0)) > 1e-9)) return 0;
  const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));
  return cents.reduce(common, 0) / 100;
}

/** A price is a whole multiple of the step, so a bound may be raised to the next one. */
export function roundUp(bound: number, step: number): number {
  return step > 0 ? Math.round(Math.ceil(bound / step - 1e-6) * step * 100) / 100 : bound;
}

/**
 * Closes the gap of generated columns: a better plan out of the patterns that one could be made of, or proof that there is none,
 * or a better bound.
 */
export function closeGap(
  job: BarJob,
  columns: Columns,
  hand: PlanToBetter,
  solver: IntegerSolver,
  left: TimeLeft,
): ChosenBars {
  const open = { bars: undefined, bound: columns.bound, proven: false };
  // Without worths, as when the time was up at once, nothing can be left out.
  if (columns.worth.length === 0 || left() === 0) return open;
  const better = hand.cost - (priceStep(job) || CENT);
  const slack = better - columns.bound + CENT;
  const proven = { bars: undefined, bound: hand.cost, proven: true };
  if (slack < 0) return proven;
  const patterns = patternsWithin(job, columns.worth, columns.barCost, slack, LEFT_BY_GAP);
  if (!patterns) return open;
  if (patterns.length === 0) return proven;
  // These patterns hold every cheaper plan, but not every other one of its price.
  const cheaper = { ...hand, length: 0 };
  const chosen = cheapestChoice(
    job,
    patterns,
    columns.bound,
    cheaper,
    solver,
    timeLeft(solver, CHOICES_SHARE * left()),
  );
  if (chosen.proven || chosen.bars) return chosen;
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const answer = solver.solve(
    lpText(job, { patterns, objective: price, priceCap: better + CENT, integer: true }),
    left(),
  );
  if (answer.infeasible) return proven;
  const bars = answer.optimal ? toBars(job, patterns, answer.values) : undefined;
  return bars ? { bars, bound: costOf(bars), proven: true } : chosen;
}

/** What of the time goes into choices of bars; the rest is for the programme over all of them. */
const CHOICES_SHARE = 0.85;
