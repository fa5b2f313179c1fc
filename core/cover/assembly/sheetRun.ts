import { type Point2, pathLength, tautOutline } from '../../base/geometry';
import type { BuildSite } from '../../site/buildSite';

/** What a sheet does past a fold: lies on the ground outside, is tucked on the soil inside, is fastened to the wall, or ends on the hoops. */
export type Fold = 'ground' | 'inside' | 'wall' | 'hoop';

/** A sheet across the bed, from fold to fold. */
export interface SheetRun {
  readonly line: readonly Point2[];
  readonly folds: readonly [near: Fold, far: Fold];
}

/** How far under the rim a batten or a row of staples sits on the wall, mm; less on a wall that is lower than two of them. */
const UNDER_RIM_MM = 40;

/** Where on the wall's outside a sheet is fastened, above the ground, mm. */
export const fastenedZ = ({ wall }: Pick<BuildSite['bed'], 'wall'>): number =>
  Math.max(wall.heightMm / 2, wall.heightMm - UNDER_RIM_MM);

/**
 * Where a sheet runs across the bed, from fold to fold: taut over all that it lies on. Every family asks here.
 * @param over what it lies on, in the cross-section of the bed, mm
 * @param folds where it ends or turns at the near and the far side; at two heights, each side is reckoned by its own
 */
export function sheetRun(over: readonly Point2[], folds: readonly [near: Point2, far: Point2]): readonly Point2[] {
  const [near, far] = folds;
  const down = (z: number): readonly Point2[] =>
    tautOutline(over, [
      { y: near.y, z },
      { y: far.y, z },
    ]);
  if (near.z === far.z) return down(near.z);
  const [left, right] = [down(near.z), down(far.z)];
  return [...left.slice(0, crownOf(left) + 1), ...right.slice(crownOf(right) + 1)];
}

/** The first of a line's highest points. */
function crownOf(line: readonly Point2[]): number {
  const top = Math.max(...line.map((p) => p.z));
  return line.findIndex((p) => p.z > top - 1e-9);
}

/**
 * The run of a loose sheet over hoops in a bed: over the hoop, over the wall's outer top edge where it goes outside, down to its fold.
 * Plumb from a hoop that bulges past the wall.
 * @param over the outer face of the hoop, its straight legs included
 * @param inside where a sheet that stays inside meets the soil
 */
export function looseRun(
  over: readonly Point2[],
  inside: readonly [Point2, Point2],
  folds: SheetRun['folds'],
  { bed, survey }: Pick<BuildSite, 'bed' | 'survey'>,
): SheetRun {
  const width = survey.frameOn.widthMm;
  const tops = [0, width].map((y): Point2 => ({ y, z: bed.wall.heightMm }));
  // What ends on the hoops lies on nothing below that.
  const edge = folds[0] === 'hoop' ? halfUp(over) : undefined;
  const lies = [...over, ...tops.filter((_, i) => folds[i] !== 'inside')].filter(
    (p) => !edge || p.z >= edge.z - 1e-6 || p.y > width / 2,
  );
  const outermost = [Math.min(...lies.map((p) => p.y)), Math.max(...lies.map((p) => p.y))] as const;
  const at = (i: 0 | 1): Point2 => {
    switch (folds[i]) {
      case 'inside':
        return inside[i];
      case 'hoop':
        return edge ?? inside[i];
      case 'wall':
        return { y: i === 0 ? 0 : width, z: fastenedZ(bed) };
      case 'ground':
        return { y: outermost[i], z: 0 };
    }
  };
  return { line: sheetRun(lies, [at(0), at(1)]), folds };
}

/** The place on the near side of a hoop half way up it. */
function halfUp(over: readonly Point2[]): Point2 | undefined {
  const zs = over.map((p) => p.z);
  const middle = (Math.min(...zs) + Math.max(...zs)) / 2;
  const top = over.find((p) => p.z === Math.max(...zs))?.y ?? 0;
  return [...over].filter((p) => p.y <= top).sort((a, b) => Math.abs(a.z - middle) - Math.abs(b.z - middle))[0];
}

/**
 * From an end hoop to the outside of the end wall, at both ends, mm; undefined where the cover ends over soil or stays inside the wall.
 * @param cover from where to where along the bed it covers, and hoops where the first and the last stand
 */
export function pastEnds(
  cover: readonly [from: number, to: number],
  hoops: readonly [first: number, last: number],
  { folds }: Pick<SheetRun, 'folds'>,
  { survey }: Pick<BuildSite, 'survey'>,
): readonly [number | undefined, number | undefined] {
  const length = survey.frameOn.lengthMm;
  const over = folds[0] !== 'inside';
  return [over && cover[0] < 1 ? hoops[0] : undefined, over && cover[1] > length - 1 ? length - hoops[1] : undefined];
}

/**
 * Sheet from the crown of an end hoop down past the end of the bed: over the end wall's outer top edge to the ground, or straight
 * down to the soil where the cover ends over soil or stays inside the wall.
 * @param pastMm from the end hoop to the outside of the end wall; undefined where there is no wall
 */
export function endRun(
  crownZ: number,
  pastMm: number | undefined,
  soilZ: number,
  { wall }: Pick<BuildSite['bed'], 'wall'>,
): readonly Point2[] {
  const crown = { y: 0, z: crownZ };
  return pastMm === undefined
    ? [crown, { y: 0, z: soilZ }]
    : [crown, { y: pastMm, z: wall.heightMm }, { y: pastMm, z: 0 }];
}

/** Length of a run, mm. */
export const runMm = ({ line }: Pick<SheetRun, 'line'>): number => pathLength(line);
