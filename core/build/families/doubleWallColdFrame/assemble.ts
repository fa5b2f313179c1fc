import { joint, roundBox, spreadAlong } from '../../joints';
import { treat } from '../../answers/bars';
import type { Section } from '../../../catalog/types';
import { placeExtent } from '../../answers/place';
import { coverMaterial } from '../../../catalog/catalog';
import type { Vec3 } from '../../../base/geometry';
import { BARE } from '../../assembly/bare';
import { crossBoards } from '../../parts/crossBoards';
import { alongBed, endHeight, endWidth } from '../../assembly/dimension';
import { mirrored } from '../../assembly/mirror';
import { endsOf, piece } from '../../assembly/pieces';
import { packerWork, setOnBed } from '../../parts/frameSteps';
import { hangWhole } from '../../parts/hungWhole';
import { hungLids } from '../../parts/hungLids';
import { glazingCover } from '../../parts/glazing';
import type { Joint, Member, Said, SheetPart } from '../../assembly/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import { boardShape } from '../../../catalog/sections';
import { type Result, ok } from '../../../base/result';
import { MM_PER_INCH } from '../../../base/length';
import type { DoubleWallColdFrameAnswers } from './answers';
import { doubleWallSteps } from './steps';
import { buildWalls, wallBraces, wallSheets } from './walls';

/** The lids have latches and stays of their own. */
const FRAME_ASKS = { latches: 'frameLatches', stays: 'frameStays' };
const POCKET = '1x4';
const BRACE = '1x2';
const POCKET_MM = 300;

/** Builds the frame: walls of studs with film on both faces, low lids, a net under them, an opener in its pocket. */
export function assembleDoubleWallColdFrame(a: DoubleWallColdFrameAnswers, site: BuildSite): Result<Said> {
  const { bed, survey } = site;
  const outer = survey.frameOn;
  const extent = placeExtent(a.extent, outer.lengthMm);
  if (!extent.ok) return extent;
  const { startMm: x0, endMm: x1 } = extent.value;
  const length = x1 - x0;
  const depth = outer.widthMm;
  const z0 = bed.wall.heightMm;
  const wallSite = {
    stud: treat(site, a.stud, a.wood),
    x0,
    x1,
    y0: 0,
    y1: depth,
    z0,
    frontMm: a.frontMm,
    backMm: a.backMm,
  };
  const built = buildWalls(wallSite);
  if (!built.ok) return built;
  const walls = built.value;
  const gap = walls.gapMm;
  const plane = (y: number): number => z0 + a.frontMm + walls.slope * y;
  const screened = a.screen === 'screen';
  const opened = a.airing === 'opener';
  const inFront = screened && opened && a.pocket === 'front';
  const lids = hungLids(a, depth, {
    x0,
    x1,
    back: { y: depth, z: plane(depth) },
    front: { y: 0, z: plane(0) },
    site,
    safetyFilm: false,
    screened,
    behindScreen: screened && a.pocket === 'none',
    openerAt: inFront ? 'front' : 'back',
  });
  const pockets =
    screened && opened && a.pocket !== 'none'
      ? pocketBoards(a, [x0, length], inFront ? gap : depth - gap, walls.slope, plane, stock(site, POCKET))
      : [];
  const net: SheetPart = {
    tag: 'N1',
    part: 'Insect net',
    cover: coverMaterial(site.catalog, 'net'),
    rollKey: null,
    across: [
      { what: 'Front to back, down the slope', mm: depth * Math.hypot(1, walls.slope) },
      { what: 'Stapled to both plates', mm: 2 * 2 * MM_PER_INCH },
    ],
    along: [
      { what: 'Along the frame', mm: length },
      { what: 'Stapled to both sides', mm: 2 * 2 * MM_PER_INCH },
    ],
    faces: [
      [
        [x0, 0, plane(0) - 2],
        [x1, 0, plane(0) - 2],
        [x1, depth, plane(depth) - 2],
        [x0, depth, plane(depth) - 2],
      ],
    ],
  };
  const across = crossBoards('X', x0, x1, site);
  const sheets = [...wallSheets(wallSite, walls, a.cover, a.roll), ...(screened ? [net] : []), ...lids.sheets];
  const anchors = a.anchors ?? Math.max(4, 2 * Math.ceil(length / 1200));
  const perimeter = 2 * (length + depth);
  const rim = roundBox([x0, x1, 0, depth, z0], anchors);
  const walled = [...walls.front, ...walls.back, ...walls.sides];
  const braces = a.braces === 'corners' ? wallBraces(walls, stock(site, BRACE)) : [];
  const studs = walled.filter((m) => m.part.endsWith('stud'));
  const skins = sheets.filter((x) => x.tag.startsWith('S'));
  const own: readonly Joint[] = [
    ...walls.joints,
    ...joint('roundedEdge', 'edges', 'Every outer edge of the walls', walled, [], { count: 4 }),
    ...joint(
      'staple',
      'wall skins',
      'Both skins to both plates and every stud, every 100 mm',
      [...skins, ...walled],
      spreadAlong(studs, 100),
      { count: Math.ceil((4 * perimeter + 2 * studs.reduce((sum, m) => sum + m.lengthMm, 0)) / 100) },
    ),
    ...(a.tape === 'tape'
      ? joint('tapedEdge', 'edge tape', 'Over the stapled edges of both skins', skins, [], {
          count: Math.ceil((4 * perimeter) / 1000),
        })
      : []),
    ...joint('buttScrew', 'braces', 'Braces to the plates, two screws an end', [...braces, ...walled], endsOf(braces), {
      with: { screw: 'screw-1-5/8' },
    }),
    ...(screened
      ? joint('staple', 'net', 'Net to the top plates', [net, ...walled], rim, { count: Math.ceil(perimeter / 75) })
      : []),
    ...joint(
      'buttScrew',
      'pocket',
      `Pocket boards to the ${inFront ? 'front' : 'back'} plate`,
      [...pockets, ...(inFront ? walls.front : walls.back)],
      endsOf(pockets).filter((_, i) => i % 2 === 0),
      { with: { screw: 'screw-1-5/8' } },
    ),
    ...across.joints,
    ...lids.joints,
    ...(a.mount === 'hooked' ? joint('hook', 'anchors', 'Frame to the bed wall', walled, rim, { ask: 'anchors' }) : []),
  ];
  const set = setOnBed(walled, across.members, own, packerWork(survey));
  const whole = [...walled, ...braces, ...lids.members, ...pockets, ...sheets, ...lids.panels];
  const hung =
    a.mount === 'hinged'
      ? hangWhole(
          // It hangs where its lids hang, at the back, by its own latch and chains.
          { hinges: 'far', latches: a.frameLatches, stays: a.frameStays, people: a.lifted, asks: FRAME_ASKS },
          'Frame',
          whole,
          { x0, x1, y0: 0, y1: depth, z0, along: { near: walls.front, far: walls.back }, ends: walls.sides },
          site,
          set,
        )
      : undefined;
  const joints = [...own, ...(hung?.joints ?? [])];
  const under = [gap, depth - gap].map((y) => ({ y, z: plane(y) }));
  const mean = (a.frontMm + a.backMm) / 2;
  const assembly: Said = {
    ...BARE,
    members: [...walled, ...braces, ...lids.members, ...pockets, ...across.members, ...(hung?.members ?? [])],
    panels: lids.panels,
    sheets,
    joints,
    // Under a net that is stapled down the lids are for air alone.
    openings: [
      ...(hung ? [hung.opening] : []),
      ...lids.openings.map((o) => (screened ? { ...o, reachedFrom: 'none' as const } : o)),
    ],
    beams: lids.beams,
    spans: lids.spans,
    under,
    reachMm: [x0 + gap, x1 - gap],
    footing: { on: 'wall', stiff: true, lengthMm: length, widthMm: depth },
    fixing: 'battens',
    enclosure: {
      skins: [
        { cover: coverMaterial(site.catalog, 'film-double'), m2: (perimeter * mean) / 1e6 },
        { cover: glazingCover(site.catalog, a.glazing), m2: lids.areaM2 },
      ],
      floorM2: (length * depth) / 1e6,
      volumeM3: (length * depth * mean) / 1e9,
      heightM: a.backMm / 1000,
    },
    dimensions: [
      endWidth('boxWidth', 'frame', x0, [0, depth], false),
      endHeight('front', 'front', 'left', [x0, 0], [z0, z0 + a.frontMm]),
      endHeight('backHeight', 'back', 'right', [x0, depth], [z0, z0 + a.backMm]),
      ...alongBed(a, site, [x0, x1], 'frame'),
    ],
    steps: doubleWallSteps(a, { walls, braces, lids, pockets, crossBoards: across.members, sheets, joints, set, hung }),
  };
  return ok(a.back === 'near' ? mirrored(assembly, depth) : assembly);
}

/** Two boards along the slope of each lid, from its back plate down or its front plate up, that keep the net away from the opener's arm. */
function pocketBoards(
  a: DoubleWallColdFrameAnswers,
  [x0, length]: readonly [number, number],
  fromY: number,
  slope: number,
  plane: (y: number) => number,
  board: Section,
): readonly Member[] {
  const half = boardShape(board).widthMm / 2 + 4;
  const angle = Math.atan(slope);
  const normal: Vec3 = [0, -Math.sin(angle), Math.cos(angle)];
  const way = a.pocket === 'front' ? 1 : -1;
  // Clear of the wall at its upper edge as well as its lower.
  const start = fromY + way * half * Math.sin(angle);
  const at = (x: number, y: number): Vec3 => [x, y - normal[1] * half, plane(y) - normal[2] * half];
  return Array.from({ length: a.lids }, (_, i) => x0 + (length * (i + 0.5)) / a.lids).flatMap((middle, i) =>
    [-90, 90].map((off, k) =>
      piece(
        `Q${2 * i + k + 1}`,
        'Pocket board',
        board,
        at(middle + off, start),
        at(middle + off, start + way * POCKET_MM * Math.cos(angle)),
        normal,
      ),
    ),
  );
}
