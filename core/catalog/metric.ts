/** What shops of metric countries sell in place of the North American things: other names, other rolls. */
import type { Entries } from './catalog';
import { DEARER } from './covers';
import { marketHardware } from './hardware';
import type { CoverMaterial, HardwareItem, Roll } from './types';

/** Rolls by width and length in metres, with a price for film; other covers by their part of it. */
const FILM = [
  [2, 10, 21],
  [3, 10, 31],
  [4, 10, 40],
  [4, 25, 86],
  [6, 10, 58],
  [6, 25, 128],
  [8, 25, 168],
] as const;
const CLOTH = [
  [1.6, 10, 10],
  [2.1, 10, 13],
  [2.1, 50, 40],
  [3.2, 10, 19],
  [3.2, 50, 58],
  [4.2, 25, 44],
] as const;
function rolls(c: CoverMaterial): readonly Roll[] {
  // Reinforcing mesh is one square wide or another: six inches, or 150 mm, of the same rolls.
  if (c.rolls.length === 0 || c.kind === 'mesh') return c.rolls;
  return (c.kind === 'film' ? FILM : CLOTH).map(([wide, long, price]) => ({
    key: `${c.key} ${wide}x${long} m`,
    widthMm: wide * 1000,
    lengthMm: long * 1000,
    price: Math.round(price * (DEARER[c.key] ?? 1)),
  }));
}

/** The shipped tables as a metric shop has them. */
export function metricEntries(shipped: Entries): Entries {
  const item = new Map<string, HardwareItem>(marketHardware('metric').map((i) => [i.key, i]));
  const cover = new Map<string, CoverMaterial>([...shipped.cover].map(([key, c]) => [key, { ...c, rolls: rolls(c) }]));
  return { ...shipped, item, cover };
}
