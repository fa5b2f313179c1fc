/** The gardener's own storage in this browser: gardens, their edits, a journal of what is not saved yet, and what was set aside. */
import type { Dexie, EntityTable, Table } from 'dexie';
import type { Edit } from './edits';
import {
  type EditRow,
  type GardenRow,
  type JournalRow,
  type PictureRow,
  type Stored,
  type WeatherRow,
  readStored,
  revisionOf,
} from './rows';

/** A row that was damaged, as it was found. */
export interface AsideRow {
  key: number;
  gardenId: string;
  name: string;
  at: number;
  why: string;
  found: unknown;
}

export type Database = Dexie & {
  gardens: EntityTable<GardenRow, 'id'>;
  edits: Table<EditRow, [string, number]>;
  journal: Table<JournalRow, [string, string, number]>;
  aside: EntityTable<AsideRow, 'key'>;
  weather: Table<WeatherRow, [string, string]>;
  pictures: Table<PictureRow, [string, string]>;
};

/** The storage, or its coming: it is fetched when it is first asked for. */
export type Storage = Database | Promise<Database>;

/** Edits that can be undone; beyond, the oldest are dropped some at a time, so that not every save writes all of them anew. */
export const EDITS_KEPT = 300;
export const EDITS_DROPPED = 50;

/** Longest that storage is waited for, ms; a browser that has shut it off may never answer. */
const PATIENCE_MS = 5000;

/** The same answer, or a refusal when it does not come. */
export function inTime<T>(answer: T | PromiseLike<T>, ms = PATIENCE_MS): Promise<T> {
  return new Promise((take, refuse) => {
    const timer = setTimeout(
      () => refuse(new DOMException('the browser’s storage does not answer', 'TimeoutError')),
      ms,
    );
    Promise.resolve(answer)
      .then(take, refuse)
      .then(
        () => clearTimeout(timer),
        () => clearTimeout(timer),
      );
  });
}

/** What storage answers, in time. */
export const asked = <T>(storage: Storage, query: (db: Database) => PromiseLike<T>): Promise<T> =>
  inTime(Promise.resolve(storage).then(query));

export type SaveAnswer =
  | { readonly kind: 'saved'; readonly revision: number }
  /** Another tab has saved since. */
  | { readonly kind: 'other' }
  /** It was deleted. */
  | { readonly kind: 'gone' };

/** What is saved: the garden, its edits, and which of them storage has already, as the same objects. */
export interface ToSave extends Omit<GardenRow, 'savedAt'> {
  readonly edits: readonly Edit[];
  readonly editsBefore: readonly Edit[];
}

/** Saves a garden with its edits, unless another tab has saved or deleted it since `revision`. */
export async function saveGarden(storage: Storage, save: ToSave, now: number): Promise<SaveAnswer> {
  const db = await inTime(storage);
  const { edits, editsBefore, ...row } = save;
  const answer = await inTime(
    db.transaction('rw', db.gardens, db.edits, async (): Promise<SaveAnswer> => {
      const stored = await db.gardens.get(row.id);
      if (stored ? revisionOf(stored) !== row.revision : row.revision > 0) return { kind: stored ? 'other' : 'gone' };
      const revision = row.revision + 1;
      const seen = { ...(stored?.seen ?? {}), ...row.seen };
      await db.gardens.put({ ...row, seen: latest(seen), revision, savedAt: now });
      const fresh = edits.findIndex((edit, i) => edit !== editsBefore[i]);
      if (fresh >= 0)
        await db.edits.bulkPut(edits.slice(fresh).map((edit, i) => ({ ...edit, gardenId: row.id, seq: fresh + i })));
      await db.edits.where('[gardenId+seq]').between([row.id, edits.length], [row.id, Infinity]).delete();
      return { kind: 'saved', revision };
    }),
  );
  // A new garden has no steps of one of its id that was there before.
  if (answer.kind === 'saved' && row.revision === 0) await inTime(db.journal.where('gardenId').equals(row.id).delete());
  return answer;
}

const TABS_SEEN = 40;
/** The last tabs that saved; older ones have nothing in the journal. */
function latest(seen: Readonly<Record<string, number>>): Record<string, number> {
  return Object.fromEntries(Object.entries(seen).slice(-TABS_SEEN));
}

/** A garden as far as its rows read, with what the journal has beyond the last save; undefined when there is none. */
export async function loadGarden(storage: Storage, id: string, now: number): Promise<Stored | undefined> {
  const db = await inTime(storage);
  const [row, edits, journal] = await inTime(
    db.transaction('r', db.gardens, db.edits, db.journal, () =>
      Promise.all([
        db.gardens.get(id) as PromiseLike<unknown>,
        db.edits.where('gardenId').equals(id).sortBy('seq') as PromiseLike<readonly unknown[]>,
        db.journal.where('gardenId').equals(id).toArray(),
      ]),
    ),
  );
  if (row === undefined) return undefined;
  const stored = readStored(id, row, edits, journal);
  if (stored.damage.length > 0) await setAside(db, stored.name, id, stored.damage, { row, edits }, now);
  return stored;
}

/** Keeps damaged rows as they were found, once. */
async function setAside(
  db: Database,
  name: string,
  gardenId: string,
  damage: readonly string[],
  found: unknown,
  now: number,
): Promise<void> {
  const text = JSON.stringify(found);
  const there = await inTime(db.aside.where('gardenId').equals(gardenId).toArray());
  if (there.some((a) => JSON.stringify(a.found) === text)) return;
  await inTime(db.aside.add({ gardenId, name, at: now, why: damage.join('; '), found } as AsideRow));
}

/** Deletes a garden with all that belongs to it. */
export async function deleteGarden(storage: Storage, id: string): Promise<void> {
  const db = await inTime(storage);
  await inTime(
    db.transaction('rw', db.gardens, db.edits, db.journal, db.weather, db.pictures, async () => {
      await db.gardens.delete(id);
      await db.weather.where('gardenId').equals(id).delete();
      await db.pictures.where('gardenId').equals(id).delete();
      await db.edits.where('gardenId').equals(id).delete();
      await db.journal.where('gardenId').equals(id).delete();
    }),
  );
}

/** Makes room where storage is full: the ways back of gardens that are not open, oldest first in no more than one go. */
export async function makeRoom(storage: Storage, openId: string): Promise<void> {
  const db = await inTime(storage);
  await inTime(
    db.transaction('rw', db.gardens, db.edits, async () => {
      await db.edits.where('gardenId').notEqual(openId).delete();
      await db.gardens.where('id').notEqual(openId).modify({ at: 0 });
    }),
  );
}

/**
 * Writes a step to the journal at once: sent to the browser with its commit before this returns, so that a page that is
 * killed in the next moment has lost nothing. Failing is no matter here; the save that follows says so.
 */
export function journal(storage: Storage, row: JournalRow): void {
  write(storage, (store) => store.put(row));
}

/** Forgets steps that a saved garden has. */
export function forget(storage: Storage, gardenId: string, tab: string, upTo: number): void {
  write(storage, (store) => store.delete(IDBKeyRange.bound([gardenId, tab, 0], [gardenId, tab, upTo])));
}

function write(storage: Storage, request: (store: IDBObjectStore) => IDBRequest): void {
  if (storage instanceof Promise)
    return void storage.then(
      (db) => write(db, request),
      () => undefined,
    );
  const db = storage;
  try {
    const all = db.isOpen() ? db.backendDB().transaction('journal', 'readwrite') : undefined;
    if (!all) return;
    all.onerror = (event) => event.preventDefault();
    request(all.objectStore('journal'));
    all.commit();
  } catch {
    // Said by the save.
  }
}
