import { demoGarden } from './demo';
import { changesBetween } from './difference';
import type { Garden } from './garden';
import { type Step, type UndoHistory, nextTurn, rebased, replay, turned, withEdit } from './history';

const start = demoGarden();
const renamed = (g: Garden, id: string, name: string): Garden => ({
  ...g,
  covers: g.covers.map((c) => (c.id === id ? { ...c, name } : c)),
});
const work = (doc: Garden): UndoHistory => ({ doc, edits: [], at: 0 });
const made = (label: string, before: Garden, after: Garden): Step => ({
  kind: 'edit',
  label,
  changes: changesBetween(before, after),
});
const nameOf = (w: UndoHistory, id: string): string | undefined => w.doc.covers.find((c) => c.id === id)?.name;
const [one, two] = start.covers.map((c) => c.id) as [string, string];

/** The garden with some names given one after another. */
function named(...names: readonly (readonly [string, string])[]): UndoHistory {
  return names.reduce<UndoHistory>((w, [id, name]) => {
    const doc = renamed(w.doc, id, name);
    return withEdit(w, { label: name, changes: changesBetween(w.doc, doc) }, doc);
  }, work(start));
}

test('a step back and forth is where it was; a new step ends what could be redone', () => {
  const w = named([one, 'A'], [one, 'B']);
  const back = turned(w, 'undo');
  expect(back && [nameOf(back, one), back.at, back.edits.length]).toEqual(['A', 1, 2]);
  expect(back && turned(back, 'redo')).toEqual(w);
  expect(turned(w, 'redo')).toBeUndefined();
  expect(turned(work(start), 'undo')).toBeUndefined();
  const other = back && withEdit(back, { label: 'C', changes: [] }, back.doc);
  expect(other?.edits.map((e) => e.label)).toEqual(['A', 'C']);
});

test('steps done again on a garden that has moved on keep what it has, and each can be undone', () => {
  const theirs = named([two, 'Theirs']);
  const steps = [
    made('A', start, renamed(start, one, 'A')),
    made('B', renamed(start, one, 'A'), renamed(start, one, 'B')),
  ];
  const { work: both, lost } = replay(theirs, steps);
  expect(lost).toEqual([]);
  expect([nameOf(both, one), nameOf(both, two)]).toEqual(['B', 'Theirs']);
  expect(both.edits.map((e) => e.label)).toEqual(['Theirs', 'A', 'B']);
  const back = turned(both, 'undo');
  expect(back && nameOf(back, one)).toBe('A');
});

test('a step that makes no sound garden is not done, and is told', () => {
  const step = made('Nameless', start, renamed(start, one, ''));
  const { work: after, lost } = replay(work(start), [step]);
  expect(lost).toEqual([step]);
  expect(after).toEqual(work(start));
});

test('a step that is there already is not done twice; an undo goes back the same way', () => {
  const w = named([one, 'A']);
  expect(replay(w, [made('A', start, renamed(start, one, 'A'))]).work).toBe(w);
  const undo = nextTurn(w, 'undo');
  const { work: back } = replay(w, undo ? [undo] : []);
  expect([nameOf(back, one), back.at, back.edits.length]).toEqual([nameOf(work(start), one), 0, 1]);
});

test('steps that go together only as a whole are one step on what the other tab saved', () => {
  // First it is made wrong, then right: neither the first alone nor the second on another garden is sound.
  const wrong = renamed(start, one, '');
  const right = renamed(renamed(start, one, 'Right'), two, 'Also');
  const both = rebased(named([two, 'Theirs']), start, [made('x', start, wrong), made('y', wrong, right)], [], Infinity);
  expect([nameOf(both, one), nameOf(both, two)]).toEqual(['Right', 'Also']);
  expect(both.edits).toHaveLength(2);
});

test('what is to be left stands as it is in the garden', () => {
  const theirs = named([one, 'Theirs']);
  const step = made('Mine', start, renamed(renamed(start, one, 'Mine'), two, 'Other'));
  const left = rebased(theirs, start, [step], [['covers', one, 'name']], Infinity);
  expect([nameOf(left, one), nameOf(left, two)]).toEqual(['Theirs', 'Other']);
  expect(nameOf(rebased(theirs, start, [step], [], Infinity), one)).toBe('Mine');
});
