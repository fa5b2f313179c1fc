import fc from 'fast-check';
import { bell, chance, seedOf, swell } from './noise';

const many = Array.from({ length: 20_000 }, (_, i) => i);
const mean = (of: readonly number[]): number => of.reduce((sum, x) => sum + x, 0) / of.length;

test('a seed of text: FNV-1a by its published values', () => {
  // "" and "a" and "foobar" of the reference.
  expect([seedOf(''), seedOf('a'), seedOf('foobar')]).toEqual([0x811c9dc5, 0xe40c292c, 0xbf9cf968]);
});

test('from nought up to one, evenly, the same again for the same place', () => {
  fc.assert(
    fc.property(fc.integer(), fc.integer({ min: 0, max: 40 }), fc.integer(), (seed, channel, at) => {
      const x = chance(seed, channel, at);
      expect(x >= 0 && x < 1).toBe(true);
      expect(chance(seed, channel, at)).toBe(x);
    }),
  );
  const all = many.map((i) => chance(7, 1, i));
  // Of 20,000 the mean strays by .3 / sqrt(20000) = .002 and a tenth of them by 3 in a hundred.
  expect(mean(all)).toBeCloseTo(0.5, 1.9);
  for (let k = 0; k < 10; k++) {
    const part = all.filter((x) => Math.floor(10 * x) === k).length / all.length;
    expect(Math.abs(part - 0.1)).toBeLessThan(0.01);
  }
});

test('another seed, channel or place is another number, and no two channels go together', () => {
  const a = many.map((i) => chance(7, 1, i) - 0.5);
  for (const other of [many.map((i) => chance(7, 2, i) - 0.5), many.map((i) => chance(8, 1, i) - 0.5)]) {
    const together = mean(a.map((x, i) => x * (other[i] ?? 0))) * 12;
    expect(Math.abs(together)).toBeLessThan(0.03);
    expect(a.some((x, i) => x === other[i])).toBe(false);
  }
});

test('about normal: mean nought, spread one, two thirds within it', () => {
  const all = many.map((i) => bell(3, 0, i));
  expect(Math.abs(mean(all))).toBeLessThan(0.03);
  expect(mean(all.map((x) => x * x))).toBeCloseTo(1, 1);
  expect(Math.abs(all.filter((x) => Math.abs(x) < 1).length / all.length - 0.67)).toBeLessThan(0.02);
});

test('a swell goes through its whole places, is smooth between them, and as lively there', () => {
  expect(swell(3, 0, 5)).toBeCloseTo(bell(3, 0, 5), 12);
  expect(swell(3, 0, 6 - 1e-9)).toBeCloseTo(bell(3, 0, 6), 6);
  // Half way both count alike: cos 45 of each.
  expect(swell(3, 0, 5.5)).toBeCloseTo((bell(3, 0, 5) + bell(3, 0, 6)) * Math.SQRT1_2, 12);
  expect(swell(3, 0, -0.25)).toBeCloseTo(
    Math.cos((0.75 * Math.PI) / 2) * bell(3, 0, -1) + Math.sin((0.75 * Math.PI) / 2) * bell(3, 0, 0),
    12,
  );
  const between = many.slice(0, 5000).map((i) => swell(3, 0, i + 0.5));
  expect(mean(between.map((x) => x * x))).toBeCloseTo(1, 1);
});
