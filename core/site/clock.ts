/** The clock of a place: how far it is ahead of UTC. */
import { MS_PER_HOUR, dayAt, isoDay } from '../base/days';

/** A place's clock: its time zone, or where none is said its longitude. */
interface Clock {
  readonly timeZone: string | null;
  readonly longitudeDeg: number;
}

/** Whether a name is that of a public time zone. */
export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

const formats = new Map<string, Intl.DateTimeFormat>();

/**
 * Hours that the clock of a place is ahead of UTC at an instant: by its time zone, summer time counted; by its longitude where none is
 * said.
 * @example utcHoursAt({ timeZone: null, longitudeDeg: -72.6 }, 0) // -5
 */
export function utcHoursAt({ timeZone, longitudeDeg }: Clock, ms: number): number {
  if (timeZone === null) return Math.round(longitudeDeg / 15);
  let format = formats.get(timeZone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-US', {
      timeZone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
    });
    formats.set(timeZone, format);
  }
  const part = new Map(format.formatToParts(new Date(ms)).map((p) => [p.type, Number(p.value)]));
  const get = (type: Intl.DateTimeFormatPartTypes): number => part.get(type) ?? 0;
  const local = Date.UTC(get('year'), get('month') - 1, get('day'), get('hour'), get('minute'));
  return (local - Math.floor(ms / 60_000) * 60_000) / MS_PER_HOUR;
}

/**
 * The date by the clock of a place.
 * @example dateAt({ timeZone: null, longitudeDeg: 170 }, Date.UTC(2027, 0, 1, 14)) // "2027-01-02"
 */
export const dateAt = (clock: Clock, ms: number): string => isoDay(dayAt(ms, utcHoursAt(clock, ms)));
