import { HOLLOW, TUNNEL } from '../../testing/weather';
import { simulatedWeather } from '../weather/simulated';
import { type ClimateOptions, climateOf } from './climate';
import { LEAST_READINGS, type Reading, fitReadings, readingSpan } from './fit';
import { USUAL_TENDING } from './operation';

const weather = simulatedWeather(HOLLOW, 'tests', Date.parse('2027-02-01T05:00:00Z'), 24 * 40);
const run = (options: ClimateOptions) =>
  climateOf(TUNNEL, weather, HOLLOW, { ...USUAL_TENDING, open: null }, { killingC: -7, hotC: 28 }, options);
/** Days as a bed with other factors would have them, read to half a degree. */
const readings = (loss: number, gain: number, count: number): Reading[] =>
  run({ taught: { loss, gain } })
    .days.slice(5, 5 + count)
    .map((d) => ({ date: d.date, insideLowC: Math.round(2 * d.lowC) / 2, insideHighC: Math.round(2 * d.highC) / 2 }));

test.each([
  [1.3, 1],
  [0.8, 1.2],
  [1, 0.7],
  [1.6, 1.4],
])('a bed that loses %d times and takes in %d times as much is found out', (loss, gain) => {
  const fit = fitReadings(readings(loss, gain, 25), run);
  if (!fit) throw new Error('no fit');
  expect(Math.abs(Math.log(fit.taught.loss / loss))).toBeLessThan(0.08);
  expect(Math.abs(Math.log(fit.taught.gain / gain))).toBeLessThan(0.08);
  expect(fit.offAfterC).toBeLessThan(0.4);
  expect(fit.offAfterC).toBeLessThanOrEqual(fit.offBeforeC);
});

test('a slip of the hand does not turn it', () => {
  const good = readings(1.2, 1, 25);
  const slipped = good.map((r, i) => (i === 7 ? { ...r, insideLowC: 40 } : i === 12 ? { ...r, insideHighC: -30 } : r));
  const [a, b] = [fitReadings(good, run), fitReadings(slipped, run)];
  expect(Math.abs(Math.log((b?.taught.loss ?? 9) / (a?.taught.loss ?? 1)))).toBeLessThan(0.08);
  expect(Math.abs(Math.log((b?.taught.gain ?? 9) / (a?.taught.gain ?? 1)))).toBeLessThan(0.08);
});

test('too few readings teach nothing; lows alone teach only losses', () => {
  expect(fitReadings(readings(1.3, 1, LEAST_READINGS - 1), run)).toBeUndefined();
  expect(fitReadings([], run)).toBeUndefined();
  const lows = readings(1.3, 1, 25).map((r) => ({ ...r, insideHighC: null }));
  const fit = fitReadings(lows, run);
  expect(fit?.taught.gain).toBe(1);
  expect(fit?.sure.gain).toBeNull();
  expect(fit?.highs).toBe(0);
  expect(fit?.sure.loss).toBeGreaterThan(1);
});

test('more readings make it surer', () => {
  const noisy = (count: number): Reading[] =>
    readings(1.2, 1, count).map((r, i) => ({
      ...r,
      insideLowC: (r.insideLowC ?? 0) + ([1.5, -1, 0.5, -1.5, 1][i % 5] ?? 0),
    }));
  const [few, many] = [8, 30].map((n) => fitReadings(noisy(n), run)?.sure.loss ?? NaN);
  expect(many).toBeLessThan(few ?? NaN);
});

test('days of readings that are not in the weather do not count', () => {
  const far = readings(1.3, 1, 10).map((r) => ({ ...r, date: r.date.replace('2027', '2031') }));
  expect(fitReadings(far, run)).toBeUndefined();
  expect(readingSpan(far, weather).hours).toBe(0);
  const near = readings(1.3, 1, 10);
  const span = readingSpan(near, weather);
  expect(span.from).toBeLessThan(5 * 24);
  expect(span.from + span.hours).toBeLessThanOrEqual(weather.airC.length);
});
