/** Where cross ties go between two long rails: one rule for the drawing, the marks and the bow of the rail. */

/** Supports and what may stand where, along the rails, mm. */
export interface TieSite {
  /** Middles of both end boards. */
  readonly from: number;
  readonly to: number;
  /** Middles of ties beside every hoop: where its push is met. */
  readonly beside: readonly number[];
  /** A tie stands at least so far from a support, and from another tie: its own thickness, and room for a screw. */
  readonly apart: number;
}

/** The longest piece of rail between two supports, mm. */
export function longestFree({ from, to }: Pick<TieSite, 'from' | 'to'>, ties: readonly number[]): number {
  const supports = [from, ...ties, to].sort((a, b) => a - b);
  return Math.max(...supports.slice(1).map((x, i) => x - (supports[i] ?? from)));
}

/**
 * Places of so many ties: evenly spaced, and moved beside a hoop where the longest free rail stays so near to the even one that
 * each further tie shortens it. As many as there is room for.
 */
export function tiePlaces(count: number, site: TieSite): readonly number[] {
  const { from, to, beside, apart } = site;
  const run = to - from;
  const n = Math.min(count, Math.floor(run / apart) - 1);
  if (n < 1) return [];
  const even = (k: number): number => run / (k + 1);
  // Half-way to what one tie fewer would give.
  const most = (even(n) + even(n - 1)) / 2;
  let places = Array.from({ length: n }, (_, i) => from + even(n) * (i + 1));
  const nearest = (x: number): number =>
    beside.reduce((best, b) => (Math.abs(b - x) < Math.abs(best - x) ? b : best), Infinity);
  // The ones that have least to move come first.
  const order = places.map((x, i) => ({ i, off: Math.abs(nearest(x) - x) })).sort((a, b) => a.off - b.off);
  for (const { i } of order) {
    const to1 = nearest(places[i] ?? from);
    const moved = places.map((x, k) => (k === i ? to1 : x));
    const clear = [from, ...moved.filter((_, k) => k !== i), to].every((x) => Math.abs(x - to1) >= apart);
    if (Number.isFinite(to1) && clear && longestFree(site, moved) <= most + 1e-6) places = moved;
  }
  return places;
}
