/** What shops of metric countries sell in place of the North American things: other names, other rolls. */
import type { Entries } from './catalog';
import { DEARER } from './covers';
import type { CoverMaterial, HardwareItem, Roll } from './types';

/** Counted things by their metric size. */
const NAMES: Readonly<Record<string, string>> = {
  'screw-1': 'exterior screw 4 x 25 mm',
  'screw-1-5/8': 'exterior screw 4 x 40 mm',
  'screw-2-1/2': 'exterior screw 5 x 65 mm',
  'screw-3': 'exterior screw 5 x 80 mm',
  'nail-3': 'wire nail 3.4 x 80 mm, galvanized',
  hinge: 'butt hinge 75 mm with screws',
  stay: 'chain stay 600 mm with end screws',
  staple: 'staple 10 mm',
  bracket: 'angle bracket 50 mm with screws',
  'sleeve-anchor': 'sleeve anchor M10 x 100 mm for masonry',
  'wall-bolt': 'bolt 10 x 180 mm with nut and two washers',
  'coach-screw': 'coach screw 10 x 120 mm with washer',
  'flashing-tape': 'butyl flashing tape 100 mm wide',
  'door-hinge': 'tee hinge 150 mm with screws',
  'ground-anchor': 'screw-in ground anchor 380 mm',
  'straw-bale': 'straw bale 90 x 45 x 35 cm',
};

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
  const item = new Map<string, HardwareItem>(
    [...shipped.item].map(([key, i]) => [key, { ...i, name: NAMES[key] ?? i.name }]),
  );
  const cover = new Map<string, CoverMaterial>([...shipped.cover].map(([key, c]) => [key, { ...c, rolls: rolls(c) }]));
  return { ...shipped, item, cover };
}
