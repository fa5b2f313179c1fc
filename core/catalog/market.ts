import { treatedKey, untreatedKey } from './treatment';
/** Which stock the gardener's shops carry. */
export type Market = 'imperial' | 'metric';

/** The metric board or pipe that does the work of a North American one. */
const METRIC: Readonly<Record<string, string>> = {
  '1x2': '25x38 mm',
  '1x3': '25x50 mm',
  '1x4': '25x95 mm',
  '1x6': '25x145 mm',
  '2x2': '45x45 mm',
  '2x3': '38x63 mm',
  '2x4': '38x89 mm',
  '2x6': '45x145 mm',
  '2x8': '45x195 mm',
  'pvc-1/2': 'pvc-20',
  'pvc-3/4': 'pvc-25',
  'pvc-1': 'pvc-32',
};

/** Steps that lengths are said in from a length on, mm: quarter and half inches; 5, 10 and 50 mm. */
const STEPS: Readonly<Record<Market, readonly (readonly [from: number, step: number])[]>> = {
  imperial: [
    [600, 12.7],
    [0, 6.35],
  ],
  metric: [
    [600, 50],
    [300, 10],
    [0, 5],
  ],
};

/**
 * A length that a builder of this market would say, down from one or up to it, mm.
 * @example roundLength(254, 'metric') // 250
 */
export function roundLength(mm: number, market: Market, way: 'down' | 'up' = 'down'): number {
  const step = STEPS[market].find(([from]) => mm >= from)?.[1] ?? 1;
  return (way === 'down' ? Math.floor(mm / step + 1e-6) : Math.ceil(mm / step - 1e-6)) * step;
}

/** A section as this market sells it; treated stays treated, and what has no equal stays as it is. */
export function stockFor(market: Market, key: string): string {
  if (market === 'imperial') return key;
  const plain = untreatedKey(key);
  const found = METRIC[plain];
  return found === undefined ? key : plain === key ? found : treatedKey(found);
}
