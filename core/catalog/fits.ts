import { MM_PER_INCH } from '../base/length';
import type { Fit } from './types';

/** Every fit that ships with the program. */
export const FITS: readonly Fit[] = [
  {
    key: 'sleeve',
    name: 'pipe over a rod or post',
    leastMm: 0.01 * MM_PER_INCH,
    mostMm: 0.12 * MM_PER_INCH,
    source: 'Trade practice: below 0.01 in it will not go on, above 0.12 in it rattles',
  },
];
