import { SHIPPED } from '../../catalog/catalog';
import type { HardwareUse } from '../../build/assembly/types';
import { shoppingList } from './shopping';

const use = (itemKey: string, count: number): HardwareUse => ({ itemKey, count, joint: `joint of ${count}` });
const list = (hardware: readonly HardwareUse[], owned = {}, prices = {}, currency = 'USD') =>
  shoppingList(
    hardware,
    [],
    { rolls: [], seams: [], tooWide: [] },
    { sheets: [], tooLarge: [] },
    prices,
    owned,
    SHIPPED,
    currency,
  );

test('uses of one thing are added up, joint by joint, and bought in whole packs', () => {
  const { lines } = list([use('strap', 6), use('strap', 8)]);
  expect(lines).toHaveLength(1);
  expect(lines[0]).toMatchObject({ key: 'strap', need: 14, packs: 2, paid: 9, leftOver: 6 });
  expect(lines[0]?.uses.map((u) => u.count)).toEqual([6, 8]);
});

test.each([
  [0, 2, 9],
  [4, 1, 4.5],
  [14, 0, 0],
  [99, 0, 0],
])('owning %d straps of 14 means buying %d packs', (owned, packs, paid) => {
  expect(list([use('strap', 14)], { strap: owned }).lines[0]).toMatchObject({ owned, packs, paid });
});

test('used is the part of a pack that goes into this cover', () => {
  const { lines, paid, used } = list([use('screw-3', 25)]);
  expect(lines[0]).toMatchObject({ packs: 1, paid: 10.2, used: 2.55 });
  expect([paid, used]).toEqual([10.2, 2.55]);
});

test('own prices count, and money has the decimals of its currency', () => {
  expect(list([use('handle', 1)], {}, { 'pack handle': 7.777 }).paid).toBe(7.78);
  expect(list([use('handle', 1)], {}, { 'pack handle': 777.4 }, 'JPY').paid).toBe(777);
});

test('everything in the catalogue can be bought, and sits in an aisle', () => {
  const { lines } = list([...SHIPPED.item.keys()].map((key) => use(key, 3)));
  expect(lines.map((l) => l.key).sort()).toEqual([...SHIPPED.item.keys()].sort());
  const aisles = lines.map((l) => l.aisle);
  expect(aisles).toEqual([...aisles].sort((a, b) => aisles.indexOf(a) - aisles.indexOf(b)));
});
