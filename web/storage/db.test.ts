import 'fake-indexeddb/auto';
import { Dexie } from 'dexie';
import { demoGarden } from '../../core/garden/demo';
import { freshName } from '../../core/base/ids';
import { newId } from '../app/names';
import {
  type Database,
  dbRequest,
  deleteGarden,
  inTime,
  journal,
  loadGarden,
  makeRoom,
  openDatabase,
  storeGarden,
} from './db';
import type { Edit } from '../../core/garden/history';
import type { GardenRow } from './rows';
import { storageFault } from './storageFault';

let db: Database;
let n = 0;
beforeEach(async () => {
  db = await openDatabase(`db-${n++}`);
});
afterEach(() => db.close());

const edit = (label: string): Edit => ({
  label,
  changes: [{ path: ['name'], was: '', is: label }],
});
const save = (revision: number, edits: readonly Edit[] = [], editsBefore: readonly Edit[] = [], id = 'g') =>
  storeGarden(
    db,
    { id, name: 'Garden', doc: demoGarden(), revision, at: edits.length, seen: { tab: 3 }, edits, editsBefore },
    5,
  );
const load = () => loadGarden(db, 'g', 9);

test('what is saved is what is loaded, edits in order', async () => {
  expect(await save(0, [edit('one'), edit('two')])).toEqual({ kind: 'saved', revision: 1 });
  const loaded = await load();
  expect(loaded).toMatchObject({ revision: 1, at: 2, damage: [], late: undefined });
  expect(loaded?.edits.map((e) => e.label)).toEqual(['one', 'two']);
  expect(loaded?.read).toEqual({ ok: true, value: demoGarden() });
});

test('edits that were undone and then overtaken are gone', async () => {
  const [one, two, three, other] = ['one', 'two', 'three', 'other'].map(edit) as [Edit, Edit, Edit, Edit];
  await save(0, [one, two, three]);
  await save(1, [one, other], [one, two, three]);
  expect((await load())?.edits.map((e) => e.label)).toEqual(['one', 'other']);
});

test('a save on top of newer work, or of a deleted garden, is refused', async () => {
  await save(0);
  await save(1);
  expect(await save(1)).toEqual({ kind: 'other' });
  await deleteGarden(db, 'g');
  expect(await save(2)).toEqual({ kind: 'gone' });
  expect(await load()).toBeUndefined();
});

test('a deleted garden takes its edits and its journal with it and leaves the others', async () => {
  await save(0, [edit('one')]);
  await save(0, [edit('two')], [], 'h');
  journal(db, { gardenId: 'g', tab: 't', n: 1, at: 1, step: { kind: 'edit', label: 'x', changes: [] } });
  await deleteGarden(db, 'g');
  expect(await load()).toBeUndefined();
  expect((await loadGarden(db, 'h', 9))?.edits).toHaveLength(1);
  expect([await db.edits.count(), await db.journal.count()]).toEqual([1, 0]);
});

test('a step that only the journal has is put on top; what a save has is not done twice', async () => {
  await save(0);
  const step = (k: number, to: string) => ({
    gardenId: 'g',
    tab: 'tab',
    n: k,
    at: k,
    step: { kind: 'edit' as const, label: `Call it ${to}`, changes: [{ path: ['name'], was: '', is: to }] },
  });
  // The save has the tab's steps up to the third.
  journal(db, step(3, 'Saved'));
  journal(db, step(4, 'Late'));
  journal(db, step(5, 'Later'));
  const late = (await load())?.late;
  expect(late?.work.doc.name).toBe('Later');
  expect(late?.work.edits.map((e) => e.label)).toEqual(['Call it Late', 'Call it Later']);
  expect(late?.seen).toEqual({ tab: 5 });
});

test('damaged rows are read as far as they go, and kept aside as they were found, once', async () => {
  await save(0, [edit('one'), edit('two')]);
  const row = await db.gardens.get('g');
  await db.gardens.put({ ...row, revision: NaN, at: 'two', savedAt: 'never' } as unknown as GardenRow);
  await db.edits.delete(['g', 0]);
  const loaded = await load();
  await load();
  expect(loaded).toMatchObject({ revision: 0, edits: [], at: 0, read: { ok: true } });
  const aside = await db.aside.toArray();
  expect(aside).toHaveLength(1);
  expect(aside[0]).toMatchObject({ gardenId: 'g', name: 'Garden', at: 9, found: { row: { at: 'two' } } });
  // It goes on from there.
  expect(await save(0)).toEqual({ kind: 'saved', revision: 1 });
  expect(await load()).toMatchObject({ revision: 1, damage: [] });
});

test('room is made of the ways back of other gardens', async () => {
  await save(0, [edit('one')]);
  await save(0, [edit('two')], [], 'h');
  await makeRoom(db, 'g');
  expect((await load())?.edits).toHaveLength(1);
  expect(await loadGarden(db, 'h', 9)).toMatchObject({ edits: [], at: 0, damage: [] });
});

test('a save that breaks off half way has changed nothing', async () => {
  await save(0, [edit('one')]);
  const whole = IDBObjectStore.prototype.put;
  const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, row) {
    if (this.name === 'edits') throw new DOMException('full', 'QuotaExceededError');
    return whole.call(this, row);
  });
  await expect(save(1, [edit('one'), edit('two')])).rejects.toMatchObject({ name: 'QuotaExceededError' });
  put.mockRestore();
  expect(await load()).toMatchObject({ revision: 1, at: 1, damage: [] });
});

test('a newer build in another tab: this one gives way, and says so; and it opens no newer storage', async () => {
  let gone = 0;
  const here = await openDatabase('give way', () => void gone++);
  const later = new Dexie('give way');
  later.version(50).stores({ more: 'id' });
  await later.open();
  later.close();
  expect([gone, here.isOpen()]).toEqual([1, false]);
  const refused: unknown = await openDatabase('give way').catch((why: unknown) => why);
  expect(storageFault(refused)).toBe('a newer Cabanon has been here: load this page afresh');
});

test('steps that a save has are gone with it, of whatever tab; a tab with others is never forgotten', async () => {
  await save(0);
  const step = (tab: string, k: number) => ({
    gardenId: 'g',
    tab,
    n: k,
    at: k,
    step: { kind: 'edit' as const, label: `${tab} ${k}`, changes: [{ path: ['name'], was: '', is: `${tab} ${k}` }] },
  });
  for (const row of [step('old', 1), step('old', 2), step('tab', 2), step('tab', 4)]) journal(db, row);
  // Killed after the save of another tab, that had taken its steps up to the second.
  const seen = { old: 2 };
  const row = { id: 'g', name: 'Garden', doc: demoGarden(), at: 0, edits: [], editsBefore: [] };
  await storeGarden(db, { ...row, revision: 1, seen }, 6);
  expect((await db.journal.toArray()).map((j) => [j.tab, j.n])).toEqual([['tab', 4]]);
  // Fifty tabs save after it: what it has in the journal is still late work, and what it had saved is not done again.
  for (let k = 0; k < 50; k++) await storeGarden(db, { ...row, revision: 2 + k, seen: { [`tab ${k}`]: 1 } }, 7);
  const late = (await load())?.late;
  expect(late?.work.edits.map((e) => e.label)).toEqual(['tab 4']);
  expect((await db.gardens.get('g'))?.seen).toMatchObject({ tab: 3 });
});

test('steps of two tabs follow one another by when they were made', async () => {
  await save(0);
  const named = (tab: string, k: number, at: number, is: string) => ({
    gardenId: 'g',
    tab,
    n: k,
    at,
    step: { kind: 'edit' as const, label: is, changes: [{ path: ['name'], was: '', is }] },
  });
  journal(db, named('stale', 90, 100, 'Stale'));
  journal(db, named('fresh', 1, 200, 'Fresh'));
  expect((await load())?.late?.work.doc.name).toBe('Fresh');
});

test('a damaged row of the journal is set aside with a word, and the rest is done', async () => {
  await save(0);
  const good = { gardenId: 'g', tab: 'tab', n: 5, at: 2 };
  journal(db, { ...good, step: { kind: 'edit', label: 'Good', changes: [{ path: ['name'], was: '', is: 'Good' }] } });
  for (const [k, step] of [undefined, { kind: 'edit', label: 'x', changes: [null] }, { kind: 'fly' }].entries())
    await db.journal.put({ gardenId: 'g', tab: 'bad', n: k + 1, at: 1, step } as never);
  const loaded = await load();
  expect(loaded?.late?.work.doc.name).toBe('Good');
  expect(loaded?.damage).toEqual(['3 of its steps that were not saved yet do not read']);
  expect((await db.aside.toArray())[0]?.found).toMatchObject({ journal: [{ n: 1 }, { n: 2 }, { n: 3 }] });
  // They lock nothing: the next time it opens without a word.
  expect((await load())?.damage).toEqual([]);
});

test('storage that never answers is not waited for', async () => {
  await expect(inTime(new Promise(() => undefined), 10)).rejects.toMatchObject({ name: 'TimeoutError' });
  expect(await inTime(Promise.resolve(3), 10)).toBe(3);
});

test('names and ids are fresh', () => {
  expect(freshName('Bed', ['Tunnel'])).toBe('Bed');
  expect(freshName('Bed', ['Bed', 'Bed 2'])).toBe('Bed 3');
  expect(new Set(Array.from({ length: 50 }, newId)).size).toBe(50);
});

test('what is asked while storage is still coming is done once it is there; a step is not lost either', async () => {
  let come: (db: Database) => void = () => undefined;
  const coming = new Promise<Database>((take) => (come = take));
  const asking = dbRequest(coming, (all) => all.gardens.count());
  journal(coming, { gardenId: 'g', tab: 't', n: 1, at: 1, step: { kind: 'edit', label: 'x', changes: [] } });
  expect(await db.journal.count()).toBe(0);
  come(db);
  expect(await asking).toBe(0);
  expect(await db.journal.count()).toBe(1);
});

test('storage that does not open refuses what is asked of it, and a step does not throw', async () => {
  const none = Promise.reject<Database>(new DOMException('denied', 'SecurityError'));
  await expect(dbRequest(none, (all) => all.gardens.count())).rejects.toThrow('denied');
  expect(() =>
    journal(none, { gardenId: 'g', tab: 't', n: 1, at: 1, step: { kind: 'edit', label: 'x', changes: [] } }),
  ).not.toThrow();
});
