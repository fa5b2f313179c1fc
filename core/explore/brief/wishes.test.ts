/** Wishes one by one, on covers whose openings, lifts, pipes and prices are known. */
import type { Merits } from '../merits';
import { phraseText } from '../../base/figure';
import { demoGarden } from '../../garden/demo';
import type { Cover } from '../../garden/garden';
import { assessCover } from '../../plan';
import { type Brief, NOTHING_SAID } from '../../site/brief';
import { firstCover } from '../firstDesigns';
import type { Offer } from './answer';
import { meritsFor } from './evaluator';
import { apart, equal, priceOf } from './offers';
import { gardenFor, placeSnowMm, wishesOf } from './wishes';
import { TEST_FIGURES } from '../../testing/design';

const garden = demoGarden();
const BED = 'long';
const brief = (said: Partial<Brief>): Brief => ({ ...NOTHING_SAID, ...said });

/** What a first cover of a kind misses of one wish; undefined where the brief has no such wish. */
function missed(kind: string, said: Partial<Brief>, id: string, answers: object = {}): number | undefined {
  const first = firstCover(garden, BED, kind, 'c', 'Cover');
  const o = first && assessCover(garden, { ...first, answers: { ...first.answers, ...answers } } as Cover);
  if (!o?.ok) throw new Error(kind);
  const wish = wishesOf(garden, brief(said)).find((w) => w.id === id);
  return wish?.miss(o.value, meritsFor(o.value, brief(said), 100));
}

test.each<[string, Partial<Brief>, string, object, met: boolean]>([
  // A lid hinged on the far side is reached into from the near one.
  ['hinged-hoop-lid', { reach: 'near' }, 'reach', { hinges: 'far' }, true],
  ['hinged-hoop-lid', { reach: 'far' }, 'reach', { hinges: 'far' }, false],
  ['hinged-hoop-lid', { reach: 'far' }, 'reach', { hinges: 'near' }, true],
  ['staked-tunnel', { reach: 'both sides' }, 'reach', {}, true],
  // From both sides is from each of them; from its ends is another matter.
  ['staked-tunnel', { reach: 'near' }, 'reach', {}, true],
  ['staked-tunnel', { reach: 'far' }, 'reach', {}, true],
  ['staked-tunnel', { reach: 'ends' }, 'reach', {}, false],
  ['hinged-hoop-lid', { reach: 'both sides' }, 'reach', {}, false],
  ['a-frame', { reach: 'ends' }, 'reach', {}, true],
  ['a-frame', { reach: 'near' }, 'reach', {}, false],
  // One goes into a house through its door.
  ['walk-in', { reach: 'near' }, 'reach', {}, true],
  // Twelve weights on its skirts are no work for one hand; a door is.
  ['staked-tunnel', { oneHand: true }, 'one hand', {}, false],
  ['walk-in', { oneHand: true }, 'one hand', {}, true],
  ['hinged-hoop-lid', { oneHand: true }, 'one hand', {}, false],
  ['hinged-hoop-lid', { hands: 1 }, 'hands', { people: '2' }, false],
  ['hinged-hoop-lid', { hands: 1 }, 'hands', { people: '1' }, true],
  ['hinged-hoop-lid', { notMaterials: ['pvc'] }, 'not pvc', {}, false],
  ['bent-conduit', { notMaterials: ['pvc'] }, 'not pvc', {}, true],
  ['hinged-hoop-lid', { without: ['drill'] }, 'tools', {}, false],
  ['hinged-hoop-lid', { without: ['bolt cutter'] }, 'tools', {}, true],
  ['hinged-hoop-lid', { use: ['pvc-1/2'] }, 'use pvc-1/2', { pipe: 'pvc-1/2' }, true],
  ['hinged-hoop-lid', { use: ['pvc-1/2'] }, 'use pvc-1/2', { pipe: 'pvc-3/4' }, false],
  ['staked-tunnel', { purposes: ['insects'] }, 'insects', { cover: 'net' }, true],
  ['staked-tunnel', { purposes: ['insects'] }, 'insects', { cover: 'film-uv' }, false],
  ['staked-tunnel', { purposes: ['insects'] }, 'insects', { cover: 'fabric-30' }, false],
  // Film lets nine tenths of the light through, fleece of 30 g/m2 eight.
  ['staked-tunnel', { lightPercent: 85 }, 'light', { cover: 'film-uv' }, true],
  ['staked-tunnel', { lightPercent: 85 }, 'light', { cover: 'fabric-30' }, false],
  ['staked-tunnel', { purposes: ['sun'] }, 'sun', { cover: 'shade-30' }, true],
  ['staked-tunnel', { purposes: ['winter'] }, 'winter', { cover: 'film-uv' }, true],
  ['staked-tunnel', { purposes: ['winter'] }, 'winter', { cover: 'net' }, false],
  // It is priced at 100 here.
  ['staked-tunnel', { price: 100 }, 'price', {}, true],
  ['staked-tunnel', { price: 99 }, 'price', {}, false],
  // Its sill and battens are as long as the bed, 3.25 m.
  ['hinged-hoop-lid', { storeMm: 3300 }, 'store', {}, true],
  ['hinged-hoop-lid', { storeMm: 3000 }, 'store', {}, false],
  ['wire-tunnel', {}, 'sense', { hoops: 30 }, false],
  ['wire-tunnel', {}, 'sense', { hoops: 6 }, true],
])('%s, asked %j: %s with %j is met: %s', (kind, said, id, answers, met) => {
  const miss = missed(kind, said, id, answers);
  expect(miss === 0).toBe(met);
  if (!met) expect(miss).toBeGreaterThan(0);
});

test('a way in from each side is one from both, and one from neither is none', () => {
  const first = firstCover(garden, BED, 'hinged-hoop-lid', 'c', 'Cover');
  const o = first && assessCover(garden, first);
  if (!o?.ok) throw new Error();
  const [lid] = o.value.assembly.openings;
  if (!lid) throw new Error();
  const misses = (...from: (typeof lid.reachedFrom)[]) => {
    const openings = from.map((reachedFrom) => ({ ...lid, reachedFrom }));
    const now = { ...o.value, assembly: { ...o.value.assembly, openings } };
    const asked = brief({ reach: 'both sides' });
    return wishesOf(garden, asked)
      .find((w) => w.id === 'reach')
      ?.miss(now, meritsFor(o.value, asked, 100));
  };
  expect([misses('near', 'far'), misses('both sides'), misses('inside')]).toEqual([0, 0, 0]);
  for (const one of ['near', 'far', 'ends', 'none'] as const) expect(misses(one)).toBeGreaterThan(0);
});

test('of several crops the tallest wants the room and the tenderest the warmth', () => {
  const first = firstCover(garden, BED, 'staked-tunnel', 'c', 'Cover');
  const o = first && assessCover(garden, { ...first, answers: { ...first.answers, crop: 'spinach' } } as Cover);
  if (!o?.ok) throw new Error();
  const [one, two] = [['spinach'], ['spinach', 'chard']].map((crops) => meritsFor(o.value, brief({ crops }), 1));
  // Chard is 450 mm where spinach is 250, and dies at -7 where that dies at -12.
  expect((one?.clearanceMm ?? 0) - (two?.clearanceMm ?? 0)).toBeCloseTo(200, 6);
  expect((two?.coldestC ?? 0) - (one?.coldestC ?? 0)).toBeCloseTo(5, 9);
});

test('a brief’s snow, gust and car are what designs are judged against; what is unsaid stays the garden’s', () => {
  const g = gardenFor(garden, brief({ wetSnowMm: 200, gustMPerS: 40, carryMm: 2400 }));
  expect(g.site.snow).toEqual({ by: 'depth', depthMm: 200, kind: 'wet' });
  expect([g.site.gustMPerS, g.catalog.carryMm]).toEqual([40, 2400]);
  // Less than the place asks is no reason to build weaker.
  const less = gardenFor(garden, brief({ wetSnowMm: 10, gustMPerS: 10 })).site;
  expect([less.snow, less.gustMPerS]).toEqual([garden.site.snow, garden.site.gustMPerS]);
  expect(gardenFor(garden, NOTHING_SAID).site).toEqual(garden.site);
  expect(gardenFor(garden, NOTHING_SAID).catalog).toBe(garden.catalog);
});

test('less and more of a brief: what the place asks by itself is no wish to be let go of', () => {
  const wish = (said: Partial<Brief>, id: string, g = garden) => wishesOf(g, brief(said)).find((w) => w.id === id);
  const snow = placeSnowMm(garden.site);
  expect(wish({ wetSnowMm: snow - 1 }, 'snow')?.placeAsksMore).toBe(true);
  expect(wish({ wetSnowMm: snow + 1 }, 'snow')?.placeAsksMore).toBeUndefined();
  expect(wish({ gustMPerS: garden.site.gustMPerS - 1 }, 'gust')?.placeAsksMore).toBe(true);
  expect(wish({ price: 5 }, 'price')?.placeAsksMore).toBeUndefined();
  // In the garden of the brief itself, where its snow stands in place of the place's, it is the wish that asks.
  const asks = brief({ wetSnowMm: snow + 50 });
  expect(wish({ wetSnowMm: snow + 50 }, 'snow', gardenFor(garden, asks))?.placeAsksMore).toBeUndefined();
  // Half as much again, to two inches or five centimetres.
  expect(wish({ wetSnowMm: 203.2 }, 'snow')?.more?.wetSnowMm).toBeCloseTo(304.8, 9);
  const metric = { ...garden, units: { ...garden.units, length: 'cm' as const } };
  expect(wish({ wetSnowMm: 200 }, 'snow', metric)?.more?.wetSnowMm).toBe(300);
  expect(wish({ coldestC: -14 }, 'cold')?.more?.coldestC).toBe(-17);
  expect(wish({ notMaterials: ['pvc', 'pe'] }, 'not pvc')?.without?.notMaterials).toEqual(['pe']);
  expect(wish({ use: ['2x4'] }, 'use 2x4')?.without?.use).toEqual([]);
  expect(wish({}, 'stands')?.without).toBeUndefined();
});

/** A design of nothing but figures. */
function offer(id: string, more: Partial<Merits>): Offer {
  const figures = { ...TEST_FIGURES, ...more };
  const weighed = { figures, misses: {}, tight: [], violation: 0, warnings: 0, price: figures.price };
  return { id, kind: id, name: id, cover: {} as Cover, weighed };
}

test('what sets designs apart is true of their figures; within three in a hundred they are one price', () => {
  const all = [
    offer('a', { price: 100 }),
    offer('b', { price: 102, hours: 5 }),
    offer('c', { price: 130, wetSnowMm: 400, hours: 6, massKg: 30 }),
  ];
  const said = (i: number): string =>
    phraseText(apart(all[i] as Offer, all), { length: 'cm', temperature: 'C', currency: 'USD' });
  expect(said(0)).toMatch(/^The cheapest here/);
  expect(said(1)).toBe('The quickest to build, the lightest.');
  expect(said(2)).toBe('Carries the most snow.');
  expect([equal(all[0] as Offer, all[1] as Offer), equal(all[0] as Offer, all[2] as Offer)]).toEqual([true, false]);
  expect(priceOf({ ...(all[0] as Offer), provenPrice: 97 })).toBe(97);
});

test.each([
  // Against the first: a part of its hours, of five degrees, of its snow, of a foot, of its weight; the largest is told.
  [{ hours: 7.5, massKg: 19 }, '0.5 h less to build'],
  [{ coldestC: -14, massKg: 19 }, '2.0 °C colder nights'],
  [{ wetSnowMm: 260 }, '6.0 cm more snow'],
  [{ clearanceMm: 160 }, '6.0 cm more room'],
  [{ massKg: 18 }, '2.0 kg lighter'],
  [{}, undefined],
])('what the dearer one is dearer for: %j', (more, gain) => {
  // A third is best in everything but the price, so that no superlative is left.
  const best = offer('best', { price: 300, hours: 1, coldestC: -40, wetSnowMm: 1000, clearanceMm: 900, massKg: 1 });
  const dearer = offer('dearer', { price: 110, ...more });
  const said = phraseText(apart(dearer, [offer('first', {}), dearer, best]), {
    length: 'cm',
    temperature: 'C',
    currency: 'USD',
  });
  expect(said).toBe(gain ? `$10.00 more than the first, for ${gain}.` : 'Near the first in everything.');
});

test('what costs as much is said to, and what is cheaper and tight says that', () => {
  const best = offer('best', { price: 300, hours: 1, coldestC: -40, wetSnowMm: 1000, clearanceMm: 900, massKg: 1 });
  const said = (price: number): string => {
    const other = offer('other', { price, hours: 7.5 });
    const low = offer('low', { price: 10, hours: 20 });
    return phraseText(apart(other, [offer('first', {}), other, low, best]), {
      length: 'cm',
      temperature: 'C',
      currency: 'USD',
    });
  };
  expect(said(100)).toBe('As cheap as the first, with 0.5 h less to build.');
  expect(said(90)).toBe('$10.00 less than the first, and tighter.');
});

test('each wish says itself as a thing, and as what a cover does; left out it is said the other way about', () => {
  const said = brief({
    crops: ['spinach', 'kale'],
    purposes: ['winter', 'insects'],
    coldestC: -14,
    wetSnowMm: 203.2,
    gustMPerS: 28,
    price: 150,
    hours: 10,
    reach: 'far',
    oneHand: true,
    hands: 1,
    carryMm: 2438.4,
    storeMm: 1828.8,
    liftKg: 12,
    without: ['drill'],
    use: ['pvc-1/2'],
    notMaterials: ['pvc'],
  });
  const words = wishesOf(garden, said).map(({ id, thing, does, dropped }) => [
    id,
    phraseText(thing, garden.units),
    phraseText(does, garden.units),
    ...(dropped ? [phraseText(dropped, garden.units)] : []),
  ]);
  expect(words.filter(([id]) => id !== 'stands' && id !== 'cold')).toEqual([
    ['headroom', 'room for spinach and kale', 'has room for spinach and kale'],
    ['winter', 'through the winter', 'does through the winter', 'not through the winter'],
    ['insects', 'against insects', 'does against insects', 'not against insects'],
    ['snow', '8" of wet snow', 'carries 8" of wet snow'],
    ['gust', 'a gust of 63 mph', 'holds in a gust of 63 mph'],
    ['price', 'a price of $150.00', 'costs no more than $150.00'],
    ['hours', '10 h of building', 'is built in 10 h'],
    ['lift', 'no more than 26 lb to lift', 'has nothing heavier to lift than 26 lb'],
    ['carry', `pieces of at most 8' 0" in the car`, `is made of pieces no longer than 8' 0"`],
    ['store', `pieces of at most 6' 0" to put away`, `comes apart into pieces no longer than 6' 0"`],
    ['reach', 'a hand in from the far side', 'opens from the far side'],
    ['one hand', 'the one-hand opening', 'opens with one hand'],
    ['hands', 'one pair of hands', 'needs one pair of hands', 'with two pairs of hands'],
    ['tools', 'no drill', 'needs no drill', 'with a drill'],
    ['use pvc-1/2', 'the 1/2 PVC on the shelf', 'is made of the 1/2 PVC on the shelf'],
    ['not pvc', 'no PVC', 'is made without PVC', 'with PVC'],
    ['sense', 'hoops no nearer than a foot', 'has its hoops no nearer than a foot'],
  ]);
});
