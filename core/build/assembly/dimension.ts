import { type Vec3, type View, flatten } from '../../base/geometry';
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

/** What the dimensions along the bed are taken from, mm. */
export interface AlongBed {
  readonly x0: number;
  readonly x1: number;
  readonly label: string;
  readonly wallMm: number;
  readonly rowFromEdgeMm: number;
  /** Places of what stands crosswise, and what the distance between them is called; none where nothing repeats. */
  readonly xs: readonly number[];
  readonly spacingLabel: string;
}

/** The dimensions that every cover has along its bed: length covered, spacing, first row of the crop. */
export function alongBed(m: AlongBed): readonly Dimension[] {
  const [first, second] = m.xs;
  return [
    dimension('coverLength', m.label, 'side', 'below', 2, [m.x0, 0, 0], [m.x1, 0, 0]),
    ...(first !== undefined && second !== undefined
      ? [dimension('spacing', m.spacingLabel, 'side', 'below', 1, [first, 0, 0], [second, 0, 0])]
      : []),
    dimension(
      'rowFromEdge',
      'first row',
      'plan',
      'right',
      1,
      [m.x1, m.wallMm, 0],
      [m.x1, m.wallMm + m.rowFromEdgeMm, 0],
    ),
  ];
}
