/** Patterns made one by one: what the linear programme comes to, worked by hand. */
import highsLoader from 'highs';
import { generateColumns } from './columns';
import { highsSolver } from './highs';
import type { BarJob } from './job';
import type { IntegerSolver } from './linearProgram';

let solver: IntegerSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});
/** Time for so many looks at the clock: a programme that does not end is stopped. */
const time = (looks = 200): (() => number) => {
  let left = looks;
  return () => left--;
};

test('from one kind to a bar it comes to the patterns that waste nothing, and to their bound', () => {
  // Bars of 1000 at 5: two of 400 leave 200, three of 300 leave 100; 400 + 300 + 300 leaves nothing. Ten of 400 and twenty of 300
  // are ten such bars: 50. One kind to a bar would be 5 and 6.67 bars: 58.
  const job: BarJob = {
    kerf: 0,
    stock: [{ length: 1000, price: 5 }],
    pieces: [
      { length: 400, quantity: 10 },
      { length: 300, quantity: 20 },
    ],
  };
  const { patterns, bound } = generateColumns(job, undefined, solver, time());
  expect(bound).toBeCloseTo(50, 6);
  expect(patterns.map((p) => p.counts)).toContainEqual([1, 2]);
  for (const p of patterns) expect(p.used).toBeLessThanOrEqual(1000);
  // No time, no columns: what it began with and no bound.
  expect(generateColumns(job, undefined, solver, time(0))).toMatchObject({ bound: 0 });
});

test('a bar that is not there any more has no pattern, and few bars of the shelf cost nothing', () => {
  const job: BarJob = {
    kerf: 0,
    stock: [
      { length: 1000, price: 5 },
      { length: 700, price: 0, available: 1 },
      { length: 2000, price: 1, available: 0 },
    ],
    pieces: [
      { length: 400, quantity: 3 },
      { length: 300, quantity: 5 },
    ],
  };
  const { patterns, bound } = generateColumns(job, undefined, solver, time());
  expect(patterns.filter((p) => p.stock === 2)).toEqual([]);
  // One of each off the shelf; two of 400 and four of 300 are two whole bars: 10.
  expect(bound).toBeCloseTo(10, 6);
  expect(patterns.filter((p) => p.stock === 1).map((p) => p.counts)).toContainEqual([1, 1]);
});

test('it begins with the bars of a plan, each kind of bar once, and one kind of piece to a bar', () => {
  const job: BarJob = {
    kerf: 10,
    stock: [{ length: 1000, price: 5 }],
    pieces: [
      { length: 400, quantity: 3 },
      { length: 270, quantity: 4 },
    ],
  };
  const bar = { stockLength: 1000, price: 5, stock: 0, pieces: [400, 270, 270] };
  const plan = { cost: 15, bars: [bar, bar, { ...bar, pieces: [400] }], bound: 0, proven: false };
  const { patterns } = generateColumns(job, plan, solver, time(0));
  // Two of 400 and a cut between them are 810; three of 270 and two cuts 830.
  expect(patterns).toEqual([
    { stock: 0, counts: [1, 2], used: 960 },
    { stock: 0, counts: [1, 0], used: 400 },
    { stock: 0, counts: [2, 0], used: 810 },
    { stock: 0, counts: [0, 3], used: 830 },
  ]);
});
