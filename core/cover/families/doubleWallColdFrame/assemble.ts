import { type Result, ok } from '../../../base/result';
import { coverMaterial } from '../../../catalog/catalog';
import type { BuildSite } from '../../../site/buildSite';
import { treat } from '../../answers/bars';
import type { AssemblySpec } from '../../assembly/types';
import { type Stages, built, piecesOf } from '../../guide/built';
import { setOnWall } from '../../parts/frameStages';
import { glazingCover } from '../../parts/glazing';
import { hungLids } from '../../parts/hungLids';
import { slopedBoxShell } from '../../parts/slopedBoxShell';
import { hangWhole } from '../../parts/hungWhole';
import { glazeAndHangStages, lidFrameStages } from '../../parts/lidStages';
import type { DoubleWallColdFrameAnswers } from './answers';
import { hookedStage, netStages, wallStages } from './stages';
import { buildWalls } from './walls';

/** The lids have latches and stays of their own. */
const FRAME_ASKS = { latches: 'frameLatches', stays: 'frameStays' };

/** Builds the frame: walls of studs with film on both faces, low lids, a net under them, an opener in its pocket. */
export function assembleDoubleWallColdFrame(a: DoubleWallColdFrameAnswers, site: BuildSite): Result<AssemblySpec> {
  const { bed, survey } = site;
  const [x0, x1] = a.extent;
  const depth = survey.frameOn.widthMm;
  const z0 = bed.wall.heightMm;
  const { frontMm, backMm } = a;
  const place = { x0, x1, y0: 0, y1: depth, z0, frontMm, backMm, stud: treat(site, a.stud, a.wood) };
  const made = buildWalls(place);
  if (!made.ok) return made;
  const walls = made.value;
  const { plane, gapMm: gap } = walls;
  const screened = a.screen === 'screen';
  const lids = hungLids(a, depth, {
    x0,
    x1,
    back: { y: depth, z: plane(depth) },
    front: { y: 0, z: plane(0) },
    site,
    screened,
    behindScreen: screened && a.pocket === 'none',
    openerAt: screened && a.airing === 'opener' && a.pocket === 'front' ? 'front' : 'back',
  });
  const before = wallStages(a, place, walls, site);
  const after: Stages = [...lidFrameStages(lids), ...netStages(a, place, walls, site), ...glazeAndHangStages(lids)];
  const set = setOnWall(walls.all, 'X', [x0, x1], site);
  const hung =
    a.mount === 'hinged'
      ? hangWhole(
          // It hangs where its lids hang, at the back, by its own latch and chains.
          { hinges: 'far', latches: a.frameLatches, stays: a.frameStays, people: a.lifted, asks: FRAME_ASKS },
          'Frame',
          piecesOf([...before, ...after]),
          { ...place, along: { near: walls.front, far: walls.back }, ends: walls.sides },
          site,
          set,
        )
      : undefined;
  return ok({
    ...built(['cut', ...before, hung?.stage ?? hookedStage(a, place, walls, set), ...after]),
    // Under a net that is stapled down the lids are for air alone.
    openings: [
      ...(hung ? [hung.opening] : []),
      ...lids.openings.map((o) => (screened ? { ...o, reachedFrom: 'none' as const } : o)),
    ],
    under: [gap, depth - gap].map((y) => ({ y, z: plane(y) })),
    reachMm: [x0 + gap, x1 - gap],
    ...slopedBoxShell(a, site, place, ['frame', 'front', 'back', 'frame'], {
      skins: [
        { cover: coverMaterial(site.catalog, 'film-double'), m2: ((x1 - x0 + depth) * (frontMm + backMm)) / 1e6 },
        { cover: glazingCover(site.catalog, a.glazing), m2: lids.areaM2 },
      ],
    }),
  });
}
