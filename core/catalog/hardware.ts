import type { Aisle } from './sections';

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
];

/** Every counted thing that ships with the program, by key. */
export const HARDWARE_BY_KEY: ReadonlyMap<string, HardwareItem> = new Map(ITEMS.map((i) => [i.key, i]));

/** The hardware item of a key. @throws when the key is not in the catalogue. */
export function hardwareItem(key: string): HardwareItem {
  const found = HARDWARE_BY_KEY.get(key);
  if (!found) throw new Error(`No hardware "${key}" in the catalogue`);
  return found;
}
