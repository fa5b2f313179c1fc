import { type Result, fail, ok } from '../../base/result';
import { closeGap, generateColumns, priceStep, roundUp } from './columns';
import { lowerBound } from './lowerBound';
import type { BarJob } from './job';
import { type Pattern, maximalPatterns } from './patterns';
import { type IntegerSolver, lpText, toBars } from './linearProgram';
import { CENT, type CutBar, type CutPlan, costOf, bestFitDecreasing, stuffOf } from './bestFitDecreasing';
import { fewestSetUps, leastStock } from './tieBreaks';

/** Patterns that are all put before the integer programme. */
const LISTED = 1500;

/**
 * Weight that makes one programme prefer less stock among plans of one price: all of it together is worth less than
 * half of the smallest coin. 0 where prices are not whole hundredths, and a second programme breaks the tie.
 */
function tieBreak(job: BarJob, quick: CutPlan | undefined): number {
  if (job.stock.some((s) => Math.abs(s.price * 100 - Math.round(s.price * 100)) > 1e-9)) return 0;
  const longest = Math.max(...job.stock.map((s) => s.length));
  return quick ? 0.004 / (stuffOf(quick.bars) + longest * job.pieces.length * 4) : 0;
}

/**
 * Cuts every piece for the least price, then the least stock used, then the fewest set-ups.
 *
 * Small jobs: an integer programme over all maximal patterns, proven best. Larger ones: generated columns, then the patterns
 * that the gap leaves possible; the bound is shown where even those are too many.
 * @param solver solves programmes in LP format
 * @param seconds most time for one programme
 * @returns the plan, or a fault when limited stock cannot hold every piece
 */
export function solveBars(job: BarJob, solver: IntegerSolver, seconds = 10): Result<CutPlan> {
  if (job.pieces.every((p) => p.quantity === 0)) return ok({ cost: 0, bars: [], bound: 0, proven: true });
  const all = maximalPatterns(job, LISTED);
  return all ? solveListed(job, all, solver, seconds) : solveGenerated(job, solver, seconds);
}

/** Beyond so many pieces a plan within half a percent now is worth more than a proof later. */
const LARGE = 800;
const LARGE_SECONDS = 1;

const SHORT: Result<CutPlan> = fail('stock', 'There are not enough bars to cut every piece from.');

/** The integer programme over every maximal pattern. */
function solveListed(
  job: BarJob,
  patterns: readonly Pattern[],
  solver: IntegerSolver,
  seconds: number,
): Result<CutPlan> {
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const quick = bestFitDecreasing(job);
  const weight = patterns.length < 500 ? tieBreak(job, quick) : 0;
  const objective = (p: Pattern): number => price(p) + weight * (job.stock[p.stock]?.length ?? 0);
  const floor = lowerBound(job, (bar) => bar.price + weight * bar.length);
  const finish = (bars: readonly CutBar[], bound: number, proven: boolean): Result<CutPlan> => {
    const least = weight > 0 ? bars : leastStock(job, patterns, bars, solver, seconds);
    return ok({ cost: costOf(bars), bars: fewestSetUps(job, patterns, least, solver), bound, proven });
  };
  // Where the quick rule meets the floor there is nothing left to find.
  if (quick && quick.cost + weight * stuffOf(quick.bars) <= floor + 2 * CENT)
    return finish(quick.bars, quick.cost, true);
  const best = solver.solve(lpText(job, { patterns, objective, floor, integer: true }), seconds);
  const found = best.feasible ? toBars(job, patterns, best.values) : undefined;
  if (!found) return quick && !best.infeasible ? ok(quick) : SHORT;
  if (best.optimal) return finish(found, costOf(found), true);
  // Stopped before its proof: the linear programme over all patterns still bounds the price.
  const linear = solver.solve(lpText(job, { patterns, objective: price, integer: false }), seconds).objective;
  const least = lowerBound(job, (bar) => bar.price);
  const bound = roundUp(Math.max(linear, least), priceStep(job));
  return finish(found, Math.min(costOf(found), bound), costOf(found) <= bound + CENT);
}

/** Generated columns; then, where the gap can be closed, proof. */
function solveGenerated(job: BarJob, solver: IntegerSolver, patience: number): Result<CutPlan> {
  const pieces = job.pieces.reduce((sum, p) => sum + p.quantity, 0);
  const seconds = pieces > LARGE ? Math.min(patience, LARGE_SECONDS) : patience;
  const start = bestFitDecreasing(job);
  const columns = generateColumns(job, start, solver);
  const { patterns } = columns;
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const floor = lowerBound(job, (bar) => bar.price);
  const least = (bars: readonly CutBar[]): boolean => costOf(bars) <= floor + 2 * CENT;
  const best =
    start && least(start.bars)
      ? undefined
      : solver.solve(lpText(job, { patterns, objective: price, floor, integer: true }), seconds);
  const first = (best?.feasible ? toBars(job, patterns, best.values) : undefined) ?? start?.bars;
  if (!first) return SHORT;
  const found = start && start.cost < costOf(first) ? start.bars : first;
  const closed = least(found) ? 'none' : closeGap(job, columns, costOf(found), solver, seconds);
  const bars = closed === undefined || closed === 'none' ? found : closed;
  const cost = costOf(bars);
  const proven = closed !== undefined;
  return ok({
    cost,
    bars: leastStock(job, patterns, bars, solver, seconds),
    bound: proven ? cost : Math.min(cost, roundUp(Math.max(columns.bound, floor), priceStep(job))),
    proven,
  });
}
