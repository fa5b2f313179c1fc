import { METERS_PER_FOOT } from '../base/amount';
import type { Market } from './market';
import type { Aisle, HardwareItem } from './types';

const FIXINGS: Aisle = 'fixings';
const YARD: Aisle = 'yard';
const PIPE: Aisle = 'pipe';
const PACK = 'Ordinary pack size; made-up price';

interface Row extends Omit<HardwareItem, 'name' | 'packSize'> {
  readonly names: Readonly<Record<Market, string>>;
  readonly packSizes: Readonly<Record<Market, number>>;
}

/** @param name what both kinds of shop call it, or North American and metric ones */
const item = (
  key: string,
  name: string | readonly [imperial: string, metric: string],
  packSize: number,
  packPrice: number,
  aisle: Aisle = FIXINGS,
): Row => ({
  key,
  names: typeof name === 'string' ? { imperial: name, metric: name } : { imperial: name[0], metric: name[1] },
  unit: 'piece',
  packSizes: { imperial: packSize, metric: packSize },
  packPrice,
  aisle,
  source: PACK,
});

/** What is sold by the length: so many feet or meters in a coil or strip. */
const coil = (
  key: string,
  name: string | readonly [imperial: string, metric: string],
  [feet, meters]: readonly [feet: number, meters: number],
  packPrice: number,
): Row => ({
  ...item(key, name, meters, packPrice),
  unit: 'm',
  packSizes: { imperial: feet * METERS_PER_FOOT, metric: meters },
});

const ROWS: readonly Row[] = [
  item('strap', 'two-hole pipe strap', 10, 4.5, PIPE),
  item('socket-cap', 'socket cap for a pipe foot', 1, 0.9, PIPE),
  item('end-cap', 'cap for a pipe or rod end', 10, 3.6, PIPE),
  item('coupler', 'pipe coupler', 1, 0.8, PIPE),
  item('clip', 'spring clip with sleeve', 10, 6.5, PIPE),
  item('cable-tie', 'UV cable tie', 50, 4.8),
  item('u-bolt', 'U-bolt with nuts', 1, 1.9),
  item('screw-1', ['exterior screw 1 in', 'exterior screw 4 x 25 mm'], 100, 6.2),
  item('screw-1-5/8', ['exterior screw 1-5/8 in', 'exterior screw 4 x 40 mm'], 100, 7.4),
  item('screw-2-1/2', ['exterior screw 2-1/2 in', 'exterior screw 5 x 65 mm'], 100, 9.1),
  item('screw-3', ['exterior screw 3 in', 'exterior screw 5 x 80 mm'], 100, 10.2),
  item('nail-3', ['common nail 3 in, galvanized', 'wire nail 3.4 x 80 mm, galvanized'], 60, 5.6),
  item('hinge', ['butt hinge 3 in with screws', 'butt hinge 75 mm with screws'], 2, 5.6),
  item('handle', 'pull handle with screws', 1, 4.2),
  item('latch', 'hook and eye latch', 1, 3.1),
  item('stay', ['chain stay 24 in with end screws', 'chain stay 600 mm with end screws'], 1, 4.9),
  item('corner-plate', 'corner mending plate with screws', 4, 6.4),
  item('staple', ['staple 3/8 in', 'staple 10 mm'], 1000, 4.4),
  coil('rope', 'UV rope', [50, 15], 7.2),
  item('sandbag', ['sandbag or brick, 11 lb', 'sandbag or brick, 5 kg'], 1, 1.6),
  item('paint', 'exterior paint for PVC, small tin', 1, 6.5),
  coil('pipe-tape', 'UV tape, white', [100, 30], 7.9),
  item('louvre', 'thermostat louvre', 1, 44),
  item('bracket', ['angle bracket 2 in with screws', 'angle bracket 50 mm with screws'], 4, 5.2),
  item('rafter-hanger', 'rafter hanger with screws', 1, 2.3),
  item('sleeve-anchor', ['sleeve anchor 3/8 x 4 in for masonry', 'sleeve anchor M10 x 100 mm for masonry'], 1, 1.9),
  item('coach-screw', ['coach screw 3/8 x 5 in with washer', 'coach screw 10 x 120 mm with washer'], 1, 1.4),
  item('wall-bolt', ['bolt 3/8 x 7 in with nut and two washers', 'bolt 10 x 180 mm with nut and two washers'], 1, 2.6),
  coil('flashing-tape', ['butyl flashing tape 4 in wide', 'butyl flashing tape 100 mm wide'], [17, 5], 11.5),
  item('hook', 'cabin hook with eyes', 1, 2.4),
  item('u-strap', 'conduit strap, two holes', 10, 4.2, PIPE),
  item('elbow-45', 'PVC elbow 45 degrees, to the pipe', 1, 1.1, PIPE),
  item('elbow-90', 'PVC elbow 90 degrees, to the pipe', 1, 0.8, PIPE),
  item('tee', 'PVC tee, to the pipe', 1, 1, PIPE),
  item('three-way', 'PVC three-way corner, to the pipe', 1, 2.9, PIPE),
  item('four-way', 'PVC four-way tee, to the pipe', 1, 3.4, PIPE),
  coil('channel', 'film channel, aluminum', [7, 2], 4.9),
  coil('spring-wire', 'spring wire for the channel', [7, 2], 2.1),
  coil('edge-guard', 'split hose for a sharp edge', [10, 3], 3.8),
  coil('foam-strip', 'foam strip, self-adhesive', [17, 5], 4.6),
  coil('edge-tape', 'foil tape for twin-wall ends', [33, 10], 6.2),
  coil('joining-strip', 'joining strip for twin-wall', [7, 2], 7.8),
  item('glazing-screw', 'screw with washer for glazing', 25, 6.8),
  coil('glazing-strip', 'wavy closure strip for corrugated sheet', [4, 1], 3.2),
  item('opener', ['wax opener, lifts 15 lb', 'wax opener, lifts 7 kg'], 1, 39),
  item('vent-flap', 'flap hinges and turn button for a vent', 1, 4.4),
  item('end-sleeve', 'sleeve for a cut wire end', 25, 4.9),
  item('door-hinge', ['tee hinge 6 in with screws', 'tee hinge 150 mm with screws'], 1, 4.8),
  item('door-latch', 'thumb latch for a door', 1, 9.5),
  item('crank', 'hand crank for a roll-up side', 1, 28),
  item('roll-clip', 'clip that holds film on a roll bar', 10, 7.8),
  item('ground-anchor', ['screw-in ground anchor 15 in', 'screw-in ground anchor 380 mm'], 1, 8.6),
  item('post-mix', ['bag of post mix 50 lb', 'bag of post mix 20 kg'], 1, 6.4),
  item('tek-screw', 'self-drilling screw for steel', 50, 8.8),
  item('cross-connector', 'clamp where a purlin crosses a hoop', 1, 2.2, PIPE),
  item('brick', 'brick or paver', 1, 0.9, YARD),
  item('water-jug', ['dark jug, 1 gallon', 'dark jug, 4 liters'], 1, 1.5, YARD),
  item('blanket', ['old blanket or frost mat, 5 x 7 ft', 'old blanket or frost mat, 3 m2'], 1, 12, YARD),
  item(
    'string-lights',
    ['string of warm bulbs for outdoors, 10 ft', 'string of warm bulbs for outdoors, 3 m'],
    1,
    17,
    YARD,
  ),
  item('old-window', 'old window sash, looked for second-hand', 1, 10, YARD),
  item('straw-bale', ['straw bale 36 x 18 x 14 in', 'straw bale 90 x 45 x 35 cm'], 1, 8, YARD),
  coil('seam-tape', 'clear UV tape for a seam in film', [50, 15], 9.4),
  coil('thread', 'UV thread for a seam in fabric', [330, 100], 5.6),
  item('safety-film', 'safety film for glass', 1, 14, FIXINGS),
];

/** Every counted thing that ships with the program, as the shops of a market call it. */
export const marketHardware = (market: Market): readonly HardwareItem[] =>
  ROWS.map(({ names, packSizes, ...row }) => ({ ...row, name: names[market], packSize: packSizes[market] }));
