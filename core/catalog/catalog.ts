/** The catalogue in hand: plain data, handed down to whoever needs it. A garden's own is made in own.ts. */
import { COVERS } from './covers';
import { CROPS, type Crop } from './crops';
import { FITS } from './fits';
import { marketHardware } from './hardware';
import { LUMBER } from './lumber';
import { MATERIALS } from './materials';
import { PIPES } from './pipes';
import { SHEETS } from './sheets';
import { SPREADS } from './spreads';
import { STRENGTHS } from './strengths';
import { TOOLS } from './tools';
import type {
  CoverMaterial,
  Fit,
  HardwareItem,
  Material,
  Section,
  SectionSpec,
  Spread,
  StiffSheet,
  Strength,
  Tool,
} from './types';

/** Kinds of entry, in the order they are shown. */
export const ENTRY_KINDS = ['bar', 'sheet', 'cover', 'item', 'material', 'fit', 'joint', 'tool', 'spread'] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];

/** The tables as they are written down, each in its own order, by key. */
export interface Entries {
  readonly bar: ReadonlyMap<string, SectionSpec>;
  readonly sheet: ReadonlyMap<string, StiffSheet>;
  readonly cover: ReadonlyMap<string, CoverMaterial>;
  readonly item: ReadonlyMap<string, HardwareItem>;
  readonly material: ReadonlyMap<string, Material>;
  readonly fit: ReadonlyMap<string, Fit>;
  readonly joint: ReadonlyMap<string, Strength>;
  readonly tool: ReadonlyMap<string, Tool>;
  readonly spread: ReadonlyMap<string, Spread>;
}

/** The same with every bar's material and tool in its hand. */
export interface Catalog extends Entries {
  readonly bar: ReadonlyMap<string, Section>;
  /** How two equal pieces come out of a bar: at full length, or halved on the middle line. */
  readonly halves: 'full' | 'middle';
  /** Crops, shipped and the garden's own. */
  readonly crop: ReadonlyMap<string, Crop>;
}

const byKey = <T extends { readonly key: string }>(entries: readonly T[]): ReadonlyMap<string, T> =>
  new Map(entries.map((e) => [e.key, e]));

/** What ships with the program. */
export const SHIPPED_ENTRIES: Entries = {
  bar: byKey<SectionSpec>([...LUMBER, ...PIPES]),
  sheet: byKey(SHEETS),
  cover: byKey(COVERS),
  item: byKey(marketHardware('imperial')),
  material: byKey(MATERIALS),
  fit: byKey(FITS),
  joint: byKey(STRENGTHS),
  tool: byKey(TOOLS),
  spread: byKey(SPREADS),
};

const SHIPPED_CROPS = byKey(CROPS);

function get<T>(table: ReadonlyMap<string, T>, what: string, key: string): T {
  const found = table.get(key);
  if (found === undefined) throw new Error(`No ${what} "${key}" in the catalogue`);
  return found;
}

/** Joins bars with their materials and tools. @throws when a bar names one that is not there. */
export function catalogFrom(entries: Entries): Catalog {
  const joined = [...entries.bar].map(([key, spec]): readonly [string, Section] => {
    const material = get(entries.material, 'material', spec.materialKey);
    const [stiffness, limit] = material.spreads;
    const spreads = {
      stiffness: get(entries.spread, 'spread', stiffness),
      limit: get(entries.spread, 'spread', limit),
    };
    return [key, { ...spec, material, tool: get(entries.tool, 'tool', spec.toolKey), spreads }];
  });
  return { ...entries, bar: new Map(joined), halves: 'full', crop: SHIPPED_CROPS };
}

/** How far a figure may be off. @throws when there is no such range */
export const spreadOf = (c: Catalog, key: string): Spread => get(c.spread, 'spread', key);

/** The shipped catalogue. */
export const SHIPPED = catalogFrom(SHIPPED_ENTRIES);

/** The board, pipe, rod or wire of a key. @throws when there is none: documents are checked before they get here. */
export const section = (c: Catalog, key: string): Section => get(c.bar, 'section', key);
/** The film, fabric, net or glazing of a key. @throws when there is none. */
export const coverMaterial = (c: Catalog, key: string): CoverMaterial => get(c.cover, 'cover', key);
/** The stiff sheet of a key. @throws when there is none. */
export const stiffSheet = (c: Catalog, key: string): StiffSheet => get(c.sheet, 'sheet', key);
/** The counted thing of a key. @throws when there is none. */
export const hardwareItem = (c: Catalog, key: string): HardwareItem => get(c.item, 'hardware', key);
/** The fit of a key. @throws when there is none. */
export const fitOf = (c: Catalog, key: string): Fit => get(c.fit, 'fit', key);

/** The crop of a key. @throws when there is none. */
export const cropOf = (c: Catalog, key: string): Crop => get(c.crop, 'crop', key);

/** What a joint of a kind holds against lifting, N. @throws when there is none. */
export const holdsN = (c: Catalog, key: string): number => get(c.joint, 'joint', key).holdsN;

/** The bars that pass a test, in catalogue order. */
export const sectionsWhere = (c: Catalog, test: (s: Section) => boolean): readonly Section[] =>
  [...c.bar.values()].filter(test);

/** Other bars of the same material and form that are sold by themselves. */
export const sectionsLike = (c: Catalog, now: Section): readonly Section[] =>
  sectionsWhere(
    c,
    (s) =>
      s.key !== now.key && s.materialKey === now.materialKey && s.shape.kind === now.shape.kind && s.stock.length > 0,
  );
