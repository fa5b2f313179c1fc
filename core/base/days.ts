/** Days of the calendar as whole numbers, without a clock or a time zone. */

export const MS_PER_DAY = 86_400_000;
export const MS_PER_HOUR = 3_600_000;

/** The number of the day that an instant falls on, by a clock so many hours ahead of UTC. */
export const dayAt = (ms: number, utcHours: number): number => Math.floor((ms / MS_PER_HOUR + utcHours) / 24);

/** The hour of that clock, from 0 up to 24. */
export const hourAt = (ms: number, utcHours: number): number => (((ms / MS_PER_HOUR + utcHours) % 24) + 24) % 24;

/** Days since 1 January 1970 of a year-month-day. */
export const dayNumber = (date: string): number => Math.round(Date.parse(`${date}T00:00:00Z`) / MS_PER_DAY);

/** Year-month-day of a day's number. */
export const isoDay = (day: number): string => new Date(day * MS_PER_DAY).toISOString().slice(0, 10);

/**
 * Whether a text is a date that there is.
 * @example isDate('2027-02-29') // false
 */
export function isDate(text: string): boolean {
  const day = /^\d{4}-\d\d-\d\d$/.test(text) ? dayNumber(text) : NaN;
  return Number.isFinite(day) && isoDay(day) === text;
}

/**
 * A date so many days on.
 * @example addDays('2026-12-30', 3) // "2027-01-02"
 */
export const addDays = (date: string, days: number): string => isoDay(dayNumber(date) + days);

/** Whole days from one date to another. */
export const daysBetween = (from: string, to: string): number => dayNumber(to) - dayNumber(from);

/**
 * The number of a date within its year, from 1.
 * @example dayOfYear('2027-02-01') // 32
 */
export const dayOfYear = (date: string): number => daysBetween(`${date.slice(0, 4)}-01-01`, date) + 1;

/**
 * Whether a text is a month and day that there is in every leap year.
 * @example isMonthDay('02-29') // true
 */
export const isMonthDay = (text: string): boolean => /^\d\d-\d\d$/.test(text) && isDate(`2028-${text}`);

/** The date of a month and day in a year: of the last of February in a year without one, the day before. */
export function inYear(year: number, monthDay: string): string {
  const date = `${year}-${monthDay}`;
  return isDate(date) ? date : `${year}-02-28`;
}

export const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

/**
 * A date as it is said, without its year.
 * @example sayDay('2026-11-06') // "6 November"
 */
export const sayDay = (date: string): string =>
  `${Number(date.slice(8, 10))} ${MONTHS[Number(date.slice(5, 7)) - 1] ?? ''}`;

/**
 * A day of any year as it is said.
 * @example sayMonthDay('11-06') // "6 November"
 */
export const sayMonthDay = (monthDay: string): string => sayDay(`2028-${monthDay}`);
