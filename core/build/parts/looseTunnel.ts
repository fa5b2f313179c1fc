import { underLine } from '../assembly/enclosure';
import { type Fold, type SheetRun, endRun, looseRun, pastEnds } from '../assembly/sheetRun';
import { piece } from '../assembly/pieces';
import { type SheetEdges, type SkirtUnder, FOLDS } from '../answers/skin';
import { soilZ } from '../assembly/crop';
import {
  acrossOf,
  aboveWall,
  drawnRun,
  endFaces,
  endOpenings,
  fastenedToWall,
  lyingOf,
  openSide,
  skirtDimension,
  skirtFaces,
  skirtLines,
  skirtOpening,
  wallBattens,
} from './looseSheet';
import { evenly, joint } from '../joints';
import type { Elastica, Feet } from '../hoop/types';
import type { HoopShape, RidgeSchool } from '../answers/hoops';
import { type Extent, placeExtent } from '../answers/place';
import type { CoverMaterial, Section } from '../../catalog/types';
import { massKg, thicknessMm } from '../../catalog/sections';
import { type BuildSite, stock } from '../../site/buildSite';
import { type Result, ok } from '../../base/result';
import { MM_PER_INCH } from '../../base/length';
import { BARE } from '../assembly/bare';
import { cropUnder } from '../assembly/crop';
import { hoopDimensions } from '../assembly/hoopDimensions';
import { type SprungHoop, hoopMembers, hoopPlaces, outerFace, springHoop, underHoop } from './hoops';
import { type Point2, type Vec3, pathLength, sweptFaces } from '../../base/geometry';
import { clipPlaces, endSheets, flapJoints, flapOpenings } from './framedSheet';
import { type RidgeBuilt, buildRidge } from './ridge';
import type { Dimension, FootingOn, Joint, Member, Said, SaidStep } from '../assembly/types';
import type { SleeveJoint } from '../assembly/rows';

const POST_IN_SOIL_MM = 18 * MM_PER_INCH;

/** Answers that every row of hoops under a loose, weighted sheet has. */
export interface LooseTunnelAnswers {
  readonly pipe: Section;
  readonly shape: HoopShape;
  readonly extent: Extent;
  readonly hoops: number | null;
  readonly maxSpacingMm: number;
  readonly endOffsetMm: number;
  readonly cover: CoverMaterial;
  readonly roll: string | null;
  readonly skirtMm: number;
  readonly edges: SheetEdges;
  /** null: one each metre of skirt and two at each end. */
  readonly weights: number | null;
  readonly ends: 'gathered' | 'folded' | 'flap';
  readonly skirtUnder: SkirtUnder;
  readonly clipped: 'ends' | 'every';
  readonly ridge: RidgeSchool;
  readonly crop: string;
  readonly rowFromEdgeMm: number;
}

/** How the hoops stand: on what span, from what base, with how much straight above and below it. */
export interface TunnelFoot {
  readonly feet: Feet;
  /** Between the feet at the base, and the straight part above it, along the pipe. */
  readonly spanMm: number;
  readonly baseZ: number;
  readonly aboveMm: number;
  readonly belowMm: number;
  /** Hoops that stand in the soil keep clear of the bed's end walls. */
  readonly endInsetMm: number;
  /** Sprung from straight, or bent to shape beforehand. */
  readonly sprung: boolean;
}

/** The row of hoops as it stands, before what is particular to a family is added. */
export interface TunnelRow extends TunnelFoot {
  readonly hoop: SprungHoop;
  /** Where the sprung part begins; and the near foot at the base. */
  readonly footY: number;
  readonly footZ: number;
  readonly baseY: number;
  readonly xs: readonly number[];
  /** Where the first hoop is measured from along the bed. */
  readonly startMm: number;
  readonly coverMm: readonly [number, number];
  /** Where the sheet lies across the bed. */
  readonly run: SheetRun;
  /** From the end hoop to the outside of the end wall, at both ends; undefined where the cover ends over soil. */
  readonly pastMm: readonly [number | undefined, number | undefined];
  /** Over the sheet's edges where they are fastened to the wall. */
  readonly battens: readonly Member[];
  readonly hoops: readonly Member[];
  readonly ridge: RidgeBuilt;
  /** Both feet of every hoop, hoop by hoop. */
  readonly feetAt: readonly Vec3[];
  readonly pipe: Section;
  readonly cover: CoverMaterial;
}

/** Springs the hoops on their feet along the bed, with a ridge under them. */
export function tunnelRow(a: LooseTunnelAnswers, foot: TunnelFoot, site: BuildSite): Result<TunnelRow> {
  const { survey } = site;
  const { pipe, cover } = a;
  const extent = placeExtent(a.extent, survey.frameOn.lengthMm);
  if (!extent.ok) return extent;
  const { startMm: from, endMm: to } = extent.value;
  const baseY = (survey.frameOn.widthMm - foot.spanMm) / 2;
  // What leans brings the sprung part inward.
  const lean = foot.feet.kind === 'fixed' ? ((90 - foot.feet.angleDeg) * Math.PI) / 180 : 0;
  const footY = baseY + foot.aboveMm * Math.sin(lean);
  const footZ = foot.baseZ + foot.aboveMm * Math.cos(lean);
  const freeMm = foot.spanMm - 2 * foot.aboveMm * Math.sin(lean);
  const r = thicknessMm(pipe) / 2;
  const legs: readonly [Point2, Point2] = [
    { y: baseY - r, z: foot.baseZ },
    { y: baseY + foot.spanMm + r, z: foot.baseZ },
  ];
  const folds = FOLDS[a.edges];
  const run = (hoop: Elastica): SheetRun =>
    looseRun([...outerFace(hoop, pipe, footY, footZ), ...legs], legs, folds, site);
  const rolls = cover.rolls.filter((roll) => a.roll === null || roll.key === a.roll);
  const hoop = springHoop(a.shape, pipe, {
    feet: foot.feet,
    spanMm: freeMm,
    tailMm: foot.aboveMm + foot.belowMm,
    tailAboveMm: foot.aboveMm * Math.cos(lean),
    sheetAcrossMm: (shape) => acrossOf(a, run(shape)).reduce((sum, line) => sum + line.mm, 0),
    widestRollMm: Math.max(0, ...rolls.map((roll) => roll.widthMm)),
  });
  if (!hoop.ok) return hoop;
  const startMm = from + (from < 1 ? foot.endInsetMm : 0);
  const endMm = to - (to > survey.frameOn.lengthMm - 1 ? foot.endInsetMm : 0);
  const xs = hoopPlaces(startMm, endMm, a.endOffsetMm, a.hoops, a.maxSpacingMm);
  if (!xs.ok) return xs;
  const first = xs.value[0] ?? 0;
  const last = xs.value[xs.value.length - 1] ?? 0;
  const shape = hoop.value.hoop;
  const hoops = hoopMembers(hoop.value, pipe, xs.value, footY, footZ, foot.aboveMm + foot.belowMm);
  return ok({
    ...foot,
    pipe,
    cover,
    hoop: hoop.value,
    footY,
    footZ,
    baseY,
    xs: xs.value,
    startMm,
    coverMm: [from, to],
    run: run(shape),
    pastMm: pastEnds([from, to], [first, last], { folds }, site),
    battens: wallBattens(a.edges, first, last, xs.value, site),
    hoops,
    feetAt: xs.value.flatMap((x) => [baseY, baseY + foot.spanMm].map((y): Vec3 => [x, y, foot.baseZ])),
    ridge: buildRidge(
      a.ridge,
      {
        site,
        pipe,
        hoopXs: xs.value,
        y: baseY + foot.spanMm / 2,
        crownZ: footZ + shape.heightMm,
        post: {
          section: stock(site, '2x2 treated'),
          xs: [first, last],
          footZ: soilZ(site.bed) - POST_IN_SOIL_MM,
          inSoilMm: POST_IN_SOIL_MM,
        },
      },
      hoops,
    ),
  });
}

/** What is particular to a family of loose tunnels. */
export interface TunnelParts {
  readonly members: readonly Member[];
  /** How the feet are held, and what keeps the film from the pipe. */
  readonly joints: readonly Joint[];
  readonly sleeves: readonly SleeveJoint[];
  readonly on: FootingOn;
  readonly dimensions: readonly Dimension[];
  /** @param covering what fastens the cover and weights it, and bars that lie on its skirts */
  readonly steps: (covering: readonly Joint[], bars: readonly Member[]) => readonly SaidStep[];
}

/** A row of hoops under a loose sheet that is clipped at the ends and weighted at the foot. */
export function looseTunnel(a: LooseTunnelAnswers, row: TunnelRow, site: BuildSite, parts: TunnelParts): Said {
  const { xs, footY, footZ, baseY, baseZ, spanMm, pipe, cover } = row;
  const { hoop, cutMm } = row.hoop;
  const first = xs[0] ?? 0;
  const last = xs[xs.length - 1] ?? 0;
  const { line, folds } = row.run;
  const soil = soilZ(site.bed);
  const rise = footZ + hoop.heightMm - baseZ;
  const run = last - first + thicknessMm(pipe);
  const faces = sweptFaces(line, first, last);
  const crownZ = footZ + hoop.heightMm + thicknessMm(pipe) / 2;
  const ends = row.pastMm.map((pastMm) => endRun(crownZ, pastMm, soil, site.bed));
  const clips = Math.ceil((2 * hoop.heightMm) / 450) + 1;
  const lies = (fold: Fold | undefined): boolean => fold === 'ground' || fold === 'inside';
  const loose = folds.filter(lies).length;
  const barred = a.skirtUnder === 'boards' || a.skirtUnder === 'rods';
  const each = a.skirtUnder === 'bricks' ? 2 : 1;
  // Bars weight the skirts by themselves; the ends keep their bags.
  const bags = barred ? 4 : (a.weights ?? each * (loose * Math.ceil(run / 1000) + 4));
  const lying = skirtFaces(a.skirtMm, row.run, first, last);
  const sides = skirtLines(a.skirtMm, row.run);
  const skirts = sides
    .filter((_, i) => lies(folds[i]))
    .flatMap(({ y, z }) => evenly([first, y, z], [last, y, z], Math.max(0, Math.ceil((bags - 4) / loose))));
  const corners = [first - 200, last + 200].flatMap((x) => sides.map(({ y, z }): Vec3 => [x, y, z]));
  const top = [baseY, baseY + spanMm].map((y) => ({ y, z: crownZ })) as [Point2, Point2];
  const sheet = [{ tag: 'S1' }];
  const bars = barred ? skirtBars(a.skirtUnder, sides, folds.map(lies), [first, last], site) : [];
  const endHoops = [row.hoops[0], row.hoops[row.hoops.length - 1]].flatMap((m) => m ?? []);
  const ys = line.map((p) => p.y);
  const covered = {
    line: row.run.line,
    x0: first,
    x1: last,
    lengthMm: run,
    riseMm: crownZ - (folds[1] === 'inside' ? soil : 0),
    widthMm: Math.max(...ys) - Math.min(...ys),
    wrapMm: 0,
  };
  const flaps = a.ends === 'flap' ? endSheets(a, covered) : [];
  const clippedHoops = a.clipped === 'every' ? row.hoops : endHoops;
  const covering: readonly Joint[] = [
    ...joint(
      'clip',
      'clips',
      `Cover to ${CLIPPED[a.clipped]}`,
      [...sheet, ...clippedHoops],
      clipPlaces(clippedHoops, clips),
    ),
    ...joint(
      a.skirtUnder === 'bricks' ? 'brick' : 'bag',
      'weights',
      loose === 0 || barred
        ? `Weights on the ${ENDS[a.ends]} ends`
        : `Weights on ${loose === 2 ? 'both skirts' : `the ${folds[0] === 'hoop' ? 'far' : 'near'} skirt`} and the ${ENDS[a.ends]} ends`,
      sheet,
      [...corners, ...skirts].slice(0, bags),
      {
        count: bags,
        ...(!barred && { ask: 'weights' }),
        with: { what: 'weights on the skirts' },
      },
    ),
    ...joint(
      'weightBar',
      'skirt bars',
      `${a.skirtUnder === 'rods' ? 'Rods rolled into' : 'Boards laid on'} ${loose === 2 ? 'both skirts' : 'the skirt'}`,
      [...sheet, ...bars],
      bars.flatMap((m) => (m.shape.kind === 'straight' ? evenly(m.shape.from, m.shape.to, 1) : [])),
      {
        count: bars.length,
        with: { kgEach: bars[0] ? massKg(bars[0].section, bars[0].lengthMm) : 0, what: 'bars on the skirts' },
      },
    ),
    ...(folds[0] === 'hoop'
      ? joint(
          'clip',
          'edge clips',
          'Edge of the open side to every hoop',
          [...sheet, ...row.hoops],
          xs.map((x): Vec3 => [x, line[0]?.y ?? 0, line[0]?.z ?? 0]),
        )
      : []),
    ...flapJoints(flaps, endHoops, covered),
    ...fastenedToWall(a.edges, row, sheet),
  ];
  const under = underHoop(hoop, pipe, footY, footZ);
  return {
    ...BARE,
    joints: [...parts.joints, ...row.ridge.joints, ...covering],
    openings: [
      ...(folds[0] === 'hoop'
        ? [openSide(row.run, first, last, baseZ)]
        : loose > 0
          ? [skirtOpening(row.run, first, last)]
          : a.ends === 'flap'
            ? []
            : endOpenings(top, a.ends, [first, last], rise)),
      ...flapOpenings(flaps, covered),
    ],
    members: [...row.hoops, ...parts.members, ...row.ridge.members, ...row.battens, ...bars],
    sheets: [
      {
        tag: 'S1',
        part: 'Cover',
        cover,
        rollKey: a.roll,
        across: acrossOf(a, row.run),
        along: [
          { what: 'First hoop to last', mm: run },
          ...(a.ends === 'flap'
            ? [{ what: 'Turned over both end hoops', mm: 2 * 4 * MM_PER_INCH }]
            : [
                { what: 'Down both ends', mm: ends.reduce((sum, end) => sum + pathLength(end), 0) },
                {
                  what: a.ends === 'gathered' ? 'Gathered and weighted, both ends' : 'Folded and clipped, both ends',
                  mm: 2 * (a.ends === 'gathered' ? 12 : 6) * MM_PER_INCH,
                },
              ]),
        ],
        faces: [...faces.strips, ...lying, ...(a.ends === 'flap' ? [] : endFaces(line, ends, first, last))],
        run: drawnRun(a.skirtMm, row.run, first),
        ...(a.ends === 'gathered' && { gathered: true }),
        ...lyingOf(a, row.run),
      },
      ...flaps,
    ],
    arches: [
      {
        tags: row.hoops.map((h) => h.tag),
        section: pipe,
        hoop,
        sprung: row.sprung,
        xsMm: xs,
        spacingMm: (last - first) / (xs.length - 1),
        footYMm: footY,
        footZMm: footZ,
        baseZMm: baseZ,
        cutMm,
        ridge: row.ridge.ridge,
      },
    ],
    sleeves: parts.sleeves,
    under,
    reachMm: [first, last],
    footing: {
      on: parts.on,
      stiff: false,
      lengthMm: run,
      widthMm: spanMm,
    },
    fixing: 'weights',
    crop: cropUnder(site.bed, site.survey.frameOn.widthMm, a.crop, a.rowFromEdgeMm, under),
    enclosure: {
      ...underLine(cover, aboveWall(row.run, site), { lengthMm: run, widthMm: spanMm, heightMm: rise }),
      loose: true,
      ...(folds[0] === 'hoop' && { open: true }),
    },
    dimensions: [
      ...parts.dimensions,
      ...(lying.length > 0 ? [skirtDimension(a.skirtMm, row.run, first)] : []),
      ...hoopDimensions({
        sprung: row.hoop,
        xs,
        footY,
        footZ,
        baseZ,
        heightLabel: 'crown above base',
        startMm: row.coverMm[0],
        endMm: row.coverMm[1],
        coverLabel: 'covered',
        offsetFromMm: row.startMm,
        wallMm: site.bed.wall.thicknessMm,
        rowFromEdgeMm: a.rowFromEdgeMm,
      }),
    ],
    steps: parts.steps(covering, bars),
  };
}

/** What its ends are called. */
const ENDS: Readonly<Record<LooseTunnelAnswers['ends'], string>> = {
  gathered: 'gathered',
  folded: 'folded',
  flap: 'flapped',
};

/** Bars laid end to end on the skirts: boards, or rods rolled into the edge. */
function skirtBars(
  under: SkirtUnder,
  sides: readonly Point2[],
  lies: readonly boolean[],
  [first, last]: readonly [number, number],
  site: BuildSite,
): readonly Member[] {
  const bar = stock(site, under === 'rods' ? 'rod-4' : '2x4 treated');
  const longest = Math.max(...bar.stock.map((s) => s.lengthMm)) - bar.squareMm;
  const parts = Math.max(1, Math.ceil((last - first) / longest));
  const half = thicknessMm(bar) / 2;
  return sides.flatMap(({ y, z }, i) =>
    lies[i]
      ? Array.from({ length: parts }, (_, k): Member => {
          const at = (n: number): Vec3 => [first + ((last - first) * n) / parts, y, z + half];
          return piece(
            `W${i * parts + k + 1}`,
            under === 'rods' ? 'Skirt rod' : 'Skirt board',
            bar,
            at(k),
            at(k + 1),
            [0, 1, 0],
          );
        })
      : [],
  );
}

/** The hoops that a sheet is clipped to, in words. */
export const CLIPPED: Readonly<Record<LooseTunnelAnswers['clipped'], string>> = {
  ends: 'the end hoops',
  every: 'every hoop',
};

/** A typed measure at a foot: the span across, or something up and down beside it. */
export function footDimension(id: string, label: string, row: TunnelRow, valueMm: number): Dimension {
  const x = row.xs[0] ?? 0;
  const span = id === 'span';
  const below = id === 'bury';
  return {
    id,
    label,
    view: 'end',
    side: span ? 'below' : 'left',
    row: 1,
    from: [x, row.baseY, row.baseZ - (below ? valueMm : 0)],
    to: span ? [x, row.baseY + valueMm, row.baseZ] : [x, row.baseY, row.baseZ + (below ? 0 : valueMm)],
    valueMm,
    typed: true,
  };
}
