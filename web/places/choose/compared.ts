import { MERIT_QUANTITY, type MeritKey } from '../../../core/explore/merits';

const LABELS: readonly (readonly [key: MeritKey, label: string])[] = [
  ['price', 'Price'],
  ['wetSnowMm', 'Wet snow'],
  ['coldestC', 'Coldest night'],
  ['clearanceMm', 'Over the crop'],
  ['heightMm', 'Height'],
  ['hours', 'Hours'],
  ['massKg', 'Weight'],
];

/** The figures that families are compared by, in the order a gardener asks for them. */
export const COMPARED = LABELS.map(([key, label]) => ({ key, label, quantity: MERIT_QUANTITY[key] }));
