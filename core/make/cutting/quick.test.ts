import fc from 'fast-check';
import { bestFitDecreasing, onCheapest } from './bestFitDecreasing';
import type { BarJob } from './job';
import { barJobs, expectSound } from '../../testing/cutting';
import { lowerBound } from './lowerBound';
import { quickPlan } from './quick';

const cuts = (job: BarJob) =>
  quickPlan(job)
    ?.bars.map((b) => `${b.stockLength}: ${b.pieces.join(' ')}`)
    .sort();

test('where longest first fills bars badly, another choice of bars is found', () => {
  // Longest first, all bars at one price by length: 5 3 into an 8 and the others each into a 4: 2.4 + 4 x 1.2 = 7.2. Together they are 22
  // long, as an 8, a 10 and a 4 are: 5 3, 4 3 3 and 4 for 2.4 + 3 + 1.2.
  const job: BarJob = {
    kerf: 0,
    stock: [
      { length: 10, price: 3 },
      { length: 8, price: 2.4 },
      { length: 4, price: 1.2 },
    ],
    pieces: [
      { length: 5, quantity: 1 },
      { length: 4, quantity: 2 },
      { length: 3, quantity: 3 },
    ],
  };
  const plan = quickPlan(job);
  expect(plan).toMatchObject({ cost: 6.6, proven: false });
  expect(plan?.bars.flatMap((b) => b.pieces).sort()).toEqual([3, 3, 3, 4, 4, 5]);
});

test('stakes by the piece: the bar that is cheapest by length holds but one of them', () => {
  const job: BarJob = {
    kerf: 3,
    stock: [
      { length: 600, price: 2.7 },
      { length: 1200, price: 5 },
    ],
    pieces: [{ length: 600, quantity: 3 }],
  };
  expect(cuts(job)).toEqual(['600: 600', '600: 600', '600: 600']);
});

test('so many stakes that choices are not gone through still come out of the cheapest bar that holds one', () => {
  const stock = [1200, 1250, 1300, 1350].map((length) => ({ length, price: length / 240 }));
  const job = { kerf: 3, stock: [{ length: 700, price: 3.1 }, ...stock], pieces: [{ length: 700, quantity: 40 }] };
  // 40 x 3.1; by length the long ones are cheaper, and hold one each.
  expect(quickPlan(job)?.cost).toBeCloseTo(124, 6);
});

test('nothing where the shelf has run out', () => {
  expect(
    quickPlan({ kerf: 0, stock: [{ length: 5, price: 1, available: 1 }], pieces: [{ length: 4, quantity: 2 }] }),
  ).toBeUndefined();
});

test('it holds every piece on bars that are sold, never dearer than longest first, and never below the bound', () => {
  fc.assert(
    fc.property(barJobs(6, 6, 20), (job) => {
      const plan = quickPlan(job);
      const first = bestFitDecreasing(job);
      if (!plan || !first) throw new Error('every piece goes on every bar');
      expect(plan.cost).toBeLessThanOrEqual(onCheapest(job, first).cost + 1e-6);
      expect(plan.cost).toBeGreaterThanOrEqual(lowerBound(job, (bar) => bar.price) - 1e-6);
      expectSound(job, plan);
    }),
  );
});
