import type { Exposure, Snow } from '../../site/place';
import type { NamedLoad } from '../frame/hoop';

/** Middle of the trade's ranges, kg/m3: fresh 50-100, settled 200-300, wet 300-500. */
export const SNOW_DENSITY: Readonly<Record<'fresh' | 'settled' | 'wet', number>> = {
  fresh: 75,
  settled: 250,
  wet: 400,
};

export const GRAVITY = 9.80665;
const THERMAL = 1.2;
const IMPORTANCE = 0.8;
const EXPOSURE: Readonly<Record<Exposure, number>> = { exposed: 0.9, normal: 1, sheltered: 1.2 };

export interface DesignSnow {
  readonly groundPa: number;
  readonly flatPa: number;
  readonly exposureFactor: number;
  readonly importanceFactor: number;
  /** Flat roof load for each Pa of ground load. */
  readonly flatPerGround: number;
}

/**
 * Snow on a flat roof from snow on the ground, Pa.
 * Source: ASCE/SEI 7, eq. 7.3-1: pf = 0.7 Ce Ct I pg; Ct 1.2 unheated, I 0.8 for a garden structure.
 * @example designSnow({ by: 'depth', depthMm: 150, kind: 'wet' }, 'normal').flatPa // 395.404
 */
export function designSnow(snow: Snow, exposure: Exposure): DesignSnow {
  const groundPa = snow.by === 'ground' ? snow.groundPa : (snow.depthMm / 1000) * SNOW_DENSITY[snow.kind] * GRAVITY;
  const flatPerGround = 0.7 * EXPOSURE[exposure] * THERMAL * IMPORTANCE;
  return {
    groundPa,
    flatPa: flatPerGround * groundPa,
    exposureFactor: EXPOSURE[exposure],
    importanceFactor: IMPORTANCE,
    flatPerGround,
  };
}

/**
 * Part of the flat load that stays on a slippery unheated slope: 1 up to 15 degrees, straight to 0 at 70.
 * Source: ASCE/SEI 7, fig. 7.4-1c.
 */
export function slopeFactor(slopeDeg: number): number {
  const slope = Math.abs(slopeDeg);
  return slope <= 15 ? 1 : Math.max(0, (70 - slope) / 55);
}

/**
 * Snow on the lee half only of a curved roof, as a part of pf: 0.5 at the crown to 2 Cs/Ce at the 30-degree point, and on by slope.
 * Source: ASCE/SEI 7, fig. 7.4-2 case 2 with the windward half bare.
 */
export function oneSidedFactor(slopeDeg: number, lee: boolean, exposureFactor: number): number {
  if (!lee) return 0;
  const slope = Math.abs(slopeDeg);
  const atThirty = (2 * slopeFactor(30)) / exposureFactor;
  return slope <= 30 ? 0.5 + ((atThirty - 0.5) * slope) / 30 : (2 * slopeFactor(slope)) / exposureFactor;
}

/** Where snow lies on a row of hoops, as parts of the flat load. */
export interface SnowCase extends NamedLoad {
  readonly snowCase: 'even' | 'one-sided';
}

/** Snow on both sides, and on the lee half alone. Source: ASCE/SEI 7, sec. 7.4 and 7.6.2. */
export function archCases(snow: DesignSnow): readonly SnowCase[] {
  const ce = snow.exposureFactor;
  return [
    { snowCase: 'even', name: 'asce even', shape: slopeFactor },
    {
      snowCase: 'one-sided',
      name: `asce one-sided ${ce}`,
      shape: (slope, across) => oneSidedFactor(slope, across > 0.5, ce),
    },
  ];
}
