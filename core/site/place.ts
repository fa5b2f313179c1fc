import { z } from 'zod';

/** What may lie on the cover: a ground load from a local table, or a depth and kind of snow. */
export const snowSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('ground'), groundPa: z.number().min(0).max(20000) }),
  z.strictObject({
    by: z.literal('depth'),
    depthMm: z.number().min(0).max(4000),
    kind: z.enum(['fresh', 'settled', 'wet']),
  }),
]);
export type Snow = z.infer<typeof snowSchema>;

const exposureSchema = z.enum(['exposed', 'normal', 'sheltered']);
export type Exposure = z.infer<typeof exposureSchema>;

/** Gusts above this want a second latch, m/s (about 60 mph). */
const WINDY_M_PER_S = 27;
/** Whether a place is so windy that covers want more to hold them. */
export const isWindy = (gustMPerS: number): boolean => gustMPerS > WINDY_M_PER_S;

/** The place a garden lies in. */
export const placeSchema = z.strictObject({
  place: z.string().max(80),
  latitudeDeg: z.number().min(-89).max(89),
  longitudeDeg: z.number().min(-180).max(180),
  elevationM: z.number().min(-430).max(6000),
  snow: snowSchema,
  exposure: exposureSchema,
  gustMPerS: z.number().min(0).max(90),
  /** Compass bearing that the wind mostly comes from, degrees; null: not known. */
  windFromDeg: z.number().min(0).max(360).nullable().default(null),
  /** The clear noon that airing is reckoned for. */
  noon: z.strictObject({
    date: z.iso.date(),
    outsideC: z.number().min(-40).max(50),
    allowedRiseC: z.number().min(1).max(40),
  }),
});
export type Place = z.infer<typeof placeSchema>;
