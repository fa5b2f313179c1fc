import { z } from 'zod';
import type { BuildSite } from '../../bed/buildSite';
import { MM_PER_INCH } from '../../units/length';
import { placeAnswers, sharedAnswers, weightsAnswer } from '../questions';

/** Side of one square of the mesh, mm. */
export const SQUARE_MM = 6 * MM_PER_INCH;

export const meshArchSchema = z.strictObject({
  ...placeAnswers,
  spanMm: z.number().min(300).max(3000).nullable(),
  /** Squares over the bed from prong to prong, prongs included. */
  squares: z.number().int().min(6).max(40),
  prongMm: z.number().min(50).max(145),
  cover: sharedAnswers.cover,
  roll: sharedAnswers.roll,
  overlapMm: z.number().min(0).max(600),
  skirtMm: z.number().min(50).max(800),
  ends: z.enum(['gathered', 'folded']),
  straps: z.number().int().min(0).max(60).nullable(),
  caps: z.enum(['capped', 'bare']),
  weights: weightsAnswer,
});

export type MeshArchAnswers = z.infer<typeof meshArchSchema>;

/** An arch near a half circle over the inside of the bed. */
export function meshArchDefaults({ bed }: BuildSite): MeshArchAnswers {
  const span = bed.inside.widthMm - 50;
  return {
    extent: { kind: 'whole' },
    crop: 'lettuce',
    rowFromEdgeMm: 5 * MM_PER_INCH,
    spanMm: null,
    squares: Math.max(6, Math.min(40, Math.round((Math.PI / 2) * (span / SQUARE_MM)) + 2)),
    prongMm: 5 * MM_PER_INCH,
    cover: 'film-uv',
    roll: null,
    overlapMm: 10 * MM_PER_INCH,
    skirtMm: 10 * MM_PER_INCH,
    ends: 'gathered',
    straps: null,
    caps: 'capped',
    weights: null,
  };
}
