import { SHIPPED, spreadOf } from '../../catalog/catalog';
import type { Spread } from '../../catalog/types';
import fc from 'fast-check';
import { phraseText, amount } from '../../base/figure';
import { logSpread, normalBelow, reliabilityOf, reliabilityWords } from './reliability';

const UNITS = { length: 'in', temperature: 'C', currency: 'USD' } as const;
const spread = (low: number, high: number): Spread => ({ key: 'x', name: 'x', low, high, source: '' });

/** Chance from a seed, the same each time (a linear congruence; Numerical Recipes, 3rd ed., sec. 7.1). */
function chances(seed: number): () => number {
  let state = seed >>> 0;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

/** The same by drawing each figure anew, many winters long (Box and Muller). */
function drawn(ratioAt: (times: readonly number[]) => number, spreads: readonly Spread[], winters: number) {
  const chance = chances(7);
  const ratios = Array.from({ length: winters }, () =>
    ratioAt(
      spreads.map((s) => {
        const { middle, deviation } = logSpread(s);
        const normal = Math.sqrt(-2 * Math.log(chance() || 1e-12)) * Math.cos(2 * Math.PI * chance());
        return Math.exp(middle + deviation * normal);
      }),
    ),
  ).sort((a, b) => a - b);
  const at = (part: number): number => ratios[Math.floor(part * winters)] ?? NaN;
  return { low: at(0.05), high: at(0.95), chance: ratios.filter((r) => r > 1).length / winters };
}

test('the normal distribution, by the book', () => {
  for (const [x, p] of [
    [0, 0.5],
    [1, 0.841345],
    [-1.6449, 0.05],
    [2.3263, 0.99],
  ] as const)
    expect(normalBelow(x)).toBeCloseTo(p, 4);
});

test('one figure that may be off: the ratio is off by as much', () => {
  // Half to twice: the middle is 1. Twice what is asked holds but for 1 in 20; what just holds, every other time.
  const twice = reliabilityOf(([t = 1]) => 2 * t, [spread(0.5, 2)]);
  expect([twice.low, twice.high, twice.chance].map((v) => Math.round(100 * v) / 100)).toEqual([1, 4, 0.95]);
  expect(reliabilityOf(([t = 1]) => t, [spread(0.5, 2)]).chance).toBeCloseTo(0.5, 6);
  // What divides works the other way round.
  const load = reliabilityOf(([t = 1]) => 1 / t, [spread(1, 1.5)]);
  expect([load.low, load.high]).toEqual([expect.closeTo(1 / 1.5, 6), expect.closeTo(1, 6)]);
  expect(reliabilityOf(() => 3, [])).toEqual({
    low: expect.closeTo(3, 6) as number,
    high: expect.closeTo(3, 6) as number,
    chance: 1,
  });
});

test('it agrees with many winters drawn by chance: a load over a strength, and the lesser of two limits', () => {
  const pvc = spreadOf(SHIPPED, 'stiffness pvc');
  fc.assert(
    fc.property(fc.double({ min: 0.7, max: 1.6, noNaN: true }), fc.boolean(), (ratio, kinks) => {
      const at = ([e = 1, limit = 1, w = 1]: readonly number[]): number =>
        (ratio * (kinks ? Math.min(1.3 * e, limit) : e)) / w;
      const spreads = [pvc, spreadOf(SHIPPED, 'limit plastic'), spreadOf(SHIPPED, 'snow wet')];
      const [first, many] = [reliabilityOf(at, spreads), drawn(at, spreads, 4000)];
      expect(Math.abs(first.chance - many.chance)).toBeLessThan(0.06);
      expect(Math.abs(first.low / many.low - 1)).toBeLessThan(0.08);
    }),
    { numRuns: 12 },
  );
  const wind = ([g = 1, soil = 1]: readonly number[]): number => (100 + 500 * soil) / (450 * g * g);
  const spreads = [spreadOf(SHIPPED, 'gust rough'), spreadOf(SHIPPED, 'hold soil')];
  expect(Math.abs(reliabilityOf(wind, spreads).chance - drawn(wind, spreads, 8000).chance)).toBeLessThan(0.04);
});

test('it is never a bare number: winters of twenty, between what and what', () => {
  const say = (chance: number): string =>
    phraseText(reliabilityWords({ low: 0.5, high: 2, chance }, ['such snow'], amount(101.6, 'snowDepth')), UNITS);
  expect(say(0.96)).toBe('Between 2" and 8". Holds in about 19 winters of 20 with such snow.');
  expect(say(0.04)).toContain('about 1 winter of 20');
  expect(say(0.999)).toContain('nearly every winter');
  expect(say(0.001)).toContain('hardly any winter');
});
