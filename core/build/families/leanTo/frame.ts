import type { Flat, Vec3 } from '../../../base/geometry';
import { type Made, fail, ok } from '../../../base/result';
import { section } from '../../../catalog/catalog';
import { boardShape } from '../../../catalog/sections';
import type { BuildSite } from '../../../site/buildSite';
import { piece } from '../../assembly/pieces';
import type { Member } from '../../assembly/types';
import { evenly } from '../../joints';
import { straightRun } from '../../joints/runs';
import { paneWidth } from '../../parts/glazing';
import { hoopPlaces } from '../../parts/hoops';
import type { LeanToAnswers } from './answers';

/** Ends deeper than this have a stud in their middle. */
const DEEP_END_MM = 900;

/** Stud and header, by what shops sell in one thickness, so that they are flush. */
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

/** The roof from the outer top edge of the header in front to the top of the wall plate: its angle, its top and its underside. */
function roofOf(frontZ: number, backZ: number, runMm: number, depthMm: number) {
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
  return ok({ angle, deg, top, under: (y: number) => top(y) - depthMm / Math.cos(angle) });
}

export type LeanToFrame = Made<typeof frameOf>;

/** Sills on the bed, a front wall of studs, a plate on the house wall, and rafters from one to the other. */
export function frameOf(a: LeanToAnswers, site: BuildSite) {
  const [x0, x1] = a.extent;
  const width = site.survey.frameOn.widthMm;
  const z0 = site.bed.wall.heightMm;
  const [frontZ, backZ] = [z0 + a.frontMm, z0 + a.backMm];
  const { thicknessMm: rt, widthMm: depthMm } = boardShape(a.rafter);
  // The shallowest header that the rafters can hang on: as deep as their plumb ends.
  const sets = SETS[site.market].map(([stud, head]) => {
    const [studBoard, header] = [section(site.catalog, stud), section(site.catalog, head)];
    const t = boardShape(studBoard).thicknessMm;
    const roof = roofOf(frontZ, backZ, width - t, depthMm);
    return { studBoard, header, t, roof, deep: roof.ok && boardShape(header).widthMm >= frontZ - roof.value.under(t) };
  });
  const {
    studBoard,
    header,
    t,
    roof: found,
    deep,
  } = sets.find((s) => s.deep) ?? (sets[sets.length - 1] as (typeof sets)[0]);
  const sillBoard = section(site.catalog, `${studBoard.key} treated`);
  const p = boardShape(studBoard).widthMm;
  if (width < p + t + 300)
    return fail('wall', 'Between front and wall there is no room for a roof on so narrow a bed.');
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
  if (!deep) return fail('rafter', 'No header is deep enough for such rafters: choose a shallower board.');

  const [up, across, along]: readonly [Vec3, Vec3, Vec3] = [
    [0, 0, 1],
    [0, 1, 0],
    [1, 0, 0],
  ];
  const headZ = frontZ - boardShape(header).widthMm;
  const mark = (n: number): string => `R${n + 1}`;
  const upright = (tag: string, part: string, [x, y, toZ]: Vec3, wide: Vec3, bevelDeg?: number): Member =>
    piece(tag, part, studBoard, [x, y, z0 + t], [x, y, toZ], wide, {
      ...(bevelDeg !== undefined && { ends: ['square', 'bevel'], endAnglesDeg: [0, bevelDeg] }),
    });
  const [{ angle, deg }, middle] = [roof, width / 2];
  const midway = (x: number, y: number): Vec3 => [x, y, (roof.top(y) + roof.under(y)) / 2];
  const ends = [x0 + t / 2, x1 - t / 2];
  return ok({
    ...{ x0, x1, z0, width, t, roof, xs, headZ, plateZ: backZ - p / 2 },
    /** Of the roof down its slope, and heights of the ends in front and at the wall. */
    slopeMm: width / Math.cos(angle),
    lowMm: roof.top(0) - z0,
    highMm: roof.top(width) - z0,
    /** Where stiff sheets begin, meet and end along the roof. */
    sheetXs: [x0, ...xs.filter((_, i) => i > 0 && i < xs.length - 1 && i % baysEach === 0), x1],
    /** The end wall from the bed to the roof, front edge first, as (y, height above the bed). */
    end: [
      [0, 0],
      [width, 0],
      [width, roof.top(width) - z0],
      [0, roof.top(0) - z0],
    ] as readonly Flat[],
    sill: straightRun('A1', 'Front sill', sillBoard, [x0, x1], [p / 2, z0 + t / 2], across, { xs }),
    header: straightRun('A2', 'Front header', header, [x0, x1], [t / 2, (frontZ + headZ) / 2], up, { xs, mark }),
    wallPlate: straightRun('W1', 'Wall plate', sillBoard, [x0, x1], [width - t / 2, backZ - p / 2], up, { xs, mark }),
    endSills: [x0 + p / 2, x1 - p / 2].map((x, i) =>
      piece(`A${3 + i}`, 'End sill', sillBoard, [x, p, z0 + t / 2], [x, width, z0 + t / 2], along),
    ),
    posts: [x0 + p / 2, x1 - p / 2].map((x, i) =>
      upright(`P${i + 1}`, 'Wall post', [x, width - t / 2, backZ - p], along),
    ),
    studs: [
      ...evenly([x0 + t / 2, p / 2, headZ], [x1 - t / 2, p / 2, headZ], a.lids + 1).map((at, i) =>
        upright(`D${i + 1}`, 'Front stud', at, across),
      ),
      ...(width > DEEP_END_MM ? ends : []).map((x, i) =>
        upright(`P${3 + i}`, 'End stud', [x, middle, roof.under(middle)], across, deg),
      ),
    ],
    rafters: xs.map((x, i) =>
      piece(
        `R${i + 1}`,
        'Rafter',
        a.rafter,
        midway(x, t),
        midway(x, width - t),
        [0, -Math.sin(angle), Math.cos(angle)],
        {
          ends: ['mitre', 'mitre'],
          endAnglesDeg: [-deg, deg],
        },
      ),
    ),
  });
}
