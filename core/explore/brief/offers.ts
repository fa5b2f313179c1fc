/** Designs as they are shown: proven prices, which are equal in price, and what sets each apart. */
import { reasons, type Merits } from '../merits';
import { type Phrase, amount, phrase } from '../../base/figure';
import { provenPrice } from '../../cut';
import type { Cover, Garden } from '../../garden/garden';
import type { IntegerSolver } from '../../make/cutting/linearProgram';
import { assessCover } from '../../plan';
import type { Brief } from '../../site/brief';
import { samePrice } from './costs';
import { type BriefAnswer, type Offer, byOffer } from './answer';
import { gardenFor } from './wishes';

/** The price that is told: proven where it has been. */
export const priceOf = (o: Offer): number => o.provenPrice ?? o.weighed.price;

/** Offers whose price is proven: the quick rule is never dearer by much, but the best is not told by it. */
const PROVEN = 12;

/** The price of a design by cuts proven best, in the garden of its brief; undefined where it has none. */
export function provenIn(garden: Garden, brief: Brief, solver: IntegerSolver): (cover: Cover) => number | undefined {
  const judgedIn = gardenFor(garden, brief);
  return (cover) => {
    const o = assessCover(judgedIn, cover);
    const price = o.ok ? provenPrice(o.value, solver) : NaN;
    return Number.isFinite(price) ? price : undefined;
  };
}

/**
 * The answer with the prices of its cheapest designs proven, in the order of these.
 * @param hear is told how many are proven
 */
export function proven(
  garden: Garden,
  brief: Brief,
  found: BriefAnswer,
  solver: IntegerSolver,
  hear: (done: number, of: number) => void = () => undefined,
): BriefAnswer {
  const priced = provenIn(garden, brief, solver);
  const bests = found.kinds.flatMap((k) => k.best ?? []);
  const all = new Map([...found.offers.slice(0, PROVEN), ...bests].map((o) => [o.id, o]));
  const prices = new Map<string, number>();
  let n = 0;
  for (const [id, { cover }] of all) {
    const price = priced(cover);
    if (price !== undefined) prices.set(id, price);
    hear(++n, all.size);
  }
  const told = (o: Offer): Offer => {
    const price = prices.get(o.id);
    return price === undefined ? o : { ...o, provenPrice: price };
  };
  return {
    ...found,
    offers: found.offers.map(told).sort(byOffer(priceOf)),
    kinds: found.kinds.map((k) => ({ ...k, best: k.best && told(k.best) })),
  };
}

/** Whether two are one price, as surely as prices are known. */
export const equal = (a: Offer, b: Offer): boolean => samePrice(priceOf(a), priceOf(b));

/** What a design gives more than the cheapest, in words: its largest gain. */
function gainOver(f: Merits, base: Merits): Phrase | undefined {
  const gains: readonly (readonly [part: number, said: Phrase])[] = [
    [(base.hours - f.hours) / Math.max(1, base.hours), phrase`${amount(base.hours - f.hours, 'hours')} less to build`],
    [(base.coldestC - f.coldestC) / 5, phrase`${amount(base.coldestC - f.coldestC, 'warming')} colder nights`],
    [
      Number.isFinite(f.wetSnowMm) && Number.isFinite(base.wetSnowMm)
        ? (f.wetSnowMm - base.wetSnowMm) / Math.max(50, base.wetSnowMm)
        : 0,
      phrase`${amount(f.wetSnowMm - base.wetSnowMm, 'snowDepth')} more snow`,
    ],
    [(f.clearanceMm - base.clearanceMm) / 300, phrase`${amount(f.clearanceMm - base.clearanceMm, 'growth')} more room`],
    [(base.massKg - f.massKg) / Math.max(1, base.massKg), phrase`${amount(base.massKg - f.massKg, 'mass')} lighter`],
  ];
  const [most] = [...gains].sort((a, b) => b[0] - a[0]);
  return most && most[0] > 0.05 ? most[1] : undefined;
}

/** Less than any coin. */
const NO_COIN = 0.005;

/** The sentence that sets a design apart from the others that are offered. */
export function apart(offer: Offer, offers: readonly Offer[]): Phrase {
  const all = offers.map((o) => ({ ...o.weighed.figures, price: priceOf(o) }));
  const { good } = reasons({ ...offer.weighed.figures, price: priceOf(offer) }, all);
  if (good.length > 0) {
    const [first = '', ...rest] = good.slice(0, 2);
    return [`${first[0]?.toUpperCase() ?? ''}${first.slice(1)}${rest.map((r) => `, ${r}`).join('')}.`];
  }
  // The first is the cheapest of those that hold outright; what is tight may cost less.
  const [first] = offers;
  if (offer === first)
    return offers.some((o) => priceOf(o) < priceOf(offer) - NO_COIN)
      ? ['The cheapest with no check that is tight.']
      : ['None here is cheaper.'];
  const gain = first && gainOver(offer.weighed.figures, first.weighed.figures);
  const dearer = first ? priceOf(offer) - priceOf(first) : 0;
  if (dearer < -NO_COIN) return phrase`${amount(-dearer, 'money')} less than the first, and tighter.`;
  if (!gain) return ['Near the first in everything.'];
  return dearer > NO_COIN
    ? phrase`${amount(dearer, 'money')} more than the first, for ${gain}.`
    : phrase`As cheap as the first, with ${gain}.`;
}
