import type { Vec3 } from '../../base/geometry';
import type { HardwareUse, Joint, Member } from '../assembly/types';
import { COVER_JOINTS } from './coverJoints';
import * as doors from './doors';
import * as edges from './edges';
import { FRAME_JOINTS } from './frameJoints';
import * as inSoil from './inSoil';
import { type JointKind, countOfJoint } from './kind';
import { OPENING_JOINTS } from './openingJoints';
import * as wall from './wall';
import * as weights from './weights';

const all = { ...FRAME_JOINTS, ...COVER_JOINTS, ...OPENING_JOINTS, ...inSoil, ...edges, ...weights, ...wall, ...doors };
export type KindKey = keyof typeof all;
/** Every kind by its key. */
export const KINDS: Readonly<Record<KindKey, JointKind>> = all;

/** The kind of a joint. @throws when there is none. */
export function jointKind(key: string): JointKind {
  if (!(key in KINDS)) throw new Error(`No kind of joint "${key}"`);
  return KINDS[key as KindKey];
}

/** Whether a joint holds its cover down: a kind that does, where it is not said that here it holds nothing. */
export const holdsDown = (j: Joint): boolean =>
  (jointKind(j.kind).holds?.worth(j) ?? 0) > 0 && j.with?.['holds'] !== 'nothing';

type More = Pick<Joint, 'count' | 'with' | 'ask' | 'usual' | 'alone'>;

/** Joints of one kind; none at all where there are none of it, so that nobody has to ask. */
export function joint(
  kind: KindKey,
  id: string,
  where: string,
  pieces: readonly { readonly tag: string }[],
  places: readonly Vec3[],
  more: More = {},
): readonly Joint[] {
  const made: Joint = { id, kind, where, tags: [...new Set(pieces.map((p) => p.tag))], places, ...more };
  // What guards an edge says so even where nothing does; and what is asked for can be asked for where there is none.
  return countOfJoint(made) > 0 || KINDS[kind].guards || more.ask !== undefined ? [made] : [];
}

/** What joints take of the shopping list, joint by joint; a thing that several lines of one joint name stands once. */
export function hardwareOf(joints: readonly Joint[]): readonly HardwareUse[] {
  return joints.flatMap((j) =>
    jointKind(j.kind)
      .takes(j, countOfJoint(j))
      .filter((t) => t.count > 0)
      .map(({ itemKey, count }) => ({ itemKey, count, joint: j.where })),
  );
}

/** So many places round a box on its two long sides: as even as can be. */
export function roundBox(
  [x0, x1, y0, y1, z]: readonly [number, number, number, number, number],
  count: number,
): readonly Vec3[] {
  const near = Math.ceil(count / 2);
  return [
    ...evenly([x0 + 100, y0, z], [x1 - 100, y0, z], near),
    ...evenly([x0 + 100, y1, z], [x1 - 100, y1, z], count - near),
  ];
}

/** What holds a box to the wall of its bed: as many as are asked for, else one each 1.2 m of both long sides and four at the least. */
export const heldRound = (box: Parameters<typeof roundBox>[0], asked: number | null): readonly Vec3[] =>
  roundBox(box, asked ?? Math.max(4, 2 * Math.ceil((box[1] - box[0]) / 1200)));

/** At each place along the bed one on either side, both at one height. */
export const pairsAt = (xs: readonly number[], ys: readonly [y0: number, y1: number], z: number): readonly Vec3[] =>
  xs.flatMap((x) => ys.map((y): Vec3 => [x, y, z]));

/** Places along a straight line at most so far apart, both ends with one. */
export function spread(from: Vec3, to: Vec3, apartMm: number): readonly Vec3[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
  return evenly(from, to, Math.max(2, Math.ceil(length / apartMm) + 1));
}

/** Places along straight pieces at most so far apart, both ends of each with one. */
export const spreadAlong = (pieces: readonly Member[], apartMm: number): readonly Vec3[] =>
  pieces.flatMap((m) => (m.shape.kind === 'straight' ? spread(m.shape.from, m.shape.to, apartMm) : []));

/** So many places along a straight line, ends with one each; a single one in the middle. */
export function evenly(from: Vec3, to: Vec3, count: number): readonly Vec3[] {
  return Array.from({ length: count }, (_, i): Vec3 => {
    const f = count === 1 ? 0.5 : i / (count - 1);
    return [from[0] + (to[0] - from[0]) * f, from[1] + (to[1] - from[1]) * f, from[2] + (to[2] - from[2]) * f];
  });
}
