/** How far the sun has worn the sheets of a cover: film dies of light, and it only counts while it is out. */
import { addDays, dayOfYear, daysBetween } from '../../base/days';
import type { CoverMaterial } from '../../catalog/types';
import { type SeasonalCover, coatOn } from './seasonalCovers';
import { sunDay } from './daylight';

/** Days on which a frame wore its sheets: from one date to before another, in order. */
export type DeployedPeriod = readonly [from: string, to: string];

/** One sheet in the sun. */
export interface SheetLife {
  readonly coverKey: string;
  /** Daylight that it has lain in, hours. */
  readonly hours: number;
  /** Part of its life that is gone: 1 is the middle of what is said of such sheets. */
  readonly worn: number;
  /** When it comes to its end if each year goes on as it is said; null: not within the years looked at. */
  readonly replaceBy: string | null;
}

/** No sheet is looked at further ahead than so, years. */
const AHEAD_YEARS = 25;
/** A year longer than this on record is cut: readings are never so old. */
const MOST_BACK_DAYS = 366 * 40;

/**
 * Sun on level ground above the air on one day, as a part of what falls straight down all day long: how hard a day wears a sheet.
 * Source: J. A. Duffie and W. A. Beckman, Solar Engineering of Thermal Processes, eq. 1.10.3 without the constant.
 */
export function sunDose(latitudeDeg: number, date: string): number {
  const rad = Math.PI / 180;
  const phi = latitudeDeg * rad;
  const delta = 23.45 * rad * Math.sin((2 * Math.PI * (284 + dayOfYear(date))) / 365);
  const w = Math.acos(Math.max(-1, Math.min(1, -Math.tan(phi) * Math.tan(delta))));
  return (Math.cos(phi) * Math.cos(delta) * Math.sin(w) + w * Math.sin(phi) * Math.sin(delta)) / Math.PI;
}

/**
 * What the sun has done to each sheet that a frame wears, and when it wants another.
 * A sheet lasts so many years out of doors; the part of its life that is gone is the sun it has had over the sun of those years here.
 * @param spells when the frame stood; @param today up to when it is counted
 */
export function sheetLives(
  own: CoverMaterial,
  coats: readonly SeasonalCover[],
  coverOf: (key: string) => CoverMaterial,
  spells: readonly DeployedPeriod[],
  { latitudeDeg, longitudeDeg }: { readonly latitudeDeg: number; readonly longitudeDeg: number },
  today: string,
): readonly SheetLife[] {
  const keys = [own.key, ...coats.flatMap((c) => (c.coverKey === null ? [] : [c.coverKey]))];
  const doses = Array.from({ length: 367 }, (_, i) => sunDose(latitudeDeg, addDays('2027-01-01', i - 1)));
  const dose = (date: string): number => doses[dayOfYear(date)] ?? 0;
  const yearDose = doses.slice(1, 366).reduce((sum, d) => sum + d, 0);
  const wornOn = (date: string): string | null => {
    const coat = coatOn(coats, date);
    return coat === undefined ? own.key : coat.coverKey;
  };
  const had = new Map<string, { hours: number; dose: number }>(
    [...new Set(keys)].map((k) => [k, { hours: 0, dose: 0 }]),
  );
  for (const [from, to] of spells) {
    const end = to < today ? to : today;
    const first = daysBetween(from, end) > MOST_BACK_DAYS ? addDays(end, -MOST_BACK_DAYS) : from;
    for (let date = first; date < end; date = addDays(date, 1)) {
      const sum = had.get(wornOn(date) ?? '');
      if (!sum) continue;
      sum.dose += dose(date);
      sum.hours += sunDay(latitudeDeg, longitudeDeg, date).hours;
    }
  }
  return [...had].map(([coverKey, sum]): SheetLife => {
    const life = coverOf(coverKey).lifeYears * yearDose;
    let left = life - sum.dose;
    let date = today;
    const last = addDays(today, Math.round(365.25 * AHEAD_YEARS));
    for (; left > 0 && date < last; date = addDays(date, 1)) if (wornOn(date) === coverKey) left -= dose(date);
    return { coverKey, hours: sum.hours, worn: sum.dose / life, replaceBy: left > 0 ? null : date };
  });
}
