import { type Draft, produce } from 'immer';
import fc from 'fast-check';
import { demoGarden } from './demo';
import { type Garden, checkGarden } from './garden';
import { changesBetween } from './difference';
import { WHOLE, carried, clashesOf, mergeOf } from './merge';
import { smallTree } from '../testing/arbitrary';

const base = demoGarden();
const made = (recipe: (garden: Draft<Garden>) => void): Garden => produce(base, (g: Draft<Garden>) => void recipe(g));
const bringTogether = (mine: Garden, theirs: Garden): Garden => carried(theirs, base, mine);

test('different things go together without a question, whichever way round', () => {
  const mine = made((g) => void (g.name = 'Mine'));
  const theirs = made((g) => {
    g.site.gustMPerS = 31;
    g.beds.reverse();
    g.beds.pop();
    g.covers = g.covers.filter((c) => c.bedId !== base.beds[0]?.id);
  });
  expect(mergeOf(base, mine, theirs).clashes).toEqual([]);
  const both = bringTogether(mine, theirs);
  expect(both).toMatchObject({ name: 'Mine', site: { gustMPerS: 31 } });
  expect(both.beds.map((b) => b.id)).toEqual(theirs.beds.map((b) => b.id));
  expect(bringTogether(theirs, mine)).toEqual(both);
});

test('the same thing changed differently is a question with both answers; changed alike it is none', () => {
  const [mine, theirs] = ['Mine', 'Theirs'].map((name) => made((g) => void (g.name = name))) as [Garden, Garden];
  expect(mergeOf(base, mine, theirs)).toEqual({
    clashes: [{ path: ['name'], mine: 'Mine', theirs: 'Theirs' }],
    depth: Infinity,
  });
  expect(carried(theirs, base, mine, [['name']]).name).toBe('Theirs');
  expect(carried(theirs, base, mine).name).toBe('Mine');
  expect(
    mergeOf(
      base,
      mine,
      made((g) => void (g.name = 'Mine')),
    ).clashes,
  ).toEqual([]);
});

test('a cover taken away in one tab and changed in the other is asked about, and either can be had', () => {
  const [cover] = base.covers;
  const mine = made((g) => void ((g.covers[0] as { name: string }).name = 'Kept'));
  const theirs = made((g) => void g.covers.shift());
  const { clashes } = mergeOf(base, mine, theirs);
  expect(clashes).toEqual([{ path: ['covers', cover?.id], mine: 'Kept', theirs: undefined }]);
  expect(bringTogether(mine, theirs).covers[0]).toEqual({ ...cover, name: 'Kept' });
  expect(
    carried(
      theirs,
      base,
      mine,
      clashes.map((c) => c.path),
    ),
  ).toEqual(theirs);
});

test('where neither choice of a field would be sound by itself, the whole cover is asked about', () => {
  // Mine: a half circle, that has no length; theirs: another length. A half circle with a length is neither.
  const at = base.covers.findIndex((c) => (c.answers as { shape?: { by: string } }).shape?.by === 'length');
  const shaped = (shape: object) =>
    made((g) => void ((g.covers[at] as unknown as { answers: { shape: object } }).answers.shape = shape));
  const [mine, theirs] = [shaped({ by: 'half-circle' }), shaped({ by: 'length', lengthMm: 2100 })];
  expect(checkGarden(mine).ok && checkGarden(theirs).ok).toBe(true);
  const id = base.covers[at]?.id ?? '';
  const merge = mergeOf(base, mine, theirs);
  expect(merge).toEqual({
    clashes: [{ path: ['covers', id], mine: mine.covers[at], theirs: theirs.covers[at] }],
    depth: 2,
  });
  expect(carried(theirs, base, mine, [['covers', id]], 2)).toEqual(theirs);
});

test('what goes together field by field and makes no sound garden is asked about whole', () => {
  // Mine puts a cover on a bed that theirs takes away.
  const bed = base.beds.find((b) => !base.covers.some((c) => c.bedId === b.id)) ?? base.beds[0];
  const covers = base.covers.filter((c) => c.bedId !== bed?.id);
  const from: Garden = { ...base, covers };
  const [first] = covers;
  if (!bed || !first) throw new Error('the demo has a bed and a cover on another');
  const mine: Garden = { ...from, covers: [...covers, { ...first, id: 'new', bedId: bed.id }] };
  const theirs: Garden = { ...from, beds: from.beds.filter((b) => b !== bed) };
  expect(checkGarden(mine).ok && checkGarden(theirs).ok).toBe(true);
  expect(mergeOf(from, mine, theirs).clashes).toEqual([{ path: WHOLE, mine, theirs }]);
});

test('an order is a thing of its own', () => {
  const [a, b, ...rest] = base.beds.map((x) => x.id);
  const mine = made((g) => void g.beds.reverse());
  const theirs = made((g) => void ([g.beds[0], g.beds[1]] = [g.beds[1] as never, g.beds[0] as never]));
  expect(theirs.beds.map((x) => x.id)).toEqual([b, a, ...rest]);
  expect(mergeOf(base, mine, theirs).clashes).toHaveLength(1);
  expect(bringTogether(mine, theirs).beds).toEqual(mine.beds);
});

test('carrying changes onto where they began gives where they ended; what did not clash is all there', () => {
  fc.assert(
    fc.property(smallTree, smallTree, smallTree, (was, mine, theirs) => {
      expect(changesBetween(carried(was, was, mine), mine)).toEqual([]);
      const [m, t] = [changesBetween(was, mine), changesBetween(was, theirs)];
      if (clashesOf(m, t).length > 0) return;
      const both = carried(theirs, was, mine);
      // Nothing that either changed is lost: from both, what is left to do is nothing.
      expect(carried(both, was, mine)).toEqual(both);
      expect(changesBetween(carried(mine, was, theirs), both).filter((c) => !c.path.at(-1)?.endsWith('order'))).toEqual(
        [],
      );
    }),
    { numRuns: 500 },
  );
});
