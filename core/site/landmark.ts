import * as z from 'zod/mini';
import { between, named, word } from '../base/schema';
import { plotPointSchema } from './bed';

/** What else is on the ground beside the beds: what one walks on, and what stands there and shades. */
export const LANDMARKS = {
  path: { name: 'Path', round: false, shades: 0, first: { lengthMm: 3000, widthMm: 600, heightMm: 0 } },
  wall: { name: 'House wall', round: false, shades: 1, first: { lengthMm: 6000, widthMm: 300, heightMm: 3000 } },
  fence: { name: 'Fence', round: false, shades: 1, first: { lengthMm: 6000, widthMm: 80, heightMm: 1500 } },
  hedge: { name: 'Hedge', round: false, shades: 0.9, first: { lengthMm: 4000, widthMm: 600, heightMm: 1500 } },
  tree: { name: 'Tree', round: true, shades: 0.7, first: { lengthMm: 3000, widthMm: 3000, heightMm: 5000 } },
} as const satisfies Readonly<
  Record<
    string,
    {
      readonly name: string;
      /** Round on the ground: its length is its width. */
      readonly round: boolean;
      /** Part of the sun that it keeps off where it stands before it. Our own figures: a tree bare and in leaf, in the mean. */
      readonly shades: number;
      readonly first: { readonly lengthMm: number; readonly widthMm: number; readonly heightMm: number };
    }
  >
>;
export type LandmarkKind = keyof typeof LANDMARKS;
export const LANDMARK_KINDS = Object.keys(LANDMARKS) as LandmarkKind[];

/** Something on the plot that is no bed. Lengths in mm; a tree by the width of its crown. */
export const landmarkSchema = z.strictObject({
  id: word(40),
  name: named(60),
  kind: z.enum(LANDMARK_KINDS),
  at: plotPointSchema,
  /** Compass bearing from its left end to its right end, degrees. */
  bearingDeg: between(0, 360),
  lengthMm: between(20, 100_000),
  widthMm: between(20, 100_000),
  heightMm: between(0, 50_000),
});
export type Landmark = z.infer<typeof landmarkSchema>;
