import { climatePlace } from '../air';
import { MS_PER_HOUR, addDays, dayNumber } from '../base/days';
import { demoGarden } from '../garden/demo';
import type { Cover } from '../garden/garden';
import type { Climate, DaySum } from '../judge/climate/climate';
import type { Weather } from '../judge/weather/weather';
import { assessCover } from '../plan';
import { shownClimate } from './dayCurve';

const garden = demoGarden();
const made = assessCover(garden, garden.covers[0] as Cover);
if (!made.ok) throw new Error('not built');
const o = made.value;

const HOURS = 72;
const DATE = '2027-01-10';
/** Three days that begin at midnight of the place: the number of an hour is its temperature. */
const { utcHours } = climatePlace(garden, dayNumber(DATE) * 24 * MS_PER_HOUR);
const startMs = (dayNumber(DATE) * 24 - utcHours) * MS_PER_HOUR;
const count = (by: number): number[] => Array.from({ length: HOURS }, (_, i) => i * by);
const weather = {
  startMs,
  airC: count(1),
  sunWPerM2: count(10),
  cloud: count(0),
  gustMPerS: count(0),
  windMPerS: count(0),
  rainMm: count(0),
  humidity: count(0),
} as unknown as Weather;
const run = { startMs, airC: count(2), soilC: count(3), open: count(0.01) };
const days = [0, 1, 2].map((n) => ({ date: addDays(DATE, n) }) as DaySum);
const climate = { run, days } as unknown as Climate;

test('a day is told from midnight to midnight of the place, each hour as it is at its end', () => {
  const shown = shownClimate(o, climate, weather, addDays(DATE, 1));
  expect(shown.date).toBe(addDays(DATE, 1));
  expect(shown.curve.map((h) => h.hour)).toEqual(Array.from({ length: 25 }, (_, h) => h));
  // The hour that ends at the second midnight is the twenty-fourth, counted from nought the twenty-third.
  expect(shown.curve[0]).toEqual({ hour: 0, outC: 23, inC: 46, soilC: 69, sunWPerM2: 230, open: 0.23 });
  expect(shown.curve[24]).toMatchObject({ hour: 24, outC: 47, inC: 94 });
});

test('of the first day the hour before it began is not there, and is left out', () => {
  const { curve } = shownClimate(o, climate, weather, DATE);
  expect(curve).toHaveLength(24);
  expect(curve[0]).toMatchObject({ hour: 1, outC: 0 });
});

test('of the last day the hour after it ended is not there, and is left out', () => {
  // Weather that ends an hour before midnight: 71 hours.
  const shorter = { ...weather, airC: count(1).slice(0, 71) } as Weather;
  const { curve } = shownClimate(o, climate, shorter, addDays(DATE, 2));
  expect(curve.map((h) => h.outC)).toEqual(Array.from({ length: 24 }, (_, h) => 47 + h));
});

test('a day that is not among them is not shown: a notable one is, else the first', () => {
  const shown = shownClimate(o, climate, weather, '2031-06-01');
  expect(shown.date).toBe(shown.notable[0]?.date ?? DATE);
  expect(shown.days).toBe(days);
  const none = shownClimate(o, { run, days: [] } as unknown as Climate, { ...weather, airC: [] } as Weather);
  expect(none.curve).toEqual([]);
});
