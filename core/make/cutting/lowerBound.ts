import type { BarJob } from './job';
import { CENT } from './bestFitDecreasing';

/** Beyond so many steps the fractional bound has to do. */
const MOST_STEPS = 100_000;

/**
 * The least that whole bars come to whose length together is that of all pieces and their cuts: however they are cut, no plan goes
 * below it. A covering knapsack in as many unknowns as there are stock lengths, by branch and bound.
 * @param value what a bar counts for: its price, its length, or both
 */
export function lowerBound(job: BarJob, value: (bar: BarJob['stock'][number]) => number): number {
  const need = job.pieces.reduce((total, p) => total + p.quantity * (p.length + job.kerf), 0);
  const bars = job.stock
    .map((bar) => ({ length: bar.length + job.kerf, value: value(bar), most: bar.available ?? Infinity }))
    .sort((a, b) => a.value / a.length - b.value / b.length);
  let best = Infinity;
  let steps = 0;
  const go = (at: number, left: number, sofar: number): void => {
    if (left <= CENT) {
      best = Math.min(best, sofar);
      return;
    }
    const bar = bars[at];
    // The cheapest by length come first, so what is left costs at least this.
    if (!bar || sofar + (left * bar.value) / bar.length >= best - 1e-9 || ++steps > MOST_STEPS) return;
    const most = Math.min(bar.most, Math.ceil(left / bar.length - 1e-9));
    for (let count = most; count >= 0; count--) go(at + 1, left - count * bar.length, sofar + count * bar.value);
  };
  go(0, need, 0);
  const cheapest = bars[0];
  const fractional = cheapest ? (need * cheapest.value) / cheapest.length : 0;
  return (steps > MOST_STEPS || best === Infinity ? fractional : best) - CENT;
}
