import type { BarJob } from './job';

/** One way to fill one bar: how many of each piece. */
export interface Pattern {
  readonly stock: number;
  readonly counts: readonly number[];
  /** Bar length taken up: pieces and the kerfs between them. */
  readonly used: number;
}

const SLACK = 1e-6;
/** Beyond so many steps of a search it is given up. */
const MOST_VISITS = 1_000_000;

/** How many more of a piece go into what room is left on a bar. */
function fitting(job: BarJob, stock: number, i: number, room: number): number {
  const piece = job.pieces[i];
  if (!piece || piece.length > (job.stock[stock]?.longestPiece ?? Infinity) + SLACK) return 0;
  return Math.min(piece.quantity, Math.floor((room + SLACK) / (piece.length + job.kerf)));
}

/**
 * Every maximal pattern of every stock length (no further wanted piece fits), or undefined when there are more than the limit.
 * Maximal patterns suffice because demand may be over-fulfilled and surplus pieces simply not cut.
 */
export function maximalPatterns(job: BarJob, limit: number): readonly Pattern[] | undefined {
  const order = job.pieces.map((_, i) => i).filter((i) => (job.pieces[i]?.quantity ?? 0) > 0);
  order.sort((a, b) => (job.pieces[b]?.length ?? 0) - (job.pieces[a]?.length ?? 0));
  const found: Pattern[] = [];
  const counts = new Array<number>(job.pieces.length).fill(0);
  let visits = 0;

  const fill = (stock: number, at: number, room: number): boolean => {
    // Few patterns may hide among very many ways that are none.
    if (++visits > MOST_VISITS) return false;
    const index = order[at];
    if (index === undefined) {
      const maximal = order.every(
        (i) => (counts[i] ?? 0) >= (job.pieces[i]?.quantity ?? 0) || fitting(job, stock, i, room) < 1,
      );
      if (!maximal || counts.every((c) => c === 0)) return true;
      found.push({ stock, counts: [...counts], used: (job.stock[stock]?.length ?? 0) - room });
      return found.length <= limit;
    }
    const piece = job.pieces[index];
    if (!piece) return true;
    for (let c = fitting(job, stock, index, room); c >= 0; c--) {
      counts[index] = c;
      if (!fill(stock, at + 1, room - c * (piece.length + job.kerf))) return false;
    }
    counts[index] = 0;
    return true;
  };

  for (let s = 0; s < job.stock.length; s++) {
    const bar = job.stock[s];
    if (!bar || bar.available === 0) continue;
    if (!fill(s, 0, bar.length + job.kerf)) return undefined;
  }
  // A pattern that also fits a bar no dearer, no longer, without a limit and good for its longest piece is never needed.
  return found.filter((p) => {
    const own = job.stock[p.stock];
    const longest = p.counts.reduce((most, n, i) => (n > 0 ? Math.max(most, job.pieces[i]?.length ?? 0) : most), 0);
    return !job.stock.some((s, i) => {
      if (!own || i === p.stock || s.available !== undefined || s.length >= own.length || s.price > own.price)
        return false;
      return p.used <= s.length + SLACK && longest <= (s.longestPiece ?? Infinity) + SLACK;
    });
  });
}

/** Pieces that are worth something, the most worth for their length first. */
export function byWorth(job: BarJob, worth: readonly number[]): readonly number[] {
  const rate = (i: number): number => (worth[i] ?? 0) / ((job.pieces[i]?.length ?? 1) + job.kerf);
  return job.pieces
    .map((_, i) => i)
    .filter((i) => (worth[i] ?? 0) > 1e-12 && (job.pieces[i]?.quantity ?? 0) > 0)
    .sort((a, b) => rate(b) - rate(a));
}

/** What no pattern of a stock is worth more than: pieces by worth, the last one in part. */
export function fractionalWorth(
  job: BarJob,
  stock: number,
  order: readonly number[],
  worth: readonly number[],
): number {
  let room = (job.stock[stock]?.length ?? 0) + job.kerf;
  let sum = 0;
  for (const i of order) {
    const size = (job.pieces[i]?.length ?? 1) + job.kerf;
    const take = Math.min(job.pieces[i]?.quantity ?? 0, room / size);
    sum += take * (worth[i] ?? 0);
    room -= take * size;
    if (room <= SLACK) break;
  }
  return sum;
}

/**
 * Best new pattern for a stock length at given worths of the pieces: a bounded knapsack by branch and bound.
 * `worthAtMost` is what no pattern is worth more than, also where the search was given up.
 * Source: P. C. Gilmore and R. E. Gomory, Operations Research 11 (1963) 863-888.
 */
export function bestPattern(
  job: BarJob,
  stock: number,
  worth: readonly number[],
  order: readonly number[] = byWorth(job, worth),
): { readonly pattern: Pattern; readonly worth: number; readonly worthAtMost: number } {
  const size = (i: number): number => (job.pieces[i]?.length ?? 1) + job.kerf;
  const total = (job.stock[stock]?.length ?? 0) + job.kerf;
  let best = 0;
  let bestCounts = new Array<number>(job.pieces.length).fill(0);
  let bestRoom = total;
  const counts = new Array<number>(job.pieces.length).fill(0);
  let budget = 50_000;
  const go = (at: number, room: number, value: number): void => {
    if (value > best + 1e-12) {
      best = value;
      bestCounts = [...counts];
      bestRoom = room;
    }
    const i = order[at];
    if (i === undefined || budget-- <= 0) return;
    if (value + (room * (worth[i] ?? 0)) / size(i) <= best + 1e-12) return;
    for (let c = fitting(job, stock, i, room); c >= 0; c--) {
      counts[i] = c;
      go(at + 1, room - c * size(i), value + c * (worth[i] ?? 0));
    }
    counts[i] = 0;
  };
  go(0, total, 0);
  const pattern = { stock, counts: bestCounts, used: (job.stock[stock]?.length ?? 0) - bestRoom };
  return { pattern, worth: best, worthAtMost: budget > 0 ? best : fractionalWorth(job, stock, order, worth) };
}

/**
 * Every maximal pattern whose bar costs at most `slack` more than its pieces are worth, or undefined beyond the limit.
 * With worths from the linear programme and slack its gap to a known plan, no better plan uses any other pattern.
 * Source: reduced-cost variable fixing; e.g. G. L. Nemhauser and L. A. Wolsey, Integer and Combinatorial Optimization, sec. II.5.2.
 * @param barCost what a bar of each stock costs, with the worth of its scarcity
 */
export function patternsWithin(
  job: BarJob,
  worth: readonly number[],
  barCost: readonly number[],
  slack: number,
  limit: number,
): readonly Pattern[] | undefined {
  const size = (i: number): number => (job.pieces[i]?.length ?? 1) + job.kerf;
  const order = job.pieces.map((_, i) => i).filter((i) => (job.pieces[i]?.quantity ?? 0) > 0);
  order.sort((a, b) => (worth[b] ?? 0) / size(b) - (worth[a] ?? 0) / size(a));
  const smallest = Math.min(...order.map(size));
  const found: Pattern[] = [];
  const counts = new Array<number>(job.pieces.length).fill(0);
  let visits = 0;

  const fill = (stock: number, at: number, room: number, missing: number): boolean => {
    if (++visits > 2 * MOST_VISITS) return false;
    const index = order[at];
    if (index === undefined) {
      const maximal =
        room < smallest - SLACK ||
        order.every((i) => (counts[i] ?? 0) >= (job.pieces[i]?.quantity ?? 0) || fitting(job, stock, i, room) < 1);
      if (!maximal || missing > slack + SLACK) return true;
      found.push({ stock, counts: [...counts], used: (job.stock[stock]?.length ?? 0) - room });
      return found.length <= limit;
    }
    // Pieces come by worth for their size, so the rest of the bar cannot be worth more than this.
    if (missing - (room * (worth[index] ?? 0)) / size(index) > slack + SLACK) return true;
    for (let c = fitting(job, stock, index, room); c >= 0; c--) {
      counts[index] = c;
      if (!fill(stock, at + 1, room - c * size(index), missing - c * (worth[index] ?? 0))) return false;
    }
    counts[index] = 0;
    return true;
  };

  for (let s = 0; s < job.stock.length; s++) {
    const bar = job.stock[s];
    if (!bar || bar.available === 0) continue;
    if (!fill(s, 0, bar.length + job.kerf, barCost[s] ?? bar.price)) return undefined;
  }
  return found;
}
