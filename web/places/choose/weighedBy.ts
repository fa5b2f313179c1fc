import type { Quantity } from '../../../core/base/amount';
import type { FigureKey } from '../../../core/brief/wishes';

/** Figures that designs are weighed by, as they are named. */
export const WEIGHED_BY: readonly { readonly key: FigureKey; readonly label: string; readonly quantity: Quantity }[] = [
  { key: 'price', label: 'Price', quantity: 'money' },
  { key: 'hours', label: 'Hours', quantity: 'hours' },
  { key: 'coldestC', label: 'Coldest night', quantity: 'temperature' },
  { key: 'wetSnowMm', label: 'Wet snow', quantity: 'snowDepth' },
  { key: 'clearanceMm', label: 'Over the crop', quantity: 'growth' },
  { key: 'massKg', label: 'Weight', quantity: 'mass' },
];
