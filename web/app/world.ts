import { openDatabase } from './db';
import { createStore, heardSave } from './store';

/** The gardener's own storage in this browser. */
export const database = openDatabase();

const channel = new BroadcastChannel('cabanon');

export const store = createStore({
  db: database,
  now: Date.now,
  announce: (id, revision) => channel.postMessage({ id, revision }),
});

channel.onmessage = (event: MessageEvent<{ id: string; revision: number }>) =>
  void store.dispatch(heardSave(event.data.id, event.data.revision));

const OPEN_KEY = 'cabanon.open';

/** The garden that was open last in this browser. */
export function lastOpen(): string | null {
  return localStorage.getItem(OPEN_KEY);
}

store.subscribe(() => {
  const id = store.getState().open?.id;
  if (id !== undefined && id !== lastOpen()) localStorage.setItem(OPEN_KEY, id);
});
