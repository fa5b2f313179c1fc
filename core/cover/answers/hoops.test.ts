/** What every row of hoops asks: how high, how many, how far apart, how wide at the feet. */
import { at, build, inch } from '../../testing/site';
import { countBySpacing, endOffset, footSpan, hoopCount, hoopShape, ridge, some } from './hoops';

const site = at(96, 48);
const tunnel = build('staked-tunnel', site);
const here = { site, assembly: tunnel, answers: { extent: { kind: 'whole' }, endOffsetMm: 100 } };
const bare = { ...here, assembly: undefined };

test('so many stand at a distance over a run, ends included; no nearer than 150 mm, no farther than 2.5 m', () => {
  // 1200 at 600: two bays, three hoops. 1200 at 500: 2.4 bays are two; at 450: 2.67 are three.
  expect([600, 500, 450].map((mm) => countBySpacing(1200, mm, 'Hoops'))).toEqual(
    [3, 3, 4].map((value) => ({ ok: true, value })),
  );
  // Two at least.
  expect(countBySpacing(300, 2500, 'Hoops')).toEqual({ ok: true, value: 2 });
  for (const mm of [149.9, 2500.1]) expect(countBySpacing(1200, mm, 'Legs')).toMatchObject({ ok: false });
  expect([150, 2500].map((mm) => countBySpacing(1200, mm, 'Legs').ok)).toEqual([true, true]);
});

test('a typed spacing counts over the covered length less both end offsets', () => {
  const hoops = hoopCount('Hoops', 40);
  // 2438.4 less 200 is 2238.4; at 746.13: three bays.
  expect(hoops.dimensions['spacing']?.(746.13, null, here)).toEqual({ ok: true, value: 4 });
  const part = { ...here, answers: { extent: { kind: 'part', startMm: 0, lengthMm: 1000 }, endOffsetMm: 100 } };
  expect(hoops.dimensions['spacing']?.(400, null, part)).toEqual({ ok: true, value: 3 });
  expect(hoopCount('Hoops', 40, () => 4000).dimensions['spacing']?.(1000, null, here)).toEqual({ ok: true, value: 5 });
  // Not said, it is asked as it stands.
  expect(hoops.asking?.show(null, here)).toMatchObject({ kind: 'count', value: tunnel.arches[0]?.tags.length });
  expect(hoops.asking?.show(null, bare)).toMatchObject({ value: 2, min: 2, max: 40 });
});

test('a school that says a length or a height begins with what stands there', () => {
  const { asking, dimensions, changes } = hoopShape(['stock', 'half']);
  const [arch] = tunnel.arches;
  if (!arch || !asking) throw new Error('none');
  const heightMm = arch.footZMm + arch.hoop.heightMm - arch.baseZMm;
  expect(asking.read('length', { by: 'half-circle' }, here)).toEqual({ by: 'length', lengthMm: arch.cutMm });
  expect(asking.read('height', { by: 'half-circle' }, here)).toEqual({ by: 'height', heightMm });
  expect(asking.read('sheet', { by: 'half-circle' }, here)).toEqual({ by: 'sheet' });
  expect(asking.read('length', { by: 'half-circle' }, bare)).toEqual({ by: 'length', lengthMm: 1800 });
  const shown = asking.show({ by: 'sheet' }, here);
  expect(shown.kind === 'choice' && shown.options.map((o) => o.value)).toEqual([
    'half-circle',
    'over-half',
    'length',
    'height',
    'sheet',
  ]);
  expect(dimensions['height']?.(700, { by: 'sheet' }, here)).toEqual({
    ok: true,
    value: { by: 'height', heightMm: 700 },
  });
  // A mend that makes it higher starts from what stands; hoops on a sidewall are raised by that.
  expect(changes.higher?.({ kind: 'higher', byMm: 50 }, { by: 'sheet' }, here)).toEqual({
    by: 'height',
    heightMm: heightMm + 50,
  });
  expect(hoopShape([], true).changes).toEqual({});
});

test('a mend ties the crowns as the family ties them, or sets a ridge on posts where it has such', () => {
  const tied = ridge(['none', 'rope', 'pipe'], 'none', 'rope').changes.ridge;
  expect(tied?.({ kind: 'ridge', value: 'tied' }, 'none', here)).toBe('rope');
  expect(tied?.({ kind: 'ridge', value: 'posted' }, 'none', here)).toBeUndefined();
  const posted = ridge(['none', 'timber', 'posted'], 'none', 'timber').changes.ridge;
  expect(posted?.({ kind: 'ridge', value: 'posted' }, 'none', here)).toBe('posted');
});

test('feet stand inside the bed, an end offset is from nothing to a metre', () => {
  const span = footSpan([200, 2000], 'feet').dimensions['span'];
  // 48 in less two walls of 1.5 in.
  expect(span?.(inch(45), null, here)).toEqual({ ok: true, value: inch(45) });
  expect(span?.(inch(45) + 0.6, null, here)).toMatchObject({ ok: false });
  const offset = endOffset(3);
  expect([offset.first(site), offset.first({ ...site, market: 'metric' })]).toEqual([inch(3), 75]);
  expect([0, 1000, 1000.1].map((mm) => offset.dimensions['endOffset']?.(mm, 0, here).ok)).toEqual([true, true, false]);
});

test('some of a list keep its order', () => {
  expect(Object.keys(some({ a: ['A', ''], b: ['B', ''], c: ['C', ''] }, ['c', 'a']))).toEqual(['a', 'c']);
});
