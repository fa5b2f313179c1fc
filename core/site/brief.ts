/** What a cover is wanted for, as its gardener says it; everything may be left unsaid. */
import { TOOL_KEYS } from '../catalog/handTools';
import * as z from 'zod/mini';
import { between, upTo, word } from '../base/schema';
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

const key = word(60);
const monthDay = z.string().check(z.refine(isMonthDay, 'must be a month and day such as 04-15'));
/** Said, or left unsaid. */
const maybe = <T extends z.ZodMiniType>(schema: T) => z._default(z.nullable(schema), null);
const most = (n: number) => maybe(upTo(n));

export const briefSchema = z
  .strictObject({
    /** Crops that are to grow under it, by key. */
    crops: z._default(z.array(key).check(z.maxLength(8)), []),
    /** Where the first row stands, from the wall inside, mm. */
    rowFromEdgeMm: maybe(between(0, 2000)),
    purposes: z._default(z.array(z.enum(PURPOSE_KEYS)).check(z.maxLength(PURPOSE_KEYS.length)), []),
    /** From when until when it is wanted, month and day; put away between. */
    from: maybe(monthDay),
    until: maybe(monthDay),
    /** The coldest night outside that the crops are to live through, C. */
    coldestC: maybe(between(-60, 20)),
    /** Wet snow that it must carry, mm. */
    wetSnowMm: maybe(between(0, 3000)),
    gustMPerS: maybe(between(0, 80)),
    /** Least of the light that its cover lets through, percent. */
    lightPercent: maybe(between(10, 95)),
    /** Most money, in the garden's currency. */
    price: maybe(between(0, 1e6)),
    /** Most hours of building. */
    hours: most(1000),
    hands: maybe(z.union([z.literal(1), z.literal(2)])),
    /** Tools that are not at hand, by name. */
    without: z._default(z.array(z.enum(TOOL_KEYS)).check(z.maxLength(40)), []),
    /** Heaviest that is lifted, kg at the hand. */
    liftKg: most(500),
    /** Longest piece that goes home in the car, mm. */
    carryMm: maybe(between(600, 20_000)),
    /** From where a hand must reach the plants. */
    reach: maybe(z.enum(['near', 'far', 'both sides', 'ends'])),
    oneHand: z._default(z.boolean(), false),
    /** It is put away in summer, and its longest piece may then be so long, mm. */
    storeMm: most(20_000),
    /** Bars of the shelf that must go into it, by key. */
    use: z._default(z.array(key).check(z.maxLength(20)), []),
    /** Kinds that are looked at; all of them where none is said. */
    kinds: z._default(z.array(key).check(z.maxLength(40)), []),
    /** Kinds and materials that are refused. */
    notKinds: z._default(z.array(key).check(z.maxLength(40)), []),
    notMaterials: z._default(z.array(key).check(z.maxLength(40)), []),
  })
  .check(
    z.refine((b) => (b.from === null) === (b.until === null), {
      path: ['until'],
      message: 'say both from when and until when, or neither',
    }),
    z.refine((b) => !b.kinds.some((k) => b.notKinds.includes(k)), {
      path: ['notKinds'],
      message: 'a kind is either wanted or refused',
    }),
  );
export type Brief = z.infer<typeof briefSchema>;

/** A brief in which nothing is said. */
export const NOTHING_SAID: Brief = briefSchema.parse({});
