import 'fake-indexeddb/auto';
import { demoGarden } from '../../core/garden/demo';
import { type Database, openDatabase } from './db';
import {
  type AppStore,
  addGarden,
  allSaved,
  createStore,
  edit,
  heardSave,
  openStored,
  redo,
  settle,
  undo,
} from './store';

let db: Database;
let n = 0;
beforeEach(() => {
  db = openDatabase(`test-${n++}`);
});
afterEach(() => db.delete());

const tab = (heard: [string, number][] = []): AppStore =>
  createStore({ db, now: () => 1, announce: (id, revision) => void heard.push([id, revision]) });
const rename = (name: string) => edit('Rename', (garden) => void (garden.name = name));
const nameIn = (store: AppStore): string | undefined => store.getState().open?.doc.name;

test('an edit is stored, and undo and redo work after a reload', async () => {
  const first = tab();
  await first.dispatch(addGarden('g', demoGarden()));
  first.dispatch(rename('One'));
  first.dispatch(rename('Two'));
  await allSaved();
  expect(first.getState().open?.save).toBe('saved');

  const second = tab();
  await second.dispatch(openStored('g'));
  expect(nameIn(second)).toBe('Two');
  second.dispatch(undo());
  second.dispatch(undo());
  expect(nameIn(second)).toBe('Quillet Hollow');
  second.dispatch(redo());
  await allSaved();

  const third = tab();
  await third.dispatch(openStored('g'));
  expect(nameIn(third)).toBe('One');
  third.dispatch(redo());
  expect(nameIn(third)).toBe('Two');
  third.dispatch(undo());
  third.dispatch(rename('Other'));
  third.dispatch(redo());
  expect(nameIn(third)).toBe('Other');
  await allSaved();
});

test('a bad edit changes nothing and names the field', async () => {
  const store = tab();
  await store.dispatch(addGarden('g', demoGarden()));
  const before = store.getState().open;
  const faults = store.dispatch(
    edit('Bad', (garden) => {
      const bed = garden.beds[0];
      garden.name = 'Half';
      if (bed) bed.outside.nearMm = -5;
    }),
  );
  expect(faults[0]?.field).toBe('beds[0].outside.nearMm');
  expect(store.getState().open).toBe(before);
});

test('two tabs never overwrite each other silently', async () => {
  const mine = tab();
  await mine.dispatch(addGarden('g', demoGarden()));
  const theirs = tab();
  await theirs.dispatch(openStored('g'));
  theirs.dispatch(rename('Theirs'));
  await allSaved();
  mine.dispatch(rename('Mine'));
  await allSaved();
  expect(mine.getState().open?.conflict?.name).toBe('Theirs');
  expect((await db.gardens.get('g'))?.name).toBe('Theirs');

  await mine.dispatch(settle('mine'));
  expect((await db.gardens.get('g'))?.name).toBe('Mine');
  expect(mine.getState().open?.conflict).toBeNull();

  theirs.dispatch(rename('Again'));
  await allSaved();
  expect(theirs.getState().open?.conflict?.name).toBe('Mine');
  await theirs.dispatch(settle('theirs'));
  expect(nameIn(theirs)).toBe('Mine');
});

test('an idle tab follows the other one', async () => {
  const heard: [string, number][] = [];
  const mine = tab(heard);
  await mine.dispatch(addGarden('g', demoGarden()));
  const idle = tab();
  await idle.dispatch(openStored('g'));
  mine.dispatch(rename('Moved on'));
  await allSaved();
  const last = heard[heard.length - 1];
  if (!last) throw new Error('nothing heard');
  await idle.dispatch(heardSave(...last));
  expect(nameIn(idle)).toBe('Moved on');
});
