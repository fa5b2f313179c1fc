/** A brief as wishes: each asks one thing of a design, says it in words, and tells how far a design misses it. */
import { type Phrase, amount, listed, phrase } from '../../base/figure';
import type { Opening } from '../../cover/assembly/openings';
import { countOfJoint } from '../../cover/joints/kind';
import { familyOf } from '../../cover/families/registry';
import { type Catalog, cropOf } from '../../catalog/catalog';
import type { Crop } from '../../catalog/crops';
import { catalogOf } from '../../catalog/own';
import type { CoverMaterial } from '../../catalog/types';
import { toolsOf } from '../compare';
import type { MeasureKey, Measures } from '../measures';
import type { Garden } from '../../garden/garden';
import { designConditions } from '../../judge/strength/designConditions';
import type { Check } from '../../judge/strength/check';
import { failingChecks } from '../fixSpace';
import type { Assessment } from '../../assessment';
import { type Brief, PURPOSES, type Purpose } from '../../site/brief';

/** A wish for a figure of at least, or at most, so much. */
export interface Bound {
  readonly figure: MeasureKey;
  readonly sense: 'least' | 'most';
  readonly value: number;
}

/** One wish. */
export interface Wish {
  readonly id: string;
  /** As a thing: "8 in of wet snow". */
  readonly thing: Phrase;
  /** As what a cover does: "carries 8 in of wet snow". */
  readonly does: Phrase;
  /** Left out, where "without" does not say it. */
  readonly dropped?: Phrase;
  /** What a design misses of it; 0: it does all of it, 1 and more: nothing. */
  readonly miss: (o: Assessment, figures: Measures) => number;
  readonly bound?: Bound;
}

/** What one hand opens, kg at the hand. Source: our own figure, a full watering can of half the size. */
export const ONE_HAND_KG = 5;
/** Fastenings that one hand undoes and does again each day. Source: our own figure, a latch at each end of a lid and its handle. */
const ONE_HAND_UNDOES = 3;
/** Milder by so much at the least a cover must keep a night to be for winter or spring, C. */
const HELP_C = { winter: 2, spring: 1 } as const;
/** Summer cloth by what it is for. */
const CLOTH: Readonly<Record<'insects' | 'sun', readonly CoverMaterial['kind'][]>> = {
  // Fleece keeps them off too, and warms and shades the crop all summer: nobody who asks for a net means it.
  insects: ['net'],
  sun: ['shade'],
};
/** Missing it at all counts so much, and the rest by how far. */
const AT_ALL = 0.2;

/** How far a figure is from its bound, as a part of it. */
export function missOf({ sense, value }: Bound, figure: number, scale = Math.max(Math.abs(value), 1)): number {
  const short = sense === 'least' ? value - figure : figure - value;
  // What is not known never meets a wish.
  if (Number.isNaN(short)) return 1;
  // Never flat: what comes nearer is always better.
  return short <= 1e-9 ? 0 : AT_ALL + ((1 - AT_ALL) * short) / (short + scale);
}

/** Whether a cloth does for a purpose. */
export const doesFor = (cover: Pick<CoverMaterial, 'kind'>, purpose: 'insects' | 'sun'): boolean =>
  CLOTH[purpose].includes(cover.kind);

/** How far figures are from what a wish for one of them asks. */
export const missOfFigure = (bound: Bound, figures: Measures): number =>
  missOf(bound, figures[bound.figure], SCALE[bound.figure]);

const SCALE: Partial<Record<MeasureKey, number>> = { coldestC: 10, clearanceMm: 300 };
/** Misses by its figure, and wholly by every check that fails for what it asks. */
function bounded(id: string, thing: Phrase, does: Phrase, bound: Bound): Wish {
  return { id, thing, does, bound, miss: (o, f) => missOfFigure(bound, f) + failingFor(id, o) };
}
const plainly = (
  id: string,
  thing: Phrase,
  does: Phrase,
  meets: (o: Assessment) => boolean,
  dropped?: Phrase,
): Wish => ({
  id,
  thing,
  does,
  ...(dropped && { dropped }),
  miss: (o) => (meets(o) ? 0 : 1),
});

/** The crops of a brief; a design's own where none is said. */
export const cropsOf = (brief: Brief, catalog: Catalog): readonly Crop[] =>
  brief.crops.flatMap((key) => (catalog.crop.has(key) ? [cropOf(catalog, key)] : []));

const REACH: Readonly<Record<NonNullable<Brief['reach']>, string>> = {
  near: 'from the near side',
  far: 'from the far side',
  'both sides': 'from both sides',
  ends: 'from the ends',
};

/** Openings through which a hand comes to the plants. */
const doors = (o: Assessment): readonly Opening[] => o.assembly.openings.filter((x) => x.reachedFrom !== 'none');
function reaches(o: Assessment, from: NonNullable<Brief['reach']>): boolean {
  const ways = new Set(doors(o).map((x) => x.reachedFrom));
  if (ways.has('inside')) return true;
  return from === 'both sides'
    ? ways.has('both sides') || (ways.has('near') && ways.has('far'))
    : ways.has(from) || (from !== 'ends' && ways.has('both sides'));
}
/** Weight at the hand of what must be lifted to open it; nothing for a skirt, a flap or a door. */
function inHandKg(o: Assessment, opening: Opening): number {
  const i = o.assembly.moving.findIndex((part) => part.name === opening.name);
  return i < 0 ? 0 : (o.lifts[i]?.value ?? 0);
}
/** What has to be undone to open it, and done again to shut it: clips, weights, latches, of each as many as there are. */
const undone = (o: Assessment, opening: Opening): number =>
  o.assembly.joints.filter((j) => opening.shut.includes(j.id)).reduce((sum, j) => sum + countOfJoint(j), 0);
const withOneHand = (o: Assessment): boolean =>
  doors(o).some(
    (x) => x.lift?.motion !== 'carried' && inHandKg(o, x) <= ONE_HAND_KG && undone(o, x) <= ONE_HAND_UNDOES,
  );

/** Whether it keeps nights milder, by its own cover. */
const keepsWarm = (o: Assessment, leastC: number): boolean => o.assembly.crop.crop.killingC - o.coldest.value >= leastC;
function serves(o: Assessment, purpose: Purpose): boolean {
  if (purpose === 'winter' || purpose === 'spring') return keepsWarm(o, HELP_C[purpose]);
  const worn = [
    o.assembly.enclosure.skins[0].cover,
    ...o.cover.coats.flatMap((c) => o.site.catalog.cover.get(c.coverKey ?? '') ?? []),
  ];
  return worn.some((cover) => doesFor(cover, purpose));
}

/** Whether a check judges what a wish asks: failing it misses that wish where it is said, and does not stand where it is not. */
const isFor = (wish: string, check: Check): boolean =>
  check.under === undefined ? wish === 'headroom' && check.id === 'crop' : check.under === wish;

/** Checks that fail because of one wish. */
const failingFor = (wish: string, o: Assessment): number => failingChecks(o).filter((c) => isFor(wish, c)).length;

/** Everything that a brief asks of a design on its bed, in the order in which gardeners ask. */
export function wishesOf(garden: Garden, brief: Brief): readonly Wish[] {
  const catalog = catalogOf(garden.catalog, garden.units.stock);
  const crops = cropsOf(brief, catalog);
  const names = listed(crops.map((c) => c.name));
  const b = brief;
  const wishes: Wish[] = [];
  const add = (wish: Wish | false | undefined): void => void (wish && wishes.push(wish));
  add(
    crops.length > 0 &&
      bounded('headroom', ['room for ', names], ['has room for ', names], {
        figure: 'clearanceMm',
        sense: 'least',
        value: 0,
      }),
  );
  for (const purpose of b.purposes)
    add(
      plainly(purpose, [PURPOSES[purpose]], [`does ${PURPOSES[purpose]}`], (o) => serves(o, purpose), [
        `not ${PURPOSES[purpose]}`,
      ]),
    );
  if (b.coldestC !== null)
    add(
      bounded(
        'cold',
        phrase`a night of ${amount(b.coldestC, 'temperature')}`,
        phrase`keeps ${names || 'its crop'} alive at ${amount(b.coldestC, 'temperature')}`,
        { figure: 'coldestC', sense: 'most', value: b.coldestC },
      ),
    );
  if (b.wetSnowMm !== null)
    add(
      bounded(
        'snow',
        phrase`${amount(b.wetSnowMm, 'length')} of wet snow`,
        phrase`carries ${amount(b.wetSnowMm, 'length')} of wet snow`,
        { figure: 'wetSnowMm', sense: 'least', value: b.wetSnowMm },
      ),
    );
  if (b.gustMPerS !== null) {
    const gust = phrase`a gust of ${amount(b.gustMPerS, 'speed')}`;
    add(plainly('gust', gust, phrase`holds in ${gust}`, (o) => failingFor('gust', o) === 0));
  }
  if (b.price !== null)
    add(
      bounded(
        'price',
        phrase`a price of ${amount(b.price, 'money')}`,
        phrase`costs no more than ${amount(b.price, 'money')}`,
        { figure: 'price', sense: 'most', value: b.price },
      ),
    );
  if (b.hours !== null)
    add(
      bounded(
        'hours',
        phrase`${amount(b.hours, 'hours')} of building`,
        phrase`is built in ${amount(b.hours, 'hours')}`,
        { figure: 'hours', sense: 'most', value: b.hours },
      ),
    );
  if (b.liftKg !== null)
    add(
      bounded(
        'lift',
        phrase`no more than ${amount(b.liftKg, 'mass')} to lift`,
        phrase`has nothing heavier to lift than ${amount(b.liftKg, 'mass')}`,
        { figure: 'liftKg', sense: 'most', value: b.liftKg },
      ),
    );
  if (b.carryMm !== null)
    add(
      bounded(
        'carry',
        phrase`pieces of at most ${amount(b.carryMm, 'length')} in the car`,
        phrase`is made of pieces no longer than ${amount(b.carryMm, 'length')}`,
        { figure: 'longestMm', sense: 'most', value: b.carryMm },
      ),
    );
  if (b.storeMm !== null)
    add(
      bounded(
        'store',
        phrase`pieces of at most ${amount(b.storeMm, 'length')} to put away`,
        phrase`comes apart into pieces no longer than ${amount(b.storeMm, 'length')}`,
        { figure: 'longestMm', sense: 'most', value: b.storeMm },
      ),
    );
  const { reach, hands } = b;
  if (reach !== null)
    add(plainly('reach', [`a hand in ${REACH[reach]}`], [`opens ${REACH[reach]}`], (o) => reaches(o, reach)));
  if (b.oneHand) add(plainly('one hand', ['the one-hand opening'], ['opens with one hand'], withOneHand));
  if (hands === 1)
    add(
      plainly(
        'hands',
        ['one pair of hands'],
        ['needs one pair of hands'],
        (o) => o.assembly.moving.every((part) => part.people <= hands),
        ['with two pairs of hands'],
      ),
    );
  if (b.without.length > 0)
    add(
      plainly(
        'tools',
        [`no ${listed(b.without, 'or')}`],
        [`needs no ${listed(b.without, 'or')}`],
        (o) => toolsOf(o).every((tool) => !b.without.includes(tool)),
        [`with a ${listed(b.without)}`],
      ),
    );
  for (const key of b.use) {
    const name = catalog.bar.get(key)?.name ?? key;
    add(
      plainly(`use ${key}`, [`the ${name} on the shelf`], [`is made of the ${name} on the shelf`], (o) =>
        o.assembly.members.some((m) => m.section.key === key || m.section.key === `${key} treated`),
      ),
    );
  }
  for (const key of b.notMaterials) {
    const name = catalog.material.get(key)?.name ?? key;
    add(
      plainly(
        `not ${key}`,
        [`no ${name}`],
        [`is made without ${name}`],
        (o) => o.assembly.members.every((m) => m.section.materialKey !== key),
        [`with ${name}`],
      ),
    );
  }
  add(
    plainly('sense', ['hoops no nearer than a foot'], ['has its hoops no nearer than a foot'], (o) =>
      o.judged().checks.every((c) => c.id !== 'crowded'),
    ),
  );
  // Whatever fails is missed by one wish or another.
  const snowSaid = wishes.some((w) => w.id === 'snow');
  add({
    id: 'stands',
    thing: ['that nothing fails'],
    does: ['holds on this bed'],
    miss: (o) => {
      const fails = failingChecks(o).filter((c) => !wishes.some((w) => isFor(w.id, c)));
      const carried = snowSaid ? 1 : Math.min(1, ...o.judged().strengths.map((s) => s.ratio));
      return fails.length + Math.max(0, 1 - carried);
    },
  });
  return wishes;
}

/** The garden with the brief's snow and gust, where they are more than the place's, and its car: what designs are judged against. */
export function gardenFor(garden: Garden, brief: Brief): Garden {
  const { site, catalog } = garden;
  const { carryMm } = brief;
  const asked = designConditions(site, brief);
  const carry = carryMm === null ? catalog.carryMm : Math.min(carryMm, catalog.carryMm ?? Infinity);
  return {
    ...garden,
    site: {
      ...site,
      snow: asked.snow,
      gustMPerS: asked.gustMPerS,
    },
    ...(carry !== catalog.carryMm && { catalog: { ...catalog, carryMm: carry } }),
  };
}

/** A brief read back as one sentence. */
export function sentenceOf(garden: Garden, brief: Brief): Phrase {
  const catalog = catalogOf(garden.catalog, garden.units.stock);
  const crops = cropsOf(brief, catalog).map((c) => c.name);
  const purposes = brief.purposes.map((p) => PURPOSES[p]);
  const does = wishesOf(garden, brief).filter(
    (w) => !['headroom', 'sense', 'stands'].includes(w.id) && !(w.id in PURPOSES),
  );
  const kinds = brief.kinds.map((k) => familyOf(k).name.toLowerCase());
  const not = brief.notKinds.map((k) => familyOf(k).name.toLowerCase());
  return [
    kinds.length > 0 ? `${/^[aeiou]/.test(kinds[0] ?? '') ? 'An' : 'A'} ${listed(kinds, 'or')}` : 'A cover',
    crops.length + purposes.length + does.length + not.length + kinds.length === 0 ? ' of any kind, for anything' : '',
    crops.length > 0 ? ` for ${listed(crops)}` : '',
    purposes.length > 0 ? `, ${listed(purposes)}` : '',
    brief.from !== null && brief.until !== null ? `, from ${brief.from} until ${brief.until}` : '',
    ...does.flatMap((w, i): Phrase => [i === 0 ? ', that ' : i === does.length - 1 ? ' and ' : ', ', ...w.does]),
    not.length > 0 ? `; no ${listed(not, 'or')}` : '',
    '.',
  ];
}
