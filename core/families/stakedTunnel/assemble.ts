import { cropUnderHoop } from '../../assembly/crop';
import { hoopDimensions } from '../../assembly/hoopDimensions';
import { hoopMembers, hoopPlaces, placeExtent } from '../../assembly/hoops';
import { enclosedArea, pathLength, sweptFaces } from '../../assembly/outline';
import { buildRidge } from '../../assembly/ridge';
import type { Allowance, Assembly, Dimension, HardwareUse, Member, Vec3 } from '../../assembly/types';
import { coverMaterial } from '../../catalog/covers';
import { section, thicknessMm } from '../../catalog/sections';
import { type Result, fail, ok } from '../../result';
import { MM_PER_INCH } from '../../units/length';
import type { BuildSite } from '../family';
import type { StakedTunnelAnswers } from './answers';
import { PULL_MM, type TunnelShape, tunnelShape } from './shape';
import { tunnelSteps } from './steps';

const POST_IN_SOIL_MM = 18 * MM_PER_INCH;

/** Builds the tunnel: hoops over rods, in the soil or in straps; ridge; cover weighted at the foot. */
export function assembleStakedTunnel(a: StakedTunnelAnswers, site: BuildSite): Result<Assembly> {
  const { bed, survey } = site;
  const extent = placeExtent(a.extent, survey.frameOn.lengthMm);
  if (!extent.ok) return extent;
  if (a.feet === 'rods' && a.rodShownMm >= a.rodLengthMm)
    return fail('rodShown', 'A rod cannot show more than its whole length: most of it belongs in the soil.');
  const shaped = tunnelShape(a, site);
  if (!shaped.ok) return shaped;
  const t = shaped.value;
  const { sprung, footY, footZ, baseZ, spanMm } = t;
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
  const crownZ = footZ + hoop.heightMm;

  const hoops = hoopMembers(sprung, a.pipe, xs, footY, footZ, t.aboveMm + t.belowMm);
  const rods = a.feet === 'rods' ? rodMembers(a, t, xs) : [];
  const ridge = buildRidge(a.ridge, {
    pipeKey: a.pipe,
    hoopXs: xs,
    y: footY + spanMm / 2,
    crownZ,
    post: { sectionKey: '2x2 treated', xs: [first, last], footZ: baseZ - POST_IN_SOIL_MM, inSoilMm: POST_IN_SOIL_MM },
  });
  const members = [...hoops, ...rods, ...ridge.members];

  const line = t.outline(hoop);
  const taut = pathLength(line);
  const rise = crownZ - baseZ;
  const run = last - first + thicknessMm(section(a.pipe));
  const faces = sweptFaces(line, first, last);
  const sectionArea = enclosedArea(line) / 1e6;
  const hardware = [...feetHardware(a, xs.length), ...ridge.hardware, ...coverHardware(a, hoop.heightMm, run)];

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
        faces: [...faces.strips, ...faces.ends],
      },
    ],
    arches: [
      {
        tags: hoops.map((h) => h.tag),
        sectionKey: a.pipe,
        hoop,
        xsMm: xs,
        spacingMm: (last - first) / (xs.length - 1),
        footYMm: footY,
        footZMm: footZ,
        baseZMm: baseZ,
        cutMm: sprung.cutMm,
        ridge: ridge.ridge,
      },
    ],
    pushedRails: [],
    sleeves: a.feet === 'rods' ? [{ outerKey: a.pipe, innerKey: a.rod, where: 'pipe over rod' }] : [],
    moving: [],
    crop: cropUnderHoop(bed, survey.frameOn.widthMm, a.crop, a.rowFromEdgeMm, hoop, a.pipe, footY, footZ),
    enclosure: {
      coverKey: a.cover,
      floorM2: (run * spanMm) / 1e6,
      coverM2: (taut * run) / 1e6 + 2 * sectionArea,
      volumeM3: (sectionArea * run) / 1000,
      heightM: rise / 1000,
    },
    dimensions: [
      ...footDimensions(a, t, first),
      ...hoopDimensions({
        sprung,
        xs,
        footY,
        footZ,
        baseZ,
        heightLabel: 'crown above base',
        startMm: extent.value.startMm,
        endMm: extent.value.endMm,
        coverLabel: 'covered',
        offsetFromMm: startMm,
        wallMm: bed.wall.thicknessMm,
        rowFromEdgeMm: a.rowFromEdgeMm,
      }),
    ],
    steps: tunnelSteps(a, { hoops, rods, ridge, hardware, xs, startMm, baseZ, footY, spanMm }),
    remarks:
      isFilm(a) && section(a.pipe).material === 'pvc' && a.paint === 'none'
        ? ['Bare PVC against film shortens its life to a year or two. Paint or tape the pipe where they touch.']
        : [],
  });
}

function isFilm(a: StakedTunnelAnswers): boolean {
  return coverMaterial(a.cover).kind === 'film';
}

function rodMembers(a: StakedTunnelAnswers, t: TunnelShape, xs: readonly number[]): readonly Member[] {
  const top = t.baseZ + a.rodShownMm;
  return xs.flatMap((x, i) =>
    [t.footY, t.footY + t.spanMm].map((y, side): Member => ({
      tag: `D${2 * i + side + 1}`,
      part: 'Driven rod',
      sectionKey: a.rod,
      shape: { kind: 'straight', from: [x, y, top - a.rodLengthMm], to: [x, y, top], wide: [1, 0, 0] },
      lengthMm: a.rodLengthMm,
      ends: ['square', 'square'],
      holes: [],
      marks: [{ atMm: a.rodLengthMm - a.rodShownMm, label: 'soil' }],
    })),
  );
}

function feetHardware(a: StakedTunnelAnswers, hoops: number): readonly HardwareUse[] {
  if (a.feet === 'rods') return [];
  const caps: HardwareUse = {
    itemKey: 'end-cap',
    count: 2 * hoops,
    joint: 'Pipe ends that would cut the cover or fill with soil',
  };
  if (a.feet === 'soil') return [caps];
  return [
    { itemKey: 'strap', count: 2 * hoops, joint: 'Hoop feet to the bed wall' },
    { itemKey: 'screw-1', count: 4 * hoops, joint: 'Two screws a strap' },
    caps,
  ];
}

function coverHardware(a: StakedTunnelAnswers, heightMm: number, run: number): readonly HardwareUse[] {
  const clips = (Math.ceil((2 * heightMm) / 450) + 1) * 2;
  const bags = 2 * Math.ceil(run / 1000) + 4;
  return [
    { itemKey: 'clip', count: clips, joint: 'Cover to the end hoops' },
    { itemKey: 'sandbag', count: bags, joint: 'Weights on both skirts and the gathered ends' },
    ...(a.paint === 'paint' && isFilm(a) && section(a.pipe).material === 'pvc'
      ? [{ itemKey: 'paint', count: 1, joint: 'PVC painted where film touches it' }]
      : []),
  ];
}

function endAllowances(a: StakedTunnelAnswers, rise: number): readonly Allowance[] {
  const gathered = a.ends === 'gathered';
  return [
    { what: 'End height, both ends', mm: 2 * rise },
    {
      what: gathered ? 'Gathered and weighted, both ends' : 'Folded and clipped, both ends',
      mm: 2 * (gathered ? 12 : 6) * MM_PER_INCH,
    },
  ];
}

function footDimensions(a: StakedTunnelAnswers, t: TunnelShape, x: number): readonly Dimension[] {
  const { footY, baseZ, spanMm } = t;
  const foot = (id: string, label: string, from: Vec3, to: Vec3, valueMm: number): Dimension => ({
    id,
    label,
    view: 'end',
    side: 'left',
    row: 1,
    from,
    to,
    valueMm,
    typed: true,
  });
  const base: Vec3 = [x, footY, baseZ];
  return [
    { ...foot('span', 'span', base, [x, footY + spanMm, baseZ], spanMm), side: 'below' },
    ...(a.feet === 'rods' ? [foot('rodShown', 'rod shows', base, [x, footY, baseZ + a.rodShownMm], a.rodShownMm)] : []),
    ...(a.feet === 'soil' ? [foot('bury', 'in the soil', [x, footY, baseZ - a.buryMm], base, a.buryMm)] : []),
  ];
}
