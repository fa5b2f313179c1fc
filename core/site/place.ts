import * as z from 'zod/mini';
import { between, text, whole } from '../base/schema';
import { isMonthDay } from '../base/days';
import { isTimeZone } from './clock';

/** What may lie on the cover: a ground load from a local table, or a depth and kind of snow. */
const snowSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('ground'), groundPa: between(0, 20000) }),
  z.strictObject({
    by: z.literal('depth'),
    depthMm: between(0, 4000),
    kind: z.enum(['fresh', 'settled', 'wet']),
  }),
]);
export type Snow = z.infer<typeof snowSchema>;

const exposureSchema = z.enum(['exposed', 'normal', 'sheltered']);
export type Exposure = z.infer<typeof exposureSchema>;

/** Whose practice turns snow on the ground into snow on the cover. */
const practiceSchema = z.enum(['asce', 'en']);
export type SnowPractice = z.infer<typeof practiceSchema>;

const factor = z.nullable(between(0.5, 2));
/** Factors of that practice that the gardener knows better; null: as the practice has them. */
const snowFactorsSchema = z.strictObject({ exposure: factor, thermal: factor, importance: factor });
export type SnowFactors = z.infer<typeof snowFactorsSchema>;

/** Gusts above this want a second latch, m/s (about 60 mph). */
const WINDY_M_PER_S = 27;
/** Whether a place is so windy that covers want more to hold them. */
export const isWindy = (gustMPerS: number): boolean => gustMPerS > WINDY_M_PER_S;

/** What of a place is only guessed at, until its gardener says it. */
const roughSchema = z.enum(['snow', 'gust', 'frost']);

/** Snow to start from where nobody has said what lies, mm of wet snow at once. Our own rough classes. */
export const ROUGH_SNOW = [
  { key: 'none', label: 'Hardly any', why: 'A day or two of white in most winters.', depthMm: 25 },
  { key: 'some', label: 'Some', why: 'It lies for days, and seldom over the shoe.', depthMm: 75 },
  { key: 'much', label: 'Much', why: 'It lies for weeks, over the boot.', depthMm: 150 },
  { key: 'deep', label: 'Deep', why: 'To the knee and more, every winter.', depthMm: 300 },
] as const;

/** Gusts to start from, m/s. Our own rough classes, after the gusts of the Beaufort scale. */
export const ROUGH_GUST = [
  { key: 'calm', label: 'Sheltered', why: 'In a wood or a town: twigs break in the worst of it.', gustMPerS: 20 },
  { key: 'usual', label: 'Usual', why: 'Open country inland: slates come off now and then.', gustMPerS: 25 },
  { key: 'open', label: 'Open', why: 'On a hill or by the sea: trees go over in the worst of it.', gustMPerS: 31 },
  { key: 'storm', label: 'Stormy', why: 'On a stormy coast or a ridge.', gustMPerS: 40 },
] as const;

/** Where a gardener finds them. */
export const FOUND_AT = {
  snow: 'Your building office has a table of ground loads; or measure the deepest wet snow that you remember.',
  frost: 'A neighbour who has sown there for ten years, or the frost dates of the nearest station.',
  gust: 'The weather service tells the worst gust of the last ten years at the station next to you.',
} as const;

const monthDay = z.string().check(z.refine(isMonthDay, 'must be a month and day such as 05-18'));
const frostSchema = z.strictObject({
  lastSpring: monthDay,
  firstAutumn: monthDay,
  spreadDays: whole(0, 60),
});
export type FrostDates = z.infer<typeof frostSchema>;

/** The place a garden lies in. */
export const placeSchema = z.strictObject({
  place: text(80),
  latitudeDeg: between(-89, 89),
  longitudeDeg: between(-180, 180),
  elevationM: between(-430, 6000),
  snow: snowSchema,
  exposure: exposureSchema,
  practice: practiceSchema,
  snowFactors: snowFactorsSchema,
  gustMPerS: between(0, 90),
  /** Compass bearing that the wind mostly comes from, degrees; null: not known. */
  windFromDeg: z.nullable(between(0, 360)),
  rough: z.array(roughSchema).check(z.maxLength(3)),
  /** Its clock: a time zone by its public name; null: by its longitude. */
  timeZone: z.nullable(
    z.string().check(z.maxLength(60), z.refine(isTimeZone, 'must be a time zone such as Europe/Vienna')),
  ),
  /** Usual last frost of spring and first of autumn, month and day, and how far a year may be off, days; null: by latitude and height. */
  frost: z.nullable(frostSchema),
  /** The clear noon that airing is reckoned for. */
  noon: z.strictObject({
    date: z.iso.date(),
    outsideC: between(-40, 50),
    allowedRiseC: between(1, 40),
  }),
});
export type Place = z.infer<typeof placeSchema>;
