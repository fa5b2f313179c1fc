import 'fake-indexeddb/auto';
import { demoGarden } from '../../core/garden/demo';
import { type Database, type Edit, deleteGarden, loadGarden, openDatabase, saveGarden } from './db';
import { freshName, newId } from './names';

let db: Database;
let n = 0;
beforeEach(() => {
  db = openDatabase(`db-${n++}`);
});
afterEach(() => db.delete());

const edit = (label: string): Edit => ({
  label,
  patches: [{ op: 'replace', path: ['name'], value: label }],
  inverse: [],
});
const row = (revision: number, at: number) => ({ id: 'g', name: 'Garden', doc: demoGarden(), revision, at });

test('what is saved is what is loaded, edits in order', async () => {
  expect(await saveGarden(db, row(0, 2), [edit('one'), edit('two')], false, 5)).toEqual({ kind: 'saved', revision: 1 });
  const loaded = await loadGarden(db, 'g');
  expect(loaded?.row).toMatchObject({ revision: 1, at: 2, savedAt: 5 });
  expect(loaded?.edits.map((e) => e.label)).toEqual(['one', 'two']);
  expect(loaded?.row.doc).toEqual(demoGarden());
});

test('edits that were undone and then overtaken are gone', async () => {
  await saveGarden(db, row(0, 3), [edit('one'), edit('two'), edit('three')], false, 1);
  await saveGarden(db, row(1, 2), [edit('one'), edit('other')], false, 2);
  expect((await loadGarden(db, 'g'))?.edits.map((e) => e.label)).toEqual(['one', 'other']);
});

test('a save on top of newer work is refused, unless it is forced', async () => {
  await saveGarden(db, row(0, 0), [], false, 1);
  await saveGarden(db, row(1, 0), [], false, 2);
  const late = await saveGarden(db, row(1, 0), [], false, 3);
  expect(late.kind).toBe('conflict');
  expect(await saveGarden(db, row(1, 0), [], true, 4)).toEqual({ kind: 'saved', revision: 3 });
});

test('a deleted garden takes its edits with it and leaves the others', async () => {
  await saveGarden(db, row(0, 1), [edit('one')], false, 1);
  await saveGarden(db, { ...row(0, 1), id: 'h' }, [edit('two')], false, 1);
  await deleteGarden(db, 'g');
  expect(await loadGarden(db, 'g')).toBeUndefined();
  expect((await loadGarden(db, 'h'))?.edits).toHaveLength(1);
  expect(await db.edits.count()).toBe(1);
});

test('names and ids are fresh', () => {
  expect(freshName('Bed', ['Tunnel'])).toBe('Bed');
  expect(freshName('Bed', ['Bed', 'Bed 2'])).toBe('Bed 3');
  expect(new Set(Array.from({ length: 50 }, newId)).size).toBe(50);
});
