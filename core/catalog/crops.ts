/** When a crop is grown: it stands through the winter, grows in cool weather, or wants warmth. */
type CropSeason = 'winter' | 'cool' | 'warm';

/** A crop as a cover sees it. Typical figures; varieties differ. */
export interface Crop {
  readonly key: string;
  readonly name: string;
  /** Air temperature at the leaves that kills it, C. */
  readonly killingC: number;
  /** Air temperature above which it wilts, bolts or drops its flowers, C. */
  readonly hotC: number;
  readonly heightMm: number;
  readonly insects: 'no' | 'yes' | 'self';
  readonly season: CropSeason;
  /** From sowing to the first harvest in good growing weather, days. */
  readonly days: number;
  /** Sown or planted out in the open so many weeks after the last spring frost; before it where less than nothing. */
  readonly sowWeeks: number;
  /** Comes up no colder than this in the soil, C. */
  readonly soilC: number;
  /** Mostly raised as seedlings and planted out: they are hardened off first. */
  readonly raised: boolean;
  /** From sowing to flower, days, where bees must reach it then. */
  readonly flowerDays?: number | undefined;
}

type Row = readonly [
  name: string,
  killingC: number,
  heightCm: number,
  insects: Crop['insects'],
  season: CropSeason,
  hotC: number,
  days: number,
  sowWeeks: number,
  soilC: number,
  flowerDays?: number,
];

/**
 * Killing temperature, height and need of insects: the handbook's table. Season, heat, days and weeks: usual figures of seed packets and
 * growers' tables, in the middle of what is said.
 */
const ROWS: readonly Row[] = [
  ['spinach', -12, 25, 'no', 'winter', 24, 45, -6, 3],
  ['kale', -12, 60, 'no', 'winter', 27, 60, -5, 5],
  ['corn salad', -15, 15, 'no', 'winter', 22, 55, -6, 5],
  ['claytonia', -12, 20, 'no', 'winter', 22, 45, -6, 4],
  ['leek', -12, 60, 'no', 'winter', 28, 120, -4, 6],
  ['chard', -7, 45, 'no', 'cool', 30, 55, -3, 8],
  ['carrot', -9, 30, 'no', 'winter', 28, 75, -3, 6],
  ['parsley', -9, 35, 'no', 'winter', 28, 80, -4, 8],
  ['pak choi', -4, 35, 'no', 'cool', 25, 45, -3, 8],
  ['mizuna', -7, 30, 'no', 'winter', 25, 40, -5, 5],
  ['lettuce', -3, 25, 'no', 'cool', 25, 50, -4, 4],
  ['rocket', -6, 25, 'no', 'cool', 25, 40, -5, 5],
  ['radish', -4, 20, 'no', 'cool', 25, 28, -5, 5],
  ['turnip', -6, 35, 'no', 'cool', 26, 50, -4, 6],
  ['beet', -4, 40, 'no', 'cool', 28, 60, -3, 8],
  ['broad bean', -6, 100, 'yes', 'cool', 26, 95, -7, 5, 60],
  ['pea', -3, 120, 'no', 'cool', 26, 70, -5, 5],
  ['broccoli', -5, 70, 'no', 'cool', 26, 75, -3, 8],
  ['cabbage', -8, 45, 'no', 'cool', 27, 80, -4, 8],
  ['spring onion', -10, 35, 'no', 'winter', 28, 65, -5, 6],
  ['tomato', 0, 180, 'self', 'warm', 33, 110, 2, 14],
  ['pepper', 0, 70, 'self', 'warm', 33, 115, 2, 16],
  ['basil', 1, 45, 'no', 'warm', 34, 60, 2, 15],
  ['strawberry', -2, 25, 'yes', 'cool', 29, 90, -4, 7, 45],
  ['cucumber', 1, 150, 'yes', 'warm', 33, 60, 2, 16, 40],
  ['courgette', 0, 70, 'yes', 'warm', 34, 55, 1, 15, 40],
  ['bush bean', 0, 45, 'self', 'warm', 32, 55, 1, 12],
];

/** Cool crops that are mostly planted out; what wants warmth is always. */
const RAISED = new Set([
  'kale',
  'leek',
  'chard',
  'parsley',
  'pak choi',
  'lettuce',
  'broccoli',
  'cabbage',
  'strawberry',
]);

export const CROPS: readonly Crop[] = ROWS.map(
  ([name, killingC, heightCm, insects, season, hotC, days, sowWeeks, soilC, flowerDays]) => ({
    key: name.replace(/ /g, '-'),
    name,
    killingC,
    hotC,
    heightMm: heightCm * 10,
    insects,
    season,
    days,
    sowWeeks,
    soilC,
    raised: season === 'warm' || RAISED.has(name),
    ...(flowerDays !== undefined && { flowerDays }),
  }),
);

/** The crop of a key. @throws when there is none. */
export function crop(key: string): Crop {
  const found = CROPS.find((c) => c.key === key);
  if (!found) throw new Error(`No crop "${key}"`);
  return found;
}
