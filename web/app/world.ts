import { begin } from '../background/workers';
import { askToKeep, channelOf, lastOpen, nearlyFull, openedLast, roomLeft } from '../storage/browser';
import { type Storage, openDatabase } from '../storage/db';
import { newId } from './names';
import { onRemoteSave, pollStorage, save } from './saving';
import { isAtRisk, noticeShown } from './state';
import { createStore } from './store';

let storage: Storage | undefined;

/** The gardener's own storage in this browser, opened when it is first asked for, and again where it was refused or lost. */
export function database(): Storage {
  const again = (): void => void (storage = undefined);
  storage ??= openDatabase('cabanon', again).then(
    (db) => (storage = db),
    (why: unknown) => {
      again();
      throw why;
    },
  );
  return storage;
}

interface Word {
  readonly id: string;
  readonly revision: number | undefined;
}
const tell = channelOf<Word>('cabanon', ({ id, revision }) => void store.dispatch(onRemoteSave(id, revision)));

export const store = createStore({
  db: database,
  now: Date.now,
  tab: newId(),
  announce: (id, revision) => tell({ id, revision }),
  retryMs: 2000,
  begin,
});

let asked = false;
store.subscribe(() => {
  const open = store.getState().open;
  if (!open || open.look) return;
  if (open.id !== lastOpen()) openedLast(open.id);
  if (!asked && open.synced.revision > 1) {
    asked = true;
    void askToKeep();
    void roomLeft().then((room) => {
      if (room && nearlyFull(room))
        store.dispatch(
          noticeShown('This browser’s storage is nearly full. Under Cabanon, all gardens, you can make room.'),
        );
    });
  }
});

/** Whether what is on the screen would be lost with it. */
export const atRisk = (): boolean => {
  const { open, aside } = store.getState();
  return aside.length > 0 || (open !== null && isAtRisk(open));
};

addEventListener('beforeunload', (event) => {
  if (atRisk()) event.preventDefault();
});
// A tab that comes to the front may have missed what others did, and what failed may work again.
document.addEventListener('visibilitychange', () => {
  if (document.visibilityState === 'visible') void store.dispatch(pollStorage());
  if (store.getState().open?.save.kind === 'failed') void store.dispatch(save());
});
