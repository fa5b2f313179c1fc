import type { Catalog } from '../catalog/catalog';
import type { Aisle } from '../catalog/types';
import Papa from 'papaparse';
import { type PriceList, barPriceKey, packPriceKey, rollPriceKey, sheetPriceKey } from '../catalog/prices';
import { type Fault, type Result, fail, failAll, ok } from '../base/result';

/** One thing that has a price, as it stands in a list. */
export interface PricedThing {
  /** The entry of the catalogue that it is a size of. */
  readonly of: string;
  readonly key: string;
  readonly aisle: Aisle;
  readonly name: string;
  readonly size: string;
  readonly shipped: number;
}

/** Everything that the catalogue prices, aisle by aisle. */
export function pricedThings(catalog: Catalog): readonly PricedThing[] {
  const mm = (x: number): string => `${Math.round(x)} mm`;
  return [
    ...[...catalog.bar.values()].flatMap((s) =>
      s.stock.map((bar) => ({
        of: `bar ${s.key}`,
        key: barPriceKey(s, bar),
        aisle: s.aisle,
        name: s.name,
        size: mm(bar.lengthMm),
        shipped: bar.price,
      })),
    ),
    ...[...catalog.sheet.values()].flatMap((s) =>
      s.sizes.map((size) => ({
        of: `sheet ${s.key}`,
        key: sheetPriceKey(size),
        aisle: 'Sheet goods' as const,
        name: s.name,
        size: `${mm(size.widthMm)} x ${mm(size.lengthMm)}`,
        shipped: size.price,
      })),
    ),
    ...[...catalog.cover.values()].flatMap((c) =>
      c.rolls.map((roll) => ({
        of: `cover ${c.key}`,
        key: rollPriceKey(roll),
        aisle: 'Covers' as const,
        name: c.name,
        size: `${mm(roll.widthMm)} x ${mm(roll.lengthMm)}`,
        shipped: roll.price,
      })),
    ),
    ...[...catalog.item.values()].map((item) => ({
      of: `item ${item.key}`,
      key: packPriceKey(item),
      aisle: item.aisle,
      name: item.name,
      size: item.unit === 'm' ? `${item.packSize} m` : `pack of ${item.packSize}`,
      shipped: item.packPrice,
    })),
  ];
}

const COLUMNS = ['key', 'aisle', 'thing', 'size', 'price'] as const;
const MOST = 1e6;

/** A list of prices as CSV that a spreadsheet cannot take for formulas: every priced thing, with the price in force. */
export function pricesCsv(catalog: Catalog, prices: PriceList): string {
  const data = pricedThings(catalog).map((t) => [t.key, t.aisle, t.name, t.size, prices[t.key] ?? t.shipped]);
  return `${Papa.unparse({ fields: [...COLUMNS], data }, { escapeFormulae: true })}\r\n`;
}

/**
 * Reads a list of prices: columns `key` and `price`, others are for the reader's eye. Only prices that differ from the shipped
 * ones are kept. One bad row and nothing is taken; each fault names its line and column.
 */
export function readPricesCsv(catalog: Catalog, text: string): Result<PriceList> {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  const fields = parsed.meta.fields ?? [];
  for (const needed of ['key', 'price'])
    if (!fields.includes(needed))
      return fail(
        `line 1, ${needed}`,
        `there is no column "${needed}"; the first line names the columns: ${COLUMNS.join(', ')}`,
      );
  const things = new Map(pricedThings(catalog).map((t) => [t.key, t]));
  const faults: Fault[] = [];
  const prices: Record<string, number> = {};
  parsed.data.forEach((row, i) => {
    const at = (column: string): string => `line ${i + 2}, ${column}`;
    const key = (row['key'] ?? '').trim().replace(/^'/, '');
    const thing = things.get(key);
    const said = (row['price'] ?? '').trim();
    const price = Number(said.replace(',', '.'));
    if (!thing) faults.push({ field: at('key'), message: `nothing in the catalogue is called "${key}"` });
    else if (said === '' || !Number.isFinite(price) || price < 0 || price > MOST)
      faults.push({ field: at('price'), message: `must be a number such as 3.20, not "${said}"` });
    else if (key in prices) faults.push({ field: at('key'), message: `"${key}" stands in the list twice` });
    else prices[key] = price;
  });
  if (faults.length > 0) return failAll(faults);
  return ok(Object.fromEntries(Object.entries(prices).filter(([key, price]) => things.get(key)?.shipped !== price)));
}
