/** All gardens of a browser in one file, and back. */
import { type Fault, type Result, fail, messageOf, ok } from '../base/result';
import type { Garden } from './garden';
import { MAX_FILE_CHARS, readGarden, tooLarge } from './read';
import { fileOf } from './write';

const BACKUP_FORMAT = 'cabanon-gardens';

/** Most gardens in one file. */
const MOST_GARDENS = 200;

/** Gardens as one file; what is stored and does not read goes in as it is. */
export function writeBackup(documents: readonly unknown[]): string {
  return `{"format": "${BACKUP_FORMAT}", "version": 1, "gardens": [\n${documents.map((d) => fileOf(d).trimEnd()).join(',\n')}\n]}\n`;
}

export interface Backup {
  readonly gardens: readonly Garden[];
  /** Gardens that do not read, each with the path of its field; they are left out, the others are whole. */
  readonly left: readonly Fault[];
}

/**
 * Reads a file of gardens, each by itself.
 * @returns a fault where the file is none, or no garden in it reads
 * @example readBackup('{}').faults[0].field // "format"
 */
export function readBackup(text: string): Result<Backup> {
  if (text.length > MAX_FILE_CHARS) return tooLarge();
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch (error) {
    return fail('file', `This is not a JSON file: ${messageOf(error)}.`);
  }
  const { format, version, gardens } = (file ?? {}) as Readonly<Record<string, unknown>>;
  if (format !== BACKUP_FORMAT) return fail('format', `This is no backup: format must be "${BACKUP_FORMAT}".`);
  if (version !== 1) return fail('version', 'version must be 1.');
  if (!Array.isArray(gardens) || gardens.length > MOST_GARDENS)
    return fail('gardens', `gardens must be a list of at most ${MOST_GARDENS} gardens.`);
  const read = gardens.map((g: unknown) => readGarden(JSON.stringify(g)));
  const left = read.flatMap((r, i) =>
    r.ok ? [] : r.faults.slice(0, 1).map((f) => ({ ...f, field: `gardens[${i}].${f.field}` })),
  );
  const sound = read.flatMap((r) => (r.ok ? [r.value] : []));
  return sound.length === 0 && left.length > 0 ? { ok: false, faults: left } : ok({ gardens: sound, left });
}
