/** The loose sheet of a row of hoops: its size, its faces, where its edges end and what holds them there. */
import { type Point2, type Vec3 } from '../../base/geometry';
import { MM_PER_INCH } from '../../base/length';
import { thicknessMm } from '../../catalog/sections';
import { type BuildSite, stock } from '../../site/buildSite';
import type { SheetEdges } from '../answers/skin';
import { type Fold, type SheetRun, fastenedZ, runMm } from '../assembly/sheetRun';
import type { Allowance, Dimension, Joint, Member, Skirt } from '../assembly/types';
import type { Opening } from '../assembly/openings';
import { evenly, joint } from '../joints';
import { straightRun } from '../joints/runs';
import { batteningOf } from './frame';
import { PULL_MM } from './framedSheet';

/** What is answered of a loose sheet. */
export interface LooseSheetAnswers {
  readonly skirtMm: number;
  readonly edges: SheetEdges;
}

/** The row that it lies over. */
interface Row {
  readonly run: SheetRun;
  readonly xs: readonly number[];
  readonly battens: readonly Member[];
}

/** Round a batten or under a row of staples on the wall. */
const WRAP_MM = 3 * MM_PER_INCH;
/** Turned in where a sheet ends on the hoops. */
const HEM_MM = 4 * MM_PER_INCH;
const BATTEN = '1x2';

/** What the sheet takes across, line by line: its run, and what goes past its folds. */
export function acrossOf(a: LooseSheetAnswers, run: SheetRun): readonly Allowance[] {
  const sides = (fold: Fold): number => run.folds.filter((f) => f === fold).length;
  const past = (fold: Fold, what: string, each: number): readonly Allowance[] =>
    sides(fold) === 0
      ? []
      : [{ what: `${what}, ${sides(fold) === 2 ? 'both sides' : sideOf(fold, run)}`, mm: sides(fold) * each }];
  return [
    { what: OVER[a.edges], mm: runMm(run) },
    ...past('ground', 'Skirt on the ground', a.skirtMm),
    ...past('inside', 'Tucked in on the soil', a.skirtMm),
    ...past('hoop', 'Turned over the clips', HEM_MM),
    ...past('wall', a.edges === 'stapled' ? 'Folded under the staples' : 'Wrapped round the batten', WRAP_MM),
    { what: 'Spare, to pull it tight', mm: PULL_MM },
  ];
}

/** What of the sheet lies past its folds; nothing where it is fastened on both sides. */
export function lyingOf(a: LooseSheetAnswers, run: SheetRun): { readonly skirt?: Skirt } {
  const fastened = run.folds.filter((f) => f === 'wall').length;
  const hemmed = run.folds.filter((f) => f === 'hoop').length;
  if (fastened === 2) return {};
  const on = run.folds[0] === 'inside' ? 'soil' : 'ground';
  return {
    skirt: {
      askedMm: a.skirtMm,
      sides: 2 - fastened - hemmed,
      runMm: runMm(run),
      besideMm: PULL_MM + fastened * WRAP_MM + hemmed * HEM_MM,
      on,
    },
  };
}

const OVER: Readonly<Record<SheetEdges, string>> = {
  ground: 'Over hoop and wall, ground to ground',
  inside: 'Over the hoop, soil to soil',
  'one-open': 'Over the hoop, clips to ground',
  'one-battened': 'Over hoop and wall, ground to batten',
  battened: 'Over hoop and wall, batten to batten',
  stapled: 'Over hoop and wall, staples to staples',
};
/** Where the sheet has its near or its far fold. */
const foldAt = ({ line }: SheetRun, i: 0 | 1): Point2 => (i === 0 ? line[0] : line[line.length - 1]) ?? { y: 0, z: 0 };

/** So far away from the bed past a fold. */
function outward(run: SheetRun, i: 0 | 1, mm: number): Point2 {
  const { y, z } = foldAt(run, i);
  return { y: y + (i === 0 ? -mm : mm), z };
}

/** Where only one side is of a kind: one beside a fastened side is the near one, one beside an open side the far one. */
const sideOf = (fold: Fold, { folds }: SheetRun): string => (folds[0] === fold ? 'near side' : 'far side');

/** Battens on the outside of the wall, over the edges of a sheet that is fastened there. */
export function wallBattens(
  edges: SheetEdges,
  first: number,
  last: number,
  hoopXs: readonly number[],
  site: BuildSite,
): readonly Member[] {
  if (edges !== 'battened' && edges !== 'one-battened') return [];
  const section = stock(site, BATTEN);
  const out = thicknessMm(section) / 2;
  const z = fastenedZ(site.bed);
  const sides = edges === 'battened' ? [-out, site.survey.frameOn.widthMm + out] : [site.survey.frameOn.widthMm + out];
  return sides.flatMap(
    (y, i) =>
      straightRun(`B${i + 1}`, 'Cover batten', section, [first, last], [y, z], [0, 0, 1], { xs: hoopXs }).members,
  );
}

/** What fastens the sheet to the wall, where it is: staples, and battens over them. */
export function fastenedToWall(
  edges: SheetEdges,
  row: Row,
  sheet: readonly { readonly tag: string }[],
): readonly Joint[] {
  const { folds } = row.run;
  const [first, last] = [row.xs[0] ?? 0, row.xs[row.xs.length - 1] ?? 0];
  const places = ([0, 1] as const).flatMap((i) => {
    const end = foldAt(row.run, i);
    return folds[i] === 'wall'
      ? evenly([first, end.y, end.z], [last, end.y, end.z], Math.ceil((last - first) / 150) + 1)
      : [];
  });
  const alone = edges === 'stapled';
  const where = `Cover to the bed wall${alone ? '' : ', until the battens are on'}`;
  return [
    ...joint('staple', 'staples', where, [...sheet, ...row.battens], places, alone ? { alone: 'edges' } : {}),
    ...batteningOf(row.battens, sheet).map((j) => ({
      ...j,
      with: { holds: 'wall', what: 'screws through the battens on the wall' },
    })),
  ];
}

/** What of a sheet lies on the ground outside, as faces. */
export function skirtFaces(skirtMm: number, run: SheetRun, x0: number, x1: number): readonly (readonly Vec3[])[] {
  return ([0, 1] as const).flatMap((i) => {
    if (run.folds[i] !== 'ground') return [];
    const end = foldAt(run, i);
    const { y } = outward(run, i, skirtMm);
    return [
      [
        [x0, end.y, 0],
        [x1, end.y, 0],
        [x1, y, 0],
        [x0, y, 0],
      ] as const,
    ];
  });
}

/** The middle of what lies past the near and the far fold, where weights go; at the foot of the wall where the sheet is fastened. */
export function skirtLines(skirtMm: number, run: SheetRun): readonly Point2[] {
  const { folds } = run;
  return ([0, 1] as const).map((i) => {
    const { y, z } = outward(run, i, folds[i] === 'ground' ? skirtMm / 2 : 0);
    return { y, z: folds[i] === 'wall' ? 0 : z };
  });
}

/** The ends of the sheet as they come down past the end hoops: a slope to the end wall and its outside, or upright over soil. */
export function endFaces(
  line: readonly Point2[],
  ends: readonly (readonly Point2[])[],
  first: number,
  last: number,
): readonly (readonly Vec3[])[] {
  const ys = line.map((p) => p.y);
  const [near, far] = [Math.min(...ys), Math.max(...ys)];
  return ends.flatMap((end, k) => {
    const x = k === 0 ? first : last;
    const hoop = line.map((p): Vec3 => [x, p.y, p.z]);
    const [, edge, foot] = end;
    if (!edge || !foot) return [hoop];
    const past = k === 0 ? x - edge.y : x + edge.y;
    const rim: readonly [Vec3, Vec3] = [
      [past, far, edge.z],
      [past, near, edge.z],
    ];
    return [
      [...hoop, ...rim],
      [...rim, [past, near, foot.z], [past, far, foot.z]],
    ];
  });
}

/** The line of the sheet across the bed as it is drawn, with what lies on the ground. */
export function drawnRun(skirtMm: number, run: SheetRun, x: number): readonly Vec3[] {
  const [near, far] = ([0, 1] as const).map((i) => (run.folds[i] === 'ground' ? [outward(run, i, skirtMm)] : []));
  return [...(near ?? []), ...run.line, ...(far ?? [])].map((p): Vec3 => [x, p.y, p.z]);
}

/** The part of the run that has air under it: above the wall where it comes down outside. */
export function aboveWall({ line, folds }: SheetRun, { bed }: BuildSite): readonly Point2[] {
  const low = folds[0] === 'inside' ? -Infinity : bed.wall.heightMm;
  const kept = line.filter((p) => p.z >= low - 1e-6);
  return kept.length > 2 ? kept : line;
}

/** The skirt that lies on the ground: typed where it is drawn. */
export function skirtDimension(skirtMm: number, run: SheetRun, x: number): Dimension {
  const side = run.folds[0] === 'hoop' ? 1 : 0;
  const { y } = foldAt(run, side);
  return {
    id: 'skirt',
    label: 'skirt on the ground',
    view: 'end',
    side: 'below',
    row: 2,
    from: [x, y, 0],
    to: [x, outward(run, side, skirtMm).y, 0],
    valueMm: skirtMm,
    typed: true,
  };
}

/** A sheet that is fastened along both sides is opened at its ends. */
export function endOpenings(
  crown: readonly [Point2, Point2],
  ends: 'gathered' | 'folded' | 'flap',
  xs: readonly [number, number],
  rise: number,
): readonly Opening[] {
  return xs.map((x, i) => ({
    name: i === 0 ? 'Left end' : 'Right end',
    by: 'flap',
    tags: ['S1'],
    line: [
      [x, crown[0].y, crown[0].z],
      [x, crown[1].y, crown[1].z],
    ],
    travel: { mm: rise },
    shut: ends === 'gathered' ? ['weights'] : ['clips', 'weights'],
    open: [],
    reachedFrom: 'ends',
  }));
}

/** The near side stands open from the hoops down, all season. */
export function openSide(run: SheetRun, x0: number, x1: number, footZ: number): Opening {
  const edge = foldAt(run, 0);
  return {
    name: 'Near side',
    by: 'open',
    tags: ['S1'],
    line: [
      [x0, edge.y, footZ],
      [x1, edge.y, footZ],
    ],
    travel: { mm: edge.z - footZ },
    airM2: ((x1 - x0) * (edge.z - footZ)) / 1e6,
    shut: [],
    open: ['edge clips'],
    reachedFrom: 'near',
  };
}

/** A loose sheet is lifted at its skirt, anywhere along the sides where it is loose. */
export function skirtOpening(run: SheetRun, x0: number, x1: number): Opening {
  const foot = foldAt(run, 0);
  const top = Math.max(...run.line.map((p) => p.z));
  return {
    name: 'Skirt',
    by: 'skirt',
    tags: ['S1'],
    line: [
      [x0, foot.y, foot.z],
      [x1, foot.y, foot.z],
    ],
    travel: { mm: (top - foot.z) * 0.7 },
    shut: ['weights'],
    open: ['clips'],
    reachedFrom: run.folds[1] === 'wall' ? 'near' : 'both sides',
  };
}
