/** The commands of sun, air and season. */
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { airOf, climatePlace, seasonOfCover } from '../core/air';
import { isDate, isoDay, MS_PER_DAY, MS_PER_HOUR } from '../core/base/days';
import { phraseText } from '../core/base/figure';
import { type Fault, type Result, fail, failAll, ok } from '../core/base/result';
import { evaluate } from '../core/evaluate';
import type { Garden } from '../core/garden/garden';
import type { Assessment } from '../core/assessment';
import { sunDay, tenHours } from '../core/judge/season/daylight';
import { guessColumns } from '../core/judge/weather/columns';
import { isEpw, readEpw } from '../core/judge/weather/epw';
import { type ReadWeather, readTable, weatherOf } from '../core/judge/weather/table';
import { climateCsv } from '../core/show/climateCsv';
import { icalendar } from '../core/show/icalendar';
import { type Options, type Partly, numberOf, readCovers, readText } from './read';

const utc = (ms: number | null): string | null =>
  ms === null ? null : new Date(ms).toISOString().slice(0, 19).replace('T', ' ');

/** `sun`: daylight of a date, the dark part of a winter, or both. */
export function sunCommand(options: Options): Result<unknown> {
  const [lat, lon] = [numberOf(options, 'lat', -90, 90), numberOf(options, 'lon', -180, 180)];
  if (!lat.ok) return lat;
  if (!lon.ok) return lon;
  const { date, winter } = options;
  if (date === undefined && winter === undefined)
    return fail('--date', 'say a date such as 2026-12-21, a winter such as --winter 2026, or both');
  if (date !== undefined && !isDate(date)) return fail('--date', `must be a date such as 2026-12-21, not "${date}"`);
  const year = winter === undefined ? ok(0) : numberOf(options, 'winter', 1900, 2200);
  if (!year.ok || !Number.isInteger(year.value))
    return fail('--winter', 'must be the year in which the winter begins, from 1900 to 2200');
  const day = date === undefined ? undefined : sunDay(lat.value, lon.value, date);
  const dark = winter === undefined ? undefined : tenHours(lat.value, lon.value, year.value);
  return ok({
    lat: lat.value,
    lon: lon.value,
    ...(day && {
      date: day.date,
      hours: day.hours,
      noonAltitudeDeg: day.noonAltitudeDeg,
      sunriseUTC: utc(day.sunriseMs),
      sunsetUTC: utc(day.sunsetMs),
    }),
    ...(dark && {
      winter: lat.value < 0 ? `${year.value}` : `${year.value}-${String((year.value + 1) % 100).padStart(2, '0')}`,
      tenHourDates: [dark.from, dark.to],
    }),
  });
}

async function readWeather(path: string, place: Parameters<typeof weatherOf>[2]): Promise<Result<ReadWeather>> {
  const text = await readText(path, '--weather');
  if (!text.ok) return text;
  const named = <T>(r: Result<T>): Result<T> =>
    r.ok ? r : failAll(r.faults.map((f) => ({ field: `--weather ${f.field}`, message: f.message })));
  if (isEpw(text.value)) return named(readEpw(text.value));
  const table = readTable(text.value);
  if (!table.ok) return named(table);
  return named(weatherOf(table.value, guessColumns(table.value.headers), place, path));
}

/** `air`: a cover in the weather of a file, hour by hour, with a summary. */
export async function airCommand(path: string, options: Options): Promise<Result<Partly>> {
  const { cover: coverId, weather } = options;
  if (weather === undefined)
    return fail(
      '--weather',
      'say which file of weather: CSV with a column of times and one of air temperatures, or EPW',
    );
  if (coverId === undefined) return fail('--cover', 'say which cover');
  const read = await readCovers(path, coverId);
  if (!read.ok) return read;
  const { garden, covers } = read.value;
  const [cover] = covers;
  const outlined = cover ? evaluate(garden, cover) : fail('--cover', 'there is none');
  if (!outlined.ok)
    return failAll(outlined.faults.map((f) => ({ field: `${coverId}.${f.field}`, message: f.message })));
  const told = await readWeather(weather, climatePlace(garden, Date.now()));
  if (!told.ok) return told;
  const { weather: w, gaps, bad, assumed } = told.value;
  const climate = airOf(outlined.value, w);
  const { days } = climate;
  const row = outlined.value.assembly.crop.crop;
  const coldest = days.reduce((a, b) => (b.lowC < a.lowC ? b : a));
  const hottest = days.reduce((a, b) => (b.highC > a.highC ? b : a));
  const mean = (of: (d: (typeof days)[number]) => number): number =>
    days.reduce((sum, d) => sum + of(d), 0) / days.length;
  const degrees = (c: number): string => `${c.toFixed(1)} C`;
  const summary = [
    `cover: ${outlined.value.cover.name}; weather: ${w.source}, ${days.length} days`,
    `coldest inside: ${degrees(coldest.lowC)} on ${coldest.date} (outside ${degrees(coldest.outLowC)})`,
    `hottest inside: ${degrees(hottest.highC)} on ${hottest.date} (outside ${degrees(hottest.outHighC)})`,
    `milder at the low of the day, on average: ${degrees(mean((d) => d.lowC - d.outLowC))}`,
    `hours hotter than ${row.name} likes (${row.hotC} C): ${days.reduce((sum, d) => sum + d.hotHours, 0)}`,
    `hours colder than ${row.name} lives (${row.killingC} C): ${days.reduce((sum, d) => sum + d.killHours, 0)}`,
    `energy closed each step within ${(100 * climate.run.worstGap).toExponential(1)} %`,
    ...gaps.map((g) => `filled: ${g.hours} hours from ${utc(g.startMs) ?? ''} UTC`),
    ...bad.map((b) => `left out: ${b.field}: ${b.message}`),
    ...assumed.map((a) => `taken: ${a}`),
    'a planning aid: a model of one bed, not a thermometer in it',
  ];
  return ok({
    value: undefined,
    faults: [],
    text: climateCsv(climate, w, climatePlace(garden, w.startMs).utcHours) + summary.map((s) => `# ${s}\n`).join(''),
  });
}

/** The calendar of one cover from today on, as iCalendar. */
export function seasonFile(garden: Garden, o: Assessment, nowMs: number): string {
  const tasks = seasonOfCover(o, isoDay(nowMs / MS_PER_DAY));
  return icalendar(garden.name, [{ coverId: o.cover.id, coverName: o.cover.name, tasks }], garden.units, nowMs);
}

/** `season`: the calendar of each cover for twelve months. */
export async function seasonCommand(path: string, options: Options, nowMs: number): Promise<Result<Partly>> {
  const { cover: coverId, out, from = isoDay(nowMs / MS_PER_DAY) } = options;
  if (!isDate(from)) return fail('--from', `must be a date such as 2026-11-01, not "${from}"`);
  const read = await readCovers(path, coverId);
  if (!read.ok) return read;
  const { garden, covers } = read.value;
  const faults: Fault[] = [];
  const planned = covers.flatMap((cover) => {
    const outlined = evaluate(garden, cover);
    if (outlined.ok) return [{ coverId: cover.id, coverName: cover.name, tasks: seasonOfCover(outlined.value, from) }];
    faults.push(...outlined.faults.map((f) => ({ field: `${cover.id}.${f.field}`, message: f.message })));
    return [];
  });
  if (planned.length === 0) return failAll(faults);
  if (out !== undefined) {
    await mkdir(out, { recursive: true });
    await writeFile(
      join(out, 'season.ics'),
      icalendar(garden.name, planned, garden.units, Math.floor(nowMs / MS_PER_HOUR) * MS_PER_HOUR),
    );
  }
  const seasons = planned.map(({ coverId: cover, coverName: name, tasks }) => ({
    cover,
    name,
    tasks: tasks.map(({ why, ...t }) => ({ ...t, why: phraseText(why, garden.units) })),
  }));
  return ok({ value: { garden: garden.name, from, seasons }, faults });
}
