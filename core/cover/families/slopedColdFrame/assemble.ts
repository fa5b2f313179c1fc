import { treat } from '../../answers/bars';
import { built } from '../../guide/built';
import { hungLids } from '../../parts/hungLids';
import { slopedBoxShell } from '../../parts/slopedBoxShell';
import { glazingCover } from '../../parts/glazing';
import { PLAY_MM } from '../../parts/slopedLid';
import type { AssemblySpec } from '../../assembly/types';
import type { BuildSite } from '../../../site/buildSite';
import { boardShape, thicknessMm } from '../../../catalog/sections';
import { type Result, fail, ok } from '../../../base/result';
import { type SlopedColdFrameAnswers, heightsOf } from './answers';
import { buildBox } from './box';
import { slopedStages } from './stages';

/** Length along the bed and depth across of a box whose lids are windows of a given size. */
function boxOfSash(a: SlopedColdFrameAnswers, fallMm: number): { readonly along: number; readonly depth: number } {
  const t = thicknessMm(a.board);
  const onBox = a.sashReachMm - a.overhangMm;
  let depth = onBox;
  for (let i = 0; i < 20; i++) {
    const slope = fallMm / Math.max(1, depth - t);
    depth = onBox / Math.hypot(1, slope);
  }
  return { along: a.lids * a.sashAlongMm + (a.lids - 1) * PLAY_MM, depth };
}

/** Builds the frame: a box of boards, back higher than front, with lids of windows, stiff sheet or film. */
export function assembleSlopedColdFrame(a: SlopedColdFrameAnswers, site: BuildSite): Result<AssemblySpec> {
  const { bed, survey } = site;
  const outer = survey.frameOn;
  const bySash = a.glazing === 'old-window' && a.sashBy === 'sash';
  const { frontMm, backMm } = heightsOf(a, bySash ? a.sashReachMm : outer.widthMm);
  const sash = boxOfSash(a, backMm - frontMm);
  const [x0, endMm] = a.extent;
  const x1 = bySash ? x0 + sash.along : endMm;
  const depth = bySash ? sash.depth : outer.widthMm;
  if (bySash && depth < 300) return fail('sashReachMm', 'Such windows make too narrow a box: look for longer ones.');
  const y0 = (outer.widthMm - depth) / 2;
  const z0 = bed.wall.heightMm;
  const board = treat(site, a.board, a.wood);
  const box = buildBox({
    site,
    board,
    x0,
    x1,
    y0,
    y1: y0 + depth,
    z0,
    frontBoard: a.frontBoard ? treat(site, a.frontBoard, a.wood) : board,
    frontMm,
    backMm,
  });
  if (!box.ok) return box;
  const { slope } = box.value;
  const t = boardShape(board).thicknessMm;
  const lids = hungLids(a, depth, {
    x0,
    x1,
    back: { y: y0 + depth, z: z0 + frontMm + slope * depth },
    front: { y: y0, z: z0 + frontMm },
    site,
    safetyFilm: a.safety === 'film',
  });
  const place = { x0, x1, y0, y1: y0 + depth, z0, frontMm, backMm };
  const plane = (y: number): number => z0 + frontMm + slope * (y - y0);
  const wallM2 = ((x1 - x0 + depth) * (frontMm + backMm)) / 1e6;
  return ok({
    ...built(slopedStages(a, box.value, lids, [x0, x1, y0, y0 + depth, z0], site)),
    openings: lids.openings,
    under: [y0 + t, y0 + depth - t].map((y) => ({ y, z: plane(y) })),
    reachMm: [x0 + t, x1 - t],
    ...slopedBoxShell(a, site, place, ['box', 'front', 'back', 'box'], {
      skins: [{ cover: glazingCover(site.catalog, a.glazing), m2: lids.areaM2 }],
      walls: [{ kind: 'board', thicknessMm: t, m2: wallM2 }],
    }),
  });
}
