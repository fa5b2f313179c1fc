/** Answers that name something of the catalogue: what will do, and what is said of what will not. */
import { SHIPPED, section } from '../../catalog/catalog';
import { at } from '../../testing/site';
import { anyBar, board, coverAnswers, innerAnswers, oneOf, sold, treat, tube } from './bars';

const site = at(96, 48);
const metric = { ...site, market: 'metric' as const };
const here = { site, assembly: undefined, answers: { cover: 'film-uv' } };

test('a board, a pipe, any bar: each takes its own kind of the catalogue and no other', () => {
  const [b, t, any] = [board('Board', ['2x2', '2x4'], '2x2'), tube('Pipe', {}, 'pvc-1/2'), anyBar('Bar', {}, '2x2')];
  const against = (a: typeof b): readonly boolean[] =>
    ['2x4', 'pvc-1/2', 'no-such'].map((key) => a.against(key, SHIPPED) === undefined);
  expect([b, t, any].map(against)).toEqual([
    [true, false, false],
    [false, true, false],
    [true, true, false],
  ]);
  expect(b.against('pvc-1/2', SHIPPED)).toBe('must be a board in the catalogue');
  expect(t.against('2x4', SHIPPED)).toBe('must be a pipe in the catalogue');
  // Only those offered are shown, in the order of the shop.
  const shown = board('Board', ['2x4', '2x2'], '2x2').asking?.show('2x2', here);
  expect(shown?.kind === 'choice' && shown.options.map((o) => o.value)).toEqual(['2x2', '2x4']);
  expect(b.chosen('2x4', site)).toBe(section(SHIPPED, '2x4'));
});

test('a pipe that must be one of some says so in its own words', () => {
  const wire = tube('Wire', {}, 'wire-9', { fits: { test: oneOf({ 'wire-9': 1 }), words: 'must be 9 gauge' } });
  expect(['wire-9', 'wire-10', '2x4'].map((key) => wire.against(key, SHIPPED))).toEqual([
    undefined,
    'must be 9 gauge',
    'must be 9 gauge',
  ]);
  // A garden's own bar is as good as the one it was made after.
  expect(oneOf({ 'wire-9': 1 })({ ...section(SHIPPED, 'wire-9'), key: 'own', like: 'wire-9' })).toBe(true);
});

test('boards of the shops here, and treated where that is asked for and sold', () => {
  expect([sold('2x3')(site), sold('2x3')(metric)]).toEqual(['2x3', '38x63 mm']);
  const plain = section(SHIPPED, '2x4');
  expect(treat(site, plain, 'treated').key).toBe('2x4 treated');
  expect(treat(site, plain, 'untreated')).toBe(plain);
  // What is sold in no treated form stays as it is.
  const oak = { ...plain, key: 'oak' };
  expect(treat(site, oak, 'treated')).toBe(oak);
});

test('a cover comes off a roll; another one gives up the roll of the old', () => {
  const { cover, roll } = coverAnswers('film-uv', {
    fits: { test: (c) => c.kind === 'film', words: 'must be a film' },
  });
  expect(['film-uv', 'fabric-19', 'mesh', 'no-such'].map((key) => cover.against(key, SHIPPED))).toEqual([
    undefined,
    'must be a film',
    'must be a film',
    'must be a film',
  ]);
  expect(coverAnswers('film-uv').cover.against('mesh', SHIPPED)).toBe('must be a cover off a roll');
  expect(coverAnswers('film-uv').cover.against('fabric-19', SHIPPED)).toBeUndefined();
  expect(cover.resets).toEqual({ roll: null });
  const offered = cover.asking?.show('film-uv', here);
  const keys = offered?.kind === 'choice' ? offered.options.map((o) => o.value) : [];
  expect(keys).toContain('film-uv');
  for (const key of keys) expect(SHIPPED.cover.get(key)).toMatchObject({ kind: 'film' });
  const rolls = roll.asking?.show(null, here);
  expect(rolls).toMatchObject({ value: '' });
  expect(rolls?.kind === 'choice' && rolls.options.map((o) => o.value)).toEqual([
    '',
    ...(SHIPPED.cover.get('film-uv')?.rolls ?? []).map((r) => r.key),
  ]);
  expect([roll.asking?.read('', null, here), roll.asking?.read('film-uv 6', null, here)]).toEqual([null, 'film-uv 6']);
  expect(roll.changes.roll?.({ kind: 'roll', key: 'k' }, null, here)).toBe('k');
});

test('a second layer is none until it is said', () => {
  const { inner, innerGapMm } = innerAnswers;
  expect([inner.first(site), inner.asking?.read('', null, here), inner.chosen(null, site)]).toEqual([null, null, null]);
  expect(inner.chosen('fabric-30', site)).toBe(SHIPPED.cover.get('fabric-30'));
  expect(inner.asking?.show('film-uv', here)).toMatchObject({ value: 'film-uv' });
  expect([innerGapMm.schema.safeParse(20).success, innerGapMm.schema.safeParse(19).success]).toEqual([true, false]);
});
