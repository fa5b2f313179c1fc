/** A crop as a cover sees it. Typical figures; varieties differ. */
export interface Crop {
  readonly key: string;
  readonly name: string;
  /** Air temperature at the leaves that kills it, C. */
  readonly killingC: number;
  readonly heightMm: number;
  readonly insects: 'no' | 'yes' | 'self';
}

const ROWS: readonly (readonly [string, number, number, Crop['insects']])[] = [
  ['spinach', -12, 25, 'no'],
  ['kale', -12, 60, 'no'],
  ['corn salad', -15, 15, 'no'],
  ['claytonia', -12, 20, 'no'],
  ['leek', -12, 60, 'no'],
  ['chard', -7, 45, 'no'],
  ['carrot', -9, 30, 'no'],
  ['parsley', -9, 35, 'no'],
  ['pak choi', -4, 35, 'no'],
  ['mizuna', -7, 30, 'no'],
  ['lettuce', -3, 25, 'no'],
  ['rocket', -6, 25, 'no'],
  ['radish', -4, 20, 'no'],
  ['turnip', -6, 35, 'no'],
  ['beet', -4, 40, 'no'],
  ['broad bean', -6, 100, 'yes'],
  ['pea', -3, 120, 'no'],
  ['broccoli', -5, 70, 'no'],
  ['cabbage', -8, 45, 'no'],
  ['spring onion', -10, 35, 'no'],
  ['tomato', 0, 180, 'self'],
  ['pepper', 0, 70, 'self'],
  ['basil', 1, 45, 'no'],
  ['strawberry', -2, 25, 'yes'],
  ['cucumber', 1, 150, 'yes'],
  ['courgette', 0, 70, 'yes'],
  ['bush bean', 0, 45, 'self'],
];

export const CROPS: readonly Crop[] = ROWS.map(([name, killingC, heightCm, insects]) => ({
  key: name.replace(/ /g, '-'),
  name,
  killingC,
  heightMm: heightCm * 10,
  insects,
}));

/** The crop of a key. @throws when there is none. */
export function crop(key: string): Crop {
  const found = CROPS.find((c) => c.key === key);
  if (!found) throw new Error(`No crop "${key}"`);
  return found;
}
