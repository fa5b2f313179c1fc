import fc from 'fast-check';
import { axisOf } from './axis';

test('an axis runs between round figures, six steps at most', () => {
  // 26.2 by fives: 85 is the last at or below 88.9, 120 the first at or above 115.1, seven steps; by tens four.
  expect(axisOf([93.4, 88.9, 115.1], String)).toEqual({
    scale: 'linear',
    domain: [80, 120],
    ticks: [80, 90, 100, 110, 120],
  });
  expect(axisOf([-6, -1.5], String).ticks).toEqual([-6, -5, -4, -3, -2, -1]);
});

test('figures decades apart stand by their ratios', () => {
  // 40 is 13 times 3, 36 is 12 times.
  expect(axisOf([3, 40], String)).toEqual({ scale: 'log', domain: [2, 50], ticks: [2, 5, 10, 20, 50] });
  expect(axisOf([0.2, 10], String).ticks).toEqual([0.2, 0.5, 1, 2, 5, 10]);
  expect(axisOf([3, 36], String).scale).toBe('linear');
  expect(axisOf([0, 36], String).scale).toBe('linear');
});

test('no two figures of an axis are said alike: its steps are as wide as what is said, or one of them stands', () => {
  const hours = (x: number): string => `${Math.round(x)} h`;
  expect(axisOf([5.9, 6.3], hours).ticks).toEqual([5, 6, 7]);
  expect(axisOf([0.2, 10], hours)).toMatchObject({ domain: [0.2, 10], ticks: [0.2, 0.5, 2, 5, 10] });
  expect(axisOf([5, 5], () => 'all').ticks).toHaveLength(1);
});

test('what is read in inches is round in inches', () => {
  // 90 and 310 mm are 3.5 and 12.2 in: by twos from 2 to 14.
  const { ticks } = axisOf([90, 310], String, 25.4);
  expect(ticks.map((x) => Number((x / 25.4).toFixed(9)))).toEqual([2, 4, 6, 8, 10, 12, 14]);
});

test('all figures are on their axis', () => {
  const figure = fc.integer({ min: -1e6, max: 1e6 }).map((x) => x / 1000);
  fc.assert(
    fc.property(fc.array(figure, { minLength: 1, maxLength: 14 }), (values) => {
      const { domain, ticks } = axisOf(values, String);
      expect(domain[0]).toBeLessThanOrEqual(Math.min(...values));
      expect(domain[1]).toBeGreaterThanOrEqual(Math.max(...values));
      expect(domain[0]).toBeLessThan(domain[1]);
      expect(ticks.length).toBeGreaterThan(1);
    }),
  );
});
