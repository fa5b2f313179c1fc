import {
  airOf,
  clearDayRiseC,
  climatePlace,
  fitOfCover,
  coveredBedModel,
  seasonOfCover,
  tonightOfCover,
  wornOf,
} from './air';
import { evaluate } from './evaluate';
import { FAMILIES } from './cover/families';
import { onSomeBed } from './testing/onBed';
import { demoGarden } from './garden/demo';
import type { Cover } from './garden/garden';
import { simulatedWeather } from './judge/weather/simulated';
import { weatherSpan } from './judge/weather/weather';

const garden = demoGarden();
const lid = garden.covers[0] as Cover;
const of = (more: Partial<Cover> = {}) => {
  const o = evaluate(garden, { ...lid, ...more } as Cover);
  if (!o.ok) throw new Error(JSON.stringify(o.faults));
  return o.value;
};
const plain = of();
const START = Date.parse('2027-01-10T05:00:00Z');
const winter = simulatedWeather(climatePlace(garden, START), 'tests', START, 24 * 12);
const lowest = (o: typeof plain, taught?: { loss: number; gain: number }): number =>
  Math.min(...airOf(o, winter, lid.tending, taught && { taught }).days.map((d) => d.lowC));

test('the clock of a garden is that of the day', () => {
  const site = { ...garden.site, timeZone: 'Europe/Vienna' };
  expect(climatePlace({ site }, Date.parse('2027-01-10')).utcHours).toBe(1);
  expect(climatePlace({ site }, Date.parse('2027-07-10')).utcHours).toBe(2);
});

test('what readings have taught of a cover is in its air; what is tried beside it goes before', () => {
  const leaky = { loss: 2, gain: 1, readings: 20 };
  expect(lowest(of({ taught: leaky }))).toBeLessThan(lowest(plain) - 0.3);
  expect(lowest(plain, leaky)).toBeCloseTo(lowest(of({ taught: leaky })), 9);
  expect(lowest(of({ taught: leaky }), { loss: 1, gain: 1 })).toBeCloseTo(lowest(plain), 9);
});

test('it wears its own sheet where no coat is on, a coat on its days, and nothing where that is said', () => {
  const own = coveredBedModel(plain);
  expect(wornOf(plain)('2027-01-12')).toBe(own);
  const dressed = of({
    coats: [
      { coverKey: 'fabric-30', from: '01-12', to: '01-15' },
      { coverKey: null, from: '01-15', to: '01-18' },
    ],
  });
  const on = wornOf(dressed);
  expect(on('2027-01-11')).toBe(coveredBedModel(dressed));
  expect(on('2027-01-12').faces[0]?.light).not.toBe(own.faces[0]?.light);
  // The same coat is the same bed.
  expect(on('2027-01-13')).toBe(on('2027-01-12'));
  // Uncovered, it is as cold as it is outside.
  const days = airOf(dressed, winter).days;
  const bare = days.find((d) => d.date === '2027-01-16');
  expect(Math.abs((bare?.lowC ?? NaN) - (bare?.outLowC ?? NaN))).toBeLessThan(2);
});

test('the calendar goes with the crop, the coats and the help of its own cover', () => {
  const tasks = seasonOfCover(plain, '2027-01-01');
  expect(tasks.map((task) => task.title)).toEqual(expect.arrayContaining(['Sow mizuna for spring', 'Harvest mizuna']));
  // What began before goes on; nothing is told of the year after.
  expect(tasks.every((task) => task.date < '2028-01-01' && (task.until ?? task.date) >= '2027-01-01')).toBe(true);
  const coats = [{ coverKey: 'net', from: '06-01', to: '08-15' }];
  const titles = seasonOfCover(of({ coats }), '2027-01-01').map((task) => task.title.toLowerCase());
  expect(titles.some((t) => t.includes('net'))).toBe(true);
});

test('the word for tonight is of the two days after now, with what came before to begin from', () => {
  const now = 24 * 6;
  const word = tonightOfCover(plain, winter, now);
  const next = weatherSpan(winter, now, 36);
  expect(word.low.outsideC).toBeGreaterThanOrEqual(Math.min(...next.airC) - 1e-9);
  expect(word.low.insideC).toBeGreaterThan(word.low.outsideC);
  // Of the same hours alone it is as cold outside, and its soil has another past.
  const alone = tonightOfCover(plain, weatherSpan(winter, now, 48), 0).low;
  expect(alone.outsideC).toBeCloseTo(word.low.outsideC, 9);
  expect(Math.abs(alone.insideC - word.low.insideC)).toBeGreaterThan(0.01);
});

test('readings teach where there are days enough of them', () => {
  const days = airOf(of({ taught: { loss: 1.5, gain: 1, readings: 9 } }), winter).days.slice(2, 11);
  const readings = days.map((d) => ({ date: d.date, insideLowC: d.lowC, insideHighC: null }));
  const fit = fitOfCover(plain, winter, readings);
  expect(fit?.taught.loss).toBeGreaterThan(1.3);
  expect(fit?.taught.loss).toBeLessThan(1.7);
  expect(fitOfCover(plain, winter, [])).toBeUndefined();
});

test('the steady noon is on the hot side of the hours of the same day for every kind of cover, and tells so', () => {
  for (const { key } of FAMILIES) {
    const o = onSomeBed(garden, key);
    expect([key, o.air.riseShutC > clearDayRiseC(o) - 1]).toEqual([key, true]);
    expect(o.air.figures.rise.assumes.length).toBeGreaterThan(0);
  }
});
