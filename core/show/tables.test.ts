/** What goes into a spreadsheet: hours of a climate and the day book. */
import { MS_PER_HOUR } from '../base/days';
import { demoGarden } from '../garden/demo';
import { newEntry } from '../garden/log';
import type { Climate } from '../judge/climate/climate';
import type { Weather } from '../judge/weather/weather';
import { climateCsv } from './climateCsv';
import { logCsv } from './log';

const START = Date.parse('2027-03-01T05:00:00Z');
const weather = { startMs: START, airC: [-1.234, 0], sunWPerM2: [0, 512.6] } as unknown as Weather;
const climate = {
  run: {
    startMs: START,
    airC: [2.5, 30.126],
    lowC: [-0.5, 3],
    highC: [4, 41],
    soilC: [6, 6.005],
    open: [0, 0.255],
    dripKg: [0, 0.0126],
  },
} as unknown as Climate;

test('an hour a line by the clock of the place, to the hundredth of a degree, openings in percent', () => {
  expect(climateCsv(climate, weather, -5)).toBe(
    [
      'time,outside_c,inside_c,inside_low_c,inside_high_c,soil_c,sun_w_m2,open_percent,drip_kg',
      '2027-03-01 00:00,-1.23,2.50,-0.50,4.00,6.00,0,0,0.000',
      '2027-03-01 01:00,0.00,30.13,3.00,41.00,6.00,513,26,0.013',
      '',
    ].join('\n'),
  );
});

test('east of Greenwich the same hour is later by the clock', () => {
  const [, first] = climateCsv(climate, weather, 5.5).split('\n');
  expect(first?.startsWith('2027-03-01 10:30')).toBe(true);
  expect(START % MS_PER_HOUR).toBe(0);
});

describe('the day book', () => {
  const { covers } = demoGarden();
  const [cover] = covers;
  if (!cover) throw new Error('no cover');
  const entry = (id: string, date: string, more: object) => ({ ...newEntry(id, date, cover.id, 'reading'), ...more });
  const lines = (log: Parameters<typeof logCsv>[0]['log']): readonly string[] =>
    logCsv({ log, covers }).trimEnd().split('\r\n');

  test('the first day first, whatever order it was written in; what was not measured is empty, not nought', () => {
    const [head, ...rows] = lines([
      entry('b', '2027-02-02', { insideLowC: 0, insideHighC: 21.5, note: 'warm' }),
      entry('a', '2027-02-01', { outsideLowC: -9, outsideHighC: 4, kg: 1.25 }),
    ]);
    expect(head).toBe('date,cover,kind,inside_low_c,inside_high_c,outside_low_c,outside_high_c,kg,note');
    expect(rows).toEqual([
      `2027-02-01,${cover.name},reading,,,-9,4,1.25,`,
      `2027-02-02,${cover.name},reading,0,21.5,,,,warm`,
    ]);
  });

  test('an entry of the whole garden names no cover, one of a cover that is gone its id; formulas are words', () => {
    const [, none, gone] = lines([
      entry('a', '2027-02-01', { coverId: null, note: '=1+1' }),
      entry('b', '2027-02-02', { coverId: 'gone', note: 'a, "b"' }),
    ]);
    expect(none?.split(',')[1]).toBe('');
    expect(none).toMatch(/,"'=1\+1"$/);
    expect(gone?.split(',')[1]).toBe('gone');
    expect(gone).toMatch(/,"a, ""b"""$/);
  });
});
