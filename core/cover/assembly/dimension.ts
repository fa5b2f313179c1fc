import { type Vec3, type View, flatten } from '../../base/geometry';
import type { BuildSite } from '../../site/buildSite';
import type { Dimension } from './types';

/** A measure of the drawing between two points: its value is their distance as seen in the view. */
export function dimension(
  id: string,
  label: string,
  view: View,
  side: Exclude<Dimension['side'], 'leader'>,
  row: number,
  from: Vec3,
  to: Vec3,
  typed = true,
): Dimension {
  const a = flatten(from, view);
  const b = flatten(to, view);
  const valueMm = side === 'below' || side === 'above' ? Math.abs(b[0] - a[0]) : Math.abs(b[1] - a[1]);
  return { id, label, view, side, row, from, to, valueMm, typed };
}

/** A length along something in the drawing, told beside it. */
export function leader(id: string, label: string, view: View, at: Vec3, valueMm: number, typed = true): Dimension {
  return { id, label, view, side: 'leader', row: 0, from: at, to: at, valueMm, typed };
}

/** A width across the bed as the end view has it, below the drawing. */
export const endWidth = (id: string, label: string, x: number, [y0, y1]: Range, typed = true, z = 0): Dimension =>
  dimension(id, label, 'end', 'below', 1, [x, y0, z], [x, y1, z], typed);

/** A height as the end view has it, beside the drawing. */
export const endHeight = (
  id: string,
  label: string,
  side: 'left' | 'right',
  [x, y]: readonly [number, number],
  [z0, z1]: Range,
  typed = true,
  row = 1,
): Dimension => dimension(id, label, 'end', side, row, [x, y, z0], [x, y, z1], typed);

type Range = readonly [from: number, to: number];

/**
 * The dimensions that every cover has along its bed: length covered, spacing, first row of the crop.
 * @param label what is covered
 * @param each places of what stands crosswise, and what the distance between them is called; nothing where nothing repeats
 * @param rowX where along the bed the row is measured; the end of what is covered when not said
 */
export function alongBed(
  a: { readonly rowFromEdgeMm: number },
  site: BuildSite,
  [x0, x1]: Range,
  label: string,
  each?: { readonly xs: readonly number[]; readonly label: string },
  rowX = x1,
): readonly Dimension[] {
  const wallMm = site.bed.wall.thicknessMm;
  const rowMm = wallMm + a.rowFromEdgeMm;
  const [first, second] = each?.xs ?? [];
  return [
    dimension('coverLength', label, 'side', 'below', 2, [x0, 0, 0], [x1, 0, 0]),
    ...(each && first !== undefined && second !== undefined
      ? [dimension('spacing', each.label, 'side', 'below', 1, [first, 0, 0], [second, 0, 0])]
      : []),
    dimension('rowFromEdge', 'first row', 'plan', 'right', 1, [rowX, wallMm, 0], [rowX, rowMm, 0]),
  ];
}
