import fc from 'fast-check';
import highsLoader from 'highs';
import { bestFitDecreasing, costOf, stuffOf } from './bestFitDecreasing';
import { cheapestChoice, cutFrom } from './choices';
import { generateColumns } from './columns';
import { barJobs, expectSound } from '../../testing/cutting';
import { highsSolver } from './highs';
import type { BarJob } from './job';
import { type IntegerSolver, lpText, timeLeft } from './linearProgram';
import { maximalPatterns } from './patterns';
import { solveBars } from './solve';

let solver: IntegerSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});

const HAND = { cost: 1e6, length: 1e9 };
function chosen(job: BarJob, bound = 0, hand = HAND) {
  return cheapestChoice(job, maximalPatterns(job, 5000) ?? [], bound, hand, solver, timeLeft(solver, 20));
}

test('the cheapest bars that hold the pieces, by hand', () => {
  // 5 + 5 into a 10; 6 + 4 into a 10; 3 + 3 into a 6. One 26 for 7 would hold 26 of length, but a 20 and a 6 cost 6.4.
  const job: BarJob = {
    kerf: 0,
    stock: [
      { length: 6, price: 1.4 },
      { length: 10, price: 2.7 },
      { length: 20, price: 5 },
      { length: 26, price: 7 },
    ],
    pieces: [
      { length: 6, quantity: 1 },
      { length: 5, quantity: 2 },
      { length: 4, quantity: 1 },
      { length: 3, quantity: 2 },
    ],
  };
  const plan = chosen(job);
  expect(plan.proven).toBe(true);
  expect(costOf(plan.bars ?? [])).toBeCloseTo(6.4, 6);
  expect(plan.bars?.map((b) => b.stockLength).sort((a, b) => a - b)).toEqual([6, 20]);
  // Nothing is better than that plan.
  expect(chosen(job, 0, { cost: 6.4, length: 26 })).toEqual({ bars: undefined, bound: 6.4, proven: true });
});

test('of one price the shorter bars are taken, and no more of the shelf than there is', () => {
  const job: BarJob = {
    kerf: 1,
    stock: [
      { length: 12, price: 3 },
      { length: 10, price: 3 },
      { length: 10, price: 0, available: 1 },
    ],
    pieces: [{ length: 9.5, quantity: 2 }],
  };
  expect(chosen(job).bars?.map((b) => [b.stockLength, b.price])).toEqual([
    [10, 3],
    [10, 0],
  ]);
});

test('one long bar or two short ones at one price: those that are less of it', () => {
  const job: BarJob = {
    kerf: 0,
    stock: [
      { length: 24, price: 6 },
      { length: 11, price: 3 },
    ],
    pieces: [{ length: 10.5, quantity: 2 }],
  };
  expect(chosen(job).bars?.map((b) => b.stockLength)).toEqual([11, 11]);
});

const jobs = barJobs(3, 5, 4);

test('it costs what one integer programme over every pattern costs, and holds every piece', () => {
  fc.assert(
    fc.property(jobs, (job) => {
      const patterns = maximalPatterns(job, 20_000);
      if (!patterns) return;
      const price = (p: { readonly stock: number }): number => job.stock[p.stock]?.price ?? 0;
      const whole = solver.solve(lpText(job, { patterns, objective: price, integer: true }), 10);
      const plan = chosen(job);
      if (!whole.optimal || !plan.proven) return;
      expect(costOf(plan.bars ?? [])).toBeCloseTo(whole.objective, 6);
      expectSound(job, { cost: whole.objective, bars: plan.bars ?? [] });
      // The quick rule is never better.
      const quick = bestFitDecreasing(job);
      if (quick) expect(costOf(plan.bars ?? [])).toBeLessThanOrEqual(quick.cost + 1e-6);
      expect(stuffOf(plan.bars ?? [])).toBeGreaterThan(0);
    }),
    { numRuns: 80 },
  );
});

test('a bound from columns that were not all generated is still one', () => {
  fc.assert(
    fc.property(jobs, fc.integer({ min: 1, max: 3 }), (job, rounds) => {
      const patterns = maximalPatterns(job, 20_000);
      if (!patterns) return;
      const price = (p: { readonly stock: number }): number => job.stock[p.stock]?.price ?? 0;
      const whole = solver.solve(lpText(job, { patterns, objective: price, integer: true }), 10);
      // Each round asks twice or more how much time is left.
      let asked = 0;
      const { bound } = generateColumns(job, bestFitDecreasing(job), solver, () => (++asked > 2 * rounds ? 0 : 1));
      expect(bound).toBeLessThanOrEqual(whole.objective + 1e-6);
      expect(bound).toBeGreaterThan(0.3 * whole.objective);
    }),
    { numRuns: 60 },
  );
});

test('a small plan that took ten seconds of one programme is proven in one', () => {
  // Eight lengths and three bars at nearly one price by length: the programme over all patterns does not end.
  const job: BarJob = {
    kerf: 3,
    stock: [
      { length: 2432.05, price: 4.93 },
      { length: 3041.65, price: 6.67 },
      { length: 3651.25, price: 8.41 },
    ],
    pieces: [1460, 1383, 866, 779, 412, 363, 236, 187].map((length, i) => ({ length, quantity: 2 + (i % 3) })),
  };
  const plan = solveBars(job, solver, 60);
  expect(plan).toMatchObject({ ok: true, value: { proven: true } });
});

test('that pieces do not go on some bars is found in few steps: short bars first, and no more waste than there is', () => {
  const pieces = [
    { length: 700, quantity: 3 },
    { length: 520, quantity: 4 },
    { length: 410, quantity: 5 },
    { length: 290, quantity: 4 },
    { length: 130, quantity: 3 },
  ];
  // 7,837 of pieces and cuts: on three of 1000 and two of 2440 58 are left over, on two of 1500 and two of 2440 55.
  const tried = (counts: readonly number[], lengths: readonly number[]) => {
    const steps = { left: 1e6 };
    const stock = lengths.map((length) => ({ length, price: length }));
    const bars = cutFrom({ kerf: 3, stock, pieces }, { counts, price: 0, length: 0 }, steps);
    return { bars: typeof bars === 'object' ? bars.length : bars, steps: 1e6 - steps.left };
  };
  for (const turned of [false, true]) {
    const at = <T>(list: readonly T[]): readonly T[] => (turned ? list.toReversed() : list);
    const on = (...counts: readonly number[]) => tried(at(counts), at([1000, 1500, 2440]));
    expect(on(3, 0, 2)).toEqual({ bars: 5, steps: 41 });
    expect(on(2, 4, 0)).toEqual({ bars: 6, steps: 36 });
    // Gone through whole: a hundred thousand steps where any bar might waste anything.
    expect(on(0, 2, 2)).toEqual({ bars: 'none', steps: 2025 });
    expect(on(3, 3, 0)).toEqual({ bars: 'none', steps: 59 });
  }
});
