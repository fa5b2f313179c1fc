import { phraseText } from '../../base/figure';
import type { Task } from './calendar';
import type { Tonight } from './tonight';
import { type RemindOf, dueAt, remindersOf } from './reminders';

const word: Tonight = {
  mood: 'watch',
  word: ['Open from 9:00, shut by 15:00'],
  low: { insideC: -2, outsideC: -5 },
  high: { insideC: 24 },
  openAt: 9,
  shutAt: 15,
  deeds: [['a blanket before dark']],
};
const task = (id: string, kind: Task['kind'], date: string): Task => ({ id, kind, date, title: `Do ${id}`, why: [] });
const COVER: RemindOf = {
  coverId: 'c',
  name: 'Winter lid',
  word,
  tasks: [task('sow', 'sow', '2027-03-01'), task('later', 'sow', '2027-03-02'), task('dark', 'light', '2027-03-01')],
};
const units = { length: 'cm', temperature: 'C', currency: 'EUR' } as const;

test('what is to be done comes in the order of its hours, half an hour ahead; only what begins today', () => {
  const all = remindersOf([COVER], '2027-03-01');
  expect(all.map((r) => [r.hour, r.does, phraseText(r.text, units)])).toEqual([
    [8, 'note', 'Winter lid: do sow.'],
    [8.5, 'opened', 'Open Winter lid at 9:00.'],
    [14.5, 'shut', 'Shut Winter lid by 15:00.'],
    [15, 'note', 'Winter lid: a blanket before dark'],
  ]);
  expect(new Set(all.map((r) => r.id)).size).toBe(4);
});

test('due at its hour and until it is done; a cover that stays shut reminds of nothing', () => {
  const all = remindersOf([COVER], '2027-03-01');
  expect(dueAt(all, 8.4, new Set())).toHaveLength(1);
  expect(dueAt(all, 9, new Set([all[0]?.id ?? '']))).toEqual([all[1]]);
  expect(dueAt(all, 23, new Set(all.map((r) => r.id)))).toEqual([]);
  const shut = { ...COVER, word: { ...word, openAt: null, shutAt: null, deeds: [] }, tasks: [] };
  expect(remindersOf([shut], '2027-03-01')).toEqual([]);
  expect(remindersOf([{ ...COVER, word: undefined, tasks: [] }], '2027-03-01')).toEqual([]);
});
