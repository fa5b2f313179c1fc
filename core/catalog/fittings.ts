import { MM_PER_INCH } from '../base/length';
import { shippedKey } from './sections';
import type { SectionSpec } from './types';

/** A moulded fitting that pipe is pushed into. */
export type Fitting = 'elbow-45' | 'elbow-90' | 'tee' | 'three-way' | 'four-way';

/**
 * Laying length of PVC schedule 40 socket fittings, inches: from the centre of the fitting to where the pipe stops.
 * Source: ASTM D2466, dimension G; three- and four-way corners as tees of their size. Half elbows of 1-1/4 and 1-1/2 by the pattern of
 * the smaller ones: measure one before cutting.
 */
const LAYING_IN: Readonly<Record<string, { readonly straight: number; readonly half: number }>> = {
  'pvc-1/2': { straight: 0.5, half: 0.25 },
  'pvc-3/4': { straight: 0.5625, half: 0.3125 },
  'pvc-1': { straight: 0.6875, half: 0.34375 },
  'pvc-1-1/4': { straight: 0.84375, half: 0.375 },
  'pvc-1-1/2': { straight: 0.96875, half: 0.4375 },
};

/** Whether fittings are moulded for a pipe. */
export const isFitted = (s: SectionSpec): boolean => s.shape.kind === 'tube' && shippedKey(s) in LAYING_IN;

/** What one fitting takes up of the distance from centre to centre, mm. @throws for a pipe without fittings. */
export function takeUpMm(pipe: SectionSpec, fitting: Fitting): number {
  const sizes = LAYING_IN[shippedKey(pipe)];
  if (!sizes) throw new Error(`No fittings for "${pipe.key}"`);
  return (fitting === 'elbow-45' ? sizes.half : sizes.straight) * MM_PER_INCH;
}
