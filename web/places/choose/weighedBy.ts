import { FIGURE_QUANTITY, type FigureKey } from '../../../core/explore/brief/wishes';

const LABELS: readonly { readonly key: FigureKey; readonly label: string }[] = [
  { key: 'price', label: 'Price' },
  { key: 'hours', label: 'Hours' },
  { key: 'coldestC', label: 'Coldest night' },
  { key: 'wetSnowMm', label: 'Wet snow' },
  { key: 'clearanceMm', label: 'Over the crop' },
  { key: 'massKg', label: 'Weight' },
];

/** Figures that designs are weighed by, as they are named. */
export const WEIGHED_BY = LABELS.map((w) => ({ ...w, quantity: FIGURE_QUANTITY[w.key] }));
