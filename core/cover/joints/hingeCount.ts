import { MM_PER_INCH } from '../../base/length';

const FOOT = 12 * MM_PER_INCH;
/** The outer hinges stand so far from the ends of what they hang, mm. */
export const HINGE_FROM_END_MM = 100;

/** Hinges along a side: 2 to 5 ft, 3 to 10 ft, one more for each further 4 ft. */
export function hingeCount(lengthMm: number): number {
  // A hair under, so that exactly 5 ft is not taken for more.
  const feet = lengthMm / FOOT - 1e-6;
  if (feet <= 5) return 2;
  return feet <= 10 ? 3 : 3 + Math.ceil((feet - 10) / 4);
}
