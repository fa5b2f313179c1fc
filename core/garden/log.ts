/** The day book: what was done and read at the covers, day by day. */
import * as z from 'zod/mini';
import { between, text, word } from '../base/schema';
import { isDate } from '../base/days';
import { MOST_OF_ENTRY, pictureKey } from './pictures';

/** What an entry is about, and how it is said. */
export const LOG_KINDS = {
  reading: 'Read the thermometer',
  opened: 'Opened',
  shut: 'Shut',
  brushed: 'Brushed snow off',
  patched: 'Patched',
  damaged: 'Damage',
  harvested: 'Harvested',
  'put-up': 'Put up',
  'taken-down': 'Taken down',
  'cover-on': 'Cover on',
  'cover-off': 'Cover off',
  change: 'To change next time',
  note: 'Note',
} as const;
export type LogKind = keyof typeof LOG_KINDS;
export const LOG_KIND_KEYS = Object.keys(LOG_KINDS) as [LogKind, ...LogKind[]];

const degrees = z.nullable(between(-60, 80));

/** One entry. Temperatures in C, of the night before and the day; what was not read is null. */
export const logSchema = z
  .strictObject({
    id: word(40),
    date: z.string().check(z.refine(isDate, 'must be a date such as 2027-01-15')),
    /** The cover it is about; null: the garden. */
    coverId: z.nullable(word(40)),
    kind: z.enum(LOG_KIND_KEYS),
    note: text(500),
    insideLowC: degrees,
    insideHighC: degrees,
    outsideLowC: degrees,
    outsideHighC: degrees,
    kg: z.nullable(between(0, 10_000)),
    /** Keys of its pictures: they are kept in the browser, and in the file only where asked. */
    pictures: z.array(pictureKey).check(z.maxLength(MOST_OF_ENTRY)),
  })
  .check(
    z.refine((e) => e.insideLowC === null || e.insideHighC === null || e.insideLowC <= e.insideHighC, {
      path: ['insideLowC'],
      message: 'the low inside is not above the high',
    }),
    z.refine((e) => e.outsideLowC === null || e.outsideHighC === null || e.outsideLowC <= e.outsideHighC, {
      path: ['outsideLowC'],
      message: 'the low outside is not above the high',
    }),
  );
export type LogEntry = z.infer<typeof logSchema>;

/** Ten years of daily readings at two covers, and notes beside them. */
export const MOST_LOG = 20_000;

/** An entry with nothing in it yet. */
export const newEntry = (id: string, date: string, coverId: string | null, kind: LogKind): LogEntry => ({
  id,
  date,
  coverId,
  kind,
  note: '',
  insideLowC: null,
  insideHighC: null,
  outsideLowC: null,
  outsideHighC: null,
  kg: null,
  pictures: [],
});
