/** What is on hand, what it costs, what is got: the shelf, price lists, the shopping list's notes and ticks. */
import type { Draft } from 'immer';
import { freshName } from '../base/ids';
import { type Result, fail } from '../base/result';
import type { Garden } from '../garden/garden';
import { type Change, change } from './change';

type Bar = Garden['shelf'][number];
type Flat = Garden['shelfFlat'][number];
interface Named {
  readonly key: string;
  readonly name: string;
}

/** A record but for one key. */
export const withoutKey = <T>(record: Readonly<Record<string, T>>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(record).filter(([k]) => k !== key));

/** Sets how many of an item are on hand. */
export const setOwned = (garden: Garden, item: Named, count: number): Result<Change> =>
  change(garden, `Own ${item.name}`, (g) => void (g.owned[item.key] = count));

/** Says where an item lies. */
export const setOwnedWhere = (garden: Garden, item: Named, where: string): Result<Change> =>
  change(garden, `Place ${item.name}`, (g) => void (g.ownedWhere[item.key] = where.trim()));

/** Sets the price of one size of a thing, in the garden's currency. */
export const setPrice = (garden: Garden, priceKey: string, name: string, price: number): Result<Change> =>
  change(garden, `Price ${name}`, (g) => void (g.prices[priceKey] = price));

/** Ticks a line of the shopping list as got, or puts it back. */
export const setGot = (garden: Garden, priceKey: string, name: string, got: boolean): Result<Change> =>
  change(garden, `${got ? 'Got' : 'Put back'} ${name}`, (g) => {
    g.got = [...g.got.filter((key) => key !== priceKey), ...(got ? [priceKey] : [])];
  });

/** Writes a note on a line of the shopping list; an empty one takes it away. */
export const setNote = (garden: Garden, priceKey: string, name: string, text: string): Result<Change> =>
  change(garden, `Note on ${name}`, (g) => {
    const note = text.trim();
    g.notes = note === '' ? withoutKey(g.notes, priceKey) : { ...g.notes, [priceKey]: note };
  });

type Prices = Garden['prices'];
const freshList = (garden: Garden, name: string): string =>
  freshName(
    name,
    garden.priceLists.map((l) => l.name),
  );

/** Adds a price list that was read from a file, and puts it in force. */
export const addPriceList = (garden: Garden, id: string, name: string, prices: Prices): Result<Change> =>
  change(garden, `Open the prices ${name}`, (g) => {
    g.priceLists.push({ id, name: freshList(garden, name), prices: { ...prices } });
    g.prices = { ...prices };
  });

/** Keeps the prices in force as a list of that name. */
export const keepPrices = (garden: Garden, id: string, name: string): Result<Change> =>
  change(
    garden,
    `Keep the prices ${name.trim()}`,
    (g) => void g.priceLists.push({ id, name: freshList(garden, name.trim()), prices: { ...garden.prices } }),
  );

/** Puts a price list in force. */
export function takePrices(garden: Garden, id: string): Result<Change> {
  const list = garden.priceLists.find((l) => l.id === id);
  if (!list) return fail('priceLists', `There is no price list "${id}".`);
  return change(garden, `Use the prices ${list.name}`, (g) => void (g.prices = { ...list.prices }));
}

/** Puts the shipped prices in force. */
export const takeShippedPrices = (garden: Garden): Result<Change> =>
  change(garden, 'Use the shipped prices', (g) => void (g.prices = {}));

/** Takes a price list away; what is in force stays. */
export const removePriceList = (garden: Garden, id: string): Result<Change> =>
  change(
    garden,
    `Remove ${garden.priceLists.find((l) => l.id === id)?.name ?? id}`,
    (g) => void (g.priceLists = g.priceLists.filter((l) => l.id !== id)),
  );

/** How something is when it is put on the shelf. */
const AS_NEW = { quantity: 1, condition: 'sound', where: '' } as const;

/** Puts a bar or pipe on the shelf, mm long. */
export const addBar = (garden: Garden, id: string, sectionKey: string, lengthMm: number): Result<Change> =>
  change(garden, 'Put on the shelf', (g) => void g.shelf.push({ id, sectionKey, lengthMm, ...AS_NEW }));

/** Puts a sheet or roll on the shelf. */
export const addFlat = (
  garden: Garden,
  flat: Pick<Flat, 'id' | 'kind' | 'key' | 'widthMm' | 'lengthMm'>,
): Result<Change> => change(garden, 'Put on the shelf', (g) => void g.shelfFlat.push({ ...flat, ...AS_NEW }));

/** Says more of a bar on the shelf. */
export const setBar = (garden: Garden, id: string, part: Partial<Omit<Bar, 'id'>>): Result<Change> =>
  change(garden, 'Change the shelf', (g) => void Object.assign(found(g.shelf, id), part));

/** Says more of a sheet or roll on the shelf. */
export const setFlat = (garden: Garden, id: string, part: Partial<Omit<Flat, 'id'>>): Result<Change> =>
  change(garden, 'Change the shelf', (g) => void Object.assign(found(g.shelfFlat, id), part));

const found = <T extends { readonly id: string }>(list: Draft<T[]>, id: string): object =>
  list.find((x) => x.id === id) ?? {};

/** Takes a bar, sheet or roll off the shelf. */
export const removeFromShelf = (garden: Garden, id: string): Result<Change> =>
  change(garden, 'Take off the shelf', (g) => {
    g.shelf = g.shelf.filter((b) => b.id !== id);
    g.shelfFlat = g.shelfFlat.filter((f) => f.id !== id);
  });
