/** How the open garden is kept: saved after every step, tried again while it fails, brought together with other tabs. */
import { type FieldPath, changesBetween, same } from '../../core/garden/difference';
import { type Step, type UndoHistory, rebased } from '../../core/garden/history';
import { mergeOf } from '../../core/garden/merge';
import type { Garden } from '../../core/garden/garden';
import { salvage } from '../../core/garden/salvage';
import { storageFault } from '../storage/storageFault';
import { dbRequest, deleteGarden, loadGarden, makeRoom, storeGarden } from '../storage/db';
import type { Stored } from '../storage/rows';
import {
  type OpenGarden,
  type SaveState,
  type Thunk,
  gardenPatched,
  pendingDiscarded,
  opened,
  noticeShown,
} from './state';

let queue: Promise<void> = Promise.resolve();
/** Ends when every save asked for until now is done. */
export const allSaved = (): Promise<void> => queue;

/** Saves the open garden as it is now; saves wait for one another so that none is lost or out of order. */
export function save(): Thunk<Promise<void>> {
  return (dispatch) => {
    queue = queue.then(() => dispatch(saveNow()));
    return queue;
  };
}

const workOf = ({ doc, edits, at }: UndoHistory): UndoHistory => ({ doc, edits, at });

function saveNow(): Thunk<Promise<void>> {
  return async (dispatch, getState, world) => {
    const open = getState().open;
    if (!open || open.look || open.asking || open.save.kind === 'gone') return;
    if (open.doc === open.synced.doc && open.at === open.synced.at && open.save.kind === 'saved') return;
    const { id, synced, n } = open;
    const seen = { ...open.seen, ...(n > 0 && { [world.tab]: n }) };
    const row = {
      id,
      name: open.doc.name,
      revision: synced.revision,
      seen,
      ...workOf(open),
      editsBefore: synced.edits,
    };
    try {
      const answer = await storeGarden(world.db(), row, world.now()).catch(async (why: unknown) => {
        if (!/Quota/.test((why as Error).name)) throw why;
        // The ways back of gardens that are not open are worth less than what is being done now.
        await makeRoom(world.db(), id);
        return storeGarden(world.db(), row, world.now());
      });
      if (answer.kind === 'gone') dispatch(gardenPatched({ id, save: { kind: 'gone' } }));
      else if (answer.kind === 'other') await dispatch(bringTogether(id));
      else {
        const now = getState().open;
        if (now?.id === id) {
          const last = now.doc === open.doc && now.at === open.at;
          dispatch(
            gardenPatched({
              id,
              synced: { ...workOf(open), revision: answer.revision },
              steps: now.steps.slice(open.steps.length),
              seen: {},
              save: { kind: last ? 'saved' : 'saving' },
            }),
          );
        }
        world.announce(id, answer.revision);
      }
    } catch (thrown) {
      dispatch(notSaved(id, storageFault(thrown)));
    }
  };
}

/** A save is tried again after one wait, then two, up to so many. */
const MOST_WAITS = 8;
let tries = 0;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Says that the garden is not kept, and tries again by and by. */
function notSaved(id: string, why: string): Thunk<void> {
  return (dispatch, getState, { now, retryMs }) => {
    const was = getState().open?.save;
    dispatch(gardenPatched({ id, save: { kind: 'failed', why, since: was?.kind === 'failed' ? was.since : now() } }));
    clearTimeout(timer);
    tries = was?.kind === 'failed' ? tries + 1 : 1;
    const again = (): void => void (getState().open?.save.kind === 'failed' && dispatch(save()));
    timer = setTimeout(again, retryMs * Math.min(tries, MOST_WAITS));
  };
}

/** All that lies between two gardens as one step. */
const stepBetween = (label: string, before: Garden, after: Garden): Step => ({
  kind: 'edit',
  label,
  changes: changesBetween(before, after),
});

/** Brings the work of this tab together with what another tab has saved; asks where both changed the same thing. */
function bringTogether(
  id: string,
  leave?: (clashes: readonly FieldPath[]) => readonly FieldPath[],
): Thunk<Promise<void>> {
  return async (dispatch, getState, { db, now }) => {
    const stored = await loadGarden(db(), id, now());
    const open = getState().open;
    if (open?.id !== id) return;
    if (!stored) return void dispatch(gardenPatched({ id, save: { kind: 'gone' }, asking: null }));
    if (!stored.read.ok)
      return void dispatch(notSaved(id, 'another tab has saved it with another Cabanon; save it to a file and reload'));
    const theirs: UndoHistory = { doc: stored.read.value, edits: stored.edits, at: stored.at };
    const merge = mergeOf(open.synced.doc, open.doc, theirs.doc);
    const settled = leave?.(merge.clashes.map((c) => c.path));
    if (merge.clashes.length > 0 && !settled) return void dispatch(gardenPatched({ id, asking: merge }));
    const work = rebased(theirs, open.synced.doc, open.steps, settled ?? [], merge.depth);
    const differs = !same(work.doc, theirs.doc);
    dispatch(
      gardenPatched({
        id,
        ...work,
        asking: null,
        synced: { ...theirs, revision: stored.revision },
        // From here on what lies between the two is one step: it is on the stack of edits piece by piece.
        steps: differs ? [stepBetween('Work of two tabs', theirs.doc, work.doc)] : [],
        save: { kind: 'saving' },
      }),
    );
    if (merge.clashes.length === 0) dispatch(noticeShown('Brought together with your other tab.'));
    await dispatch(saveNow());
  };
}

/** Settles what two tabs both changed: each thing as this tab or the other has it. */
export function settle(choice: (path: FieldPath) => 'mine' | 'theirs'): Thunk<Promise<void>> {
  return (dispatch, getState) => {
    const open = getState().open;
    const asked = open?.asking?.clashes.map((c) => c.path) ?? [];
    queue = queue.then(async () => {
      if (!open) return;
      try {
        await dispatch(
          bringTogether(open.id, (clashes) => {
            // What has come up since it was asked stands as this tab has it until it is asked in its turn.
            const known = clashes.filter((path) => asked.some((a) => same(a, path)));
            return known.filter((path) => choice(path) === 'theirs');
          }),
        );
      } catch (thrown) {
        dispatch(notSaved(open.id, storageFault(thrown)));
      }
    });
    return queue;
  };
}

const NEW = { edits: [], at: 0 } as const;

function asOpen(id: string, work: UndoHistory, synced: OpenGarden['synced'], save: SaveState): OpenGarden {
  return { id, ...work, synced, steps: [], n: 0, seen: {}, save, asking: null, look: null };
}

/** Puts a new garden in storage and opens it. */
export function addGarden(id: string, doc: Garden): Thunk<Promise<void>> {
  return async (dispatch) => {
    const work = { doc, ...NEW };
    dispatch(opened(asOpen(id, work, { ...work, revision: 0 }, { kind: 'saving' })));
    await dispatch(save());
  };
}

/** What came of opening a stored garden. */
export type Opened =
  | { readonly kind: 'open' }
  | { readonly kind: 'none' }
  /** Storage cannot be read. */
  | { readonly kind: 'shut'; readonly why: string }
  /** It is there, and this build cannot read it. */
  | { readonly kind: 'unreadable'; readonly stored: Stored };

/** Opens a stored garden. */
export function openStored(id: string): Thunk<Promise<Opened>> {
  return async (dispatch, getState, { db, now }) => {
    let stored: Stored | undefined;
    try {
      await allSaved();
      const aside = getState().aside.find((garden) => garden.id === id);
      if (aside) {
        dispatch(opened(aside));
        void dispatch(save());
        return { kind: 'open' };
      }
      stored = await loadGarden(db(), id, now());
    } catch (thrown) {
      return { kind: 'shut', why: storageFault(thrown) };
    }
    if (!stored) return { kind: 'none' };
    if (!stored.read.ok) return { kind: 'unreadable', stored };
    const { edits, at, late, revision } = stored;
    const kept = { doc: stored.read.value, edits, at };
    const open = asOpen(id, kept, { ...kept, revision }, { kind: 'saved' });
    if (!late) {
      dispatch(opened(open));
      return { kind: 'open' };
    }
    const label = late.lost.length > 0 ? late.lost.map((s) => s.label).join(', ') : undefined;
    if (label) dispatch(noticeShown(`Done in a tab that was closed, and not to be put back: ${label.slice(0, 120)}.`));
    dispatch(
      opened({
        ...open,
        ...late.work,
        seen: late.seen,
        steps: [stepBetween('Work of a tab that was closed', kept.doc, late.work.doc)],
        save: { kind: 'saving' },
      }),
    );
    await dispatch(save());
    return { kind: 'open' };
  };
}

/** Opens what can be read of a garden that does not read as a whole, to look at; its stored row is not touched. */
export function lookAt({ id, raw }: Stored): Thunk<void> {
  return (dispatch) => {
    const { garden, left } = salvage(raw);
    const work = { doc: garden, ...NEW };
    dispatch(opened({ ...asOpen(id, work, { ...work, revision: 0 }, { kind: 'saved' }), look: left }));
  };
}

export function closeGarden(): ReturnType<typeof opened> {
  return opened(null);
}

/** Deletes a garden here and tells the other tabs. */
export function removeGarden(id: string): Thunk<Promise<void>> {
  return async (dispatch, getState, world) => {
    // Where storage cannot be reached, what is left of it is in the list again.
    await deleteGarden(world.db(), id).catch(() => undefined);
    if (getState().open?.id === id) dispatch(closeGarden());
    dispatch(pendingDiscarded(id));
    world.announce(id, undefined);
  };
}

/** Keeps a garden after all that was deleted in another tab. */
export function restoreDeleted(): Thunk<Promise<void>> {
  return async (dispatch, getState, { now }) => {
    const open = getState().open;
    if (!open) return;
    const until: SaveState = { kind: 'failed', why: 'it was deleted in another tab', since: now() };
    dispatch(gardenPatched({ id: open.id, synced: { ...open.synced, edits: [], revision: 0 }, save: until }));
    await dispatch(save());
  };
}

/** Another tab has saved or deleted a garden: follow it when nothing here is unsaved; otherwise the next save finds out. */
export function onRemoteSave(id: string, revision: number | undefined): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    const open = getState().open;
    if (!open || open.id !== id || open.look) return;
    if (revision === undefined) {
      dispatch(gardenPatched({ id, save: { kind: 'gone' }, asking: null }));
      return;
    }
    if (open.synced.revision >= revision || open.save.kind !== 'saved') return;
    const came = await dispatch(openStored(id));
    if (came.kind === 'open') dispatch(noticeShown('Brought up to date with your other tab.'));
  };
}

/** Looks whether storage has moved on, for tabs that cannot be told. */
export function pollStorage(): Thunk<Promise<void>> {
  return async (dispatch, getState, { db }) => {
    const open = getState().open;
    if (!open || open.look || open.save.kind !== 'saved') return;
    try {
      const row = await dbRequest(db(), (all) => all.gardens.get(open.id));
      if (getState().open === open) await dispatch(onRemoteSave(open.id, row?.revision));
    } catch {
      // The next save says what is wrong.
    }
  };
}
