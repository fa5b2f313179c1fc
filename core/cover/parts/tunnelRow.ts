/** A row of hoops under a loose sheet, as it stands: springs on its feet, ridge, and where the sheet runs over it. */
import { pairsAt } from '../joints';
import type { Crop } from '../../catalog/crops';
import { type SheetEdges, type SkirtUnder, FOLDS } from '../answers/skin';
import type { HoopShape, RidgeSchool } from '../answers/hoops';
import type { Span } from '../answers/place';
import { type SheetRun, looseRun, pastEnds } from '../assembly/sheetRun';
import type { Dimension, Member } from '../assembly/types';
import type { Elastica, Feet } from '../hoop/types';
import type { CoverMaterial, Section } from '../../catalog/types';
import { thicknessMm } from '../../catalog/sections';
import { type BuildSite } from '../../site/buildSite';
import { type Result, ok } from '../../base/result';
import type { Point2, Vec3 } from '../../base/geometry';
import { type SprungHoop, hoopMembers, hoopPlaces, outerFace, springHoop } from './hoops';
import { acrossOf, wallBattens } from './looseSheet';
import { type RidgeBuilt, buildRidge, soilPosts } from './ridge';

/** Answers that every row of hoops under a loose, weighted sheet has. */
export interface LooseTunnelAnswers {
  readonly pipe: Section;
  readonly shape: HoopShape;
  readonly extent: Span;
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
  readonly crop: Crop;
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
  const [from, to] = a.extent;
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
  const hoops = hoopMembers(hoop.value, pipe, xs.value, {
    footY,
    footZ,
    tailMm: foot.aboveMm + foot.belowMm,
    bears: { sprung: foot.sprung, baseZMm: foot.baseZ },
  });
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
    feetAt: pairsAt(xs.value, [baseY, baseY + foot.spanMm], foot.baseZ),
    ridge: buildRidge(
      a.ridge,
      {
        site,
        pipe,
        hoopXs: xs.value,
        y: baseY + foot.spanMm / 2,
        crownZ: footZ + shape.heightMm,
        post: soilPosts(site, [first, last]),
      },
      hoops,
    ),
  });
}

/** A typed measure at a foot: the span across, or something up and down beside it. */
export function footDimension(id: string, label: string, row: TunnelRow, valueMm: number): Dimension {
  const x = row.xs[0] ?? 0;
  const span = id === 'span';
  const down = id === 'bury' ? -1 : 1;
  return {
    id,
    label,
    view: 'end',
    side: span ? 'below' : 'left',
    row: 1,
    from: [x, row.baseY, row.baseZ],
    to: span ? [x, row.baseY + valueMm, row.baseZ] : [x, row.baseY, row.baseZ + down * valueMm],
    valueMm,
    typed: true,
  };
}
