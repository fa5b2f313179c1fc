import { type Garden, gardenSchema } from './garden';
import type { GardenPictures } from './pictures';

/** A garden as a file, or what is stored as it is where it is no sound garden: nothing is locked in, whatever is broken. */
export function fileOf(document: unknown): string {
  try {
    return writeGarden(document as Garden);
  } catch {
    return `${JSON.stringify(document, null, 2) ?? ''}\n`;
  }
}

/** Writes a garden as its file; reading it back gives the same garden, and the pictures that go along. */
export function writeGarden(garden: Garden, pictures?: GardenPictures): string {
  // Parsing puts the keys in the schema's order, so that equal gardens are equal files.
  return `${JSON.stringify({ ...gardenSchema().parse(garden), ...(pictures && { pictures }) }, null, 2)}\n`;
}
