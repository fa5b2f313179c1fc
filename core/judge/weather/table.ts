/** Weather out of a table: hourly or daily, columns as they are picked, gaps filled and told, bad rows named. */
import { amount, phrase, type Phrase } from '../../base/figure';
import Papa from 'papaparse';
import { MS_PER_DAY, MS_PER_HOUR, isoDay } from '../../base/days';
import { type Fault, type Result, fail, ok } from '../../base/result';
import { clearSunAt, cloudOf, throughCloud } from '../climate/sky';
import { type Column, columnUse } from './columns';
import { SNOWS_BELOW_C, SNOW_PER_WATER, type Weather, type WeatherPlace } from './weather';

/** A table as it was read, before anyone has said what its columns are. */
export interface WeatherTable {
  readonly headers: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Line of the file that the first row stands on. */
  readonly firstLine: number;
}

/** Hours without a reading that stood between others, and were filled. */
export interface Gap {
  readonly startMs: number;
  readonly hours: number;
}

/** Weather read, with what was wrong and what was put in its place. */
export interface ReadWeather {
  readonly weather: Weather;
  readonly gaps: readonly Gap[];
  readonly bad: readonly Fault[];
  /** What no column told, and what was taken instead. */
  readonly assumed: readonly Phrase[];
  readonly daily: boolean;
}

/** What is read of a table at most: ten years of hours. */
const MOST_WEATHER_HOURS = 87_672;
const MOST_BAD = 100;
/** A gap longer than this is no gap: two tables that were stuck together. */
const MOST_GAP_HOURS = 24 * 62;

/** A table of text with its headers. @returns a fault where there is no table in it */
export function readTable(text: string): Result<WeatherTable> {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    preview: MOST_WEATHER_HOURS + 50,
  });
  const [headers, ...rows] = parsed.data;
  if (!headers || rows.length === 0)
    return fail('line 1', 'there is no table: the first line names the columns, each further line is an hour or a day');
  if (rows.length > MOST_WEATHER_HOURS)
    return fail('rows', `at most ${MOST_WEATHER_HOURS} rows are read: ten years of hours`);
  return ok({ headers: headers.map((h) => h.slice(0, 80)), rows, firstLine: 2 });
}

/**
 * The instant of a written time, ms since 1970; NaN where it is none. Without a zone it is by the clock of the place.
 * @param utcHours how far that clock is ahead of UTC
 */
export function instant(text: string, utcHours: number): number {
  const t = text.trim();
  const m =
    /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T\s]+(\d{1,2})(?::(\d{2}))?(?::(\d{2})(?:\.\d+)?)?)?\s*(Z|UTC|GMT|[+-]\d{2}:?\d{2})?$/i.exec(
      t,
    );
  if (!m) return /^\d{9,10}$/.test(t) ? Number(t) * 1000 : NaN;
  const [year, month, day, hour, minute] = [1, 2, 3, 4, 5].map((i) => Number(m[i] ?? 0)) as [
    number,
    number,
    number,
    number,
    number,
  ];
  if (
    month < 1 ||
    month > 12 ||
    day < 1 ||
    day > new Date(Date.UTC(year, month, 0)).getUTCDate() ||
    hour > 24 ||
    minute > 59
  )
    return NaN;
  const local = Date.UTC(year, month - 1, day, hour, minute);
  const zone = m[7];
  if (zone === undefined) return local - utcHours * MS_PER_HOUR;
  const [, sign, h, min] = /([+-])(\d{2}):?(\d{2})/.exec(zone) ?? [];
  return sign === undefined
    ? local
    : local - (sign === '-' ? -1 : 1) * (Number(h) * MS_PER_HOUR + Number(min) * 60_000);
}

type Reading = { readonly ms: number } & Partial<Record<string, number>>;

interface Clocked extends WeatherPlace {
  readonly utcHours: number;
}

/**
 * Weather of a table whose columns are known.
 * @param source how it is called where it is shown
 * @returns the weather with its gaps and bad rows; a fault where the columns do not make a weather
 */
export function weatherOf(
  table: WeatherTable,
  columns: readonly Column[],
  place: Clocked,
  source: string,
): Result<ReadWeather> {
  const at = (use: Column['use']): number => columns.findIndex((c) => c.use === use);
  const time = at('time');
  if (time < 0) return fail('time', 'say which column is the time or the date');
  const hourly = at('air') >= 0;
  if (!hourly && (at('low') < 0 || at('high') < 0))
    return fail('air', 'say which column is the air temperature, or for days which are the low and the high');
  const again = columns.find((c, i) => c.use !== 'none' && columns.findIndex((d) => d.use === c.use) !== i);
  if (again) return fail(columnUse(again.use).name, `two columns are said to be the ${columnUse(again.use).name}`);

  const bad: Fault[] = [];
  const said = (line: number, column: string, message: string): void => {
    if (bad.length < MOST_BAD) bad.push({ field: `line ${line}, ${column}`, message });
  };
  const step = hourly ? MS_PER_HOUR : MS_PER_DAY;
  const offset = hourly ? 0 : place.utcHours * MS_PER_HOUR;
  const read = new Map<number, Reading>();
  table.rows.forEach((row, i) => {
    const line = table.firstLine + i;
    const ms = instant(row[time] ?? '', columns[time]?.unit === 'UTC' ? 0 : place.utcHours);
    if (!Number.isFinite(ms))
      return said(
        line,
        table.headers[time] ?? 'time',
        `must be a time such as 2027-01-15 14:00, not "${(row[time] ?? '').slice(0, 40)}"`,
      );
    const reading: Record<string, number> = { ms };
    let whole = true;
    columns.forEach((c, k) => {
      if (c.use === 'time' || c.use === 'none') return;
      const text = (row[k] ?? '').trim();
      if (/^(|-|--|na|n\/a|nan|null|none|-?9999?(\.9+|\.0+)?|99999?)$/i.test(text)) return;
      const use = columnUse(c.use);
      const value = (use.units[c.unit] ?? ((x: number) => x))(Number(text.replace(/^(-?\d+),(\d+)$/, '$1.$2')));
      if (!Number.isFinite(value) || value < use.least || value > use.most) {
        whole = false;
        return said(
          line,
          table.headers[k] ?? use.name,
          `must be ${article(use.name)} ${use.name} in ${c.unit || 'numbers'}, not "${text.slice(0, 40)}"`,
        );
      }
      reading[c.use] = value;
    });
    const needed = hourly
      ? reading['air'] !== undefined
      : reading['low'] !== undefined && reading['high'] !== undefined;
    if (!whole || !needed) return;
    const slot = Math.floor((ms + offset) / step);
    if (read.has(slot))
      return said(
        line,
        table.headers[time] ?? 'time',
        `${hourly ? 'this hour' : 'this day'} stands in the table twice`,
      );
    if (!hourly && (reading['low'] ?? 0) > (reading['high'] ?? 0))
      return said(line, 'low', 'the low of a day is not above its high');
    read.set(slot, reading as Reading);
  });
  if (read.size < (hourly ? 24 : 2))
    return fail(
      'rows',
      `at least ${hourly ? '24 hours' : '2 days'} with a time and a temperature are needed; ${read.size} could be read${bad[0] ? ` (${bad[0].field}: ${bad[0].message})` : ''}`,
    );

  const slots = [...read.keys()].sort((a, b) => a - b);
  const [first, last] = [slots[0] ?? 0, slots[slots.length - 1] ?? 0];
  if ((last - first + 1) * (step / MS_PER_HOUR) > MOST_WEATHER_HOURS)
    return fail(
      'time',
      `from ${isoDay((first * step) / MS_PER_DAY)} to ${isoDay((last * step) / MS_PER_DAY)} it is more than ten years`,
    );
  const gaps: Gap[] = [];
  for (let i = 1; i < slots.length; i++) {
    const missing = (slots[i] ?? 0) - (slots[i - 1] ?? 0) - 1;
    if (missing <= 0) continue;
    const hours = missing * (step / MS_PER_HOUR);
    const startMs = ((slots[i - 1] ?? 0) + 1) * step - offset;
    if (hours > MOST_GAP_HOURS)
      return fail(
        'time',
        `nothing is told for ${Math.round(hours / 24)} days from ${isoDay(startMs / MS_PER_DAY)}: take one stretch at a time`,
      );
    gaps.push({ startMs, hours });
  }
  const all = Array.from({ length: last - first + 1 }, (_, i) => read.get(first + i));
  const has = (use: Column['use']): boolean => at(use) >= 0;
  const hours = hourly
    ? all
    : all.flatMap((day, i) => hoursOfDay(day, all[i - 1], all[i + 1], (first + i) * step - offset, place));
  const startMs = first * step - offset;
  return ok({
    weather: { source, simulated: false, startMs, ...lists(hours, startMs, place, has, hourly) },
    gaps,
    bad,
    assumed: assumedOf(has, hourly),
    daily: !hourly,
  });
}

/** Wind where a file tells of none. */
const USUAL_WIND_M_PER_S = 2;

const article = (word: string): string => (/^[aeiou]/.test(word) ? 'an' : 'a');

function assumedOf(has: (use: Column['use']) => boolean, hourly: boolean): readonly Phrase[] {
  const light = has('sun') || has('cloud');
  return [
    ...(light
      ? []
      : [
          [hourly ? 'Light: half cloud all along.' : 'Light: from how far apart the low and the high of each day are.'],
        ]),
    ...(has('dew') || has('humidity') ? [] : [['Dew point: the low of each day, or a little under it.']]),
    ...(has('wind') ? [] : [phrase`Wind: ${amount(USUAL_WIND_M_PER_S, 'speed')}.`]),
    ...(has('rain') || has('snow') ? [] : [['Rain and snow: none.']]),
    ...(hourly ? [] : [['Hours: low at sunrise, high at three in the afternoon.']]),
  ];
}

/** A day as hours: from its low about sunrise to its high in the afternoon and down to the next low. Source: half cosines. */
function hoursOfDay(
  day: Reading | undefined,
  before: Reading | undefined,
  after: Reading | undefined,
  startMs: number,
  place: Clocked,
): readonly (Reading | undefined)[] {
  if (!day) return Array.from({ length: 24 }, () => undefined);
  const [low, high] = [day['low'] ?? 0, day['high'] ?? 0];
  const [highBefore, lowAfter] = [before?.['high'] ?? high, after?.['low'] ?? low];
  const noon = 12 + place.utcHours - place.longitudeDeg / 15;
  const [dawn, top] = [noon - 6, noon + 3];
  const wave = (from: number, to: number, f: number): number => from + ((to - from) * (1 - Math.cos(Math.PI * f))) / 2;
  // Bristow and Campbell, Agricultural and Forest Meteorology 31 (1984) 159: clear days swing far, cloudy ones little.
  const part = 0.75 * (1 - Math.exp(-0.01 * (high - low) ** 2.2)) + 0.05;
  const level = Array.from({ length: 24 }, (_, h) => clearSunAt(startMs + (h + 0.5) * MS_PER_HOUR, place));
  const sum = level.reduce((a, b) => a + b, 0);
  return level.map((clear, h): Reading => {
    const t = h + 0.5;
    const air =
      t < dawn
        ? wave(highBefore, low, (t + 24 - top) / (24 - top + dawn))
        : t < top
          ? wave(low, high, (t - dawn) / (top - dawn))
          : wave(high, lowAfter, (t - top) / (24 - top + dawn));
    const [sun, rain, snow] = [day['sun'], day['rain'], day['snow']];
    return {
      ...day,
      ms: startMs + h * MS_PER_HOUR,
      air,
      sun: sun === undefined ? clear * Math.min(1, part / 0.8) : sum > 0 ? (sun * 24 * clear) / sum : 0,
      ...(rain !== undefined && { rain: rain / 24 }),
      ...(snow !== undefined && { snow: snow / 24 }),
    };
  });
}

type Lists = Omit<Weather, 'source' | 'simulated' | 'startMs'>;

function lists(
  hours: readonly (Reading | undefined)[],
  startMs: number,
  place: Clocked,
  has: (use: Column['use']) => boolean,
  hourly: boolean,
): Lists {
  const n = hours.length;
  const column = (key: string): (number | undefined)[] => hours.map((r) => r?.[key]);
  const airC = filled(column('air'), 10);
  const dayLow = airC.map((_, i) => Math.min(...airC.slice(Math.max(0, i - 12), Math.min(n, i + 12))));
  const clear = airC.map((_, i) => clearSunAt(startMs + (i + 0.5) * MS_PER_HOUR, place));
  const told = has('cloud') ? filled(column('cloud'), 0.5).map((c) => Math.min(1, c)) : undefined;
  const sunTold =
    has('sun') || !hourly
      ? hours.map((r, i) => r?.['sun'] ?? (clear[i] ?? 0) * throughCloud(told?.[i] ?? 0.5))
      : undefined;
  const sunWPerM2 = sunTold ?? clear.map((c, i) => c * throughCloud(told?.[i] ?? 0.5));
  const cloud = told ?? cloudByLight(sunWPerM2, clear);
  const relative = has('humidity') ? filled(column('humidity'), 0.8) : undefined;
  const dewC = has('dew')
    ? filled(column('dew'), 5).map((d, i) => Math.min(d, airC[i] ?? d))
    : airC.map((t, i) => (relative ? dewOf(t, Math.max(0.02, relative[i] ?? 0.8)) : Math.min(t, (dayLow[i] ?? t) - 1)));
  const windMPerS = has('wind') ? filled(column('wind'), USUAL_WIND_M_PER_S) : airC.map(() => USUAL_WIND_M_PER_S);
  const gustMPerS = has('gust')
    ? hours.map((r, i) => r?.['gust'] ?? (windMPerS[i] ?? USUAL_WIND_M_PER_S) * 1.7)
    : windMPerS.map((w) => w * 1.7);
  const water = column('rain').map((x) => x ?? 0);
  const snowTold = column('snow');
  const snows = (i: number): boolean => (airC[i] ?? 5) < SNOWS_BELOW_C;
  return {
    airC,
    dewC,
    sunWPerM2,
    cloud,
    windMPerS,
    gustMPerS,
    rainMm: water.map((w, i) => (!has('snow') && snows(i) ? 0 : w)),
    snowMm: water.map((w, i) => (has('snow') ? (snowTold[i] ?? 0) : snows(i) ? w * SNOW_PER_WATER : 0)),
  };
}

/** Dew point of air so full of vapour. Source: Magnus formula turned round. */
function dewOf(t: number, relative: number): number {
  const x = Math.log(Math.min(1, relative)) + (17.62 * t) / (243.12 + t);
  return (243.12 * x) / (17.62 - x);
}

/** Cloud from what of the clear sky's light there is; the night is as cloudy as the hours of light about it. */
function cloudByLight(sun: readonly number[], clear: readonly number[]): readonly number[] {
  const by = sun.map((s, i) => ((clear[i] ?? 0) > 80 ? cloudOf(Math.min(1, s / (clear[i] ?? 1))) : undefined));
  return filled(by, 0.5);
}

/** A list without holes: short ones straight across, long ones by the same hour of the days before and after. */
function filled(list: readonly (number | undefined)[], otherwise: number): number[] {
  const out = list.map((x) => x ?? NaN);
  const known = (i: number): number => list[i] ?? NaN;
  let last = -1;
  for (let i = 0; i <= out.length; i++) {
    if (i < out.length && !Number.isFinite(out[i] ?? NaN)) continue;
    const hole = i - last - 1;
    for (let k = last + 1; k < i; k++) {
      const f = (k - last) / (hole + 1);
      const [a, b] = [last >= 0 ? known(last) : NaN, i < out.length ? known(i) : NaN];
      const straight =
        Number.isFinite(a) && Number.isFinite(b)
          ? a + (b - a) * f
          : Number.isFinite(a)
            ? a
            : Number.isFinite(b)
              ? b
              : otherwise;
      const [before, after] = [k - 24 * Math.ceil((k - last) / 24), k + 24 * Math.ceil((i - k) / 24)].map(known) as [
        number,
        number,
      ];
      out[k] =
        hole <= 6 || !Number.isFinite(before) || !Number.isFinite(after) ? straight : before + (after - before) * f;
    }
    last = i;
  }
  return out;
}
