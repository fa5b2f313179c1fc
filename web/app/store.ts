import {
  type PayloadAction,
  type ThunkAction,
  type UnknownAction,
  configureStore,
  createSlice,
} from '@reduxjs/toolkit';
import { type Draft, applyPatches, enablePatches, produceWithPatches } from 'immer';
import { type Fault } from '../../core/base/result';
import { type Garden, checkEdit, checkGarden } from '../../core/garden/garden';
import { type Database, EDITS_KEPT, type Edit, type GardenRow, loadGarden, saveGarden } from './db';

enablePatches();

export type SaveState = 'saved' | 'saving' | 'failed';

export interface OpenGarden {
  readonly id: string;
  readonly doc: Garden;
  readonly edits: readonly Edit[];
  readonly at: number;
  readonly revision: number;
  readonly save: SaveState;
  /** Another tab's saved work, when it and this tab's both changed. */
  readonly conflict: GardenRow | null;
}

export interface AppState {
  readonly open: OpenGarden | null;
  readonly status: 'loading' | 'ready';
  readonly notice: string | null;
}

const start = { open: null, status: 'loading', notice: null } as AppState;

const slice = createSlice({
  name: 'app',
  initialState: start,
  reducers: {
    opened: (state, action: PayloadAction<OpenGarden | null>) => ({
      ...state,
      open: action.payload,
      status: 'ready' as const,
    }),
    worked: (state, action: PayloadAction<Pick<OpenGarden, 'doc' | 'edits' | 'at'>>) =>
      state.open ? { ...state, open: { ...state.open, ...action.payload, save: 'saving' as const } } : state,
    saved: (state, action: PayloadAction<{ id: string; revision: number; last: boolean }>) =>
      state.open?.id === action.payload.id
        ? {
            ...state,
            open: {
              ...state.open,
              revision: action.payload.revision,
              save: action.payload.last ? ('saved' as const) : ('saving' as const),
              conflict: null,
            },
          }
        : state,
    saveFailed: (state) => (state.open ? { ...state, open: { ...state.open, save: 'failed' as const } } : state),
    conflicted: (state, action: PayloadAction<GardenRow>) =>
      state.open ? { ...state, open: { ...state.open, conflict: action.payload } } : state,
    said: (state, action: PayloadAction<string | null>) => ({ ...state, notice: action.payload }),
  },
});

export const { said } = slice.actions;
const { opened, worked, saved, saveFailed, conflicted } = slice.actions;

/** What the store needs from the world; tests give their own. */
export interface World {
  readonly db: Database;
  readonly now: () => number;
  /** Tells other tabs that a garden was saved. */
  readonly announce: (id: string, revision: number) => void;
}

export function createStore(world: World) {
  return configureStore({
    reducer: slice.reducer,
    middleware: (defaults) =>
      defaults({ thunk: { extraArgument: world }, immutableCheck: false, serializableCheck: false }),
  });
}

export type AppStore = ReturnType<typeof createStore>;
type Thunk<R> = ThunkAction<R, AppState, World, UnknownAction>;

let queue: Promise<void> = Promise.resolve();
/** Ends when every save asked for until now is done. */
export const allSaved = (): Promise<void> => queue;

/** Saves the open garden as it is now; saves wait for one another so that none is lost or out of order. */
function save(force = false): Thunk<Promise<void>> {
  return (dispatch, getState, world) => {
    queue = queue.then(async () => {
      // The screen is redrawn first; the save follows at once.
      await new Promise((after) => setTimeout(after));
      const open = getState().open;
      if (!open || (open.conflict && !force)) return;
      try {
        const answer = await saveGarden(
          world.db,
          { id: open.id, name: open.doc.name, doc: open.doc, revision: open.revision, at: open.at },
          open.edits,
          force,
          world.now(),
        );
        if (answer.kind === 'conflict') {
          dispatch(conflicted(answer.row));
          return;
        }
        dispatch(saved({ id: open.id, revision: answer.revision, last: getState().open?.doc === open.doc }));
        world.announce(open.id, answer.revision);
      } catch {
        dispatch(saveFailed());
      }
    });
    return queue;
  };
}

/**
 * Makes one change to the open garden: what it touches is checked, undoable, saved at once.
 * @returns the faults that kept it from being made; empty when it was made
 */
export function edit(label: string, recipe: (garden: Draft<Garden>) => void): Thunk<readonly Fault[]> {
  return (dispatch, getState) => {
    const open = getState().open;
    if (!open) return [{ field: 'garden', message: 'Open a garden first.' }];
    const [doc, patches, inverse] = produceWithPatches(open.doc, (draft: Draft<Garden>) => void recipe(draft));
    if (patches.length === 0) return [];
    const faults = checkEdit(open.doc, doc);
    if (faults.length > 0) return faults;
    const edits = [...open.edits.slice(0, open.at), { label, patches, inverse }].slice(-EDITS_KEPT);
    dispatch(worked({ doc, edits, at: edits.length }));
    void dispatch(save());
    return [];
  };
}

function step(direction: 'undo' | 'redo'): Thunk<void> {
  return (dispatch, getState) => {
    const open = getState().open;
    const done = direction === 'undo' ? open?.edits[open.at - 1] : open?.edits[open.at];
    if (!open || !done) return;
    const doc = applyPatches(open.doc, direction === 'undo' ? [...done.inverse] : [...done.patches]);
    dispatch(worked({ doc, edits: open.edits, at: open.at + (direction === 'undo' ? -1 : 1) }));
    void dispatch(save());
  };
}

export const undo = (): Thunk<void> => step('undo');
export const redo = (): Thunk<void> => step('redo');

/** Puts a new garden in storage and opens it. */
export function addGarden(id: string, doc: Garden): Thunk<Promise<void>> {
  return async (dispatch) => {
    dispatch(opened({ id, doc, edits: [], at: 0, revision: 0, save: 'saving', conflict: null }));
    await dispatch(save());
  };
}

/** Opens a stored garden; false when there is none of that id. */
export function openStored(id: string): Thunk<Promise<boolean>> {
  return async (dispatch, _getState, world) => {
    const stored = await loadGarden(world.db, id);
    if (!stored) {
      dispatch(opened(null));
      return false;
    }
    // A garden from an older program is checked before it is shown, as a file would be.
    const read = checkGarden(stored.row.doc);
    if (!read.ok) {
      dispatch(opened(null));
      dispatch(said(`The stored garden “${stored.row.name}” cannot be read: ${read.faults[0]?.field ?? ''}`));
      return false;
    }
    const { row, edits } = stored;
    dispatch(opened({ id, doc: read.value, edits, at: row.at, revision: row.revision, save: 'saved', conflict: null }));
    return true;
  };
}

export function closeGarden(): UnknownAction {
  return opened(null);
}

/** Another tab has saved this garden: follow it when nothing here is unsaved; otherwise the next save finds the conflict. */
export function heardSave(id: string, revision: number): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    const open = getState().open;
    if (!open || open.id !== id || open.revision >= revision || open.save !== 'saved') return;
    await dispatch(openStored(id));
    dispatch(said('Brought up to date with your other tab.'));
  };
}

/** Settles a conflict as the gardener chose. */
export function settle(choice: 'mine' | 'theirs'): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    const open = getState().open;
    if (!open) return;
    if (choice === 'mine') await dispatch(save(true));
    else await dispatch(openStored(open.id));
  };
}
