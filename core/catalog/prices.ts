import type { Roll } from './covers';
import type { HardwareItem } from './hardware';
import type { Section, StockLength } from './sections';
import type { SheetSize } from './sheets';

/** Prices that differ from the shipped ones, by price key. */
export type PriceList = Readonly<Record<string, number>>;

export function barPriceKey(s: Section, bar: StockLength): string {
  return `bar ${s.key} ${Math.round(bar.namedMm ?? bar.lengthMm)}`;
}
export function packPriceKey(item: HardwareItem): string {
  return `pack ${item.key}`;
}
export function rollPriceKey(roll: Roll): string {
  return `roll ${roll.key}`;
}
export function sheetPriceKey(size: SheetSize): string {
  return `sheet ${size.key}`;
}

export function barPrice(prices: PriceList, s: Section, bar: StockLength): number {
  return prices[barPriceKey(s, bar)] ?? bar.price;
}
export function packPrice(prices: PriceList, item: HardwareItem): number {
  return prices[packPriceKey(item)] ?? item.packPrice;
}
export function rollPrice(prices: PriceList, roll: Roll): number {
  return prices[rollPriceKey(roll)] ?? roll.price;
}
export function sheetPrice(prices: PriceList, size: SheetSize): number {
  return prices[sheetPriceKey(size)] ?? size.price;
}
