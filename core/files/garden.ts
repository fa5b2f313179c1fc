import { z } from 'zod';
import { bedSchema } from '../bed/bed';
import { HARDWARE } from '../catalog/hardware';
import { NOTHING_OWN, entryOf, ownCatalogSchema, ownFaults, putInForce } from '../catalog/own';
import { SECTIONS } from '../catalog/sections';
import { issueFaults } from '../issues';
import { type Result, failAll, ok } from '../result';
import { hingedHoopLidSchema } from '../families/hingedHoopLid/answers';
import { liftOffCoverSchema } from '../families/liftOffCover/answers';
import { bentConduitSchema } from '../families/bentConduit/answers';
import { aFrameSchema } from '../families/aFrame/answers';
import { slopedColdFrameSchema } from '../families/slopedColdFrame/answers';
import { doubleWallColdFrameSchema } from '../families/doubleWallColdFrame/answers';
import { strawBaleSchema } from '../families/strawBale/answers';
import { fittingGableSchema } from '../families/fittingGable/answers';
import { meshArchSchema } from '../families/meshArch/answers';
import { walkInSchema } from '../families/walkIn/answers';
import { stakedTunnelSchema } from '../families/stakedTunnel/answers';
import { wireTunnelSchema } from '../families/wireTunnel/answers';
import { snowSchema } from '../proof/snow';

export const GARDEN_FORMAT = 'cabanon-garden';
export const GARDEN_VERSION = 1;

const id = z.string().min(1).max(40);
const name = z.string().trim().min(1).max(60);

const pricesOf = z.record(z.string().max(80), z.number().min(0).max(1e6));
const sectionKeyOf = z.string().refine((key) => SECTIONS.find(key) !== undefined, 'must be a section in the catalogue');

const itemKeyOf = z.string().refine((key) => HARDWARE.find(key) !== undefined, 'must be a thing in the catalogue');

const flatOf = {
  kind: z.enum(['sheet', 'cover']),
  key: z.string().max(60),
  widthMm: z.number().positive().max(300_000),
  lengthMm: z.number().positive().max(300_000),
} as const;
const isStuff = ({ kind, key }: { readonly kind: 'sheet' | 'cover'; readonly key: string }): boolean =>
  entryOf(kind, key) !== undefined;
const NO_STUFF = 'must be a sheet or cover in the catalogue';

/** How a thing on the shelf is, and where it lies. */
const shelfAnswers = {
  condition: z.enum(['sound', 'bowed', 'worn']).default('sound'),
  where: z.string().max(60).default(''),
} as const;

function coverOf<F extends string, S extends z.ZodType>(family: F, answers: S) {
  return z.strictObject({
    id,
    name,
    bedId: id,
    family: z.literal(family),
    answers,
    /** The version last kept, that changes are measured against. */
    kept: answers.nullable(),
    /** How far the building has come: the step in hand, and what is ticked. */
    build: z.strictObject({ at: z.number().int().min(0).max(99), done: z.array(z.string().max(60)).max(500) }),
    /** Pieces sawn already, as long as they came out. */
    cut: z
      .array(
        z.strictObject({ tag: z.string().min(1).max(20), sectionKey: sectionKeyOf, lengthMm: z.number().positive() }),
      )
      .max(2000)
      .default([]),
    /** Pieces of sheets and rolls cut already. */
    cutFlat: z
      .array(
        z
          .strictObject({ tag: z.string().min(1).max(20), ...flatOf })
          .refine(isStuff, { path: ['key'], message: NO_STUFF }),
      )
      .max(2000)
      .default([]),
    /** Things to buy that no part of the cover asks for. */
    also: z
      .array(z.strictObject({ itemKey: itemKeyOf, count: z.number().min(0).max(100_000) }))
      .max(200)
      .default([]),
  });
}

export const coverSchema = z.discriminatedUnion('family', [
  coverOf('staked-tunnel', stakedTunnelSchema),
  coverOf('wire-tunnel', wireTunnelSchema),
  coverOf('hinged-hoop-lid', hingedHoopLidSchema),
  coverOf('lift-off-cover', liftOffCoverSchema),
  coverOf('bent-conduit', bentConduitSchema),
  coverOf('a-frame', aFrameSchema),
  coverOf('sloped-cold-frame', slopedColdFrameSchema),
  coverOf('double-wall-cold-frame', doubleWallColdFrameSchema),
  coverOf('straw-bale', strawBaleSchema),
  coverOf('fitting-gable', fittingGableSchema),
  coverOf('mesh-arch', meshArchSchema),
  coverOf('walk-in', walkInSchema),
]);

export const siteSchema = z.strictObject({
  place: z.string().max(80),
  latitudeDeg: z.number().min(-89).max(89),
  longitudeDeg: z.number().min(-180).max(180),
  elevationM: z.number().min(-430).max(6000),
  snow: snowSchema,
  exposure: z.enum(['exposed', 'normal', 'sheltered']),
  gustMPerS: z.number().min(0).max(90),
  /** The clear noon that airing is reckoned for. */
  noon: z.strictObject({
    date: z.iso.date(),
    outsideC: z.number().min(-40).max(50),
    allowedRiseC: z.number().min(1).max(40),
  }),
});

export const gardenSchema = z
  .strictObject({
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
    site: siteSchema,
    beds: z.array(bedSchema).max(500),
    covers: z.array(coverSchema).max(1000),
    /** Figures, sizes and things of this garden's own, over the shipped catalogue. */
    catalog: ownCatalogSchema.default(NOTHING_OWN),
    /** Bars and pipes on hand, with their real lengths. */
    shelf: z
      .array(
        z.strictObject({
          id,
          sectionKey: sectionKeyOf,
          lengthMm: z.number().positive().max(50000),
          quantity: z.number().int().min(0).max(10000),
          ...shelfAnswers,
        }),
      )
      .max(2000),
    /** Sheets and rolls on hand, whole or what is left of them. */
    shelfFlat: z
      .array(
        z
          .strictObject({
            id,
            ...flatOf,
            quantity: z.number().int().min(0).max(10000),
            ...shelfAnswers,
          })
          .refine(isStuff, { path: ['key'], message: NO_STUFF }),
      )
      .max(2000)
      .default([]),
    /** Prices that differ from the shipped ones, by price key. */
    prices: pricesOf,
    /** Lists of prices kept under a name, beside the one in force. */
    priceLists: z
      .array(z.strictObject({ id, name, prices: pricesOf }))
      .max(50)
      .default([]),
    /** Lines of the shopping list that are in the basket, by price key. */
    got: z.array(z.string().max(80)).max(2000).default([]),
    /** How many of each counted thing are on hand, by item key. */
    owned: z.record(z.string().max(80), z.number().min(0).max(1e6)),
    /** Where the counted things are, by item key. */
    ownedWhere: z.record(z.string().max(80), z.string().max(60)).default({}),
    /** What the gardener wrote beside lines of the shopping list, by price key. */
    notes: z.record(z.string().max(80), z.string().max(200)).default({}),
  })
  .check((ctx) => {
    const garden = ctx.value;
    const duplicate = (list: readonly { id: string }[], path: string): void => {
      const seen = new Set<string>();
      list.forEach((entry, i) => {
        if (seen.has(entry.id))
          ctx.issues.push({
            code: 'custom',
            input: entry.id,
            path: [path, i, 'id'],
            message: `"${entry.id}" is used twice`,
          });
        seen.add(entry.id);
      });
    };
    duplicate(garden.beds, 'beds');
    duplicate(garden.covers, 'covers');
    duplicate(garden.priceLists, 'priceLists');
    for (const fault of ownFaults(garden.catalog))
      ctx.issues.push({ code: 'custom', input: fault, path: ['catalog', ...fault.path], message: fault.message });
    const beds = new Set(garden.beds.map((b) => b.id));
    garden.covers.forEach((cover, i) => {
      if (!beds.has(cover.bedId))
        ctx.issues.push({
          code: 'custom',
          input: cover.bedId,
          path: ['covers', i, 'bedId'],
          message: `there is no bed "${cover.bedId}"`,
        });
    });
  });

export type Garden = z.infer<typeof gardenSchema>;
export type Cover = Garden['covers'][number];
export type Site = Garden['site'];
export type Units = Garden['units'];

/**
 * Checks a whole garden, with its own catalogue in force: answers may name things of the garden's own. A garden that is sound
 * leaves its catalogue in force; one that is not leaves what was.
 */
export function checkGarden(value: unknown): Result<Garden> {
  const said = (value as { readonly catalog?: unknown } | null)?.catalog ?? NOTHING_OWN;
  const own = ownCatalogSchema.safeParse(said);
  const usable = own.success && ownFaults(said as Garden['catalog']).length === 0;
  const before = putInForce(usable ? (said as Garden['catalog']) : NOTHING_OWN);
  const read = gardenSchema.safeParse(value);
  if (read.success) return ok(read.data);
  putInForce(before);
  return failAll(issueFaults(read.error.issues));
}

/** What a cover has of its own before any work on it. */
export const newWork = () => ({
  kept: null,
  build: { at: 0, done: [] },
  cut: [],
  cutFlat: [],
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
      gustMPerS: 25,
      noon: { date: '2027-03-01', outsideC: 2, allowedRiseC: 10 },
    },
    beds: [],
    covers: [],
    catalog: NOTHING_OWN,
    shelf: [],
    shelfFlat: [],
    prices: {},
    priceLists: [],
    got: [],
    owned: {},
    ownedWhere: {},
    notes: {},
  };
}
