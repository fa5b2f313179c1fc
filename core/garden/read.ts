// A garden may hold covers of any kind.
import '../cover/families';
import { issueFaults } from '../base/issues';
import { type Result, fail, failAll, messageOf, ok } from '../base/result';
import { registeredFamilies } from '../cover/families/registry';
import { bedSchema } from '../site/bed';
import { buildSite } from './buildSite';
import { GARDEN_FORMAT, GARDEN_VERSION, type Garden, checkGarden, emptyGarden } from './garden';
import { type GardenPictures, picturesSchema } from './pictures';

/** Largest file that is opened, in characters. */
export const MAX_FILE_CHARS = 20_000_000;

type Json = Readonly<Record<string, unknown>>;

function isObject(value: unknown): value is Json {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** What is said of a file that is not even read. */
export const tooLarge = (): Result<never> => fail('file', 'The file is too large (over 20 million characters).');

/** What a file holds: a garden, and the pictures of its day book where they were asked to go along. */
interface GardenFile {
  readonly garden: Garden;
  readonly pictures: GardenPictures;
}

/**
 * A document whose covers have the usual answer to every question that they leave out, on the bed that they name. What is no cover, or
 * names no sound bed or kind, is left for the check to name.
 */
function withUsualAnswers(document: Json): Json {
  const { covers, beds, units } = document;
  if (!Array.isArray(covers) || !Array.isArray(beds)) return document;
  const stock = isObject(units) && units['stock'] === 'metric' ? 'metric' : 'imperial';
  const empty = emptyGarden('');
  return {
    ...document,
    covers: covers.map((cover: unknown): unknown => {
      if (!isObject(cover) || !isObject(cover['answers'])) return cover;
      const family = registeredFamilies().find((f) => f.key === cover['family']);
      const bed = bedSchema.safeParse(beds.find((b: unknown) => isObject(b) && b['id'] === cover['bedId']));
      if (!family || !bed.success) return cover;
      const site = buildSite({ ...empty, units: { ...empty.units, stock }, beds: [bed.data] }, bed.data.id);
      return site ? { ...cover, answers: { ...family.defaults(site), ...cover['answers'] } } : cover;
    }),
  };
}

/**
 * Reads a garden file. Nothing is taken from a file with any fault in it.
 * @returns the garden and its pictures, or every fault with the path of its field
 * @example readGardenFile('[]').faults[0].field // "file"
 */
export function readGardenFile(text: string): Result<GardenFile> {
  if (text.length > MAX_FILE_CHARS) return tooLarge();
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    return fail('file', `This is not a JSON file: ${messageOf(error)}.`);
  }
  if (!isObject(document)) return fail('file', 'A garden file holds one JSON object.');
  if (document['format'] !== GARDEN_FORMAT)
    return fail('format', `This is not a Cabanon garden: format must be "${GARDEN_FORMAT}".`);
  const version = document['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return fail('version', 'version must be a whole number, 1 or more.');
  if (version > GARDEN_VERSION)
    return fail(
      'version',
      `This file is version ${version}; this Cabanon reads version ${GARDEN_VERSION}. Open it with a newer Cabanon.`,
    );
  const { pictures = {}, ...rest } = document;
  const seen = picturesSchema.safeParse(pictures);
  if (!seen.success)
    return failAll(issueFaults(seen.error.issues.map((issue) => ({ ...issue, path: ['pictures', ...issue.path] }))));
  const garden = checkGarden(withUsualAnswers(rest));
  return garden.ok ? ok({ garden: garden.value, pictures: seen.data }) : garden;
}

/**
 * The garden of a file, without its pictures.
 * @returns the garden, or every fault with the path of its field
 * @example readGarden('{}').faults[0].field // "format"
 */
export function readGarden(text: string): Result<Garden> {
  const file = readGardenFile(text);
  return file.ok ? ok(file.value.garden) : file;
}
