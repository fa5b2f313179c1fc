/** A garden that does not read as a whole, as far as it reads: to be looked at, never to be saved over what was there. */
import type * as z from 'zod/mini';
import { entriesOf } from '../base/schema';
import { issueFaults } from '../base/issues';
import type { Fault } from '../base/result';
import { type Garden, checkGarden, emptyGarden, gardenSchema } from './garden';

interface Salvaged {
  readonly garden: Garden;
  /** What did not read, and why. */
  readonly left: readonly Fault[];
}

/** A list with its faulty entries, and the faults of those. */
function entriesThatRead(
  entries: z.ZodMiniType,
  value: readonly unknown[],
  key: string,
): [unknown[], readonly Fault[]] {
  const faults: Fault[] = [];
  const kept = value.filter((entry, i) => {
    const read = entries.safeParse(entry);
    if (!read.success) faults.push(...issueFaults(read.error.issues.map((s) => ({ ...s, path: [key, i, ...s.path] }))));
    return read.success;
  });
  return [kept, faults];
}

/** The list and entry that a fault is about: covers[3].bedId, catalog.things[0].like. */
const ENTRY = /^(?:(catalog)\.)?(\w+)\[(\d+)\]/;

/** A garden without the entries that the faults name. */
function without(garden: Garden, faults: readonly Fault[]): Garden {
  const bad = new Map<string, Set<number>>();
  for (const { field } of faults) {
    const [, catalog, list = '', at = ''] = ENTRY.exec(field) ?? [];
    const key = catalog ? `catalog.${list}` : list;
    bad.set(key, (bad.get(key) ?? new Set()).add(Number(at)));
  }
  const sift = <T extends object>(of: T, before: string): T =>
    Object.fromEntries(
      Object.entries(of).map(([key, value]: [string, unknown]) => [
        key,
        Array.isArray(value) ? value.filter((_, i) => !bad.get(before + key)?.has(i)) : value,
      ]),
    ) as T;
  return { ...sift(garden, ''), catalog: sift(garden.catalog, 'catalog.') };
}

/**
 * Reads what it can of a document: every field and every list entry that is sound, the rest as an empty garden has it.
 * @example salvage({ name: 'Old', beds: 7 }).garden.name // "Old"
 */
export function salvage(document: unknown): Salvaged {
  const given = (typeof document === 'object' && document !== null ? document : {}) as Readonly<
    Record<string, unknown>
  >;
  const left: Fault[] = [];
  const parts = Object.entries(gardenSchema().shape).flatMap(([key, schema]: [string, z.ZodMiniType]) => {
    const value = given[key];
    if (value === undefined || key === 'format' || key === 'version') return [];
    const entries = entriesOf(schema);
    if (entries && Array.isArray(value)) {
      const [kept, faults] = entriesThatRead(entries, value, key);
      left.push(...faults);
      return [[key, kept] as const];
    }
    const read = schema.safeParse(value);
    if (read.success) return [[key, read.data] as const];
    left.push(...issueFaults(read.error.issues.map((s) => ({ ...s, path: [key, ...s.path] }))));
    return [];
  });
  let garden: Garden = { ...emptyGarden('A garden without a name'), ...(Object.fromEntries(parts) as Partial<Garden>) };
  // An entry taken out can leave another without what it names: a bed its covers, a thing of the catalogue its shelf.
  for (;;) {
    const read = checkGarden(garden);
    if (read.ok) return { garden: read.value, left };
    left.push(...read.faults);
    const less = without(garden, read.faults);
    const size = (g: Garden): number => JSON.stringify(g).length;
    if (size(less) === size(garden)) return { garden: emptyGarden(garden.name), left };
    garden = less;
  }
}
