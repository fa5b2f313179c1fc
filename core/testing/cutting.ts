/** Cutting jobs drawn at random, and whether a plan cuts what it should. */
import fc from 'fast-check';
import type { CutPlan } from '../make/cutting/bestFitDecreasing';
import type { BarJob } from '../make/cutting/job';

/** Jobs in which every piece goes on every bar: so many kinds of bar and of piece, and so many of each piece, at the most. */
export const barJobs = (bars: number, kinds: number, each: number): fc.Arbitrary<BarJob> =>
  fc.record({
    kerf: fc.constantFrom(0, 3),
    stock: fc.uniqueArray(
      fc.record({ length: fc.integer({ min: 900, max: 3600 }), price: fc.integer({ min: 3, max: 9 }) }),
      { minLength: 1, maxLength: bars, selector: (s) => s.length },
    ),
    pieces: fc.uniqueArray(
      fc.record({ length: fc.integer({ min: 200, max: 900 }), quantity: fc.integer({ min: 1, max: each }) }),
      { minLength: 1, maxLength: kinds, selector: (p) => p.length },
    ),
  });

/** Every bar feasible and as it is sold, every piece cut exactly as often as asked, no shelf bar used twice. */
export function expectSound(job: BarJob, plan: Pick<CutPlan, 'cost' | 'bars'>): void {
  const cut = new Map<number, number>();
  for (const bar of plan.bars) {
    expect(job.stock[bar.stock]).toMatchObject({ length: bar.stockLength, price: bar.price });
    const used = bar.pieces.reduce((sum, l) => sum + l + job.kerf, 0);
    expect(used).toBeLessThanOrEqual(bar.stockLength + job.kerf + 1e-6);
    for (const l of bar.pieces) cut.set(l, (cut.get(l) ?? 0) + 1);
  }
  const asked = new Map<number, number>();
  for (const p of job.pieces) if (p.quantity > 0) asked.set(p.length, (asked.get(p.length) ?? 0) + p.quantity);
  expect(cut).toEqual(asked);
  job.stock.forEach((s, i) => {
    if (s.available !== undefined)
      expect(plan.bars.filter((b) => b.stock === i).length).toBeLessThanOrEqual(s.available);
  });
  expect(plan.cost).toBeCloseTo(
    plan.bars.reduce((sum, b) => sum + b.price, 0),
    6,
  );
}
