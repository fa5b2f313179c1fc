/** What a cover is wanted for, as its gardener says it; everything may be left unsaid. */
import { z } from 'zod';
import { isMonthDay } from '../base/days';

/** What a cover can be for, in plain words. */
export const PURPOSES = {
  winter: 'through the winter',
  spring: 'earlier in spring',
  insects: 'against insects',
  sun: 'against sun and hail',
} as const;
export type Purpose = keyof typeof PURPOSES;
export const PURPOSE_KEYS = Object.keys(PURPOSES) as [Purpose, ...Purpose[]];

const key = z.string().min(1).max(60);
const monthDay = z.string().refine(isMonthDay, 'must be a month and day such as 04-15');
/** Said, or left unsaid. */
const maybe = <T extends z.ZodType>(schema: T) => schema.nullable().default(null);
const most = (n: number) => maybe(z.number().positive().max(n));

export const briefSchema = z
  .strictObject({
    /** Crops that are to grow under it, by key. */
    crops: z.array(key).max(8).default([]),
    /** Where the first row stands, from the wall inside, mm. */
    rowFromEdgeMm: maybe(z.number().min(0).max(2000)),
    purposes: z.array(z.enum(PURPOSE_KEYS)).max(PURPOSE_KEYS.length).default([]),
    /** From when until when it is wanted, month and day; put away between. */
    from: maybe(monthDay),
    until: maybe(monthDay),
    /** The coldest night outside that the crops are to live through, C. */
    coldestC: maybe(z.number().min(-60).max(20)),
    /** Wet snow that it must carry, mm. */
    wetSnowMm: maybe(z.number().min(0).max(3000)),
    gustMPerS: maybe(z.number().min(0).max(80)),
    /** Most money, in the garden's currency. */
    price: maybe(z.number().min(0).max(1e6)),
    /** Most hours of building. */
    hours: most(1000),
    hands: maybe(z.union([z.literal(1), z.literal(2)])),
    /** Tools that are not at hand, by name. */
    without: z.array(z.string().min(1).max(60)).max(40).default([]),
    /** Heaviest that is lifted, kg at the hand. */
    liftKg: most(500),
    /** Longest piece that goes home in the car, mm. */
    carryMm: maybe(z.number().min(600).max(20_000)),
    /** From where a hand must reach the plants. */
    reach: maybe(z.enum(['near', 'far', 'both sides', 'ends'])),
    oneHand: z.boolean().default(false),
    /** It is put away in summer, and its longest piece may then be so long, mm. */
    storeMm: most(20_000),
    /** Bars of the shelf that must go into it, by key. */
    use: z.array(key).max(20).default([]),
    /** Kinds that are looked at; all of them where none is said. */
    kinds: z.array(key).max(40).default([]),
    /** Kinds and materials that are refused. */
    notKinds: z.array(key).max(40).default([]),
    notMaterials: z.array(key).max(40).default([]),
  })
  .refine((b) => (b.from === null) === (b.until === null), {
    path: ['until'],
    message: 'say both from when and until when, or neither',
  })
  .refine((b) => !b.kinds.some((k) => b.notKinds.includes(k)), {
    path: ['notKinds'],
    message: 'a kind is either wanted or refused',
  });
export type Brief = z.infer<typeof briefSchema>;

/** A brief in which nothing is said. */
export const NOTHING_SAID: Brief = briefSchema.parse({});
