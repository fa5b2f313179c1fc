import { z } from 'zod';
import { isBoard } from '../../catalog/sections';
import { MM_PER_INCH } from '../../units/length';
import type { BuildSite } from '../../bed/buildSite';
import { stockFor } from '../../catalog/market';
import { sharedAnswers } from '../questions';

export const hingedHoopLidSchema = z.strictObject({
  ...sharedAnswers,
  frame: z.string().refine(isBoard, 'must be a board in the catalogue'),
  stand: z.enum(['on edge', 'flat']),
  feet: z.enum(['straps-inside', 'sockets', 'straps-outside', 'screwed']),
  hinges: z.enum(['near', 'far']),
  ridge: z.enum(['none', 'rope', 'pipe', 'pipe-bolted', 'timber', 'posted']),
  crossTies: z.number().int().min(0).max(12),
  battenWrapMm: z.number().min(25).max(150),
  ends: z.enum(['folded', 'flap']),
  paint: z.enum(['none', 'paint', 'tape']),
  /** null: one, or two where it is windy. */
  latches: z.number().int().min(0).max(12).nullable().default(null),
  stays: z.number().int().min(0).max(8).nullable().default(null),
  /** How many lift it. */
  people: z.enum(['1', '2']).default('1'),
});

export type HingedHoopLidAnswers = z.infer<typeof hingedHoopLidSchema>;

/** A lid that most people would build on this bed first. */
export function hingedHoopLidDefaults({ survey, market }: BuildSite): HingedHoopLidAnswers {
  const lengthMm = survey.frameOn.lengthMm;
  return {
    extent: { kind: 'whole' },
    inner: null,
    innerGapMm: 100,
    pipe: stockFor(market, 'pvc-1/2'),
    shape: { by: 'half-circle' },
    hoops: null,
    maxSpacingMm: 32 * MM_PER_INCH,
    endOffsetMm: 2 * MM_PER_INCH,
    cover: 'film-uv',
    roll: null,
    crop: 'lettuce',
    rowFromEdgeMm: 5 * MM_PER_INCH,
    frame: stockFor(market, '2x4'),
    stand: 'on edge',
    feet: 'straps-inside',
    hinges: 'far',
    ridge: 'timber',
    crossTies: Math.max(0, Math.ceil(lengthMm / 1524) - 1),
    battenWrapMm: 3 * MM_PER_INCH,
    ends: 'folded',
    paint: 'paint',
    latches: null,
    stays: null,
    people: '1',
  };
}
