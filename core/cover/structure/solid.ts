/** Pieces as boxes, for finding what lies on what. */
import { type Vec3, add, cross, dot, norm, scale, subtract, unit } from '../../base/geometry';
import { depthMm } from '../../catalog/sections';
import type { Block, Member } from '../assembly/types';

/** A straight piece. */
export type Straight = Member & { readonly shape: Extract<Member['shape'], { readonly kind: 'straight' }> };

export const isStraight = (m: Member): m is Straight => m.shape.kind === 'straight';

/** A box turned any way: its middle, its three directions, along the piece first, and half of its size in each, mm. */
export interface Solid {
  readonly tag: string;
  readonly middle: Vec3;
  readonly axes: readonly [along: Vec3, wide: Vec3, thin: Vec3];
  readonly half: Vec3;
  /** Half of its size along the bed, across it and upward. */
  readonly room: Vec3;
  /** So much it gives where something lies on it, mm. */
  readonly givesMm: number;
}

/** Half of the size of a box in a direction of unit length, mm. */
const reachOf = (axes: Solid['axes'], half: Vec3, way: Vec3): number =>
  Math.abs(dot(axes[0], way)) * half[0] + Math.abs(dot(axes[1], way)) * half[1] + Math.abs(dot(axes[2], way)) * half[2];

const LEVEL: Solid['axes'] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

function solid(tag: string, middle: Vec3, axes: Solid['axes'], half: Vec3, givesMm = 0): Solid {
  const [x, y, z] = LEVEL;
  return {
    tag,
    middle,
    axes,
    half,
    room: [reachOf(axes, half, x), reachOf(axes, half, y), reachOf(axes, half, z)],
    givesMm,
  };
}

export const lengthOf = ({ shape }: Straight): number => norm(subtract(shape.to, shape.from));

export const directionOf = ({ shape }: Straight): Vec3 => unit(shape.from, shape.to);

/** A place so far along the centre line of a piece from its start, mm. */
export const alongIt = (m: Straight, mm: number): Vec3 => add(m.shape.from, scale(directionOf(m), mm));

export function memberSolid(m: Straight): Solid {
  const along = directionOf(m);
  const [wideMm, thinMm] = [depthMm(m.section, 'width'), depthMm(m.section, 'thickness')];
  // A pipe has no wider side: any direction across it will do.
  const wide = Math.abs(dot(along, m.shape.wide)) < 0.5 ? m.shape.wide : ([along[2], along[0], along[1]] as const);
  const thin = cross(along, wide);
  const middle = scale(add(m.shape.from, m.shape.to), 1 / 2);
  return solid(m.tag, middle, [along, wide, thin], [lengthOf(m) / 2, wideMm / 2, thinMm / 2]);
}

/** A box that lies level, from its lowest corner to its highest. */
export const levelSolid = (tag: string, low: Vec3, high: Vec3, givesMm = 0): Solid =>
  solid(tag, scale(add(low, high), 1 / 2), LEVEL, scale(subtract(high, low), 1 / 2), givesMm);

/** What is bought whole and stacked is straw, and gives. */
export const blockSolid = ({ tag, low, high }: Block): Solid => levelSolid(tag, low, high, 12);

/** Whether a place is in a box, or no farther from it than so many mm. */
export function isIn(s: Solid, p: Vec3, slackMm = 2): boolean {
  const d = subtract(p, s.middle);
  const [a, b, c] = s.axes;
  return (
    Math.abs(dot(d, a)) <= s.half[0] + slackMm &&
    Math.abs(dot(d, b)) <= s.half[1] + slackMm &&
    Math.abs(dot(d, c)) <= s.half[2] + slackMm
  );
}

/** How far a box reaches from its middle in a direction of unit length, mm. */
export const reachMm = ({ axes, half }: Solid, way: Vec3): number => reachOf(axes, half, way);

/** From where to where a straight line is in a box, along the line from a place in a direction of unit length; nothing where it is not. */
export function stretchIn(
  s: Solid,
  from: Vec3,
  way: Vec3,
  longMm: number,
  slackMm: number,
): readonly [from: number, to: number] | undefined {
  let [low, high] = [0, longMm];
  const d = subtract(from, s.middle);
  for (const i of [0, 1, 2] as const) {
    const [at, runs] = [dot(d, s.axes[i]), dot(way, s.axes[i])];
    // Across the line alone: it is no longer in the box than the box is.
    const half = s.half[i] + (Math.abs(runs) < 0.5 ? slackMm : 0);
    if (Math.abs(runs) < 1e-9) {
      if (Math.abs(at) > half) return undefined;
      continue;
    }
    const [a, b] = [(-half - at) / runs, (half - at) / runs];
    low = Math.max(low, Math.min(a, b));
    high = Math.min(high, Math.max(a, b));
    if (low > high) return undefined;
  }
  return [low, high];
}

/** The way up that is square to a piece that does not stand upright. */
export function upOf(m: Straight): Vec3 {
  const along = directionOf(m);
  const up = subtract([0, 0, 1], scale(along, along[2]));
  return scale(up, 1 / norm(up));
}

/** Steeper than this a piece is an upright: it stands, and is no beam. */
const UPRIGHT = Math.sin((80 * Math.PI) / 180);
export const isUpright = (m: Straight): boolean => Math.abs(directionOf(m)[2]) > UPRIGHT;

/** Along the bed, level. */
export const isAlongBed = (m: Straight): boolean => Math.abs(directionOf(m)[0]) > 0.999;
