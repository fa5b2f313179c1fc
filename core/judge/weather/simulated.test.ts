/** The manners of made-up weather, over a year of it where the sun stands highest at twelve UTC. */
import { MS_PER_HOUR } from '../../base/days';
import { simulatedWeather } from './simulated';
import { SNOWS_BELOW_C } from './weather';

const PLACE = { latitudeDeg: 45, longitudeDeg: 0, elevationM: 300 };
const START = Date.parse('2026-07-01T00:00:00Z');
const HOURS = 24 * 365;
const year = simulatedWeather(PLACE, 'manners', START, HOURS);
const all = Array.from({ length: HOURS }, (_, i) => i);
const mean = (of: readonly number[], at: readonly number[]): number =>
  at.reduce((sum, i) => sum + (of[i] ?? NaN), 0) / at.length;
const byHour = (of: readonly number[]): readonly number[] =>
  Array.from({ length: 24 }, (_, h) =>
    mean(
      of,
      all.filter((i) => i % 24 === h),
    ),
  );
const placeOf = (list: readonly number[], pick: (...of: readonly number[]) => number): number =>
  list.indexOf(pick(...list));
const related = (a: readonly number[], b: readonly number[]): number => {
  const [ma, mb] = [mean(a, all), mean(b, all)];
  const sum = (of: (i: number) => number): number => all.reduce((total, i) => total + of(i), 0);
  const [da, db] = [(i: number) => (a[i] ?? 0) - ma, (i: number) => (b[i] ?? 0) - mb];
  return sum((i) => da(i) * db(i)) / Math.sqrt(sum((i) => da(i) ** 2) * sum((i) => db(i) ** 2));
};

test('warmest three hours after noon, coldest twelve hours from that; by some degrees, most in summer under a clear sky', () => {
  const day = byHour(year.airC);
  expect([placeOf(day, Math.max), placeOf(day, Math.min)]).toEqual([15, 3]);
  const swing = (months: readonly number[], clouds: (c: number) => boolean): number => {
    const some = all.filter(
      (i) => months.includes(new Date(START + i * MS_PER_HOUR).getUTCMonth()) && clouds(year.cloud[i] ?? 0),
    );
    const at = (h: number) =>
      mean(
        year.airC,
        some.filter((i) => i % 24 === h),
      );
    return at(15) - at(3);
  };
  // Either way of the mean: 6.5 in summer, 5 in winter, under a clear sky; a quarter of it under a covered one.
  const clear = (c: number): boolean => c < 0.3;
  const grey = (c: number): boolean => c > 0.9;
  expect(swing([5, 6, 7], clear)).toBeGreaterThan(2 * 6.5 * 0.75);
  expect(swing([5, 6, 7], clear)).toBeLessThan(2 * 6.5 * 1.1);
  expect(swing([5, 6, 7], grey)).toBeLessThan(2 * 6.5 * 0.5);
  expect(swing([11, 0, 1], clear)).toBeLessThan(swing([5, 6, 7], clear));
});

test('the air holds no more water than it can, and is drier under a clear sky', () => {
  expect(all.every((i) => (year.dewC[i] ?? 0) <= (year.airC[i] ?? 0))).toBe(true);
  const gap = (some: readonly number[]): number => mean(year.airC, some) - mean(year.dewC, some);
  const noon = all.filter((i) => i % 24 === 15);
  const clear = gap(noon.filter((i) => (year.cloud[i] ?? 0) < 0.2));
  const grey = gap(noon.filter((i) => (year.cloud[i] ?? 0) > 0.8));
  expect(clear).toBeGreaterThan(grey + 4);
  expect(grey).toBeGreaterThan(1);
  expect(clear).toBeLessThan(15);
});

test('wind: a breeze that is strongest two hours after noon, more where the weather changes, gusts half as strong again', () => {
  const day = byHour(year.windMPerS);
  const breeze = (at: number): number =>
    day.reduce((sum, w, h) => sum + w * Math.cos((2 * Math.PI * (h - at)) / 24), 0);
  const strongest = all.slice(0, 24).reduce((best, h) => (breeze(h) > breeze(best) ? h : best), 0);
  expect(Math.abs(strongest - 14)).toBeLessThanOrEqual(1);
  // .35 either way of it.
  expect(Math.max(...day) - Math.min(...day)).toBeGreaterThan(0.5);
  expect(Math.max(...day) - Math.min(...day)).toBeLessThan(0.95);
  // Usually about as much as over gardens; never quite still, and never a storm for no reason.
  expect(mean(year.windMPerS, all)).toBeGreaterThan(2);
  expect(mean(year.windMPerS, all)).toBeLessThan(6);
  expect(Math.min(...year.windMPerS)).toBeGreaterThanOrEqual(0.3);
  const change = all.map((i) =>
    Math.abs((year.airC[i + 24] ?? year.airC[i] ?? 0) - (year.airC[i - 24] ?? year.airC[i] ?? 0)),
  );
  expect(related(year.windMPerS, change)).toBeGreaterThan(0.15);
  const gusts = all.map((i) => (year.gustMPerS[i] ?? 0) / (year.windMPerS[i] ?? 1));
  expect(gusts.every((g) => g >= 1.5 && g < 3)).toBe(true);
});

test('its clock is the sun’s: a twelfth of the way round to the west all is two hours later', () => {
  const west = simulatedWeather({ ...PLACE, longitudeDeg: -30 }, 'manners', START, HOURS);
  expect(placeOf(byHour(west.airC), Math.max)).toBe(17);
});

test('under a clear sky it is colder in winter and warmer in summer', () => {
  const of = (months: readonly number[], pick: (c: number) => boolean): number =>
    mean(
      year.airC,
      // At nine in the morning and in the evening the day's own swing is nought.
      all.filter(
        (i) =>
          [9, 21].includes(i % 24) &&
          months.includes(new Date(START + i * MS_PER_HOUR).getUTCMonth()) &&
          pick(year.cloud[i] ?? 0),
      ),
    );
  const [clear, grey] = [(c: number) => c < 0.3, (c: number) => c > 0.7];
  expect(of([11, 0, 1], clear)).toBeLessThan(of([11, 0, 1], grey) - 2);
  expect(of([5, 6, 7], clear)).toBeGreaterThan(of([5, 6, 7], grey) + 1);
});

test('winter is colder than summer by what is usual there; fronts carry it off more in winter', () => {
  const of = (month: number): readonly number[] =>
    all.filter((i) => new Date(START + i * MS_PER_HOUR).getUTCMonth() === month);
  const [january, july] = [mean(year.airC, of(0)), mean(year.airC, of(6))];
  expect(july - january).toBeGreaterThan(12);
  expect(july - january).toBeLessThan(35);
  // The same hour of the day, so that the day itself is not counted.
  const spread = (months: readonly number[]): number => {
    const at = months.flatMap(of).filter((i) => i % 24 === 12);
    const m = mean(year.airC, at);
    return Math.sqrt(at.reduce((sum, i) => sum + ((year.airC[i] ?? 0) - m) ** 2, 0) / at.length);
  };
  expect(spread([11, 0, 1])).toBeGreaterThan(spread([5, 6, 7]) * 1.1);
});

test('it rains or snows under clouds only, and snows only in the cold; the sun is behind them', () => {
  const wet = all.filter((i) => (year.rainMm[i] ?? 0) + (year.snowMm[i] ?? 0) > 0);
  expect(wet.length / HOURS).toBeGreaterThan(0.01);
  expect(wet.length / HOURS).toBeLessThan(0.25);
  for (const i of wet) {
    expect(year.cloud[i]).toBeGreaterThan(0.72);
    expect((year.snowMm[i] ?? 0) > 0 && (year.rainMm[i] ?? 0) > 0).toBe(false);
    expect((year.snowMm[i] ?? 0) > 0).toBe((year.airC[i] ?? 0) < SNOWS_BELOW_C);
  }
  const noons = all.filter((i) => i % 24 === 12);
  const sun = (some: readonly number[]): number => mean(year.sunWPerM2, some);
  expect(sun(noons.filter((i) => (year.cloud[i] ?? 0) > 0.9))).toBeLessThan(
    0.6 * sun(noons.filter((i) => (year.cloud[i] ?? 0) < 0.3)),
  );
  expect(all.filter((i) => i % 24 === 0).every((i) => (year.sunWPerM2[i] ?? 0) === 0)).toBe(true);
});
