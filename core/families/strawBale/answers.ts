import { z } from 'zod';
import type { BuildSite } from '../../bed/buildSite';
import { stockFor } from '../../catalog/market';
import { isBoard } from '../../catalog/sections';
import { MM_PER_INCH } from '../../units/length';
import { placeAnswers } from '../questions';

/** A common two-string bale, mm: as long as three hand spans, laid flat or stood on edge. */
export const BALE = { longMm: 36 * MM_PER_INCH, wideMm: 18 * MM_PER_INCH, highMm: 14 * MM_PER_INCH };
/** Room that low greens want between soil and glass. */
const CLEAR_MM = 250;

export const strawBaleSchema = z.strictObject({
  ...placeAnswers,
  courses: z.number().int().min(1).max(3),
  back: z.enum(['far', 'near']),
  glazing: z.enum(['old-window', 'twin-wall-6']),
  lids: z.number().int().min(1).max(16),
  safety: z.enum(['film', 'none']),
  support: z.string().refine(isBoard, 'must be a board in the catalogue'),
  lidFrame: z.string().refine(isBoard, 'must be a board in the catalogue'),
  weights: z.number().int().min(0).max(200).nullable(),
  people: z.enum(['1', '2']),
});

export type StrawBaleAnswers = z.infer<typeof strawBaleSchema>;

/** As many courses as give greens room over this bed's soil. */
export function strawBaleDefaults({ bed, survey, market }: BuildSite): StrawBaleAnswers {
  const soil = bed.wall.heightMm - bed.soilBelowRimMm;
  return {
    extent: { kind: 'whole' },
    crop: 'spinach',
    rowFromEdgeMm: 6 * MM_PER_INCH,
    courses: Math.min(3, Math.max(1, Math.ceil((soil + CLEAR_MM) / BALE.highMm))),
    back: 'far',
    glazing: 'old-window',
    lids: Math.max(1, Math.round(survey.frameOn.lengthMm / (32 * MM_PER_INCH))),
    safety: 'film',
    support: stockFor(market, '2x4'),
    lidFrame: stockFor(market, '2x2'),
    weights: null,
    people: '1',
  };
}
