/** How hard a springy pipe is to bend so far, by the strain of its outermost fibre. */
type BendBand = 'easy' | 'firm' | 'hard' | 'too far';

/**
 * Fibre strain of a pipe bent from straight, in percent: curvature times outside radius.
 * Source: plane sections remain plane (Euler and Bernoulli).
 */
export function fibreStrainPercent(curvaturePerMm: number, outsideDiameterMm: number): number {
  return 100 * curvaturePerMm * (outsideDiameterMm / 2);
}

/**
 * Upper limits of the bands easy, firm and hard, in percent of fibre strain, for PVC and PE pipe.
 * Trade practice: 1.5, 2.5 and 3.5 % at 20 C; each one point lower below 5 C.
 */
export function bendLimitsPercent(temperatureC: number): readonly [number, number, number] {
  const cold = temperatureC < 5 ? 1 : 0;
  return [1.5 - cold, 2.5 - cold, 3.5 - cold];
}

/** The band that a strain falls in at a temperature. */
export function bendBand(strainPercent: number, temperatureC: number): BendBand {
  const [easy, firm, hard] = bendLimitsPercent(temperatureC);
  if (strainPercent < easy) return 'easy';
  if (strainPercent < firm) return 'firm';
  return strainPercent < hard ? 'hard' : 'too far';
}
