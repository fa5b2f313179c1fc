/**
 * The balance of warmth under a cover, step by step: air without warmth of its own, four layers of soil, what stores warmth.
 * The bodies hang together as a tree with the air at its root, so that each step is solved by running down it and up again; the air
 * itself is found where what comes in through the vents at its temperature is what they let out.
 * Soil is known by its warmth, not its temperature: while its water freezes or thaws it hardly gets colder or warmer.
 * Steps by the two-stage singly diagonally implicit Runge-Kutta rule of order 2 (R. Alexander, SIAM J. Numer. Anal. 14 (1977) 1006).
 */
import { SELF_OPENING } from '../../catalog/ventUnits';
import type { Draught } from './airing';
import type { Drive } from './drive';
import { AIR_J_PER_M3K } from './losses';
import { NO_SNOW, snowAfterHour, underSnow } from './snowOnCover';
import type { BedModel } from './model';
import { saturatedKgPerM3, saturationSlope } from './sky';

/** Where it starts, and how finely it goes. */
export interface BalanceStart {
  /** Ground a metre down for every hour, C; and how warm the soil of the bed is at first. */
  readonly deepC: (hour: number) => number;
  readonly soilC: number;
  readonly stepsPerHour?: number;
  /** Its first hours are gone through beforehand, until the bed has forgotten how it began. */
  readonly runInHours?: number;
  /** Whether the snow that lies at an hour's end is brushed off then, kg/m2 on the level; nobody does where not said. */
  readonly brushed?: (hour: number, kgPerM2: number) => boolean;
}

/** How it went; every list has one entry an hour, as it is at the hour's end. */
export interface Run {
  readonly startMs: number;
  readonly airC: Float64Array;
  readonly soilC: Float64Array;
  /** Of every hour the least and the greatest over its steps, C. */
  readonly lowC: Float64Array;
  readonly highC: Float64Array;
  /** Part that all openings stand open, 0 to 1. */
  readonly open: Float64Array;
  /** Water that runs down inside the cover in the hour, kg. */
  readonly dripKg: Float64Array;
  /** Snow on the cover before it is brushed, kg/m2 on the level. */
  readonly snowKgPerM2: Float64Array;
  /** What was left over in the worst step: warmth gained against warmth that came, as a part of all that moved. */
  readonly worstGap: number;
}

/** Soil from the top down, m; and the ground that it lies on, m below its middle. */
const LAYERS_M = [0.03, 0.07, 0.15, 0.3] as const;
const GROUND_M = 0.45;
/** Moist garden soil. Source: usual middle figures; conductivity .8 to 1.6 W/mK, capacity 2 to 3 MJ/m3K. */
const SOIL = { wPerMK: 1.2, jPerM3K: 2.4e6 } as const;
/**
 * Its water: a quarter of it by volume, frozen between 0 and half a degree under it, as moist loam does; frozen it takes three
 * quarters of the warmth for a degree. Kelvin of thawed soil that its freezing is worth: 250 kg/m3 x 334 kJ/kg / capacity.
 */
const FREEZING = { belowC: 0.5, worthC: (250 * 334e3) / SOIL.jPerM3K, frozen: 0.78 } as const;
/** Between soil and the air and skin over it, W/m2K: stirred air and radiation. */
const SOIL_H = 8;
/** The part of the light that leaves take; they give it to the air at once. */
const LEAVES_LIGHT = 0.35;
/** What water vapour meets on its way from moist soil and leaves, s/m: still air and half-closed leaves. */
const VAPOUR_S_PER_M = 400;
const LATENT_J_PER_KG = 2.45e6;
/** Still air on the inside of a skin, W/m2K; vapour goes with it (Lewis). */
const SKIN_H = 3;

const GAMMA = 1 - Math.SQRT1_2;
const SECOND = 1 - GAMMA;
/** Soil's warmth over that at 0 C, in kelvin of thawed soil: base + slope t, thawed, while it freezes, and frozen. */
const SLOPE = [1, 1 + FREEZING.worthC / FREEZING.belowC, FREEZING.frozen] as const;
const FROZEN_BASE = FREEZING.belowC * (FREEZING.frozen - 1) - FREEZING.worthC;
const BASE = [0, 0, FROZEN_BASE] as const;
/** Between which temperatures each of the three holds, C. */
const WARMEST = [Infinity, 0, -FREEZING.belowC] as const;
const COLDEST = [0, -FREEZING.belowC, -Infinity] as const;
/** Which of the three soil is in by its warmth; and which is next to be tried by a temperature that one of them gave. */
const stateOf = (warmth: number): number => (warmth >= 0 ? 0 : warmth >= -FREEZING.belowC - FREEZING.worthC ? 1 : 2);
const stateAt = (state: number, t: number): number =>
  t > (WARMEST[state] ?? 0) ? state - 1 : t < (COLDEST[state] ?? 0) ? state + 1 : state;
const warmthOf = (state: number, t: number): number => (BASE[state] ?? 0) + (SLOPE[state] ?? 1) * t;
const warmthAt = (t: number): number => warmthOf(t >= 0 ? 0 : t >= -FREEZING.belowC ? 1 : 2, t);

/** How near the air's own temperature is found, and how near a guess must have been to be kept, C. */
const SPARE_C = 0.002;
const NEAR_C = 0.3;
const PASSES = 4;
const MOST_PASSES = 8;
/** Halving it changes no day's low or high by .2 C. */
export const STEPS_PER_HOUR = 2;

const ramp = (t: number, from: number, to: number): number => (t <= from ? 0 : t >= to ? 1 : (t - from) / (to - from));
const waxAt = (t: number): number => ramp(t, SELF_OPENING.wax.startsC, SELF_OPENING.wax.fullC);
/** A louvre opens at the one temperature and shuts at the other: between them it stands as it stood. */
const louvreAt = (t: number, stood: number): number => {
  const { opensC, shutsC } = SELF_OPENING.louvre;
  return Math.max(ramp(t, opensC - 1, opensC + 1), Math.min(stood, ramp(t, shutsC - 1, shutsC + 1)));
};

/** What stands open as the air gets warmer, with the wind and the air outside of the moment. */
interface Airing {
  readonly draught: BedModel['draught'];
  opened: number;
  louvre: number;
  wind: number;
  out: number;
}

/** Air through one group that stands open by a part, m3/s. @param warmer difference over outside, kelvin */
function flowOf(d: Draught, open: number, warmer: number, wind: number): number {
  if (open <= 0 || d.m2 <= 0) return 0;
  return open * Math.sqrt(d.byWarmth * d.byWarmth * warmer + d.byWind * d.byWind * wind * wind);
}

/** Air through all that stands open with the air inside so warm, m3/s. */
function through({ draught, opened, louvre, wind, out }: Airing, t: number): number {
  const warmer = Math.abs(t - out) / (out + 273.15);
  return (
    flowOf(draught.hand, opened, warmer, wind) +
    flowOf(draught.wax, waxAt(t), warmer, wind) +
    flowOf(draught.louvre, louvreAt(t, louvre), warmer, wind)
  );
}

/**
 * Runs a bed through weather.
 * @returns temperatures by the hour, and how well the balance closed
 */
export function runBalance(model: BedModel, drive: Drive, start: BalanceStart): Run {
  const { stepsPerHour = STEPS_PER_HOUR, runInHours: runIn = 0 } = start;
  const { hours, opened } = drive;
  const run = {
    startMs: drive.startMs,
    airC: new Float64Array(hours),
    soilC: new Float64Array(hours),
    lowC: new Float64Array(hours).fill(Infinity),
    highC: new Float64Array(hours).fill(-Infinity),
    open: new Float64Array(hours),
    dripKg: new Float64Array(hours),
    snowKgPerM2: new Float64Array(hours),
    worstGap: 0,
  };
  const { floorM2: floor, draught, store } = model;
  const skinM2 = model.faces.reduce((sum, f) => sum + f.m2, 0);
  const ventsM2 = draught.hand.m2 + draught.wax.m2 + draught.louvre.m2;
  const airing: Airing = { draught, opened: 0, louvre: 0, wind: 0, out: 0 };

  // Bodies: soil from the top down, store. The air holds next to nothing: five minutes' worth.
  const soilJ = Float64Array.from(LAYERS_M, (d) => SOIL.jPerM3K * d * floor);
  const topW = SOIL_H * floor;
  const downW = Float64Array.from(LAYERS_M, (d, i) => {
    const next = LAYERS_M[i + 1];
    return (SOIL.wPerMK * floor) / (next === undefined ? d / 2 + GROUND_M : (d + next) / 2);
  });
  let above = model.sides.highM;
  const sideW = Float64Array.from(LAYERS_M, (d) => {
    const inWall = Math.max(0, Math.min(d, above));
    above -= d;
    return model.sides.wPerM2K * model.sides.m * inWall;
  });
  const storeJ = store?.jPerK ?? 0;
  const storeW = store?.wPerK ?? 0;
  const storeShare = store?.share ?? 0;
  const soilShare = 1 - LEAVES_LIGHT - storeShare;
  const ge = floor / VAPOUR_S_PER_M;
  const gc = (skinM2 * SKIN_H) / AIR_J_PER_M3K;

  // As it stands now, as it stood at the beginning of the step, and of the stage in hand.
  const soil = new Float64Array(4).fill(start.soilC);
  const warmth = new Float64Array(4).fill(warmthAt(start.soilC));
  const state = new Uint8Array(4);
  let air = drive.airC[0] ?? start.soilC;
  let stored = air;
  let snow = 0;
  const warmth0 = new Float64Array(4);
  const from = new Float64Array(4);
  const rate = new Float64Array(4);
  const lead = new Float64Array(4);
  const held = new Float64Array(4);
  let storeRate = 0;

  for (let n = -runIn; n < hours; n++) {
    const hour = n < 0 ? (n + runIn) % hours : n;
    const next = Math.min(hours - 1, hour + 1);
    const before = Math.max(0, hour - 1);
    const deep = start.deepC(hour);
    const lights = drive.lightsW[hour] ?? 0;
    // Where a hand opens or shuts, everything changes at once.
    const switched = opened[before] !== opened[hour] || opened[hour] !== opened[next];
    const per = switched ? 4 * stepsPerHour : stepsPerHour;
    const dt = 3600 / per;
    const h = GAMMA * dt;
    const bears = drive.bears[hour];
    // The run-in is for warmth: what lies at first is nothing.
    if (n <= 0 || !bears) snow = 0;
    const under = bears && snow > 0 ? underSnow(bears, snow) : NO_SNOW;
    // An hour begins where the last one ended.
    if (n > 0) run.lowC[n] = run.highC[n] = air;
    for (let k = 0; k < per; k++) {
      let [came, moved, drips] = [0, 0, 0];
      const store0 = stored;
      warmth0.set(warmth);
      for (let stage = 0; stage < 2; stage++) {
        const f = (k + (stage === 0 ? GAMMA : 1)) / per;
        // Between the middles of hours, straight: which other hour counts, and by what part.
        const other = f < 0.5 ? before : next;
        const part = Math.abs(f - 0.5);
        const weight = dt * (stage === 0 ? SECOND : GAMMA);
        const out = between(drive.airC, hour, other, part);
        const sun = under.light * Math.max(0, between(drive.sunW, hour, other, part));
        airing.out = out;
        airing.wind = between(drive.windMPerS, hour, other, part);
        const leak = between(drive.leak, hour, other, part);
        const tied = under.loss * between(drive.lossWPerK, hour, other, part) + AIR_J_PER_M3K * leak;
        const skyW = under.sky * between(drive.skyW, hour, other, part);
        // What keeps warmth over a skin keeps the skin warm.
        const back = 1 - under.loss * (1 - between(drive.returned, hour, other, part));
        const drop = between(drive.skinDropC, hour, other, part);
        const outside = between(drive.vapour, hour, other, part);
        // A hand takes its time: it opens over the hour about the one that is said.
        airing.opened = between(drive.opened, hour, other, part);
        const carry = stage === 0 ? 0 : dt * SECOND;
        const fromStore = store0 + carry * storeRate;
        for (let i = 0; i < 4; i++) {
          from[i] = (warmth0[i] ?? 0) + carry * (rate[i] ?? 0);
          state[i] = stateOf(warmth[i] ?? 0);
        }

        let [flow, dries, freed, drip] = [0, 0, 0, 0];
        // Vapour goes with the temperatures that it makes: a second time where the first was far off.
        for (let pass = 0, settled = false; pass < PASSES || (!settled && pass < MOST_PASSES); pass++) {
          const guess = air;
          const top = soil[0] ?? 0;
          const wetTop = saturatedKgPerM3(top);
          const steeper = wetTop * saturationSlope(top) * LATENT_J_PER_KG * ge;
          const skin = out - drop + back * (guess - out + drop);
          const wetSkin = saturatedKgPerM3(skin);
          const exchanged = leak + (ventsM2 > 0 ? through(airing, guess) : 0);
          const brought = ge * wetTop + exchanged * outside;
          let vapour = brought / (ge + exchanged);
          drip = 0;
          if (vapour > wetSkin) {
            vapour = (brought + gc * wetSkin) / (ge + exchanged + gc);
            drip = gc * Math.max(0, vapour - wetSkin);
          }
          freed = LATENT_J_PER_KG * drip * back;
          const driesNow = LATENT_J_PER_KG * ge * (wetTop - vapour);

          // Up the soil from the ground: each layer as a tie to the one over it.
          let upW = downW[3] ?? 0;
          let upC = deep;
          for (let i = 3; i >= 0; i--) {
            const c = (soilJ[i] ?? 0) / h;
            const side = sideW[i] ?? 0;
            const over = i === 0 ? topW : (downW[i - 1] ?? 0);
            const now = state[i] ?? 0;
            let d = c * (SLOPE[now] ?? 1) + upW + side + over;
            let r = c * ((from[i] ?? 0) - (BASE[now] ?? 0)) + upW * upC + side * out;
            if (i === 0) {
              d += steeper;
              r += soilShare * sun - driesNow + steeper * top;
            }
            lead[i] = d;
            held[i] = r;
            // Seen from over it: a softer tie to a body that keeps its temperature.
            upW = over - (over * over) / d;
            upC = r / (d - over);
          }
          const storeD = storeJ / h + storeW;
          const storeR = (storeJ / h) * fromStore + storeShare * sun;
          let D = upW + tied;
          let S = upW * upC + tied * out - skyW + LEAVES_LIGHT * sun + lights + freed;
          if (storeJ > 0) {
            D += storeW - (storeW * storeW) / storeD;
            S += (storeW * storeR) / storeD;
          }
          air = S / D;
          flow = 0;
          if (ventsM2 > 0) {
            flow = AIR_J_PER_M3K * through(airing, balanced(D, S, airing));
            // What the search left over is warmth too: the temperature that goes with this very flow.
            air = (S + flow * out) / (D + flow);
          }
          let overC = air;
          settled = true;
          for (let i = 0; i < 4; i++) {
            const over = i === 0 ? topW : (downW[i - 1] ?? 0);
            overC = ((held[i] ?? 0) + over * overC) / (lead[i] ?? 1);
            soil[i] = overC;
            const now = state[i] ?? 0;
            warmth[i] = warmthOf(now, overC);
            state[i] = stateAt(now, overC);
            if (state[i] !== now) settled = false;
          }
          stored = storeJ > 0 ? (storeR + storeW * air) / storeD : air;
          dries = driesNow + steeper * ((soil[0] ?? 0) - top);
          if (settled && Math.abs(air - guess) + Math.abs((soil[0] ?? 0) - top) < NEAR_C) break;
        }

        storeRate = storeJ > 0 ? (stored - fromStore) / h : 0;
        let fromSides = 0;
        for (let i = 0; i < 4; i++) {
          const now = soil[i] ?? 0;
          rate[i] = ((warmth[i] ?? 0) - (from[i] ?? 0)) / h;
          fromSides += (sideW[i] ?? 0) * (out - now);
        }
        const lost = (tied + flow) * (out - air);
        const fromGround = (downW[3] ?? 0) * (deep - (soil[3] ?? 0));
        drips += weight * drip;
        came += weight * (sun + lights + freed + lost - skyW + fromGround + fromSides - dries);
        moved +=
          weight *
          (sun + lights + freed + Math.abs(lost) + skyW + Math.abs(fromGround) + Math.abs(fromSides) + Math.abs(dries));
      }
      let gained = storeJ * (stored - store0);
      for (let i = 0; i < 4; i++) gained += (soilJ[i] ?? 0) * ((warmth[i] ?? 0) - (warmth0[i] ?? 0));
      airing.louvre = louvreAt(air, airing.louvre);
      if (n < 0) continue;
      run.worstGap = Math.max(run.worstGap, Math.abs(gained - came) / Math.max(1, moved));
      if (air < (run.lowC[n] ?? 0)) run.lowC[n] = air;
      if (air > (run.highC[n] ?? 0)) run.highC[n] = air;
      run.dripKg[n] = (run.dripKg[n] ?? 0) + drips;
    }
    if (bears) snow = snowAfterHour(snow, drive.snowMm[hour] ?? 0, drive.airC[hour] ?? 0, air);
    if (n < 0) continue;
    run.snowKgPerM2[n] = snow;
    if (start.brushed?.(n, snow)) snow = 0;
    run.airC[n] = air;
    run.soilC[n] = soil[1] ?? 0;
    run.open[n] =
      ventsM2 > 0
        ? (airing.opened * draught.hand.m2 + waxAt(air) * draught.wax.m2 + airing.louvre * draught.louvre.m2) / ventsM2
        : 0;
  }
  return run;
}

/** So far from one hour to another, straight. @param part 0 to 1 */
function between(list: Float64Array, hour: number, other: number, part: number): number {
  const now = list[hour] ?? 0;
  return now + part * ((list[other] ?? now) - now);
}

/** The air's temperature at which D t = S + vents(t) (out - t): what the vents take grows with t, so there is one. Illinois rule. */
function balanced(D: number, S: number, airing: Airing): number {
  const { out } = airing;
  let a = S / D;
  let fa = AIR_J_PER_M3K * through(airing, a) * (a - out);
  if (Math.abs(fa) < D * SPARE_C) return a;
  let b = out;
  let fb = D * out - S;
  for (let i = 0; i < 40 && Math.abs(a - b) > SPARE_C; i++) {
    const c = (a * fb - b * fa) / (fb - fa);
    const fc = D * c - S + AIR_J_PER_M3K * through(airing, c) * (c - out);
    if (Math.abs(fc) < D * SPARE_C) return c;
    if (fc * fb < 0) {
      a = b;
      fa = fb;
    } else fa /= 2;
    b = c;
    fb = fc;
  }
  return b;
}
