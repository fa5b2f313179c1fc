import { SHIPPED, coverMaterial, section, stiffSheet } from '../../catalog/catalog';
import { barPriceKey } from '../../catalog/prices';
import type { HardwareUse } from '../../cover/assembly/types';
import type { SectionCuts } from '../cutting/bars';
import type { SheetCuts } from '../cutting/panels';
import type { RollPlan } from '../rolls/rolls';
import { priceName, shoppingList } from './shopping';

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

test('of a bar and of a roll only what goes into the cover is used, the whole is paid', () => {
  const two = section(SHIPPED, '2x4');
  const piece = (lengthMm: number) => ({ tag: 'A1', part: 'Rail', lengthMm });
  const bar = (...lengths: readonly number[]) => ({
    lengthMm: 2438.4,
    price: 4,
    fromShelf: false,
    pieces: lengths.map(piece),
  });
  const cuts = [{ section: two, bars: [bar(1000, 500), bar(2438.4), { ...bar(900), fromShelf: true }] }];
  const uv = coverMaterial(SHIPPED, 'film-uv');
  const roll = uv.rolls[0];
  if (!roll) throw new Error('no roll');
  const rolls = {
    rolls: [{ cover: uv, roll, fromShelf: false, usedShare: 0.25, placed: [] }],
    seams: [],
    tooWide: [],
  } as unknown as RollPlan;
  const made = shoppingList(
    [],
    cuts as unknown as SectionCuts[],
    rolls,
    { sheets: [], tooLarge: [] },
    {},
    {},
    SHIPPED,
    'USD',
  );
  // Two bars bought at 4, one of the shelf for nothing; 1500 and 2438.4 of 4876.8 mm are used: 8 x .8076.
  expect(made.lines[0]).toMatchObject({ key: '2x4 2438', need: 2, packs: 2, paid: 8, used: 6.46 });
  expect(made.lines.find((l) => l.unit === 'roll')).toMatchObject({
    packs: 1,
    paid: roll.price,
    used: roll.price / 4,
  });
  expect(made.used).toBeCloseTo(6.46 + roll.price / 4, 9);
  // One bar is of the shelf: the money is what is left to pay.
  expect([made.onHand, priceName(made)]).toEqual([true, 'Still to pay']);
});

test('sheets are bought whole by size, those on hand are not, and each line says what it is for', () => {
  const ply = stiffSheet(SHIPPED, 'plywood-1/4');
  const [large, small] = ply.sizes;
  if (!large || !small) throw new Error('no sizes');
  const cut = (size: typeof large, fromShelf: boolean, ...tags: readonly string[]) => ({
    sheet: ply,
    size,
    price: size.price,
    fromShelf,
    usedShare: 0.5,
    placed: tags.map((tag) => ({ tag })),
  });
  const sheets = {
    sheets: [cut(large, false, 'E1', 'E2'), cut(large, false, 'E3'), cut(small, false, 'E4'), cut(large, true, 'E5')],
    tooLarge: [],
  } as unknown as SheetCuts;
  const none = { rolls: [], seams: [], tooWide: [] };
  const made = (owned: Readonly<Record<string, number>>) =>
    shoppingList([], [], none, sheets, {}, owned, SHIPPED, 'USD').lines;
  expect(priceName(shoppingList([], [], none, { sheets: [], tooLarge: [] }, {}, {}, SHIPPED, 'USD'))).toBe('Price');
  expect(made({})).toHaveLength(2);
  expect(made({})[0]).toMatchObject({
    key: large.key,
    aisle: 'sheets',
    unit: 'sheet',
    need: 2,
    owned: 0,
    canOwn: true,
    packs: 2,
    paid: 2 * large.price,
    used: large.price,
    uses: [
      { count: 2, joint: 'E1, E2' },
      { count: 1, joint: 'E3' },
    ],
  });
  expect(made({})[0]?.size.filter((x) => typeof x !== 'string')).toEqual([
    { value: large.widthMm, quantity: 'length' },
    { value: large.lengthMm, quantity: 'length' },
  ]);
  // One of two is on hand: one is paid, and no more than that is used of it.
  expect(made({ [large.key]: 1 })[0]).toMatchObject({ owned: 1, packs: 1, paid: large.price, used: large.price });
  expect(made({ [large.key]: 5 })[0]).toMatchObject({ packs: 0, paid: 0, used: 0 });
});

test('a bar is told by its length, its price key and its pieces, and is kept on the shelf, not typed', () => {
  const two = section(SHIPPED, '2x4');
  const sold = two.stock[1];
  if (!sold) throw new Error('no stock');
  const bar = {
    lengthMm: sold.lengthMm,
    price: 4,
    fromShelf: false,
    pieces: [{ tag: 'A1' }, { tag: 'A2' }].map((p) => ({ ...p, lengthMm: 500 })),
  };
  const cuts = [{ section: two, bars: [bar] }] as unknown as SectionCuts[];
  const none = { rolls: [], seams: [], tooWide: [] };
  const [line] = shoppingList([], cuts, none, { sheets: [], tooLarge: [] }, {}, {}, SHIPPED, 'USD').lines;
  expect(line).toMatchObject({
    canOwn: false,
    unit: 'bar',
    size: [{ value: sold.lengthMm, quantity: 'length' }],
    priceKey: barPriceKey(two, sold),
    uses: [{ count: 2, joint: 'A1, A2' }],
  });
});

test('of rolls those of the shelf are not bought, and a roll says what is cut from it', () => {
  const uv = coverMaterial(SHIPPED, 'film-uv');
  const roll = uv.rolls[0];
  if (!roll) throw new Error('no roll');
  const cut = (fromShelf: boolean, tag: string) => ({
    cover: uv,
    roll,
    fromShelf,
    usedShare: 0.5,
    placed: [{ tag, part: 'Cover' }],
  });
  const rolls = { rolls: [cut(false, 'S1'), cut(true, 'S2')], seams: [], tooWide: [] } as unknown as RollPlan;
  const { lines } = shoppingList([], [], rolls, { sheets: [], tooLarge: [] }, {}, {}, SHIPPED, 'USD');
  expect(lines).toHaveLength(1);
  expect(lines[0]).toMatchObject({ need: 1, packs: 1, uses: [{ count: 1, joint: 'S1 Cover' }] });
});
