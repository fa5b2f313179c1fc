import { MM_PER_INCH } from '../base/length';
import type { StockLength } from './types';

const FOOT = 12 * MM_PER_INCH;
/** Stock lengths in feet with their prices. */
export const feet = (pairs: readonly (readonly [number, number])[]): StockLength[] =>
  pairs.map(([ft, price]) => ({ lengthMm: ft * FOOT, price }));
/** Stock lengths in metres with their prices. */
export const metres = (pairs: readonly (readonly [number, number])[]): StockLength[] =>
  pairs.map(([m, price]) => ({ lengthMm: m * 1000, price }));
