import * as z from 'zod/mini';
import { between, named, word } from '../base/schema';
import { briefSchema } from './brief';

/** The four corners, as seen standing at the near long side: near left first, then round. */
export const CORNERS = ['nearLeft', 'nearRight', 'farRight', 'farLeft'] as const;
export type Corner = (typeof CORNERS)[number];

/** What each corner is called. */
export const CORNER_NAMES: Readonly<Record<Corner, string>> = {
  nearLeft: 'near left',
  nearRight: 'near right',
  farRight: 'far right',
  farLeft: 'far left',
};

/** No part of a garden lies farther than this from where its plot is measured from, mm. */
const FARTHEST_MM = 1e6;
/** A near left corner on the plot: east and north of where the plot is measured from. */
export const plotPointSchema = z.strictObject({
  xMm: between(-FARTHEST_MM, FARTHEST_MM),
  yMm: between(-FARTHEST_MM, FARTHEST_MM),
});

const size = between(150, 20000);

/** What is measured at a bed, in the order that one walks round it with a tape. */
export const MEASURE_IDS = [
  'near',
  'right',
  'far',
  'left',
  'rising',
  'falling',
  'insideLength',
  'insideWidth',
  ...CORNERS,
  'wallHeight',
  'wallThickness',
  'soil',
] as const;

/** One raised bed as it was measured. Lengths in mm; near, far, left and right as seen from the near long side. */
export const bedSchema = z.strictObject({
  id: word(40),
  name: named(60),
  /** Near left outside corner. */
  at: plotPointSchema,
  /** Compass bearing from the left end to the right end, degrees. */
  bearingDeg: between(0, 360),
  outside: z.strictObject({ nearMm: size, farMm: size, leftMm: size, rightMm: size }),
  inside: z.strictObject({ lengthMm: size, widthMm: size }),
  wall: z.strictObject({
    heightMm: between(0, 1500),
    thicknessMm: between(1, 400),
  }),
  /** rising: near left to far right; falling: near right to far left. */
  diagonals: z.strictObject({ risingMm: size, fallingMm: size }),
  /** How far each corner lies below the level line. */
  drops: z.strictObject({
    nearLeft: between(-1000, 1000),
    nearRight: between(-1000, 1000),
    farRight: between(-1000, 1000),
    farLeft: between(-1000, 1000),
  }),
  soilBelowRimMm: between(0, 1000),
  /** What was taken with a tape; the rest follows from it. A bed that says nothing of it was measured whole. */
  measured: z._default(z.array(z.enum(MEASURE_IDS)).check(z.maxLength(MEASURE_IDS.length)), [...MEASURE_IDS]),
  soil: z.enum(['soft', 'loam', 'clay', 'stony']),
  /** Hoses or drip lines come in over the wall, where a frame would sit. */
  wateringOverWall: z.boolean(),
  /** What the next cover on it is wanted for, as far as it is said. */
  brief: z.nullable(briefSchema),
});

export type Bed = z.infer<typeof bedSchema>;
export type MeasureId = (typeof MEASURE_IDS)[number];

/** A square, level bed of an outside size, to start measuring from: nothing of it is measured yet. */
export function squareBed(
  id: string,
  name: string,
  lengthMm: number,
  widthMm: number,
  wall: Bed['wall'],
  at: Bed['at'],
  soilBelowRimMm = 50,
): Bed {
  const diagonal = Math.round(Math.hypot(lengthMm, widthMm) * 1000) / 1000;
  return {
    id,
    name,
    at,
    bearingDeg: 90,
    outside: { nearMm: lengthMm, farMm: lengthMm, leftMm: widthMm, rightMm: widthMm },
    inside: { lengthMm: lengthMm - 2 * wall.thicknessMm, widthMm: widthMm - 2 * wall.thicknessMm },
    wall,
    diagonals: { risingMm: diagonal, fallingMm: diagonal },
    drops: { nearLeft: 0, nearRight: 0, farRight: 0, farLeft: 0 },
    soilBelowRimMm,
    measured: [],
    soil: 'loam',
    wateringOverWall: false,
    brief: null,
  };
}
