import { z } from 'zod';
import type { BuildSite } from '../../bed/buildSite';
import { stockFor } from '../../catalog/market';
import { isBoard } from '../../catalog/sections';
import { MM_PER_INCH } from '../../units/length';
import { sharedAnswers } from '../questions';

/** Centre-line bend radius of the jig or bender for each conduit, mm. */
export const BEND_RADIUS: Readonly<Record<string, number>> = {
  'emt-1/2': 4.625 * MM_PER_INCH,
  'emt-3/4': 5.5 * MM_PER_INCH,
};

export const bentConduitSchema = z
  .strictObject({
    ...sharedAnswers,
    pipe: z.string().refine((key) => key in BEND_RADIUS, 'must be 1/2 or 3/4 conduit'),
    frame: z.string().refine(isBoard, 'must be a board in the catalogue'),
    wood: z.enum(['untreated', 'treated']),
    /** Corner of the shoulder above the rail, and the crown's centre line above it. */
    shoulderMm: z.number().min(0).max(2000),
    crownMm: z.number().min(80).max(2600),
    legDepthMm: z.number().min(20).max(140),
    ridge: z.enum(['furring', 'none']),
    crossTies: z.number().int().min(0).max(12),
    fixing: z.enum(['battens', 'channel', 'clips']),
    wrapMm: z.number().min(25).max(150),
    ends: z.enum(['folded', 'flap', 'plywood']),
    edge: z.enum(['guarded', 'bare']),
    anchors: z.number().int().min(0).max(40).nullable(),
  })
  .omit({ shape: true });

export type BentConduitAnswers = z.infer<typeof bentConduitSchema>;

/** A conduit frame that most people would bend for this bed first. */
export function bentConduitDefaults({ survey, market }: BuildSite): BentConduitAnswers {
  const width = survey.frameOn.widthMm;
  return {
    extent: { kind: 'whole' },
    inner: null,
    innerGapMm: 100,
    pipe: 'emt-1/2',
    hoops: null,
    maxSpacingMm: 40 * MM_PER_INCH,
    endOffsetMm: 3 * MM_PER_INCH,
    cover: 'film-uv',
    roll: null,
    crop: 'chard',
    rowFromEdgeMm: 6 * MM_PER_INCH,
    frame: stockFor(market, '2x4'),
    wood: 'treated',
    shoulderMm: Math.min(14 * MM_PER_INCH, Math.round(width * 0.3)),
    crownMm: Math.round(Math.min(14 * MM_PER_INCH, width * 0.3) + width * 0.24),
    legDepthMm: 2.5 * MM_PER_INCH,
    ridge: 'furring',
    crossTies: 0,
    fixing: 'battens',
    wrapMm: 3 * MM_PER_INCH,
    ends: 'folded',
    edge: 'guarded',
    anchors: null,
  };
}
