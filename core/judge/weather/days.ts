/** Days of a weather that are worth looking at. */
import { MS_PER_HOUR, dayAt, isoDay } from '../../base/days';
import { type Weather, hoursOf } from './weather';

/** A day that stands out, and why. */
export interface NotableDay {
  readonly key: 'coldest' | 'bright' | 'hottest' | 'stormy';
  readonly name: string;
  readonly date: string;
}

/** A sky of less than so much is clear. */
const CLEAR = 0.35;

/**
 * The days of a weather that try a cover most: coldest clear night, brightest noon of March (September in the south), hottest, stormiest.
 * @param utcHours how far the clock of the place is ahead of UTC
 */
export function notableDays(w: Weather, utcHours: number, south = false): readonly NotableDay[] {
  const date = (i: number): string => isoDay(dayAt(w.startMs + i * MS_PER_HOUR, utcHours));
  const hours = Array.from({ length: hoursOf(w) }, (_, i) => i);
  const best = (of: (i: number) => number, among: readonly number[]): number | undefined =>
    among.length > 0 ? among.reduce((a, b) => (of(b) > of(a) ? b : a)) : undefined;
  const clear = hours.filter((i) => (w.cloud[i] ?? 1) < CLEAR && (w.sunWPerM2[i] ?? 0) <= 0);
  const month = south ? '09' : '03';
  const bright = hours.filter((i) => date(i).slice(5, 7) === month);
  const found: readonly [NotableDay['key'], string, number | undefined][] = [
    ['coldest', 'Coldest clear night', best((i) => -(w.airC[i] ?? 0), clear.length > 0 ? clear : hours)],
    ['bright', south ? 'Bright September noon' : 'Bright March noon', best((i) => w.sunWPerM2[i] ?? 0, bright)],
    ['hottest', 'Hottest day', best((i) => w.airC[i] ?? 0, hours)],
    ['stormy', 'Stormiest day', best((i) => w.gustMPerS[i] ?? 0, hours)],
  ];
  return found.flatMap(([key, name, i]) => (i === undefined ? [] : [{ key, name, date: date(i) }]));
}
