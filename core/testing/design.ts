/** A design of nothing but figures. */
import type { Figures } from '../brief/wishes';

export const FIGURES: Figures = {
  price: 100,
  hours: 8,
  coldestC: -12,
  wetSnowMm: 200,
  clearanceMm: 100,
  massKg: 20,
  liftKg: 0,
  longestMm: 1000,
};
