/** What is done to the open garden: edits, and the way back and forth. */
import { configureStore } from '@reduxjs/toolkit';
import { type Fault, type Result, fail, failAll } from '../../core/base/result';
import type { Change, Command } from '../../core/commands/change';
import { type Step, type UndoHistory, nextTurn, turned, withEdit } from '../../core/garden/history';
import { jobsApi } from '../background/jobsApi';
import { EDITS_DROPPED, EDITS_KEPT, journal } from '../storage/db';
import { save } from './saving';
import { type OpenGarden, type Thunk, type World, gardenPatched, reducer, noticeShown } from './state';

export function createStore(world: World) {
  return configureStore({
    reducer,
    middleware: (defaults) =>
      defaults({ thunk: { extraArgument: world }, immutableCheck: false, serializableCheck: false }).concat(
        jobsApi.middleware,
      ),
  });
}

export type AppStore = ReturnType<typeof createStore>;
/** Steps of this page, whatever garden was open. */
let stepsMade = 0;

/** Takes one step: into the journal first, then on the screen, then into storage. */
function take(step: Step, open: OpenGarden, work: UndoHistory): Thunk<void> {
  return (dispatch, _getState, { db, tab, now }) => {
    const n = ++stepsMade;
    // What was deleted is not to come back with the next garden of that id.
    if (open.save.kind !== 'gone') journal(db(), { gardenId: open.id, tab, n, at: now(), step });
    const saving = open.save.kind === 'saved' ? ({ kind: 'saving' } as const) : open.save;
    dispatch(gardenPatched({ id: open.id, ...work, n, steps: [...open.steps, step], save: saving }));
    void dispatch(save());
  };
}

const LOOKED_AT: Fault = {
  field: 'garden',
  message: 'This garden is only looked at: it does not read as a whole. Make a copy to work on it.',
};

/**
 * Carries a command out on the open garden: undoable, saved at once.
 * @returns what it came to, or the faults that kept it from being done
 */
export function run<T extends Change>(command: Command<T>): Thunk<Result<T>> {
  return (dispatch, getState) => {
    const open = getState().open;
    if (!open) return fail('garden', 'Open a garden first.');
    if (open.look) {
      dispatch(noticeShown(LOOKED_AT.message));
      return failAll([LOOKED_AT]);
    }
    const made = command(open.doc);
    if (!made.ok || made.value.changes.length === 0) return made;
    const { label, garden: doc } = made.value;
    // In objects of their own: what is remembered by the parts of a garden (a whole laid-out cover) goes when they do.
    const changes = structuredClone(made.value.changes);
    const full = open.at >= EDITS_KEPT ? EDITS_DROPPED : 0;
    const room = { ...open, edits: open.edits.slice(full), at: open.at - full };
    dispatch(take({ kind: 'edit', label, changes }, open, withEdit(room, { label, changes }, doc)));
    return made;
  };
}

function turn(kind: 'undo' | 'redo'): Thunk<void> {
  return (dispatch, getState) => {
    const open = getState().open;
    const step = open && nextTurn(open, kind);
    const work = open && turned(open, kind);
    if (step && work) dispatch(take(step, open, work));
  };
}

export const undo = (): Thunk<void> => turn('undo');
export const redo = (): Thunk<void> => turn('redo');
