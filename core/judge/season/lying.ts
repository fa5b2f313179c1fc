/** Snow that lies on a cover, hour by hour: it falls, thaws in warm air, and slides off when the inside is warm. */
import { SNOW_DENSITY } from '../proof/snow';

const THAW_KG_PER_M2_H_C = 0.35;
const SLIDES_ABOVE_C = 3;
const SLIDES_PER_HOUR = 0.15;
/** Hour of the clock at which a morning's brushing is done. */
export const BRUSH_HOUR = 8;

/**
 * What lies after one more hour, kg/m2 on the level. Source: our own middle rates; fresh snow as in the strength checks.
 * @param fellMm fresh snow in the hour; @param insideC air under the cover
 */
export function lying(kgPerM2: number, fellMm: number, airC: number, insideC: number): number {
  const left = Math.max(0, kgPerM2 + (fellMm / 1000) * SNOW_DENSITY.fresh - THAW_KG_PER_M2_H_C * Math.max(0, airC));
  return left * (insideC > SLIDES_ABOVE_C ? 1 - SLIDES_PER_HOUR : 1);
}

/** Depth of wet snow that weighs as much, mm. */
export const wetMm = (kgPerM2: number): number => (1000 * kgPerM2) / SNOW_DENSITY.wet;
