import { memoizeByIdentity } from '../base/memoize';
import { type Phrase, amount, phrase } from '../base/figure';
import { solveLinear } from '../base/linear';
import { type Bed, CORNERS, type Corner } from './bed';

export interface PlanPoint {
  readonly x: number;
  readonly y: number;
}

/** A rectangle that a frame must have, mm. */
interface FrameSize {
  readonly lengthMm: number;
  readonly widthMm: number;
}

/** What a bed's measures say. */
export interface Survey {
  /** Outside corners on the ground, near left at the origin, near side along x. */
  readonly corners: Readonly<Record<Corner, PlanPoint>>;
  /** Largest amount by which one measure disagrees with the best-fitting four-sided shape, mm. */
  readonly misfitMm: number;
  /** Rising diagonal less falling diagonal, mm. */
  readonly diagonalDifferenceMm: number;
  /** How far the far side is shifted along the near side, mm; positive to the right. */
  readonly skewMm: number;
  /** Packer under each corner of a frame, to bring it level with the highest corner, mm. */
  readonly packersMm: Readonly<Record<Corner, number>>;
  readonly highest: Corner;
  readonly outOfLevelMm: number;
  /** A square frame that sits on the wall and covers it. */
  readonly frameOn: FrameSize;
  /** A square frame that drops inside, with clearance all round. */
  readonly frameIn: FrameSize;
  readonly remarks: readonly { readonly severity: 'note' | 'mend'; readonly text: Phrase }[];
}

/** Room left on each side of a frame that drops inside a bed, mm. */
const INSIDE_CLEARANCE_MM = 6;

type Unknowns = readonly [number, number, number, number, number];

function distances([nx, fx, fy, gx, gy]: Unknowns): number[] {
  return [
    nx,
    Math.hypot(fx - gx, fy - gy),
    Math.hypot(gx, gy),
    Math.hypot(fx - nx, fy),
    Math.hypot(fx, fy),
    Math.hypot(gx - nx, gy),
  ];
}

/** Least-squares corners from four sides and two diagonals (Gauss-Newton; six measures, five unknowns). */
function fitCorners(bed: Bed): { unknowns: Unknowns; misfit: number } {
  const { nearMm, farMm, leftMm, rightMm } = bed.outside;
  const measured = [nearMm, farMm, leftMm, rightMm, bed.diagonals.risingMm, bed.diagonals.fallingMm];
  const across = (leftMm + rightMm) / 2;
  let u: Unknowns = [nearMm, (nearMm + farMm) / 2, across, (nearMm - farMm) / 2, across];
  const worst = (v: Unknowns): number => Math.max(...distances(v).map((d, i) => Math.abs(d - (measured[i] ?? 0))));
  for (let round = 0; round < 30; round++) {
    const now = distances(u);
    const residual = now.map((d, i) => (measured[i] ?? 0) - d);
    const jacobian = u.map((_, j) => {
      const moved = u.map((value, k) => (k === j ? value + 0.01 : value)) as unknown as Unknowns;
      return distances(moved).map((d, i) => (d - (now[i] ?? 0)) / 0.01);
    });
    const normal = jacobian.map((a) => jacobian.map((b) => a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0)));
    const right = jacobian.map((a) => a.reduce((sum, value, i) => sum + value * (residual[i] ?? 0), 0));
    const step = solveLinear(normal, right);
    if (!step) break;
    u = u.map((value, k) => value + (step[k] ?? 0)) as unknown as Unknowns;
    if (Math.max(...step.map(Math.abs)) < 1e-9) break;
  }
  return { unknowns: u, misfit: worst(u) };
}

/**
 * Works a bed's measures out: its true corners, how far out of square and level it is, what packers
 * go where, and the size of a square frame that sits on it or drops inside it.
 *
 * Skew s of a parallelogram with near side L and diagonals d1, d2: s = (d1^2 - d2^2) / (4 L) (law of cosines).
 * @example survey(demoGarden().beds[3]).packersMm.farLeft // 6.35
 */
export const survey = (bed: Bed): Survey => surveys(bed, [], () => surveyed(bed));

/** A bed is measured once. */
const surveys = memoizeByIdentity<Survey>();

function surveyed(bed: Bed): Survey {
  const { unknowns, misfit } = fitCorners(bed);
  const [nx, fx, fy, gx, gy] = unknowns;
  const { risingMm, fallingMm } = bed.diagonals;
  const { nearMm, farMm, leftMm, rightMm } = bed.outside;
  const skew = (risingMm ** 2 - fallingMm ** 2) / (2 * (nearMm + farMm));
  const top = Math.min(...CORNERS.map((c) => bed.drops[c]));
  const packers = Object.fromEntries(CORNERS.map((c) => [c, bed.drops[c] - top])) as Record<Corner, number>;
  const highest = CORNERS.find((c) => packers[c] === 0) ?? 'nearLeft';
  const outOfLevel = Math.max(...CORNERS.map((c) => packers[c]));

  const remarks: Survey['remarks'][number][] = [];
  if (misfit > 6)
    remarks.push({
      severity: 'mend',
      text: phrase`These sides and diagonals cannot all be true: they miss by ${amount(misfit, 'length')}. Measure the diagonals again.`,
    });
  const between = (outside: number, inside: number): number => (outside - inside) / 2 - bed.wall.thicknessMm;
  const lengthGap = between(Math.min(nearMm, farMm), bed.inside.lengthMm);
  const widthGap = between(Math.min(leftMm, rightMm), bed.inside.widthMm);
  const gap = Math.abs(lengthGap) > Math.abs(widthGap) ? lengthGap : widthGap;
  if (Math.abs(gap) > 5)
    remarks.push({
      severity: 'mend',
      text: phrase`Outside less inside does not leave the wall you typed: each wall differs by ${amount(Math.abs(gap), 'length')}. Check the tape.`,
    });
  if (Math.abs(skew) > bed.wall.thicknessMm / 2)
    remarks.push({
      severity: 'note',
      text: phrase`A square frame will hang over a corner by up to ${amount(Math.abs(skew) / 2, 'length')}. Build it square all the same, or the cover twists.`,
    });

  // Where the sides differ, what goes in is as short as the shorter of them allows.
  const insideOf = (measured: number, a: number, b: number): number =>
    Math.min(measured, Math.min(a, b) - 2 * bed.wall.thicknessMm);
  return {
    corners: {
      nearLeft: { x: 0, y: 0 },
      nearRight: { x: nx, y: 0 },
      farRight: { x: fx, y: fy },
      farLeft: { x: gx, y: gy },
    },
    misfitMm: misfit,
    diagonalDifferenceMm: risingMm - fallingMm,
    skewMm: skew,
    packersMm: packers,
    highest,
    outOfLevelMm: outOfLevel,
    frameOn: { lengthMm: Math.max(nearMm, farMm), widthMm: Math.max(leftMm, rightMm) },
    frameIn: {
      lengthMm: insideOf(bed.inside.lengthMm, nearMm, farMm) - Math.abs(skew) - 2 * INSIDE_CLEARANCE_MM,
      widthMm: insideOf(bed.inside.widthMm, leftMm, rightMm) - 2 * INSIDE_CLEARANCE_MM,
    },
    remarks,
  };
}
