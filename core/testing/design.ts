/** A design of nothing but figures. */
import type { WishFigures } from '../explore/brief/wishes';

export const TEST_FIGURES: WishFigures = {
  price: 100,
  hours: 8,
  coldestC: -12,
  wetSnowMm: 200,
  clearanceMm: 100,
  massKg: 20,
  liftKg: 0,
  longestMm: 1000,
};
