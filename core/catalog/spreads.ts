import type { Spread } from './types';

const spread = (key: string, name: string, low: number, high: number, source: string): Spread => ({
  key,
  name,
  low,
  high,
  source,
});

/** How far the figures may be off that a cover's strength stands on: every range that ships with the program. */
export const SPREADS: readonly Spread[] = [
  spread('stiffness pvc', 'stiffness of PVC', 0.8, 1.3, 'After weeks 0.4 to 0.65 of fresh, by warmth and make'),
  spread('stiffness pe', 'stiffness of polyethylene', 0.7, 1.4, 'Trade range 0.6 to 1.1 GPa'),
  spread('stiffness steel', 'stiffness of steel', 0.95, 1.05, 'E 195 to 210 GPa'),
  spread('stiffness wood', 'stiffness of wood', 8 / 9, 10 / 9, 'E 8 to 10 GPa'),
  spread(
    'limit plastic',
    'strain at which plastic kinks',
    3 / 3.5,
    4.5 / 3.5,
    'Our own range, 3 to 4.5 %: older and colder pipe sooner',
  ),
  spread('limit steel', 'yield of steel', 1, 1.3, 'The standard is the least; mills deliver more'),
  spread(
    'limit wood',
    'strength of wood',
    1.3,
    3,
    'A design stress is what nineteen boards of twenty bear with a margin',
  ),
  spread('snow fresh', 'weight of fresh snow', 50 / 75, 100 / 75, 'Trade range 50 to 100 kg/m3'),
  spread('snow settled', 'weight of settled snow', 200 / 250, 300 / 250, 'Trade range 200 to 300 kg/m3'),
  spread('snow wet', 'weight of wet snow', 300 / 400, 500 / 400, 'Trade range 300 to 500 kg/m3'),
  spread('snow ground', 'snow on the ground', 0.8, 1.25, 'Our own figure: hollows and trees differ from the table'),
  spread('gust said', 'gust as it was typed', 0.88, 1.15, 'Our own figure: a garden is not the station'),
  spread('gust rough', 'gust by a rough class', 0.75, 1.35, 'A rough class'),
  spread('hold soil', 'hold of the soil', 0.5, 1.7, 'Our own range: wet and dry, loose and grown through'),
  spread('hold joint', 'hold of the fastenings', 0.7, 1.4, 'Our own range: old wood, short screws'),
];
