import fc from 'fast-check';
import type { BarJob } from './job';
import { bestPattern, byWorth, fractionalWorth, maximalPatterns } from './patterns';

const job = (
  pieces: readonly (readonly [length: number, quantity: number])[],
  stock: readonly object[],
  kerf = 0,
): BarJob => ({ kerf, pieces: pieces.map(([length, quantity]) => ({ length, quantity })), stock }) as unknown as BarJob;
const counts = (j: BarJob): readonly (readonly number[])[] | undefined => maximalPatterns(j, 100)?.map((p) => p.counts);

describe('ways to fill a bar to which nothing more can be added', () => {
  test('of 10: pieces of 6, 4 and 3', () => {
    // 6 + 4, 6 + 3, 4 + 4, 4 + 3 + 3, 3 + 3 + 3.
    const j = job(
      [
        [6, 9],
        [4, 9],
        [3, 9],
      ],
      [{ length: 10, price: 1 }],
    );
    expect(new Set(counts(j)?.map((c) => c.join(' ')))).toEqual(new Set(['1 1 0', '1 0 1', '0 2 0', '0 1 2', '0 0 3']));
    expect(
      maximalPatterns(j, 100)
        ?.map((p) => p.used)
        .sort((a, b) => a - b),
    ).toEqual([8, 9, 9, 10, 10]);
  });

  test('no more of a piece than is wanted, and none of what is not', () => {
    const j = job(
      [
        [4, 1],
        [3, 0],
      ],
      [{ length: 10, price: 1 }],
    );
    expect(counts(j)).toEqual([[1, 0]]);
  });

  test('the saw takes its cut between pieces, not after the last', () => {
    expect(counts(job([[5, 2]], [{ length: 10, price: 1 }], 1))).toEqual([[1]]);
    expect(counts(job([[5, 2]], [{ length: 11, price: 1 }], 1))).toEqual([[2]]);
  });

  test('none from a bar of which there is none, nor of a piece that its longest sound part is too short for', () => {
    expect(counts(job([[5, 2]], [{ length: 10, price: 1, available: 0 }]))).toEqual([]);
    const j = job(
      [
        [5, 2],
        [3, 2],
      ],
      [{ length: 10, price: 1, longestPiece: 4 }],
    );
    expect(counts(j)).toEqual([[0, 2]]);
  });

  test('a way that a shorter bar, no dearer, takes as well is left out; not where that one is limited or dearer', () => {
    const long = { length: 12, price: 2 };
    expect(maximalPatterns(job([[5, 2]], [long, { length: 10, price: 2 }]), 9)?.map((p) => p.stock)).toEqual([1]);
    expect(maximalPatterns(job([[5, 2]], [long, { length: 10, price: 3 }]), 9)).toHaveLength(2);
    expect(maximalPatterns(job([[5, 2]], [long, { length: 10, price: 1, available: 1 }]), 9)).toHaveLength(2);
    expect(
      maximalPatterns(job([[5, 2]], [long, { length: 10, price: 1, longestPiece: 4 }]), 9)?.map((p) => p.stock),
    ).toEqual([0]);
  });

  test('more ways than the limit: none are told', () => {
    const j = job(
      [
        [6, 9],
        [4, 9],
        [3, 9],
      ],
      [{ length: 10, price: 1 }],
    );
    expect(maximalPatterns(j, 5)).toHaveLength(5);
    expect(maximalPatterns(j, 4)).toBeUndefined();
  });
});

test('pieces in the order of their worth for their length; what is worth or wanted nothing is not among them', () => {
  const j = job(
    [
      [10, 1],
      [5, 1],
      [20, 1],
      [5, 0],
    ],
    [{ length: 30, price: 1 }],
  );
  expect(byWorth(j, [10, 10, 10, 99])).toEqual([1, 0, 2]);
  expect(byWorth(j, [10, 0, 10, 0])).toEqual([0, 2]);
  // The cut counts: 10 of 10 + 10 beside 9 of 5 + 10.
  expect(byWorth({ ...j, kerf: 10 }, [10, 9, 1, 0])).toEqual([1, 0, 2]);
});

test('the last piece in part: no filling is worth more', () => {
  const j = job(
    [
      [6, 1],
      [4, 2],
    ],
    [{ length: 10, price: 1 }],
  );
  // 6 at 9 and then 4 at 4: 13; at 4 and 4, the 4s first: 8, and a third of the 6.
  expect(fractionalWorth(j, 0, byWorth(j, [9, 4]), [9, 4])).toBeCloseTo(13, 9);
  expect(fractionalWorth(j, 0, byWorth(j, [4, 4]), [4, 4])).toBeCloseTo(8 + 4 / 3, 9);
});

test('the best filling is that of all there are, gone through one by one', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(fc.integer({ min: 2, max: 9 }), fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 9 })),
        {
          minLength: 1,
          maxLength: 4,
        },
      ),
      fc.integer({ min: 5, max: 25 }),
      fc.integer({ min: 0, max: 2 }),
      (pieces, length, kerf) => {
        const j = job(
          pieces.map(([l, n]) => [l, n] as const),
          [{ length, price: 1 }],
          kerf,
        );
        const worth = pieces.map(([, , w]) => w);
        let best = 0;
        const walk = (i: number, room: number, sum: number): void => {
          best = Math.max(best, sum);
          const p = pieces[i];
          if (!p) return;
          for (let n = 0; n <= p[1] && n * (p[0] + kerf) <= room; n++)
            walk(i + 1, room - n * (p[0] + kerf), sum + n * p[2]);
        };
        walk(0, length + kerf, 0);
        const found = bestPattern(j, 0, worth);
        expect(found.worth).toBeCloseTo(best, 9);
        expect(found.worthAtMost).toBeGreaterThanOrEqual(best - 1e-9);
        expect(found.pattern.counts.reduce((sum, n, i) => sum + n * (worth[i] ?? 0), 0)).toBeCloseTo(best, 9);
        const used = found.pattern.counts.reduce((sum, n, i) => sum + n * ((pieces[i]?.[0] ?? 0) + kerf), 0);
        expect(used).toBeLessThanOrEqual(length + kerf + 1e-9);
      },
    ),
    { numRuns: 300 },
  );
});
