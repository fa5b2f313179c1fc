/** The public EPW weather file format: a year of hours of a station. Source: EnergyPlus Auxiliary Programs, "EPW data dictionary". */
import { MS_PER_HOUR } from '../../base/days';
import { type Fault, type Result, fail, ok } from '../../base/result';
import type { ReadWeather } from './table';
import { type Column } from './columns';
import { weatherOf } from './table';

/** Fields of a row, counted from nothing. */
const FIELDS = { year: 0, month: 1, day: 2, hour: 3, air: 6, dew: 7, sun: 13, wind: 21, cloud: 22, rain: 33 } as const;
const HEAD_LINES = 8;

export const isEpw = (text: string): boolean => /^\uFEFF?LOCATION,/i.test(text);

/** Where a station stands. */
interface Station {
  readonly name: string;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly utcHours: number;
  readonly elevationM: number;
}

/** The station of an EPW file. @returns a fault that names the field of its first line */
function epwStation(text: string): Result<Station> {
  const head = (text.replace(/^\uFEFF/, '').split(/\r?\n/, 1)[0] ?? '').split(',');
  const number = (i: number, name: string, least: number, most: number): Result<number> => {
    const x = Number(head[i]);
    return head[i]?.trim() && x >= least && x <= most
      ? ok(x)
      : fail(`line 1, ${name}`, `must be a number from ${least} to ${most}, not "${(head[i] ?? '').slice(0, 40)}"`);
  };
  const [lat, lon, zone, up] = [
    number(6, 'latitude', -90, 90),
    number(7, 'longitude', -180, 180),
    number(8, 'time zone', -12, 14),
    number(9, 'elevation', -500, 9000),
  ];
  for (const x of [lat, lon, zone, up]) if (!x.ok) return x;
  return ok({
    name: (head[1] ?? '').trim().slice(0, 60) || 'a station',
    latitudeDeg: lat.ok ? lat.value : 0,
    longitudeDeg: lon.ok ? lon.value : 0,
    utcHours: zone.ok ? zone.value : 0,
    elevationM: up.ok ? up.value : 0,
  });
}

/**
 * A year of a station. Its months may come from different years: they are laid one after the other from the first of January of the
 * first row's year. Hours are numbered 1 to 24 and end at their number, by the standard time of the station.
 */
export function readEpw(text: string): Result<ReadWeather & { readonly station: Station }> {
  const station = epwStation(text);
  if (!station.ok) return station;
  const lines = text
    .split(/\r?\n/)
    .slice(HEAD_LINES)
    .filter((l) => l.trim() !== '');
  if (lines.length < 24)
    return fail('rows', `an EPW file has 8 lines of head and then an hour a line; there are ${lines.length} hours`);
  if (lines.length > 8784 * 2) return fail('rows', 'an EPW file has at most a year or two of hours');
  const { utcHours } = station.value;
  const year = Number(lines[0]?.split(',')[FIELDS.year]);
  if (!Number.isInteger(year) || year < 1900 || year > 2200)
    return fail(`line ${HEAD_LINES + 1}, year`, 'must be a year from 1900 to 2200');
  const bad: Fault[] = [];
  const rows = lines.map((line, i) => {
    const f = line.split(',');
    const [month, day, hour] = [f[FIELDS.month], f[FIELDS.day], f[FIELDS.hour]].map(Number) as [number, number, number];
    const sound = month >= 1 && month <= 12 && day >= 1 && day <= 31 && hour >= 1 && hour <= 24;
    if (!sound && bad.length < 20)
      bad.push({
        field: `line ${HEAD_LINES + 1 + i}, date`,
        message: `must be year, month, day and hour from 1 to 24, not "${f.slice(0, 4).join(',').slice(0, 40)}"`,
      });
    const leap = month === 2 && day === 29;
    const ms = Date.UTC(year, month - 1, day, hour - 1) - utcHours * MS_PER_HOUR;
    const told = (at: number, missing: number): string => (Number(f[at]) >= missing ? '' : (f[at] ?? ''));
    return sound && !leap
      ? [
          new Date(ms).toISOString().slice(0, 16) + 'Z',
          told(FIELDS.air, 99.9),
          told(FIELDS.dew, 99.9),
          told(FIELDS.sun, 9999),
          told(FIELDS.wind, 999),
          told(FIELDS.cloud, 99),
          told(FIELDS.rain, 999),
        ]
      : undefined;
  });
  const columns: readonly Column[] = [
    { use: 'time', unit: 'UTC' },
    { use: 'air', unit: 'C' },
    { use: 'dew', unit: 'C' },
    { use: 'sun', unit: 'W/m²' },
    { use: 'wind', unit: 'm/s' },
    { use: 'cloud', unit: 'tenths' },
    { use: 'rain', unit: 'mm' },
  ];
  const headers = ['time', 'air', 'dew point', 'light', 'wind', 'cloud', 'rain'];
  const table = { headers, rows: rows.map((r) => r ?? []), firstLine: HEAD_LINES + 1 };
  const read = weatherOf(
    { ...table, rows: table.rows.map((r) => (r.length > 0 ? r : ['left out'])) },
    columns,
    { ...station.value },
    station.value.name,
  );
  if (!read.ok) return read;
  // What has no date has been told already, in its own words.
  const others = read.value.bad.filter((b) => !b.message.includes('"left out"'));
  return ok({ ...read.value, bad: [...bad, ...others], station: station.value });
}
