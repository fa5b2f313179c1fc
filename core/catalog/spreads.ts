import type { MaterialKey } from './types';

/** How far a figure may be off, as parts of it: nine times in ten it lies between. */
export interface Spread {
  readonly what: string;
  readonly low: number;
  readonly high: number;
  readonly source: string;
}

const spread = (what: string, low: number, high: number, source: string): Spread => ({ what, low, high, source });

/** Weight of snow of a kind, and of a ground load from a table. */
export const SNOW_SPREADS: Readonly<Record<'fresh' | 'settled' | 'wet' | 'ground', Spread>> = {
  fresh: spread('weight of fresh snow', 50 / 75, 100 / 75, 'Trade range 50 to 100 kg/m3'),
  settled: spread('weight of settled snow', 200 / 250, 300 / 250, 'Trade range 200 to 300 kg/m3'),
  wet: spread('weight of wet snow', 300 / 400, 500 / 400, 'Trade range 300 to 500 kg/m3'),
  ground: spread('snow on the ground', 0.8, 1.25, 'Our own figure: hollows and trees differ from the table'),
};

const WOOD = spread('stiffness', 8 / 9, 10 / 9, 'E 8 to 10 GPa');
const STEEL = spread('stiffness', 0.95, 1.05, 'E 195 to 210 GPa');
/** Stiffness of a material under the load, weeks long. */
export const STIFFNESS_SPREADS: Readonly<Record<MaterialKey, Spread>> = {
  pvc: spread('stiffness', 0.8, 1.3, 'After weeks 0.4 to 0.65 of fresh, by warmth and make'),
  pe: spread('stiffness', 0.7, 1.4, 'Trade range 0.6 to 1.1 GPa'),
  steel: STEEL,
  wire: STEEL,
  spruce: WOOD,
  treated: WOOD,
};

const YIELD = spread('yield', 1, 1.3, 'The standard is the least; mills deliver more');
const GRADE = spread(
  'strength of the wood',
  1.3,
  3,
  'A design stress is what nineteen boards of twenty bear with a margin',
);
const KINK = spread(
  'strain at which it kinks',
  3 / 3.5,
  4.5 / 3.5,
  'Our own range, 3 to 4.5 %: older and colder pipe sooner',
);
/** What a material bears before it kinks, yields or breaks. */
export const LIMIT_SPREADS: Readonly<Record<MaterialKey, Spread>> = {
  pvc: KINK,
  pe: KINK,
  steel: YIELD,
  wire: YIELD,
  spruce: GRADE,
  treated: GRADE,
};

/** Speed of the worst gust: as it was said, and where it is only a rough class. */
export const GUST_SPREADS = {
  said: spread('gust', 0.88, 1.15, 'Our own figure: a garden is not the station'),
  rough: spread('gust', 0.75, 1.35, 'A rough class'),
} as const;

/** What holds: in the soil, and by screws and iron. */
export const HOLD_SPREADS = {
  soil: spread('hold of the soil', 0.5, 1.7, 'Our own range: wet and dry, loose and grown through'),
  joint: spread('hold of the fastenings', 0.7, 1.4, 'Our own range: old wood, short screws'),
} as const;
