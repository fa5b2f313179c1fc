import fc from 'fast-check';
import highsLoader from 'highs';
import { readFileSync } from 'node:fs';
import { lowerBound } from './lowerBound';
import { expectSound } from '../../testing/cutting';
import { highsSolver } from './highs';
import { type BarJob, readBarJob } from './job';
import type { IntegerSolver } from './linearProgram';
import { type CutPlan, bestFitDecreasing } from './bestFitDecreasing';
import { solveBars } from './solve';
import { setUpsOf } from './tieBreaks';

const known = JSON.parse(readFileSync('core/make/cutting/cutting.cases.json', 'utf8')) as {
  cases: (BarJob & { name: string; optimum: number })[];
};

let solver: IntegerSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});

function solved(job: BarJob, seconds?: number): CutPlan {
  const plan = solveBars(job, solver, seconds);
  if (!plan.ok) throw new Error(plan.faults[0]?.message);
  return plan.value;
}

test.each(known.cases)('$name', (job) => {
  const plan = solved(job);
  expectSound(job, plan);
  expect(plan.cost).toBeCloseTo(job.optimum, 6);
  expect(plan.bound).toBeCloseTo(job.optimum, 6);
  expect(plan.proven).toBe(true);
});

test('of two plans at one price the one that uses less stock is taken', () => {
  const job: BarJob = {
    kerf: 0,
    stock: [
      { length: 120, price: 5 },
      { length: 100, price: 5 },
    ],
    pieces: [{ length: 50, quantity: 2 }],
  };
  expect(solved(job).bars.map((b) => b.stockLength)).toEqual([100]);
});

test('of two plans at one price and one amount of stock the one with fewer set-ups is taken', () => {
  const job: BarJob = {
    kerf: 0,
    stock: [{ length: 100, price: 5 }],
    pieces: [
      { length: 60, quantity: 4 },
      { length: 40, quantity: 4 },
      { length: 50, quantity: 4 },
      { length: 30, quantity: 2 },
      { length: 20, quantity: 2 },
    ],
  };
  const plan = solved(job);
  expectSound(job, plan);
  expect([plan.cost, setUpsOf(plan.bars)]).toEqual([35, 3]);
});

test('a bowed bar gives short pieces only, in every way of solving', () => {
  const bowed = { length: 100, price: 0, available: 1, longestPiece: 50 };
  const job: BarJob = {
    kerf: 0,
    stock: [bowed, { length: 100, price: 5 }],
    pieces: [
      { length: 90, quantity: 1 },
      { length: 45, quantity: 2 },
    ],
  };
  for (const plan of [solved(job), bestFitDecreasing(job)]) {
    expect(plan?.cost).toBe(5);
    expect(plan?.bars.find((b) => b.stock === 0)?.pieces).toEqual([45, 45]);
  }
  expect(readBarJob({ ...job, stock: [bowed] })).toMatchObject({ ok: false, faults: [{ field: 'pieces[0].length' }] });
  // Many kinds of piece: generated columns keep to it too.
  const many: BarJob = {
    kerf: 0,
    stock: [
      { ...bowed, available: 9 },
      { length: 100, price: 5 },
    ],
    pieces: Array.from({ length: 24 }, (_, i) => ({ length: 11 + i * 3.3, quantity: 3 })),
  };
  for (const bar of solved(many).bars.filter((b) => b.stock === 0)) expect(Math.max(...bar.pieces)).toBeLessThan(50);
});

test('too little on the shelf and nothing to buy is a fault, not a short plan', () => {
  const job: BarJob = {
    kerf: 0,
    stock: [{ length: 100, price: 0, available: 1 }],
    pieces: [{ length: 60, quantity: 2 }],
  };
  expect(solveBars(job, solver)).toMatchObject({ ok: false, faults: [{ field: 'stock' }] });
});

const jobs: fc.Arbitrary<BarJob> = fc.record({
  kerf: fc.constantFrom(0, 3),
  stock: fc.constant<BarJob['stock']>([
    { length: 2400, price: 5.5 },
    { length: 3600, price: 8.1 },
    { length: 700, price: 0, available: 2 },
  ]),
  pieces: fc.uniqueArray(
    fc.record({ length: fc.integer({ min: 200, max: 2300 }), quantity: fc.integer({ min: 1, max: 6 }) }),
    {
      minLength: 1,
      maxLength: 6,
      selector: (p) => p.length,
    },
  ),
});

test('any job is cut soundly and never dearer than the quick plan', () => {
  fc.assert(
    fc.property(jobs, (job) => {
      const plan = solved(job);
      expectSound(job, plan);
      expect(plan.cost).toBeLessThanOrEqual((bestFitDecreasing(job)?.cost ?? Infinity) + 1e-6);
      expect(plan.bound).toBeLessThanOrEqual(plan.cost + 1e-6);
      // Whole bars by their length alone are a bound: proven plans cost no less, in money and in stuff.
      const stuff = plan.bars.reduce((sum, b) => sum + b.stockLength, 0);
      expect(lowerBound(job, (bar) => bar.price)).toBeLessThanOrEqual(plan.cost + 1e-6);
      expect(lowerBound(job, (bar) => bar.length)).toBeLessThanOrEqual(stuff + 1e-6);
    }),
    { numRuns: 60 },
  );
});

test('the bound by whole bars counts each bar whole, and no more of the shelf than there is', () => {
  const job: BarJob = {
    kerf: 0,
    stock: [
      { length: 10, price: 4.4 },
      { length: 20, price: 8.2 },
      { length: 9, price: 0, available: 1 },
    ],
    pieces: [{ length: 4.5, quantity: 10 }],
  };
  // 45 less the 9 on hand: two of 20, or one of 20 and two of 10; both hold 36.
  expect(lowerBound(job, (bar) => bar.price)).toBeCloseTo(16.4, 5);
  expect(solved(job)).toMatchObject({ proven: true });
});

test('a large job has a bound close to its price', () => {
  const pieces = Array.from({ length: 18 }, (_, i) => ({ length: 211 + 127 * i, quantity: 3 + (i % 5) }));
  const job: BarJob = {
    kerf: 3,
    stock: [
      { length: 2700, price: 5.5 },
      { length: 3600, price: 8.1 },
    ],
    pieces,
  };
  const plan = solved(job, 1);
  expectSound(job, plan);
  expect(plan.bound).toBeGreaterThan(0.98 * plan.cost);
});

test.each([
  [{ kerf: 0, stock: [], pieces: [] }, 'stock'],
  [{ kerf: -1, stock: [{ length: 1, price: 1 }], pieces: [] }, 'kerf'],
  [{ kerf: 0, stock: [{ length: 96, price: 4 }], pieces: [{ length: 97, quantity: 1 }] }, 'pieces[0].length'],
  [{ kerf: 0, stock: [{ length: 96, price: 4 }], pieces: [{ length: '9', quantity: 1 }] }, 'pieces[0].length'],
  [null, 'file'],
])('a bad job names the field: %j', (job, field) => {
  const read = readBarJob(job);
  expect(read.ok).toBe(false);
  if (!read.ok) expect(read.faults[0]?.field).toBe(field);
});

/** The least price of any plan, by trying every way to cut one piece after another from bars of every kind. */
function leastByHand(job: BarJob): number {
  const pieces = job.pieces.flatMap((p) => Array.from({ length: p.quantity }, () => p.length)).sort((a, b) => b - a);
  let best = Infinity;
  const open: { s: number; room: number }[] = [];
  const left = job.stock.map((s) => s.available ?? Infinity);
  const go = (at: number, cost: number): void => {
    if (cost >= best) return;
    const length = pieces[at];
    if (length === undefined) {
      best = cost;
      return;
    }
    const fits = (s: number, room: number): boolean =>
      length <= room + 1e-9 && length <= (job.stock[s]?.longestPiece ?? Infinity);
    for (const bar of open)
      if (fits(bar.s, bar.room)) {
        bar.room -= length + job.kerf;
        go(at + 1, cost);
        bar.room += length + job.kerf;
      }
    job.stock.forEach((bar, s) => {
      if ((left[s] ?? 0) <= 0 || !fits(s, bar.length)) return;
      left[s] = (left[s] ?? 0) - 1;
      open.push({ s, room: bar.length - length - job.kerf });
      go(at + 1, cost + bar.price);
      open.pop();
      left[s] = (left[s] ?? 0) + 1;
    });
  };
  go(0, 0);
  return best;
}

test('a bowed bar that is cheap stands in the way of no better plan', () => {
  // Two of 60 want good bars of 100: the cheaper, shorter, bowed ones hold nothing longer than 50.
  const job: BarJob = {
    kerf: 0,
    stock: [
      { length: 90, price: 3, longestPiece: 50 },
      { length: 100, price: 5 },
    ],
    pieces: [
      { length: 60, quantity: 2 },
      { length: 30, quantity: 2 },
    ],
  };
  expect(solved(job).cost).toBe(10);
});

test('whatever limits bars have, the plan that is called the best is the best', () => {
  const limited: fc.Arbitrary<BarJob> = fc.record({
    kerf: fc.constantFrom(0, 3),
    stock: fc.array(
      fc
        .record({
          length: fc.integer({ min: 60, max: 130 }),
          price: fc.integer({ min: 0, max: 9 }),
          available: fc.option(fc.integer({ min: 1, max: 3 }), { nil: undefined }),
          longestPiece: fc.option(fc.integer({ min: 20, max: 130 }), { nil: undefined }),
        })
        .map(({ available, longestPiece, ...bar }) => ({
          ...bar,
          ...(available !== undefined && { available }),
          ...(longestPiece !== undefined && { longestPiece }),
        })),
      { minLength: 1, maxLength: 4 },
    ),
    pieces: fc.uniqueArray(
      fc.record({ length: fc.integer({ min: 18, max: 110 }), quantity: fc.integer({ min: 1, max: 2 }) }),
      { minLength: 1, maxLength: 3, selector: (p) => p.length },
    ),
  });
  fc.assert(
    fc.property(limited, (job) => {
      const plan = solveBars(job, solver);
      const least = leastByHand(job);
      expect(plan.ok).toBe(Number.isFinite(least));
      if (plan.ok && plan.value.proven) expect(plan.value.cost).toBeCloseTo(least, 6);
      if (plan.ok) expect(plan.value.bound).toBeLessThanOrEqual(least + 1e-6);
    }),
    { numRuns: 300 },
  );
});
