import { type Point2, pathLength } from '../../../base/geometry';
import { MM_PER_INCH } from '../../../base/length';
import { thicknessMm } from '../../../catalog/sections';
import type { Section } from '../../../catalog/types';
import type { SheetPart } from '../../assembly/types';
import { PULL_MM } from '../../parts/framedSheet';
import type { WalkInAnswers } from './answers';

/** What film takes round a board or a hoop where it is fastened. */
export const WRAP_MM = 4 * MM_PER_INCH;

/** Film that a roll-up side needs beyond its height: a turn and a half round the bar, and six inches. */
export function rollAllowance(bar: Section): number {
  return 1.5 * Math.PI * thicknessMm(bar) + 6 * MM_PER_INCH;
}

/** The main sheet across, line by line: the roof to its hips, or over all. The height is solved with what is listed. */
export function mainAcross(
  a: Pick<WalkInAnswers, 'sheets' | 'sides' | 'rollBar'>,
  line: readonly Point2[],
): SheetPart['across'] {
  const hips = a.sheets === 'roof-and-curtains';
  return [
    { what: hips ? 'Over the hoop, hip to hip' : 'Over the hoop and down both sides', mm: pathLength(line) },
    !hips && a.sides === 'roll-up'
      ? { what: 'Round both roll bars, a turn and a half and six inches', mm: 2 * rollAllowance(a.rollBar) }
      : { what: 'Fastened along both sides', mm: 2 * WRAP_MM },
    { what: 'Spare, to pull it tight', mm: PULL_MM },
  ];
}
