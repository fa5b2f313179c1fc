/** The quick rule: a plan that is found in an instant, and mostly the best, for comparing many designs. */
import { type CutPlan, CENT, bestFitDecreasing, costOf, onCheapest } from './bestFitDecreasing';
import { AT_ONCE, cheapestBySearch } from './choices';
import type { BarJob } from './job';
import { lowerBound } from './lowerBound';

/**
 * Best fit on the cheapest bars that hold it; where cheaper choices of bars are few, the first of them that is soon seen to hold the
 * pieces. Never proven; undefined where limited stock runs out on the way.
 */
export function quickPlan(job: BarJob): CutPlan | undefined {
  const filled = bestFitDecreasing(job);
  const plan = filled && onCheapest(job, filled);
  const least = lowerBound(job, (bar) => bar.price);
  if (!plan || plan.cost <= least + 2 * CENT) return plan;
  // Only what is cheaper: of one price any will do.
  const { bars = plan.bars } = cheapestBySearch(job, least, { cost: plan.cost, length: 0 }, AT_ONCE);
  return { ...plan, cost: costOf(bars), bars };
}
