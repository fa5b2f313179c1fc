/** A garden's own catalogue: figures it has measured, sizes its shop sells, things that do not ship with the program. */
import { treatedKey } from './treatment';
import * as z from 'zod/mini';
import { between, named, text, upTo, whole, word } from '../base/schema';
import {
  type Catalog,
  ENTRY_KINDS,
  type Entries,
  type EntryKind,
  SHIPPED,
  SHIPPED_ENTRIES,
  catalogFrom,
} from './catalog';
import type { Crop } from './crops';
import { type EntryFigure, FIGURES } from './figures';
import type { Market } from './market';
import { metricEntries } from './metric';
import type { CoverMaterial, SectionSpec, StiffSheet } from './types';

const key = word(60);
/** Words that every object of the language has already. */
export const isFree = (word: string): boolean => !(word in {});
const lengthMm = upTo(300_000);

/** Most crops of a garden's own. */
const MOST_OWN_CROPS = 100;

const ownCropSchema = z
  .strictObject({
    key: key.check(z.refine(isFree, 'must be another word: this one means something to the program')),
    name: named(40),
    killingC: between(-40, 10),
    hotC: between(10, 50),
    heightMm: between(20, 3000),
    insects: z.enum(['no', 'yes', 'self']),
    season: z.enum(['winter', 'cool', 'warm']),
    days: whole(10, 400),
    sowWeeks: between(-20, 20),
    soilC: between(0, 30),
    raised: z.boolean(),
    flowerDays: z.optional(whole(10, 400)),
  })
  .check(
    z.refine((c) => c.killingC < c.hotC, { path: ['hotC'], message: 'it gets too hot above what kills it by frost' }),
  );
export type OwnCrop = z.infer<typeof ownCropSchema>;

export const ownCatalogSchema = z.strictObject({
  /** Figures in place of the shipped ones. */
  figures: z
    .array(
      z.strictObject({
        kind: z.enum(ENTRY_KINDS),
        key,
        figure: text(40),
        value: z.number(),
        /** Where it comes from. */
        note: text(200),
      }),
    )
    .check(z.maxLength(2000)),
  /** Things of the gardener's own, each made after a shipped one. */
  things: z
    .array(
      z.strictObject({
        kind: z.enum(['bar', 'cover', 'item']),
        key: key.check(z.refine(isFree, 'must be another word: this one means something to the program')),
        name: named(60),
        like: key,
      }),
    )
    .check(z.maxLength(300)),
  /** Sizes that the shop here sells beside the shipped ones; a bar has no width. */
  sizes: z
    .array(
      z.strictObject({
        kind: z.enum(['bar', 'sheet', 'cover']),
        key,
        widthMm: z.optional(lengthMm),
        lengthMm,
        price: between(0, 1e6),
      }),
    )
    .check(z.maxLength(500)),
  /** Crops of the gardener's own, beside the shipped ones. */
  crops: z.array(ownCropSchema).check(z.maxLength(MOST_OWN_CROPS)),
  /** The longest thing that can be carried home, mm: what is longer is cut at the shop; null: any. */
  carryMm: z.nullable(between(600, 20_000)),
  /** How two equal pieces come out of a bar: at full length, or halved on the middle line. */
  halves: z.enum(['full', 'middle']),
});

export type OwnCatalog = z.infer<typeof ownCatalogSchema>;

export const NOTHING_OWN: OwnCatalog = { figures: [], things: [], sizes: [], crops: [], carryMm: null, halves: 'full' };

/** A fault in a garden's own catalogue, and where it stands in it. */
interface OwnFault {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

/** An entry of any table of the catalogue. */
export interface Entry {
  readonly key: string;
  readonly name: string;
  readonly source: string;
  readonly like?: string;
}

/** What a size of the gardener's own is called after its entry: 3962 mm, 1524x3048 mm. */
export function ownSizeName({ widthMm, lengthMm: long }: OwnCatalog['sizes'][number]): string {
  return widthMm === undefined ? `${Math.round(long)} mm` : `${Math.round(widthMm)}x${Math.round(long)} mm`;
}

/** A thing made after another: the same but for its key and name, and sold in sizes of its own name. */
function after<T extends Entry>(base: T, ownKey: string, name: string): T {
  const renamed = <S extends { readonly key: string }>(list: readonly S[]): S[] =>
    list.map((s) => ({ ...s, key: `${ownKey}${s.key.slice(base.key.length)}` }));
  return {
    ...base,
    key: ownKey,
    name,
    like: base.key,
    source: `Your own, made after ${base.name}`,
    ...('rolls' in base && { rolls: renamed(base.rolls as CoverMaterial['rolls']) }),
  };
}

function withSize(kind: 'bar' | 'sheet' | 'cover', entry: Entry, size: OwnCatalog['sizes'][number]): Entry {
  const flat = {
    key: `${entry.key} ${ownSizeName(size)}`,
    widthMm: size.widthMm ?? 0,
    lengthMm: size.lengthMm,
    price: size.price,
  };
  switch (kind) {
    case 'bar': {
      const bar = entry as SectionSpec;
      return { ...bar, stock: [...bar.stock, { lengthMm: size.lengthMm, price: size.price }] } as Entry;
    }
    case 'sheet': {
      const sheet = entry as StiffSheet;
      return { ...sheet, sizes: [...sheet.sizes, flat] } as Entry;
    }
    case 'cover': {
      const cover = entry as CoverMaterial;
      return { ...cover, rolls: [...cover.rolls, flat] } as Entry;
    }
  }
}

/** Of what is sold, what can be carried; and where nothing can, the shortest, cut at the shop to what can: whole pieces of one bar share its price. */
function carried<S extends { readonly lengthMm: number; readonly price: number; readonly key?: string }>(
  sold: readonly S[],
  carryMm: number,
): readonly S[] {
  const short = sold.filter((s) => s.lengthMm <= carryMm + 0.5);
  const [shortest] = [...sold].sort((a, b) => a.lengthMm - b.lengthMm);
  if (short.length > 0 || !shortest) return short;
  return [
    {
      ...shortest,
      ...(shortest.key !== undefined && { key: `${shortest.key} cut to fit` }),
      lengthMm: carryMm,
      price: shortest.price / Math.floor(shortest.lengthMm / carryMm + 1e-9),
    },
  ];
}

function hasSize(entry: Entry, { widthMm, lengthMm: long }: OwnCatalog['sizes'][number]): boolean {
  const e = entry as Partial<SectionSpec & StiffSheet & CoverMaterial>;
  const same = (s: { readonly widthMm?: number; readonly lengthMm: number }): boolean =>
    Math.abs(s.lengthMm - long) < 1 && (widthMm === undefined || Math.abs((s.widthMm ?? widthMm) - widthMm) < 1);
  return [...(e.stock ?? []), ...(e.sizes ?? []), ...(e.rolls ?? [])].some(same);
}

interface Built {
  readonly catalog: Catalog;
  readonly faults: readonly OwnFault[];
}

/** The entry of a kind and key in a catalogue. */
export function entryOf(catalog: Entries, kind: EntryKind, entryKey: string): Entry | undefined {
  return catalog[kind].get(entryKey);
}

/** The figures of an entry, whatever its kind. */
export function ownFigures(kind: EntryKind, entry: Entry): readonly EntryFigure<Entry>[] {
  return (FIGURES[kind] as unknown as (e: Entry) => readonly EntryFigure<Entry>[])(entry);
}

/** A pipe has a wall: nothing else that is within its bounds is impossible. */
function sound(entry: Entry): boolean {
  const shape = (entry as Partial<SectionSpec>).shape;
  return shape?.kind !== 'tube' || shape.insideMm < shape.outsideMm - 0.1;
}

/** What shops of a market sell before the garden's own is laid over it. */
const BASE: Readonly<Record<Market, { readonly entries: Entries; readonly catalog: Catalog }>> = {
  imperial: { entries: SHIPPED_ENTRIES, catalog: SHIPPED },
  metric: ((entries) => ({ entries, catalog: catalogFrom(entries) }))(metricEntries(SHIPPED_ENTRIES)),
};

/** What ships for the shops of a market. */
export const shippedIn = (market: Market): Catalog => BASE[market].catalog;

/** Own catalogues that are built already: one is asked for with every edit, and seldom changes. */
const known: Readonly<Record<Market, WeakMap<OwnCatalog, Built>>> = { imperial: new WeakMap(), metric: new WeakMap() };

/** The shipped catalogue with a garden's own over it, and what of that is wrong. */
function built(own: OwnCatalog, market: Market): Built {
  if (isEmpty(own)) return { catalog: BASE[market].catalog, faults: [] };
  const found = known[market].get(own) ?? build(own, BASE[market].entries);
  known[market].set(own, found);
  return found;
}

function build(own: OwnCatalog, base: Entries): Built {
  const tables = Object.fromEntries(ENTRY_KINDS.map((kind) => [kind, new Map<string, Entry>(base[kind])])) as Record<
    EntryKind,
    Map<string, Entry>
  >;
  const faults: OwnFault[] = [];
  own.things.forEach((thing, i) => {
    const entries = tables[thing.kind];
    const like = entryOf(base, thing.kind, thing.like);
    if (!like) {
      faults.push({
        path: ['things', i, 'like'],
        message: `there is no ${thing.kind} "${thing.like}" in the catalogue`,
      });
      return;
    }
    if (entries.has(thing.key)) {
      faults.push({ path: ['things', i, 'key'], message: `"${thing.key}" is in the catalogue already` });
      return;
    }
    entries.set(thing.key, after(like, thing.key, thing.name));
    // Boards come untreated and treated, as the shipped ones do.
    const treated = entryOf(base, 'bar', treatedKey(thing.like));
    if (thing.kind === 'bar' && treated)
      entries.set(treatedKey(thing.key), after(treated, treatedKey(thing.key), `${thing.name} treated`));
  });
  own.sizes.forEach((size, i) => {
    const entry = tables[size.kind].get(size.key);
    if (!entry)
      faults.push({ path: ['sizes', i, 'key'], message: `there is no ${size.kind} "${size.key}" in the catalogue` });
    else if (size.kind !== 'bar' && size.widthMm === undefined)
      faults.push({ path: ['sizes', i, 'widthMm'], message: 'must be the width of the sheet or roll' });
    else if (hasSize(entry, size))
      faults.push({ path: ['sizes', i], message: `${entry.name} is sold in that size already` });
    else tables[size.kind].set(size.key, withSize(size.kind, entry, size));
  });
  const changed = new Map<string, { readonly kind: EntryKind; readonly key: string; readonly at: number }>();
  own.figures.forEach((change, i) => {
    const entry = tables[change.kind].get(change.key);
    const figure = entry && ownFigures(change.kind, entry).find((f) => f.id === change.figure);
    if (!entry)
      faults.push({
        path: ['figures', i, 'key'],
        message: `there is no ${change.kind} "${change.key}" in the catalogue`,
      });
    else if (!figure)
      faults.push({ path: ['figures', i, 'figure'], message: `"${change.key}" has no figure "${change.figure}"` });
    else if (change.value < figure.min || change.value > figure.max)
      faults.push({
        path: ['figures', i, 'value'],
        message: `${figure.label} of ${entry.name} must be from ${figure.min} to ${figure.max} ${figure.unit}`,
      });
    else {
      const source = change.note === '' ? 'Your own figure' : `Your own figure: ${change.note}`;
      tables[change.kind].set(change.key, { ...figure.with(change.value), source });
      changed.set(`${change.kind} ${change.key}`, { kind: change.kind, key: change.key, at: i });
    }
  });
  for (const { kind, key: entryKey, at } of changed.values()) {
    const entry = tables[kind].get(entryKey);
    if (entry && !sound(entry))
      faults.push({
        path: ['figures', at, 'value'],
        message: `the inside of ${entry.name} must be less than its outside`,
      });
  }
  const crops = new Map<string, Crop>(SHIPPED.crop);
  own.crops.forEach((crop, i) => {
    if (crops.has(crop.key))
      faults.push({ path: ['crops', i, 'key'], message: `"${crop.key}" is a crop in the list already` });
    else crops.set(crop.key, crop);
  });
  const { carryMm } = own;
  if (carryMm !== null) {
    for (const [k, bar] of tables.bar) {
      const { stock } = bar as SectionSpec;
      tables.bar.set(k, { ...bar, stock: carried(stock, carryMm) } as Entry);
    }
    for (const [k, sheet] of tables.sheet) {
      const { sizes } = sheet as StiffSheet;
      tables.sheet.set(k, { ...sheet, sizes: carried(sizes, carryMm) } as Entry);
    }
  }
  // Every change of an entry gives one of its own kind.
  return { catalog: { ...catalogFrom(tables as unknown as Entries), halves: own.halves, crop: crops }, faults };
}

function isEmpty(own: OwnCatalog): boolean {
  return (
    own.figures.length === 0 &&
    own.things.length === 0 &&
    own.sizes.length === 0 &&
    own.crops.length === 0 &&
    own.carryMm === null &&
    own.halves === 'full'
  );
}

/** Everything that is wrong with a garden's own catalogue. */
export function ownFaults(own: OwnCatalog, market: Market): readonly OwnFault[] {
  return built(own, market).faults;
}

/** The catalogue of a garden: what its shops sell with the garden's own over it; what is faulty in that is left out. */
export function catalogOf(own: OwnCatalog, market: Market): Catalog {
  return built(own, market).catalog;
}
