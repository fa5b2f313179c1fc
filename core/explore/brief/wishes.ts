/** A brief as wishes: each asks one thing of a design, says it in words, and tells how far a design misses it. */
import { untreatedKey } from '../../catalog/treatment';
import { plainToolName } from '../../catalog/handTools';
import type { Quantity } from '../../base/amount';
import { type Amount, type Phrase, amount, listed, phrase } from '../../base/figure';
import { MM_PER_INCH, isMetric } from '../../base/length';
import { type Catalog, cropOf } from '../../catalog/catalog';
import type { Crop } from '../../catalog/crops';
import { catalogOf } from '../../catalog/own';
import { toolsOf } from '../compare';
import { reaches, serves, withOneHand } from './abilities';
import type { MeritKey, Merits } from '../merits';
import type { Garden } from '../../garden/garden';
import { designConditions } from '../../judge/strength/designConditions';
import type { Check } from '../../judge/strength/check';
import { designSnow, snowDepthMm } from '../../judge/strength/snow';
import { failingChecks } from '../fixSpace';
import type { Assessment } from '../../assessment';
import { type Brief, PURPOSES, type Purpose } from '../../site/brief';

/** A wish for a figure of at least, or at most, so much. */
interface Bound {
  readonly figure: MeritKey;
  readonly sense: 'least' | 'most';
  readonly value: number;
}

/** One wish: all that is known of it. Another wish is one more of these, beside the others in `wishesOf`, and its field in the brief. */
export interface Wish {
  readonly id: string;
  /** As a thing: "8 in of wet snow". */
  readonly thing: Phrase;
  /** As what a cover does: "carries 8 in of wet snow". */
  readonly does: Phrase;
  /** The sentence of a brief says it otherwise, or not at all. */
  readonly unsaid?: true;
  /** Left out, where "without" does not say it. */
  readonly dropped?: Phrase;
  /** What a design misses of it; 0: it does all of it, 1 and more: nothing. */
  readonly miss: (o: Assessment, figures: Merits) => number;
  readonly bound?: Bound;
  /** The brief without it; nothing where it cannot be left out. */
  readonly without?: Brief;
  /** The brief asking for the next step of it; nothing where there is none. */
  readonly more?: Brief;
  /** The place asks for more by itself: without the wish that would come in its stead. */
  readonly placeAsksMore?: true;
  /** The garden itself is changed for it, or it says what is measured: without it everything is weighed anew. */
  readonly anew?: true;
  /** The questions that may mend what is missed of it; any where that is not known. A check asks for its own. */
  readonly mends?: readonly string[];
}

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

/** How far figures are from what a wish for one of them asks. */
export const missOfFigure = (bound: Bound, figures: Merits): number =>
  missOf(bound, figures[bound.figure], SCALE[bound.figure]);

const SCALE: Partial<Record<MeritKey, number>> = { coldestC: 10, clearanceMm: 300 };
type Said = Pick<Wish, 'id' | 'thing' | 'does'> & Partial<Wish>;
/** Missed by its figure, and wholly by every check that fails for what it asks. */
const bounded = (bound: Bound, said: Said): Wish => ({
  ...said,
  bound,
  miss: (o, f) => missOfFigure(bound, f) + failingFor(said.id, o),
});
/** Done or not done. */
const plainly = (meets: (o: Assessment) => boolean, said: Said): Wish => ({ ...said, miss: (o) => (meets(o) ? 0 : 1) });

/** Wet snow that weighs as much as what is asked for at a place, mm. */
export const placeSnowMm = (site: Garden['site']): number =>
  snowDepthMm(designSnow(site.snow, site.exposure, site).groundPa, 'wet');

/** A depth as one says it: to 5 cm, or 2 in. */
function roundedSnow(mm: number, metric: boolean): number {
  const step = metric ? 50 : 2 * MM_PER_INCH;
  return Math.max(step, Math.round(mm / step) * step);
}

/** Questions that strength is answered by. */
const STRONGER = [
  'hoops',
  'pairs',
  'frames',
  'pipe',
  'ridge',
  'post',
  'beam',
  'leg',
  'rafter',
  'rafters',
  'bars',
  'lidFrame',
  'support',
  'squares',
];
/** Questions that open it otherwise. */
const OPENED = ['mount', 'edges', 'ends', 'sides'];
/** Questions that may mend it where a purpose is missed. */
const SERVES: Readonly<Record<Purpose, readonly string[]>> = {
  winter: ['cover', 'inner', 'layers', 'glazing'],
  spring: ['cover', 'inner', 'glazing'],
  insects: ['cover'],
  sun: ['cover'],
};

/** The crops of a brief; a design's own where none is said. */
export const cropsOf = (brief: Brief, catalog: Catalog): readonly Crop[] =>
  brief.crops.flatMap((key) => (catalog.crop.has(key) ? [cropOf(catalog, key)] : []));

const REACH: Readonly<Record<NonNullable<Brief['reach']>, string>> = {
  near: 'from the near side',
  far: 'from the far side',
  'both sides': 'from both sides',
  ends: 'from the ends',
};

/** Whether a check judges what a wish asks: failing it misses that wish where it is said, and does not stand where it is not. */
const isFor = (wish: string, check: Check): boolean =>
  check.under === undefined ? wish === 'headroom' && check.id === 'crop' : check.under === wish;

/** Checks that fail because of one wish. */
const failingFor = (wish: string, o: Assessment): number => failingChecks(o).filter((c) => isFor(wish, c)).length;

/** The questions that may mend all that is missed; undefined where any may. */
export function changesThatHelp(
  wishes: readonly Wish[],
  misses: Readonly<Record<string, number>>,
): ReadonlySet<string> | undefined {
  // A price is mended by whatever is cheaper, and is no guide.
  const missed = wishes.filter((w) => w.id in misses && w.id !== 'price');
  if (missed.length === 0 || missed.some((w) => !w.mends)) return undefined;
  return new Set(missed.flatMap((w) => w.mends ?? []));
}

/** Everything that a brief asks of a design on its bed, in the order in which gardeners ask. */
export function wishesOf(garden: Garden, brief: Brief): readonly Wish[] {
  const catalog = catalogOf(garden.catalog, garden.units.stock);
  const { site } = garden;
  const metric = isMetric(garden.units.length);
  const crops = cropsOf(brief, catalog);
  const names = listed(crops.map((c) => c.name));
  const b = brief;
  const wishes: Wish[] = [];
  const add = (wish: Wish | false | undefined): void => void (wish && wishes.push(wish));
  const without = (part: Partial<Brief>): { readonly without: Brief } => ({ without: { ...b, ...part } });
  /** A wish for at most so much, where the brief says how much. */
  const limit = (
    id: string,
    field: 'price' | 'hours' | 'liftKg' | 'carryMm' | 'storeMm',
    figure: MeritKey,
    quantity: Quantity,
    say: (most: Amount) => Pick<Wish, 'thing' | 'does'> & Partial<Wish>,
  ): void => {
    const value = b[field];
    if (value !== null)
      add(
        bounded(
          { figure, sense: 'most', value },
          { id, ...say(amount(value, quantity)), ...without({ [field]: null }) },
        ),
      );
  };
  /** A list without one of its entries. */
  const less = <T>(list: readonly T[], entry: T): T[] => list.filter((x) => x !== entry);

  add(
    crops.length > 0 &&
      bounded(
        { figure: 'clearanceMm', sense: 'least', value: 0 },
        {
          id: 'headroom',
          thing: ['room for ', names],
          does: ['has room for ', names],
          unsaid: true,
          ...without({ crops: [] }),
          anew: true,
          mends: ['school', 'courses', 'board', 'frontBoard', 'bends'],
        },
      ),
  );
  for (const purpose of b.purposes)
    add(
      plainly((o) => serves(o, purpose), {
        id: purpose,
        thing: [PURPOSES[purpose]],
        does: [`does ${PURPOSES[purpose]}`],
        unsaid: true,
        dropped: [`not ${PURPOSES[purpose]}`],
        ...without({ purposes: less(b.purposes, purpose) }),
        mends: SERVES[purpose],
      }),
    );
  if (b.coldestC !== null)
    add(
      bounded(
        { figure: 'coldestC', sense: 'most', value: b.coldestC },
        {
          id: 'cold',
          thing: phrase`a night of ${amount(b.coldestC, 'temperature')}`,
          does: phrase`keeps ${names || 'its crop'} alive at ${amount(b.coldestC, 'temperature')}`,
          ...without({ coldestC: null }),
          more: { ...b, coldestC: b.coldestC - 3 },
          mends: ['cover', 'inner', 'layers', 'extra', 'glazing'],
        },
      ),
    );
  if (b.wetSnowMm !== null) {
    const snow = phrase`${amount(b.wetSnowMm, 'length')} of wet snow`;
    add(
      bounded(
        { figure: 'wetSnowMm', sense: 'least', value: b.wetSnowMm },
        {
          id: 'snow',
          thing: snow,
          does: phrase`carries ${snow}`,
          ...without({ wetSnowMm: null }),
          ...(b.wetSnowMm > 0 && { more: { ...b, wetSnowMm: roundedSnow(b.wetSnowMm * 1.5, metric) } }),
          ...(placeSnowMm(site) > b.wetSnowMm + 0.5 && { placeAsksMore: true }),
          anew: true,
          mends: STRONGER,
        },
      ),
    );
  }
  if (b.gustMPerS !== null) {
    const gust = phrase`a gust of ${amount(b.gustMPerS, 'speed')}`;
    add(
      plainly((o) => failingFor('gust', o) === 0, {
        id: 'gust',
        thing: gust,
        does: phrase`holds in ${gust}`,
        ...without({ gustMPerS: null }),
        more: { ...b, gustMPerS: b.gustMPerS + 5 },
        ...(site.gustMPerS > b.gustMPerS && { placeAsksMore: true }),
        anew: true,
      }),
    );
  }
  if (b.lightPercent !== null)
    add(
      bounded(
        { figure: 'lightPercent', sense: 'least', value: b.lightPercent },
        {
          id: 'light',
          thing: phrase`${amount(b.lightPercent, 'count')} % of the light`,
          does: phrase`lets in ${amount(b.lightPercent, 'count')} % of the light`,
          ...without({ lightPercent: null }),
          mends: ['cover', 'inner', 'layers', 'glazing'],
        },
      ),
    );
  limit('price', 'price', 'price', 'money', (x) => ({
    thing: phrase`a price of ${x}`,
    does: phrase`costs no more than ${x}`,
  }));
  limit('hours', 'hours', 'hours', 'hours', (x) => ({
    thing: phrase`${x} of building`,
    does: phrase`is built in ${x}`,
  }));
  limit('lift', 'liftKg', 'liftKg', 'mass', (x) => ({
    thing: phrase`no more than ${x} to lift`,
    does: phrase`has nothing heavier to lift than ${x}`,
  }));
  limit('carry', 'carryMm', 'longestMm', 'length', (x) => ({
    thing: phrase`pieces of at most ${x} in the car`,
    does: phrase`is made of pieces no longer than ${x}`,
    anew: true,
  }));
  limit('store', 'storeMm', 'longestMm', 'length', (x) => ({
    thing: phrase`pieces of at most ${x} to put away`,
    does: phrase`comes apart into pieces no longer than ${x}`,
  }));
  const { reach, hands } = b;
  if (reach !== null)
    add(
      plainly((o) => reaches(o, reach), {
        id: 'reach',
        thing: [`a hand in ${REACH[reach]}`],
        does: [`opens ${REACH[reach]}`],
        ...without({ reach: null }),
        mends: ['hinges', 'back', 'doors', ...OPENED],
      }),
    );
  if (b.oneHand)
    add(
      plainly(withOneHand, {
        id: 'one hand',
        thing: ['the one-hand opening'],
        does: ['opens with one hand'],
        ...without({ oneHand: false }),
        mends: ['lids', 'lidFrame', 'frame', 'glazing', 'pipe', ...OPENED],
      }),
    );
  if (hands === 1)
    add(
      plainly((o) => o.assembly.moving.every((part) => part.people <= hands), {
        id: 'hands',
        thing: ['one pair of hands'],
        does: ['needs one pair of hands'],
        dropped: ['with two pairs of hands'],
        ...without({ hands: null }),
      }),
    );
  if (b.without.length > 0) {
    const tools = b.without.map(plainToolName);
    add(
      plainly((o) => toolsOf(o).every((tool) => !b.without.includes(tool)), {
        id: 'tools',
        thing: [`no ${listed(tools, 'or')}`],
        does: [`needs no ${listed(tools, 'or')}`],
        dropped: [`with a ${listed(tools)}`],
        ...without({ without: [] }),
      }),
    );
  }
  for (const key of b.use) {
    const name = catalog.bar.get(key)?.name ?? key;
    add(
      plainly((o) => o.assembly.members.some((m) => untreatedKey(m.section.key) === key || m.section.key === key), {
        id: `use ${key}`,
        thing: [`the ${name} on the shelf`],
        does: [`is made of the ${name} on the shelf`],
        ...without({ use: less(b.use, key) }),
      }),
    );
  }
  for (const key of b.notMaterials) {
    const name = catalog.material.get(key)?.name ?? key;
    add(
      plainly((o) => o.assembly.members.every((m) => m.section.materialKey !== key), {
        id: `not ${key}`,
        thing: [`no ${name}`],
        does: [`is made without ${name}`],
        dropped: [`with ${name}`],
        ...without({ notMaterials: less(b.notMaterials, key) }),
      }),
    );
  }
  add(
    plainly((o) => o.judged().checks.every((c) => c.id !== 'crowded'), {
      id: 'sense',
      thing: ['hoops no nearer than a foot'],
      does: ['has its hoops no nearer than a foot'],
      unsaid: true,
      mends: ['hoops', 'pipe', 'ridge'],
    }),
  );
  // Whatever fails is missed by one wish or another.
  const snowSaid = wishes.some((w) => w.id === 'snow');
  add({
    id: 'stands',
    thing: ['that nothing fails'],
    does: ['holds on this bed'],
    unsaid: true,
    mends: [],
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
