import * as z from 'zod/mini';
import { between, entriesOf, named, text, upTo, whole, word } from '../base/schema';
import { NAME_CHARS } from '../base/ids';
import { issueFaults } from '../base/issues';
import { MM_PER_INCH } from '../base/length';
import { type Fault, type Result, failAll, ok } from '../base/result';
import { memoizeByIdentity } from '../base/memoize';
import { type Family, familyOf, registeredFamilies } from '../cover/families/registry';
import { type Catalog, type EntryKind, SHIPPED } from '../catalog/catalog';
import { NOTHING_OWN, catalogOf, entryOf, isFree, ownCatalogSchema, ownFaults } from '../catalog/own';
import { USUAL_TENDING, tendingSchema } from '../judge/climate/operation';
import { MOST_COATS, coatSchema } from '../judge/season/seasonalCovers';
import { MOST_LOG, logSchema } from './log';
import { bedSchema } from '../site/bed';
import { briefSchema } from '../site/brief';
import { landmarkSchema } from '../site/landmark';
import { placeSchema } from '../site/place';

export const GARDEN_FORMAT = 'cabanon-garden';
export const GARDEN_VERSION = 1;

/** A path that a barrow goes along, mm. */
export const PATH_MM = { imperial: 24 * MM_PER_INCH, metric: 600 } as const;

const id = word(40);
const name = named(NAME_CHARS);

const byKey = z.string().check(z.maxLength(80), z.refine(isFree, 'must be the key of a thing'));
const pricesOf = z.record(byKey, between(0, 1e6));
/** The key of something in the catalogue; whether it is there is checked with the whole garden. */
const entryKey = word(60);

const flatOf = {
  kind: z.enum(['sheet', 'cover']),
  key: entryKey,
  widthMm: upTo(300_000),
  lengthMm: upTo(300_000),
} as const;

/** How a thing on the shelf is, and where it lies. */
const shelfAnswers = {
  condition: z.enum(['sound', 'bowed', 'worn']),
  where: text(60),
} as const;

/** Whether a cover stands, and since when; lies in store; or is only thought of. */
const stateSchema = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('planned') }),
  z.strictObject({ is: z.literal('standing'), since: z.nullable(z.iso.date()) }),
  z.strictObject({
    is: z.literal('stored'),
    since: z.nullable(z.iso.date()),
    where: text(60),
  }),
  z.strictObject({ is: z.literal('next-year') }),
]);
export type CoverState = z.infer<typeof stateSchema>;

function coverOf({ key, schema: answers }: Family) {
  return z.strictObject({
    id,
    name,
    bedId: id,
    family: z.literal(key),
    answers,
    /** The version last kept, that changes are measured against. */
    kept: z.nullable(answers),
    state: stateSchema,
    /** How far the building has come: the step in hand, and what is ticked. */
    build: z.strictObject({
      at: whole(0, 99),
      done: z.array(text(60)).check(z.maxLength(500)),
    }),
    /** Pieces sawn already, as long as they came out. */
    cut: z
      .array(
        z.strictObject({
          tag: word(20),
          sectionKey: entryKey,
          lengthMm: z.number().check(z.positive()),
        }),
      )
      .check(z.maxLength(2000)),
    /** Pieces of sheets and rolls cut already. */
    cutFlat: z.array(z.strictObject({ tag: word(20), ...flatOf })).check(z.maxLength(2000)),
    /** Other covers that the same frame wears in their season, each a sheet of its own. */
    coats: z.array(coatSchema).check(z.maxLength(MOST_COATS)),
    /** When it is opened and shut, and by what. */
    tending: tendingSchema,
    /** What this garden's own readings have taught of it, as factors on what it loses and takes in; null: as reckoned. */
    taught: z.nullable(
      z.strictObject({
        loss: between(0.2, 5),
        gain: between(0.2, 5),
        readings: whole(1, 100_000),
      }),
    ),
    /** What it was chosen for; null: it was not asked. */
    brief: z.nullable(briefSchema),
    /** Things to buy that no part of the cover asks for. */
    also: z.array(z.strictObject({ itemKey: entryKey, count: between(0, 100_000) })).check(z.maxLength(200)),
  });
}

type CoverOption = ReturnType<typeof coverOf>;
const coverSchema = (kinds: readonly Family[]) =>
  z.discriminatedUnion('family', kinds.map(coverOf) as [CoverOption, ...CoverOption[]]);

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

const shapeOf = (kinds: readonly Family[]) => ({
  format: z.literal(GARDEN_FORMAT),
  version: z.literal(GARDEN_VERSION),
  name,
  units: z.strictObject({
    length: z.enum(['ftin', 'in', 'cm', 'mm']),
    temperature: z.enum(['C', 'F']),
    /** What the shops here sell; showing lengths in other units changes no design. */
    stock: z.enum(['imperial', 'metric']),
    currency: z.string().check(z.regex(/^[A-Z]{3}$/, 'must be a three-letter currency code such as USD')),
  }),
  site: placeSchema,
  beds: z.array(bedSchema).check(z.maxLength(MOST.beds)),
  covers: z.array(coverSchema(kinds)).check(z.maxLength(MOST.covers)),
  /** Paths, walls, hedges and trees on the plot. */
  landmarks: z.array(landmarkSchema).check(z.maxLength(MOST.landmarks)),
  /** How the plot is seen: the bearing that is up, degrees; how wide its paths are, mm. */
  plot: z.strictObject({ upDeg: between(0, 360), pathMm: between(0, 5000) }),
  /** Figures, sizes and things of this garden's own, over the shipped catalogue. */
  catalog: ownCatalogSchema,
  /** Bars and pipes on hand, with their real lengths. */
  shelf: z
    .array(
      z.strictObject({
        id,
        sectionKey: entryKey,
        lengthMm: upTo(50000),
        quantity: whole(0, 10000),
        ...shelfAnswers,
      }),
    )
    .check(z.maxLength(MOST.shelf)),
  /** Sheets and rolls on hand, whole or what is left of them. */
  shelfFlat: z
    .array(
      z.strictObject({
        id,
        ...flatOf,
        quantity: whole(0, 10000),
        ...shelfAnswers,
      }),
    )
    .check(z.maxLength(MOST.shelfFlat)),
  /** Prices that differ from the shipped ones, by price key. */
  prices: pricesOf,
  /** Lists of prices kept under a name, beside the one in force. */
  priceLists: z.array(z.strictObject({ id, name, prices: pricesOf })).check(z.maxLength(MOST.priceLists)),
  /** The day book. */
  log: z.array(logSchema).check(z.maxLength(MOST.log)),
  /** Lines of the shopping list that are in the basket, by price key. */
  got: z.array(text(80)).check(z.maxLength(MOST.got)),
  /** How many of each counted thing are on hand, by item key. */
  owned: z.record(byKey, between(0, 1e6)),
  /** Where the counted things are, by item key. */
  ownedWhere: z.record(byKey, text(60)),
  /** What the gardener wrote beside lines of the shopping list, by price key. */
  notes: z.record(byKey, text(200)),
});

const schemaOf = (kinds: readonly Family[]) => z.strictObject(shapeOf(kinds));
const schemas = memoizeByIdentity<ReturnType<typeof schemaOf>>();

/**
 * One garden and all that is in it, as its file holds it, with covers of the kinds in hand. What its parts say of one another is
 * checked by `checkGarden`.
 */
export const gardenSchema = () => schemas(registeredFamilies(), [], () => schemaOf(registeredFamilies()));

export type Garden = z.infer<ReturnType<typeof schemaOf>>;
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
    ...(['kinds', 'notKinds'] as const).flatMap((list) =>
      (cover.brief?.[list] ?? []).flatMap((key, k) =>
        registeredFamilies().some((f) => f.key === key)
          ? []
          : [[at('brief', list, k), 'must be a kind of cover'] as const],
      ),
    ),
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
  const read = gardenSchema().safeParse(value);
  if (!read.success) return failAll(issueFaults(read.error.issues));
  const faults = relations(read.data);
  return faults.length > 0 ? failAll(faults) : ok(read.data);
}

/**
 * Checks an edited garden against what it was before: only what is new is read again, part by part; the rest was sound.
 * @param before a sound garden, whose untouched parts the edited one shares
 */
export function checkEdit(before: Garden, after: Garden): readonly Fault[] {
  const { shape } = gardenSchema();
  const faults = (Object.keys(shape) as (keyof Garden)[]).flatMap((key): readonly Fault[] => {
    const [was, is] = [before[key], after[key]];
    if (was === is) return [];
    const schema: z.ZodMiniType = shape[key];
    const entry = entriesOf(schema);
    const short = Array.isArray(is) && is.length <= (MOST[key as keyof typeof MOST] ?? 0);
    if (!entry || !Array.isArray(was) || !short) return faultsOf(schema, is, [key]);
    const known = new Set<unknown>(was);
    return is.flatMap((one: unknown, i) => (known.has(one) ? [] : faultsOf(entry, one, [key, i])));
  });
  return faults.length > 0 ? faults : relations(after, before);
}

function faultsOf(schema: z.ZodMiniType, value: unknown, path: readonly PropertyKey[]): readonly Fault[] {
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
    units: { length: 'ftin', temperature: 'F', stock: 'imperial', currency: 'USD' },
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
