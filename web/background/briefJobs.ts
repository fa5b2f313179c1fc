/** The search for a brief, and what goes on from its answers. */
import { type Result, fail, ok } from '../../core/base/result';
import type { Phrase } from '../../core/base/figure';
import { type WishCost, costsOf } from '../../core/explore/brief/costs';
import type { BriefAnswer, Offer } from '../../core/explore/brief/answer';
import { type ScoreCache, emptyScoreCache } from '../../core/explore/brief/evaluator';
import { briefContext, searchBrief } from '../../core/explore/brief/find';
import { apart, equal, priceOf, proven, provenIn } from '../../core/explore/brief/offers';
import { compareDesigns } from '../../core/explore/brief/compareDesigns';
import type { Cover, Garden } from '../../core/garden/garden';
import { assessCover } from '../../core/plan';
import { withThumbnail } from '../../core/show/thumbnail';
import type { Drawn } from '../../core/show/project';
import type { Brief } from '../../core/site/brief';
import type { Given } from './given';
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

/** What is searched for. */
export interface BriefAsked {
  readonly bedId: string;
  readonly brief: Brief;
}

/** Told how it stands so often, ms; and others are heard in between so often. */
const TELL_MS = 1200;
const SLICE_MS = 40;
const SEED = 1;

/** Looks up from the work, so that it can be told to end. @throws when nobody waits for it */
async function breathe(left: () => boolean): Promise<void> {
  await new Promise((next) => setTimeout(next, 0));
  if (left()) throw new Error('nobody waits for it');
}

/** An answer, and all that was judged on the way to it. */
interface Searched {
  readonly asked: string;
  readonly found: BriefAnswer;
  readonly known: ScoreCache;
}

/** The last answer: what is asked about it next need not search again. */
let last: Searched | undefined;

/** Designs that miss least, shown where nothing does everything. */
const NEAREST = 4;

/** What is drawn and said of a design. */
type Pictured = Pick<ShownOffer, 'shapes' | 'tight'>;
const pictures = new WeakMap<object, Pictured | undefined>();

/** What is drawn and said of a design, laid out once however often it is told of; nothing of one that cannot be built. */
function pictureOf(garden: Garden, cover: Cover): Pictured | undefined {
  if (pictures.has(cover.answers)) return pictures.get(cover.answers);
  const made = assessCover(garden, cover);
  const picture = made.ok
    ? {
        shapes: withThumbnail({ outline: made.value }).shapes,
        tight: made.value
          .judged()
          .checks.filter((c) => c.verdict === 'tight')
          .map((c) => c.text),
      }
    : undefined;
  pictures.set(cover.answers, picture);
  return picture;
}

function shown(garden: Garden, bedId: string, brief: Brief, found: BriefAnswer): ShownFound {
  const ask = briefContext(garden, bedId, brief);
  const [cheapest] = found.offers;
  return {
    sentence: ask.sentence,
    offers: found.offers.flatMap((o): readonly ShownOffer[] => {
      const picture = pictureOf(ask.garden, o.cover);
      return picture && cheapest
        ? [
            {
              ...o,
              ...picture,
              price: priceOf(o),
              proven: o.provenPrice !== undefined,
              equal: equal(o, cheapest),
              apart: apart(o, found.offers),
            },
          ]
        : [];
    }),
    nearest: (cheapest || !found.done ? [] : found.kinds.flatMap((k) => k.nearest ?? []))
      .sort((a, b) => a.weighed.violation - b.weighed.violation)
      .slice(0, NEAREST)
      .flatMap((o) => {
        const picture = pictureOf(ask.garden, o.cover);
        const misses = ask.wishes.filter((w) => w.id in o.weighed.misses).map((w) => w.thing);
        return picture ? [{ ...o, shapes: picture.shapes, price: priceOf(o), proven: false, misses }] : [];
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

/** Searches, or goes on from what was searched last where that was the same. */
async function searched(
  { garden, version, left }: Pick<Given<unknown>, 'garden' | 'version' | 'left'>,
  { bedId, brief }: BriefAsked,
  hear: (judged: number, best: BriefAnswer | undefined) => void,
): Promise<Searched> {
  const asked = JSON.stringify([version, bedId, brief]);
  if (last?.asked === asked) return last;
  const known = emptyScoreCache();
  const run = searchBrief(garden, bedId, brief, { seed: SEED, known });
  let [slice, told, full] = [performance.now(), performance.now(), false];
  for (;;) {
    const { value, done } = run.next();
    if (done) {
      const answer = value.answer();
      const found = await withSolver((solver) =>
        proven(garden, brief, answer, solver, () => hear(answer.judged, undefined)),
      );
      last = { asked, found, known };
      return last;
    }
    const now = performance.now();
    if ((value.full && !full) || now - told > TELL_MS) {
      full = value.full;
      const best = value.answer();
      hear(best.judged, value.full ? best : undefined);
      told = performance.now();
    }
    if (now - slice > SLICE_MS) {
      await breathe(left);
      slice = performance.now();
    }
  }
}

/** Searches for a brief; tells how it stands on the way. */
export async function find(given: Given<ShownFound>, asked: BriefAsked): Promise<Result<ShownFound>> {
  const { garden, hear } = given;
  const { bedId, brief } = asked;
  if (!garden.beds.some((b) => b.id === bedId)) return fail('bedId', 'There is no such bed.');
  const { found } = await searched(given, asked, (judged, best) =>
    hear({ solved: judged, sections: 0, work: best && shown(garden, bedId, brief, best) }),
  );
  return ok(shown(garden, bedId, brief, found));
}

/** What each wish of a brief costs beside one of the designs found for it. */
export async function costs(
  given: Given<readonly WishCost[]>,
  asked: BriefAsked & { readonly offerId: string },
): Promise<Result<readonly WishCost[]>> {
  const { garden, hear, left } = given;
  const { bedId, brief, offerId } = asked;
  const { found, known } = await searched(given, asked, (judged) =>
    hear({ solved: 0, sections: judged, work: undefined }),
  );
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
    hear({ solved: value.length, sections: 0, work: value });
    await breathe(left);
  }
}

export { compareDesigns };
