/** A calendar of tasks as iCalendar (RFC 5545), for any calendar program: whole days, with a reminder the evening before. */
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import { type Preferences } from '../base/amount';
import { addDays } from '../base/days';
import { idToText } from '../base/ids';
import { phraseText } from '../base/figure';
import type { Task } from '../judge/season/calendar';

/** The tasks of one cover. */
interface TasksOf {
  readonly coverId: string;
  readonly coverName: string;
  readonly tasks: readonly Task[];
}

/** A name on one line, without signs that do not print or halves of one; the rest is escaped where it is written. */
const cleaned = (name: string): string =>
  name
    .replace(/[\p{Cc}\u2028\u2029]+/gu, ' ')
    .replace(/\p{Cs}/gu, '\ufffd')
    .trim();

/**
 * A calendar file.
 * @param garden what the garden is called
 * @param stampMs when it was made, ms since 1970
 */
export function icalendar(garden: string, covers: readonly TasksOf[], units: Preferences, stampMs: number): string {
  const calendar = ical({
    name: cleaned(garden),
    prodId: { company: 'Cabanon', product: 'Cabanon', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { coverId, coverName, tasks } of covers)
    for (const t of tasks) {
      const event = calendar.createEvent({
        id: `${idToText(coverId)}-${t.id}-${t.date}@cabanon`,
        start: new Date(`${t.date}T00:00:00Z`),
        // The last day is the one before the end (RFC 5545, 3.6.1).
        end: new Date(`${t.until ?? addDays(t.date, 1)}T00:00:00Z`),
        allDay: true,
        stamp: new Date(stampMs),
        summary: `${t.title} (${cleaned(coverName)})`,
        description: `${phraseText(t.why, units)}\n\nA planning aid: look at the weather before you trust the date.`,
      });
      if (t.kind !== 'frost' && t.kind !== 'light')
        event.createAlarm({ type: ICalAlarmType.display, trigger: 6 * 3600 });
    }
  return `${calendar.toString()}\r\n`;
}
