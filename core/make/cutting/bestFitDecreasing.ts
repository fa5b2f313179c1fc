import type { BarJob } from './job';

export interface CutBar {
  readonly stockLength: number;
  readonly price: number;
  /** Index into the job's stock. */
  readonly stock: number;
  readonly pieces: readonly number[];
}

/** Bars to cut and what has been proven about their price. */
export interface CutPlan {
  readonly cost: number;
  readonly bars: readonly CutBar[];
  /** No plan costs less than this. */
  readonly bound: number;
  readonly proven: boolean;
}

/** Prices and lengths nearer than this are one. */
export const CENT = 1e-6;

/** What the bars of a plan cost. */
export function costOf(bars: readonly CutBar[]): number {
  return Math.round(bars.reduce((total, bar) => total + bar.price, 0) * 1e8) / 1e8;
}

/** How much stock the bars of a plan are, in the job's unit of length. */
export function stuffOf(bars: readonly CutBar[]): number {
  return bars.reduce((total, bar) => total + bar.stockLength, 0);
}

/** Best fit, longest piece first: a plan to start from, never proven; undefined when limited stock runs out on the way. */
export function bestFitDecreasing(job: BarJob): CutPlan | undefined {
  const left = job.stock.map((s) => s.available ?? Infinity);
  const open: { stock: number; room: number; pieces: number[] }[] = [];
  const all = job.pieces.flatMap((p) => Array.from({ length: p.quantity }, () => p.length)).sort((a, b) => b - a);
  let remaining = all.reduce((total, l) => total + l + job.kerf, 0);
  for (const length of all) {
    const need = length + job.kerf;
    const fits = open
      .filter((b) => b.room >= need - CENT && length <= (job.stock[b.stock]?.longestPiece ?? Infinity) + CENT)
      .sort((a, b) => a.room - b.room)[0];
    const into = fits ?? openBar(job, left, need, remaining);
    if (!into) return undefined;
    if (!fits) open.push(into);
    into.room -= need;
    into.pieces.push(length);
    remaining -= need;
  }
  const bars = open.map((b) => ({
    stockLength: job.stock[b.stock]?.length ?? 0,
    price: job.stock[b.stock]?.price ?? 0,
    stock: b.stock,
    pieces: b.pieces,
  }));
  return { cost: costOf(bars), bars, bound: 0, proven: false };
}

function openBar(
  job: BarJob,
  left: number[],
  need: number,
  remaining: number,
): { stock: number; room: number; pieces: number[] } | undefined {
  let best = -1;
  let bestRate = Infinity;
  job.stock.forEach((bar, s) => {
    if ((left[s] ?? 0) <= 0 || Math.min(bar.length, bar.longestPiece ?? Infinity) + job.kerf < need - CENT) return;
    const rate = bar.price / Math.min(bar.length, Math.max(need, remaining)) + bar.length * 1e-12;
    if (rate < bestRate) {
      bestRate = rate;
      best = s;
    }
  });
  if (best < 0) return undefined;
  left[best] = (left[best] ?? 1) - 1;
  return { stock: best, room: (job.stock[best]?.length ?? 0) + job.kerf, pieces: [] };
}
