import { z } from 'zod';
import type { BuildSite } from '../../bed/buildSite';
import { stockFor } from '../../catalog/market';
import { isBoard } from '../../catalog/sections';
import { MM_PER_INCH } from '../../units/length';
import { sharedAnswers } from '../questions';

export const liftOffCoverSchema = z.strictObject({
  ...sharedAnswers,
  frame: z.string().refine(isBoard, 'must be a board in the catalogue'),
  wood: z.enum(['untreated', 'treated']),
  sits: z.enum(['inside', 'on']),
  ridge: z.enum(['none', 'rope', 'pipe', 'pipe-bolted', 'timber']),
  crossTies: z.number().int().min(0).max(12),
  ends: z.enum(['plywood', 'folded']),
  plywood: z.enum(['plywood-1/4', 'plywood-3/8', 'plywood-1/2']),
  vents: z.enum(['vents', 'louvres', 'none']),
  edge: z.enum(['guarded', 'bare']),
  fixing: z.enum(['battens', 'staples', 'channel']),
  wrapMm: z.number().min(25).max(150),
  /** Hooks to the bed wall; null: two a side. */
  hooks: z.number().int().min(0).max(40).nullable(),
  people: z.enum(['1', '2']),
  paint: z.enum(['none', 'paint', 'tape']),
});

export type LiftOffCoverAnswers = z.infer<typeof liftOffCoverSchema>;

/** A cover that most people would build on this bed first. */
export function liftOffCoverDefaults({ survey, market }: BuildSite): LiftOffCoverAnswers {
  const long = survey.frameOn.lengthMm > 2000;
  return {
    extent: { kind: 'whole' },
    inner: null,
    innerGapMm: 100,
    pipe: stockFor(market, 'pvc-1/2'),
    shape: { by: 'half-circle' },
    hoops: null,
    maxSpacingMm: 30 * MM_PER_INCH,
    endOffsetMm: 2 * MM_PER_INCH,
    cover: 'film-uv',
    roll: null,
    crop: 'lettuce',
    rowFromEdgeMm: 5 * MM_PER_INCH,
    frame: stockFor(market, '2x2'),
    wood: 'treated',
    sits: 'on',
    ridge: 'pipe',
    crossTies: Math.max(0, Math.ceil(survey.frameOn.lengthMm / 1220) - 1),
    ends: 'plywood',
    plywood: 'plywood-1/4',
    vents: 'vents',
    edge: 'guarded',
    fixing: 'battens',
    wrapMm: 3 * MM_PER_INCH,
    hooks: null,
    people: long ? '2' : '1',
    paint: 'paint',
  };
}
