import type { BentHoop, Elastica } from '../hoop/types';
import type { Vec3 } from '../../base/geometry';
import type { BuildSite } from '../../site/buildSite';
import { alongBed, dimension, endHeight, leader } from './dimension';
import type { Dimension } from './types';

/** What the dimensions of a row of hoops are taken from, mm. */
export interface HoopMeasured {
  readonly sprung: { readonly hoop: Elastica | BentHoop; readonly cutMm: number };
  readonly xs: readonly number[];
  readonly footY: number;
  readonly footZ: number;
  /** Where the height is measured from, and what that is called. */
  readonly baseZ: number;
  readonly heightLabel: string;
  readonly startMm: number;
  readonly endMm: number;
  readonly coverLabel: string;
  readonly offsetFromMm: number;
}

/** The dimensions that every row of hoops has: cut, height, length covered, spacing, end offset, first row. */
export function hoopDimensions(
  a: { readonly rowFromEdgeMm: number },
  site: BuildSite,
  m: HoopMeasured,
): readonly Dimension[] {
  const { hoop, cutMm } = m.sprung;
  const first = m.xs[0] ?? 0;
  const last = m.xs[m.xs.length - 1] ?? 0;
  const middle = m.footY + hoop.spanMm / 2;
  const crownZ = m.footZ + hoop.heightMm;
  const tape: Vec3 = [first, middle + hoop.spanMm * 0.3, m.footZ + hoop.heightMm * 0.85];
  return [
    leader('pipeLength', 'hoop, cut', 'end', tape, cutMm),
    endHeight('height', m.heightLabel, 'right', [first, middle], [m.baseZ, crownZ]),
    ...alongBed(a, site, [m.startMm, m.endMm], m.coverLabel, { xs: m.xs, label: 'hoop to hoop' }, last),
    dimension('endOffset', 'end offset', 'plan', 'below', 1, [m.offsetFromMm, 0, 0], [first, 0, 0]),
  ];
}
