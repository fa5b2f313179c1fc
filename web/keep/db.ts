/** The gardener's own storage in this browser: gardens, their edits, a journal of what is not saved yet, and what was set aside. */
import { type DBSchema, type IDBPDatabase, type IDBPObjectStore, type StoreNames, openDB } from 'idb';
import type { Edit } from './edits';
import {
  type EditRow,
  type GardenRow,
  type JournalRow,
  type PictureRow,
  type Stored,
  type WeatherRow,
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

interface Stores extends DBSchema {
  gardens: { key: string; value: GardenRow };
  edits: { key: [string, number]; value: EditRow };
  journal: { key: [string, string, number]; value: JournalRow };
  aside: { key: number; value: AsideRow };
  weather: { key: [string, string]; value: WeatherRow };
  pictures: { key: [string, string]; value: PictureRow };
}
type StoreName = StoreNames<Stores>;
export type Database = IDBPDatabase<Stores>;

/** The storage, or its coming: a browser opens it in its own time. */
export type Storage = Database | Promise<Database>;

/** Grows when a store is added. */
const VERSION = 40;

/** By store, what its rows are told apart by. */
const KEYS: Readonly<Record<StoreName, IDBObjectStoreParameters>> = {
  gardens: { keyPath: 'id' },
  edits: { keyPath: ['gardenId', 'seq'] },
  journal: { keyPath: ['gardenId', 'tab', 'n'] },
  aside: { keyPath: 'key', autoIncrement: true },
  weather: { keyPath: ['gardenId', 'kind'] },
  pictures: { keyPath: ['gardenId', 'key'] },
};
/** Stores whose rows belong to one garden, which their keys begin with. */
const OF_A_GARDEN = ['edits', 'journal', 'weather', 'pictures'] as const;

/** All rows of a garden: a list is greater than any word or number. */
export const ofGarden = (id: string): IDBKeyRange => IDBKeyRange.bound([id], [id, []]);

/** Opens the storage, or refuses where the browser has none; `gone` is called when it can be asked no more. */
export async function openDatabase(name = 'cabanon', gone: () => void = () => undefined): Promise<Database> {
  if (typeof indexedDB === 'undefined') throw new DOMException('this browser has none', 'NotAllowedError');
  const db = await openDB<Stores>(name, VERSION, {
    upgrade: (made) => {
      for (const store of Object.keys(KEYS) as StoreName[])
        if (!made.objectStoreNames.contains(store)) made.createObjectStore(store, KEYS[store]);
    },
    // Another tab has a newer build: its storage is not to wait for this one.
    blocking: () => {
      db.close();
      gone();
    },
    terminated: gone,
  });
  return db;
}

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

type Opened<Names extends readonly StoreName[]> = {
  [I in keyof Names]: IDBPObjectStore<Stores, StoreName[], Names[I], 'readwrite'>;
};

/** Work on some stores, done as a whole or not at all. */
async function inOne<const Names extends readonly StoreName[], T>(
  db: Database,
  names: Names,
  work: (...stores: Opened<Names>) => Promise<T>,
): Promise<T> {
  const tx = db.transaction([...names], 'readwrite');
  tx.done.catch(() => undefined);
  try {
    const answer = await inTime(work(...(names.map((name) => tx.objectStore(name)) as Opened<Names>)));
    await inTime(tx.done);
    return answer;
  } catch (why) {
    try {
      tx.abort();
    } catch {
      // It is over already.
    }
    throw why;
  }
}

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
  const answer = await inOne(db, ['gardens', 'edits'], async (gardens, kept): Promise<SaveAnswer> => {
    const stored = await gardens.get(row.id);
    if (stored ? revisionOf(stored) !== row.revision : row.revision > 0) return { kind: stored ? 'other' : 'gone' };
    const revision = row.revision + 1;
    const seen = { ...(stored?.seen ?? {}), ...row.seen };
    const fresh = edits.findIndex((edit, i) => edit !== editsBefore[i]);
    await gardens.put({ ...row, seen: latest(seen), revision, savedAt: now });
    if (fresh >= 0)
      for (const [i, edit] of edits.slice(fresh).entries())
        await kept.put({ ...edit, gardenId: row.id, seq: fresh + i });
    await kept.delete(IDBKeyRange.bound([row.id, edits.length], [row.id, Infinity]));
    return { kind: 'saved', revision };
  });
  // A new garden has no steps of one of its id that was there before.
  if (answer.kind === 'saved' && row.revision === 0) await inTime(db.delete('journal', ofGarden(row.id)));
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
  const tx = db.transaction(['gardens', 'edits', 'journal']);
  const [row, edits, journal] = await inTime(
    Promise.all([
      tx.objectStore('gardens').get(id) as Promise<unknown>,
      tx.objectStore('edits').getAll(ofGarden(id)) as Promise<readonly unknown[]>,
      tx.objectStore('journal').getAll(ofGarden(id)),
    ]),
  );
  if (row === undefined) return undefined;
  // With every kind of cover, which a garden that is made afresh has no need of.
  const { readStored } = await import('./readStored').catch(() => {
    throw new DOMException('what reads a garden did not come', 'NetworkError');
  });
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
  const there = await inTime(db.getAll('aside'));
  if (there.some((a) => a.gardenId === gardenId && JSON.stringify(a.found) === text)) return;
  await inTime(db.add('aside', { gardenId, name, at: now, why: damage.join('; '), found } as AsideRow));
}

/** Deletes a garden with all that belongs to it. */
export async function deleteGarden(storage: Storage, id: string): Promise<void> {
  const db = await inTime(storage);
  await inOne(db, ['gardens', ...OF_A_GARDEN], async (gardens, ...others) => {
    await gardens.delete(id);
    for (const store of others) await store.delete(ofGarden(id));
  });
}

/** Makes room where storage is full: the ways back of gardens that are not open, oldest first in no more than one go. */
export async function makeRoom(storage: Storage, openId: string): Promise<void> {
  const db = await inTime(storage);
  await inOne(db, ['gardens', 'edits'], async (gardens, edits) => {
    for (const row of await gardens.getAll()) if (row.id !== openId) await gardens.put({ ...row, at: 0 });
    for (const key of await edits.getAllKeys()) if (key[0] !== openId) await edits.delete(key);
  });
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

type JournalStore = IDBPObjectStore<Stores, ['journal'], 'journal', 'readwrite'>;

function write(storage: Storage, request: (store: JournalStore) => Promise<unknown>): void {
  if (storage instanceof Promise)
    return void storage.then(
      (db) => write(db, request),
      () => undefined,
    );
  try {
    const tx = storage.transaction('journal', 'readwrite');
    tx.done.catch(() => undefined);
    request(tx.store).catch(() => undefined);
    tx.commit();
  } catch {
    // Said by the save.
  }
}
