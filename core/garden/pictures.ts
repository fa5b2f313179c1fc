/** Pictures of the day book as they stand in a garden file: only where they were asked to go along. */
import * as z from 'zod/mini';
import { word } from '../base/schema';
import { isFree } from '../catalog/own';

/** A picture's key in the day book. */
export const pictureKey = word(40).check(z.refine(isFree, 'must be another word'));
/** Pictures of one entry, and of one file. */
export const MOST_OF_ENTRY = 6;
export const MOST_OF_FILE = 60;
const MOST_CHARS = 700_000;

/** By key, each as the address of its own data. */
export const picturesSchema = z
  .record(
    pictureKey,
    z
      .string()
      .check(
        z.maxLength(MOST_CHARS),
        z.regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/]+={0,2}$/, 'must be a JPEG picture as base64 data'),
      ),
  )
  .check(z.refine((all) => Object.keys(all).length <= MOST_OF_FILE, `at most ${MOST_OF_FILE} pictures`));
export type GardenPictures = z.infer<typeof picturesSchema>;
