import { solveHoop } from '../../cover/hoop/elastica';
import type { Elastica } from '../../cover/hoop/types';
import { archCases, designSnow, driftAsEvenPa, driftOf, straightShare } from './snow';

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

describe('drift against a wall', () => {
  const asce = designSnow(ground, 'normal');
  const en = designSnow(ground, 'normal', { practice: 'en', snowFactors: NONE });

  test('by ASCE and by EN, worked by hand', () => {
    // pg 2: density .426 x 2 + 2.2 = 3.052; hd = .75 (.42 x 6.1^(1/3) x 2.479^(1/4) - .457) = .37946 m: 1158 Pa over 4 hd.
    const d = driftOf(asce, 3000);
    expect(d.peakPa).toBeCloseTo(1158.1, 0);
    expect(d.reachMm).toBeCloseTo(1517.8, 0);
    // Even snow is 1.344 / 3.052 = .4404 m deep: a wall of .6 m cuts it at .1596 m, and it reaches 8 times that.
    const cut = driftOf(asce, 600);
    expect(cut.peakPa).toBeCloseTo(3052 * 0.1596, -1);
    expect(cut.reachMm).toBeCloseTo(8 * 159.6, -1);
    // .5 m is .06 over it, less than a fifth of its depth; and no snow makes no drift.
    expect(driftOf(asce, 500)).toEqual({ peakPa: 0, reachMm: 0 });
    expect(driftOf({ ...asce, groundPa: 0 }, 3000).peakPa).toBe(0);
    // mu2 = 2 x 3 / 2 = 3, at most 2: 1.2 more than mu1, over 2 h = 6 m; of half a metre .5 is less than mu1: none.
    expect(driftOf(en, 3000)).toEqual({ peakPa: 2400, reachMm: 6000 });
    expect(driftOf(en, 500).peakPa).toBe(0);
    // mu2 = 2 x 1.2 / 2 = 1.2; at least five metres.
    expect(driftOf(en, 1200).peakPa).toBeCloseTo(800, 9);
    expect(driftOf(en, 1200).reachMm).toBe(5000);
  });

  test('as an even load: of a bar, of what stands at the far end, of a strip at the wall', () => {
    const as = (by: 'slope' | 'far end' | 'strip', runMm: number) => driftAsEvenPa(asce, { wallMm: 3000, runMm, by });
    // 1158 to 395 Pa over a metre: 395 / 8 + .0642 x 763 = 98.3 (a hair less together), times 8.
    expect(as('slope', 1000)).toBeGreaterThan(780);
    expect(as('slope', 1000)).toBeLessThan(787);
    // 395 / 2 + 763 / 6 = 324.7, as half of an even load.
    expect(as('far end', 1000)).toBeCloseTo(649.4, 0);
    expect(as('strip', 1000)).toBeCloseTo(1158.1, 0);
    // A whole triangle: M = p L^2 / (9 sqrt 3).
    expect(as('slope', 1517.8)).toBeCloseTo((8 * 1158.1) / (9 * Math.sqrt(3)), 0);
    // Over twice its reach it stands in the upper half: R = p c / 2 (1 - c / 3L), M = R x - p x^2 / 2 + p x^3 / 6c at its turn.
    const [c, L] = [1517.8, 3035.6];
    const R = (c / 2) * (1 - c / (3 * L));
    const most = Math.max(
      ...Array.from({ length: 999 }, (_, i) => ((i + 1) * c) / 1000).map((x) => R * x - (x * x) / 2 + x ** 3 / (6 * c)),
    );
    expect(as('slope', L)).toBeCloseTo((8 * 1158.1 * most) / (L * L), 0);
    expect(as('far end', L)).toBeCloseTo((2 * 1158.1 * (c * c)) / 6 / (L * L), 0);
  });
});
