/** A family from its declarations, shown on one of three answers. */
import { fail, ok } from '../../base/result';
import { SHIPPED } from '../../catalog/catalog';
import { at, build } from '../../testing/site';
import { choice, countParameter, dimensioned } from '../answers/parameter';
import { between } from '../../base/schema';
import { cropParameter, extra, rowFromEdge } from '../answers/place';
import { type Recipe, family } from './family';

const site = at(96, 48);
/** A catalogue in which soil will not do. */
const BARE_CATALOG = { ...SHIPPED, halves: 'middle' as const };
const answers = {
  feet: choice('Feet', { rods: ['Rods', ''], soil: ['Soil', ''] }, 'rods', {
    resets: { depthMm: 200 },
    against: (value, catalog) => (value === 'soil' && catalog.halves === 'middle' ? 'must be rods' : undefined),
  }),
  hoops: countParameter('Hoops', [2, 9], 4, {
    when: { feet: ['rods', 'soil'] },
    changes: { hoops: (change) => change.count },
  }),
  tails: countParameter('Tails', [1, 3], 1, { when: { feet: 'soil' } }),
  depthMm: dimensioned(between(100, 900), 203.2, 'depth', {
    changes: { higher: ({ byMm }, value) => (value + byMm > 800 ? undefined : value + byMm) },
  }),
  crop: cropParameter('spinach'),
  rowFromEdgeMm: rowFromEdge(4),
  extra,
};
const recipe = (assemble: Recipe<typeof answers>['assemble']): Recipe<typeof answers> => ({
  key: 'toy',
  name: 'Toy',
  sentence: 'A toy.',
  rank: 1,
  answers,
  // Nine hoops want more room in the ground.
  settle: (now, id) => (id === 'hoops' && now['hoops'] === 9 ? { ...now, depthMm: 300 } : now),
  assemble,
});
const toy = family(recipe(() => fail('height', 'not built here')));
const first = toy.defaults(site);
const here = { site, assembly: undefined };

test('first answers are those declared, and the schema takes nothing else', () => {
  expect(first).toEqual({
    feet: 'rods',
    hoops: 4,
    tails: 1,
    depthMm: 203.2,
    crop: 'spinach',
    rowFromEdgeMm: 101.6,
    extra: 'none',
  });
  expect(toy.schema.safeParse(first).success).toBe(true);
  expect(toy.schema.safeParse({ ...first, more: 1 }).success).toBe(false);
  expect(toy.schema.safeParse({ ...first, hoops: 10 }).success).toBe(false);
});

test('questions in their order, only those that apply, each under its own id', () => {
  const ids = (answered: object): readonly string[] => toy.questions({ ...first, ...answered }, here).map((q) => q.id);
  expect(ids({})).toEqual(['feet', 'hoops', 'crop', 'extra']);
  expect(ids({ feet: 'soil' })).toEqual(['feet', 'hoops', 'tails', 'crop', 'extra']);
});

test('an answer is set alone, resets what leans on it, and is settled', () => {
  expect(toy.answer(first, 'hoops', 5, here)).toEqual(ok({ ...first, hoops: 5 }));
  expect(toy.answer({ ...first, depthMm: 500 }, 'feet', 'soil', here)).toEqual(
    ok({ ...first, feet: 'soil', depthMm: 200 }),
  );
  expect(toy.answer(first, 'hoops', 9, here)).toEqual(ok({ ...first, hoops: 9, depthMm: 300 }));
});

test('what it cannot be is said of what was asked', () => {
  const fault = (r: ReturnType<typeof toy.answer>) => (r.ok ? undefined : r.faults[0]);
  expect(fault(toy.answer(first, 'hoops', 10, here))).toEqual({ field: 'hoops', message: 'must be at most 9' });
  expect(fault(toy.answer(first, 'sails', 1, here))?.message).toBe('This cover asks no such question.');
  // Asked in the drawing alone.
  expect(fault(toy.answer(first, 'depthMm', 300, here))?.message).toBe('This cover asks no such question.');
  expect(fault(toy.dimension(first, 'height', 300, here))?.message).toMatch(/follows from the others/);
  expect(fault(toy.dimension(first, 'depth', 901, here))).toMatchObject({ field: 'depth' });
  const carried = { ...here, site: { ...site, catalog: BARE_CATALOG } };
  expect(fault(toy.answer(first, 'feet', 'soil', carried))).toEqual({ field: 'feet', message: 'must be rods' });
  expect(toy.against({ ...first, feet: 'soil' }, BARE_CATALOG)).toEqual([{ id: 'feet', message: 'must be rods' }]);
});

test('a dimension sets the answer that it belongs to', () => {
  expect(toy.dimension(first, 'depth', 333, here)).toEqual(ok({ ...first, depthMm: 333 }));
});

test('a change means something to the answers that know its kind, and nothing else', () => {
  expect(toy.change(first, { kind: 'hoops', count: 6 }, here)).toEqual({ ...first, hoops: 6 });
  expect(toy.change(first, { kind: 'hoops', count: 99 }, here)).toBeUndefined();
  expect(toy.change(first, { kind: 'higher', byMm: 100 }, here)).toEqual({ ...first, depthMm: 303.2 });
  expect(toy.change(first, { kind: 'higher', byMm: 700 }, here)).toBeUndefined();
  expect(toy.change(first, { kind: 'deeper', toMm: 700 }, here)).toBeUndefined();
});

test('another answer as a mend: only where it is asked now, and on offer', () => {
  const to = (id: string, value: string | number, answered: object = {}) =>
    toy.change({ ...first, ...answered }, { kind: 'answer', id, value }, here);
  expect(to('feet', 'soil')).toMatchObject({ feet: 'soil' });
  expect(to('feet', 'air')).toBeUndefined();
  expect([to('hoops', 2), to('hoops', 9), to('hoops', 1), to('hoops', 10)].map((x) => x !== undefined)).toEqual([
    true,
    true,
    false,
    false,
  ]);
  expect(to('tails', 2)).toBeUndefined();
  expect(to('tails', 2, { feet: 'soil' })).toMatchObject({ tails: 2 });
});

test('an answer is called what it is asked as, or what its dimension is', () => {
  expect([toy.labelOf('hoops'), toy.labelOf('depthMm'), toy.labelOf('noSuchThing')]).toEqual([
    'Hoops',
    'depth',
    'no such thing',
  ]);
});

describe('what cannot be cut', () => {
  const made = build('a-frame', site);
  const with1 = (lengthMm: number, up: boolean) => {
    const [m] = made.members;
    if (!m) throw new Error('none');
    const to = up ? ([0, 0, lengthMm] as const) : ([lengthMm, 0, 0] as const);
    const shape = { kind: 'straight' as const, from: [0, 0, 0] as const, to, wide: [0, 1, 0] as const };
    return family(
      recipe(() => ok({ ...made, members: [{ ...m, lengthMm, shape }], joints: [], openings: [] } as never)),
    ).assemble(first, site);
  };
  const longest = Math.max(...(made.members[0]?.section.stock.map((bar) => bar.lengthMm) ?? []));
  const said = (r: ReturnType<typeof with1>): string => (r.ok ? '' : (r.faults[0]?.message ?? ''));

  test('a piece longer than any bar: lower where it stands, narrower where it lies', () => {
    expect(said(with1(longest + 1, true))).toMatch(/would be longer than any .* on sale\. Make the cover lower\./);
    expect(said(with1(longest + 1, false))).toMatch(/Make the cover narrower or shorter\./);
    expect(with1(longest + 0.4, true).ok).toBe(true);
  });
  test('a piece of less than a centimetre has no room', () => {
    expect(said(with1(9.9, true))).toMatch(/^There is no room for /);
    expect(with1(10, true).ok).toBe(true);
  });
});
