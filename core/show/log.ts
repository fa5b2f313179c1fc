/** The day book as CSV, for any spreadsheet. */
import type { Garden } from '../garden/garden';
import { csvText } from './cells';

const FIELDS = [
  'date',
  'cover',
  'kind',
  'inside_low_c',
  'inside_high_c',
  'outside_low_c',
  'outside_high_c',
  'kg',
  'note',
];

/** Every entry a line, the first day first; temperatures in C. Cells that a spreadsheet would take for a formula are escaped. */
export function logCsv({ log, covers }: Pick<Garden, 'log' | 'covers'>): string {
  const names = new Map(covers.map((c) => [c.id, c.name]));
  const data = [...log]
    .sort((a, b) => a.date.localeCompare(b.date))
    .map((e) => [
      e.date,
      e.coverId === null ? '' : (names.get(e.coverId) ?? e.coverId),
      e.kind,
      e.insideLowC ?? '',
      e.insideHighC ?? '',
      e.outsideLowC ?? '',
      e.outsideHighC ?? '',
      e.kg ?? '',
      e.note,
    ]);
  return csvText(FIELDS, data);
}
