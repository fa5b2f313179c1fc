/** A brief as a file of its own: a garden with a bed in it, or a bed alone; and its answer as plain data. */
import * as z from 'zod/mini';
import { between, word } from '../../base/schema';
import { issueFaults } from '../../base/issues';
import { phraseText } from '../../base/figure';
import { type Fault, type Result, fail, failAll, ok } from '../../base/result';
import { FAMILY_KEYS } from '../../cover/families';
import { catalogOf } from '../../catalog/own';
import { type Garden, checkGarden, emptyGarden } from '../../garden/garden';
import { squareBed } from '../../site/bed';
import { type Brief, briefSchema } from '../../site/brief';
import { type WishCost, binding } from './costs';
import type { BriefAnswer } from './answer';
import type { BriefContext } from './find';
import { apart, equal, priceOf } from './offers';

const BRIEF_FORMAT = 'cabanon-brief';
const size = between(150, 20_000);

const jobSchema = z
  .strictObject({
    format: z.literal(BRIEF_FORMAT),
    version: z.literal(1),
    /** A whole garden as its file has it, and which of its beds. */
    garden: z.optional(z.record(z.string(), z.unknown())),
    bedId: z.optional(word(40)),
    /** Or a square, level bed alone. */
    bed: z.optional(
      z.strictObject({
        lengthMm: size,
        widthMm: size,
        wallHeightMm: between(0, 1500),
        wallThicknessMm: between(1, 400),
        soilBelowRimMm: z._default(between(0, 1000), 50),
      }),
    ),
    /** Fields of the garden that differ from an empty one: site, units, prices, shelf. */
    site: z.optional(z.record(z.string(), z.unknown())),
    units: z.optional(z.record(z.string(), z.unknown())),
    prices: z.optional(z.record(z.string(), z.number())),
    shelf: z.optional(z.array(z.unknown()).check(z.maxLength(2000))),
    brief: briefSchema,
  })
  .check(
    z.refine((j) => (j.garden === undefined) !== (j.bed === undefined), {
      path: ['bed'],
      message: 'give either a garden with bedId, or a bed',
    }),
    z.refine((j) => j.garden === undefined || j.bedId !== undefined, {
      path: ['bedId'],
      message: 'say which bed of the garden',
    }),
  );

interface BriefJob {
  readonly garden: Garden;
  readonly bedId: string;
  readonly brief: Brief;
}

/** What a brief names that the garden has not. */
function briefFaults(garden: Garden, brief: Brief): readonly Fault[] {
  const catalog = catalogOf(garden.catalog, garden.units.stock);
  const missing = (field: keyof Brief, keys: readonly string[], known: (key: string) => boolean, what: string) =>
    keys.flatMap((key, i): readonly Fault[] =>
      known(key) ? [] : [{ field: `brief.${field}[${i}]`, message: `"${key}" is no ${what}` }],
    );
  const isKind = (key: string): boolean => FAMILY_KEYS.includes(key);
  return [
    ...missing('crops', brief.crops, (k) => catalog.crop.has(k), 'crop in the list'),
    ...missing('kinds', brief.kinds, isKind, 'kind of cover'),
    ...missing('notKinds', brief.notKinds, isKind, 'kind of cover'),
    ...missing('notMaterials', brief.notMaterials, (k) => catalog.material.has(k), 'material in the catalogue'),
    ...missing('use', brief.use, (k) => catalog.bar.has(k), 'bar or pipe in the catalogue'),
  ];
}

/** Reads a brief's file. @returns the garden, its bed and the brief; or every fault with the path of its field */
export function readBriefJob(value: unknown): Result<BriefJob> {
  const read = jobSchema.safeParse(value);
  if (!read.success) return failAll(issueFaults(read.error.issues));
  const { garden, bed, bedId = 'bed', site, units, prices, shelf, brief } = read.data;
  const empty = emptyGarden('A garden');
  const whole = checkGarden({
    ...(garden ?? {
      ...empty,
      beds: bed
        ? [
            squareBed(
              'bed',
              'The bed',
              bed.lengthMm,
              bed.widthMm,
              { heightMm: bed.wallHeightMm, thicknessMm: bed.wallThicknessMm },
              { xMm: 0, yMm: 0 },
              bed.soilBelowRimMm,
            ),
          ]
        : [],
    }),
    ...(site && { site: { ...(garden?.['site'] ?? empty.site), ...site } }),
    ...(units && { units: { ...(garden?.['units'] ?? empty.units), ...units } }),
    ...(prices && { prices }),
    ...(shelf && { shelf }),
  });
  if (!whole.ok) return whole;
  if (!whole.value.beds.some((b) => b.id === bedId))
    return fail('bedId', `there is no bed "${bedId}"; there are ${whole.value.beds.map((b) => b.id).join(', ')}`);
  const faults = briefFaults(whole.value, brief);
  return faults.length > 0 ? failAll(faults) : ok({ garden: whole.value, bedId, brief });
}

/** The answer to a brief as plain JSON: figures in SI, words in the garden's units. */
export function briefReport(ask: BriefContext, found: BriefAnswer, costs: readonly WishCost[], seed: number) {
  const { units } = ask.garden;
  const [best] = found.offers;
  // JSON knows no infinity: nothing of such a figure is judged.
  const plain = (figures: object): Readonly<Record<string, number | null>> =>
    Object.fromEntries(Object.entries(figures).map(([k, v]: [string, number]) => [k, Number.isFinite(v) ? v : null]));
  return {
    note: 'A planning aid. Local codes come first.',
    brief: phraseText(ask.sentence, units),
    seed,
    judged: found.judged,
    designs: found.offers.map((o) => ({
      kind: o.kind,
      name: o.name,
      price: priceOf(o),
      priceIs: o.provenPrice === undefined ? 'quick' : 'proven',
      equalToCheapest: best !== undefined && equal(o, best),
      apart: phraseText(apart(o, found.offers), units),
      figures: plain({ ...o.weighed.figures, price: priceOf(o) }),
      tight: o.weighed.tight,
      answers: o.cover.answers,
      coats: o.cover.coats,
    })),
    kinds: found.kinds.map((k) => ({
      kind: k.key,
      name: k.name,
      price: k.best ? priceOf(k.best) : null,
      ruledOut: k.ruledOut ? phraseText(k.ruledOut, units) : null,
    })),
    wishes: costs.map((c) => ({
      id: c.id,
      how: c.how,
      said: phraseText(c.said, units),
      change: c.change ?? null,
    })),
    binding: best ? binding(costs, best.weighed.price).map((c) => c.id) : [],
  };
}
