import { MM_PER_INCH } from '../units/length';
import { table } from './table';

/** How loose one tube may sit over another: inside diameter of the outer less outside diameter of the inner, mm. */
export interface Fit {
  readonly key: string;
  readonly name: string;
  readonly leastMm: number;
  readonly mostMm: number;
  readonly source: string;
}

/** Every fit. */
export const FITS = table<Fit>('fit', [
  {
    key: 'sleeve',
    name: 'pipe over a rod or post',
    leastMm: 0.01 * MM_PER_INCH,
    mostMm: 0.12 * MM_PER_INCH,
    source: 'Trade practice: below 0.01 in it will not go on, above 0.12 in it rattles',
  },
]);
