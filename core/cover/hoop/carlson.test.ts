import fc from 'fast-check';
import { solveLinear } from '../../base/linear';
import { carlsonRD, carlsonRF } from './carlson';
import { SHIPPED, section } from '../../catalog/catalog';
import { bendBand, bendLimitsPercent, fibreStrainPercent } from './strain';

test('known values (Carlson 1995, section 3)', () => {
  expect(carlsonRF(1, 2, 0)).toBeCloseTo(1.3110287771461, 10);
  expect(carlsonRF(0.5, 1, 0)).toBeCloseTo(1.8540746773014, 10);
  expect(carlsonRF(2, 3, 4)).toBeCloseTo(0.58408284167715, 10);
  expect(carlsonRD(0, 2, 1)).toBeCloseTo(1.7972103521034, 9);
  expect(carlsonRD(2, 3, 4)).toBeCloseTo(0.16510527294261, 10);
});

test('they are homogeneous, and R_F is symmetric', () => {
  const positive = fc.double({ min: 0.01, max: 100, noNaN: true });
  fc.assert(
    fc.property(positive, positive, positive, positive, (x, y, z, t) => {
      expect(carlsonRF(t * x, t * y, t * z) * Math.sqrt(t)).toBeCloseTo(carlsonRF(x, y, z), 9);
      expect(carlsonRF(z, x, y)).toBeCloseTo(carlsonRF(x, y, z), 10);
      expect(carlsonRD(t * x, t * y, t * z) * t ** 1.5).toBeCloseTo(carlsonRD(x, y, z), 7);
    }),
  );
});

test('outside their domain they end, and give no number', () => {
  expect(carlsonRF(0, 0, 1)).not.toBeGreaterThan(0);
  expect(Number.isNaN(carlsonRF(NaN, 1, 1))).toBe(true);
  expect(Number.isNaN(carlsonRD(1, 1, NaN))).toBe(true);
});

test('strain and its three bands, a point lower in the cold', () => {
  const pvc = section(SHIPPED, 'pvc-1').material.behaviour;
  if (pvc.kind !== 'plastic') throw new Error('PVC is a plastic');
  expect(fibreStrainPercent(0.001, 30)).toBeCloseTo(1.5, 12);
  expect(bendLimitsPercent(pvc, 20)).toEqual([1.5, 2.5, 3.5]);
  expect(bendLimitsPercent(pvc, 4.9)).toEqual([0.5, 1.5, 2.5]);
  expect([1.4, 1.6, 2.6, 3.6].map((s) => bendBand(pvc, s, 20))).toEqual(['easy', 'firm', 'hard', 'too far']);
  expect(bendBand(pvc, 2.6, 0)).toBe('too far');
});

test('linear systems are solved, singular ones are said to be', () => {
  const entry = fc.double({ min: -5, max: 5, noNaN: true });
  fc.assert(
    fc.property(fc.array(fc.array(entry, { minLength: 4, maxLength: 4 }), { minLength: 4, maxLength: 4 }), (a) => {
      // Heavy on the diagonal, so that it has an answer.
      const m = a.map((row, i) => row.map((value, k) => (i === k ? value + 30 : value)));
      const x = [1, -2, 3, 0.5];
      const b = m.map((row) => row.reduce((sum, value, k) => sum + value * (x[k] ?? 0), 0));
      solveLinear(m, b)?.forEach((value, k) => expect(value).toBeCloseTo(x[k] ?? NaN, 9));
    }),
  );
  expect(
    solveLinear(
      [
        [0, 0],
        [0, 0],
      ],
      [1, 1],
    ),
  ).toBeUndefined();
});
