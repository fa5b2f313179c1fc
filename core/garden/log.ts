/** The day book: what was done and read at the covers, day by day. */
import { z } from 'zod';
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

const degrees = z.number().min(-60).max(80).nullable().default(null);

/** One entry. Temperatures in C, of the night before and the day; what was not read is null. */
export const logSchema = z
  .strictObject({
    id: z.string().min(1).max(40),
    date: z.string().refine(isDate, 'must be a date such as 2027-01-15'),
    /** The cover it is about; null: the garden. */
    coverId: z.string().min(1).max(40).nullable(),
    kind: z.enum(LOG_KIND_KEYS),
    note: z.string().max(500).default(''),
    insideLowC: degrees,
    insideHighC: degrees,
    outsideLowC: degrees,
    outsideHighC: degrees,
    kg: z.number().min(0).max(10_000).nullable().default(null),
    /** Keys of its pictures: they are kept in the browser, and in the file only where asked. */
    pictures: z.array(pictureKey).max(MOST_OF_ENTRY).default([]),
  })
  .refine((e) => e.insideLowC === null || e.insideHighC === null || e.insideLowC <= e.insideHighC, {
    path: ['insideLowC'],
    message: 'the low inside is not above the high',
  })
  .refine((e) => e.outsideLowC === null || e.outsideHighC === null || e.outsideLowC <= e.outsideHighC, {
    path: ['outsideLowC'],
    message: 'the low outside is not above the high',
  });
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
