/** Weather as it comes over a network or out of storage: read before it is believed. */
import * as z from 'zod/mini';
import { text } from '../../base/schema';

const list = z.array(z.number()).check(z.minLength(1), z.maxLength(87_672));
export const weatherSchema = z
  .strictObject({
    source: text(120),
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
  .check(
    z.refine(
      (w) =>
        [w.dewC, w.sunWPerM2, w.cloud, w.windMPerS, w.gustMPerS, w.rainMm, w.snowMm].every(
          (l) => l.length === w.airC.length,
        ),
      'its lists differ in length',
    ),
  );
