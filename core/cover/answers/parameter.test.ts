import { SHIPPED } from '../../catalog/catalog';
import { NOTHING_OWN, catalogOf } from '../../catalog/own';
import { at, siteOf } from '../../testing/site';
import { ok } from '../../base/result';
import type { Assembly } from '../assembly/types';
import {
  type AtAnswers,
  askedWhen,
  choice,
  countParameter,
  countOrAuto,
  dimensioned,
  mapParameter,
  roundedForMarket,
  length,
  withinRange,
} from './parameter';
import { between } from '../../base/schema';
import { countBySpacing, endOffset, footSpan, hoopCount, hoopPipe, ridge } from './hoops';
import { cropParameter, rowFromEdge } from './place';

const site = at(96, 48);
const metric = siteOf(2400, 1200, { market: 'metric', catalog: catalogOf(NOTHING_OWN, 'metric') });
const here = (answers: object = {}, assembly?: Partial<Assembly>): AtAnswers => ({
  site,
  assembly: assembly as Assembly | undefined,
  answers: answers as AtAnswers['answers'],
});

describe('one of several', () => {
  const feet = choice('Feet', { rods: ['Over rods', 'Upright.'], soil: ['In the soil', 'Cheap.'] }, 'soil', {
    leaf: 'skin',
    when: { hoops: 3 },
  });
  test('takes what it names and nothing else, and shows each with its reason', () => {
    expect(feet.schema.safeParse('rods').success).toBe(true);
    expect(feet.schema.safeParse('air').success).toBe(false);
    expect(feet.first(site)).toBe('soil');
    expect(feet.asking).toMatchObject({ label: 'Feet', leaf: 'skin', when: { hoops: 3 } });
    expect(feet.asking?.show('rods', here())).toEqual({
      kind: 'choice',
      value: 'rods',
      options: [
        { value: 'rods', label: 'Over rods', why: 'Upright.' },
        { value: 'soil', label: 'In the soil', why: 'Cheap.' },
      ],
    });
    expect(feet.asking?.read('rods', 'soil', here())).toBe('rods');
    expect(feet.chosen('rods', site)).toBe('rods');
  });
  test('the first may depend on the place', () => {
    const wide = choice('X', { a: ['', ''], b: ['', ''] }, ({ survey }) => (survey.frameOn.widthMm > 1300 ? 'a' : 'b'));
    expect([wide.first(at(96, 60)), wide.first(at(96, 48))]).toEqual(['a', 'b']);
    expect(wide.asking).not.toHaveProperty('leaf');
    expect(wide.asking).not.toHaveProperty('when');
  });
});

describe('a number', () => {
  test('whole, within its range, stepped', () => {
    const lids = countParameter('Lids', [1, 16], 3);
    expect([0, 1, 2.5, 16, 17].map((n) => lids.schema.safeParse(n).success)).toEqual([false, true, false, true, false]);
    expect(lids.asking?.show(3, here())).toEqual({ kind: 'count', value: 3, min: 1, max: 16 });
    expect(lids.asking?.read('4.4', 3, here())).toBe(4);
  });
  test('a first answer beyond its range is brought into it', () => {
    expect(countParameter('Lids', [2, 16], 40).first(site)).toBe(16);
    expect(countParameter('Lids', [2, 16], () => 1).first(site)).toBe(2);
    expect(length('Wrap', [25, 150], 10).first(site)).toBe(25);
  });
  test('left to the design it shows how many there are, until it is said', () => {
    const hoops = countOrAuto('Hoops', [2, 60], (built) => built?.arches.length ?? 2);
    expect([hoops.first(site), hoops.schema.safeParse(1).success]).toEqual([null, false]);
    expect(hoops.asking?.show(null, here({}, { arches: [1, 2, 3] as unknown as Assembly['arches'] }))).toMatchObject({
      value: 3,
    });
    expect(hoops.asking?.show(7, here())).toMatchObject({ kind: 'count', value: 7 });
    expect(hoops.asking?.show(null, here())).toMatchObject({ value: 2 });
  });
});

describe('a length', () => {
  test('is first what a builder of the place would say', () => {
    // 100 mm is 3 15/16 in: down to the quarter inch; in a metric shop to five millimetres.
    expect(length('Gap', [20, 400], 100).first(site)).toBeCloseTo(3.75 * 25.4, 9);
    expect(length('Gap', [20, 400], 101.6).first(metric)).toBe(100);
    expect((roundedForMarket<number | null>(null) as (s: typeof site) => number | null)(site)).toBeNull();
  });
  test('typed in the drawing it is set by its dimension, and asked nowhere', () => {
    const front = dimensioned(between(150, 1200), 400, 'front');
    expect(front.asking).toBeUndefined();
    expect(front.dimensions['front']?.(333, 400, here())).toEqual(ok(333));
  });
  test('limits are said in words, at their ends still within', () => {
    expect([100, 200].map((mm) => withinRange('x', mm, [100, 200], 'no').ok)).toEqual([true, true]);
    expect(withinRange('x', 99.9, [100, 200], 'From 100 to 200.')).toEqual({
      ok: false,
      faults: [{ field: 'x', message: 'From 100 to 200.' }],
    });
  });
});

test('asked only while, and handed on as something else', () => {
  const one = askedWhen(countParameter('N', [1, 3], 1), { feet: 'rods' });
  expect(one.asking?.when).toEqual({ feet: 'rods' });
  expect(askedWhen({ asking: undefined }, { feet: 'rods' }).asking).toBeUndefined();
  const twice = mapParameter(countParameter('N', [1, 3], 1), (n) => 2 * n);
  expect([twice.chosen(3, site), twice.first(site)]).toEqual([6, 1]);
});

describe('hoops', () => {
  test('at a typed distance over a run, both ends included', () => {
    // 2400 mm at 600: four bays, five hoops; at 700 three and a half, so as near as can be.
    expect([600, 700, 2500].map((mm) => countBySpacing(2400, mm, 'Hoops'))).toEqual([ok(5), ok(4), ok(2)]);
    expect(countBySpacing(2400, 149, 'Hoops').ok).toBe(false);
    expect(countBySpacing(2400, 2501, 'Hoops').ok).toBe(false);
  });
  test('their number follows a typed distance over what is covered, less both ends', () => {
    const hoops = hoopCount('Hoops', 40);
    const typed = hoops.dimensions['spacing'];
    // 96 in of bed less 2 x 75 mm: 2288.4 mm at 572.1 is four bays.
    expect(typed?.(572.1, null, here({ extent: { kind: 'whole' }, endOffsetMm: 75 }))).toEqual(ok(5));
    expect(hoops.changes.hoops?.({ kind: 'hoops', count: 6 }, null, here())).toBe(6);
    const over = hoopCount('Hoops', 40, () => 1000).dimensions['spacing'];
    expect(over?.(500, null, here())).toEqual(ok(3));
  });
  test('feet stay inside the bed', () => {
    const span = footSpan([300, 3000], 'hoops').dimensions['span'];
    // 48 in less two walls of 1.5: 45 in inside.
    expect(span?.(45 * 25.4, null, here())).toEqual(ok(45 * 25.4));
    expect(span?.(45 * 25.4 + 1, null, here()).ok).toBe(false);
  });
  test('a stouter pipe, ridge or end offset by its own words', () => {
    expect(hoopPipe('pvc-1/2').changes.pipe?.({ kind: 'pipe', key: 'pvc-1' }, 'pvc-1/2', here())).toBe('pvc-1');
    const all = ridge(['none', 'rope', 'posted'], 'none', 'rope');
    expect(all.changes.ridge?.({ kind: 'ridge', value: 'tied' }, 'none', here())).toBe('rope');
    expect(all.changes.ridge?.({ kind: 'ridge', value: 'posted' }, 'none', here())).toBe('posted');
    // A kind that has no posts says nothing to a mend that asks for them.
    const light = ridge(['none', 'rope'], 'none', 'rope');
    expect(light.changes.ridge?.({ kind: 'ridge', value: 'posted' }, 'none', here())).toBeUndefined();
    expect(endOffset(2).dimensions['endOffset']?.(1000.1, 50, here()).ok).toBe(false);
    expect(endOffset(2).dimensions['endOffset']?.(0, 50, here())).toEqual(ok(0));
  });
});

describe('crops', () => {
  test('one of the list; what is not in it is named as a fault; all are shown with how high and how hardy', () => {
    const grown = cropParameter('spinach');
    expect(grown.against('spinach', SHIPPED)).toBeUndefined();
    expect(grown.against('triffid', SHIPPED)).toBe('must be a crop in the list');
    expect(grown.chosen('spinach', site).name).toBe('spinach');
    const shown = grown.asking?.show('spinach', here());
    expect(shown?.kind === 'choice' && shown.options.map((o) => o.value)).toEqual([...SHIPPED.crop.keys()]);
  });
  test('its first row stands from nothing to two metres from the wall', () => {
    const row = rowFromEdge(5).dimensions['rowFromEdge'];
    expect([0, 2000, 2000.1].map((mm) => row?.(mm, 100, here()).ok)).toEqual([true, true, false]);
  });
});
