import { MM_PER_INCH } from '../base/length';
import type { SectionSpec } from './types';

const FOOT = 12 * MM_PER_INCH;
/** What a shop sells of a bar. */
export type Sold = Pick<SectionSpec, 'market' | 'stock'>;

/** Lengths that North American shops sell, in feet with their prices. */
export const feet = (pairs: readonly (readonly [number, number])[]): Sold => ({
  market: 'imperial',
  stock: pairs.map(([ft, price]) => ({ lengthMm: ft * FOOT, price })),
});
/** Lengths that shops of metric countries sell, in metres with their prices. */
export const metres = (pairs: readonly (readonly [number, number])[]): Sold => ({
  market: 'metric',
  stock: pairs.map(([m, price]) => ({ lengthMm: m * 1000, price })),
});
