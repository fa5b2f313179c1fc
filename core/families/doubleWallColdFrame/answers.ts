import { z } from 'zod';
import type { BuildSite } from '../../bed/buildSite';
import { stockFor } from '../../catalog/market';
import { isBoard } from '../../catalog/sections';
import { MM_PER_INCH } from '../../units/length';
import { placeAnswers, sharedAnswers } from '../questions';

const boardKey = z.string().refine(isBoard, 'must be a board in the catalogue');

export const doubleWallColdFrameSchema = z.strictObject({
  ...placeAnswers,
  stud: boardKey,
  wood: z.enum(['untreated', 'treated']),
  frontMm: z.number().min(150).max(1200),
  backMm: z.number().min(180).max(1500),
  back: z.enum(['far', 'near']),
  cover: sharedAnswers.cover,
  roll: sharedAnswers.roll,
  lids: z.number().int().min(1).max(12),
  glazing: z.enum(['twin-wall-6', 'film-both']),
  lidFrame: boardKey,
  bars: z.number().int().min(0).max(12).nullable(),
  overhangMm: z.number().min(0).max(200),
  screen: z.enum(['screen', 'none']),
  airing: z.enum(['opener', 'prop']),
  openers: z.number().int().min(1).max(4),
  pocket: z.enum(['pocket', 'none']),
  latches: z.number().int().min(0).max(8).nullable(),
  stays: z.number().int().min(0).max(8).nullable(),
  people: z.enum(['1', '2']),
  anchors: z.number().int().min(0).max(40).nullable(),
});

export type DoubleWallColdFrameAnswers = z.infer<typeof doubleWallColdFrameSchema>;

/** A frame that most people would build on this bed first: knee-high in front, a low pitch, an opener on each lid. */
export function doubleWallColdFrameDefaults({ survey, market }: BuildSite): DoubleWallColdFrameAnswers {
  const front = 14 * MM_PER_INCH;
  return {
    extent: { kind: 'whole' },
    crop: 'lettuce',
    rowFromEdgeMm: 6 * MM_PER_INCH,
    stud: stockFor(market, '2x2'),
    wood: 'treated',
    frontMm: front,
    backMm: Math.round(front + survey.frameOn.widthMm * 0.16),
    back: 'far',
    cover: 'film-uv',
    roll: null,
    lids: Math.max(1, Math.round(survey.frameOn.lengthMm / (32 * MM_PER_INCH))),
    glazing: 'twin-wall-6',
    lidFrame: stockFor(market, '2x2'),
    bars: 0,
    overhangMm: 25,
    screen: 'screen',
    airing: 'opener',
    openers: 1,
    pocket: 'pocket',
    latches: null,
    stays: null,
    people: '1',
    anchors: null,
  };
}
