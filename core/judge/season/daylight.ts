/** How long the day is: when plants stand still for want of light. */
import { getTimes } from 'suncalc';
import { noonSun } from '../climate/noon';
import { MS_PER_HOUR, addDays, dayNumber, isoDay } from '../../base/days';

/** Below so many hours of daylight most plants stand still. Source: growers' rule. */
export const STANDSTILL_HOURS = 10;

/** One day of the sun at a place. */
interface SunDay {
  readonly date: string;
  /** From sunrise to sunset, hours: upper limb, 34 arc minutes of refraction. */
  readonly hours: number;
  /** Height of the sun's centre at local noon, degrees. */
  readonly noonAltitudeDeg: number;
  /** Instants, ms since 1970; null where the sun stays up or down all day. */
  readonly sunriseMs: number | null;
  readonly sunsetMs: number | null;
}

/**
 * Daylight of one solar day. Source: J. Meeus, Astronomical Algorithms, as the sun library has it.
 * @param date year-month-day of the local day
 * @example sunDay(44.1, -72.6, '2026-12-21').hours // 8.88
 */
export function sunDay(latitudeDeg: number, longitudeDeg: number, date: string): SunDay {
  const t = getTimes(new Date(`${date}T12:00:00Z`), latitudeDeg, longitudeDeg);
  const [rise, set] = [t.sunrise?.getTime() ?? null, t.sunset?.getTime() ?? null];
  const hours = t.alwaysUp ? 24 : rise === null || set === null ? 0 : (set - rise) / MS_PER_HOUR;
  const { altitudeDeg } = noonSun(latitudeDeg, longitudeDeg, date);
  return { date, hours, noonAltitudeDeg: altitudeDeg, sunriseMs: rise, sunsetMs: set };
}

/** The dark part of a winter: from the first day shorter than ten hours to the first that has them again. */
interface TenHours {
  /** null: no day of that winter is so short. */
  readonly from: string | null;
  readonly to: string | null;
}

/**
 * Between which dates of a winter the day is shorter than ten hours.
 * @param winter the year in which that winter begins: of 2026-27 it is 2026; south of the equator the year it lies in
 * @example tenHours(44.1, -72.6, 2026).from // "2026-11-06"
 */
export function tenHours(latitudeDeg: number, longitudeDeg: number, winter: number): TenHours {
  const south = latitudeDeg < 0;
  const [first, last] = south ? [`${winter}-01-01`, `${winter}-12-31`] : [`${winter}-07-01`, `${winter + 1}-06-30`];
  const short = (date: string): boolean => sunDay(latitudeDeg, longitudeDeg, date).hours < STANDSTILL_HOURS;
  // The day shrinks to the solstice and grows after it: each crossing is halved down to.
  const solstice = south ? `${winter}-06-21` : `${winter}-12-21`;
  if (!short(solstice)) return { from: null, to: null };
  const crossing = (light: string, dark: string): string => {
    let [a, b] = [dayNumber(light), dayNumber(dark)];
    while (Math.abs(b - a) > 1) {
      const middle = Math.round((a + b) / 2);
      if (short(isoDay(middle))) b = middle;
      else a = middle;
    }
    return isoDay(b);
  };
  // Counted from the light side, the day found is the last dark one in spring: the light one comes after it.
  return { from: crossing(first, solstice), to: addDays(crossing(last, solstice), 1) };
}
