import 'fake-indexeddb/auto';
import { Dexie } from 'dexie';
import { demoGarden } from '../../core/garden/demo';
import { type GardenRow } from '../storage/rows';
import { type Database, openDatabase } from '../storage/db';
import {
  addGarden,
  allSaved,
  closeGarden,
  onRemoteSave,
  restoreDeleted,
  pollStorage,
  lookAt,
  openStored,
  removeGarden,
  settle,
} from './saving';
import type { World } from './state';
import { change } from '../../core/commands/change';
import { nameGarden, setGust } from '../../core/commands/place';
import { type AppStore, createStore, redo, run, undo } from './store';

let db: Database;
let n = 0;
let tabs = 0;
beforeEach(async () => {
  db = await openDatabase(`test-${n++}`);
});
afterEach(() => db.close());

/** A newer build opens the same storage, and is gone again. */
async function newer(name: string): Promise<void> {
  const later = new Dexie(name);
  later.version(50).stores({});
  await later.open();
  later.close();
}

type Word = [string, number | undefined];
const tab = (told: Word[] = [], more: Partial<World> = {}): AppStore =>
  createStore({
    db: () => db,
    now: () => 1,
    tab: `tab ${++tabs}`,
    announce: (id, revision) => void told.push([id, revision]),
    begin: () => ({
      answer: Promise.reject(new Error('nothing is worked out here')),
      stop: () => undefined,
      leave: () => undefined,
    }),
    retryMs: 5,
    ...more,
  });
const rename = (name: string) => run((g) => nameGarden(g, name));
const nameIn = (store: AppStore): string | undefined => store.getState().open?.doc.name;

test('an edit is stored, and undo and redo work after a reload', async () => {
  const first = tab();
  await first.dispatch(addGarden('g', demoGarden()));
  first.dispatch(rename('One'));
  first.dispatch(rename('Two'));
  await allSaved();
  expect(first.getState().open?.save).toEqual({ kind: 'saved' });

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
  const made = store.dispatch(
    run((g) =>
      change(g, 'Bad', (garden) => {
        const bed = garden.beds[0];
        garden.name = 'Half';
        if (bed) bed.outside.nearMm = -5;
      }),
    ),
  );
  expect(made.ok ? [] : made.faults.map((f) => f.field)).toEqual(['beds[0].outside.nearMm']);
  expect(store.getState().open).toBe(before);
});

/** Two tabs on one garden. */
async function two(): Promise<[AppStore, AppStore]> {
  const mine = tab();
  await mine.dispatch(addGarden('g', demoGarden()));
  const theirs = tab();
  await theirs.dispatch(openStored('g'));
  return [mine, theirs];
}
const gust = (to: number) => run((g) => setGust(g, to));
const stored = async () => (await db.gardens.get('g'))?.doc;

test('two tabs that change different things are brought together, each step undoable', async () => {
  const [mine, theirs] = await two();
  theirs.dispatch(gust(37));
  await allSaved();
  mine.dispatch(rename('One'));
  mine.dispatch(rename('Two'));
  await allSaved();
  expect(await stored()).toMatchObject({ name: 'Two', site: { gustMPerS: 37 } });
  const open = mine.getState().open;
  expect(open?.edits.map((e) => e.label)).toEqual(['Set the gust', 'Name the garden', 'Name the garden']);
  expect(open?.save).toEqual({ kind: 'saved' });
  mine.dispatch(undo());
  expect(nameIn(mine)).toBe('One');
  mine.dispatch(undo());
  mine.dispatch(undo());
  expect(mine.getState().open?.doc).toEqual(demoGarden());
  await allSaved();
});

test.each(['mine', 'theirs'] as const)(
  'both change one thing: it is asked, work goes on, and %s is had',
  async (choice) => {
    const [mine, theirs] = await two();
    theirs.dispatch(rename('Theirs'));
    await allSaved();
    mine.dispatch(rename('Mine'));
    await allSaved();
    expect(mine.getState().open?.asking?.clashes).toEqual([{ path: ['name'], mine: 'Mine', theirs: 'Theirs' }]);
    expect((await stored())?.name).toBe('Theirs');
    // Made while it asks.
    mine.dispatch(gust(33));
    await allSaved();
    expect((await stored())?.site.gustMPerS).toBe(demoGarden().site.gustMPerS);
    await mine.dispatch(settle(() => choice));
    expect(await stored()).toMatchObject({ name: choice === 'mine' ? 'Mine' : 'Theirs', site: { gustMPerS: 33 } });
    expect(mine.getState().open).toMatchObject({ asking: null, save: { kind: 'saved' } });
  },
);

test('a garden deleted in another tab stays deleted, and is kept after all only when that is said', async () => {
  const [mine, theirs] = await two();
  await theirs.dispatch(removeGarden('g'));
  mine.dispatch(rename('Mine'));
  await allSaved();
  expect(mine.getState().open?.save).toEqual({ kind: 'gone' });
  mine.dispatch(rename('Still'));
  await allSaved();
  expect(await db.gardens.count()).toBe(0);
  await mine.dispatch(restoreDeleted());
  expect((await stored())?.name).toBe('Still');
  expect(mine.getState().open?.save).toEqual({ kind: 'saved' });
  // Told, or found out when it comes to the front.
  await tab().dispatch(removeGarden('g'));
  await mine.dispatch(pollStorage());
  expect(mine.getState().open?.save).toEqual({ kind: 'gone' });
});

test('an idle tab follows the other one', async () => {
  const told: Word[] = [];
  const mine = tab(told);
  await mine.dispatch(addGarden('g', demoGarden()));
  const idle = tab();
  await idle.dispatch(openStored('g'));
  mine.dispatch(rename('Moved on'));
  await allSaved();
  const last = told.at(-1);
  if (!last) throw new Error('nothing heard');
  await idle.dispatch(onRemoteSave(...last));
  expect(nameIn(idle)).toBe('Moved on');
});

test('a save that fails is said and tried again until it works', async () => {
  const store = tab();
  await store.dispatch(addGarden('g', demoGarden()));
  const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('no', 'UnknownError');
  });
  store.dispatch(rename('Kept at last'));
  await allSaved();
  expect(store.getState().open?.save).toMatchObject({ kind: 'failed', since: 1 });
  put.mockRestore();
  for (let i = 0; i < 400 && store.getState().open?.save.kind !== 'saved'; i++)
    await new Promise((wait) => setTimeout(wait, 5));
  expect((await stored())?.name).toBe('Kept at last');
});

test('a browser without storage: the garden is open, and said to be kept nowhere', async () => {
  const shut = jest.spyOn(indexedDB, 'open').mockImplementation(() => {
    throw new DOMException('denied', 'SecurityError');
  });
  const none = openDatabase('none');
  none.catch(() => shut.mockRestore());
  const store = tab([], { db: () => none });
  expect((await store.dispatch(openStored('g'))).kind).toBe('shut');
  await store.dispatch(addGarden('g', demoGarden()));
  expect(store.getState().open?.save).toMatchObject({
    kind: 'failed',
    why: 'this browser lets Cabanon keep nothing, as in a private window',
  });
  store.dispatch(rename('Worked on'));
  expect(nameIn(store)).toBe('Worked on');
  // Another garden is opened: the first is kept in the page, and found there.
  await store.dispatch(addGarden('h', demoGarden()));
  expect(store.getState().aside.map((garden) => garden.doc.name)).toEqual(['Worked on']);
  expect((await store.dispatch(openStored('g'))).kind).toBe('open');
  expect(nameIn(store)).toBe('Worked on');
  expect(store.getState().aside.map((garden) => garden.id)).toEqual(['h']);
  await store.dispatch(removeGarden('h'));
  expect(store.getState().aside).toEqual([]);
  store.dispatch(closeGarden());
});

test('storage that a newer build has opened since is not written to, and says so', async () => {
  await newer('newer');
  const store = tab([], { db: () => openDatabase('newer') });
  await store.dispatch(addGarden('g', demoGarden()));
  expect(store.getState().open?.save).toMatchObject({ why: 'a newer Cabanon has been here: load this page afresh' });
  store.dispatch(closeGarden());
});

test('a tab that is killed before its save has lost nothing', async () => {
  const killed = tab();
  await killed.dispatch(addGarden('g', demoGarden()));
  // The save never gets there; only the journal does.
  const whole = IDBObjectStore.prototype.put;
  const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, row) {
    if (this.name === 'gardens') throw new Error('killed');
    return whole.call(this, row);
  });
  killed.dispatch(gust(35));
  killed.dispatch(rename('Last words'));
  killed.dispatch(undo());
  killed.dispatch(rename('Very last'));
  await allSaved();
  // Dead, it tries no more.
  killed.dispatch(closeGarden());
  put.mockRestore();
  const next = tab();
  await next.dispatch(openStored('g'));
  expect(next.getState().open?.doc).toMatchObject({ name: 'Very last', site: { gustMPerS: 35 } });
  expect(next.getState().open?.edits.map((e) => e.label)).toEqual(['Set the gust', 'Name the garden']);
  await allSaved();
  expect(await stored()).toMatchObject({ name: 'Very last' });
  expect(await db.journal.count()).toBe(0);
});

test('a garden that this build cannot read is not locked in and not written over', async () => {
  const found = { ...demoGarden(), covers: [...demoGarden().covers, { id: 'x', family: 'of-tomorrow' }] };
  await db.gardens.put({
    id: 'g',
    name: 'G',
    doc: found,
    revision: 4,
    at: 0,
    seen: {},
    savedAt: 1,
  } as unknown as GardenRow);
  const store = tab();
  const came = await store.dispatch(openStored('g'));
  if (came.kind !== 'unreadable') throw new Error(came.kind);
  expect(came.stored.raw).toEqual(found);
  store.dispatch(lookAt(came.stored));
  expect(store.getState().open?.doc).toEqual(demoGarden());
  expect(store.getState().open?.look?.[0]?.field).toBe('covers[5].family');
  const refused = store.dispatch(rename('Worked on'));
  expect(refused.ok ? '' : refused.faults[0]?.message).toContain('only looked at');
  await store.dispatch(addGarden('copy', demoGarden()));
  await allSaved();
  expect(await stored()).toEqual(found);
});
