import { z } from 'zod';
import type { BuildSite } from '../../bed/buildSite';
import { stockFor } from '../../catalog/market';
import { isBoard } from '../../catalog/sections';
import { MM_PER_INCH } from '../../units/length';
import { placeAnswers, sharedAnswers } from '../questions';

const boardKey = z.string().refine(isBoard, 'must be a board in the catalogue');

export const aFrameSchema = z.strictObject({
  ...placeAnswers,
  cover: sharedAnswers.cover,
  roll: sharedAnswers.roll,
  leg: boardKey,
  ridge: boardKey,
  /** Top of the ridge above the wall. */
  heightMm: z.number().min(200).max(2600),
  /** How many triangles; null: as many as the widest spacing asks for. */
  pairs: z.number().int().min(2).max(40).nullable(),
  maxSpacingMm: z.number().min(300).max(2000),
  wrapMm: z.number().min(25).max(150),
  ends: z.enum(['flap', 'folded']),
  fixing: z.enum(['battens', 'staples', 'channel']),
  edge: z.enum(['guarded', 'bare']),
  anchors: z.number().int().min(0).max(80).nullable(),
});

export type AFrameAnswers = z.infer<typeof aFrameSchema>;

/** Leg by span and ridge by length, as most people would choose them for this bed. */
export function aFrameDefaults({ survey, market }: BuildSite): AFrameAnswers {
  const { lengthMm, widthMm } = survey.frameOn;
  const wide = widthMm > 60 * MM_PER_INCH;
  return {
    extent: { kind: 'whole' },
    cover: 'film-uv',
    roll: null,
    crop: 'lettuce',
    rowFromEdgeMm: 6 * MM_PER_INCH,
    leg: stockFor(market, wide ? '2x4' : '2x3'),
    ridge: stockFor(market, lengthMm > 120 * MM_PER_INCH ? '2x4' : '2x3'),
    heightMm: Math.max(300, Math.round(widthMm * 0.85)),
    pairs: null,
    maxSpacingMm: 42 * MM_PER_INCH,
    wrapMm: 3 * MM_PER_INCH,
    ends: 'flap',
    fixing: 'battens',
    edge: 'guarded',
    anchors: null,
  };
}
