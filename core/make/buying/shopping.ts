import { type Catalog, hardwareItem } from '../../catalog/catalog';
import { packOf } from '../../catalog/counted';
import { AISLE_KEYS, type Aisle } from '../../catalog/types';
import type { HardwareUse } from '../../cover/assembly/types';
import {
  type PriceList,
  barPriceKey,
  packPrice,
  packPriceKey,
  rollPrice,
  rollPriceKey,
  sheetPriceKey,
} from '../../catalog/prices';
import type { RollPlan } from '../rolls/rolls';
import type { SectionCuts } from '../cutting/bars';
import type { SheetCuts } from '../cutting/panels';
import { type Phrase, amount, phrase } from '../../base/figure';
import { roundMoney } from '../../base/amount';

/** What money of a shopping list is called: the whole price, or what is left of it to pay. */
export const priceName = ({ onHand }: ShoppingList): string => (onHand ? 'Still to pay' : 'Price');

/** One line of the shopping list. */
export interface ShoppingLine {
  readonly key: string;
  readonly priceKey: string;
  readonly aisle: Aisle;
  readonly name: string;
  /** Size of one pack, bar or roll. */
  readonly size: Phrase;
  readonly need: number;
  readonly unit: 'piece' | 'm' | 'bar' | 'roll' | 'sheet';
  readonly owned: number;
  /** True where `owned` can be typed; bars on hand are kept on the shelf with their lengths. */
  readonly canOwn: boolean;
  readonly packs: number;
  readonly price: number;
  readonly paid: number;
  readonly used: number;
  readonly leftOver: number;
  /** What it is for, joint by joint. */
  readonly uses: readonly { readonly count: number; readonly joint: string }[];
}

export interface ShoppingList {
  readonly lines: readonly ShoppingLine[];
  /** Whether some of what it takes is owned or on the shelf: then what is paid is only what is still to pay. */
  readonly onHand: boolean;
  readonly paid: number;
  readonly used: number;
}

const sizeText = (of: { readonly widthMm: number; readonly lengthMm: number }): Phrase =>
  phrase`${amount(of.widthMm, 'length')} × ${amount(of.lengthMm, 'length')}`;

/**
 * What to buy: whole bars, rolls and packs, less what is owned; what is paid, and what of it this cover uses.
 * Every line is rounded to the smallest coin, so that the lines add up to the total.
 */
export function shoppingList(
  needed: readonly HardwareUse[],
  cuts: readonly SectionCuts[],
  rolls: RollPlan,
  sheets: SheetCuts,
  prices: PriceList,
  owned: Readonly<Record<string, number>>,
  catalog: Catalog,
  currency: string,
): ShoppingList {
  const money = (x: number): number => roundMoney(x, currency);
  const lines: ShoppingLine[] = [];
  /** Rolls or sheets of one size: bought whole, less what is owned. */
  const whole = (
    key: string,
    group: readonly { readonly usedShare: number }[],
    said: Pick<ShoppingLine, 'priceKey' | 'aisle' | 'name' | 'size' | 'unit' | 'price' | 'uses'>,
  ): ShoppingLine => {
    const packs = Math.max(0, Math.ceil(group.length - (owned[key] ?? 0) - 1e-9));
    const share = group.reduce((sum, cut) => sum + cut.usedShare, 0);
    return {
      ...said,
      key,
      need: group.length,
      owned: owned[key] ?? 0,
      canOwn: true,
      packs,
      paid: money(packs * said.price),
      used: money(Math.min(packs, share) * said.price),
      leftOver: 0,
    };
  };

  for (const cut of cuts) {
    const s = cut.section;
    const groups = new Map<number, SectionCuts['bars'][number][]>();
    for (const bar of cut.bars)
      if (!bar.fromShelf) groups.set(bar.lengthMm, [...(groups.get(bar.lengthMm) ?? []), bar]);
    for (const [lengthMm, bars] of groups) {
      const price = bars[0]?.price ?? 0;
      const sold = s.stock.find((bar) => bar.lengthMm === lengthMm);
      const share =
        bars.reduce((sum, bar) => sum + bar.pieces.reduce((t, p) => t + p.lengthMm, 0), 0) / (bars.length * lengthMm);
      lines.push({
        key: `${s.key} ${Math.round(lengthMm)}`,
        priceKey: barPriceKey(s, sold ?? { lengthMm, price }),
        aisle: s.aisle,
        name: s.name,
        size: [amount(lengthMm, 'length')],
        need: bars.length,
        unit: 'bar',
        owned: 0,
        canOwn: false,
        packs: bars.length,
        price,
        paid: money(bars.length * price),
        used: money(bars.length * price * share),
        leftOver: 0,
        uses: bars.map((bar) => ({ count: bar.pieces.length, joint: bar.pieces.map((p) => p.tag).join(', ') })),
      });
    }
  }

  const rollGroups = new Map<string, RollPlan['rolls'][number][]>();
  for (const cut of rolls.rolls.filter((r) => !r.fromShelf))
    rollGroups.set(cut.roll.key, [...(rollGroups.get(cut.roll.key) ?? []), cut]);
  for (const [key, group] of rollGroups) {
    const first = group[0];
    if (!first) continue;
    lines.push(
      whole(key, group, {
        priceKey: rollPriceKey(first.roll),
        aisle: 'covers',
        name: first.cover.name,
        size: sizeText(first.roll),
        unit: 'roll',
        price: rollPrice(prices, first.roll),
        uses: group.flatMap((cut) => cut.placed.map((p) => ({ count: 1, joint: `${p.tag} ${p.part}` }))),
      }),
    );
  }

  const sheetGroups = new Map<string, SheetCuts['sheets'][number][]>();
  for (const cut of sheets.sheets.filter((x) => !x.fromShelf))
    sheetGroups.set(cut.size.key, [...(sheetGroups.get(cut.size.key) ?? []), cut]);
  for (const [key, group] of sheetGroups) {
    const first = group[0];
    if (!first) continue;
    lines.push(
      whole(key, group, {
        priceKey: sheetPriceKey(first.size),
        aisle: 'sheets',
        name: first.sheet.name,
        size: sizeText(first.size),
        unit: 'sheet',
        price: first.price,
        uses: group.map((cut) => ({ count: cut.placed.length, joint: cut.placed.map((p) => p.tag).join(', ') })),
      }),
    );
  }

  const hardware = new Map<string, { count: number; uses: { count: number; joint: string }[] }>();
  for (const use of needed) {
    const entry = hardware.get(use.itemKey) ?? { count: 0, uses: [] };
    entry.count += use.count;
    entry.uses.push({ count: use.count, joint: use.joint });
    hardware.set(use.itemKey, entry);
  }
  for (const key of catalog.item.keys()) {
    const entry = hardware.get(key);
    if (!entry) continue;
    const item = hardwareItem(catalog, key);
    const have = owned[key] ?? 0;
    const short = Math.max(0, entry.count - have);
    const packs = Math.max(0, Math.ceil(short / item.packSize - 1e-9));
    const price = packPrice(prices, item);
    lines.push({
      key,
      priceKey: packPriceKey(item),
      aisle: item.aisle,
      name: item.name,
      size: packOf(item),
      need: entry.count,
      unit: item.unit,
      owned: have,
      canOwn: true,
      packs,
      price,
      paid: money(packs * price),
      used: money((short / item.packSize) * price),
      leftOver: packs * item.packSize - short,
      uses: entry.uses,
    });
  }

  lines.sort((a, b) => AISLE_KEYS.indexOf(a.aisle) - AISLE_KEYS.indexOf(b.aisle));
  return {
    lines,
    onHand:
      lines.some((l) => l.owned > 0) ||
      [...cuts.flatMap((cut) => cut.bars), ...rolls.rolls, ...sheets.sheets].some((s) => s.fromShelf),
    paid: money(lines.reduce((sum, l) => sum + l.paid, 0)),
    used: money(lines.reduce((sum, l) => sum + l.used, 0)),
  };
}
