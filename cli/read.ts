/** What commands read: files, options. */
import { readFile, stat } from 'node:fs/promises';
import type { Garden } from '../core/garden/garden';
import { readGarden } from '../core/garden/read';
import { type Fault, type Result, fail, messageOf, ok } from '../core/base/result';

/** Options of a command as they were written. */
export type Options = Readonly<Record<string, string | undefined>>;

/** An answer, and what could not be answered beside it. */
export interface Partly {
  readonly value: unknown;
  readonly faults: readonly Fault[];
  /** Printed as it is, in place of JSON. */
  readonly text?: string;
}

/** Largest file that is read, bytes. */
const MAX_FILE_BYTES = 40_000_000;

export async function readText(path: string, field = 'FILE'): Promise<Result<string>> {
  try {
    if ((await stat(path)).size > MAX_FILE_BYTES) return fail(field, `"${path}" is larger than 40 MB`);
    // Some editors begin a file with a mark of its byte order.
    return ok((await readFile(path, 'utf8')).replace(/^\uFEFF/, ''));
  } catch {
    return fail(field, `cannot read "${path}"`);
  }
}

export function json(text: string): Result<unknown> {
  try {
    return ok(JSON.parse(text) as unknown);
  } catch (error) {
    return fail('FILE', `not JSON: ${messageOf(error)}`);
  }
}

/** The first few of a list, in a line. */
export function someOf(ids: readonly string[]): string {
  const more = ids.length - 12;
  return `${ids.slice(0, 12).join(', ') || 'none'}${more > 0 ? ` and ${more} more` : ''}`;
}

/** A garden of a file, and the covers of it that are meant: one, or all. */
export async function readCovers(
  path: string,
  coverId: string | undefined,
): Promise<Result<{ readonly garden: Garden; readonly covers: Garden['covers'] }>> {
  const text = await readText(path);
  if (!text.ok) return text;
  const read = readGarden(text.value);
  if (!read.ok) return read;
  const garden = read.value;
  const covers = garden.covers.filter((c) => coverId === undefined || c.id === coverId);
  if (covers.length > 0) return ok({ garden, covers });
  return fail(
    '--cover',
    coverId === undefined
      ? 'this garden has no covers yet'
      : `no cover "${coverId}"; there are ${someOf(garden.covers.map((c) => c.id))}`,
  );
}

/** A number among the options. */
export function numberOf(options: Options, name: string, least: number, most: number): Result<number> {
  const text = options[name];
  const value = Number(text);
  return text !== undefined && text.trim() !== '' && value >= least && value <= most
    ? ok(value)
    : fail(`--${name}`, `must be a number from ${least} to ${most}${text === undefined ? '' : `, not "${text}"`}`);
}
