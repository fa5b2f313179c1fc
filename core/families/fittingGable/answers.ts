import { z } from 'zod';
import type { BuildSite } from '../../bed/buildSite';
import { isFitted } from '../../catalog/fittings';
import { MM_PER_INCH } from '../../units/length';
import { placeAnswers, sharedAnswers } from '../questions';

export const fittingGableSchema = z.strictObject({
  ...placeAnswers,
  pipe: z.string().refine(isFitted, 'must be 1/2, 3/4 or 1 PVC, for which fittings are moulded'),
  /** Centre of the eave joint above the centre of the base pipe. */
  eaveMm: z.number().min(150).max(2000),
  frames: z.number().int().min(2).max(40).nullable(),
  maxSpacingMm: z.number().min(300).max(1500),
  joints: z.enum(['pushed', 'pinned']),
  cover: sharedAnswers.cover,
  roll: sharedAnswers.roll,
  ends: z.enum(['folded', 'flap']),
  wrapMm: z.number().min(25).max(300),
  paint: z.enum(['none', 'paint', 'tape']),
  straps: z.number().int().min(0).max(80).nullable(),
});

export type FittingGableAnswers = z.infer<typeof fittingGableSchema>;

/** A knock-down gable that most people would put together over this bed first. */
export function fittingGableDefaults({ survey }: BuildSite): FittingGableAnswers {
  return {
    extent: { kind: 'whole' },
    crop: 'lettuce',
    rowFromEdgeMm: 5 * MM_PER_INCH,
    pipe: survey.frameOn.widthMm > 1300 ? 'pvc-1' : 'pvc-3/4',
    eaveMm: 16 * MM_PER_INCH,
    frames: null,
    maxSpacingMm: 32 * MM_PER_INCH,
    joints: 'pinned',
    cover: 'film-uv',
    roll: null,
    ends: 'folded',
    wrapMm: 6 * MM_PER_INCH,
    paint: 'paint',
    straps: null,
  };
}
