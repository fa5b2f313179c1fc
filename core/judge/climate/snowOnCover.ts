/** Snow that lies on a cover, hour by hour: it falls, thaws in warm air, and slides off when the inside is warm. */
import { SNOW_DENSITY, slopeFactor } from '../strength/snow';
import type { WorldFace } from './model';

const THAW_KG_PER_M2_H_C = 0.35;
const SLIDES_ABOVE_C = 3;
const SLIDES_PER_HOUR = 0.15;
/** Hour of the clock at which a morning's brushing is done. */
export const BRUSH_HOUR = 8;
/** So much is brushed in the morning, kg/m2. */
export const BRUSH_KG_PER_M2 = 4;
/** As it lies after hours, kg/m3, and what it resists then, W/mK. Source: Sturm and others 1997, eq. 4: 0.138 - 1.01 r + 3.233 r^2. */
const LAIN = { kgPerM3: 150, wPerMK: 0.138 - 1.01 * 0.15 + 3.233 * 0.15 ** 2 } as const;
/** Light falls to a third in so much of it, kg/m2. Source: our own middle; visible light by 3 to 8 cm, the rest of the sun's in the first. */
const DARK_KG_PER_M2 = 2.5;

/**
 * What lies after one more hour, kg/m2 on the level. Source: our own middle rates; fresh snow as in the strength checks.
 * @param fellMm fresh snow in the hour; @param insideC air under the cover
 */
export function snowAfterHour(kgPerM2: number, fellMm: number, airC: number, insideC: number): number {
  const left = Math.max(0, kgPerM2 + (fellMm / 1000) * SNOW_DENSITY.fresh - THAW_KG_PER_M2_H_C * Math.max(0, airC));
  return left * (insideC > SLIDES_ABOVE_C ? 1 - SLIDES_PER_HOUR : 1);
}

/** Depth of wet snow that weighs as much, mm. */
export const wetMm = (kgPerM2: number): number => (1000 * kgPerM2) / SNOW_DENSITY.wet;

/** What part of the faces snow lies on: of their light, of what they lose and of the sky they see; and how well those keep warmth. */
export interface Bearing {
  readonly light: number;
  readonly loss: number;
  readonly sky: number;
  readonly uWPerM2K: number;
}

/** Snow lies on faces by their slope, as in the strength checks. @param wallsWPerK what boards beside them lose, which bear none */
export function bearingOf(faces: readonly WorldFace[], wallsWPerK: number): Bearing {
  const sums = { light: [0, 0], loss: [0, wallsWPerK], sky: [0, 0], m2: 0, lost: 0 };
  for (const f of faces) {
    const part = f.up > 0 ? slopeFactor((Math.acos(Math.min(1, f.up)) * 180) / Math.PI) : 0;
    const up = (1 + f.up) / 2;
    for (const [sum, of] of [
      [sums.light, f.m2 * f.light * up],
      [sums.loss, f.m2 * f.uWPerM2K],
      [sums.sky, f.m2 * f.uWPerM2K * up],
    ] as const) {
      sum[0] = (sum[0] ?? 0) + part * of;
      sum[1] = (sum[1] ?? 0) + of;
    }
    sums.m2 += part * f.m2;
    sums.lost += part * f.m2 * f.uWPerM2K;
  }
  const share = ([part = 0, whole = 0]: readonly number[]): number => (whole > 0 ? part / whole : 0);
  return {
    light: share(sums.light),
    loss: share(sums.loss),
    sky: share(sums.sky),
    uWPerM2K: sums.m2 > 0 ? sums.lost / sums.m2 : 0,
  };
}

/** What is left of light, loss and cooling by the sky under so much snow, as parts. */
interface UnderSnow {
  light: number;
  loss: number;
  sky: number;
}
export const NO_SNOW: Readonly<UnderSnow> = { light: 1, loss: 1, sky: 1 };

/** @param kgPerM2 on the level */
export function underSnow(b: Bearing, kgPerM2: number): UnderSnow {
  const resists = kgPerM2 / LAIN.kgPerM3 / LAIN.wPerMK;
  const kept = 1 - 1 / (1 + b.uWPerM2K * resists);
  return {
    light: 1 - b.light * (1 - Math.exp(-kgPerM2 / DARK_KG_PER_M2)),
    loss: 1 - b.loss * kept,
    sky: 1 - b.sky * kept,
  };
}
