import type { HardwareItem, Roll, SectionSpec, SheetSize, StockLength } from './types';

/** Prices that differ from the shipped ones, by price key. */
export type PriceList = Readonly<Record<string, number>>;

export function barPriceKey(s: SectionSpec, bar: StockLength): string {
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

export function barPrice(prices: PriceList, s: SectionSpec, bar: StockLength): number {
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
