/** How sure a check is: what its figures may be off by, and how often it would hold. */
import { type Amount, type Phrase, amount, phrase } from '../../base/figure';
import type { Spread } from '../../catalog/types';

export interface Reliability {
  /** Nine times in ten what is there over what is asked lies between these. */
  readonly low: number;
  readonly high: number;
  /** How often it is more than 1. */
  readonly chance: number;
}

/** Nine of ten lie within so many standard deviations. */
const NINE_OF_TEN = 1.6449;

/** The middle of a spread, and its standard deviation, both of the logarithm. */
export const logSpread = ({
  low,
  high,
}: Pick<Spread, 'low' | 'high'>): { readonly middle: number; readonly deviation: number } => ({
  middle: (Math.log(low) + Math.log(high)) / 2,
  deviation: (Math.log(high) - Math.log(low)) / (2 * NINE_OF_TEN),
});

/**
 * The part of a normal distribution that lies below a number of deviations.
 * Source: M. Abramowitz and I. A. Stegun, Handbook of Mathematical Functions, 7.1.26; good to 1e-7.
 */
export function normalBelow(x: number): number {
  const t = 1 / (1 + (0.3275911 * Math.abs(x)) / Math.SQRT2);
  const tail =
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) *
    t *
    Math.exp((-x * x) / 2);
  return x > 0 ? 1 - tail / 2 : tail / 2;
}

/**
 * How sure a ratio is, each of its figures being off by itself, by a first-order second-moment method on logarithms: the ratio at the
 * middle of all spreads, and how it changes over one deviation of each to both sides.
 * Source: A. H.-S. Ang and W. H. Tang, Probability Concepts in Engineering, 2nd ed., sec. 4.3 (first-order approximation).
 * @param ratioAt what is there over what is asked, when each figure is so many times what it is said to be
 */
export function reliabilityOf(ratioAt: (times: readonly number[]) => number, spreads: readonly Spread[]): Reliability {
  const logs = spreads.map(logSpread);
  const at = (shift: (i: number) => number): number =>
    Math.log(Math.max(1e-9, ratioAt(logs.map((l, i) => Math.exp(l.middle + shift(i) * l.deviation)))));
  const middle = at(() => 0);
  const variance = logs.reduce((sum, _, k) => {
    const slope = (at((i) => (i === k ? 1 : 0)) - at((i) => (i === k ? -1 : 0))) / 2;
    return sum + slope * slope;
  }, 0);
  const deviation = Math.sqrt(variance);
  return {
    low: Math.exp(middle - NINE_OF_TEN * deviation),
    high: Math.exp(middle + NINE_OF_TEN * deviation),
    chance: deviation > 0 ? normalBelow(middle / deviation) : middle >= 0 ? 1 : 0,
  };
}

/** Winters of which is said how many it holds. */
const WINTERS = 20;

/**
 * What is said of it.
 * @param asked what is asked, in words that follow "winters with": "6 in of it"
 * @param per what a ratio of 1 is, where there is a figure to tell between which it lies
 */
export function reliabilityWords({ low, high, chance }: Reliability, asked: Phrase, per?: Amount): Phrase {
  const n = Math.round(WINTERS * chance);
  const times =
    n >= WINTERS
      ? 'Holds in nearly every winter with '
      : n === 0
        ? 'Holds in hardly any winter with '
        : `Holds in about ${n} ${n === 1 ? 'winter' : 'winters'} of ${WINTERS} with `;
  return phrase`${per ? phrase`Between ${amount(low * per.value, per.quantity)} and ${amount(high * per.value, per.quantity)}. ` : ''}${times}${asked}.`;
}
