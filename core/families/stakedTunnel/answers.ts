import { z } from 'zod';
import { isTube } from '../../catalog/sections';
import { MM_PER_INCH } from '../../units/length';
import type { BuildSite } from '../../bed/buildSite';
import { stockFor } from '../../catalog/market';
import { sharedAnswers, weightsAnswer } from '../questions';

export const stakedTunnelSchema = z.strictObject({
  ...sharedAnswers,
  /** Distance between the feet, centre to centre; null: as wide as the bed allows. */
  spanMm: z.number().min(200).max(6000).nullable(),
  feet: z.enum(['rods', 'soil', 'straps']),
  rod: z.string().refine(isTube, 'must be a rod or pipe in the catalogue'),
  rodLengthMm: z.number().min(200).max(2000),
  rodShownMm: z.number().min(0).max(1000),
  buryMm: z.number().min(0).max(800),
  ridge: z.enum(['none', 'rope', 'pipe', 'pipe-bolted', 'posted']),
  skirtMm: z.number().min(50).max(800),
  ends: z.enum(['gathered', 'folded']),
  paint: z.enum(['none', 'paint', 'tape']),
  weights: weightsAnswer,
});

export type StakedTunnelAnswers = z.infer<typeof stakedTunnelSchema>;

/** A tunnel that most people would build on this bed first. */
export function stakedTunnelDefaults({ bed, market }: BuildSite): StakedTunnelAnswers {
  const wide = bed.inside.widthMm > 1300;
  return {
    extent: { kind: 'whole' },
    inner: null,
    innerGapMm: 100,
    pipe: stockFor(market, wide ? 'pvc-3/4' : 'pvc-1/2'),
    shape: { by: 'half-circle' },
    hoops: null,
    maxSpacingMm: 36 * MM_PER_INCH,
    endOffsetMm: 3 * MM_PER_INCH,
    cover: 'film-uv',
    roll: null,
    crop: 'lettuce',
    rowFromEdgeMm: 5 * MM_PER_INCH,
    spanMm: null,
    feet: 'rods',
    rod: 'rod-4',
    rodLengthMm: 24 * MM_PER_INCH,
    rodShownMm: 8 * MM_PER_INCH,
    buryMm: 6 * MM_PER_INCH,
    ridge: 'pipe',
    skirtMm: 10 * MM_PER_INCH,
    ends: 'gathered',
    paint: 'paint',
    weights: null,
  };
}
