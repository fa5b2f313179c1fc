import { flatten } from './project';
import type { Dimension, Vec3, View } from './types';

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
