/** Jobs with too many patterns to list: columns one by one, and the proof that what they leave out is not needed. */
import type { BarJob } from './job';
import { type Pattern, bestPattern, patternsWithin } from './patterns';
import { type IntegerSolver, lpText, toBars } from './linearProgram';
import { CENT, type CutBar, type CutPlan } from './bestFitDecreasing';

/** Patterns that a gap may leave. */
const LEFT_BY_GAP = 15000;

export interface Columns {
  readonly patterns: Pattern[];
  readonly bound: number;
  /** Worth of each piece and cost of each bar by the last linear programme. */
  readonly worth: readonly number[];
  readonly barCost: readonly number[];
}

/** Columns by Gilmore and Gomory's generation, for jobs with too many patterns to list; also the linear bound. */
export function generateColumns(job: BarJob, start: CutPlan | undefined, solver: IntegerSolver): Columns {
  const patterns: Pattern[] = (start?.bars ?? []).map((bar) => ({
    stock: bar.stock,
    counts: job.pieces.map((p) => bar.pieces.filter((l) => l === p.length).length),
    used: bar.pieces.reduce((total, l) => total + l + job.kerf, 0) - job.kerf,
  }));
  // One kind of piece to a bar: enough to start from, whatever the quick plan found.
  job.pieces.forEach((piece, i) => {
    job.stock.forEach((bar, s) => {
      if (piece.length > (bar.longestPiece ?? Infinity) + CENT) return;
      const most = Math.min(piece.quantity, Math.floor((bar.length + job.kerf + CENT) / (piece.length + job.kerf)));
      if (most > 0 && bar.available !== 0)
        patterns.push({
          stock: s,
          counts: job.pieces.map((_, k) => (k === i ? most : 0)),
          used: most * (piece.length + job.kerf) - job.kerf,
        });
    });
  });
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  let bound = 0;
  let worth: number[] = [];
  let barCost: number[] = [];
  for (let round = 0; round < 300; round++) {
    const lp = solver.solve(lpText(job, { patterns, objective: price, integer: false }), 5);
    if (!lp.feasible) break;
    worth = job.pieces.map((_, i) => Math.max(0, lp.duals[`d${i}`] ?? 0));
    barCost = job.stock.map((bar, s) => bar.price - Math.min(0, lp.duals[`a${s}`] ?? 0));
    let worstRatio = 1;
    let added = 0;
    job.stock.forEach((bar, s) => {
      if (bar.available === 0) return;
      const cost = barCost[s] ?? bar.price;
      const found = bestPattern(job, s, worth);
      if (found.worth > cost + 1e-7) {
        patterns.push(found.pattern);
        added++;
      }
      if (cost > 0) worstRatio = Math.max(worstRatio, found.worthAtMost / cost);
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
 * Closes the gap of generated columns: either a better plan out of the patterns that one could be made of, or proof that there is none.
 * @returns the better plan's bars, 'none' when the plan in hand is proven best, or undefined when it stays open
 */
export function closeGap(
  job: BarJob,
  columns: Columns,
  cost: number,
  solver: IntegerSolver,
  seconds: number,
): readonly CutBar[] | 'none' | undefined {
  const better = cost - (priceStep(job) || CENT);
  const slack = better - columns.bound + CENT;
  if (slack < 0) return 'none';
  const patterns = patternsWithin(job, columns.worth, columns.barCost, slack, LEFT_BY_GAP);
  if (!patterns) return undefined;
  if (patterns.length === 0) return 'none';
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const answer = solver.solve(
    lpText(job, { patterns, objective: price, priceCap: better + CENT, integer: true }),
    seconds,
  );
  if (answer.optimal) return toBars(job, patterns, answer.values);
  return answer.infeasible ? 'none' : undefined;
}
