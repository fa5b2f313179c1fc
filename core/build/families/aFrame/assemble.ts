import type { Section } from '../../../catalog/types';
import { placeExtent } from '../../answers/place';
import { BARE } from '../../assembly/bare';
import { crossBoards } from '../../parts/crossBoards';
import { cropUnder } from '../../assembly/crop';
import { alongBed, dimension, leader } from '../../assembly/dimension';
import { endSheets, framedSheet } from '../../parts/framedSheet';
import { hoopPlaces } from '../../parts/hoops';
import { type Point2, type Vec3, enclosedArea, pathLength, tautOutline } from '../../../base/geometry';
import { piece, some, use } from '../../assembly/pieces';
import { straightRun } from '../../assembly/runs';
import type { Assembly, HardwareUse, Member } from '../../assembly/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import { boardShape } from '../../../catalog/sections';
import { type Result, fail, ok } from '../../../base/result';
import type { AFrameAnswers } from './answers';
import { aFrameSteps } from './steps';

const RAIL = '1x4 treated';
const TIE = '1x4 treated';
const BATTEN = '1x2';
const BRACKET_N = 400;

/** The slope of the legs and the way along and off the left one. */
interface Slope {
  readonly angle: number;
  readonly along: Point2;
  readonly off: Point2;
  /** Plumb face of the ridge that the left legs meet. */
  readonly topY: number;
}

function slopeOf(widthMm: number, heightMm: number, ridgeMm: number): Slope {
  const topY = widthMm / 2 - ridgeMm / 2;
  const angle = Math.atan2(heightMm, topY);
  return {
    angle,
    along: { y: Math.cos(angle), z: Math.sin(angle) },
    off: { y: -Math.sin(angle), z: Math.cos(angle) },
    topY,
  };
}

/** Builds the frame: triangles of two legs against a ridge board, side rails on their feet, cover over all. */
export function assembleAFrame(a: AFrameAnswers, site: BuildSite): Result<Assembly> {
  const { bed, survey } = site;
  const width = survey.frameOn.widthMm;
  const extent = placeExtent(a.extent, survey.frameOn.lengthMm);
  if (!extent.ok) return extent;
  const { startMm: x0, endMm: x1 } = extent.value;
  const leg = boardShape(a.leg);
  const ridge = boardShape(a.ridge);
  const railBoard = stock(site, RAIL);
  const battenBoard = stock(site, BATTEN);
  const rail = boardShape(railBoard);
  const s = slopeOf(width, a.heightMm, ridge.thicknessMm);
  const steep = (s.angle * 180) / Math.PI;
  if (steep < 25 || steep > 75)
    return fail('height', 'The legs must slope between 25 and 75 degrees: change the height of the ridge.');
  if (leg.widthMm / Math.sin(s.angle) > width / 3)
    return fail('leg', 'The legs are too wide for so narrow a bed: choose a narrower board.');
  const z0 = bed.wall.heightMm;
  const places = hoopPlaces(x0, x1, leg.thicknessMm / 2, a.pairs, a.maxSpacingMm);
  if (!places.ok) return places;
  const xs = places.value;
  const spacing = ((xs[xs.length - 1] ?? x1) - (xs[0] ?? x0)) / (xs.length - 1);

  const at = (along: number, off: number): Point2 => ({
    y: s.along.y * along + s.off.y * off,
    z: z0 + s.along.z * along + s.off.z * off,
  });
  const sideY = (p: Point2, far: boolean): number => (far ? width - p.y : p.y);
  const legs = xs.flatMap((x, i) => [false, true].map((far, k) => legMember(x, `L${2 * i + k + 1}`, far)));

  function legMember(x: number, tag: string, far: boolean): Member {
    const half = leg.widthMm / 2;
    const foot = at((half * s.along.y) / s.along.z, -half);
    const top = at((s.topY - half * s.along.z) / s.along.y, -half);
    const flip = far ? -1 : 1;
    return piece(
      tag,
      'Leg',
      a.leg,
      [x, sideY(foot, far), foot.z],
      [x, sideY(top, far), top.z],
      [0, flip * s.off.y, s.off.z],
      { ends: ['bevel', 'mitre'], endAnglesDeg: [90 - steep, steep] },
    );
  }

  const ridgeRun = straightRun({
    tag: 'R1',
    part: 'Ridge board',
    section: a.ridge,
    from: [x0, width / 2, z0 + a.heightMm - ridge.widthMm / 2],
    to: [x1, width / 2, z0 + a.heightMm - ridge.widthMm / 2],
    wide: [0, 0, 1],
    hoopXs: xs,
    markHoops: true,
  });
  const onSlope = (
    tag: string,
    part: string,
    key: Section,
    far: boolean,
    along: number,
    off: number,
  ): readonly Member[] => {
    const p = at(along, off);
    return straightRun({
      tag,
      part,
      section: key,
      from: [x0, sideY(p, far), p.z],
      to: [x1, sideY(p, far), p.z],
      wide: [0, (far ? -1 : 1) * s.along.y, s.along.z],
      hoopXs: xs,
      markHoops: key.key === railBoard.key,
    }).members;
  };
  const middle = rail.widthMm / 2;
  const rails = [false, true].flatMap((far, i) =>
    onSlope(`A${i + 1}`, 'Side rail', railBoard, far, middle, rail.thicknessMm / 2),
  );
  const battens =
    a.fixing === 'battens'
      ? [false, true].flatMap((far, i) =>
          onSlope(
            `B${i + 1}`,
            'Cover batten',
            battenBoard,
            far,
            middle,
            rail.thicknessMm + boardShape(battenBoard).thicknessMm / 2,
          ),
        )
      : [];
  const tie = boardShape(stock(site, TIE));
  const inset = tie.widthMm / Math.tan(s.angle);
  const ties = [
    { x: (xs[0] ?? x0) + leg.thicknessMm / 2 + tie.thicknessMm / 2, tag: 'T1' },
    { x: (xs[xs.length - 1] ?? x1) - leg.thicknessMm / 2 - tie.thicknessMm / 2, tag: 'T2' },
  ].map(({ x, tag }) =>
    piece(
      tag,
      'Foot tie',
      stock(site, TIE),
      [x, inset, z0 + tie.widthMm / 2],
      [x, width - inset, z0 + tie.widthMm / 2],
      [0, 0, 1],
    ),
  );
  const across = crossBoards('C', x0, x1, site);

  const low = at(0, rail.thicknessMm);
  const line = tautOutline(
    [
      ...[low, at(rail.widthMm, rail.thicknessMm), { y: s.topY, z: z0 + a.heightMm }].flatMap((p) => [
        p,
        { y: width - p.y, z: p.z },
      ]),
    ],
    [low, { y: width - low.y, z: low.z }],
  );
  const legFoot = leg.widthMm / s.along.z;
  const legTop = at((s.topY - leg.widthMm * s.along.z) / s.along.y, -leg.widthMm);
  const ridgeLow = z0 + a.heightMm - ridge.widthMm;
  const half: readonly Point2[] = [
    { y: legFoot, z: z0 },
    { y: s.topY, z: legTop.z },
    { y: s.topY, z: Math.min(legTop.z, ridgeLow) },
  ];
  const under = [...half, ...half.map((p) => ({ y: width - p.y, z: p.z })).reverse()];
  const rise = a.heightMm;
  const covered = { line, x0, x1, lengthMm: x1 - x0, riseMm: rise, widthMm: width, wrapMm: a.wrapMm };
  const sheets = [framedSheet(a, a.ends, covered), ...(a.ends === 'flap' ? endSheets(a, covered) : [])];
  const anchors = a.anchors ?? legs.length;
  const hardware = hardwareOf(a, {
    pairs: xs.length,
    lengthMm: x1 - x0,
    rise,
    anchors,
    battens,
    rails,
    crossBoards: across.length,
  });
  const sectionM2 = enclosedArea(line) / 1e6;
  const first = xs[0] ?? x0;
  const legLength = legs[0]?.lengthMm ?? 0;
  const middleOfLeg: Vec3 = [first, width - s.topY * 0.45, z0 + a.heightMm * 0.45];

  return ok({
    ...BARE,
    members: [...legs, ...ridgeRun.members, ...ties, ...rails, ...battens, ...across],
    sheets,
    hardware: [...hardware, ...ridgeRun.hardware],
    beams: [
      {
        tags: xs.map((_, i) => `L${2 * i + 1}`),
        what: 'Legs',
        section: a.leg,
        across: 'width',
        spanMm: legLength,
        loadWidthMm: spacing,
        slopeDeg: steep,
        gable: true,
      },
      {
        tags: xs.map((_, i) => `L${2 * i + 1}`),
        what: 'Ridge board',
        section: a.ridge,
        across: 'width',
        spanMm: spacing,
        loadWidthMm: width / 4,
        slopeDeg: 0,
        gable: false,
      },
    ],
    under,
    reachMm: [x0, x1],
    footing: {
      on: 'wall',
      stiff: true,
      lengthMm: x1 - x0,
      widthMm: width,
      holdDowns: [{ what: 'brackets from the legs to the bed', count: anchors, eachN: BRACKET_N, ask: 'anchors' }],
    },
    contacts: [{ what: 'timber corner', guarded: a.edge === 'guarded' }],
    fixing: a.fixing,
    airing: { by: a.ends === 'flap' ? 'flaps' : 'skirt', screened: false },
    crop: cropUnder(bed, width, a.crop, a.rowFromEdgeMm, under),
    enclosure: {
      cover: a.cover,
      floorM2: ((x1 - x0) * width) / 1e6,
      coverM2: (pathLength(line) * (x1 - x0)) / 1e6 + 2 * sectionM2,
      volumeM3: (sectionM2 * (x1 - x0)) / 1000,
      heightM: rise / 1000,
    },
    dimensions: [
      dimension('frameWidth', 'frame', 'end', 'below', 1, [first, 0, 0], [first, width, 0], false),
      dimension('height', 'ridge above the wall', 'end', 'left', 1, [first, 0, z0], [first, 0, z0 + a.heightMm]),
      leader('legLength', 'leg, long points', 'end', middleOfLeg, legLength, false),
      ...alongBed({
        x0,
        x1,
        label: 'frame',
        wallMm: bed.wall.thicknessMm,
        rowFromEdgeMm: a.rowFromEdgeMm,
        xs,
        spacingLabel: 'leg to leg',
      }),
    ],
    steps: aFrameSteps(a, {
      legs,
      ridge: ridgeRun.members,
      ties,
      rails,
      battens,
      crossBoards: across,
      sheets,
      hardware,
      survey,
      steepDeg: steep,
      spacingMm: spacing,
    }),
    remarks: [],
  });
}

function hardwareOf(
  a: AFrameAnswers,
  c: {
    readonly pairs: number;
    readonly lengthMm: number;
    readonly rise: number;
    readonly anchors: number;
    readonly battens: readonly Member[];
    readonly rails: readonly Member[];
    readonly crossBoards: number;
  },
): readonly HardwareUse[] {
  const metres = Math.ceil((2 * c.lengthMm) / 1000);
  const battenScrews = c.battens.reduce((sum, b) => sum + Math.ceil(b.lengthMm / 300) + 1, 0);
  return some([
    use('screw-3', 4 * c.pairs, 'Two through the ridge into each leg'),
    use('screw-1-5/8', 8, 'Foot ties, two screws an end'),
    use('screw-1-5/8', 4 * c.pairs, 'Side rails to every leg, two screws'),
    use('corner-plate', Math.max(0, c.rails.length - 2), 'Plates over the joints of the side rails'),
    use('screw-1-5/8', battenScrews, 'Cover battens, one every 300 mm'),
    use('channel', a.fixing === 'channel' ? metres : 0, 'Along both rails'),
    use('spring-wire', a.fixing === 'channel' ? metres : 0, 'In the channel'),
    use('screw-1', a.fixing === 'channel' ? metres * 3 : 0, 'Channel to the rails'),
    use('staple', 2 * Math.ceil(c.lengthMm / 150), 'Cover along both rails'),
    use('staple', 4 * Math.ceil(c.rise / 150), 'Cover down the end legs'),
    use('bracket', c.anchors, 'Legs to the bed wall'),
    use('screw-2-1/2', 4 * c.crossBoards, 'Board across the soil, two screws an end'),
    use('sandbag', a.ends === 'flap' ? 4 : 0, 'Two on each end flap'),
    use('rope', a.ends === 'flap' ? 4 : 0, 'Ties that hold the flaps rolled up'),
  ]);
}
