import { cropUnderHoop, soilZ } from '../../assembly/crop';
import {
  type HoopSite,
  type SprungHoop,
  hoopMembers,
  hoopPlaces,
  outerFace,
  placeExtent,
  springHoop,
} from '../../assembly/hoops';
import { type Point2, enclosedArea, pathLength, tautOutline } from '../../assembly/outline';
import { straightRun } from '../../assembly/runs';
import type { Allowance, Assembly, Dimension, HardwareUse, Member, Ridge, Vec3 } from '../../assembly/types';
import { coverMaterial } from '../../catalog/covers';
import { boardShape, section, tubeShape } from '../../catalog/sections';
import { CAUTIONS } from '../../guide/cautions';
import type { Elastica, Feet } from '../../hoop/elastica';
import { type Result, fail, ok } from '../../result';
import { MM_PER_INCH } from '../../units/length';
import type { BuildSite } from '../family';
import type { StakedTunnelAnswers } from './answers';

/** Rods stand this far inside the bed's wall, so that they can be driven. */
const ROD_FROM_WALL_MM = 25;
const PULL_MM = 2 * MM_PER_INCH;
const POST_IN_SOIL_MM = 18 * MM_PER_INCH;
const RIDGE_BOARD = '2x4';
const POST = '2x2 treated';

interface Foot {
  readonly feet: Feet;
  readonly spanMm: number;
  readonly baseZ: number;
  /** Straight pipe above and below the base. */
  readonly aboveMm: number;
  readonly belowMm: number;
}

function footing(a: StakedTunnelAnswers, site: BuildSite): Foot {
  const { bed } = site;
  const od = tubeShape(section(a.pipe)).outsideMm;
  const inside = bed.inside.widthMm;
  const soil = soilZ(bed);
  if (a.feet === 'straps')
    return {
      feet: { kind: 'loose' },
      spanMm: a.spanMm ?? inside - od,
      baseZ: bed.wall.heightMm,
      aboveMm: 0,
      belowMm: Math.min(150, bed.wall.heightMm),
    };
  const spanMm = a.spanMm ?? inside - 2 * ROD_FROM_WALL_MM - od;
  return a.feet === 'rods'
    ? { feet: { kind: 'held', angleDeg: 90 }, spanMm, baseZ: soil, aboveMm: a.rodShownMm, belowMm: 0 }
    : { feet: { kind: 'loose' }, spanMm, baseZ: soil, aboveMm: 0, belowMm: a.buryMm };
}

/** What the tunnel's span, height and cut come to; used by the drawing and by changes. */
export interface TunnelShape extends Foot {
  readonly sprung: SprungHoop;
  readonly footY: number;
  readonly footZ: number;
  readonly outline: (hoop: Elastica) => readonly Point2[];
}

function endAllowances(a: StakedTunnelAnswers, rise: number): Allowance[] {
  const each = a.ends === 'gathered' ? 12 * MM_PER_INCH : 6 * MM_PER_INCH;
  return [
    { what: 'End height, both ends', mm: 2 * rise },
    {
      what: a.ends === 'gathered' ? 'Gathered and weighted, both ends' : 'Folded and clipped, both ends',
      mm: 2 * each,
    },
  ];
}

export function tunnelShape(a: StakedTunnelAnswers, site: BuildSite): Result<TunnelShape> {
  const foot = footing(a, site);
  const width = site.survey.frameOn.widthMm;
  const footY = (width - foot.spanMm) / 2;
  const footZ = foot.baseZ + foot.aboveMm;
  const r = tubeShape(section(a.pipe)).outsideMm / 2;
  const outline = (hoop: Elastica): readonly Point2[] =>
    tautOutline(outerFace(hoop, a.pipe, footY, footZ), [
      { y: footY - r, z: foot.baseZ },
      { y: footY + foot.spanMm + r, z: foot.baseZ },
    ]);
  const rolls = coverMaterial(a.cover).rolls.filter((roll) => a.roll === null || roll.key === a.roll);
  const hoopSite: HoopSite = {
    feet: foot.feet,
    spanMm: foot.spanMm,
    tailMm: foot.aboveMm + foot.belowMm,
    tailAboveMm: foot.aboveMm,
    sheetAcrossMm: (hoop) => pathLength(outline(hoop)) + 2 * a.skirtMm + PULL_MM,
    widestRollMm: Math.max(0, ...rolls.map((roll) => roll.widthMm)),
  };
  const sprung = springHoop(a.shape, a.pipe, hoopSite);
  if (!sprung.ok) return sprung;
  return ok({ ...foot, sprung: sprung.value, footY, footZ, outline });
}

/** Builds the tunnel: hoops over rods, in the soil or in straps; ridge; cover weighted at the foot. */
export function assembleStakedTunnel(a: StakedTunnelAnswers, site: BuildSite): Result<Assembly> {
  const { bed, survey } = site;
  const width = survey.frameOn.widthMm;
  const extent = placeExtent(a.extent, survey.frameOn.lengthMm);
  if (!extent.ok) return extent;
  if (a.feet === 'rods' && a.rodShownMm >= a.rodLengthMm)
    return fail('rodShown', 'A rod cannot show more than its whole length: most of it belongs in the soil.');
  const shaped = tunnelShape(a, site);
  if (!shaped.ok) return shaped;
  const { sprung, footY, footZ, baseZ, spanMm, aboveMm, belowMm } = shaped.value;
  const { hoop } = sprung;
  // Hoops stand in the soil, so the first and last keep clear of the bed's end walls.
  const inset = a.feet === 'straps' ? 0 : bed.wall.thicknessMm;
  const startMm = extent.value.startMm + (extent.value.startMm < 1 ? inset : 0);
  const endMm = extent.value.endMm - (extent.value.endMm > survey.frameOn.lengthMm - 1 ? inset : 0);
  const places = hoopPlaces(startMm, endMm, a.endOffsetMm, a.hoops, a.maxSpacingMm);
  if (!places.ok) return places;
  const xs = places.value;
  const first = xs[0] ?? 0;
  const last = xs[xs.length - 1] ?? 0;
  const pipe = tubeShape(section(a.pipe));
  const crownZ = footZ + hoop.heightMm;
  const middleY = footY + spanMm / 2;

  const members: Member[] = [...hoopMembers(sprung, a.pipe, xs, footY, footZ, aboveMm + belowMm)];
  const hardware: HardwareUse[] = [];
  const n = xs.length;

  if (a.feet === 'rods') {
    const top = baseZ + a.rodShownMm;
    xs.forEach((x, i) =>
      [footY, footY + spanMm].forEach((y, s) =>
        members.push({
          tag: `D${2 * i + s + 1}`,
          part: 'Driven rod',
          sectionKey: a.rod,
          shape: { kind: 'straight', from: [x, y, top - a.rodLengthMm], to: [x, y, top], wide: [1, 0, 0] },
          lengthMm: a.rodLengthMm,
          ends: ['square', 'square'],
          holes: [],
          marks: [{ atMm: a.rodLengthMm - a.rodShownMm, label: 'soil' }],
        }),
      ),
    );
  }
  if (a.feet === 'straps') {
    hardware.push({ itemKey: 'strap', count: 2 * n, joint: 'Hoop feet to the bed wall' });
    hardware.push({ itemKey: 'screw-1', count: 4 * n, joint: 'Two screws a strap' });
  }

  const ridge = buildRidge(a, shaped.value, xs, members, hardware);

  const outline = shaped.value.outline(hoop);
  const taut = pathLength(outline);
  const rise = crownZ - baseZ;
  const run = last - first + pipe.outsideMm;
  const sectionArea = enclosedArea(outline) / 1e6;
  const endPoints = outline.map((p): Vec3 => [first, p.y, p.z]);
  const farPoints = outline.map((p): Vec3 => [last, p.y, p.z]);
  const clips = (Math.ceil((2 * hoop.heightMm) / 450) + 1) * 2;
  const bags = 2 * Math.ceil(run / 1000) + 4;
  hardware.push(
    { itemKey: 'clip', count: clips, joint: 'Cover to the end hoops' },
    { itemKey: 'sandbag', count: bags, joint: 'Weights on both skirts and the gathered ends' },
  );
  if (a.feet !== 'rods')
    hardware.push({ itemKey: 'end-cap', count: 2 * n, joint: 'Pipe ends that would cut the cover or fill with soil' });
  if (a.paint === 'paint' && coverMaterial(a.cover).kind === 'film' && section(a.pipe).material === 'pvc')
    hardware.push({ itemKey: 'paint', count: 1, joint: 'PVC painted where film touches it' });

  const insideEdge = bed.wall.thicknessMm;
  const dimensions: Dimension[] = [
    {
      id: 'span',
      view: 'end',
      from: [first, footY, baseZ],
      to: [first, footY + spanMm, baseZ],
      side: 'below',
      row: 1,
      label: 'span',
      valueMm: spanMm,
      typed: true,
    },
    {
      id: 'pipeLength',
      view: 'end',
      from: [first, middleY + spanMm * 0.3, footZ + hoop.heightMm * 0.85],
      to: [first, middleY + spanMm * 0.3, footZ + hoop.heightMm * 0.85],
      side: 'leader',
      row: 0,
      label: 'pipe, cut',
      valueMm: sprung.cutMm,
      typed: true,
    },
    {
      id: 'height',
      view: 'end',
      from: [first, middleY, baseZ],
      to: [first, middleY, crownZ],
      side: 'right',
      row: 1,
      label: 'crown above base',
      valueMm: rise,
      typed: true,
    },
    ...(a.feet === 'rods'
      ? [
          {
            id: 'rodShown',
            view: 'end',
            from: [first, footY, baseZ],
            to: [first, footY, baseZ + a.rodShownMm],
            side: 'left',
            row: 1,
            label: 'rod shows',
            valueMm: a.rodShownMm,
            typed: true,
          } as const,
        ]
      : []),
    ...(a.feet === 'soil'
      ? [
          {
            id: 'bury',
            view: 'end',
            from: [first, footY, baseZ - a.buryMm],
            to: [first, footY, baseZ],
            side: 'left',
            row: 1,
            label: 'in the soil',
            valueMm: a.buryMm,
            typed: true,
          } as const,
        ]
      : []),
    {
      id: 'coverLength',
      view: 'side',
      from: [extent.value.startMm, 0, 0],
      to: [extent.value.endMm, 0, 0],
      side: 'below',
      row: 2,
      label: 'covered',
      valueMm: extent.value.endMm - extent.value.startMm,
      typed: true,
    },
    {
      id: 'spacing',
      view: 'side',
      from: [first, 0, 0],
      to: [xs[1] ?? last, 0, 0],
      side: 'below',
      row: 1,
      label: 'hoop to hoop',
      valueMm: (xs[1] ?? last) - first,
      typed: true,
    },
    {
      id: 'endOffset',
      view: 'plan',
      from: [startMm, 0, 0],
      to: [first, 0, 0],
      side: 'below',
      row: 1,
      label: 'end offset',
      valueMm: a.endOffsetMm,
      typed: true,
    },
    {
      id: 'rowFromEdge',
      view: 'plan',
      from: [last, insideEdge, 0],
      to: [last, insideEdge + a.rowFromEdgeMm, 0],
      side: 'right',
      row: 1,
      label: 'first row',
      valueMm: a.rowFromEdgeMm,
      typed: true,
    },
  ];

  return ok({
    members,
    hardware,
    sheets: [
      {
        tag: 'S1',
        part: 'Cover',
        coverKey: a.cover,
        rollKey: a.roll,
        across: [
          { what: 'Over the hoop, foot to foot', mm: taut },
          { what: 'Weighted skirt, both sides', mm: 2 * a.skirtMm },
          { what: 'To pull by', mm: PULL_MM },
        ],
        along: [{ what: 'First hoop to last', mm: run }, ...endAllowances(a, rise)],
        faces: [
          ...outline
            .slice(1)
            .map((_, i): Vec3[] =>
              [endPoints[i], endPoints[i + 1], farPoints[i + 1], farPoints[i]].filter((p) => p !== undefined),
            ),
          endPoints,
          farPoints,
        ],
      },
    ],
    arches: [
      {
        tags: xs.map((_, i) => `H${i + 1}`),
        sectionKey: a.pipe,
        hoop,
        xsMm: xs,
        spacingMm: (last - first) / (n - 1),
        footYMm: footY,
        footZMm: footZ,
        baseZMm: baseZ,
        cutMm: sprung.cutMm,
        ridge,
      },
    ],
    pushedRails: [],
    sleeves: a.feet === 'rods' ? [{ outerKey: a.pipe, innerKey: a.rod, where: 'pipe over rod' }] : [],
    moving: [],
    crop: cropUnderHoop(bed, width, a.crop, a.rowFromEdgeMm, hoop, a.pipe, footY, footZ),
    enclosure: {
      coverKey: a.cover,
      floorM2: (run * spanMm) / 1e6,
      coverM2: (taut * run) / 1e6 + 2 * sectionArea,
      volumeM3: (sectionArea * run) / 1000,
      heightM: rise / 1000,
    },
    dimensions,
    cautions: [
      ...(a.feet === 'straps' ? [] : [CAUTIONS.rods]),
      CAUTIONS.bend,
      ...(section(a.pipe).material === 'pvc' ? [CAUTIONS.pvcDust] : []),
      CAUTIONS.longPipe,
      CAUTIONS.windyFilm,
      CAUTIONS.snow,
    ],
    remarks:
      coverMaterial(a.cover).kind === 'film' && section(a.pipe).material === 'pvc' && a.paint === 'none'
        ? ['Bare PVC against film shortens its life to a year or two. Paint or tape the pipe where they touch.']
        : [],
  });
}

function buildRidge(
  a: StakedTunnelAnswers,
  t: TunnelShape,
  xs: readonly number[],
  members: Member[],
  hardware: HardwareUse[],
): Ridge {
  const first = xs[0] ?? 0;
  const last = xs[xs.length - 1] ?? 0;
  const crownZ = t.footZ + t.sprung.hoop.heightMm;
  const y = t.footY + t.spanMm / 2;
  const od = tubeShape(section(a.pipe)).outsideMm;
  const n = xs.length;
  switch (a.ridge) {
    case 'none':
      return { kind: 'none' };
    case 'rope': {
      // Three lines: the crown and both sides at a third of the height; a turn round every hoop and a tail at each end.
      const metres = Math.ceil((3 * (last - first + n * Math.PI * od + 1200)) / 1000);
      hardware.push({
        itemKey: 'rope',
        count: metres,
        joint: 'Rope at the crown and at a third of the height, tied hoop to hoop',
      });
      return { kind: 'tied' };
    }
    case 'pipe': {
      const z = crownZ - od;
      const run = straightRun({
        tag: 'R1',
        part: 'Ridge pipe',
        sectionKey: a.pipe,
        from: [first - 40, y, z],
        to: [last + 40, y, z],
        wide: [0, 0, 1],
        hoopXs: xs,
        markHoops: true,
      });
      members.push(...run.members);
      hardware.push(
        { itemKey: 'cable-tie', count: 2 * n, joint: 'Ridge to every crown, two ties crossed' },
        ...run.hardware,
      );
      return { kind: 'tied' };
    }
    case 'posted': {
      const beam = boardShape(section(RIDGE_BOARD));
      const top = crownZ - od / 2;
      const z = top - beam.widthMm / 2;
      const run = straightRun({
        tag: 'R1',
        part: 'Ridge board on edge',
        sectionKey: RIDGE_BOARD,
        from: [first - 40, y, z],
        to: [last + 40, y, z],
        wide: [0, 0, 1],
        hoopXs: xs,
        markHoops: true,
      });
      members.push(...run.members);
      const postTop = top - beam.widthMm;
      [first, last].forEach((x, i) =>
        members.push({
          tag: `P${i + 1}`,
          part: 'Ridge post',
          sectionKey: POST,
          shape: { kind: 'straight', from: [x, y, t.baseZ - POST_IN_SOIL_MM], to: [x, y, postTop], wide: [0, 1, 0] },
          lengthMm: postTop - t.baseZ + POST_IN_SOIL_MM,
          ends: ['square', 'square'],
          holes: [],
          marks: [{ atMm: POST_IN_SOIL_MM, label: 'soil' }],
        }),
      );
      hardware.push(
        { itemKey: 'screw-1-5/8', count: n, joint: 'Each crown to the ridge board' },
        { itemKey: 'corner-plate', count: 2, joint: 'Ridge board to its posts' },
        ...run.hardware,
      );
      return { kind: 'posted', sectionKey: RIDGE_BOARD, spanMm: last - first };
    }
  }
}
