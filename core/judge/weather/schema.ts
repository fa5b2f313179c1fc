/** Weather as it comes over a network or out of storage: read before it is believed. */
import { z } from 'zod';

const list = z.array(z.number()).min(1).max(87_672);
export const weatherSchema = z
  .strictObject({
    source: z.string().max(120),
    simulated: z.boolean(),
    startMs: z.number(),
    airC: list,
    dewC: list,
    sunWPerM2: list,
    cloud: list,
    windMPerS: list,
    gustMPerS: list,
    rainMm: list,
    snowMm: list,
  })
  .refine(
    (w) =>
      [w.dewC, w.sunWPerM2, w.cloud, w.windMPerS, w.gustMPerS, w.rainMm, w.snowMm].every(
        (l) => l.length === w.airC.length,
      ),
    'its lists differ in length',
  );
