/** What to be reminded of while the day goes by: from tonight's words and the calendar, each at its hour. */
import { type Phrase, capital } from '../../base/figure';
import type { Task } from './calendar';
import type { Tonight } from './tonight';

/** One thing to be done at a cover. */
export interface Reminder {
  /** The same for the same thing on the same day. */
  readonly id: string;
  readonly coverId: string;
  /** Hour of the clock from which it is due. */
  readonly hour: number;
  /** What doing it writes in the day book. */
  readonly does: 'opened' | 'shut' | 'note';
  readonly text: Phrase;
}

/** One cover on one day. */
export interface RemindOf {
  readonly coverId: string;
  readonly name: string;
  readonly word: Tonight | undefined;
  readonly tasks: readonly Task[];
}

/** So long before it is to be done, hours. */
const AHEAD_HOURS = 0.5;
/** When what has no hour of its own is told, and when what comes with the night is. */
const MORNING = 8;
const EVENING = 15;
/** Only told: nothing is to be done then. */
const QUIET = new Set<Task['kind']>(['light', 'frost', 'harvest']);

/**
 * What is to be done on a day, in the order of its hours.
 * @param today year-month-day by the clock of the place
 */
export function remindersOf(covers: readonly RemindOf[], today: string): readonly Reminder[] {
  return covers
    .flatMap(({ coverId, name, word, tasks }): readonly Reminder[] => {
      const one = (what: string, hour: number, does: Reminder['does'], text: Phrase): Reminder => ({
        id: `${today} ${coverId} ${what}`,
        coverId,
        hour,
        does,
        text,
      });
      const at = (hour: number): string => `${Math.round(hour) % 24}:00`;
      return [
        ...(word && word.openAt !== null
          ? [one('open', word.openAt - AHEAD_HOURS, 'opened', [`Open ${name} at ${at(word.openAt)}.`])]
          : []),
        ...(word && word.shutAt !== null
          ? [one('shut', word.shutAt - AHEAD_HOURS, 'shut', [`Shut ${name} by ${at(word.shutAt)}.`])]
          : []),
        ...(word?.deeds ?? []).map((deed, i) => one(`deed ${i}`, EVENING, 'note', [`${capital(name)}: `, ...deed])),
        ...tasks
          .filter((t) => t.date === today && !QUIET.has(t.kind))
          .map((t) =>
            one(t.id, MORNING, 'note', [`${capital(name)}: ${t.title.slice(0, 1).toLowerCase()}${t.title.slice(1)}.`]),
          ),
      ];
    })
    .sort((a, b) => a.hour - b.hour || a.id.localeCompare(b.id));
}

/** What of it is due at an hour and not yet done or put off. @param past ids that are */
export const dueAt = (all: readonly Reminder[], hour: number, past: ReadonlySet<string>): readonly Reminder[] =>
  all.filter((r) => r.hour <= hour && !past.has(r.id));
