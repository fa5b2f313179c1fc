import { solveHoop } from '../../build/hoop/elastica';
import type { Elastica } from '../../build/hoop/types';
import { archCases, designSnow, straightShare } from './snow';

const NONE = { exposure: null, thermal: null, importance: null };
const ground = { by: 'ground', groundPa: 2000 } as const;
const hoop = (spanMm: number, lengthMm: number): Elastica => {
  const h = solveHoop({ kind: 'pinned' }, { spanMm, lengthMm });
  if (!h.ok) throw new Error('no hoop');
  return h.value;
};

test('a flat roof by both practices, and with factors of one’s own', () => {
  // ASCE: 0.7 × 1.2 × 1.2 × 0.8 × 2000 = 1612.8; EN: 0.8 × 1.2 × 1 × 2000 = 1920.
  expect(designSnow(ground, 'sheltered').flatPa).toBeCloseTo(1612.8, 6);
  expect(designSnow(ground, 'sheltered', { practice: 'en', snowFactors: NONE }).flatPa).toBeCloseTo(1920, 6);
  // EN in the open: Ce 0.8.
  expect(designSnow(ground, 'exposed', { practice: 'en', snowFactors: NONE }).flatPa).toBeCloseTo(1280, 6);
  // A walk-in house of importance 1: 0.7 × 1 × 1.2 × 1 × 2000.
  const own = designSnow(ground, 'normal', { practice: 'asce', snowFactors: { ...NONE, importance: 1 } });
  expect(own.flatPa).toBeCloseTo(1680, 6);
  expect([own.exposureFactor, own.thermalFactor, own.importanceFactor]).toEqual([1, 1.2, 1]);
});

test('a straight slope by both practices', () => {
  expect([0, 15, 42.5, 70].map((a) => straightShare('asce', a))).toEqual([1, 1, 0.5, 0]);
  expect([0, 30, 45, 60, 80].map((a) => straightShare('en', a))).toEqual([1, 1, 0.5, 0, 0]);
  expect(straightShare('en', -45)).toBe(0.5);
});

test('an arch by European practice: alike to 60 degrees; drifted, a triangle on each half, one of them double', () => {
  const snow = designSnow(ground, 'normal', { practice: 'en', snowFactors: NONE });
  const h = hoop(1000, 1250);
  const [even, drifted] = archCases(snow, h);
  expect([0, 59, 61, -61].map((a) => even?.shape(a, 0.5))).toEqual([1, 1, 0, 0]);
  // mu3 = 0.2 + 10 h / b, at most 2: here 2, over the 0.8 of a flat roof.
  const across = Array.from({ length: 1001 }, (_, i) => i / 1000);
  const lies = across.map((x) => drifted?.shape(0, x) ?? NaN);
  expect(Math.max(...lies)).toBeCloseTo(2 / 0.8, 1);
  expect(Math.max(...lies.slice(0, 500))).toBeCloseTo(1 / 0.8, 1);
  // Nothing at the crown, nor beyond where it is steeper than 60 degrees.
  expect(lies[500]).toBeCloseTo(0, 2);
  expect(h.footAngleDeg).toBeLessThan(60);
  const tall = archCases(snow, hoop(1000, 1800))[1];
  expect([0.001, 0.999].map((x) => tall?.shape(0, x))).toEqual([0, 0]);
  // The peak of a triangle stands in the middle of its half.
  const peak = across[lies.indexOf(Math.max(...lies))] ?? NaN;
  expect(peak).toBeCloseTo(0.75, 1);
  // A low arch drifts less: h / b = 0.05 gives mu3 0.7.
  const low = archCases(snow, hoop(1000, 1006.6));
  expect(Math.max(...across.map((x) => low[1]?.shape(0, x) ?? NaN))).toBeCloseTo(
    (0.2 + (10 * hoop(1000, 1006.6).heightMm) / 1000) / 0.8,
    1,
  );
});

test('an arch by US practice: by slope on both sides, and on the lee half alone', () => {
  const [even, lee] = archCases(designSnow(ground, 'normal'), hoop(1000, 1600));
  expect(even?.shape(42.5, 0.2)).toBeCloseTo(0.5, 9);
  expect(lee?.shape(0, 0.2)).toBe(0);
  expect(lee?.shape(0, 0.6)).toBe(0.5);
});
