/** What a search has come to: the best of each kind, those that nothing else beats, and what rules a kind out. */
import { type Judged, type SearchState, unbeaten } from '../base/search';
import type { Phrase } from '../base/figure';
import type { Cover } from '../garden/garden';
import { type Weighed, keyOf } from './design';
import type { Figures, Wish } from './wishes';

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

/** One kind as far as it was searched. */
export interface Searched {
  readonly key: string;
  readonly name: string;
  readonly state: SearchState<Cover, Weighed> | undefined;
  /** Looked into as far as any kind is: what it misses is told. */
  readonly settled: boolean;
}

/** Offers shown at the most. */
const MOST_OFFERS = 16;
/** Figures to what a builder would tell apart, the smaller the better. */
const told = ({ price, hours, coldestC, wetSnowMm, clearanceMm, massKg }: Figures): readonly number[] => [
  Math.round(price),
  Math.round(2 * hours) / 2,
  Math.round(2 * coldestC) / 2,
  // What is not judged ranks last.
  -Math.round((Number.isNaN(wetSnowMm) ? -1 : Math.min(wetSnowMm, 1500)) / 25),
  -Math.round(clearanceMm / 25),
  Math.round(massKg),
];

const offered = ({ key, name }: Pick<Searched, 'key' | 'name'>, { s, worth }: Judged<Cover, Weighed>): Offer => ({
  id: keyOf(s),
  kind: key,
  name,
  cover: s,
  weighed: worth,
});

/** What a search has come to. */
export function answerOf(
  wishes: readonly Wish[],
  all: readonly Searched[],
  { judged, full, done }: Pick<Found, 'judged' | 'full' | 'done'>,
): Found {
  const kinds = all.map((s): KindAnswer => {
    const best = s.state?.best;
    const meets = best?.worth.miss === 0;
    return {
      key: s.key,
      name: s.name,
      best: best && meets ? offered(s, best) : undefined,
      ruledOut: meets || !s.settled ? undefined : ruledOut(s, wishes),
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
    judged,
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
function almostOf(all: readonly Searched[]): Found['almost'] {
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
