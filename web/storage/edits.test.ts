import { applyPatches } from 'immer';
import fc from 'fast-check';
import { demoGarden } from '../../core/garden/demo';
import type { Garden } from '../../core/garden/garden';
import { type OwnStep, type UndoHistory, patchesBetween, rebased, replay, told, turned, withEdit } from './edits';

// No list or record of a garden has such a key: its schema refuses it.
const json = fc
  .jsonValue({ maxDepth: 3 })
  .map((x) => JSON.stringify(x))
  .filter((text) => !text.includes('__proto__'))
  .map((text) => JSON.parse(text) as unknown);

test('what lies between two values turns the one into the other, both ways', () => {
  fc.assert(
    fc.property(json, json, (x, y) => {
      // Whole values are replaced at the root, which a garden never is: they stand in a field.
      const [was, is] = [{ it: x }, { it: y }];
      expect(applyPatches(was, [...patchesBetween(was, is)])).toEqual(is);
      expect(applyPatches(is, [...patchesBetween(is, was)])).toEqual(was);
    }),
    { numRuns: 300 },
  );
});

test('a key that every object inherits is told like any other', () => {
  expect(patchesBetween({ constructor: 1 }, {})).toEqual([{ op: 'remove', path: ['constructor'] }]);
  expect(patchesBetween({}, { toString: 1 })).toEqual([{ op: 'add', path: ['toString'], value: 1 }]);
});

test('only what differs is told, as near to it as can be', () => {
  expect(patchesBetween({ a: 1, b: { c: 2, d: 3 } }, { a: 1, b: { c: 2, d: 4 } })).toEqual([
    { op: 'replace', path: ['b', 'd'], value: 4 },
  ]);
  expect(patchesBetween({ a: [1, 2] }, { a: [1, 3] })).toEqual([{ op: 'replace', path: ['a', 1], value: 3 }]);
  // Of a list of another length nothing is the same place.
  expect(patchesBetween({ a: [1, 2] }, { a: [1] })).toEqual([{ op: 'replace', path: ['a'], value: [1] }]);
  expect(patchesBetween({ a: 1 }, { b: 1 })).toEqual([
    { op: 'remove', path: ['a'] },
    { op: 'add', path: ['b'], value: 1 },
  ]);
  expect(patchesBetween({ a: null }, { a: {} })).toEqual([{ op: 'replace', path: ['a'], value: {} }]);
  expect(patchesBetween({ a: [1] }, { a: [1] })).toEqual([]);
});

const start = demoGarden();
const renamed = (g: Garden, id: string, name: string): Garden => ({
  ...g,
  covers: g.covers.map((c) => (c.id === id ? { ...c, name } : c)),
});
const work = (doc: Garden): UndoHistory => ({ doc, edits: [], at: 0 });
const made = (label: string, before: Garden, after: Garden): OwnStep => ({ kind: 'edit', label, before, after });
const nameOf = (w: UndoHistory, id: string): string | undefined => w.doc.covers.find((c) => c.id === id)?.name;
const [one, two] = start.covers.map((c) => c.id) as [string, string];

/** The garden with some names given one after another. */
function named(...names: readonly (readonly [string, string])[]): UndoHistory {
  return names.reduce<UndoHistory>((w, [id, name]) => {
    const doc = renamed(w.doc, id, name);
    const edit = { label: name, patches: patchesBetween(w.doc, doc), inverse: patchesBetween(doc, w.doc) };
    return withEdit(w, edit, doc);
  }, work(start));
}

test('a step back and forth is where it was; a new step ends what could be redone', () => {
  const w = named([one, 'A'], [one, 'B']);
  const back = turned(w, 'undo');
  expect(back && [nameOf(back, one), back.at, back.edits.length]).toEqual(['A', 1, 2]);
  expect(back && turned(back, 'redo')).toEqual(w);
  expect(turned(w, 'redo')).toBeUndefined();
  expect(turned(work(start), 'undo')).toBeUndefined();
  const other = back && withEdit(back, { label: 'C', patches: [], inverse: [] }, back.doc);
  expect(other?.edits.map((e) => e.label)).toEqual(['A', 'C']);
});

test('steps done again on a garden that has moved on keep what it has, and each can be undone', () => {
  const theirs = named([two, 'Theirs']);
  const steps = [
    made('A', start, renamed(start, one, 'A')),
    made('B', renamed(start, one, 'A'), renamed(start, one, 'B')),
  ];
  const { work: both, lost } = replay(
    theirs,
    steps.map((s) => told(s)),
  );
  expect(lost).toEqual([]);
  expect([nameOf(both, one), nameOf(both, two)]).toEqual(['B', 'Theirs']);
  expect(both.edits.map((e) => e.label)).toEqual(['Theirs', 'A', 'B']);
  const back = turned(both, 'undo');
  expect(back && nameOf(back, one)).toBe('A');
});

test('a step that makes no sound garden is not done, and is told', () => {
  const step = told(made('Nameless', start, renamed(start, one, '')));
  const { work: after, lost } = replay(work(start), [step]);
  expect(lost).toEqual([step]);
  expect(after).toEqual(work(start));
});

test('a step that is there already is not done twice; an undo goes back the same way', () => {
  const w = named([one, 'A']);
  expect(replay(w, [told(made('A', start, renamed(start, one, 'A')))]).work).toBe(w);
  const undo = told({ kind: 'undo', label: 'A', before: w.doc, after: start });
  const { work: back } = replay(w, [undo]);
  expect([nameOf(back, one), back.at, back.edits.length]).toEqual([nameOf(work(start), one), 0, 1]);
});

test('steps that go together only as a whole are one step on what the other tab saved', () => {
  // First it is made wrong, then right: neither the first alone nor the second on another garden is sound.
  const wrong = renamed(start, one, '');
  const right = renamed(renamed(start, one, 'Right'), two, 'Also');
  const both = rebased(named([two, 'Theirs']), [made('x', start, wrong), made('y', wrong, right)], [], Infinity);
  expect([nameOf(both, one), nameOf(both, two)]).toEqual(['Right', 'Also']);
  expect(both.edits).toHaveLength(2);
});

test('what is to be left stands as it is in the garden', () => {
  const theirs = named([one, 'Theirs']);
  const step = made('Mine', start, renamed(renamed(start, one, 'Mine'), two, 'Other'));
  const left = rebased(theirs, [step], [['covers', one, 'name']], Infinity);
  expect([nameOf(left, one), nameOf(left, two)]).toEqual(['Theirs', 'Other']);
  expect(nameOf(rebased(theirs, [step], [], Infinity), one)).toBe('Mine');
});
