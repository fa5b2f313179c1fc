/** A beam under the crowns of a house, for deep snow. */
import type { Vec3 } from '../../../base/geometry';
import { boardShape } from '../../../catalog/sections';
import { type BuildSite, stock } from '../../../site/buildSite';
import { piece } from '../../assembly/pieces';
import type { Joint, Member } from '../../assembly/types';
import { joint } from '../../joints';
import { hoopMark, straightRun } from '../../joints/runs';

const BEAM = '2x6';
const BEAM_POST = '4x4 treated';
/** A board stands on posts no farther apart than this under the crowns, mm; and so deep in the ground. */
const BEAM_POSTS_MM = 2440;
const BEAM_POST_DEEP_MM = 450;

/**
 * A beam under the crowns for deep snow, on posts at hoops: the end ones a bay in, so that a door has room, and no farther apart
 * between than a board carries.
 */
export function centreBeam(
  xs: readonly number[],
  [x0, x1]: readonly [number, number],
  y: number,
  topZ: number,
  site: BuildSite,
  hoops: readonly Member[],
): {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  readonly deepMm: number;
} {
  const section = stock(site, BEAM);
  const post = stock(site, BEAM_POST);
  const deepMm = boardShape(section).widthMm;
  const inner = xs.length > 3 ? xs.slice(1, -1) : xs;
  const bay = (inner[inner.length - 1] ?? x1) - (inner[0] ?? x0);
  const step = Math.max(1, Math.floor((BEAM_POSTS_MM / Math.max(1, bay)) * (inner.length - 1) + 1e-6));
  const last = inner.length - 1;
  const at = [...new Set([...Array.from({ length: Math.floor(last / step) + 1 }, (_, i) => i * step), last])].flatMap(
    (i) => inner[i] ?? [],
  );
  const run = straightRun('M1', 'Centre beam', section, [x0, x1], [y, topZ - deepMm / 2], [0, 0, 1], {
    xs,
    mark: hoopMark,
  });
  const posts = at.map((x, i): Member => ({
    ...piece(`M${i + 2}`, 'Beam post', post, [x, y, -BEAM_POST_DEEP_MM], [x, y, topZ - deepMm], [0, 1, 0]),
    marks: [{ atMm: BEAM_POST_DEEP_MM, label: 'ground' }],
  }));
  return {
    deepMm,
    members: [...run.members, ...posts],
    joints: [
      ...joint(
        'uStrap',
        'beam',
        'Every crown to the beam',
        [...hoops, ...run.members],
        xs.map((x): Vec3 => [x, y, topZ]),
      ),
      ...joint(
        'post',
        'beam posts',
        'Posts of the beam in the ground',
        posts,
        at.map((x): Vec3 => [x, y, 0]),
        { with: { set: 'dug', depthMm: BEAM_POST_DEEP_MM, holds: 'nothing' } },
      ),
      ...joint(
        'plate',
        'beam post tops',
        'Posts to the beam, two plates each',
        [...posts, ...run.members],
        at.map((x): Vec3 => [x, y, topZ - deepMm]),
        { count: 2 * at.length },
      ),
      ...run.joints,
    ],
  };
}
