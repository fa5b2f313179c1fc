import { type Draft, produce } from 'immer';
import fc from 'fast-check';
import { smallTree } from '../testing/arbitrary';
import { demoGarden } from './demo';
import { changesBetween, inverted, withChanges } from './difference';
import type { Garden } from './garden';

const base = demoGarden();
const made = (recipe: (garden: Draft<Garden>) => void): Garden => produce(base, (g: Draft<Garden>) => void recipe(g));

test('what differs is told as finely as it can be, list entries by their ids', () => {
  const after = made((g) => {
    g.name = 'Other';
    (g.beds[1] as { name: string }).name = 'Long one';
    g.beds.splice(0, 1);
  });
  expect(changesBetween(base, after)).toEqual([
    { path: ['name'], was: base.name, is: 'Other' },
    { path: ['beds', base.beds[0]?.id], was: base.beds[0], is: undefined, at: 0 },
    { path: ['beds', base.beds[1]?.id, 'name'], was: base.beds[1]?.name, is: 'Long one' },
  ]);
  expect(changesBetween(base, base)).toEqual([]);
});

test('a list whose entries have no ids, or not each its own, is one value; an empty one has no entries yet', () => {
  const a = { id: 'a', n: 1 };
  const whole = (was: unknown, is: unknown) => changesBetween({ list: was }, { list: is }).map((c) => c.path);
  expect(whole([a], [{ ...a, n: 2 }])).toEqual([['list', 'a', 'n']]);
  expect(whole([], [a])).toEqual([['list', 'a']]);
  expect(whole([a], [])).toEqual([['list', 'a']]);
  expect(whole([a, { n: 5 }], [{ ...a, n: 2 }, { n: 5 }])).toEqual([['list']]);
  expect(whole([a, a], [a, { ...a, n: 2 }])).toEqual([['list']]);
  expect(whole([1, 2], [1, 3])).toEqual([['list']]);
  expect(whole([null], [a])).toEqual([['list']]);
});

test('changes lead to where they ended, and inverted back to where they began, every entry in its place', () => {
  fc.assert(
    fc.property(smallTree, smallTree, (was, is) => {
      const changes = structuredClone(changesBetween(was, is));
      expect(withChanges(was, changes)).toEqual(is);
      expect(withChanges(is, inverted(changes))).toEqual(was);
    }),
    { numRuns: 500 },
  );
});

// No list or record of a garden has such a key: its schema refuses it.
const json = fc
  .jsonValue({ maxDepth: 3 })
  .map((x) => JSON.stringify(x))
  .filter((text) => !text.includes('__proto__'))
  .map((text) => JSON.parse(text) as unknown);

test('whatever JSON a garden holds, the way there and back is exact', () => {
  fc.assert(
    fc.property(json, json, (x, y) => {
      const [was, is] = [{ it: x }, { it: y }];
      const changes = changesBetween(was, is);
      expect(withChanges(was, changes)).toEqual(is);
      expect(withChanges(is, inverted(changes))).toEqual(was);
    }),
    { numRuns: 300 },
  );
});

test('a key that every object inherits is told like any other', () => {
  expect(changesBetween({ constructor: 1 }, {})).toEqual([{ path: ['constructor'], was: 1, is: undefined }]);
  expect(changesBetween({}, { toString: 1 })).toEqual([{ path: ['toString'], was: undefined, is: 1 }]);
});
