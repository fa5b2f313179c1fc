import fc from 'fast-check';
import { solveLinear } from './linear';

test('two equations worked by hand, also where the first says nothing of the first unknown', () => {
  // x + 2 y = 5, 3 x - y = 1.
  expect(
    solveLinear(
      [
        [1, 2],
        [3, -1],
      ],
      [5, 1],
    )?.map((v) => Math.round(v * 1e9) / 1e9),
  ).toEqual([1, 2]);
  expect(
    solveLinear(
      [
        [0, 2],
        [3, 0],
      ],
      [4, 9],
    ),
  ).toEqual([3, 2]);
});

test('what has no one answer has none; nothing asked is nothing', () => {
  expect(
    solveLinear(
      [
        [1, 2],
        [2, 4],
      ],
      [1, 2],
    ),
  ).toBeUndefined();
  expect(
    solveLinear(
      [
        [0, 0],
        [0, 0],
      ],
      [0, 0],
    ),
  ).toBeUndefined();
  expect(solveLinear([], [])).toEqual([]);
});

test('any system put together from its answer gives it back, and is left as it was', () => {
  const number = fc.integer({ min: -9, max: 9 });
  fc.assert(
    fc.property(
      fc
        .integer({ min: 1, max: 6 })
        .chain((n) =>
          fc.tuple(
            fc.array(fc.array(number, { minLength: n, maxLength: n }), { minLength: n, maxLength: n }),
            fc.array(number, { minLength: n, maxLength: n }),
          ),
        ),
      ([rows, want]) => {
        // Heavy on the diagonal: never singular; the rows in another order, so that it must look for its pivots.
        const a = rows.map((row, i) => row.map((v, k) => (i === k ? v + 100 : v))).reverse();
        const before = JSON.stringify(a);
        const b = a.map((row) => row.reduce((sum, v, k) => sum + v * (want[k] ?? 0), 0));
        solveLinear(a, b)?.forEach((v, k) => expect(v).toBeCloseTo(want[k] ?? NaN, 8));
        expect(solveLinear(a, b)).toHaveLength(want.length);
        expect(JSON.stringify(a)).toBe(before);
      },
    ),
  );
});
