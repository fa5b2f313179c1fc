/** The search for a brief, in a worker of its own: seconds of it must not hold up a price or a cut. */
import { expose } from 'comlink';
import { type Result, fail, ok } from '../../core/base/result';
import type { Phrase } from '../../core/base/figure';
import { type WishCost, costsOf } from '../../core/explore/brief/costs';
import type { BriefAnswer, Offer } from '../../core/explore/brief/answer';
import { type ScoreCache, emptyScoreCache } from '../../core/explore/brief/evaluator';
import { briefContext, searchBrief } from '../../core/explore/brief/find';
import { apart, equal, priceOf, proven, provenIn } from '../../core/explore/brief/offers';
import { type ComparisonAnswer, compareDesigns } from '../../core/explore/brief/compareDesigns';
import type { Cover, Garden } from '../../core/garden/garden';
import { assessCover } from '../../core/plan';
import { withThumbnail } from '../../core/show/thumbnail';
import type { Drawn } from '../../core/show/project';
import type { Brief } from '../../core/site/brief';
import { loadSolver, withSolver } from './solver';

/** A design as the screen shows it. */
export interface ShownOffer extends Offer {
  readonly shapes: readonly Drawn[];
  readonly price: number;
  readonly proven: boolean;
  /** As cheap as the cheapest, as surely as prices are known. */
  readonly equal: boolean;
  readonly apart: Phrase;
  /** What is tight of it. */
  readonly tight: readonly Phrase[];
}

/** An answer as the screen shows it. */
export interface ShownFound {
  readonly sentence: Phrase;
  readonly offers: readonly ShownOffer[];
  /** Where nothing does everything, the designs that miss least, each with what it misses. */
  readonly nearest: readonly (Omit<ShownOffer, 'equal' | 'apart' | 'tight'> & { readonly misses: readonly Phrase[] })[];
  readonly kinds: readonly {
    readonly key: string;
    readonly name: string;
    readonly ruledOut: Phrase | undefined;
    readonly price: number | undefined;
  }[];
  readonly judged: number;
  readonly full: boolean;
  readonly done: boolean;
}

/** Hears how it stands; nothing but that it goes on, where there is no full answer yet. */
type OnFound = (found: ShownFound | undefined) => void;
/** Told how it stands so often, ms; and others are heard in between so often. */
const TELL_MS = 1200;
const SLICE_MS = 40;
const SEED = 1;

const breathe = (): Promise<void> => new Promise((next) => setTimeout(next, 0));

/** The last answer, to go on from. */
let last:
  | {
      readonly garden: Garden;
      readonly bedId: string;
      readonly brief: Brief;
      readonly found: BriefAnswer;
      readonly known: ScoreCache;
    }
  | undefined;

/** Designs that miss least, shown where nothing does everything. */
const NEAREST = 4;

function shown(garden: Garden, bedId: string, brief: Brief, found: BriefAnswer): ShownFound {
  const ask = briefContext(garden, bedId, brief);
  const [cheapest] = found.offers;
  return {
    sentence: ask.sentence,
    offers: found.offers.flatMap((o): readonly ShownOffer[] => {
      const drawn = assessCover(ask.garden, o.cover);
      return drawn.ok && cheapest
        ? [
            {
              ...o,
              shapes: withThumbnail({ outline: drawn.value }).shapes,
              price: priceOf(o),
              proven: o.provenPrice !== undefined,
              equal: equal(o, cheapest),
              apart: apart(o, found.offers),
              tight: drawn.value
                .judged()
                .checks.filter((c) => c.verdict === 'tight')
                .map((c) => c.text),
            },
          ]
        : [];
    }),
    nearest: (cheapest || !found.done ? [] : found.kinds.flatMap((k) => k.nearest ?? []))
      .sort((a, b) => a.weighed.violation - b.weighed.violation)
      .slice(0, NEAREST)
      .flatMap((o) => {
        const drawn = assessCover(ask.garden, o.cover);
        const misses = ask.wishes.filter((w) => w.id in o.weighed.misses).map((w) => w.thing);
        return drawn.ok
          ? [{ ...o, shapes: withThumbnail({ outline: drawn.value }).shapes, price: priceOf(o), proven: false, misses }]
          : [];
      }),
    kinds: found.kinds.map((k) => ({
      key: k.key,
      name: k.name,
      ruledOut: k.ruledOut,
      price: k.best && priceOf(k.best),
    })),
    judged: found.judged,
    full: found.full,
    done: found.done,
  };
}

const service = {
  /** Searches for a brief; tells how it stands on the way. */
  async find(garden: Garden, bedId: string, brief: Brief, onFound: OnFound): Promise<Result<ShownFound>> {
    if (!garden.beds.some((b) => b.id === bedId)) return fail('bedId', 'There is no such bed.');
    const known = emptyScoreCache();
    const run = searchBrief(garden, bedId, brief, { seed: SEED, known });
    let [slice, told, full] = [performance.now(), performance.now(), false];
    for (;;) {
      const { value, done } = run.next();
      if (done) {
        const found = await withSolver((solver) =>
          proven(garden, brief, value.answer(), solver, () => onFound(undefined)),
        );
        last = { garden, bedId, brief, found, known };
        return ok(shown(garden, bedId, brief, found));
      }
      const now = performance.now();
      if ((value.full && !full) || now - told > TELL_MS) {
        full = value.full;
        onFound(value.full ? shown(garden, bedId, brief, value.answer()) : undefined);
        told = performance.now();
      }
      if (now - slice > SLICE_MS) {
        await breathe();
        slice = performance.now();
      }
    }
  },
  /** What each wish of the last brief costs beside one of its designs. */
  async costs(offerId: string, onCosts: (costs: readonly WishCost[]) => void): Promise<Result<readonly WishCost[]>> {
    if (!last) return fail('brief', 'No brief was searched for yet.');
    const { garden, bedId, brief, found, known } = last;
    const offer = found.offers.find((o) => o.id === offerId);
    if (!offer) return fail('design', 'That design is not among those that were found.');
    const run = costsOf(garden, bedId, brief, offer, found, {
      seed: SEED,
      known,
      prove: provenIn(garden, brief, await loadSolver()),
    });
    for (;;) {
      const { value, done } = run.next();
      if (done) return ok(value);
      onCosts(value);
      await breathe();
    }
  },
  /** A design of the gardener's own beside another. */
  whyNot(garden: Garden, bedId: string, brief: Brief, own: Cover, other: Cover): Result<ComparisonAnswer> {
    const held = compareDesigns(garden, bedId, brief, own, other);
    return held ? ok(held) : fail('cover', 'One of the two cannot be built on this bed.');
  },
};
export type SearchService = typeof service;
expose(service);
