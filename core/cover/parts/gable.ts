/** Straight pipes pushed into moulded fittings: the roof of two rafters at 45 degrees. */
import type { Point2, Vec3 } from '../../base/geometry';
import { type Fitting, takeUpMm } from '../../catalog/fittings';
import type { Section } from '../../catalog/types';
import { piece } from '../assembly/pieces';
import type { Joint, Member } from '../assembly/types';
import { type Bend, NO_ROOM, bentHoop } from '../hoop/bent';
import type { BentHoop, Feet } from '../hoop/types';
import { joint } from '../joints';

/** What moulded eave elbows allow. */
const ROOF = Math.PI / 4;

/** Where pipes meet: the fitting there and its centre. */
export interface Knot {
  readonly at: Vec3;
  readonly fitting: Fitting;
}

/** Outline of a gable: both eaves so high above the feet, and the ridge between them. */
export interface Gable {
  readonly hoop: BentHoop;
  readonly bends: readonly Bend[];
  readonly ridgeMm: number;
}

/** The gable of a span, feet to feet; nothing where there is none. */
export function gableOver(spanMm: number, eaveMm: number, feet: Feet): Gable | undefined {
  const ridgeMm = eaveMm + (spanMm / 2) * Math.tan(ROOF);
  const shape = bentHoop(
    [
      { y: 0, z: 0 },
      { y: 0, z: eaveMm },
      { y: spanMm / 2, z: ridgeMm },
      { y: spanMm, z: eaveMm },
      { y: spanMm, z: 0 },
    ],
    0,
    feet,
  );
  return shape === NO_ROOM ? undefined : { ...shape, ridgeMm };
}

/** A straight piece between two joints: centre to centre, less what both fittings take up. */
export function betweenSlopes(pipe: Section, tag: string, part: string, a: Knot, b: Knot): Member {
  const d: Vec3 = [b.at[0] - a.at[0], b.at[1] - a.at[1], b.at[2] - a.at[2]];
  const length = Math.hypot(...d);
  const step = (from: Vec3, by: number): Vec3 => [
    from[0] + (d[0] / length) * by,
    from[1] + (d[1] / length) * by,
    from[2] + (d[2] / length) * by,
  ];
  return piece(
    tag,
    part,
    pipe,
    step(a.at, takeUpMm(pipe, a.fitting)),
    step(b.at, -takeUpMm(pipe, b.fitting)),
    [0, 0, 1],
  );
}

/** Points of a quarter or less of a pipe's outside, round a joint. */
function outside(centre: Point2, r: number, fromDeg: number, toDeg: number): readonly Point2[] {
  return [0, 0.5, 1].map((f) => {
    const angle = ((fromDeg + (toDeg - fromDeg) * f) * Math.PI) / 180;
    return { y: centre.y + r * Math.cos(angle), z: centre.z + r * Math.sin(angle) };
  });
}

/** Where the roof of a gable stands in the cross-section: both eaves and the ridge, centre line. */
export interface RoofAt {
  readonly y0: number;
  readonly y1: number;
  readonly eaveZ: number;
  readonly ridgeZ: number;
}

/** The outer face of its pipes of radius r, which the sheet lies on. */
export const roofOuter = ({ y0, y1, eaveZ, ridgeZ }: RoofAt, r: number): readonly Point2[] => [
  ...outside({ y: y0, z: eaveZ }, r, 180, 135),
  ...outside({ y: (y0 + y1) / 2, z: ridgeZ }, r, 135, 45),
  ...outside({ y: y1, z: eaveZ }, r, 45, 0),
];

/** Their underside, that headroom is measured to. */
export const roofUnder = ({ y0, y1, eaveZ, ridgeZ }: RoofAt, r: number): readonly Point2[] => [
  { y: y0 + r, z: eaveZ + r - r * Math.SQRT2 },
  { y: (y0 + y1) / 2, z: ridgeZ - r * Math.SQRT2 },
  { y: y1 - r, z: eaveZ + r - r * Math.SQRT2 },
];

/** The fitting of a ridge at one frame of a row: a corner at its ends, a cross between. */
export const ridgeFitting = (i: number, frames: number): Fitting =>
  i === 0 || i === frames - 1 ? 'three-way' : 'four-way';

/** A joint of each kind of fitting at its knots, with what it is for. */
export const fittingJoints = (
  where: Readonly<Partial<Record<Fitting, string>>>,
  frame: readonly Member[],
  knots: readonly Knot[],
): readonly Joint[] =>
  (Object.keys(where) as Fitting[]).flatMap((kind) =>
    joint(
      'fitting',
      `fittings ${kind}`,
      where[kind] ?? '',
      frame,
      knots.filter((k) => k.fitting === kind).map((k) => k.at),
      { with: { fitting: kind } },
    ),
  );
