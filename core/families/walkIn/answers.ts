import { z } from 'zod';
import { HOOP_SCHOOLS, hoopShapeSchema } from '../../assembly/hoops';
import type { BuildSite } from '../../bed/buildSite';
import { isTube } from '../../catalog/sections';
import { MM_PER_INCH } from '../../units/length';
import { placeAnswers, sharedAnswers } from '../questions';

const tubeKey = z.string().refine(isTube, 'must be a pipe in the catalogue');
const FOOT = 12 * MM_PER_INCH;

/** Sizes that such a house of bent pipe is built in, mm. */
export const LIMITS = { width: [6 * FOOT, 14 * FOOT], length: [6 * FOOT, 40 * FOOT] } as const;

export const walkInSchema = z
  .strictObject({
    ...placeAnswers,
    lengthMm: z.number().min(LIMITS.length[0]).max(LIMITS.length[1]),
    widthMm: z.number().min(LIMITS.width[0]).max(LIMITS.width[1]),
    pipe: tubeKey,
    shape: hoopShapeSchema,
    post: tubeKey,
    posts: z.enum(['driven', 'dug']),
    /** Post above the ground; the hoop begins there. */
    sidewallMm: z.number().min(100).max(1800),
    /** null: a third of the post's length where it is windy, a quarter elsewhere. */
    depthMm: z.number().min(200).max(1500).nullable(),
    sleeveMm: z.number().min(80).max(600),
    hoops: z.number().int().min(2).max(60).nullable(),
    maxSpacingMm: z.number().min(400).max(2000),
    purlins: z.enum(['ridge', 'three']),
    purlin: tubeKey,
    crossTies: z.number().int().min(0).max(30),
    doors: z.enum(['one', 'two']),
    doorWidthMm: z.number().min(600).max(1500),
    doorHeightMm: z.number().min(1500).max(2200),
    cover: sharedAnswers.cover,
    roll: sharedAnswers.roll,
    layers: z.enum(['single', 'double']),
    sheets: z.enum(['one', 'roof-and-ends', 'roof-and-curtains']),
    sides: z.enum(['fixed', 'roll-up']),
    rollBar: z.enum(['emt-3/4', 'emt-1', 'pvc-1', '2x2', '2x4']),
    fixing: z.enum(['channel', 'battens', 'staples']),
    paint: z.enum(['none', 'paint', 'tape']),
    anchors: z.number().int().min(0).max(80).nullable(),
  })
  .omit({ extent: true });

export type WalkInAnswers = z.infer<typeof walkInSchema>;
export { HOOP_SCHOOLS };

/** A house with a path round this bed that most people would build first. */
export function walkInDefaults({ survey }: BuildSite): WalkInAnswers {
  const within = (x: number, [low, high]: readonly [number, number]): number => Math.min(high, Math.max(low, x));
  const path = 24 * MM_PER_INCH;
  const { lengthMm, widthMm } = survey.frameOn;
  return {
    crop: 'tomato',
    rowFromEdgeMm: 10 * MM_PER_INCH,
    lengthMm: Math.round(within(Math.max(12 * FOOT, lengthMm + 2 * path), LIMITS.length)),
    widthMm: Math.round(within(Math.min(12 * FOOT, Math.max(10 * FOOT, widthMm + 2 * path)), LIMITS.width)),
    pipe: 'pvc-1-1/4',
    shape: { by: 'half-circle' },
    post: 'steel-1',
    posts: 'driven',
    sidewallMm: 24 * MM_PER_INCH,
    depthMm: null,
    sleeveMm: 6 * MM_PER_INCH,
    hoops: null,
    maxSpacingMm: 48 * MM_PER_INCH,
    purlins: 'three',
    purlin: 'emt-3/4',
    crossTies: 0,
    doors: 'one',
    doorWidthMm: 32 * MM_PER_INCH,
    doorHeightMm: 72 * MM_PER_INCH,
    cover: 'film-uv',
    roll: null,
    layers: 'single',
    sheets: 'roof-and-curtains',
    sides: 'roll-up',
    rollBar: 'emt-3/4',
    fixing: 'channel',
    paint: 'paint',
    anchors: null,
  };
}
