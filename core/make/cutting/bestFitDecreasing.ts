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
  // So many of one price at a time: a long sum of them would drift.
  const counts = new Map<number, number>();
  for (const { price } of bars) counts.set(price, (counts.get(price) ?? 0) + 1);
  return Math.round([...counts].reduce((total, [price, count]) => total + price * count, 0) * 1e8) / 1e8;
}

/** How much stock the bars of a plan are, in the job's unit of length. */
export function stuffOf(bars: readonly CutBar[]): number {
  return bars.reduce((total, bar) => total + bar.stockLength, 0);
}

/** Beyond so many pieces, bars of one kind are filled alike: looking for the best fit of every piece takes too long. */
const ONE_BY_ONE = 3000;

/** Best fit, longest piece first: a plan to start from, never proven; undefined when limited stock runs out on the way. */
export function bestFitDecreasing(job: BarJob): CutPlan | undefined {
  const left = job.stock.map((s) => s.available ?? Infinity);
  const total = job.pieces.reduce((sum, p) => sum + p.quantity, 0);
  const open = total > ONE_BY_ONE ? filledAlike(job, left) : filledOneByOne(job, left);
  const bars = open?.map((b) => ({
    stockLength: job.stock[b.stock]?.length ?? 0,
    price: job.stock[b.stock]?.price ?? 0,
    stock: b.stock,
    pieces: b.pieces,
  }));
  return bars && { cost: costOf(bars), bars, bound: 0, proven: false };
}

interface OpenBar {
  readonly stock: number;
  room: number;
  readonly pieces: number[];
}

function filledOneByOne(job: BarJob, left: number[]): readonly OpenBar[] | undefined {
  const open: OpenBar[] = [];
  const all = job.pieces.flatMap((p) => Array.from({ length: p.quantity }, () => p.length)).sort((a, b) => b - a);
  let remaining = all.reduce((sum, l) => sum + l + job.kerf, 0);
  for (const length of all) {
    const need = length + job.kerf;
    let into: OpenBar | undefined;
    for (const b of open)
      if (b.room >= need - CENT && length <= longestOn(job, b.stock) + CENT && b.room < (into?.room ?? Infinity))
        into = b;
    if (!into) {
      into = openBar(job, left, need, remaining);
      if (!into) return undefined;
      open.push(into);
    }
    into.room -= need;
    into.pieces.push(length);
    remaining -= need;
  }
  return open;
}

/** The same pieces on the same number of bars, each the cheapest that holds its own, and of one price the shortest. */
export function onCheapest(job: BarJob, plan: CutPlan): CutPlan {
  const left = job.stock.map((s) => s.available ?? Infinity);
  for (const bar of plan.bars) left[bar.stock] = (left[bar.stock] ?? 0) - 1;
  const bars = plan.bars.map((bar): CutBar => {
    const need = bar.pieces.reduce((sum, length) => sum + length + job.kerf, 0);
    const longest = Math.max(...bar.pieces);
    left[bar.stock] = (left[bar.stock] ?? 0) + 1;
    let best = bar;
    job.stock.forEach(({ length, price }, stock) => {
      if ((left[stock] ?? 0) <= 0 || length + job.kerf < need - CENT || longestOn(job, stock) < longest - CENT) return;
      if (price < best.price - CENT || (price < best.price + CENT && length < best.stockLength - CENT))
        best = { ...bar, stock, price, stockLength: length };
    });
    left[best.stock] = (left[best.stock] ?? 0) - 1;
    return best;
  });
  return { ...plan, cost: costOf(bars), bars };
}

const longestOn = (job: BarJob, stock: number): number => job.stock[stock]?.longestPiece ?? Infinity;

/** Bar after bar is filled from the longest piece down, and cut as often as the pieces last. */
function filledAlike(job: BarJob, left: number[]): readonly OpenBar[] | undefined {
  let kinds = job.pieces.map((p) => ({ ...p, need: p.length + job.kerf })).sort((a, b) => b.length - a.length);
  let remaining = kinds.reduce((sum, k) => sum + k.quantity * k.need, 0);
  const done: OpenBar[] = [];
  for (;;) {
    kinds = kinds.filter((k) => k.quantity > 0);
    const [first] = kinds;
    if (!first) return done;
    const shortest = kinds.at(-1)?.need ?? 0;
    const bar = openBar(job, left, first.need, remaining);
    if (!bar) return undefined;
    const pieces: number[] = [];
    const takes: { readonly k: (typeof kinds)[number]; readonly count: number }[] = [];
    let times = 1 + (left[bar.stock] ?? 0);
    for (const k of kinds) {
      if (bar.room < shortest - CENT) break;
      if (bar.room < k.need - CENT || k.length > longestOn(job, bar.stock) + CENT) continue;
      const count = Math.min(k.quantity, Math.floor((bar.room + CENT) / k.need));
      bar.room -= count * k.need;
      takes.push({ k, count });
      for (let n = 0; n < count; n++) pieces.push(k.length);
      times = Math.min(times, Math.floor(k.quantity / count));
    }
    left[bar.stock] = (left[bar.stock] ?? 0) - (times - 1);
    for (const { k, count } of takes) {
      k.quantity -= count * times;
      remaining -= count * times * k.need;
    }
    for (let n = 0; n < times; n++) done.push({ stock: bar.stock, room: bar.room, pieces });
  }
}

function openBar(job: BarJob, left: number[], need: number, remaining: number): OpenBar | undefined {
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
