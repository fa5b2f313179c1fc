import { type Result, fail, ok } from '../../../base/result';
import type { Flat, Vec3 } from '../../../base/geometry';
import { boardShape } from '../../../catalog/sections';
import { section } from '../../../catalog/catalog';
import type { Section } from '../../../catalog/types';
import type { BuildSite } from '../../../site/buildSite';
import { endsOf, piece } from '../../assembly/pieces';
import type { Joint, Member } from '../../assembly/types';
import { evenly, joint, roundBox } from '../../joints';
import { straightRun } from '../../joints/runs';
import { hoopPlaces } from '../../parts/hoops';
import { paneWidth } from '../../parts/glazing';
import type { LeanToAnswers } from './answers';

/** Ends deeper than this have a stud in their middle. */
const DEEP_END_MM = 900;
const WALL_ANCHORS_APART_MM = 500;

/** Where the roof lies: its angle, and the heights of its top and underside over y, mm. */
export interface Roof {
  readonly angle: number;
  readonly top: (y: number) => number;
  readonly under: (y: number) => number;
}

/** The roof from the outer top edge of the header in front to the top of the wall plate. */
function roofOf(frontZ: number, backZ: number, runMm: number, depthMm: number): Result<Roof> {
  const angle = Math.atan2(backZ - frontZ, runMm);
  const deg = (angle * 180) / Math.PI;
  if (deg < 8)
    return fail(
      'back',
      'The roof would be too flat for rain and snow to run off: raise the wall plate or lower the front.',
    );
  if (deg > 50)
    return fail('back', 'The roof would be steeper than 50 degrees: lower the wall plate or raise the front.');
  const top = (y: number): number => frontZ + y * Math.tan(angle);
  return ok({ angle, top, under: (y) => top(y) - depthMm / Math.cos(angle) });
}

export interface LeanToFrame {
  readonly roof: Roof;
  readonly xs: readonly number[];
  /** Where stiff sheets begin, meet and end along the roof. */
  readonly sheetXs: readonly number[];
  readonly plates: readonly Member[];
  readonly uprights: readonly Member[];
  readonly rafters: readonly Member[];
  /** The header in front, among the plates. */
  readonly header: readonly Member[];
  /** Thickness of plates and header. */
  readonly plateMm: number;
  /** Underside of the header in front. */
  readonly headZ: number;
  /** The end wall from the bed to the roof, front edge first, as (y, height above the bed). */
  readonly end: readonly Flat[];
  readonly joints: readonly Joint[];
}

/** Studs, sills and header of one thickness, so that they are flush: the shallowest header that the rafters can hang on. */
function boardsFor(
  a: LeanToAnswers,
  site: BuildSite,
  width: number,
): { readonly studBoard: Section; readonly sillBoard: Section; readonly header: Section } {
  const [frontZ, backZ] = [site.bed.wall.heightMm + a.frontMm, site.bed.wall.heightMm + a.backMm];
  const sets = SETS[site.market].map(([stud, head]) => ({
    studBoard: section(site.catalog, stud),
    sillBoard: section(site.catalog, `${stud} treated`),
    header: section(site.catalog, head),
  }));
  const deep = sets.find(({ studBoard, header }) => {
    const t = boardShape(studBoard).thicknessMm;
    const roof = roofOf(frontZ, backZ, width - t, boardShape(a.rafter).widthMm);
    return roof.ok && boardShape(header).widthMm >= frontZ - roof.value.under(t);
  });
  return deep ?? (sets[sets.length - 1] as (typeof sets)[number]);
}

/** Stud and header, by what shops sell in one thickness. */
const SETS: Readonly<Record<BuildSite['market'], readonly (readonly [stud: string, header: string])[]>> = {
  imperial: [
    ['2x4', '2x4'],
    ['2x4', '2x6'],
  ],
  metric: [
    ['38x89 mm', '38x89 mm'],
    ['45x95 mm', '45x145 mm'],
  ],
};

/** Sills on the bed, a front wall of studs, a plate on the house wall, and rafters from one to the other. */
export function buildFrame(a: LeanToAnswers, site: BuildSite, x0: number, x1: number): Result<LeanToFrame> {
  const width = site.survey.frameOn.widthMm;
  const z0 = site.bed.wall.heightMm;
  const { studBoard, sillBoard, header } = boardsFor(a, site, width);
  const { thicknessMm: t, widthMm: p } = boardShape(studBoard);
  const { thicknessMm: rt, widthMm: depthMm } = boardShape(a.rafter);
  if (width < p + t + 300)
    return fail('wall', 'Between front and wall there is no room for a roof on so narrow a bed.');
  const [frontZ, backZ] = [z0 + a.frontMm, z0 + a.backMm];
  const found = roofOf(frontZ, backZ, width - t, depthMm);
  if (!found.ok) return found;
  const roof = found.value;
  // Joints of stiff sheet fall on rafters: as many bays to each sheet. The outer sheets reach half a rafter farther.
  const panes =
    a.glazing === 'film' ? 1 : Math.ceil((x1 - x0 - rt) / (paneWidth({ site, glazing: a.glazing }) - rt / 2) - 1e-6);
  const spaced = hoopPlaces(x0, x1, rt / 2, a.rafters, a.maxSpacingMm);
  if (!spaced.ok) return spaced;
  const even = hoopPlaces(x0, x1, rt / 2, panes * Math.ceil((spaced.value.length - 1) / panes) + 1, a.maxSpacingMm);
  if (!even.ok) return even;
  const xs = even.value;
  const baysEach = (xs.length - 1) / panes;
  const inner = xs.filter((_, i) => i > 0 && i < xs.length - 1 && i % baysEach === 0);

  const along = (tag: string, part: string, board: typeof sillBoard, y: number, z: number, wide: Vec3, marked = true) =>
    straightRun(tag, part, board, [x0, x1], [y, z], wide, { xs, mark: marked ? (n) => `R${n + 1}` : undefined });
  const up: Vec3 = [0, 0, 1];
  const across: Vec3 = [0, 1, 0];
  // The header is as deep as the plumb ends of the rafters that hang on it.
  if (boardShape(header).widthMm < frontZ - roof.under(t))
    return fail('rafter', 'No header is deep enough for such rafters: choose a shallower board.');
  const headZ = frontZ - boardShape(header).widthMm;
  const sill = along('A1', 'Front sill', sillBoard, p / 2, z0 + t / 2, across, false);
  const head = along('A2', 'Front header', header, t / 2, (frontZ + headZ) / 2, up);
  const wallPlate = along('W1', 'Wall plate', sillBoard, width - t / 2, backZ - p / 2, up);
  const endSills = [x0 + p / 2, x1 - p / 2].map((x, i) =>
    piece(`A${3 + i}`, 'End sill', sillBoard, [x, p, z0 + t / 2], [x, width, z0 + t / 2], [1, 0, 0]),
  );
  const upright = (tag: string, part: string, x: number, y: number, toZ: number, wide: Vec3, bevelDeg = 0): Member =>
    piece(tag, part, studBoard, [x, y, z0 + t], [x, y, toZ], wide, {
      ...(bevelDeg > 0 && { ends: ['square', 'bevel'] as const, endAnglesDeg: [0, bevelDeg] as const }),
    });
  const studs = evenly([x0 + t / 2, 0, 0], [x1 - t / 2, 0, 0], a.lids + 1).map(([x], i) =>
    upright(`D${i + 1}`, 'Front stud', x, p / 2, headZ, across),
  );
  const posts = [x0 + p / 2, x1 - p / 2].map((x, i) =>
    upright(`P${i + 1}`, 'Wall post', x, width - t / 2, backZ - p, [1, 0, 0]),
  );
  const angleDeg = (roof.angle * 180) / Math.PI;
  const middles =
    width > DEEP_END_MM
      ? [x0 + t / 2, x1 - t / 2].map((x, i) =>
          upright(`P${3 + i}`, 'End stud', x, width / 2, roof.under(width / 2), across, angleDeg),
        )
      : [];
  const normal: Vec3 = [0, -Math.sin(roof.angle), Math.cos(roof.angle)];
  const middleZ = (y: number): number => (roof.top(y) + roof.under(y)) / 2;
  const rafters = xs.map((x, i) =>
    piece(`R${i + 1}`, 'Rafter', a.rafter, [x, t, middleZ(t)], [x, width - t, middleZ(width - t)], normal, {
      ends: ['mitre', 'mitre'],
      endAnglesDeg: [-angleDeg, angleDeg],
    }),
  );
  const uprights = [...studs, ...posts, ...middles];
  const anchored = [...wallPlate.members, ...posts];
  const anchors = a.wallAnchors ?? Math.ceil((x1 - x0) / WALL_ANCHORS_APART_MM) + 1 + 2 * posts.length;
  return ok({
    roof,
    xs,
    sheetXs: [x0, ...inner, x1],
    header: head.members,
    plateMm: t,
    plates: [...sill.members, ...head.members, ...wallPlate.members, ...endSills],
    uprights,
    rafters,
    headZ,
    end: [
      [0, 0],
      [width, 0],
      [width, roof.top(width) - z0],
      [0, roof.top(0) - z0],
    ],
    joints: [
      ...joint(
        'wallAnchor',
        'wall anchors',
        'Wall plate and posts to the wall',
        anchored,
        [
          ...evenly(
            [x0 + 100, width, backZ - p / 2],
            [x1 - 100, width, backZ - p / 2],
            Math.max(0, anchors - 2 * posts.length),
          ),
          ...posts.flatMap((m) => endsOf([m])).slice(0, anchors),
        ],
        { ask: 'wallAnchors', with: { wall: a.wall } },
      ),
      ...joint(
        'buttScrew',
        'sills',
        'Front sill to the end sills',
        [...sill.members, ...endSills],
        endSills.flatMap((m) => endsOf([m]).slice(0, 1)),
        { with: { screw: 'screw-3' } },
      ),
      ...joint(
        'buttScrew',
        'uprights',
        'Studs and posts, two screws an end',
        [...uprights, ...sill.members, ...head.members, ...endSills],
        endsOf(uprights),
      ),
      ...joint(
        'hanger',
        'rafter ends',
        'Rafters to the header and the wall plate',
        [...rafters, ...head.members, ...wallPlate.members],
        endsOf(rafters),
      ),
      ...[sill, head, wallPlate].flatMap((r) => r.joints),
      ...joint(
        'bracket',
        'anchors',
        'Sills to the bed wall',
        [...sill.members, ...endSills],
        roundBox([x0, x1, 0, width, z0], a.anchors ?? Math.max(4, 2 * Math.ceil((x1 - x0) / 1200))),
        { ask: 'anchors' },
      ),
    ],
  });
}
