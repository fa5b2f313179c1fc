import type { ArchRow } from '../../build/assembly/rows';
import { areaMm2, inertiaMm4, stiffnessNMm2, thicknessMm } from '../../catalog/sections';
import { type Figure, amount } from '../../base/figure';
import { hoopCurve } from '../../build/hoop/curve';
import { bendLimitsPercent } from '../../build/hoop/strain';
import { solveArch } from './frame';
import { type DesignSnow, GRAVITY, SNOW_DENSITY, oneSidedFactor, slopeFactor } from './snow';

/** How much of the design snow a row of hoops or bars carries, and what stops it first. */
export interface SnowStrength {
  /** What carries it: "Hoops", "Lid bars". */
  readonly what: string;
  /** Load that it carries over the design load. */
  readonly ratio: number;
  readonly governs: 'fibre strain' | 'yield' | 'sway' | 'ridge board' | 'bending' | 'sag';
  readonly snowCase: 'even' | 'one-sided';
  readonly wetSnowMm: number;
  readonly figures: readonly Figure[];
}

const STEPS = 40;
export const UNIT_PA = 100;
/** Bending stress for a ridge board under snow, above the long-term figure by the usual short-load factor. */
export const SHORT_LOAD = 1.15;
export const LEFT_OUT = [
  'A planning aid: a first, linear estimate. It leaves out large displacements, ice, drifts from walls, wear and bad fastenings.',
  'The pipe has its weeks-long stiffness, half of fresh for PVC.',
  'Ask the local building office about snow loads; a licensed engineer for anything a person walks into.',
];

/**
 * Snow that a row of sprung hoops carries: a linear plane frame with weeks-long stiffness and the locked-in fibre strain added,
 * its moments magnified towards the sway load of a free arch.
 *
 * Even and one-sided cases of ASCE/SEI 7. Sway of a two-hinged ring p R^3 / EI = 3, with fixed feet 8
 * (S. Timoshenko and J. Gere, Theory of Elastic Stability, 2nd ed., sec. 7.6), scaled by the ratio of thrusts
 * for loads that are not uniform; magnifier 1 / (1 - w / w_cr).
 * @param asked the design snow; a ratio above 1 holds
 */
export function hoopStrength(arch: ArchRow, asked: DesignSnow): SnowStrength {
  // With no snow asked for, what it carries is still worth knowing: a unit load stands in.
  const snow = asked.flatPa > 0 ? asked : { ...asked, flatPa: UNIT_PA };
  const s = arch.section;
  const ei = stiffnessNMm2(s, 'weeks');
  const r = thicknessMm(s) / 2;
  const material = s.material;
  const curve = hoopCurve(arch.hoop, STEPS);
  const span = arch.hoop.spanMm;
  const radius = Math.max(span / 2, arch.hoop.lengthMm / Math.PI);
  const fixed = arch.hoop.feet.kind === 'fixed';
  const tributary = arch.spacingMm;
  const lineLoad = (snow.flatPa * tributary) / 1e6;
  const swayLoad = ((fixed ? 8 : 3) * ei) / radius ** 3;
  const interior = Math.max(1, arch.tags.length - 2);
  const spring = ridgeSpring(arch, interior);

  const planWidths = curve.map((p, i) => {
    const before = curve[i - 1] ?? p;
    const after = curve[i + 1] ?? p;
    return Math.max(0, (after.y - before.y) / 2);
  });
  const solve = (factor: (slopeDeg: number, y: number) => number, crownSpring: number): ReturnType<typeof solveArch> =>
    solveArch({
      points: curve,
      eiNMm2: ei,
      eaN: material.eGPa * 1000 * areaMm2(s),
      feet: fixed ? 'fixed' : 'pinned',
      loadsN: curve.map((p, i) => lineLoad * (planWidths[i] ?? 0) * factor((p.angle * 180) / Math.PI, p.y)),
      crownSpringNPerMm: crownSpring,
    });
  const uniformThrust = solve(() => 1, 0).thrustN;

  const cases = [
    { name: 'even' as const, factor: (slope: number): number => slopeFactor(slope) },
    {
      name: 'one-sided' as const,
      factor: (slope: number, y: number): number => oneSidedFactor(slope, y > span / 2, snow.exposureFactor),
    },
  ];
  const strainLimit = bendLimitsPercent(20)[2] / 100;
  const yieldCurvature = material.limitMPa === null ? Infinity : material.limitMPa / (material.eGPa * 1000 * r);
  const plastic = material.limitMPa === null;

  const locked = (curvature: number): number => (arch.sprung ? curvature : 0);

  let best: { ratio: number; governs: SnowStrength['governs']; snowCase: SnowStrength['snowCase'] } | undefined;
  for (const c of cases) {
    const answer = solve(c.factor, spring);
    const sway = (swayLoad / lineLoad) * (uniformThrust / Math.max(1e-9, answer.thrustN));
    const worst = (load: number): number => {
      const magnifier = 1 / (1 - load / sway);
      return Math.max(
        ...curve.map((p, i) => {
          const added = ((answer.momentsNMm[i] ?? 0) * load * magnifier) / ei;
          return plastic
            ? (Math.abs(locked(p.curvature) + added) * r) / strainLimit
            : Math.abs(locked(p.curvature) + added) / yieldCurvature;
        }),
      );
    };
    let low = 0;
    let high = sway * 0.9999;
    for (let i = 0; i < 50; i++) {
      const middle = (low + high) / 2;
      if (worst(middle) < 1) low = middle;
      else high = middle;
    }
    let governs: SnowStrength['governs'] = low > sway * 0.9 ? 'sway' : plastic ? 'fibre strain' : 'yield';
    let ratio = low;
    const board = ridgeBoardRatio(arch, answer.crownSpringForceN);
    if (board < ratio) {
      ratio = board;
      governs = 'ridge board';
    }
    if (!best || ratio < best.ratio) best = { ratio, governs, snowCase: c.name };
  }
  const result = best ?? { ratio: 0, governs: 'sway' as const, snowCase: 'even' as const };
  const wetSnowMm = wetDepthMm(result.ratio * snow.flatPa, snow);
  const figures: Figure[] = [
    {
      label: 'Wet snow it carries',
      value: wetSnowMm,
      quantity: 'snowDepth',
      formula: 'depth = ratio carried × flat load pf / 0.7 Ce Ct I / (density of wet snow × 9.80665)',
      terms: [
        { name: 'ratio carried', ...amount(result.ratio, 'ratio') },
        { name: 'flat load pf', ...amount(snow.flatPa, 'pressure') },
        { name: '0.7 Ce Ct I', ...amount(snow.flatPerGround, 'ratio') },
        { name: 'density of wet snow', ...amount(SNOW_DENSITY.wet, 'density') },
        { name: 'spacing of hoops', ...amount(tributary, 'length') },
        { name: 'stiffness EI after weeks', ...amount(ei / 1e6, 'stiffness') },
        { name: 'sway load of a free hoop', ...amount(swayLoad * 1000, 'loadPerLength') },
        { name: 'snow on one hoop', ...amount(lineLoad * 1000, 'loadPerLength') },
      ],
      source: `ASCE/SEI 7 snow, ${result.snowCase} case; linear plane frame (McGuire, Gallagher and Ziemian); sway after Timoshenko and Gere. Stopped by ${result.governs}.`,
      assumes: LEFT_OUT,
    },
  ];
  return {
    what: arch.what ?? 'Hoops',
    ...result,
    ratio: asked.flatPa > 0 ? result.ratio : Infinity,
    wetSnowMm,
    figures,
  };
}

/** Depth of wet snow on the ground that brings a flat load, mm. */
export function wetDepthMm(flatPa: number, snow: DesignSnow): number {
  return (flatPa / snow.flatPerGround / (SNOW_DENSITY.wet * GRAVITY)) * 1000;
}

/** How stiffly a posted ridge holds one crown: a uniform row of hoops on a simply supported beam, N/mm. */
function ridgeSpring(arch: ArchRow, interior: number): number {
  if (arch.ridge.kind !== 'posted' || arch.tags.length < 3) return 0;
  const ridge = arch.ridge.section;
  const ei = stiffnessNMm2(ridge, 'weeks', 'width');
  const span = arch.ridge.spanMm;
  return interior === 1 ? (48 * ei) / span ** 3 : (384 * ei * arch.spacingMm) / (5 * span ** 4);
}

function ridgeBoardRatio(arch: ArchRow, reactionN: number): number {
  if (arch.ridge.kind !== 'posted' || reactionN <= 0) return Infinity;
  const s = arch.ridge.section;
  const limit = (s.material.limitMPa ?? 0) * SHORT_LOAD;
  const depth = s.shape.kind === 'board' ? s.shape.widthMm : s.shape.outsideMm;
  const moment = ((reactionN / arch.spacingMm) * arch.ridge.spanMm ** 2) / 8;
  return (limit * inertiaMm4(s, 'width')) / (moment * (depth / 2));
}
