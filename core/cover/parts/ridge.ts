import { joint } from '../joints';
import type { Vec3 } from '../../base/geometry';
import { MM_PER_INCH } from '../../base/length';
import { soilZ } from '../assembly/crop';
import type { RidgeSchool } from '../answers/hoops';
import type { Section } from '../../catalog/types';
import { type BuildSite, stock } from '../../site/buildSite';
import { thicknessMm, tubeShape } from '../../catalog/sections';
import { hoopMark, straightRun } from '../joints/runs';
import type { Joint, Member } from '../assembly/types';

const TIMBER = '2x2';
const BOARD = '2x4';
const OVERHANG_MM = 30;

/** Where a ridge goes: under the crowns of hoops at these places. */
export interface RidgeSite {
  readonly site: BuildSite;
  readonly pipe: Section;
  readonly hoopXs: readonly number[];
  readonly y: number;
  readonly crownZ: number;
  /** Posts of a posted ridge: what of, where they stand, how far down they go, and how deep in the soil that is. */
  readonly post: {
    readonly section: Section;
    readonly xs: readonly [number, number];
    readonly footZ: number;
    readonly inSoilMm: number;
  };
}

export interface RidgeBuilt {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
}

const POST_IN_SOIL_MM = 18 * MM_PER_INCH;

/** Posts of a ridge that are dug into the soil of the bed. */
export const soilPosts = (site: BuildSite, xs: readonly [number, number]): RidgeSite['post'] => ({
  section: stock(site, '2x2 treated'),
  xs,
  footZ: soilZ(site.bed) - POST_IN_SOIL_MM,
  inSoilMm: POST_IN_SOIL_MM,
});

/**
 * A ridge of the given school, with what ties it to every crown.
 * @param hoops the hoops it ties, as they stand along the bed
 */
export function buildRidge(
  school: RidgeSchool,
  site: RidgeSite,
  hoops: readonly { readonly tag: string }[],
): RidgeBuilt {
  const { pipe, hoopXs, y, crownZ, post } = site;
  const first = hoopXs[0] ?? 0;
  const last = hoopXs[hoopXs.length - 1] ?? 0;
  const n = hoopXs.length;
  const od = thicknessMm(pipe);
  const crowns = hoopXs.map((x): Vec3 => [x, y, crownZ]);
  if (school === 'none') return { members: [], joints: [] };
  if (school === 'rope') {
    // Three lines: the crown and both sides at a third of the height; a turn round every hoop and a tail at each end.
    const metres = Math.ceil((3 * (last - first + n * Math.PI * od + 1200)) / 1000);
    const where = 'Rope at the crown and at a third of the height, tied hoop to hoop';
    return {
      members: [],
      joints: joint('rope', 'ridge', where, hoops, crowns, { count: metres }),
    };
  }
  // Wire of mesh is stapled down as it lies; pipe is screwed through, each at its mark.
  const wire = tubeShape(pipe).insideMm === 0;
  const piped = school === 'pipe' || school === 'pipe-bolted';
  const made = piped ? pipe : stock(site.site, school === 'posted' ? BOARD : TIMBER);
  const { shape } = made;
  const depth = shape.kind === 'tube' ? shape.outsideMm : shape.widthMm;
  const z = crownZ - od / 2 - depth / 2;
  const from = Math.min(first - OVERHANG_MM, school === 'posted' ? post.xs[0] : first);
  const to = Math.max(last + OVERHANG_MM, school === 'posted' ? post.xs[1] : last);
  const run = straightRun('R1', piped ? 'Ridge pipe' : 'Ridge board', made, [from, to], [y, z], [0, 0, 1], {
    xs: hoopXs,
    mark: wire ? undefined : hoopMark,
  });
  const joined = [...hoops, ...run.members];
  const tied = (): readonly Joint[] => joint('tie', 'ridge', 'Ridge to every crown, two ties crossed', joined, crowns);
  if (piped) {
    const held =
      school === 'pipe' ? tied() : joint('uBolt', 'ridge', 'Round every crown and the ridge', joined, crowns);
    // A loose end of pipe under film cuts it.
    const caps = joint('cap', 'ridge caps', 'Both ends of the ridge pipe', run.members, [
      [from, y, z],
      [to, y, z],
    ]);
    return { members: run.members, joints: [...held, ...caps, ...run.joints] };
  }
  if (school === 'timber-tied') return { members: run.members, joints: [...tied(), ...run.joints] };
  const screwed = wire
    ? joint('staple', 'ridge', 'Over each wire into the ridge', joined, crowns)
    : joint('crownScrew', 'ridge', 'Through each crown into the ridge', joined, crowns);
  if (school === 'timber') return { members: run.members, joints: [...screwed, ...run.joints] };
  const postTop = z - depth / 2;
  const posts = post.xs.map((x, i): Member => ({
    tag: `P${i + 1}`,
    part: 'Ridge post',
    section: post.section,
    shape: { kind: 'straight', from: [x, y, post.footZ], to: [x, y, postTop], wide: [0, 1, 0] },
    lengthMm: postTop - post.footZ,
    ends: ['square', 'square'],
    holes: [],
    marks: post.inSoilMm > 0 ? [{ atMm: post.inSoilMm, label: 'soil' }] : [],
  }));
  const tops = post.xs.map((x): Vec3 => [x, y, postTop]);
  const feet = post.xs.map((x): Vec3 => [x, y, post.footZ]);
  return {
    members: [...run.members, ...posts],
    joints: [
      ...screwed,
      ...joint('plate', 'post tops', 'Posts to the ridge', [...posts, ...run.members], tops),
      // A post in the soil stands by itself; one on a frame is plated to it.
      ...(post.inSoilMm > 0 ? [] : joint('plate', 'post feet', 'Posts to the frame', posts, feet)),
      ...run.joints,
    ],
  };
}
