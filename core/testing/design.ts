import type { Merits } from '../explore/merits';

/** A design of nothing but figures. */
export const TEST_FIGURES: Merits = {
  price: 100,
  hours: 8,
  coldestC: -12,
  wetSnowMm: 200,
  clearanceMm: 100,
  lightPercent: 80,
  heightMm: 600,
  massKg: 20,
  liftKg: 0,
  longestMm: 1000,
};
