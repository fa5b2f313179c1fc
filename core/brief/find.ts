/** From a brief to designs: every kind of cover searched on its bed, the best of each and those that nothing else beats. */
import { type Judged, type SearchState, search, unbeaten } from '../base/search';
import type { Phrase } from '../base/figure';
import { FAMILY_KEYS, familyOf } from '../build/families';
import type { Cover, Garden } from '../garden/garden';
import { type Brief, NOTHING_SAID } from '../site/brief';
import { firstCover } from '../start';
import { type Weighed, type Workshop, keyOf, mendsOf, movesOf, withFewer, workshop } from './design';
import { type Figures, type Wish, cropsOf, gardenFor, sentenceOf, wishesOf } from './wishes';
import { catalogOf } from '../catalog/own';

/** A design that is offered. */
export interface Offer {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly cover: Cover;
  readonly weighed: Weighed;
  /** By cuts proven best; until then its price is that of the quick rule. */
  readonly provenPrice?: number;
}

/** What came of one kind. */
export interface KindAnswer {
  readonly key: string;
  readonly name: string;
  /** The cheapest of it that does everything. */
  readonly best: Offer | undefined;
  /** Why there is none: the wish that rules it out, as a sentence. */
  readonly ruledOut: Phrase | undefined;
  /** Of one that cannot, its design that misses least, and the wishes that it misses. */
  readonly nearest: Offer | undefined;
}

/** The answer to a brief, or as far as it has come. */
export interface Found {
  readonly kinds: readonly KindAnswer[];
  /** Those that do everything and that nothing else beats, and the best of every kind that can; the cheapest first. */
  readonly offers: readonly Offer[];
  /** For each wish the cheapest design that does everything but it. */
  readonly almost: Readonly<Record<string, Offer>>;
  readonly judged: number;
  /** Every kind has been brought as far as it goes by single changes: a full answer, if not the last word. */
  readonly full: boolean;
  readonly done: boolean;
}

/** Where a search stands; the answer so far is worked out only where it is asked for. */
export interface SoFar extends Pick<Found, 'judged' | 'full' | 'done'> {
  readonly answer: () => Found;
}

export interface FindOptions {
  readonly seed: number;
  /** Designs judged of one kind at the most. */
  readonly most?: number;
  /** Only these questions are answered anew: a grid small enough to go through whole. */
  readonly only?: readonly string[];
  readonly small?: number;
  /** Covers to begin from beside each kind's own first one. */
  readonly from?: readonly Cover[];
}

const MOST = 320;
/** Work that goes into a kind before the first full answer, and before it is known to be among the best. */
const MOST_AT_ONCE = 36;
const MOST_AT_FIRST = 130;
/** Kinds that are gone into further: so many of the cheapest. */
const FURTHER = 2;
/** Questions about the form as a whole, and starts beside the usual one. */
const FORMS = ['school', 'bends', 'courses', 'board'];
const MORE_STARTS = 2;
/** Offers shown at the most. */
const MOST_OFFERS = 16;
/** Told how it stands after so many that were looked at. */
const TOLD_EVERY = 20;

/** Figures to what a builder would tell apart, the smaller the better. */
const told = ({ price, hours, coldestC, wetSnowMm, clearanceMm, massKg }: Figures): readonly number[] => [
  Math.round(price),
  Math.round(2 * hours) / 2,
  Math.round(2 * coldestC) / 2,
  -Math.round(Math.min(wetSnowMm, 1500) / 25),
  -Math.round(clearanceMm / 25),
  Math.round(massKg),
];

/** A kind's own first cover for a brief: its crop, its rows, its hands. */
function startOf(garden: Garden, bedId: string, kind: string, brief: Brief): Cover | undefined {
  const first = firstCover(garden, bedId, kind, `try-${kind}`, familyOf(kind).name);
  if (!first) return undefined;
  const crops = cropsOf(brief, catalogOf(garden.catalog, garden.units.stock));
  const tallest = crops.reduce<(typeof crops)[number] | undefined>(
    (a, c) => (a && a.heightMm >= c.heightMm ? a : c),
    undefined,
  );
  const answers = {
    ...first.answers,
    ...(tallest && { crop: tallest.key }),
    ...(brief.rowFromEdgeMm !== null && 'rowFromEdgeMm' in first.answers && { rowFromEdgeMm: brief.rowFromEdgeMm }),
    ...(brief.hands !== null && 'people' in first.answers && { people: String(brief.hands) }),
  };
  const { from, until } = brief;
  const coats = from !== null && until !== null && from !== until ? [{ coverKey: null, from: until, to: from }] : [];
  return { ...first, answers, coats } as Cover;
}

/** One kind while it is searched. */
interface Searching {
  readonly key: string;
  readonly name: string;
  readonly shop: Workshop;
  readonly run: Generator<SearchState<Cover, Weighed>, SearchState<Cover, Weighed>>;
  state: SearchState<Cover, Weighed> | undefined;
  over: boolean;
  /** Looked into as far as any kind is: what it misses is told. */
  settled: boolean;
}

function step(s: Searching): void {
  const next = s.run.next();
  s.state = next.value;
  s.over = next.done === true;
}

/** The same cover in its other heights and forms, those first that miss least: a few, for where the usual one leads nowhere. */
function formsOf(start: Cover, shop: Workshop): readonly Cover[] {
  const o = shop.outlineOf(start);
  if (!o) return [];
  return movesOf(start, o, NOTHING_SAID, FORMS)
    .flatMap((cover) => {
      const worth = shop.weigh(cover);
      return worth ? [{ cover, miss: worth.miss }] : [];
    })
    .sort((a, b) => a.miss - b.miss)
    .slice(0, MORE_STARTS)
    .map(({ cover }) => cover);
}

/** Whether a kind still misses something that is known to be mended by certain changes. */
function repairing({ state, over }: Searching): boolean {
  if (over || state?.phase === 'done') return false;
  if (!state?.best) return true;
  const { miss, misses } = state.best.worth;
  return state.effort < MOST_AT_ONCE && state.phase === 'descent' && miss > 0 && mendsOf(misses) !== undefined;
}

/** All of a brief's parts that a search needs. */
export function asked(garden: Garden, bedId: string, brief: Brief) {
  const judgedIn = gardenFor(garden, brief);
  const wishes = wishesOf(judgedIn, brief);
  const kinds = (brief.kinds.length > 0 ? brief.kinds : FAMILY_KEYS).filter(
    (k) => FAMILY_KEYS.includes(k) && !brief.notKinds.includes(k),
  );
  return { garden: judgedIn, bedId, brief, wishes, kinds, sentence: sentenceOf(judgedIn, brief) };
}
export type Asked = ReturnType<typeof asked>;

function searching({ garden, bedId, brief, wishes }: Asked, key: string, options: FindOptions): Searching {
  const { seed, most = MOST, only, small = 0, from = [] } = options;
  const shop = workshop(garden, brief, wishes);
  const start = startOf(garden, bedId, key, brief);
  function* starts(): Generator<Cover> {
    yield* from.filter((c) => c.family === key);
    if (start) yield start;
    if (start && !only && from.length === 0) yield* formsOf(start, shop);
  }
  const run = search<Cover, Weighed>(
    {
      keyOf,
      judge: shop.weigh,
      bound: shop.priceOf,
      worse: (cover, worth) => ('snow' in worth.misses ? withFewer(cover) : []),
      movesOf: (cover, worth, wide) => {
        const o = shop.outlineOf(cover);
        return o ? movesOf(cover, o, brief, only, wide ? {} : worth.misses) : [];
      },
    },
    starts(),
    { seed, most, small, every: from.length > 0 },
  );
  return {
    key,
    name: familyOf(key).name,
    shop,
    run,
    state: undefined,
    over: false,
    settled: false,
  };
}

/**
 * Searches every kind for a brief. Yields often, so that it can be shown, stopped, and gone on with.
 * Deterministic: the same garden, brief and seed give the same designs in the same order.
 */
export function* find(garden: Garden, bedId: string, brief: Brief, options: FindOptions): Generator<SoFar, SoFar> {
  const ask = asked(garden, bedId, brief);
  const all = ask.kinds.map((key) => searching(ask, key, options));
  const so = (full: boolean, done: boolean): SoFar => ({
    judged: judgedOf(all),
    full,
    done,
    answer: () => answer(ask, all, full, done),
  });
  // As far as what is missed asks for changes: a full answer, if a dear one.
  for (const s of all) {
    for (let n = 0; repairing(s); n++) {
      step(s);
      if (n % TOLD_EVERY === 0) yield so(false, false);
    }
  }
  yield so(true, false);
  const price = (s: Searching): number => (s.state?.best?.worth.miss === 0 ? s.state.best.worth.price : Infinity);
  const byPrice = (): readonly Searching[] => [...all].sort((a, b) => price(a) - price(b));
  function* whileGoing(s: Searching, going: () => boolean): Generator<SoFar, void> {
    for (let n = 0; !s.over && going(); n++) {
      step(s);
      if (n % TOLD_EVERY === 0) yield so(true, false);
    }
  }
  // Then each as cheap as single changes make it; and at last the cheapest by everything there is.
  for (const s of byPrice()) yield* whileGoing(s, () => s.state?.phase === 'descent' && s.state.effort < MOST_AT_FIRST);
  for (const s of all) s.settled = true;
  yield so(true, false);
  for (const s of byPrice().slice(0, FURTHER)) yield* whileGoing(s, () => true);
  return so(true, true);
}

/** Everything judged of some kinds, each searched to its end: what the costs of wishes are read from. */
export function poolsOf(ask: Asked, kinds: readonly string[], options: FindOptions): readonly Judged<Cover, Weighed>[] {
  return kinds.flatMap((key) => {
    const s = searching(ask, key, options);
    while (!s.over) step(s);
    return s.state?.pool ?? [];
  });
}

/** Runs a search to its end, or until it is told to stop. @param goOn asked now and then; false ends it with the best so far */
export function findAll(
  garden: Garden,
  bedId: string,
  brief: Brief,
  options: FindOptions,
  goOn: (so: SoFar) => boolean = () => true,
): Found {
  const run = find(garden, bedId, brief, options);
  for (;;) {
    const { value, done } = run.next();
    if (done || !goOn(value)) return value.answer();
  }
}

const judgedOf = (all: readonly Searching[]): number => all.reduce((sum, s) => sum + (s.state?.pool.length ?? 0), 0);

const offered = ({ key, name }: Pick<Searching, 'key' | 'name'>, { s, worth }: Judged<Cover, Weighed>): Offer => ({
  id: keyOf(s),
  kind: key,
  name,
  cover: s,
  weighed: worth,
});

function answer(ask: Asked, all: readonly Searching[], full: boolean, done: boolean): Found {
  const kinds = all.map((s): KindAnswer => {
    const best = s.state?.best;
    const meets = best?.worth.miss === 0;
    return {
      key: s.key,
      name: s.name,
      best: best && meets ? offered(s, best) : undefined,
      ruledOut: meets || !s.settled ? undefined : ruledOut(s, ask.wishes),
      nearest: best && !meets ? offered(s, best) : undefined,
    };
  });
  // What is warned of is only offered where its kind has nothing better.
  const able = all.flatMap((s) => {
    const best = s.state?.best;
    if (!best || best.worth.miss > 0) return [];
    return (s.state?.pool ?? [])
      .filter(({ worth }) => worth.miss === 0 && worth.warnings <= best.worth.warnings)
      .map((j) => offered(s, j));
  });
  const bests = new Set(kinds.flatMap((k) => k.best?.id ?? []));
  const sorted = [...able].sort(
    (a, b) =>
      a.weighed.price - b.weighed.price ||
      Number(bests.has(b.id)) - Number(bests.has(a.id)) ||
      a.id.localeCompare(b.id),
  );
  // Of those that a builder would not tell apart one, the best of its kind first.
  const one = new Map<string, Offer>();
  for (const o of sorted) {
    const key = told(o.weighed.figures).join();
    if (!one.has(key) || (bests.has(o.id) && !bests.has(one.get(key)?.id ?? ''))) one.set(key, o);
  }
  const front = unbeaten([...one.values()], (o) => told(o.weighed.figures));
  return {
    kinds,
    offers: withBests(spaced(front), kinds),
    almost: done ? almostOf(all) : {},
    judged: judgedOf(all),
    full,
    done,
  };
}

/** The best of each kind stands among the offers, be it beaten in everything. */
function withBests(front: readonly Offer[], kinds: readonly KindAnswer[]): readonly Offer[] {
  const shown = new Set(front.map((o) => o.kind));
  const more = kinds.flatMap((k) => (k.best && !shown.has(k.key) ? [k.best] : []));
  return [...front, ...more].sort((a, b) => a.weighed.price - b.weighed.price);
}

/** For each wish the cheapest design that misses it alone. */
function almostOf(all: readonly Searching[]): Found['almost'] {
  const found: Record<string, Offer> = {};
  for (const s of all)
    for (const j of s.state?.pool ?? []) {
      const [id, ...more] = Object.keys(j.worth.misses);
      if (id === undefined || more.length > 0) continue;
      const known = found[id];
      if (!known || j.worth.price < known.weighed.price) found[id] = offered(s, j);
    }
  return found;
}

/** Of many the cheapest, and then each time the one that differs most from those taken. */
function spaced(front: readonly Offer[]): readonly Offer[] {
  if (front.length <= MOST_OFFERS) return front;
  const of = front.map((o) => told(o.weighed.figures));
  const span =
    of[0]?.map((_, i) => Math.max(...of.map((f) => f[i] ?? 0)) - Math.min(...of.map((f) => f[i] ?? 0))) ?? [];
  const apart = (a: readonly number[], b: readonly number[]): number =>
    a.reduce((sum, x, i) => sum + Math.abs(x - (b[i] ?? 0)) / Math.max(1e-9, span[i] ?? 1), 0);
  const taken = [0];
  const nearest = of.map((f) => apart(f, of[0] ?? []));
  while (taken.length < MOST_OFFERS) {
    let far = 0;
    for (let i = 1; i < nearest.length; i++) if ((nearest[i] ?? 0) > (nearest[far] ?? 0)) far = i;
    taken.push(far);
    of.forEach((f, i) => (nearest[i] = Math.min(nearest[i] ?? 0, apart(f, of[far] ?? []))));
  }
  return taken.sort((a, b) => a - b).flatMap((i) => front[i] ?? []);
}

/** The wish that rules a kind out: of its best design the one that it misses most. */
function ruledOut({ name, state }: Searching, wishes: readonly Wish[]): Phrase | undefined {
  const best = state?.best;
  if (!state) return undefined;
  const kind = name.toLowerCase();
  if (!best) return [`No ${kind} can be built here.`];
  // Where each wish is met by some design, it is all of them together that is too much.
  const [worst] = Object.entries(best.worth.misses).sort((a, b) => b[1] - a[1]);
  const wish = wishes.find((w) => w.id === worst?.[0]);
  if (!wish) return undefined;
  const alone = state.pool.some(({ worth }) => worth.misses[wish.id] === undefined);
  const that: Phrase = [`No ${kind} ${state.whole ? '' : 'was found that '}`, ...wish.does];
  return alone ? [...that, ' and does the rest too.'] : [...that, '.'];
}
