/** The gardener's own storage in this browser: gardens, their edits, a journal of what is not saved yet, and what was set aside. */
import './noChannel';
import { Dexie, type EntityTable, type Table, type Transaction, liveQuery } from 'dexie';
import type { Edit } from '../../core/garden/history';
import {
  type EditRow,
  type GardenRow,
  type JournalRow,
  type PictureRow,
  type Stored,
  type WeatherRow,
  revisionOf,
} from './rows';

export { liveQuery };

/** A row that was damaged, as it was found. */
export interface AsideRow {
  key: number;
  gardenId: string;
  name: string;
  at: number;
  why: string;
  found: unknown;
}

/** Grows when a table or an index is added; what a table needs to be brought on is an `upgrade` of that version. */
const VERSION = 1;

/** The tables, and by what their rows are told apart. */
export class Database extends Dexie {
  declare readonly gardens: EntityTable<GardenRow, 'id'>;
  declare readonly edits: Table<EditRow, [gardenId: string, seq: number]>;
  declare readonly journal: Table<JournalRow, [gardenId: string, tab: string, n: number]>;
  declare readonly aside: EntityTable<AsideRow, 'key'>;
  declare readonly weather: Table<WeatherRow, [gardenId: string, kind: string]>;
  declare readonly pictures: Table<PictureRow, [gardenId: string, key: string]>;

  constructor(name: string) {
    super(name);
    this.version(VERSION).stores({
      gardens: 'id',
      edits: '[gardenId+seq]',
      journal: '[gardenId+tab+n]',
      aside: '++key',
      weather: '[gardenId+kind]',
      pictures: '[gardenId+key]',
    });
  }

  /** Tables whose rows belong to one garden, which their keys begin with. */
  get ofAGarden(): readonly Table<unknown, unknown[]>[] {
    return [this.edits, this.journal, this.weather, this.pictures] as unknown as Table<unknown, unknown[]>[];
  }
}

/** The storage, or its coming: a browser opens it in its own time. */
export type Storage = Database | Promise<Database>;

/** All rows of a garden: a list is greater than any word or number. */
export const ofGarden = <Row, Key>(table: Table<Row, Key>, id: string) =>
  table.where(':id').between([id, Dexie.minKey], [id, Dexie.maxKey]);

/** Browsers count ten times as far as Dexie does. */
const NATIVE = 10;

/** Whether a newer build has opened the storage before; a browser that lists none is taken at its word. */
async function isNewer(name: string): Promise<boolean> {
  const there = await inTime(indexedDB.databases()).catch(() => []);
  return there.some((d) => d.name === name && (d.version ?? 0) > NATIVE * VERSION);
}

/** Opens the storage, or refuses where the browser has none; `gone` is called when it can be asked no more. */
export async function openDatabase(name = 'cabanon', gone: () => void = () => undefined): Promise<Database> {
  if (typeof indexedDB === 'undefined') throw new DOMException('this browser has none', 'NotAllowedError');
  const db = new Database(name);
  let lost = false;
  const letGo = (): void => {
    if (!lost) gone();
    lost = true;
  };
  // Another tab has a newer build: its storage is not to wait for this one.
  db.on('versionchange', () => {
    db.close();
    letGo();
    return false;
  });
  // The browser has shut it off.
  db.on('close', letGo);
  // What a newer build keeps is not touched by this one, which does not know its rows.
  if (await isNewer(name)) throw new DOMException('a newer build has been here', 'VersionError');
  await db.open();
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
export const dbRequest = <T>(storage: Storage, query: (db: Database) => PromiseLike<T>): Promise<T> =>
  inTime(Promise.resolve(storage).then(query));

/** Work on some tables, done as a whole or not at all; given up where storage does not answer. */
async function inOne<T>(db: Database, tables: readonly Table[], work: () => Promise<T>): Promise<T> {
  let at: Transaction | undefined;
  try {
    return await inTime(
      db.transaction('rw', [...tables], (tx) => {
        at = tx;
        return work();
      }),
    );
  } catch (why) {
    if (at?.active) at.abort();
    throw why;
  }
}

type SaveAnswer =
  | { readonly kind: 'saved'; readonly revision: number }
  /** Another tab has saved since. */
  | { readonly kind: 'other' }
  /** It was deleted. */
  | { readonly kind: 'gone' };

/** What is saved: the garden, its edits, and which of them storage has already, as the same objects. */
interface ToSave extends Omit<GardenRow, 'savedAt'> {
  readonly edits: readonly Edit[];
  readonly editsBefore: readonly Edit[];
}

/**
 * Saves a garden with its edits, unless another tab has saved or deleted it since `revision`. The steps of the journal that it has, of
 * whatever tab, are gone in the same breath: none is ever taken for work that was not saved.
 */
export async function storeGarden(storage: Storage, save: ToSave, now: number): Promise<SaveAnswer> {
  const db = await inTime(storage);
  const { edits, editsBefore, ...row } = save;
  return inOne(db, [db.gardens, db.edits, db.journal], async (): Promise<SaveAnswer> => {
    const stored = await db.gardens.get(row.id);
    if (stored ? revisionOf(stored) !== row.revision : row.revision > 0) return { kind: stored ? 'other' : 'gone' };
    const revision = row.revision + 1;
    // A new garden has no steps of one of its id that was there before.
    if (row.revision === 0) await ofGarden(db.journal, row.id).delete();
    const seen: Record<string, number> = { ...(stored?.seen ?? {}), ...row.seen };
    for (const [tab, upTo] of Object.entries(seen))
      await db.journal.where(':id').between([row.id, tab, Dexie.minKey], [row.id, tab, upTo], true, true).delete();
    const left = await ofGarden(db.journal, row.id).primaryKeys();
    const fresh = edits.findIndex((edit, i) => edit !== editsBefore[i]);
    await db.gardens.put({
      ...row,
      seen: latest(
        seen,
        left.map(([, tab]) => tab),
      ),
      revision,
      savedAt: now,
    });
    if (fresh >= 0)
      await db.edits.bulkPut(edits.slice(fresh).map((edit, i) => ({ ...edit, gardenId: row.id, seq: fresh + i })));
    await db.edits.where(':id').between([row.id, edits.length], [row.id, Dexie.maxKey]).delete();
    return { kind: 'saved', revision };
  });
}

const TABS_SEEN = 40;
/** The last tabs that saved, and every older one that has steps in the journal still. */
function latest(seen: Readonly<Record<string, number>>, withSteps: readonly string[]): Record<string, number> {
  const all = Object.entries(seen);
  return Object.fromEntries(all.filter(([tab], i) => i >= all.length - TABS_SEEN || withSteps.includes(tab)));
}

/** A garden as far as its rows read, with what the journal has beyond the last save; undefined when there is none. */
export async function loadGarden(storage: Storage, id: string, now: number): Promise<Stored | undefined> {
  const db = await inTime(storage);
  const [row, edits, journal] = await inTime(
    db.transaction('r', [db.gardens, db.edits, db.journal], () =>
      Promise.all([
        db.gardens.get(id) as Promise<unknown>,
        ofGarden(db.edits, id).toArray() as Promise<readonly unknown[]>,
        ofGarden(db.journal, id).toArray() as Promise<readonly unknown[]>,
      ]),
    ),
  );
  if (row === undefined) return undefined;
  // With every kind of cover, which a garden that is made afresh has no need of.
  const { readStored } = await import('./readStored').catch(() => {
    throw new DOMException('what reads a garden did not come', 'NetworkError');
  });
  const stored = readStored(id, row, edits, journal);
  const { damage, spoilt } = stored;
  if (damage.length > 0) await setAside(db, stored.name, id, damage, { row, edits, journal: spoilt }, now);
  // They are kept aside now, and would be found damaged for ever.
  await inTime(db.journal.bulkDelete(spoilt.flatMap((found) => keyOf(id, found) ?? [])));
  return stored;
}

/** The key that a row of the journal lies under, be the rest of it damaged. */
function keyOf(gardenId: string, found: unknown): [string, string, number][] | undefined {
  const { tab, n } = found as Partial<JournalRow>;
  return typeof tab === 'string' && typeof n === 'number' ? [[gardenId, tab, n]] : undefined;
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
  const there = await inTime(db.aside.toArray());
  if (there.some((a) => a.gardenId === gardenId && JSON.stringify(a.found) === text)) return;
  await inTime(db.aside.add({ gardenId, name, at: now, why: damage.join('; '), found }));
}

/** Deletes a garden with all that belongs to it. */
export async function deleteGarden(storage: Storage, id: string): Promise<void> {
  const db = await inTime(storage);
  await inOne(db, [db.gardens, ...db.ofAGarden], async () => {
    await db.gardens.delete(id);
    for (const table of db.ofAGarden) await ofGarden(table, id).delete();
  });
}

/** Makes room where storage is full: the ways back of gardens that are not open, oldest first in no more than one go. */
export async function makeRoom(storage: Storage, openId: string): Promise<void> {
  const db = await inTime(storage);
  await inOne(db, [db.gardens, db.edits], async () => {
    await db.gardens.where('id').notEqual(openId).modify({ at: 0 });
    const keys = await db.edits.toCollection().primaryKeys();
    await db.edits.bulkDelete(keys.filter(([gardenId]) => gardenId !== openId));
  });
}

/**
 * Writes a step to the journal at once: sent to the browser with its commit before this returns, so that a page that is
 * killed in the next moment has lost nothing; that is why it goes by the browser's own transaction, which begins at once. Failing is no
 * matter here; the save that follows says so.
 */
export function journal(storage: Storage, row: JournalRow): void {
  if (storage instanceof Promise)
    return void storage.then(
      (db) => journal(db, row),
      () => undefined,
    );
  try {
    const tx = storage.backendDB().transaction('journal', 'readwrite');
    tx.onabort = tx.onerror = (event) => event.preventDefault();
    tx.objectStore('journal').put(row);
    tx.commit();
  } catch {
    // Said by the save.
  }
}
