import { z } from 'zod';
import type { BuildSite } from '../../bed/buildSite';
import { stockFor } from '../../catalog/market';
import { boardShape, isBoard, section } from '../../catalog/sections';
import { MM_PER_INCH } from '../../units/length';
import { placeAnswers, sharedAnswers } from '../questions';

const boardKey = z.string().refine(isBoard, 'must be a board in the catalogue');

export const slopedColdFrameSchema = z.strictObject({
  ...placeAnswers,
  board: boardKey,
  wood: z.enum(['untreated', 'treated']),
  frontMm: z.number().min(60).max(900),
  backMm: z.number().min(90).max(1200),
  back: z.enum(['far', 'near']),
  glazing: z.enum(['old-window', 'twin-wall-6', 'corrugated', 'film-both']),
  lids: z.number().int().min(1).max(12),
  /** Windows that are found first decide the box; otherwise the box says what to look for. */
  sashBy: z.enum(['bed', 'sash']),
  sashAlongMm: z.number().min(200).max(3000),
  sashReachMm: z.number().min(200).max(3000),
  safety: z.enum(['film', 'none']),
  lidFrame: boardKey,
  bars: z.number().int().min(0).max(12).nullable(),
  overhangMm: z.number().min(0).max(200),
  cover: sharedAnswers.cover,
  roll: sharedAnswers.roll,
  airing: z.enum(['prop', 'opener']),
  openers: z.number().int().min(1).max(4),
  latches: z.number().int().min(0).max(8).nullable(),
  stays: z.number().int().min(0).max(8).nullable(),
  people: z.enum(['1', '2']),
  anchors: z.number().int().min(0).max(40).nullable(),
});

export type SlopedColdFrameAnswers = z.infer<typeof slopedColdFrameSchema>;

/** A frame that most people would set on this bed first: one board in front, near two at the back. */
export function slopedColdFrameDefaults({ survey, market }: BuildSite): SlopedColdFrameAnswers {
  const board = stockFor(market, '2x8');
  const high = boardShape(section(board)).widthMm;
  const lids = Math.max(1, Math.round(survey.frameOn.lengthMm / (40 * MM_PER_INCH)));
  return {
    extent: { kind: 'whole' },
    crop: 'spinach',
    rowFromEdgeMm: 7 * MM_PER_INCH,
    board,
    wood: 'treated',
    frontMm: high,
    backMm: Math.round(high * 2 - 0.6 * MM_PER_INCH),
    back: 'far',
    glazing: 'twin-wall-6',
    lids,
    sashBy: 'bed',
    sashAlongMm: Math.min(3000, Math.max(200, Math.round(survey.frameOn.lengthMm / lids))),
    sashReachMm: Math.min(3000, Math.max(200, Math.round(survey.frameOn.widthMm * 1.02))),
    safety: 'film',
    lidFrame: stockFor(market, '2x2'),
    bars: 1,
    overhangMm: 20,
    cover: 'film-uv',
    roll: null,
    airing: 'prop',
    openers: 1,
    latches: null,
    stays: null,
    people: '1',
    anchors: null,
  };
}
