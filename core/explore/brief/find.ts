/** From a brief to designs: every kind of cover searched on its bed. */
import { sentenceOf } from './sentence';
import { type ScoredItem, type SearchState, search } from '../../base/search';
import { FAMILY_KEYS, familyOf } from '../../cover/families';
import { catalogOf } from '../../catalog/own';
import type { Cover, Garden } from '../../garden/garden';
import { type Brief, NOTHING_SAID } from '../../site/brief';
import { firstCover } from '../firstDesigns';
import { type BriefAnswer, type Searched, answerOf } from './answer';
import {
  type ScoreCache,
  type ScoredDesign,
  type Evaluator,
  coverDifference,
  coverKey,
  nextDesigns,
  withFewerHolds,
  createEvaluator,
} from './evaluator';
import { type Wish, cropsOf, gardenFor, wishesOf, changesThatHelp } from './wishes';

/** Where a search stands; the answer so far is worked out only where it is asked for. */
interface SoFar extends Pick<BriefAnswer, 'judged' | 'full' | 'done'> {
  readonly answer: () => BriefAnswer;
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
  /** What was weighed before for the same garden and wishes, and is added to. */
  readonly known?: ScoreCache;
  /** The wishes that what is known was weighed by; those of the brief when not said. */
  readonly wishes?: readonly Wish[];
  /** Weights read for other wishes, where these need no other garden. */
  readonly read?: (weighed: ScoredDesign) => ScoredDesign;
}

const MOST = 400;
/** Work that goes into a kind before the first full answer, and before it is known to be among the best. */
const MOST_AT_ONCE = 36;
const MOST_AT_FIRST = 130;
/** Kinds that are gone into further: so many of the cheapest. */
const FURTHER = 2;
/** Questions about the form as a whole, and starts beside the usual one. */
const FORMS = ['school', 'bends', 'courses', 'board'];
const MORE_STARTS = 2;
/** Told how it stands after so many that were looked at. */
const TOLD_EVERY = 20;

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

/** What stands on the bed already, of a kind: as it is, for what the brief asks. It is never said not to be found there. */
const standing = (garden: Garden, bedId: string, kind: string, start: Cover): readonly Cover[] => {
  const { crop } = start.answers as Readonly<Record<string, unknown>>;
  return garden.covers
    .filter((c) => c.bedId === bedId && c.family === kind)
    .map((c) => ({ ...start, answers: { ...c.answers, ...(crop !== undefined && { crop }) } }) as Cover);
};

/** One kind while it is searched. */
interface Searching extends Searched {
  readonly run: Generator<SearchState<Cover, ScoredDesign>, SearchState<Cover, ScoredDesign>>;
  state: SearchState<Cover, ScoredDesign> | undefined;
  over: boolean;
  settled: boolean;
}

function step(s: Searching): void {
  const next = s.run.next();
  s.state = next.value;
  s.over = next.done === true;
}

/** The same cover in its other heights and forms, those first that miss least: a few, for where the usual one leads nowhere. */
function formsOf(start: Cover, shop: Evaluator): readonly Cover[] {
  const o = shop.outlineOf(start);
  if (!o) return [];
  return nextDesigns(start, o, NOTHING_SAID, FORMS)
    .flatMap((cover) => {
      const worth = shop.weigh(cover);
      return worth ? [{ cover, miss: worth.violation }] : [];
    })
    .sort((a, b) => a.miss - b.miss)
    .slice(0, MORE_STARTS)
    .map(({ cover }) => cover);
}

/** Whether a kind still misses something that is known to be mended by certain changes. */
function repairing({ state, over }: Searching, wishes: readonly Wish[]): boolean {
  if (over || state?.phase === 'done') return false;
  if (!state?.best) return true;
  const { violation, misses } = state.best.worth;
  return (
    state.effort < MOST_AT_ONCE &&
    state.phase === 'descent' &&
    violation > 0 &&
    changesThatHelp(wishes, misses) !== undefined
  );
}

/** All of a brief's parts that a search needs. */
export function briefContext(garden: Garden, bedId: string, brief: Brief) {
  const judgedIn = gardenFor(garden, brief);
  const wishes = wishesOf(judgedIn, brief);
  const kinds = (brief.kinds.length > 0 ? brief.kinds : FAMILY_KEYS).filter((k) => !brief.notKinds.includes(k));
  return { garden: judgedIn, bedId, brief, wishes, kinds, sentence: sentenceOf(judgedIn, brief) };
}
export type BriefContext = ReturnType<typeof briefContext>;

function searching({ garden, bedId, brief, wishes }: BriefContext, key: string, options: FindOptions): Searching {
  const { seed, most = MOST, only, small = 0, from = [], known, read = (weighed) => weighed } = options;
  const shop = createEvaluator(garden, brief, wishes, known);
  const weigh = (cover: Cover): ScoredDesign | undefined => {
    const weighed = shop.weigh(cover);
    return weighed && read(weighed);
  };
  const start = startOf(garden, bedId, key, brief);
  function* starts(): Generator<Cover> {
    yield* from.filter((c) => c.family === key);
    if (start) yield start;
    if (start && from.length === 0 && !only) yield* standing(garden, bedId, key, start);
    if (start && !only && from.length === 0) yield* formsOf(start, shop);
  }
  const run = search<Cover, ScoredDesign>(
    {
      keyOf: coverKey,
      changeOf: coverDifference,
      judge: weigh,
      bound: shop.priceOf,
      worse: (cover, worth) => ('snow' in worth.misses ? withFewerHolds(cover) : []),
      movesOf: (cover, worth, wide) => {
        const o = shop.outlineOf(cover);
        return o ? nextDesigns(cover, o, brief, only, wide ? undefined : changesThatHelp(wishes, worth.misses)) : [];
      },
    },
    starts(),
    { seed, most, small, every: from.length > 0 },
  );
  return {
    key,
    name: familyOf(key).name,
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
export function* searchBrief(
  garden: Garden,
  bedId: string,
  brief: Brief,
  options: FindOptions,
): Generator<SoFar, SoFar> {
  const fresh = briefContext(garden, bedId, brief);
  const ask = { ...fresh, wishes: options.wishes ?? fresh.wishes };
  const all = ask.kinds.map((key) => searching(ask, key, options));
  const so = (full: boolean, done: boolean): SoFar => {
    const judged = all.reduce((sum, s) => sum + (s.state?.pool.length ?? 0), 0);
    return { judged, full, done, answer: () => answerOf(ask.wishes, all, { judged, full, done }) };
  };
  // As far as what is missed asks for changes: a full answer, if a dear one.
  for (const s of all) {
    for (let n = 0; repairing(s, ask.wishes); n++) {
      step(s);
      if (n % TOLD_EVERY === 0) yield so(false, false);
    }
  }
  yield so(true, false);
  const price = (s: Searching): number =>
    s.state?.cheapest?.worth.violation === 0 ? s.state.cheapest.worth.price : Infinity;
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
export function poolsOf(
  ask: BriefContext,
  kinds: readonly string[],
  options: FindOptions,
): readonly ScoredItem<Cover, ScoredDesign>[] {
  return kinds.flatMap((key) => {
    const s = searching(ask, key, options);
    while (!s.over) step(s);
    return s.state?.pool ?? [];
  });
}

/** Runs a search to its end, or until it is told to stop. @param goOn asked now and then; false ends it with the best so far */
export function searchWholeBrief(
  garden: Garden,
  bedId: string,
  brief: Brief,
  options: FindOptions,
  goOn: (so: SoFar) => boolean = () => true,
): BriefAnswer {
  const run = searchBrief(garden, bedId, brief, options);
  for (;;) {
    const { value, done } = run.next();
    if (done || !goOn(value)) return value.answer();
  }
}
