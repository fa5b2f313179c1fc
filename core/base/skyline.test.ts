import fc from 'fast-check';
import { addTo, factorize, skyline, solveInPlace } from './skyline';
import { solveLinear } from './linear';

const entry = fc.double({ min: -3, max: 3, noNaN: true });

test('it solves as elimination with pivots does, and counts the negative eigenvalues', () => {
  fc.assert(
    fc.property(
      fc.array(entry, { minLength: 15, maxLength: 15 }),
      fc.array(entry, { minLength: 5, maxLength: 5 }),
      (below, b) => {
        // A band of two beside a strong diagonal, one of it turned about.
        const a = Array.from({ length: 5 }, () => new Array<number>(5).fill(0));
        const first = Int32Array.from([0, 0, 0, 1, 2]);
        const m = skyline(first);
        let k = 0;
        for (let i = 0; i < 5; i++)
          for (let j = first[i] ?? 0; j <= i; j++) {
            const value = i === j ? (i === 3 ? -20 : 20) : (below[k++ % 15] ?? 0);
            addTo(m, i, j, value);
            (a[i] as number[])[j] = value;
            (a[j] as number[])[i] = value;
          }
        expect(factorize(m)).toBe(1);
        const x = Float64Array.from(b);
        solveInPlace(m, x);
        const known = solveLinear(a, b) ?? [];
        x.forEach((v, i) => expect(v).toBeCloseTo(known[i] ?? NaN, 9));
      },
    ),
  );
});

test('what lies above the diagonal is its mirror, and is not kept', () => {
  const m = skyline(Int32Array.from([0, 0]));
  addTo(m, 0, 0, 2);
  addTo(m, 1, 1, 2);
  addTo(m, 0, 1, 5);
  addTo(m, 1, 0, 1);
  expect(factorize(m)).toBe(0);
  const x = Float64Array.from([3, 3]);
  solveInPlace(m, x);
  expect([...x]).toEqual([1, 1]);
});
