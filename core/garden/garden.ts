import { z } from 'zod';
import { NAME_CHARS } from '../base/ids';
import { issueFaults } from '../base/issues';
import { MM_PER_INCH } from '../base/length';
import { type Fault, type Result, failAll, ok } from '../base/result';
import { FAMILIES, familyOf } from '../build/families';
import { type Catalog, type EntryKind, SHIPPED } from '../catalog/catalog';
import { NOTHING_OWN, catalogOf, entryOf, isFree, ownCatalogSchema, ownFaults } from '../catalog/own';
import { USUAL_TENDING, tendingSchema } from '../judge/climate/tending';
import { MOST_COATS, coatSchema } from '../judge/season/coats';
import { MOST_LOG, logSchema } from './log';
import { bedSchema } from '../site/bed';
import { briefSchema } from '../site/brief';
import { landmarkSchema } from '../site/landmark';
import { placeSchema } from '../site/place';

export const GARDEN_FORMAT = 'cabanon-garden';
export const GARDEN_VERSION = 2;

/** A path that a barrow goes along, mm. */
export const PATH_MM = { imperial: 24 * MM_PER_INCH, metric: 600 } as const;

const id = z.string().min(1).max(40);
const name = z.string().trim().min(1).max(NAME_CHARS);

const byKey = z.string().max(80).refine(isFree, 'must be the key of a thing');
const pricesOf = z.record(byKey, z.number().min(0).max(1e6));
/** The key of something in the catalogue; whether it is there is checked with the whole garden. */
const entryKey = z.string().min(1).max(60);

const flatOf = {
  kind: z.enum(['sheet', 'cover']),
  key: entryKey,
  widthMm: z.number().positive().max(300_000),
  lengthMm: z.number().positive().max(300_000),
} as const;

/** How a thing on the shelf is, and where it lies. */
const shelfAnswers = {
  condition: z.enum(['sound', 'bowed', 'worn']).default('sound'),
  where: z.string().max(60).default(''),
} as const;

/** Whether a cover stands, and since when; lies in store; or is only thought of. */
const stateSchema = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('planned') }),
  z.strictObject({ is: z.literal('standing'), since: z.iso.date().nullable() }),
  z.strictObject({
    is: z.literal('stored'),
    since: z.iso.date().nullable().default(null),
    where: z.string().max(60).default(''),
  }),
  z.strictObject({ is: z.literal('next-year') }),
]);
export type CoverState = z.infer<typeof stateSchema>;

function coverOf(family: string, answers: (typeof FAMILIES)[number]['schema']) {
  return z.strictObject({
    id,
    name,
    bedId: id,
    family: z.literal(family),
    answers,
    /** The version last kept, that changes are measured against. */
    kept: answers.nullable(),
    state: stateSchema.default({ is: 'planned' }),
    /** How far the building has come: the step in hand, and what is ticked. */
    build: z.strictObject({ at: z.number().int().min(0).max(99), done: z.array(z.string().max(60)).max(500) }),
    /** Pieces sawn already, as long as they came out. */
    cut: z
      .array(z.strictObject({ tag: z.string().min(1).max(20), sectionKey: entryKey, lengthMm: z.number().positive() }))
      .max(2000)
      .default([]),
    /** Pieces of sheets and rolls cut already. */
    cutFlat: z
      .array(z.strictObject({ tag: z.string().min(1).max(20), ...flatOf }))
      .max(2000)
      .default([]),
    /** Other covers that the same frame wears in their season, each a sheet of its own. */
    coats: z.array(coatSchema).max(MOST_COATS).default([]),
    /** When it is opened and shut, and by what. */
    tending: tendingSchema.default(USUAL_TENDING),
    /** What this garden's own readings have taught of it, as factors on what it loses and takes in; null: as reckoned. */
    taught: z
      .strictObject({
        loss: z.number().min(0.2).max(5),
        gain: z.number().min(0.2).max(5),
        readings: z.number().int().min(1).max(100_000),
      })
      .nullable()
      .default(null),
    /** What it was chosen for; null: it was not asked. */
    brief: briefSchema.nullable().default(null),
    /** Things to buy that no part of the cover asks for. */
    also: z
      .array(z.strictObject({ itemKey: entryKey, count: z.number().min(0).max(100_000) }))
      .max(200)
      .default([]),
  });
}

type CoverOption = ReturnType<typeof coverOf>;
const coverSchema = z.discriminatedUnion(
  'family',
  FAMILIES.map((f) => coverOf(f.key, f.schema)) as [CoverOption, ...CoverOption[]],
);

/** Most entries of each list. */
const MOST = {
  beds: 500,
  landmarks: 500,
  covers: 1000,
  shelf: 2000,
  shelfFlat: 2000,
  priceLists: 50,
  got: 2000,
  log: MOST_LOG,
} as const;

const shape = {
  format: z.literal(GARDEN_FORMAT),
  version: z.literal(GARDEN_VERSION),
  name,
  units: z.strictObject({
    length: z.enum(['ftin', 'in', 'cm', 'mm']),
    temperature: z.enum(['C', 'F']),
    /** What the shops here sell; showing lengths in other units changes no design. */
    stock: z.enum(['imperial', 'metric']).default('imperial'),
    currency: z.string().regex(/^[A-Z]{3}$/, 'must be a three-letter currency code such as USD'),
  }),
  site: placeSchema,
  beds: z.array(bedSchema).max(MOST.beds),
  covers: z.array(coverSchema).max(MOST.covers),
  /** Paths, walls, hedges and trees on the plot. */
  landmarks: z.array(landmarkSchema).max(MOST.landmarks).default([]),
  /** How the plot is seen: the bearing that is up, degrees; how wide its paths are, mm. */
  plot: z
    .strictObject({ upDeg: z.number().min(0).max(360), pathMm: z.number().min(0).max(5000) })
    .default({ upDeg: 0, pathMm: PATH_MM.imperial }),
  /** Figures, sizes and things of this garden's own, over the shipped catalogue. */
  catalog: ownCatalogSchema.default(NOTHING_OWN),
  /** Bars and pipes on hand, with their real lengths. */
  shelf: z
    .array(
      z.strictObject({
        id,
        sectionKey: entryKey,
        lengthMm: z.number().positive().max(50000),
        quantity: z.number().int().min(0).max(10000),
        ...shelfAnswers,
      }),
    )
    .max(MOST.shelf),
  /** Sheets and rolls on hand, whole or what is left of them. */
  shelfFlat: z
    .array(
      z.strictObject({
        id,
        ...flatOf,
        quantity: z.number().int().min(0).max(10000),
        ...shelfAnswers,
      }),
    )
    .max(MOST.shelfFlat)
    .default([]),
  /** Prices that differ from the shipped ones, by price key. */
  prices: pricesOf,
  /** Lists of prices kept under a name, beside the one in force. */
  priceLists: z
    .array(z.strictObject({ id, name, prices: pricesOf }))
    .max(MOST.priceLists)
    .default([]),
  /** The day book. */
  log: z.array(logSchema).max(MOST.log).default([]),
  /** Lines of the shopping list that are in the basket, by price key. */
  got: z.array(z.string().max(80)).max(MOST.got).default([]),
  /** How many of each counted thing are on hand, by item key. */
  owned: z.record(byKey, z.number().min(0).max(1e6)),
  /** Where the counted things are, by item key. */
  ownedWhere: z.record(byKey, z.string().max(60)).default({}),
  /** What the gardener wrote beside lines of the shopping list, by price key. */
  notes: z.record(byKey, z.string().max(200)).default({}),
} as const;

/** One garden and all that is in it, as its file holds it. What its parts say of one another is checked by `checkGarden`. */
export const gardenSchema = z.strictObject(shape);

export type Garden = z.infer<typeof gardenSchema>;
export type Cover = Garden['covers'][number];

/** Whether a cover is one of this year: planned or standing, not stored and not for next year. */
export const isInUse = ({ state }: Pick<Cover, 'state'>): boolean => state.is === 'planned' || state.is === 'standing';

type Said = readonly (readonly [path: readonly PropertyKey[], message: string])[];

/** Ids that stand twice in a list. */
function twice(list: readonly { readonly id: string }[], path: string): Said {
  const seen = new Set<string>();
  return list.flatMap((entry, i): Said => {
    const again = seen.has(entry.id);
    seen.add(entry.id);
    return again ? [[[path, i, 'id'], `"${entry.id}" is used twice`]] : [];
  });
}

const THING: Readonly<Partial<Record<EntryKind, string>>> = { bar: 'a section', item: 'a thing' };
/** What is named and is not in the catalogue in hand. */
function missing(catalog: Catalog, kind: EntryKind, key: string, path: readonly PropertyKey[]): Said {
  if (entryOf(catalog, kind, key)) return [];
  return [[path, `must be ${THING[kind] ?? 'a sheet or cover'} in the catalogue`]];
}

function coverFaults(cover: Cover, i: number, beds: ReadonlySet<string>, catalog: Catalog): Said {
  const at = (...path: readonly PropertyKey[]): readonly PropertyKey[] => ['covers', i, ...path];
  const { against } = familyOf(cover.family);
  return [
    ...(beds.has(cover.bedId) ? [] : ([[at('bedId'), `there is no bed "${cover.bedId}"`]] as const)),
    ...against(cover.answers, catalog).map((f) => [at('answers', f.id), f.message] as const),
    ...(cover.kept ? against(cover.kept, catalog).map((f) => [at('kept', f.id), f.message] as const) : []),
    ...cover.cut.flatMap((d, k) => missing(catalog, 'bar', d.sectionKey, at('cut', k, 'sectionKey'))),
    ...cover.cutFlat.flatMap((d, k) => missing(catalog, d.kind, d.key, at('cutFlat', k, 'key'))),
    ...cover.coats.flatMap((d, k) =>
      d.coverKey === null ? [] : missing(catalog, 'cover', d.coverKey, at('coats', k, 'coverKey')),
    ),
    ...cover.also.flatMap((d, k) => missing(catalog, 'item', d.itemKey, at('also', k, 'itemKey'))),
  ];
}

/**
 * What the parts of a garden say of one another and of its own catalogue that is not so.
 * @param before a sound garden: what it shares with this one is still sound where beds and catalogue are the same
 */
function relations(garden: Garden, before?: Garden): readonly Fault[] {
  const shops = before?.catalog === garden.catalog && before.units.stock === garden.units.stock;
  const same = before?.beds === garden.beds && shops ? before : undefined;
  const [covers, shelf, flat] = [new Set(same?.covers), new Set(same?.shelf), new Set(same?.shelfFlat)];
  const own = ownFaults(garden.catalog, garden.units.stock);
  const catalog = own.length > 0 ? SHIPPED : catalogOf(garden.catalog, garden.units.stock);
  const beds = new Set(garden.beds.map((b) => b.id));
  const said: Said = [
    ...twice(garden.beds, 'beds'),
    ...twice(garden.covers, 'covers'),
    ...twice(garden.landmarks, 'landmarks'),
    ...twice(garden.priceLists, 'priceLists'),
    ...(before?.log === garden.log ? [] : twice(garden.log, 'log')),
    ...own.map((f) => [['catalog', ...f.path], f.message] as const),
    ...garden.covers.flatMap((c, i) => (covers.has(c) ? [] : coverFaults(c, i, beds, catalog))),
    ...garden.shelf.flatMap((b, i) =>
      shelf.has(b) ? [] : missing(catalog, 'bar', b.sectionKey, ['shelf', i, 'sectionKey']),
    ),
    ...garden.shelfFlat.flatMap((b, i) =>
      flat.has(b) ? [] : missing(catalog, b.kind, b.key, ['shelfFlat', i, 'key']),
    ),
  ];
  return issueFaults(said.map(([path, message]) => ({ code: 'custom', input: undefined, path: [...path], message })));
}

/**
 * Checks a whole garden: each part by itself, then what they say of one another.
 * @returns the garden, or every fault with the path of its field
 * @example checkGarden({ ...demoGarden(), name: '' }).faults[0].field // "name"
 */
export function checkGarden(value: unknown): Result<Garden> {
  const read = gardenSchema.safeParse(value);
  if (!read.success) return failAll(issueFaults(read.error.issues));
  const faults = relations(read.data);
  return faults.length > 0 ? failAll(faults) : ok(read.data);
}

/**
 * Checks an edited garden against what it was before: only what is new is read again, part by part; the rest was sound.
 * @param before a sound garden, whose untouched parts the edited one shares
 */
export function checkEdit(before: Garden, after: Garden): readonly Fault[] {
  const faults = (Object.keys(shape) as (keyof Garden)[]).flatMap((key): readonly Fault[] => {
    const [was, is] = [before[key], after[key]];
    if (was === is) return [];
    const schema: z.ZodType = shape[key];
    const list = schema instanceof z.ZodDefault ? schema.unwrap() : schema;
    const short = Array.isArray(is) && is.length <= (MOST[key as keyof typeof MOST] ?? 0);
    if (!(list instanceof z.ZodArray) || !Array.isArray(was) || !short) return faultsOf(schema, is, [key]);
    const known = new Set<unknown>(was);
    return is.flatMap((entry: unknown, i) =>
      known.has(entry) ? [] : faultsOf(list.element as z.ZodType, entry, [key, i]),
    );
  });
  return faults.length > 0 ? faults : relations(after, before);
}

function faultsOf(schema: z.ZodType, value: unknown, path: readonly PropertyKey[]): readonly Fault[] {
  const read = schema.safeParse(value);
  if (read.success) return [];
  return issueFaults(read.error.issues.map((issue) => ({ ...issue, path: [...path, ...issue.path] })));
}

/** What a cover has of its own before any work on it. */
export const newWork = () => ({
  state: { is: 'planned' as const },
  kept: null,
  build: { at: 0, done: [] },
  cut: [],
  cutFlat: [],
  coats: [],
  tending: USUAL_TENDING,
  taught: null,
  brief: null,
  also: [],
});

/** A garden with nothing in it yet. */
export function emptyGarden(gardenName: string): Garden {
  return {
    format: GARDEN_FORMAT,
    version: GARDEN_VERSION,
    name: gardenName,
    units: { length: 'ftin', temperature: 'C', stock: 'imperial', currency: 'USD' },
    site: {
      place: '',
      latitudeDeg: 45,
      longitudeDeg: 0,
      elevationM: 100,
      snow: { by: 'depth', depthMm: 150, kind: 'wet' },
      exposure: 'normal',
      practice: 'asce',
      snowFactors: { exposure: null, thermal: null, importance: null },
      gustMPerS: 25,
      windFromDeg: null,
      rough: ['snow', 'gust', 'frost'],
      timeZone: null,
      frost: null,
      noon: { date: '2027-03-01', outsideC: 2, allowedRiseC: 10 },
    },
    beds: [],
    covers: [],
    landmarks: [],
    plot: { upDeg: 0, pathMm: PATH_MM.imperial },
    catalog: NOTHING_OWN,
    shelf: [],
    shelfFlat: [],
    prices: {},
    priceLists: [],
    log: [],
    got: [],
    owned: {},
    ownedWhere: {},
    notes: {},
  };
}
