/** What a search has come to: the best of each kind, those that nothing else beats, and what rules a kind out. */
import { type ScoredItem, type SearchState, better, paretoFront } from '../../base/search';
import type { Phrase } from '../../base/figure';
import type { Cover } from '../../garden/garden';
import { type ScoredDesign, coverKey, meets } from './evaluator';
import type { Wish } from './wishes';

/** A design that is offered. */
export interface Offer {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly cover: Cover;
  readonly weighed: ScoredDesign;
  /** By cuts proven best; until then its price is that of the quick rule. */
  readonly provenPrice?: number;
}

/** What came of one kind. */
interface KindAnswer {
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
export interface BriefAnswer {
  readonly kinds: readonly KindAnswer[];
  /** Those that do everything and that nothing else beats, and the best of every kind that can; the cheapest first. */
  readonly offers: readonly Offer[];
  readonly judged: number;
  /** All that was judged. */
  readonly pool: readonly ScoredItem<Cover, ScoredDesign>[];
  /** Every kind has been brought as far as it goes by single changes: a full answer, if not the last word. */
  readonly full: boolean;
  readonly done: boolean;
}

/** One kind as far as it was searched. */
export interface Searched {
  readonly key: string;
  readonly name: string;
  readonly state: SearchState<Cover, ScoredDesign> | undefined;
  /** Looked into as far as any kind is: what it misses is told. */
  readonly settled: boolean;
}

/** Figures to what a builder would tell apart, the smaller the better. */
const told = ({
  warnings,
  figures: { price, hours, coldestC, wetSnowMm, clearanceMm, massKg },
}: ScoredDesign): readonly number[] => [
  Math.min(1, warnings),
  Math.round(price),
  Math.round(2 * hours) / 2,
  Math.round(2 * coldestC) / 2,
  // What is not judged ranks last.
  -Math.round((Number.isNaN(wetSnowMm) ? -1 : Math.min(wetSnowMm, 1500)) / 25),
  -Math.round(clearanceMm / 25),
  Math.round(massKg),
];

const offered = (
  { key, name }: Pick<Searched, 'key' | 'name'>,
  { s, worth }: ScoredItem<Cover, ScoredDesign>,
): Offer => ({
  id: coverKey(s),
  kind: key,
  name,
  cover: s,
  weighed: worth,
});

/** What a search has come to. */
export function answerOf(
  wishes: readonly Wish[],
  all: readonly Searched[],
  { judged, full, done }: Pick<BriefAnswer, 'judged' | 'full' | 'done'>,
): BriefAnswer {
  const kinds = all.map((s): KindAnswer => {
    const [best] = ableOf(s).sort(
      (a, b) => Number(better(b.weighed, a.weighed)) - Number(better(a.weighed, b.weighed)),
    );
    const nearest = s.state?.best;
    return {
      key: s.key,
      name: s.name,
      best,
      ruledOut: best || !s.settled ? undefined : ruledOut(s, wishes),
      nearest: nearest && !best ? offered(s, nearest) : undefined,
    };
  });
  const able = all.flatMap(ableOf);
  const bests = new Set([...kinds.flatMap((k) => k.best?.id ?? []), ...all.flatMap((s) => cheapestOf(s)?.id ?? [])]);
  const sorted = [...able].sort(
    (a, b) =>
      a.weighed.price - b.weighed.price ||
      Number(bests.has(b.id)) - Number(bests.has(a.id)) ||
      a.id.localeCompare(b.id),
  );
  // Of those that a builder would not tell apart one, the best of its kind first.
  const one = new Map<string, Offer>();
  for (const o of sorted) {
    const key = told(o.weighed).join();
    if (!one.has(key) || (bests.has(o.id) && !bests.has(one.get(key)?.id ?? ''))) one.set(key, o);
  }
  const front = paretoFront([...one.values()], (o) => told(o.weighed));
  return {
    kinds,
    offers: withBests(front, able, bests),
    judged,
    pool: all.flatMap((s) => s.state?.pool ?? []),
    full,
    done,
  };
}

/** Of one kind all that does everything. */
const ableOf = (s: Searched): Offer[] =>
  (s.state?.pool ?? []).filter(({ worth }) => meets(worth)).map((j) => offered(s, j));

/** Of one kind the cheapest that does everything, tight or not. */
const cheapestOf = (s: Searched): Offer | undefined =>
  ableOf(s).reduce<Offer | undefined>((a, b) => (a && a.weighed.price <= b.weighed.price ? a : b), undefined);

/** The best and the cheapest of each kind stand among the offers, be they beaten in everything. */
function withBests(front: readonly Offer[], able: readonly Offer[], bests: ReadonlySet<string>): readonly Offer[] {
  const shown = new Set(front.map((o) => o.id));
  return [...front, ...able.filter((o) => bests.has(o.id) && !shown.has(o.id))].sort(
    byOffer(({ weighed }) => weighed.price),
  );
}

/** What holds outright stands first, the cheapest of it before all; then what is tight somewhere. */
export const byOffer =
  (priceOf: (o: Offer) => number) =>
  (a: Offer, b: Offer): number =>
    Number(a.weighed.warnings > 0) - Number(b.weighed.warnings > 0) || priceOf(a) - priceOf(b);

/** The wish that rules a kind out: of its best design the one that it misses most. */
function ruledOut({ name, state }: Searched, wishes: readonly Wish[]): Phrase | undefined {
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
