import type { RidgeSchool } from '../answers/hoops';
import type { Section } from '../../catalog/types';
import { type BuildSite, stock } from '../../site/buildSite';
import { thicknessMm } from '../../catalog/sections';
import { straightRun } from '../assembly/runs';
import type { HardwareUse, Member, Ridge } from '../assembly/types';

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
  readonly ridge: Ridge;
  readonly members: readonly Member[];
  readonly hardware: readonly HardwareUse[];
}

/** A ridge of the given school, with what ties it to every crown. */
export function buildRidge(school: RidgeSchool, site: RidgeSite): RidgeBuilt {
  const { pipe, hoopXs, y, crownZ, post } = site;
  const first = hoopXs[0] ?? 0;
  const last = hoopXs[hoopXs.length - 1] ?? 0;
  const n = hoopXs.length;
  const od = thicknessMm(pipe);
  if (school === 'none') return { ridge: { kind: 'none' }, members: [], hardware: [] };
  if (school === 'rope') {
    // Three lines: the crown and both sides at a third of the height; a turn round every hoop and a tail at each end.
    const metres = Math.ceil((3 * (last - first + n * Math.PI * od + 1200)) / 1000);
    const joint = 'Rope at the crown and at a third of the height, tied hoop to hoop';
    return { ridge: { kind: 'tied' }, members: [], hardware: [{ itemKey: 'rope', count: metres, joint }] };
  }
  const piped = school === 'pipe' || school === 'pipe-bolted';
  const made = piped ? pipe : stock(site.site, school === 'timber' ? TIMBER : BOARD);
  const { shape } = made;
  const depth = shape.kind === 'tube' ? shape.outsideMm : shape.widthMm;
  const z = crownZ - od / 2 - depth / 2;
  const from = Math.min(first - OVERHANG_MM, school === 'posted' ? post.xs[0] : first);
  const to = Math.max(last + OVERHANG_MM, school === 'posted' ? post.xs[1] : last);
  const run = straightRun({
    tag: 'R1',
    part: piped ? 'Ridge pipe' : 'Ridge board',
    section: made,
    from: [from, y, z],
    to: [to, y, z],
    wide: [0, 0, 1],
    hoopXs,
    markHoops: true,
  });
  if (piped) {
    const ties: HardwareUse =
      school === 'pipe'
        ? { itemKey: 'cable-tie', count: 2 * n, joint: 'Ridge to every crown, two ties crossed' }
        : { itemKey: 'u-bolt', count: n, joint: 'Round every crown and the ridge' };
    return { ridge: { kind: 'tied' }, members: run.members, hardware: [ties, ...run.hardware] };
  }
  const screws: HardwareUse = { itemKey: 'screw-1-5/8', count: n, joint: 'Through each crown into the ridge' };
  if (school === 'timber')
    return { ridge: { kind: 'tied' }, members: run.members, hardware: [screws, ...run.hardware] };
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
  const plates: HardwareUse = { itemKey: 'corner-plate', count: 4, joint: 'Posts, at the ridge and at the foot' };
  return {
    ridge: { kind: 'posted', section: made, spanMm: post.xs[1] - post.xs[0] },
    members: [...run.members, ...posts],
    hardware: [screws, plates, ...run.hardware],
  };
}
