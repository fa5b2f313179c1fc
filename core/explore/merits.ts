/** The one list of figures that designs are compared, wished for and ranked by. */
import type { Quantity } from '../base/amount';
import { type Phrase, amount } from '../base/figure';
import type { Assessment } from '../assessment';
import { quickPrice } from '../cut';
import { carriedMm } from '../judge/strength/snowStrength';
import { partsKg } from '../judge/weights';

/** What a design comes to; all that is not money or hours is SI, lengths mm. */
export interface Merits {
  /** By the quick cutting rule; the cut plan may find a cheaper way. */
  readonly price: number;
  readonly hours: number;
  /** Coldest night outside that its crop lives through, C. */
  readonly coldestC: number;
  /** Wet snow that its weakest part carries; Infinity where snow slides off, NaN where something that bears it is not judged. */
  readonly wetSnowMm: number;
  /** Air over the crop at the edge row. */
  readonly clearanceMm: number;
  /** Of the light, what its cover lets through. */
  readonly lightPercent: number;
  readonly heightMm: number;
  readonly massKg: number;
  /** Most that is lifted, at the hand. */
  readonly liftKg: number;
  readonly longestMm: number;
}
export type MeritKey = keyof Merits;

/** What each of them is a measure of. */
export const MERIT_QUANTITY: Readonly<Record<MeritKey, Quantity>> = {
  price: 'money',
  hours: 'hours',
  coldestC: 'livesTo',
  wetSnowMm: 'snowDepth',
  clearanceMm: 'growth',
  lightPercent: 'percent',
  heightMm: 'growth',
  massKg: 'mass',
  liftKg: 'mass',
  longestMm: 'length',
};

/** The merits of a design. */
export function meritsOf(o: Assessment, price = quickPrice(o)): Merits {
  const { under, crop, members } = o.assembly;
  const { barsKg, sheetsKg } = partsKg(o.assembly);
  return {
    price,
    hours: o.hours.value,
    coldestC: o.coldest.value,
    wetSnowMm: carriedMm(o.judged().strengths, o.judged().unjudged),
    clearanceMm: crop.clearanceMm,
    lightPercent: 100 * o.air.light,
    heightMm: Math.max(...under.map((p) => p.z)),
    massKg: barsKg + sheetsKg,
    liftKg: Math.max(0, ...o.lifts.map((l) => l.value)),
    longestMm: Math.max(0, ...members.map((m) => m.lengthMm)),
  };
}

/** A figure of a comparison as it is read; snow alone may be without end, or unknown. */
export const meritPhrase = (value: number, quantity: Quantity): Phrase =>
  Number.isFinite(value) ? [amount(value, quantity)] : [Number.isNaN(value) ? 'not judged' : 'slides off'];

/** Reasons for and against, each true of the figures beside those of the others. */
export function reasons(
  own: Merits,
  all: readonly Merits[],
): { readonly good: readonly string[]; readonly bad: readonly string[] } {
  const best = (pick: (m: Merits) => number, highest: boolean): boolean => {
    const known = all.map(pick).filter((x) => !Number.isNaN(x));
    const mine = pick(own);
    // What all share sets none apart.
    return known.some((x) => x !== mine) && known.every((x) => (highest ? mine >= x : mine <= x));
  };
  const good = [
    ...(best((m) => m.price, false) ? ['the cheapest here'] : []),
    ...(best((m) => m.wetSnowMm, true) ? ['carries the most snow'] : []),
    ...(best((m) => -m.coldestC, true) ? ['the warmest night'] : []),
    ...(best((m) => m.clearanceMm, true) ? ['the most room over the crop'] : []),
    ...(best((m) => m.hours, false) ? ['the quickest to build'] : []),
    ...(best((m) => m.massKg, false) ? ['the lightest'] : []),
  ];
  const bad = [
    ...(own.clearanceMm < 0 ? ['too low for this crop'] : []),
    ...(best((m) => m.price, true) ? ['the dearest here'] : []),
    ...(Number.isNaN(own.wetSnowMm) ? ['what snow it carries is not judged'] : []),
    ...(best((m) => m.wetSnowMm, false) ? ['carries the least snow'] : []),
    ...(best((m) => m.hours, true) ? ['takes the longest'] : []),
    ...(best((m) => m.massKg, true) ? ['the heaviest'] : []),
  ];
  return { good, bad };
}
