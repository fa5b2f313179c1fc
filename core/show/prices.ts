import type { Catalog } from '../catalog/catalog';
import { type Aisle, AISLES } from '../catalog/types';
import Papa from 'papaparse';
import { type PriceList, barPriceKey, packPriceKey, rollPriceKey, sheetPriceKey } from '../catalog/prices';
import { type Fault, type Result, fail, failAll, ok } from '../base/result';
import { csvText } from './cells';

/** One thing that has a price, as it stands in a list. */
interface PricedThing {
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
        aisle: 'sheets' as const,
        name: s.name,
        size: `${mm(size.widthMm)} x ${mm(size.lengthMm)}`,
        shipped: size.price,
      })),
    ),
    ...[...catalog.cover.values()].flatMap((c) =>
      c.rolls.map((roll) => ({
        of: `cover ${c.key}`,
        key: rollPriceKey(roll),
        aisle: 'covers' as const,
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
/** Longest list that is read: many times what a catalogue has. */
const MOST_ROWS = 20_000;
const MOST_CHARS = 2_000_000;
/** Faults that are told one by one. */
const MOST_FAULTS = 100;

/** A price as it is written: plain digits with a decimal mark, and a mark or a blank before each three digits of a larger one. */
const PLAIN = /^\d+(?:[.,]\d+)?$/;
const GROUPED = /^\d{1,3}(?:([.,'\u2019 \u00a0])\d{3})(?:\1\d{3})*(?:[.,]\d{1,2})?$/;
/** What may be thousands or three decimals. */
const EITHER = /^\d{1,3}[.,]\d{3}$/;

/**
 * A price as a shop or a spreadsheet writes it.
 * @param decimal the mark before the decimals, where other prices of the list tell it
 * @returns the number; NaN where it is none, nothing where it can be two
 */
export function readPrice(said: string, decimal?: '.' | ','): number | undefined {
  if (EITHER.test(said)) {
    if (decimal === undefined) return undefined;
    return Number(said.includes(decimal) ? said.replace(',', '.') : said.replace(/[.,]/, ''));
  }
  if (PLAIN.test(said)) return Number(said.replace(',', '.'));
  if (!GROUPED.test(said)) return NaN;
  const at = Math.max(said.lastIndexOf('.'), said.lastIndexOf(','));
  const decimals = at >= 0 && said.length - at <= 3 ? said.slice(at + 1) : '';
  const whole = (decimals === '' ? said : said.slice(0, at)).replace(/\D/g, '');
  return Number(`${whole}.${decimals || '0'}`);
}

/** The mark before the decimals of a list, where its prices agree on one. */
function decimalOf(prices: readonly string[]): '.' | ',' | undefined {
  const marks = new Set(prices.flatMap((said) => /([.,])\d{1,2}$/.exec(said)?.[1] ?? []));
  return marks.size === 1 ? (marks.has(',') ? ',' : '.') : undefined;
}

/** A list of prices as CSV that a spreadsheet cannot take for formulas: every priced thing, with the price in force. */
export function pricesCsv(catalog: Catalog, prices: PriceList): string {
  const data = pricedThings(catalog).map((t) => [t.key, AISLES[t.aisle], t.name, t.size, prices[t.key] ?? t.shipped]);
  return csvText(COLUMNS, data);
}

/**
 * Reads a list of prices: columns `key` and `price`, others are for the reader's eye. Only prices that differ from the shipped
 * ones are kept. One bad row and nothing is taken; each fault names its line and column.
 */
export function readPricesCsv(catalog: Catalog, text: string): Result<PriceList> {
  if (text.length > MOST_CHARS) return fail('file', 'the list is too long: at most 2 million characters');
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    preview: MOST_ROWS + 1,
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
  if (parsed.data.length > MOST_ROWS) return fail('file', `the list is too long: at most ${MOST_ROWS} lines`);
  const decimal = decimalOf(parsed.data.map((row) => (row['price'] ?? '').trim()));
  const things = new Map(pricedThings(catalog).map((t) => [t.key, t]));
  const faults: Fault[] = [];
  const prices: Record<string, number> = {};
  for (const [i, row] of parsed.data.entries()) {
    if (faults.length >= MOST_FAULTS) break;
    const at = (column: string): string => `line ${i + 2}, ${column}`;
    const key = (row['key'] ?? '').trim().replace(/^'/, '');
    const thing = things.get(key);
    const said = (row['price'] ?? '').trim();
    const price = readPrice(said, decimal);
    if (!thing) faults.push({ field: at('key'), message: `nothing in the catalogue is called "${key}"` });
    else if (price === undefined)
      faults.push({
        field: at('price'),
        message: `"${said}" can be two prices: write ${said.replace(/[.,]/, '')} or ${said.replace(/[.,]/, '.').slice(0, -1)}`,
      });
    else if (Number.isNaN(price) || price > MOST)
      faults.push({ field: at('price'), message: `must be a number such as 3.20, not "${said}"` });
    else if (key in prices) faults.push({ field: at('key'), message: `"${key}" stands in the list twice` });
    else prices[key] = price;
  }
  if (faults.length > 0) return failAll(faults);
  return ok(Object.fromEntries(Object.entries(prices).filter(([key, price]) => things.get(key)?.shipped !== price)));
}
