import fc from 'fast-check';
import { HOLLOW } from '../../testing/weather';
import { columnUse, guessColumns } from './columns';
import { isEpw, readEpw } from './epw';
import { type ReadWeather, instant, readTable, weatherOf } from './table';

/** Reads a table by what its headers say. */
function read(text: string): ReadWeather | string {
  const table = readTable(text);
  if (!table.ok) return table.faults.map((f) => `${f.field}: ${f.message}`).join();
  const r = weatherOf(table.value, guessColumns(table.value.headers), HOLLOW, 'a file');
  return r.ok ? r.value : r.faults.map((f) => `${f.field}: ${f.message}`).join();
}
const good = (text: string): ReadWeather => {
  const r = read(text);
  if (typeof r === 'string') throw new Error(r);
  return r;
};
const stamp = (h: number): string => new Date(Date.UTC(2027, 1, 1, h)).toISOString().slice(0, 16).replace('T', ' ');
const rows = (n: number, row: (h: number) => string): string => Array.from({ length: n }, (_, h) => row(h)).join('\n');

test('times are those of the place, or of Greenwich where the column says so', () => {
  const table = (time: string): string => `${time},temp C\n${rows(30, (h) => `${stamp(h)},1`)}`;
  expect(good(table('time (UTC)')).weather.startMs).toBe(Date.UTC(2027, 1, 1));
  // Five hours behind it.
  expect(good(table('time')).weather.startMs).toBe(Date.UTC(2027, 1, 1, 5));
});

test('headers say what their columns are, and in which units', () => {
  const said = (...headers: string[]) => guessColumns(headers).map((c) => `${c.use} ${c.unit}`.trim());
  expect(
    said(
      'time',
      'Temp (F)',
      'Dew point °F',
      'GHI',
      'wind_mph',
      'gust km/h',
      'RH %',
      'Cloud cover',
      'Precip in',
      'Snow cm',
    ),
  ).toEqual([
    'time local',
    'air F',
    'dew F',
    'sun W/m²',
    'wind mph',
    'gust km/h',
    'humidity %',
    'cloud %',
    'rain in',
    'snow cm',
  ]);
  expect(said('date', 'tmin', 'tmax', 'solar MJ', 'station', 'time (UTC)')).toEqual([
    'time local',
    'low C',
    'high C',
    'sun MJ/m² a day',
    'none',
    'none',
  ]);
  expect(said('t_out_c', 'wind direction')).toEqual(['air C', 'none']);
});

test('units come to SI by hand', () => {
  const si = (use: Parameters<typeof columnUse>[0], unit: string, x: number) => columnUse(use).units[unit]?.(x);
  expect(si('air', 'F', 50)).toBeCloseTo(10, 9);
  expect(si('air', 'K', 273.15)).toBe(0);
  expect(si('wind', 'mph', 10)).toBeCloseTo(4.4704, 6);
  expect(si('wind', 'kn', 10)).toBeCloseTo(5.14444, 5);
  expect(si('sun', 'kWh/m² a day', 2.4)).toBeCloseTo(100, 9);
  expect(si('sun', 'MJ/m² a day', 8.64)).toBeCloseTo(100, 9);
  expect(si('cloud', 'oktas', 4)).toBe(0.5);
  expect(si('rain', 'in', 1)).toBe(25.4);
});

test('times with and without a zone', () => {
  const t = Date.UTC(2027, 0, 15, 14, 30);
  expect(instant('2027-01-15T14:30Z', -5)).toBe(t);
  expect(instant('2027-01-15 14:30', -5)).toBe(t + 5 * 3_600_000);
  expect(instant('2027-01-15T14:30:00-05:00', 0)).toBe(t + 5 * 3_600_000);
  expect(instant('2027-01-15T14:30+0100', 0)).toBe(t - 3_600_000);
  expect(instant('2027/1/15', 0)).toBe(Date.UTC(2027, 0, 15));
  expect(instant('1800000000', 3)).toBe(1_800_000_000_000);
  for (const bad of ['', 'noon', '2027-02-30', '2027-13-01', '2027-01-01 25:00', '15.1.27'])
    expect(instant(bad, 0)).toBeNaN();
});

test('hours with a gap and a bad row: the gap is filled and told, the row is named, all else is kept', () => {
  const text = `time,air C,wind m/s\n${rows(96, (h) => (h >= 30 && h < 34 ? '' : h === 60 ? `${stamp(h)},warm,2` : `${stamp(h)},${h % 24},2`))}`;
  const r = good(text);
  expect(r.weather.airC).toHaveLength(96);
  expect(r.bad).toEqual([{ field: 'line 58, air C', message: 'must be an air temperature in C, not "warm"' }]);
  expect(r.gaps.map((g) => g.hours)).toEqual([4, 1]);
  // 29 to 34 is 5 to 10, straight across.
  expect(r.weather.airC.slice(29, 35)).toEqual([5, 6, 7, 8, 9, 10]);
  expect(r.weather.airC[60]).toBeCloseTo((11 + 13) / 2, 9);
  expect(r.assumed).toEqual([
    ['Light: half cloud all along.'],
    ['Dew point: the low of each day, or a little under it.'],
    ['Rain and snow: none.'],
  ]);
  expect(r.weather.simulated).toBe(false);
  // By the clock of the place: five hours after UTC.
  expect(new Date(r.weather.startMs).toISOString()).toBe('2027-02-01T05:00:00.000Z');
});

test('a long gap is filled by the same hours of the days about it', () => {
  const r = good(`time,air\n${rows(120, (h) => (h >= 40 && h < 60 ? '' : `${stamp(h)},${h % 24}`))}`);
  for (let h = 40; h < 60; h++) expect(r.weather.airC[h]).toBeCloseTo(h % 24, 9);
});

test('days become hours: low at sunrise, high in the afternoon, and no light at night', () => {
  const r = good('date,low,high,rain mm\n2027-03-01,-5,5,2.4\n2027-03-02,-4,6,0\n2027-03-03,0,4,0');
  const { airC, sunWPerM2, rainMm, snowMm } = r.weather;
  expect(r.daily).toBe(true);
  expect(airC).toHaveLength(72);
  for (const [d, low, high] of [
    [0, -5, 5],
    [1, -4, 6],
  ] as const) {
    const day = airC.slice(24 * d, 24 * d + 24);
    expect(Math.min(...day)).toBeCloseTo(low, 0);
    expect(Math.max(...day)).toBeCloseTo(high, 0);
    expect(day.indexOf(Math.max(...day))).toBeGreaterThanOrEqual(13);
    expect(day.indexOf(Math.min(...day))).toBeLessThanOrEqual(7);
  }
  expect(sunWPerM2[1]).toBe(0);
  expect(sunWPerM2[12]).toBeGreaterThan(100);
  expect(rainMm.reduce((a, b) => a + b, 0) + snowMm.reduce((a, b) => a + b, 0) / 12).toBeCloseTo(2.4, 6);
});

test('what is no weather is refused with what would be right', () => {
  expect(read('')).toContain('there is no table');
  expect(read('a,b\n1,2')).toBe('time: say which column is the time or the date');
  expect(read('time,b\n2027-01-01,2')).toContain('air: say which column is the air temperature');
  expect(read('time,air\n2027-01-01,2')).toContain('at least 24 hours');
  expect(read(`time,air\n${rows(30, (h) => `${stamp(h)},2`)}\n2027-09-01 00:00,2`)).toContain(
    'take one stretch at a time',
  );
  const table = readTable(`time,t1,t2\n${rows(30, (h) => `${stamp(h)},2,3`)}`);
  const air = { use: 'air', unit: 'C' } as const;
  const twice = table.ok ? weatherOf(table.value, [{ use: 'time', unit: 'local' }, air, air], HOLLOW, '') : table;
  expect(twice.ok ? '' : twice.faults[0]?.message).toBe('two columns are said to be the air temperature');
  const again = good(`time,air\n${rows(30, (h) => `${stamp(h)},2`)}\n${stamp(3)},5`);
  expect(again.bad[0]?.message).toBe('this hour stands in the table twice');
  expect(again.weather.airC[3]).toBe(2);
});

test('any text at all is read or refused, never thrown at', () => {
  fc.assert(
    fc.property(
      fc.string({ maxLength: 400 }),
      fc.array(fc.string({ maxLength: 30 }), { maxLength: 40 }),
      (a, lines) => {
        expect(['object', 'string']).toContain(typeof read(a));
        expect(['object', 'string']).toContain(
          typeof read(`time,air,sun\n${lines.map((l, i) => `${stamp(i)},${l}`).join('\n')}`),
        );
        readEpw(`LOCATION,${a}\n${lines.join('\n')}`);
      },
    ),
  );
});

const HEAD = `LOCATION,Quillet Hollow,VT,USA,made up,000000,44.1,-72.6,-5.0,380.0\n${'X\n'.repeat(7)}`;
const hour = (h: number, air: string): string => {
  const d = new Date(Date.UTC(2027, 0, 1, h));
  return `2027,${d.getUTCMonth() + 1},${d.getUTCDate()},${d.getUTCHours() + 1},0,?,${air},-9.0,80,97000,0,0,300,250,0,0,0,0,0,0,180,3.2,5,5,20,77777,9,999999999,0,0,0,0,0,1.5,1`;
};

test('an EPW file: hours end at their number, by the time of the station; what it marks as missing is missing', () => {
  expect(isEpw(HEAD)).toBe(true);
  expect(isEpw('time,air')).toBe(false);
  const r = readEpw(`${HEAD}${rows(48, (h) => hour(h, h === 5 ? '99.9' : String(h - 20)))}`);
  if (!r.ok) throw new Error(r.faults[0]?.message);
  const { weather, station, gaps } = r.value;
  expect(station).toEqual({
    name: 'Quillet Hollow',
    latitudeDeg: 44.1,
    longitudeDeg: -72.6,
    utcHours: -5,
    elevationM: 380,
  });
  expect(new Date(weather.startMs).toISOString()).toBe('2027-01-01T05:00:00.000Z');
  expect(weather.airC).toHaveLength(48);
  expect(weather.airC[5]).toBe(-15);
  expect(gaps).toHaveLength(1);
  expect([weather.dewC[30], weather.sunWPerM2[30], weather.windMPerS[30], weather.cloud[30]]).toEqual([
    -9, 250, 3.2, 0.5,
  ]);
});

test('a broken EPW file is refused by its field', () => {
  const fault = (text: string): string => {
    const r = readEpw(text);
    return r.ok ? '' : `${r.faults[0]?.field}: ${r.faults[0]?.message}`;
  };
  expect(fault(HEAD.replace('44.1', 'north'))).toBe('line 1, latitude: must be a number from -90 to 90, not "north"');
  expect(fault(HEAD)).toContain('there are 0 hours');
  // A day's lines of which none can be used.
  expect(fault(`${HEAD}${rows(30, () => 'x')}`)).toBe('line 9, year: must be a year from 1900 to 2200');
  expect(fault(`${HEAD}${rows(30, (h) => hour(h, '0').replace('2027', '1850'))}`)).toContain('line 9, year');
  const r = readEpw(`${HEAD}${rows(48, (h) => (h === 7 ? '2027,13,1,1' : hour(h, '0')))}`);
  // It is told once, in its own words.
  expect(r.ok && r.value.bad).toHaveLength(1);
  expect(r.ok && r.value.bad[0]).toEqual({
    field: 'line 16, date',
    message: 'must be year, month, day and hour from 1 to 24, not "2027,13,1,1"',
  });
});

test('where no dew point is told it lies a degree under the low of the half days before and after', () => {
  // Ten degrees, but for one hour of -4 at hour 40.
  const text = `time,air C,wind m/s\n${rows(96, (h) => `${stamp(h)},${h === 40 ? -4 : 10},2`)}`;
  const { dewC } = good(text).weather;
  // From twelve hours before it to twelve after, as each hour looks twelve back and eleven on.
  expect(dewC[28]).toBe(9);
  expect([dewC[29], dewC[40], dewC[52]]).toEqual([-5, -5, -5]);
  expect(dewC[53]).toBe(9);
});
