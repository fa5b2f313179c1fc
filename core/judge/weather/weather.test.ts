import fc from 'fast-check';
import { MS_PER_HOUR } from '../../base/days';
import { HOLLOW } from '../../testing/weather';
import { bell, chance, seedOf, swell } from '../../base/noise';
import { groundC, normalsOf, usualC } from './normals';
import { placeSeed, simulatedForecast, simulatedWeather } from './simulated';
import { WEATHER_LISTS, hoursOf, weatherSpan } from './weather';

const START = Date.parse('2026-07-01T00:00:00Z');
const year = simulatedWeather(HOLLOW, '', START, 8760);
const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;

test('chance is even, bells and swells have mean 0 and spread 1, and the same seed gives the same', () => {
  const at = Array.from({ length: 4000 }, (_, i) => i);
  const spread = (list: readonly number[]): number => Math.sqrt(mean(list.map((x) => x * x)));
  const even = at.map((i) => chance(7, 2, i));
  expect(mean(even)).toBeCloseTo(0.5, 1);
  expect(Math.min(...even)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...even)).toBeLessThan(1);
  for (const list of [at.map((i) => bell(7, 1, i)), at.map((i) => swell(7, 1, i * 0.37))]) {
    expect(Math.abs(mean(list))).toBeLessThan(0.1);
    expect(Math.abs(spread(list) - 1)).toBeLessThan(0.1);
  }
  expect(seedOf('a')).not.toBe(seedOf('b'));
  expect(placeSeed(HOLLOW)).toBe(placeSeed({ ...HOLLOW, latitudeDeg: 44.12 }));
});

test('the usual year: cold a month after the dark, warm half a year on, the other way round in the south', () => {
  const n = normalsOf(HOLLOW);
  expect(n.meanC).toBeGreaterThan(4);
  expect(n.meanC).toBeLessThan(8);
  expect(usualC(n, n.coldestDay)).toBeCloseTo(n.meanC - n.swingC, 9);
  expect(usualC(n, 20)).toBeLessThan(usualC(n, 200));
  const south = normalsOf({ ...HOLLOW, latitudeDeg: -44.1 });
  expect(usualC(south, 20)).toBeGreaterThan(usualC(south, 200));
  // A metre down exp(-1/2.2) = .635 of the swing is left, 1/2.2 of a radian = 26 days later.
  const deep = Array.from({ length: 365 }, (_, d) => groundC(n, d, 1));
  expect((Math.max(...deep) - Math.min(...deep)) / 2).toBeCloseTo(0.635 * n.swingC, 1);
  expect(Math.abs(deep.indexOf(Math.min(...deep)) - (n.coldestDay + 26.4))).toBeLessThan(1.5);
});

test('made-up weather has the manners of the real', () => {
  const month = (m: number) => weatherSpan(year, m * 730, 730);
  // July warm, January cold; sun by day only; snow in the cold only; gusts over the wind; dew not over the air.
  expect(mean(month(0).airC)).toBeGreaterThan(14);
  expect(mean(month(6).airC)).toBeLessThan(-2);
  expect(Math.min(...year.airC)).toBeLessThan(-15);
  expect(Math.max(...year.gustMPerS)).toBeGreaterThan(14);
  year.airC.forEach((t, i) => {
    expect(year.dewC[i]).toBeLessThanOrEqual(t);
    expect(year.gustMPerS[i]).toBeGreaterThanOrEqual(year.windMPerS[i] ?? 0);
    if ((year.snowMm[i] ?? 0) > 0) expect(t).toBeLessThan(1);
  });
  expect(year.sunWPerM2.filter((s) => s > 0).length / 8760).toBeCloseTo(0.5, 1);
  // Clear winter nights are colder than cloudy ones.
  const january = month(6);
  const nights = january.airC.flatMap((t, i) => ((i + 19) % 24 < 6 ? [[january.cloud[i] ?? 0, t] as const] : []));
  const of = (clear: boolean): number =>
    mean(nights.flatMap(([c, t]) => (c < 0.3 === clear && (clear || c > 0.7) ? [t] : [])));
  expect(of(true)).toBeLessThan(of(false));
});

test('the same seed is the same weather from wherever one asks; another seed or place is another', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 8000 }), fc.integer({ min: 1, max: 60 }), (from, hours) => {
      expect(simulatedWeather(HOLLOW, '', START + from * MS_PER_HOUR, hours)).toEqual(weatherSpan(year, from, hours));
    }),
    { numRuns: 10 },
  );
  expect(simulatedWeather(HOLLOW, 'other', START, 48).airC).not.toEqual(weatherSpan(year, 0, 48).airC);
  expect(simulatedWeather({ ...HOLLOW, latitudeDeg: 47 }, '', START, 48).airC).not.toEqual(
    weatherSpan(year, 0, 48).airC,
  );
});

test('a forecast is nearly right for the next hours and often wrong next week; each issue in its own way', () => {
  const off = (lead: number): number =>
    mean(
      Array.from({ length: 60 }, (_, i) => {
        const issued = START + i * 100 * MS_PER_HOUR;
        const told = simulatedForecast(HOLLOW, '', issued, lead + 6);
        const came = simulatedWeather(HOLLOW, '', issued, lead + 6);
        return Math.abs((told.airC[lead] ?? 0) - (came.airC[lead] ?? 0));
      }),
    );
  expect(off(1)).toBeLessThan(1);
  expect(off(120)).toBeGreaterThan(2 * off(6));
  expect(off(120)).toBeLessThan(6);
  const same = START + 240 * MS_PER_HOUR;
  const [first, second] = [0, 48].map((h) => simulatedForecast(HOLLOW, '', START + h * MS_PER_HOUR, 300));
  const at = (w: typeof first): number => w?.airC[(same - (w.startMs ?? 0)) / MS_PER_HOUR] ?? NaN;
  expect(at(first)).not.toBe(at(second));
  expect(first?.simulated).toBe(true);
});

test('a part of a weather has all its lists, from its own hour', () => {
  const p = weatherSpan(year, 10, 5);
  for (const k of WEATHER_LISTS) expect(p[k]).toEqual(year[k].slice(10, 15));
  expect(p.startMs).toBe(year.startMs + 10 * MS_PER_HOUR);
  expect(hoursOf(p)).toBe(5);
});
