import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Patch } from 'immer';
import type { Garden } from '../../core/garden/garden';

/** One step of the gardener's work, kept so that undo survives a reload. */
export interface Edit {
  readonly label: string;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

export interface GardenRow {
  id: string;
  name: string;
  doc: Garden;
  /** Grows by one with each save; a save on top of another tab's work is refused. */
  revision: number;
  /** How many of the kept edits are done; the rest can be redone. */
  at: number;
  savedAt: number;
}

export interface EditRow extends Edit {
  gardenId: string;
  seq: number;
}

export type Database = Dexie & {
  gardens: EntityTable<GardenRow, 'id'>;
  edits: Table<EditRow, [string, number]>;
};

/** Opens the gardener's own storage in this browser. */
export function openDatabase(name = 'cabanon'): Database {
  const db = new Dexie(name) as Database;
  db.version(1).stores({ gardens: 'id, savedAt', edits: '[gardenId+seq], gardenId' });
  return db;
}

export const EDITS_KEPT = 300;

export type SaveAnswer =
  { readonly kind: 'saved'; readonly revision: number } | { readonly kind: 'conflict'; readonly row: GardenRow };

/**
 * Saves a garden with its edits unless another tab has saved since `revision`.
 * @param force overwrite the other tab's work, when the gardener has said so
 */
export async function saveGarden(
  db: Database,
  row: Omit<GardenRow, 'savedAt'>,
  edits: readonly Edit[],
  force: boolean,
  now: number,
): Promise<SaveAnswer> {
  return db.transaction('rw', db.gardens, db.edits, async () => {
    const stored = await db.gardens.get(row.id);
    if (stored && stored.revision !== row.revision && !force) return { kind: 'conflict', row: stored } as const;
    const revision = Math.max(stored?.revision ?? 0, row.revision) + 1;
    await db.gardens.put({ ...row, revision, savedAt: now });
    const before = await db.edits.where('gardenId').equals(row.id).toArray();
    const same = (edit: Edit, seq: number): boolean =>
      JSON.stringify(before[seq]?.patches) === JSON.stringify(edit.patches);
    await db.edits.bulkPut(edits.flatMap((edit, seq) => (same(edit, seq) ? [] : [{ ...edit, gardenId: row.id, seq }])));
    await db.edits.bulkDelete(before.slice(edits.length).map((edit): [string, number] => [edit.gardenId, edit.seq]));
    return { kind: 'saved', revision } as const;
  });
}

/** A garden and its edits, or undefined when there is none of that id. */
export async function loadGarden(
  db: Database,
  id: string,
): Promise<{ row: GardenRow; edits: readonly Edit[] } | undefined> {
  const row = await db.gardens.get(id);
  if (!row) return undefined;
  const rows = await db.edits.where('gardenId').equals(id).sortBy('seq');
  return { row, edits: rows.map(({ label, patches, inverse }) => ({ label, patches, inverse })) };
}

export async function deleteGarden(db: Database, id: string): Promise<void> {
  await db.transaction('rw', db.gardens, db.edits, async () => {
    await db.gardens.delete(id);
    await db.edits.where('gardenId').equals(id).delete();
  });
}
