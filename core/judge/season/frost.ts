/** When frost comes and goes at a place, and how far a year may be off. */
import { addDays, dayOfYear, inYear } from '../../base/days';
import type { FrostDates, Place } from '../../site/place';
import { normalsOf, usualC } from '../weather/normals';

/** Usual mean of the days about the last frost: a clear night falls so far below it. Source: our own figure from stations inland. */
const MEAN_AT_LAST_FROST_C = 10.5;
const ROUGH_SPREAD_DAYS = 14;
/** A year with as many days as any, to count days of a year in. */
const SOME_YEAR = 2027;

/** Frost dates of a place: those that its gardener said, else rough ones by latitude and height; undefined where no frost comes or it never goes. */
export function frostOf(
  place: Pick<Place, 'latitudeDeg' | 'longitudeDeg' | 'elevationM' | 'frost'>,
): (FrostDates & { readonly rough: boolean }) | undefined {
  if (place.frost) return { ...place.frost, rough: false };
  const n = normalsOf(place);
  const hottest = Math.round(n.coldestDay + 182.6);
  const warm = (day: number): boolean => usualC(n, day) > MEAN_AT_LAST_FROST_C;
  if (!warm(hottest) || warm(n.coldestDay)) return undefined;
  let [spring, autumn] = [hottest, hottest];
  while (warm(spring)) spring--;
  while (warm(autumn)) autumn++;
  const monthDay = (day: number): string => addDays(`${SOME_YEAR}-01-01`, (((day - 1) % 365) + 365) % 365).slice(5);
  return { lastSpring: monthDay(spring), firstAutumn: monthDay(autumn), spreadDays: ROUGH_SPREAD_DAYS, rough: true };
}

/** How fast the days warm at a date of a place, C a day: the steepness of the usual year. */
export function warmingPerDay(
  place: Pick<Place, 'latitudeDeg' | 'longitudeDeg' | 'elevationM'>,
  monthDay: string,
): number {
  const n = normalsOf(place);
  const day = dayOfYear(inYear(SOME_YEAR, monthDay));
  return Math.abs(usualC(n, day + 0.5) - usualC(n, day - 0.5));
}

/**
 * The first date from a day on that has a month and day.
 * @example nextOf('2026-11-26', '05-22') // "2027-05-22"
 */
export function nextOf(from: string, monthDay: string): string {
  const year = Number(from.slice(0, 4));
  const date = inYear(year, monthDay);
  return date >= from ? date : inYear(year + 1, monthDay);
}

/** Days of a span of month and day, over new year where it ends before it begins. */
export const inSpan = (date: string, from: string, to: string): boolean => {
  const at = date.slice(5);
  return from <= to ? at >= from && at < to : at >= from || at < to;
};
