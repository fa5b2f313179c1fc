import { GRAVITY } from '../../base/gravity';
import { hoopCurve } from '../../cover/hoop/curve';
import type { BentHoop, Elastica } from '../../cover/hoop/types';
import type { DriftedOn } from '../../cover/assembly/rows';
import type { Exposure, Snow, SnowFactors, SnowPractice } from '../../site/place';
import type { NamedLoad } from '../frame/hoop';

/** Middle of the trade's ranges, kg/m3: fresh 50-100, settled 200-300, wet 300-500. */
export const SNOW_DENSITY: Readonly<Record<'fresh' | 'settled' | 'wet', number>> = {
  fresh: 75,
  settled: 250,
  wet: 400,
};

/** What each practice has for snow on a flat roof: factors by the place, and how they are named. */
export const PRACTICES: Readonly<
  Record<
    SnowPractice,
    {
      readonly name: string;
      /** Snow on a flat roof for snow on the ground, all factors 1; and all of them, as written. */
      readonly flat: number;
      readonly product: string;
      readonly exposure: Readonly<Record<Exposure, number>>;
      readonly thermal: number;
      readonly importance: number;
    }
  >
> = {
  asce: {
    name: 'ASCE/SEI 7',
    flat: 0.7,
    product: '0.7 Ce Ct I',
    exposure: { exposed: 0.9, normal: 1, sheltered: 1.2 },
    thermal: 1.2,
    importance: 0.8,
  },
  en: {
    name: 'EN 1991-1-3',
    flat: 0.8,
    product: '0.8 Ce Ct I',
    exposure: { exposed: 0.8, normal: 1, sheltered: 1.2 },
    thermal: 1,
    importance: 1,
  },
};

/** Depth of a kind of snow that brings a load on the ground, mm. */
export const snowDepthMm = (groundPa: number, kind: keyof typeof SNOW_DENSITY = 'wet'): number =>
  (groundPa / (SNOW_DENSITY[kind] * GRAVITY)) * 1000;

export interface DesignSnow {
  readonly practice: SnowPractice;
  readonly groundPa: number;
  readonly flatPa: number;
  readonly exposureFactor: number;
  readonly thermalFactor: number;
  readonly importanceFactor: number;
  /** Flat roof load for each Pa of ground load. */
  readonly flatPerGround: number;
}

/** Whose practice, and what of its factors is known better. */
interface ReckonedBy {
  readonly practice: SnowPractice;
  readonly snowFactors: SnowFactors;
}
const AS_IT_IS: ReckonedBy = { practice: 'asce', snowFactors: { exposure: null, thermal: null, importance: null } };

/** Weight of snow on the ground, Pa. */
export const groundPaOf = (snow: Snow): number =>
  snow.by === 'ground' ? snow.groundPa : (snow.depthMm / 1000) * SNOW_DENSITY[snow.kind] * GRAVITY;

/**
 * Snow on a flat roof from snow on the ground, Pa.
 * Source: ASCE/SEI 7, eq. 7.3-1: pf = 0.7 Ce Ct I pg; Ct 1.2 unheated, I 0.8 for a garden structure. EN 1991-1-3, eq. 5.1 with
 * mu1 0.8 (table 5.2): s = 0.8 Ce Ct sk; Ct 1; I, which it does not have, is 1.
 * @example designSnow({ by: 'depth', depthMm: 150, kind: 'wet' }, 'normal').flatPa // 395.404
 */
export function designSnow(snow: Snow, exposure: Exposure, by: ReckonedBy = AS_IT_IS): DesignSnow {
  const groundPa = groundPaOf(snow);
  const practice = PRACTICES[by.practice];
  const exposureFactor = by.snowFactors.exposure ?? practice.exposure[exposure];
  const thermalFactor = by.snowFactors.thermal ?? practice.thermal;
  const importanceFactor = by.snowFactors.importance ?? practice.importance;
  const flatPerGround = practice.flat * exposureFactor * thermalFactor * importanceFactor;
  return {
    practice: by.practice,
    groundPa,
    flatPa: flatPerGround * groundPa,
    exposureFactor,
    thermalFactor,
    importanceFactor,
    flatPerGround,
  };
}

/**
 * Part of the flat load on a straight slope.
 * Source: as `slopeFactor`; EN 1991-1-3, table 5.2: mu1 0.8 to 30 degrees, straight to 0 at 60.
 */
export function straightShare(practice: SnowPractice, slopeDeg: number): number {
  const slope = Math.abs(slopeDeg);
  return practice === 'asce' ? slopeFactor(slope) : Math.min(1, Math.max(0, (60 - slope) / 30));
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

/** Snow that a wall gathers beside it, over what lies there anyway: so much at the wall, straight to nothing so far from it. */
interface Drift {
  readonly peakPa: number;
  readonly reachMm: number;
}

/** Shortest fetch that snow is blown over, m. */
const LEAST_FETCH_M = 6.1;

/**
 * Drift against a bare wall over a low roof.
 * Source: ASCE/SEI 7, secs. 7.7 and 7.8, fig. 7.6-1 in SI: hd = 0.42 lu^(1/3) (pg + 0.479)^(1/4) - 0.457 m, lu at least 6.1 m, three quarters of it
 * to windward; no higher than the wall over the even snow, and none where that is less than a fifth of the snow's depth; reach 4 hd (4 hd^2 / hc
 * where the wall cuts it, at most 8 hc); density 0.426 pg + 2.2, at most 4.7 kN/m3. EN 1991-1-3, sec. 6.2: mu2 = 2 kN/m3 h / sk between 0.8
 * and 2, falling to mu1 0.8 in 2 h, 5 to 15 m.
 * @param wallMm how high the wall stands over the roof's edge
 */
export function driftOf(snow: DesignSnow, wallMm: number): Drift {
  const none: Drift = { peakPa: 0, reachMm: 0 };
  if (snow.groundPa <= 0 || wallMm <= 0) return none;
  const kPa = snow.groundPa / 1000;
  const wallM = wallMm / 1000;
  if (snow.practice === 'en') {
    const mu2 = Math.min(2, Math.max(0.8, (2 * wallM) / kPa));
    const peakPa = (mu2 - PRACTICES.en.flat) * snow.exposureFactor * snow.thermalFactor * snow.groundPa;
    return { peakPa, reachMm: 1000 * Math.min(15, Math.max(5, 2 * wallM)) };
  }
  const kNPerM3 = Math.min(4.7, 0.426 * kPa + 2.2);
  const even = snow.flatPa / 1000 / kNPerM3;
  const clear = wallM - even;
  if (clear < 0.2 * even) return none;
  const high = 0.75 * Math.max(0, 0.42 * Math.cbrt(LEAST_FETCH_M) * (kPa + 0.479) ** 0.25 - 0.457);
  const cut = Math.min(high, clear);
  const reach = high <= clear ? 4 * high : Math.min((4 * high * high) / clear, 8 * clear);
  return { peakPa: 1000 * kNPerM3 * cut, reachMm: 1000 * reach };
}

/** What of a drift lies so far from its wall, Pa. */
export const driftAtPa = ({ peakPa, reachMm }: Drift, fromWallMm: number): number =>
  fromWallMm < reachMm ? peakPa * (1 - fromWallMm / reachMm) : 0;

/** Places looked at along a bar for where the drift bends it most. */
const PLACES = 200;

/**
 * The even load that asks as much of what bears a drift, Pa: of a bar down the slope by its greatest moment (its sag is then within 3 %, on the
 * safe side), of what stands at the far end by what it is handed, of a strip by what lies at the wall.
 */
export function driftAsEvenPa(snow: DesignSnow, { wallMm, runMm, by }: DriftedOn): number {
  const drift = driftOf(snow, wallMm);
  const { peakPa, reachMm } = drift;
  if (peakPa <= 0 || by === 'strip') return peakPa;
  // A triangle that the far end cuts where it reaches beyond it: even part and triangle of what is left.
  const reach = Math.min(reachMm, runMm);
  const far = driftAtPa(drift, reach);
  const handed = (far * reach * reach) / 2 + ((peakPa - far) * reach * reach) / 6;
  const farEnd = handed / runMm;
  if (by === 'far end') return (2 * farEnd) / runMm;
  const whole = ((peakPa + far) * reach) / 2;
  let most = 0;
  for (let i = 1; i < PLACES; i++) {
    const x = (runMm * i) / PLACES;
    const to = Math.min(x, reach);
    const here = peakPa + ((far - peakPa) * to) / reach;
    // What lies from the wall to here, about here.
    const about = here * to * (x - to / 2) + ((peakPa - here) * to * (x - to / 3)) / 2;
    most = Math.max(most, (whole - farEnd) * x - about);
  }
  return (8 * most) / (runMm * runMm);
}

/** Where snow lies on a row of hoops, as parts of the flat load. */
export interface SnowCase extends NamedLoad {
  readonly snowCase: 'even' | 'one-sided';
}

/** A wall beside a row of hoops: how far it stands from their nearer feet, and over them. */
export interface DriftBeside {
  readonly gapMm: number;
  readonly wallMm: number;
}

/** Another depth of snow, by the same practice and factors. */
export const snowOf = (snow: DesignSnow, flatPa: number): DesignSnow => ({
  ...snow,
  flatPa,
  groundPa: flatPa / snow.flatPerGround,
});

/** Snow on both sides and the drift of a wall on one over it, so near as it reaches; on a slope as on the level. */
export function driftedCase(snow: DesignSnow, { gapMm, wallMm }: DriftBeside, spanMm: number): SnowCase {
  const drift = driftOf(snow, wallMm);
  const times = (across: number): number => driftAtPa(drift, gapMm + (1 - across) * spanMm) / snow.flatPa;
  return {
    snowCase: 'one-sided',
    name: `${snow.practice} drifted ${[drift.peakPa / snow.flatPa, drift.reachMm / spanMm, gapMm / spanMm].map((x) => x.toFixed(2)).join(' ')}`,
    shape: (slope, across) => straightShare(snow.practice, slope) + times(across),
  };
}

/** Where an arch is less steep than 60 degrees, as parts of its span, and the shape factor of drifted snow there. */
function drifted(hoop: Elastica | BentHoop): { readonly from: number; readonly to: number; readonly mu3: number } {
  const flat = hoopCurve(hoop, 40).filter((p) => Math.abs(p.angle) <= Math.PI / 3);
  const ys = flat.map((p) => p.y / hoop.spanMm);
  return {
    from: Math.min(...ys),
    to: Math.max(...ys),
    mu3: Math.min(2, 0.2 + (10 * hoop.heightMm) / hoop.spanMm),
  };
}

/**
 * Snow on both sides, and most of it on one.
 * Source: ASCE/SEI 7, sec. 7.4 and 7.6.2: by slope, and the lee half alone. EN 1991-1-3, sec. 5.3.5: mu 0.8 where the arch is less
 * steep than 60 degrees; drifted, over that part, a triangle of mu3 = 0.2 + 10 h / b (at most 2) on one half and half of it on the other.
 */
export function archCases(snow: DesignSnow, hoop: Elastica | BentHoop): readonly SnowCase[] {
  if (snow.practice === 'en') {
    const { from, to, mu3 } = drifted(hoop);
    const half = (to - from) / 2;
    return [
      { snowCase: 'even', name: 'en even', shape: (slope) => (Math.abs(slope) <= 60 ? 1 : 0) },
      {
        snowCase: 'one-sided',
        name: 'en drifted',
        shape: (_, across) => {
          const out = (across - from) / half - 1;
          const peak = 1 - Math.abs(2 * Math.abs(out) - 1);
          return (Math.max(0, peak) * mu3 * (out > 0 ? 1 : 0.5)) / PRACTICES.en.flat;
        },
      },
    ];
  }
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
