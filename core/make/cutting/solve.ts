import { type Result, fail, ok } from '../../base/result';
import { closeGap, generateColumns, priceStep, roundUp } from './columns';
import { type ChosenBars, SEARCHED, cheapestBySearch, cheapestChoice, planToBetter } from './choices';
import { lowerBound } from './lowerBound';
import type { BarJob } from './job';
import { type Pattern, maximalPatterns } from './patterns';
import { type IntegerSolver, type TimeLeft, lpText, timeLeft, toBars } from './linearProgram';
import { CENT, type CutBar, type CutPlan, costOf, bestFitDecreasing, stuffOf } from './bestFitDecreasing';
import { quickPlan } from './quick';
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

/** Most time for one job, seconds; small ones are proven in far less. */
const PATIENCE = 2.4;

/**
 * Cuts every piece for the least price, then the least stock used, then the fewest set-ups.
 *
 * Small jobs: an integer programme over all maximal patterns, proven best. Larger ones: generated columns, then the patterns
 * that the gap leaves possible; where the time is up before the proof, the best so far with its bound.
 * @param solver solves programmes in LP format
 * @param seconds most time for the whole job
 * @returns the plan, or a fault when limited stock cannot hold every piece
 */
export function solveBars(
  job: BarJob,
  solver: IntegerSolver,
  seconds = PATIENCE * (solver.patience ?? 1),
): Result<CutPlan> {
  if (job.pieces.every((p) => p.quantity === 0)) return ok({ cost: 0, bars: [], bound: 0, proven: true });
  const left = timeLeft(solver, seconds);
  const wanted = withoutNeedless(job);
  const few = wanted.stock.length <= LISTED_STOCKS && wanted.pieces.length <= LISTED_KINDS;
  const all = few ? maximalPatterns(wanted, LISTED) : undefined;
  const plan = all ? solveListed(wanted, all, solver, left) : solveGenerated(wanted, solver, left);
  if (!plan.ok) return plan;
  // Back to the places that the bars have in the job as it was asked.
  const place = wanted.stock.map((bar) => job.stock.indexOf(bar));
  return ok({ ...plan.value, bars: plan.value.bars.map((bar) => ({ ...bar, stock: place[bar.stock] ?? 0 })) });
}

/** Kinds of bar and of piece among which patterns are listed. */
const LISTED_STOCKS = 200;
const LISTED_KINDS = 60;

/** The job without bars that hold no piece: offcuts of the shelf, mostly. */
function withoutNeedless(job: BarJob): BarJob {
  const pieces = job.pieces.filter((p) => p.quantity > 0);
  const shortest = Math.min(...pieces.map((p) => p.length));
  const stock = job.stock.filter(
    (s) => s.available !== 0 && Math.min(s.length, s.longestPiece ?? Infinity) + CENT >= shortest,
  );
  return { ...job, pieces, stock };
}

const SHORT: Result<CutPlan> = fail('stock', 'There are not enough bars to cut every piece from.');
const NOT_FOUND: Result<CutPlan> = fail(
  'stock',
  'No way was found in the time there is to cut every piece from these bars: there may be too few of them.',
);

/** What of the time goes into choices of bars; the rest is for the programme over all of them. */
const share = (solver: IntegerSolver, left: TimeLeft): TimeLeft => timeLeft(solver, 0.6 * left());

/** A plan, or the better one that was found for it. */
const bettered = (plan: CutPlan, { bars = plan.bars }: ChosenBars): CutPlan => ({ ...plan, bars, cost: costOf(bars) });

/** The integer programme over every maximal pattern. */
function solveListed(
  job: BarJob,
  patterns: readonly Pattern[],
  solver: IntegerSolver,
  left: TimeLeft,
): Result<CutPlan> {
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  let quick = quickPlan(job);
  const weight = patterns.length < 500 ? tieBreak(job, quick) : 0;
  const objective = (p: Pattern): number => price(p) + weight * (job.stock[p.stock]?.length ?? 0);
  const floor = lowerBound(job, (bar) => bar.price + weight * bar.length);
  const tidied = (bars: readonly CutBar[], bound: number, proven: boolean): Result<CutPlan> =>
    ok({ cost: costOf(bars), bars: fewestSetUps(job, patterns, bars, solver, left), bound, proven });
  const finish = (bars: readonly CutBar[], bound: number, proven: boolean): Result<CutPlan> =>
    tidied(weight > 0 ? bars : leastStock(job, patterns, bars, solver, left), bound, proven);
  // Where the quick rule meets the floor there is nothing left to find.
  if (quick && quick.cost + weight * stuffOf(quick.bars) <= floor + 2 * CENT)
    return finish(quick.bars, quick.cost, true);
  // Of the shelf all is taken at first; what of it is not needed is found out then.
  const settle = job.stock.some((bar) => bar.price === 0) ? finish : tidied;
  const least = lowerBound(job, (bar) => bar.price);
  if (quick) {
    const soon = cheapestBySearch(job, least, planToBetter(quick.bars), SEARCHED);
    if (soon.proven) return settle(soon.bars ?? quick.bars, soon.bound, true);
    quick = bettered(quick, soon);
  }
  // The linear programme over all patterns bounds the price, wherever the search is stopped.
  const linear = solver.solve(lpText(job, { patterns, objective: price, integer: false }), left());
  const atLeast = linear.optimal ? linear.objective : 0;
  // Which bars to take is soon gone through: most choices do not hold the pieces even in parts.
  if (quick) {
    const chosen = cheapestChoice(job, patterns, atLeast, planToBetter(quick.bars), solver, share(solver, left));
    if (chosen.proven) return settle(chosen.bars ?? quick.bars, chosen.bound, true);
    quick = bettered(quick, chosen);
  }
  const best = solver.solve(lpText(job, { patterns, objective, floor, integer: true }), left());
  if (best.infeasible) return SHORT;
  const answer = best.feasible ? toBars(job, patterns, best.values) : undefined;
  if (answer && best.optimal) return finish(answer, costOf(answer), true);
  const found = answer && !(quick && quick.cost < costOf(answer)) ? answer : quick?.bars;
  if (!found) return NOT_FOUND;
  const bound = roundUp(Math.max(atLeast, least), priceStep(job));
  return finish(found, Math.min(costOf(found), bound), costOf(found) <= bound + CENT);
}

/** Generated columns; then, where the gap can be closed, proof. */
function solveGenerated(job: BarJob, solver: IntegerSolver, left: TimeLeft): Result<CutPlan> {
  const start = bestFitDecreasing(job);
  const floor = lowerBound(job, (bar) => bar.price);
  const least = (bars: readonly CutBar[]): boolean => costOf(bars) <= floor + 2 * CENT;
  // Beyond any garden: the quick plan, and how far it can be from the best.
  if (start && job.pieces.length * job.stock.length > MOST_PAIRS)
    return ok({ ...start, bound: Math.min(start.cost, roundUp(floor, priceStep(job))), proven: least(start.bars) });
  const shared = timeLeft(solver, COLUMNS_SHARE * left());
  const columns = generateColumns(job, start, solver, shared);
  const { patterns } = columns;
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const best =
    start && least(start.bars)
      ? undefined
      : solver.solve(lpText(job, { patterns, objective: price, floor, integer: true }), left() / 2);
  const first = (best?.feasible ? toBars(job, patterns, best.values) : undefined) ?? start?.bars;
  if (!first) return NOT_FOUND;
  const found = start && start.cost < costOf(first) ? start.bars : first;
  const closed = least(found)
    ? { bars: found, bound: costOf(found), proven: true }
    : closeGap(job, columns, planToBetter(found), solver, left);
  const bars = closed.bars ?? found;
  const cost = costOf(bars);
  return ok({
    cost,
    bars: leastStock(job, patterns, bars, solver, left),
    bound: closed.proven ? cost : Math.min(cost, roundUp(Math.max(closed.bound, floor), priceStep(job))),
    proven: closed.proven,
  });
}

/** Kinds of piece by kinds of bar, beyond which nothing but the quick rule is tried. */
const MOST_PAIRS = 100_000;
/** What of the time goes into generating columns at the most. */
const COLUMNS_SHARE = 0.4;
