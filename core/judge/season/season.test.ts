import { readFileSync } from 'node:fs';
import { addDays, dayOfYear, daysBetween, inYear, isDate, isMonthDay, sayDay } from '../../base/days';
import { phraseText } from '../../base/figure';
import { demoGarden } from '../../garden/demo';
import { CROPS, crop } from '../../catalog/crops';
import { type SeasonAsk, seasonOf } from './calendar';
import { sunDay, tenHours } from './daylight';
import { frostOf, inSpan, nextOf, warmingPerDay } from './frost';

interface Known {
  readonly days: readonly {
    lat: number;
    lon: number;
    date: string;
    hours: number;
    noonAltitudeDeg: number;
    sunriseUTC: string;
    sunsetUTC: string;
  }[];
  readonly tenHours: readonly { lat: number; lon: number; winter: string; tenHourDates: readonly [string, string] }[];
}
const known = JSON.parse(readFileSync('core/judge/climate/sun.cases.json', 'utf8')) as Known;
const apart = (ms: number | null, text: string): number =>
  Math.abs((ms ?? NaN) - Date.parse(`${text.replace(' ', 'T')}Z`)) / 60_000;

test.each(known.days)('daylight at $lat on $date', (d) => {
  const day = sunDay(d.lat, d.lon, d.date);
  expect(Math.abs(day.hours - d.hours)).toBeLessThan(0.03);
  expect(Math.abs(day.noonAltitudeDeg - d.noonAltitudeDeg)).toBeLessThan(0.1);
  expect(apart(day.sunriseMs, d.sunriseUTC)).toBeLessThan(2);
  expect(apart(day.sunsetMs, d.sunsetUTC)).toBeLessThan(2);
});

test.each(known.tenHours)('the ten-hour dates of $winter at $lat', (w) => {
  const found = tenHours(w.lat, w.lon, Number(w.winter.slice(0, 4)));
  expect(Math.abs(daysBetween(found.from ?? '', w.tenHourDates[0]))).toBeLessThanOrEqual(1);
  expect(Math.abs(daysBetween(found.to ?? '', w.tenHourDates[1]))).toBeLessThanOrEqual(1);
});

test('where the sun stays away or never does, and south of the equator', () => {
  expect(sunDay(78, 15, '2026-12-21')).toMatchObject({ hours: 0, sunriseMs: null, sunsetMs: null });
  expect(sunDay(78, 15, '2027-06-21').hours).toBe(24);
  expect(tenHours(5, 15, 2026)).toEqual({ from: null, to: null });
  const north = tenHours(78, 15, 2026);
  expect(north.from?.slice(0, 7)).toBe('2026-10');
  expect(north.to?.slice(0, 7)).toBe('2027-03');
  // The dark part of the south lies within one year, about 21 June.
  const south = tenHours(-37.8, 145, 2027);
  expect(dayOfYear(south.from ?? '')).toBeLessThan(172);
  expect(dayOfYear(south.to ?? '')).toBeGreaterThan(172);
  for (const [lat, lon, winter] of [
    [44.1, -72.6, 2026],
    [-37.8, 145, 2027],
    [60.2, 24.9, 2030],
  ] as const) {
    const t = tenHours(lat, lon, winter);
    const hours = (date: string): number => sunDay(lat, lon, date).hours;
    expect(hours(t.from ?? '')).toBeLessThan(10);
    expect(hours(addDays(t.from ?? '', -1))).toBeGreaterThanOrEqual(10);
    expect(hours(t.to ?? '')).toBeGreaterThanOrEqual(10);
    expect(hours(addDays(t.to ?? '', -1))).toBeLessThan(10);
  }
});

test('dates as whole days', () => {
  expect(addDays('2026-12-30', 3)).toBe('2027-01-02');
  expect(dayOfYear('2027-02-01')).toBe(32);
  expect([isDate('2027-02-29'), isDate('2028-02-29'), isDate('2027-1-1'), isDate('x')]).toEqual([
    false,
    true,
    false,
    false,
  ]);
  expect([isMonthDay('02-29'), isMonthDay('02-30'), isMonthDay('13-01'), isMonthDay('5-1')]).toEqual([
    true,
    false,
    false,
    false,
  ]);
  expect([inYear(2027, '02-29'), inYear(2028, '02-29')]).toEqual(['2027-02-28', '2028-02-29']);
  expect(sayDay('2026-11-06')).toBe('6 November');
  expect([nextOf('2026-11-26', '05-22'), nextOf('2026-11-26', '11-26')]).toEqual(['2027-05-22', '2026-11-26']);
  expect([
    inSpan('2027-01-05', '11-01', '03-01'),
    inSpan('2027-03-01', '11-01', '03-01'),
    inSpan('2027-05-05', '05-01', '06-01'),
  ]).toEqual([true, false, true]);
});

const { site } = demoGarden();
const ask = (cropKey: string, more: Partial<SeasonAsk> = {}): SeasonAsk => ({
  place: site,
  crop: crop(cropKey),
  helpC: 2.5,
  coats: [],
  coverName: (k) => k,
  ownCover: 'film-uv',
  from: '2026-11-26',
  ...more,
});
const task = (a: SeasonAsk, id: string) => seasonOf(a).find((t) => t.id.startsWith(id));

test('frost: as the gardener says it, else by latitude and height; none where it never freezes', () => {
  expect(frostOf(site)).toEqual({ lastSpring: '05-22', firstAutumn: '09-20', spreadDays: 10, rough: false });
  const rough = frostOf({ ...site, frost: null });
  expect(rough?.rough).toBe(true);
  expect(rough?.lastSpring.slice(0, 2)).toBe('05');
  expect(frostOf({ ...site, frost: null, latitudeDeg: 2, elevationM: 0 })).toBeUndefined();
  expect(frostOf({ ...site, frost: null, latitudeDeg: 85 })).toBeUndefined();
  // South of the equator spring frost ends in the second half of the year.
  const south = frostOf({ ...site, frost: null, latitudeDeg: -44.1 });
  expect(Number(south?.lastSpring.slice(0, 2))).toBeGreaterThan(8);
  expect(Number(south?.firstAutumn.slice(0, 2))).toBeLessThan(6);
});

test('spring comes sooner under a cover by its degrees over how fast the year warms', () => {
  const shift = Math.round(2.5 / warmingPerDay(site, '05-22'));
  expect(task(ask('lettuce'), 'sow-spring')?.date).toBe(addDays('2027-05-22', 7 * crop('lettuce').sowWeeks - shift));
  expect(task(ask('lettuce', { helpC: 0 }), 'sow-spring')?.date).toBe('2027-04-24');
  // Nothing is sown before there are ten hours of light again.
  const early = { ...site, frost: { lastSpring: '04-10', firstAutumn: '10-20', spreadDays: 10 } };
  expect(task(ask('broad-bean', { helpC: 40, place: early }), 'sow-spring')?.date).toBe('2027-02-05');
});

test('winter crops are sown so that they are nearly grown on the first day under ten hours', () => {
  const stop = tenHours(site.latitudeDeg, site.longitudeDeg, 2027).from ?? '';
  // 45 days, half as long again, four fifths of it: 54.
  expect(task(ask('spinach'), 'sow-autumn-2027')?.date).toBe(addDays(stop, -54));
  expect(task(ask('spinach'), 'grown-2027')?.date).toBe(stop);
  const why = task(ask('spinach'), 'harvest-winter-2026')?.why ?? [];
  expect(phraseText(why, { length: 'cm', temperature: 'C', currency: 'EUR' })).toContain('down to −14 °C outside');
});

test('what needs bees is uncovered when it flowers, what wants warmth ends with frost', () => {
  expect(task(ask('courgette'), 'flower')?.title).toBe('Courgette flowers: uncover it for bees');
  expect(task(ask('tomato'), 'flower')).toBeUndefined();
  expect(task(ask('tomato'), 'end')?.date).toBe(addDays('2027-09-20', Math.round(2.5 / warmingPerDay(site, '05-22'))));
  expect(task(ask('tomato'), 'sow-autumn')).toBeUndefined();
});

/** Every entry as its dates, under a cover that helps by nothing: what is told is the calendar of the open bed. */
const dates = (key: string, more: Partial<SeasonAsk> = {}) =>
  seasonOf(ask(key, { helpC: 0, ...more })).map((t) =>
    [t.id, t.date, ...(t.until === undefined ? [] : [t.until])].join(' '),
  );

test('a whole year by hand: of a warm crop that bees must come to', () => {
  // Planted out a week after the last frost of 22 May; flowers after 40 days, for four weeks; ripe after 55, for ten weeks.
  // The cover is opened longer each day in the week until a fortnight after that frost.
  expect(dates('courgette')).toEqual([
    'light-2026 2026-11-06 2027-02-05',
    'frost-spring 2027-05-22',
    'harden 2027-05-29 2027-06-05',
    'sow-spring 2027-05-29',
    'flower 2027-07-08 2027-08-05',
    'harvest-spring 2027-07-23 2027-10-01',
    'end 2027-09-20',
    'frost-autumn 2027-09-20',
    'light-2027 2027-11-07 2028-02-05',
  ]);
});

test('of a cool crop with its winter: with dark days, and where there are none', () => {
  // Sown four weeks before the last frost, ripe after 50 days for four weeks; for autumn 50 x 1.5 x .8 = 60 days before the dark.
  expect(dates('lettuce')).toEqual([
    'harvest-winter-2026 2026-11-06 2026-12-04',
    'light-2026 2026-11-06 2027-02-05',
    'sow-spring 2027-04-24',
    'harden 2027-05-15 2027-05-22',
    'frost-spring 2027-05-22',
    'harvest-spring 2027-06-13 2027-07-11',
    'sow-autumn-2027 2027-09-08',
    'frost-autumn 2027-09-20',
    'grown-2027 2027-11-07',
    'harvest-winter-2027 2027-11-07 2027-12-05',
    'light-2027 2027-11-07 2028-02-05',
  ]);
  // Where no day is under ten hours frost ends it: sown 60 days before.
  expect(dates('lettuce', { place: { ...site, latitudeDeg: 10 } }).slice(-4)).toEqual([
    'sow-autumn-2027 2027-07-22',
    'frost-autumn 2027-09-20',
    'grown-2027 2027-09-20',
    'harvest-winter-2027 2027-09-20 2027-10-18',
  ]);
  // What lives through the winter is picked until four weeks after the light is back, 5 February.
  expect(dates('spinach')[0]).toBe('harvest-winter-2026 2026-11-06 2027-03-05');
});

test('coats change on their dates; the cover’s own comes back where no other follows', () => {
  const coats = [
    { coverKey: 'fabric-19', from: '04-15', to: '06-01' },
    { coverKey: 'net', from: '06-01', to: '08-01' },
  ];
  const changes = seasonOf(ask('kale', { coats })).filter((t) => t.kind === 'coat');
  expect(changes.map((t) => [t.date, t.title])).toEqual([
    ['2027-04-15', 'Fabric-19 on'],
    ['2027-06-01', 'Net on'],
    ['2027-08-01', 'Film-uv on again'],
  ]);
});

test('for every crop, anywhere: in order, within the twelve months, each with a reason', () => {
  for (const latitudeDeg of [44.1, -37.8, 60, 2, 85, -70])
    for (const c of CROPS) {
      const tasks = seasonOf(ask(c.key, { place: { ...site, latitudeDeg, frost: null } }));
      tasks.forEach((t, i) => {
        expect(t.date >= (tasks[i - 1]?.date ?? '')).toBe(true);
        expect((t.until ?? t.date) >= '2026-11-26' && t.date < '2027-11-26').toBe(true);
        expect(isDate(t.date) && t.why.length > 0).toBe(true);
      });
      expect(new Set(tasks.map((t) => t.id)).size).toBe(tasks.length);
    }
});
