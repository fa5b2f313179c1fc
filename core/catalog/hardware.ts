import type { Aisle } from './sections';
import { table } from './table';

/** A thing counted by the piece and sold by the pack. Prices are made up. */
export interface HardwareItem {
  readonly key: string;
  readonly name: string;
  /** What one of it is called in a list: piece, metre. */
  readonly unit: 'piece' | 'm';
  readonly packSize: number;
  readonly packPrice: number;
  readonly aisle: Aisle;
  readonly source: string;
}

const FIXINGS: Aisle = 'Fasteners and hardware';
const YARD: Aisle = 'Garden and yard';
const PIPE: Aisle = 'Pipe and conduit';
const PACK = 'Ordinary pack size; made-up price';

const item = (
  key: string,
  name: string,
  packSize: number,
  packPrice: number,
  aisle: Aisle = FIXINGS,
  unit: 'piece' | 'm' = 'piece',
): HardwareItem => ({
  key,
  name,
  unit,
  packSize,
  packPrice,
  aisle,
  source: PACK,
});

const ITEMS: readonly HardwareItem[] = [
  item('strap', 'two-hole pipe strap', 10, 4.5, PIPE),
  item('socket-cap', 'socket cap for a pipe foot', 1, 0.9, PIPE),
  item('end-cap', 'cap for a pipe or rod end', 10, 3.6, PIPE),
  item('coupler', 'pipe coupler', 1, 0.8, PIPE),
  item('clip', 'spring clip with sleeve', 10, 6.5, PIPE),
  item('cable-tie', 'UV cable tie', 50, 4.8),
  item('u-bolt', 'U-bolt with nuts', 1, 1.9),
  item('screw-1', 'exterior screw 1 in', 100, 6.2),
  item('screw-1-5/8', 'exterior screw 1-5/8 in', 100, 7.4),
  item('screw-2-1/2', 'exterior screw 2-1/2 in', 100, 9.1),
  item('screw-3', 'exterior screw 3 in', 100, 10.2),
  item('hinge', 'butt hinge 3 in with screws', 2, 5.6),
  item('handle', 'pull handle with screws', 1, 4.2),
  item('latch', 'hook and eye latch', 1, 3.1),
  item('stay', 'chain stay 24 in with end screws', 1, 4.9),
  item('corner-plate', 'corner mending plate with screws', 4, 6.4),
  item('staple', 'staple 3/8 in', 1000, 4.4),
  item('rope', 'UV rope', 15, 7.2, FIXINGS, 'm'),
  item('sandbag', 'sandbag or brick, 5 kg', 1, 1.6),
  item('paint', 'exterior paint for PVC, small tin', 1, 6.5),
  item('pipe-tape', 'UV tape, white', 30, 7.9, FIXINGS, 'm'),
  item('louvre', 'thermostat louvre', 1, 44),
  item('bracket', 'angle bracket 2 in with screws', 4, 5.2),
  item('hook', 'cabin hook with eyes', 1, 2.4),
  item('u-strap', 'conduit strap, two holes', 10, 4.2, PIPE),
  item('elbow-45', 'PVC elbow 45 degrees, to the pipe', 1, 1.1, PIPE),
  item('elbow-90', 'PVC elbow 90 degrees, to the pipe', 1, 0.8, PIPE),
  item('tee', 'PVC tee, to the pipe', 1, 1, PIPE),
  item('three-way', 'PVC three-way corner, to the pipe', 1, 2.9, PIPE),
  item('four-way', 'PVC four-way tee, to the pipe', 1, 3.4, PIPE),
  item('channel', 'film channel, aluminium', 2, 4.9, FIXINGS, 'm'),
  item('spring-wire', 'spring wire for the channel', 2, 2.1, FIXINGS, 'm'),
  item('edge-guard', 'split hose for a sharp edge', 3, 3.8, FIXINGS, 'm'),
  item('edge-tape', 'foil tape for twin-wall ends', 10, 6.2, FIXINGS, 'm'),
  item('glazing-screw', 'screw with washer for glazing', 25, 6.8),
  item('glazing-strip', 'wavy closure strip for corrugated sheet', 1, 3.2, FIXINGS, 'm'),
  item('opener', 'wax opener, lifts 7 kg', 1, 39),
  item('vent-flap', 'flap hinges and turn button for a vent', 1, 4.4),
  item('end-sleeve', 'sleeve for a cut wire end', 25, 4.9),
  item('door-hinge', 'tee hinge 6 in with screws', 1, 4.8),
  item('door-latch', 'thumb latch for a door', 1, 9.5),
  item('crank', 'hand crank for a roll-up side', 1, 28),
  item('roll-clip', 'clip that holds film on a roll bar', 10, 7.8),
  item('ground-anchor', 'screw-in ground anchor 15 in', 1, 8.6),
  item('post-mix', 'bag of post mix 20 kg', 1, 6.4),
  item('tek-screw', 'self-drilling screw for steel', 50, 8.8),
  item('cross-connector', 'clamp where a purlin crosses a hoop', 1, 2.2, PIPE),
  item('brick', 'brick or paver', 1, 0.9, YARD),
  item('water-jug', 'dark jug, 4 litres', 1, 1.5, YARD),
  item('blanket', 'old blanket or frost mat, 3 m2', 1, 12, YARD),
  item('string-lights', 'string of warm bulbs for outdoors, 3 m', 1, 17, YARD),
  item('old-window', 'old window sash, looked for second-hand', 1, 10, YARD),
  item('straw-bale', 'straw bale 36 x 18 x 14 in', 1, 8, YARD),
  item('seam-tape', 'clear UV tape for a seam in film', 15, 9.4, FIXINGS, 'm'),
  item('thread', 'UV thread for a seam in fabric', 100, 5.6, FIXINGS, 'm'),
  item('safety-film', 'safety film for glass', 1, 14, FIXINGS),
];

/** Every counted thing. */
export const HARDWARE = table<HardwareItem>('hardware', ITEMS);

/** The hardware item of a key. @throws when the key is not in the catalogue. */
export const hardwareItem = HARDWARE.get;
