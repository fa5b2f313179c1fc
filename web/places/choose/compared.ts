import type { Quantity } from '../../../core/base/amount';
import type { Measures } from '../../../core/explore/compare';

/** The figures that families are compared by, in the order a gardener asks for them. */
export const COMPARED: readonly {
  readonly key: keyof Measures;
  readonly label: string;
  readonly quantity: Quantity;
}[] = [
  { key: 'price', label: 'Price', quantity: 'money' },
  { key: 'wetSnowMm', label: 'Wet snow', quantity: 'snowDepth' },
  { key: 'coldestC', label: 'Coldest night', quantity: 'livesTo' },
  { key: 'clearanceMm', label: 'Over the crop', quantity: 'length' },
  { key: 'heightMm', label: 'Height', quantity: 'length' },
  { key: 'hours', label: 'Hours', quantity: 'hours' },
  { key: 'massKg', label: 'Weight', quantity: 'mass' },
];
