import type { Plastic } from '../../catalog/types';

/** How hard a springy pipe is to bend so far, by the strain of its outermost fibre. */
type BendBand = 'easy' | 'firm' | 'hard' | 'too far';

/**
 * Fibre strain of a pipe bent from straight, in percent: curvature times outside radius.
 * Source: plane sections remain plane (Euler and Bernoulli).
 */
export function fibreStrainPercent(curvaturePerMm: number, outsideDiameterMm: number): number {
  return 100 * curvaturePerMm * (outsideDiameterMm / 2);
}

/** Upper limits of the bands easy, firm and hard, in percent of fibre strain: all lower where it is cold. */
export function bendLimitsPercent(plastic: Plastic, temperatureC: number): Plastic['strainPercent'] {
  const [easy, firm, hard] = plastic.strainPercent;
  const cold = temperatureC < plastic.brittleBelowC ? plastic.brittlePercent : 0;
  return [easy - cold, firm - cold, hard - cold];
}

/** The band that a strain falls in at a temperature. */
export function bendBand(plastic: Plastic, strainPercent: number, temperatureC: number): BendBand {
  const [easy, firm, hard] = bendLimitsPercent(plastic, temperatureC);
  if (strainPercent < easy) return 'easy';
  if (strainPercent < firm) return 'firm';
  return strainPercent < hard ? 'hard' : 'too far';
}
