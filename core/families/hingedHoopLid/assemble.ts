import { cropUnderHoop } from '../../assembly/crop';
import { type HoopSite, hoopMembers, hoopPlaces, outerFace, placeExtent, springHoop } from '../../assembly/hoops';
import { type Point2, enclosedArea, pathLength, tautOutline } from '../../assembly/outline';
import { straightRun } from '../../assembly/runs';
import type {
  Allowance,
  Assembly,
  Dimension,
  HardwareUse,
  Mark,
  Member,
  Ridge,
  SheetPart,
  Vec3,
} from '../../assembly/types';
import { coverMaterial } from '../../catalog/covers';
import { boardShape, section, tubeShape } from '../../catalog/sections';
import { CAUTIONS } from '../../guide/cautions';
import type { Elastica } from '../../hoop/elastica';
import { type Result, fail, ok } from '../../result';
import { MM_PER_INCH } from '../../units/length';
import type { BuildSite } from '../family';
import type { HingedHoopLidAnswers } from './answers';

const inch = (x: number): number => x * MM_PER_INCH;
const PULL_MM = inch(2);
const BATTEN = '1x2';
const RIDGE_TIMBER = '2x2';
const RIDGE_BOARD = '2x4';
const TIE = '1x4';
const CROSS_BOARD = '1x6 treated';

/** Hinges along a side: 2 to 5 ft, 3 to 10 ft, one more for each further 4 ft. */
export function hingeCount(lengthMm: number): number {
  // A hair under, so that exactly 5 ft is not taken for more.
  const feet = lengthMm / inch(12) - 1e-6;
  if (feet <= 5) return 2;
  return feet <= 10 ? 3 : 3 + Math.ceil((feet - 10) / 4);
}

/**
 * Builds the lid: a frame the size of the bed, hoops in it, ridge, cover, hinges along one long side.
 *
 * Corner joints: the end boards run full length to the hinge side, so the hinge rail fits between them and the lid does
 * not rack; at the opening side the front rail runs the whole length and the end boards stop against its back.
 */
export function assembleHingedHoopLid(a: HingedHoopLidAnswers, site: BuildSite): Result<Assembly> {
  const { bed, survey } = site;
  const extent = placeExtent(a.extent, survey.frameOn.lengthMm);
  if (!extent.ok) return extent;
  const { startMm: x0, endMm: x1 } = extent.value;
  const length = x1 - x0;
  const width = survey.frameOn.widthMm;
  const board = boardShape(section(a.frame));
  const t = a.stand === 'on edge' ? board.thicknessMm : board.widthMm;
  const railHeight = a.stand === 'on edge' ? board.widthMm : board.thicknessMm;
  if (width - 2 * t < 200)
    return fail(
      'frame',
      'The boards leave no room between them on so narrow a bed. Stand them on edge or use a thinner board.',
    );
  const z0 = bed.wall.heightMm;
  const railTop = z0 + railHeight;
  const pipe = tubeShape(section(a.pipe));
  const od = pipe.outsideMm;

  const feetAt = {
    'straps-inside': { spanMm: width - 2 * t - od, z: z0 + 10 },
    sockets: { spanMm: width - t, z: railTop },
    'straps-outside': { spanMm: width + od, z: z0 + 10 },
  }[a.feet];
  const { spanMm, z: footZ } = feetAt;
  const footY = (width - spanMm) / 2;
  const outward = a.feet === 'straps-outside' ? od : 0;
  const outline = (hoop: Elastica): readonly Point2[] =>
    tautOutline(
      [...outerFace(hoop, a.pipe, footY, footZ), { y: 0, z: railTop }, { y: width, z: railTop }],
      [
        { y: -outward, z: z0 },
        { y: width + outward, z: z0 },
      ],
    );
  const rolls = coverMaterial(a.cover).rolls.filter((roll) => a.roll === null || roll.key === a.roll);
  const hoopSite: HoopSite = {
    feet: { kind: 'loose' },
    spanMm,
    tailMm: 0,
    tailAboveMm: 0,
    sheetAcrossMm: (hoop) => pathLength(outline(hoop)) + 2 * a.battenWrapMm + PULL_MM,
    widestRollMm: Math.max(0, ...rolls.map((roll) => roll.widthMm)),
  };
  const sprung = springHoop(a.shape, a.pipe, hoopSite);
  if (!sprung.ok) return sprung;
  const { hoop, cutMm } = sprung.value;
  const places = hoopPlaces(x0, x1, Math.max(a.endOffsetMm, t + od / 2), a.hoops, a.maxSpacingMm);
  if (!places.ok) return places;
  const xs = places.value;
  const n = xs.length;
  const first = xs[0] ?? x0;
  const last = xs[n - 1] ?? x1;
  const crownZ = footZ + hoop.heightMm;
  const middleY = width / 2;

  // Frame. The hinge rail sits between the end boards; the front rail takes the whole length.
  const hingeNear = a.hinges === 'near';
  const yOf = (side: 'hinge' | 'front'): number => ((side === 'hinge') === hingeNear ? t / 2 : width - t / 2);
  const railZ = z0 + railHeight / 2;
  const wide: Vec3 = a.stand === 'on edge' ? [0, 0, 1] : [0, 1, 0];
  const wideEnd: Vec3 = a.stand === 'on edge' ? [0, 0, 1] : [1, 0, 0];
  const front = straightRun({
    tag: 'A1',
    part: 'Front rail',
    sectionKey: a.frame,
    from: [x0, yOf('front'), railZ],
    to: [x1, yOf('front'), railZ],
    wide,
    hoopXs: xs,
    markHoops: true,
  });
  const hinge = straightRun({
    tag: 'A2',
    part: 'Hinge rail',
    sectionKey: a.frame,
    from: [x0 + t, yOf('hinge'), railZ],
    to: [x1 - t, yOf('hinge'), railZ],
    wide,
    hoopXs: xs,
    markHoops: true,
  });
  const endFrom = hingeNear ? 0 : t;
  const endTo = hingeNear ? width - t : width;
  const endBoards = [x0 + t / 2, x1 - t / 2].map((x, i): Member => ({
    tag: `A${3 + i}`,
    part: 'End board',
    sectionKey: a.frame,
    shape: { kind: 'straight', from: [x, endFrom, railZ], to: [x, endTo, railZ], wide: wideEnd },
    lengthMm: width - t,
    ends: ['square', 'square'],
    holes: [],
    marks: [],
  }));
  const ties = Array.from({ length: a.crossTies }, (_, i): Member => {
    const wanted = x0 + (length * (i + 1)) / (a.crossTies + 1);
    // Beside the nearest hoop, so that the tie meets the push where it is.
    const nearest = xs.reduce((best, x) => (Math.abs(x - wanted) < Math.abs(best - wanted) ? x : best), first);
    const x = nearest + od / 2 + boardShape(section(TIE)).thicknessMm / 2;
    return {
      tag: `T${i + 1}`,
      part: 'Cross tie',
      sectionKey: TIE,
      shape: { kind: 'straight', from: [x, t, railZ], to: [x, width - t, railZ], wide: [0, 0, 1] },
      lengthMm: width - 2 * t,
      ends: ['square', 'square'],
      holes: [],
      marks: [],
    };
  });

  const hoops = hoopMembers(sprung.value, a.pipe, xs, footY, footZ, 0);
  const ridge = buildRidge(a, xs, middleY, crownZ, railTop, { x0, x1, t });
  const batten = boardShape(section(BATTEN));
  const battens = (['front', 'hinge'] as const).flatMap((side, i) => {
    const y = yOf(side) + (yOf(side) < middleY ? -1 : 1) * (t / 2 + batten.thicknessMm / 2 + outward);
    return straightRun({
      tag: `B${i + 1}`,
      part: 'Cover batten',
      sectionKey: BATTEN,
      from: [x0, y, railZ],
      to: [x1, y, railZ],
      wide: [0, 0, 1],
      hoopXs: xs,
      markHoops: false,
    }).members;
  });
  const part = a.extent.kind === 'part';
  const openEnds = [...(part && x0 > 1 ? [x0] : []), ...(part && x1 < survey.frameOn.lengthMm - 1 ? [x1] : [])];
  const crossBoards = openEnds.map((x, i): Member => {
    const cross = boardShape(section(CROSS_BOARD));
    return {
      tag: `C${i + 1}`,
      part: 'Board across the soil',
      sectionKey: CROSS_BOARD,
      shape: {
        kind: 'straight',
        from: [x, bed.wall.thicknessMm, z0 - cross.widthMm / 2],
        to: [x, bed.wall.thicknessMm + bed.inside.widthMm, z0 - cross.widthMm / 2],
        wide: [0, 0, 1],
      },
      lengthMm: bed.inside.widthMm,
      ends: ['square', 'square'],
      holes: [],
      marks: [],
    };
  });
  const members = [
    ...front.members,
    ...hinge.members,
    ...endBoards,
    ...hoops,
    ...ridge.members,
    ...ties,
    ...battens,
    ...crossBoards,
  ];

  const hinges = hingeCount(length);
  const latches = site.windy ? 2 : 1;
  const screwsPerCorner = railHeight > 60 ? 3 : 2;
  const lines: HardwareUse[] = [
    { itemKey: 'screw-3', count: 4 * screwsPerCorner, joint: `Frame corners, ${screwsPerCorner} each` },
    ...(a.feet === 'sockets'
      ? [
          { itemKey: 'socket-cap', count: 2 * n, joint: 'One under each hoop foot' },
          { itemKey: 'screw-1', count: 2 * n, joint: 'One screw down through each cap' },
        ]
      : [
          { itemKey: 'strap', count: 2 * n, joint: 'One at each hoop foot' },
          { itemKey: 'screw-1', count: 4 * n, joint: 'Two screws a strap' },
        ]),
    ...(a.feet === 'straps-outside'
      ? [{ itemKey: 'end-cap', count: 2 * n, joint: 'Pipe ends outside the frame' }]
      : []),
    ...ridge.hardware,
    ...(a.crossTies > 0
      ? [{ itemKey: 'screw-2-1/2', count: 4 * a.crossTies, joint: 'Cross ties, two screws an end' }]
      : []),
    ...(crossBoards.length > 0
      ? [{ itemKey: 'screw-2-1/2', count: 4 * crossBoards.length, joint: 'Board across the soil, two screws an end' }]
      : []),
    {
      itemKey: 'screw-1-5/8',
      count: battens.reduce((sum, b) => sum + Math.ceil(b.lengthMm / 300) + 1, 0),
      joint: 'Cover battens, one every 300 mm',
    },
    {
      itemKey: 'staple',
      count: 2 * Math.ceil(length / 150) + 2 * Math.ceil(width / 100),
      joint: 'Cover under the battens and on the end boards',
    },
    { itemKey: 'hinge', count: hinges, joint: 'Hinge rail to the bed' },
    { itemKey: 'handle', count: 1, joint: 'Front rail, in the middle' },
    {
      itemKey: 'latch',
      count: latches,
      joint: site.windy ? 'Front rail to the bed, two where it is windy' : 'Front rail to the bed',
    },
    { itemKey: 'stay', count: length > inch(96) ? 2 : 1, joint: 'Holds the lid open' },
    ...(a.paint === 'paint' && coverMaterial(a.cover).kind === 'film' && section(a.pipe).material === 'pvc'
      ? [{ itemKey: 'paint', count: 1, joint: 'PVC painted where film touches it' }]
      : []),
    ...front.hardware,
    ...hinge.hardware,
  ];

  // Cover: over the taut outline and under the battens; ends folded down over the end boards, or apart as flaps.
  const line = outline(hoop);
  const taut = pathLength(line);
  const rise = crownZ + od / 2 - z0;
  const sectionArea = enclosedArea(line) / 1e6;
  const nearFace = line.map((p): Vec3 => [x0, p.y, p.z]);
  const farFace = line.map((p): Vec3 => [x1, p.y, p.z]);
  const sweep = line
    .slice(1)
    .map((_, i): Vec3[] => [nearFace[i], nearFace[i + 1], farFace[i + 1], farFace[i]].filter((p) => p !== undefined));
  const across: Allowance[] = [
    { what: 'Over hoop and rails, edge to edge', mm: taut },
    { what: 'Wrapped under the battens, both sides', mm: 2 * a.battenWrapMm },
    { what: 'To pull by', mm: PULL_MM },
  ];
  const cover: SheetPart = {
    tag: 'S1',
    part: 'Cover',
    coverKey: a.cover,
    rollKey: a.roll,
    across,
    along: [
      { what: 'Frame length', mm: length },
      ...(a.ends === 'folded'
        ? [
            { what: 'End height, both ends', mm: 2 * rise },
            { what: 'Folded under, both ends', mm: 2 * inch(6) },
          ]
        : [{ what: 'Wrapped over the end hoops, both ends', mm: 2 * inch(4) }]),
    ],
    faces: a.ends === 'folded' ? [...sweep, nearFace, farFace] : sweep,
  };
  const flap = (tag: string, face: readonly Vec3[]): SheetPart => ({
    tag,
    part: 'End flap',
    coverKey: a.cover,
    rollKey: a.roll,
    across: [
      { what: 'Width of the opening', mm: width },
      { what: 'Wider than the opening, both sides', mm: inch(9) },
    ],
    along: [
      { what: 'Height of the end', mm: rise },
      { what: 'Tucked under', mm: inch(12) },
    ],
    faces: [face],
  });
  const sheets = a.ends === 'flap' ? [cover, flap('S2', nearFace), flap('S3', farFace)] : [cover];

  const crop = cropUnderHoop(bed, width, a.crop, a.rowFromEdgeMm, hoop, a.pipe, footY, footZ);
  const lidTags = members.filter((m) => !m.tag.startsWith('C')).map((m) => m.tag);
  return ok({
    members,
    sheets,
    hardware: lines,
    arches: [
      {
        tags: hoops.map((h) => h.tag),
        sectionKey: a.pipe,
        hoop,
        xsMm: xs,
        spacingMm: (last - first) / (n - 1),
        footYMm: footY,
        footZMm: footZ,
        baseZMm: footZ,
        cutMm,
        ridge: ridge.kind,
      },
    ],
    pushedRails: [
      {
        tag: 'A1',
        sectionKey: a.frame,
        across: a.stand === 'on edge' ? 'thickness' : 'width',
        freeLengthMm: length / (a.crossTies + 1),
        pushesAtMm: (last - first) / (n - 1),
      },
    ],
    sleeves: [],
    moving: [{ name: 'Lid', memberTags: lidTags, sheetTags: sheets.map((s) => s.tag), motion: 'hinged' }],
    crop,
    enclosure: {
      coverKey: a.cover,
      floorM2: (length * width) / 1e6,
      coverM2: (taut * length) / 1e6 + 2 * sectionArea,
      volumeM3: (sectionArea * length) / 1000,
      heightM: rise / 1000,
    },
    dimensions: dimensions(a, {
      x0,
      x1,
      width,
      z0,
      footY,
      footZ,
      spanMm,
      crownZ,
      cutMm,
      hoopHeightMm: hoop.heightMm,
      xs,
      wall: bed.wall.thicknessMm,
    }),
    cautions: [
      ...(section(a.pipe).material === 'pvc' ? [CAUTIONS.pvcDust] : []),
      ...(crossBoards.length > 0 ? [CAUTIONS.treated] : []),
      CAUTIONS.bend,
      CAUTIONS.lid,
      CAUTIONS.windyFilm,
      CAUTIONS.snow,
    ],
    remarks:
      a.feet === 'straps-outside'
        ? ['Pipe ends stand outside the frame: cap every one, they are sharp and at face height when you kneel.']
        : [],
  });
}

interface RidgeBuilt {
  readonly kind: Ridge;
  readonly members: readonly Member[];
  readonly hardware: readonly HardwareUse[];
}

function buildRidge(
  a: HingedHoopLidAnswers,
  xs: readonly number[],
  y: number,
  crownZ: number,
  railTop: number,
  frame: { x0: number; x1: number; t: number },
): RidgeBuilt {
  const first = xs[0] ?? 0;
  const last = xs[xs.length - 1] ?? 0;
  const n = xs.length;
  const od = tubeShape(section(a.pipe)).outsideMm;
  if (a.ridge === 'none') return { kind: { kind: 'none' }, members: [], hardware: [] };
  const sectionKey = a.ridge === 'pipe' ? a.pipe : a.ridge === 'timber' ? RIDGE_TIMBER : RIDGE_BOARD;
  const s = section(sectionKey);
  const depth = s.shape.kind === 'tube' ? s.shape.outsideMm : s.shape.widthMm;
  const z = crownZ - od / 2 - depth / 2;
  const [from, to] = a.ridge === 'posted' ? [frame.x0, frame.x1] : [first - 25, last + 25];
  const run = straightRun({
    tag: 'R1',
    part: a.ridge === 'pipe' ? 'Ridge pipe' : 'Ridge',
    sectionKey,
    from: [from, y, z],
    to: [to, y, z],
    wide: [0, 0, 1],
    hoopXs: xs,
    markHoops: true,
  });
  if (a.ridge === 'pipe')
    return {
      kind: { kind: 'tied' },
      members: run.members,
      hardware: [
        { itemKey: 'cable-tie', count: 2 * n, joint: 'Ridge to every crown, two ties crossed' },
        ...run.hardware,
      ],
    };
  const screws: HardwareUse = { itemKey: 'screw-1-5/8', count: n, joint: 'Through each crown into the ridge' };
  if (a.ridge === 'timber')
    return { kind: { kind: 'tied' }, members: run.members, hardware: [screws, ...run.hardware] };
  const postTop = z - depth / 2;
  const posts = [frame.x0 + frame.t / 2, frame.x1 - frame.t / 2].map((x, i): Member => ({
    tag: `P${i + 1}`,
    part: 'Ridge post',
    sectionKey: RIDGE_TIMBER,
    shape: { kind: 'straight', from: [x, y, railTop], to: [x, y, postTop], wide: [0, 1, 0] },
    lengthMm: postTop - railTop,
    ends: ['square', 'square'],
    holes: [],
    marks: [] satisfies Mark[],
  }));
  return {
    kind: { kind: 'posted', sectionKey, spanMm: frame.x1 - frame.x0 },
    members: [...run.members, ...posts],
    hardware: [
      screws,
      { itemKey: 'corner-plate', count: 4, joint: 'Posts to ridge and to end boards' },
      ...run.hardware,
    ],
  };
}

interface Measures {
  readonly x0: number;
  readonly x1: number;
  readonly width: number;
  readonly z0: number;
  readonly footY: number;
  readonly footZ: number;
  readonly spanMm: number;
  readonly crownZ: number;
  readonly cutMm: number;
  readonly hoopHeightMm: number;
  readonly xs: readonly number[];
  readonly wall: number;
}

function dimensions(a: HingedHoopLidAnswers, m: Measures): readonly Dimension[] {
  const first = m.xs[0] ?? 0;
  const last = m.xs[m.xs.length - 1] ?? 0;
  const second = m.xs[1] ?? last;
  const middle = m.footY + m.spanMm / 2;
  const leader: Vec3 = [first, middle + m.spanMm * 0.3, m.footZ + m.hoopHeightMm * 0.85];
  return [
    {
      id: 'frameWidth',
      view: 'end',
      from: [first, 0, 0],
      to: [first, m.width, 0],
      side: 'below',
      row: 1,
      label: 'frame',
      valueMm: m.width,
      typed: false,
    },
    {
      id: 'pipeLength',
      view: 'end',
      from: leader,
      to: leader,
      side: 'leader',
      row: 0,
      label: 'pipe, cut',
      valueMm: m.cutMm,
      typed: true,
    },
    {
      id: 'height',
      view: 'end',
      from: [first, middle, m.footZ],
      to: [first, middle, m.crownZ],
      side: 'right',
      row: 1,
      label: 'crown above feet',
      valueMm: m.hoopHeightMm,
      typed: true,
    },
    {
      id: 'wallHeight',
      view: 'end',
      from: [first, 0, 0],
      to: [first, 0, m.z0],
      side: 'left',
      row: 1,
      label: 'bed wall',
      valueMm: m.z0,
      typed: false,
    },
    {
      id: 'coverLength',
      view: 'side',
      from: [m.x0, 0, 0],
      to: [m.x1, 0, 0],
      side: 'below',
      row: 2,
      label: 'frame',
      valueMm: m.x1 - m.x0,
      typed: true,
    },
    {
      id: 'spacing',
      view: 'side',
      from: [first, 0, 0],
      to: [second, 0, 0],
      side: 'below',
      row: 1,
      label: 'hoop to hoop',
      valueMm: second - first,
      typed: true,
    },
    {
      id: 'endOffset',
      view: 'plan',
      from: [m.x0, 0, 0],
      to: [first, 0, 0],
      side: 'below',
      row: 1,
      label: 'end offset',
      valueMm: first - m.x0,
      typed: true,
    },
    {
      id: 'rowFromEdge',
      view: 'plan',
      from: [last, m.wall, 0],
      to: [last, m.wall + a.rowFromEdgeMm, 0],
      side: 'right',
      row: 1,
      label: 'first row',
      valueMm: a.rowFromEdgeMm,
      typed: true,
    },
  ];
}
