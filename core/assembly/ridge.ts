import { type Market, stockFor } from '../catalog/market';
import { section, thicknessMm } from '../catalog/sections';
import { straightRun } from './runs';
import type { HardwareUse, Member, Ridge } from './types';

/** The schools of ridge that a row of hoops may have. */
export type RidgeSchool = 'none' | 'rope' | 'pipe' | 'pipe-bolted' | 'timber' | 'posted';

const TIMBER = '2x2';
const BOARD = '2x4';
const OVERHANG_MM = 30;

/** Where a ridge goes: under the crowns of hoops at these places. */
export interface RidgeSite {
  readonly market: Market;
  readonly pipeKey: string;
  readonly hoopXs: readonly number[];
  readonly y: number;
  readonly crownZ: number;
  /** Posts of a posted ridge: what of, where they stand, how far down they go, and how deep in the soil that is. */
  readonly post: {
    readonly sectionKey: string;
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
  const { pipeKey, hoopXs, y, crownZ, post } = site;
  const first = hoopXs[0] ?? 0;
  const last = hoopXs[hoopXs.length - 1] ?? 0;
  const n = hoopXs.length;
  const od = thicknessMm(section(pipeKey));
  if (school === 'none') return { ridge: { kind: 'none' }, members: [], hardware: [] };
  if (school === 'rope') {
    // Three lines: the crown and both sides at a third of the height; a turn round every hoop and a tail at each end.
    const metres = Math.ceil((3 * (last - first + n * Math.PI * od + 1200)) / 1000);
    const joint = 'Rope at the crown and at a third of the height, tied hoop to hoop';
    return { ridge: { kind: 'tied' }, members: [], hardware: [{ itemKey: 'rope', count: metres, joint }] };
  }
  const piped = school === 'pipe' || school === 'pipe-bolted';
  const sectionKey = piped ? pipeKey : stockFor(site.market, school === 'timber' ? TIMBER : BOARD);
  const shape = section(sectionKey).shape;
  const depth = shape.kind === 'tube' ? shape.outsideMm : shape.widthMm;
  const z = crownZ - od / 2 - depth / 2;
  const from = Math.min(first - OVERHANG_MM, school === 'posted' ? post.xs[0] : first);
  const to = Math.max(last + OVERHANG_MM, school === 'posted' ? post.xs[1] : last);
  const run = straightRun({
    tag: 'R1',
    part: piped ? 'Ridge pipe' : 'Ridge board',
    sectionKey,
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
    sectionKey: stockFor(site.market, post.sectionKey),
    shape: { kind: 'straight', from: [x, y, post.footZ], to: [x, y, postTop], wide: [0, 1, 0] },
    lengthMm: postTop - post.footZ,
    ends: ['square', 'square'],
    holes: [],
    marks: post.inSoilMm > 0 ? [{ atMm: post.inSoilMm, label: 'soil' }] : [],
  }));
  const plates: HardwareUse = { itemKey: 'corner-plate', count: 4, joint: 'Posts, at the ridge and at the foot' };
  return {
    ridge: { kind: 'posted', sectionKey, spanMm: post.xs[1] - post.xs[0] },
    members: [...run.members, ...posts],
    hardware: [screws, plates, ...run.hardware],
  };
}
