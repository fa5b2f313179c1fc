import { underLine } from '../../assembly/enclosure';
import { joint } from '../../joints';
import { batteningOf } from '../../parts/frame';
import type { Section } from '../../../catalog/types';
import { placeExtent } from '../../answers/place';
import { BARE } from '../../assembly/bare';
import { crossBoards } from '../../parts/crossBoards';
import { alongBed, endHeight, endWidth, leader } from '../../assembly/dimension';
import { endSheets, fastened, flapOpenings, framedSheet } from '../../parts/framedSheet';
import { hoopPlaces } from '../../parts/hoops';
import { type Point2, type Vec3 } from '../../../base/geometry';
import { sheetRun } from '../../assembly/sheetRun';
import { endsOf, piece } from '../../assembly/pieces';
import { straightRun } from '../../joints/runs';
import type { Joint, Member, Said } from '../../assembly/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import { boardShape } from '../../../catalog/sections';
import { type Result, fail, ok } from '../../../base/result';
import type { AFrameAnswers } from './answers';
import { type Slope, dividedSlopes } from './slopes';
import { aFrameSteps } from './steps';

const RAIL = '1x4 treated';
const TIE = '1x4 treated';
const BATTEN = '1x2';

/** Each mark carries both legs of its triangle. */
const markLabel = (n: number): string => `L${2 * n + 1}, L${2 * n + 2}`;

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
export function assembleAFrame(a: AFrameAnswers, site: BuildSite): Result<Said> {
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

  const ridgeRun = straightRun(
    'R1',
    'Ridge board',
    a.ridge,
    [x0, x1],
    [width / 2, z0 + a.heightMm - ridge.widthMm / 2],
    [0, 0, 1],
    { xs, mark: markLabel },
  );
  const onSlope = (
    tag: string,
    part: string,
    key: Section,
    far: boolean,
    along: number,
    off: number,
  ): ReturnType<typeof straightRun> => {
    const p = at(along, off);
    return straightRun(tag, part, key, [x0, x1], [sideY(p, far), p.z], [0, (far ? -1 : 1) * s.along.y, s.along.z], {
      xs,
      mark: key.key === railBoard.key ? markLabel : undefined,
    });
  };
  const middle = rail.widthMm / 2;
  const railRuns = [false, true].map((far, i) =>
    onSlope(`A${i + 1}`, 'Side rail', railBoard, far, middle, rail.thicknessMm / 2),
  );
  const rails = railRuns.flatMap((r) => r.members);
  const battens =
    a.fixing === 'battens'
      ? [false, true].flatMap(
          (far, i) =>
            onSlope(
              `B${i + 1}`,
              'Cover batten',
              battenBoard,
              far,
              middle,
              rail.thicknessMm + boardShape(battenBoard).thicknessMm / 2,
            ).members,
        )
      : [];
  const sides = dividedSlopes(a, { legs, xs, s, at, sideY, rail, batten: battenBoard });
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
  const line = sheetRun(
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
  const feetAt = legs.flatMap((m) => endsOf([m]).slice(0, 1));
  const topsAt = legs.flatMap((m) => endsOf([m]).slice(1));
  const endLegs = [...legs.slice(0, 2), ...legs.slice(-2)];
  const flaps = sheets.slice(1);
  const anchors = a.anchors ?? legs.length;
  const foot = xs.flatMap((x) => [false, true].map((far): Vec3 => [x, sideY(at(middle, 0), far), at(middle, 0).z]));
  const joints: readonly Joint[] = [
    ...joint('buttScrew', 'ridge', 'Two through the ridge into each leg', [...legs, ...ridgeRun.members], topsAt, {
      with: { screw: 'screw-3' },
    }),
    ...joint('buttScrew', 'foot ties', 'Foot ties, two screws an end', [...ties, ...endLegs], endsOf(ties), {
      with: { screw: 'screw-1-5/8' },
    }),
    ...joint('buttScrew', 'rails', 'Side rails to every leg, two screws', [...rails, ...legs], foot, {
      with: { screw: 'screw-1-5/8' },
    }),
    ...railRuns.flatMap((r) => r.joints),
    ...ridgeRun.joints,
    ...joint(
      'roundedEdge',
      'edges',
      'Top of the ridge and outer edges of the end legs',
      [...ridgeRun.members, ...endLegs],
      [],
      { count: 3, with: { how: a.edge } },
    ),
    ...fastened(a.fixing, {
      sheets: sheets.slice(0, 1),
      rails,
      hoops: [],
      battening: batteningOf(battens, rails),
      cover: covered,
      railZ: z0,
      y0: 0,
      endStaples: Math.ceil((4 * legTopLength(legs)) / 150),
      channelScrew: 'screw-1',
    }),
    ...(flaps.length > 0
      ? [
          ...joint(
            'staple',
            'flap heads',
            'Flaps along the top of the end triangles',
            [...flaps, ...endLegs],
            topsAt.slice(0, 2),
            { count: 2 * Math.ceil((2 * legTopLength(legs)) / 150) },
          ),
          ...joint(
            'bag',
            'flap weights',
            'Two on each end flap',
            flaps,
            endLegs.flatMap((m) => endsOf([m]).slice(0, 1)),
            { with: { holds: 'nothing' } },
          ),
          ...joint('rope', 'flap ties', 'Ties that hold the flaps rolled up', flaps, topsAt.slice(0, 2), { count: 4 }),
        ]
      : []),
    ...joint('bracket', 'anchors', 'Legs to the bed wall', legs, feetAt.slice(0, anchors), {
      ask: 'anchors',
      count: anchors,
    }),
    ...across.joints,
    ...sides.joints(sheets.slice(0, 1), rails),
  ];
  const first = xs[0] ?? x0;
  const legLength = legs[0]?.lengthMm ?? 0;
  const middleOfLeg: Vec3 = [first, width - s.topY * 0.45, z0 + a.heightMm * 0.45];

  const triangles = { id: 'pairs', now: xs.length, words: ['triangle', 'triangles'] } as const;
  return ok({
    ...BARE,
    members: [...legs, ...ridgeRun.members, ...ties, ...rails, ...battens, ...sides.members, ...across.members],
    sheets,
    joints,
    openings: flaps.length > 0 ? flapOpenings(flaps, covered).map((o) => ({ ...o, open: ['flap ties'] })) : [],
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
        asked: triangles,
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
        asked: triangles,
      },
    ],
    under,
    reachMm: [x0, x1],
    footing: { on: 'wall', stiff: true, lengthMm: x1 - x0, widthMm: width },
    fixing: a.fixing,
    enclosure: underLine(a.cover, line, { lengthMm: x1 - x0, widthMm: width, heightMm: rise }),
    dimensions: [
      endWidth('frameWidth', 'frame', first, [0, width], false),
      endHeight('height', 'ridge above the wall', 'left', [first, 0], [z0, z0 + a.heightMm]),
      leader('legLength', 'leg, long points', 'end', middleOfLeg, legLength, false),
      ...alongBed(a, site, [x0, x1], 'frame', { xs, label: 'leg to leg' }),
    ],
    steps: aFrameSteps(a, {
      legs,
      ridge: ridgeRun.members,
      ties,
      rails,
      battens,
      legBattens: sides.members,
      crossBoards: across.members,
      sheets,
      joints,
      survey,
      steepDeg: steep,
      spacingMm: spacing,
    }),
  });
}

/** Length of a leg, along which half of a flap's head and half of an end of the cover is stapled. */
const legTopLength = (legs: readonly Member[]): number => legs[0]?.lengthMm ?? 0;
