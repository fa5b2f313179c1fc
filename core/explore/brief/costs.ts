/** What each wish of a brief costs: the brief with a wish left out, or asking for more, searched again from what was found. */
import { MERIT_QUANTITY } from '../merits';
import type { ScoredItem } from '../../base/search';
import { type Phrase, amount, phrase } from '../../base/figure';
import type { Cover, Garden } from '../../garden/garden';
import type { Brief } from '../../site/brief';
import { type ScoreCache, type ScoredDesign, coverKey, meets, withViolation, emptyScoreCache } from './evaluator';
import type { BriefAnswer, Offer } from './answer';
import { briefContext, searchWholeBrief } from './find';
import { type Wish, missOf, missOfFigure } from './wishes';

/** Designs whose prices differ by less are called equal: shops differ by more. Source: our own figure. */
const PRICE_NOISE = 0.03;
export const samePrice = (a: number, b: number): boolean => Math.abs(a - b) <= PRICE_NOISE * Math.max(a, b) + 1e-9;

/** One wish, and what another word on it would do to the price. */
export interface WishCost {
  readonly id: string;
  /** Left out, asking for more, asking for a little less; or the very same, for which something cheaper was come upon. */
  readonly how: 'without' | 'more' | 'less' | 'again';
  /** "without the one-hand opening", "12 in of wet snow instead of 8 in". */
  readonly said: Phrase;
  /** What the cheapest then costs more; less than nothing where it is cheaper. undefined: nothing was found. */
  readonly change: number | undefined;
  /** The cheapest then, and the brief that it does all of. */
  readonly cover: Cover | undefined;
  readonly brief: Brief;
}

/** Wishes nearest to a jump that are told. */
const NEAREST = 3;

type Pool = readonly ScoredItem<Cover, ScoredDesign>[];

/** What an answer offers first. */
const firstOf = ({ offers: [first] }: BriefAnswer): ScoredItem<Cover, ScoredDesign> | undefined =>
  first && { s: first.cover, worth: first.weighed };

interface CostOptions {
  readonly seed: number;
  /** What the search itself weighed. */
  readonly known?: ScoreCache;
  /** The price of a design by cuts proven best; undefined where it is not proven. */
  readonly prove?: (cover: Cover) => number | undefined;
  /** Designs judged of one kind at the most, as in the search itself. */
  readonly most?: number;
}

/**
 * What the wishes of a brief cost, beside a design that meets them: each left out; snow and cold and wind asked for more; and those that
 * are nearest to a jump. Each is a search of its own, as if that brief had been asked; what the first one weighed is not weighed again.
 * No answer for less asked is dearer than what is there, for that does it too.
 * @param chosen the design in hand
 */
export function* costsOf(
  garden: Garden,
  bedId: string,
  brief: Brief,
  chosen: Offer,
  found: Pick<BriefAnswer, 'kinds'>,
  { seed, most, known = emptyScoreCache(), prove = () => undefined }: CostOptions,
): Generator<readonly WishCost[], readonly WishCost[]> {
  const base = briefContext(garden, bedId, brief);
  const priced: Priced[] = [];
  const jumps: Jump[] = [];
  // What the search has proven is not proven once more.
  const proofs = new Map(
    [chosen, ...found.kinds.flatMap((k) => k.best ?? [])].flatMap((o) =>
      o.provenPrice === undefined ? [] : [[coverKey(o.cover), o.provenPrice as number | undefined]],
    ),
  );
  const proven = ({ s, worth }: ScoredItem<Cover, ScoredDesign>): number => {
    const key = coverKey(s);
    if (!proofs.has(key)) proofs.set(key, prove(s));
    return proofs.get(key) ?? worth.price;
  };
  const inHand = proven({ s: chosen.cover, worth: chosen.weighed });
  /** The brief with another word on one wish, searched: weights stand where that changes no garden. */
  const searched = (
    { id, anew }: Wish,
    other: Brief,
  ): { readonly found: BriefAnswer; readonly wish: Wish | undefined } => {
    const wish = briefContext(garden, bedId, other).wishes.find((w) => w.id === id);
    const options = { seed, ...(most !== undefined && { most }) };
    if (anew) return { found: searchWholeBrief(garden, bedId, other, options), wish };
    const bound = wish?.bound;
    const read = (w: ScoredDesign): ScoredDesign => withViolation(w, id, bound ? missOfFigure(bound, w.figures) : 0);
    return { found: searchWholeBrief(garden, bedId, other, { ...options, known, read, wishes: base.wishes }), wish };
  };
  let cheaper: ScoredItem<Cover, ScoredDesign> | undefined;
  const so = (all: readonly Priced[]): readonly WishCost[] => {
    const price = cheaper ? proven(cheaper) : inHand;
    const again: readonly WishCost[] = cheaper
      ? [
          {
            id: 'again',
            how: 'again',
            said: ['the same wishes, met by another design'],
            change: price - inHand,
            cover: cheaper.s,
            brief,
          },
        ]
      : [];
    // Less asked is never dearer, whatever the quick rule said of the two.
    const changed = ({ to, ...c }: Priced): WishCost =>
      c.how === 'without' && (to === undefined || to > price)
        ? { ...c, change: 0, cover: cheaper?.s ?? chosen.cover }
        : { ...c, change: to === undefined ? undefined : to - price };
    // By proven prices a little less may not be cheaper after all.
    const told = all.map(changed).filter((c) => c.how !== 'less' || (c.change ?? 0) < 0);
    return [...again, ...told];
  };
  for (const wish of base.wishes) {
    const { without: loose, more: tight } = wish;
    if (loose && !wish.placeAsksMore) {
      const { found: then } = searched(wish, loose);
      const best = firstOf(then);
      const said = wish.dropped ?? ['without ', ...wish.thing];
      priced.push({ id: wish.id, how: 'without', said, to: best && proven(best), cover: best?.s, brief: loose });
      const jump = jumpOf(wish, then.pool, chosen.weighed, brief, proven);
      if (jump) jumps.push(jump);
      yield so(priced);
    }
    if (tight) {
      const { found: then, wish: asks } = searched(wish, tight);
      const best = firstOf(then);
      priced.push({
        id: wish.id,
        how: 'more',
        said: [...(asks?.thing ?? []), ' instead of ', ...wish.thing],
        to: best && proven(best),
        cover: best?.s,
        brief: tight,
      });
      // What does more does all that was asked.
      if (
        best &&
        best.worth.warnings <= chosen.weighed.warnings &&
        proven(best) < (cheaper ? proven(cheaper) : inHand) - 0.005
      )
        cheaper = best;
      yield so(priced);
    }
  }
  jumps.sort((a, b) => a.gap - b.gap);
  return so([...priced, ...jumps.slice(0, NEAREST).map((j) => j.priced)]);
}

/** A wish with the price that another word on it leads to. */
type Priced = Omit<WishCost, 'change'> & { readonly to: number | undefined };

/** A wish that a little less would make cheaper, and how much less that is. */
interface Jump {
  readonly gap: number;
  readonly priced: Priced;
}

/** The design that is cheaper for the least less of what a wish asks; nothing where none is. */
export function jumpOf(
  wish: Wish,
  pool: Pool,
  { price, warnings }: ScoredDesign,
  brief: Brief,
  proven: (j: Pool[number]) => number,
): Jump | undefined {
  const { bound } = wish;
  if (!bound || wish.id === 'price') return undefined;
  const cheaper = pool
    .filter(
      ({ worth }) =>
        meets(worth) && worth.warnings <= warnings && worth.price < price && !samePrice(worth.price, price),
    )
    .map((j) => ({ ...j, gap: missOf(bound, j.worth.figures[bound.figure]) }))
    .filter(({ gap }) => gap > 0)
    .sort((a, b) => a.gap - b.gap || a.worth.price - b.worth.price);
  const [least] = cheaper;
  if (!least) return undefined;
  return {
    gap: least.gap,
    priced: {
      id: wish.id,
      how: 'less',
      said: phrase`${amount(least.worth.figures[bound.figure], MERIT_QUANTITY[bound.figure])} instead of ${wish.thing}`,
      to: proven(least),
      cover: least.s,
      brief,
    },
  };
}

/** The wishes that bind: without them it would be cheaper than the noise of prices. */
export const binding = (costs: readonly WishCost[], price: number): readonly WishCost[] =>
  costs.filter(
    (c) => c.how === 'without' && c.change !== undefined && !samePrice(price, price + c.change) && c.change < 0,
  );
