/** What is done to the open garden: edits, and the way back and forth. */
import { configureStore } from '@reduxjs/toolkit';
import { type Draft, produce } from 'immer';
import type { Fault } from '../../core/base/result';
import { changesBetween } from '../../core/garden/difference';
import { type Garden, checkEdit } from '../../core/garden/garden';
import { type Step, type UndoHistory, nextTurn, turned, withEdit } from '../../core/garden/history';
import { EDITS_DROPPED, EDITS_KEPT, journal } from '../storage/db';
import { save } from './saving';
import { type OpenGarden, type Thunk, type World, gardenPatched, reducer, noticeShown } from './state';

export function createStore(world: World) {
  return configureStore({
    reducer,
    middleware: (defaults) =>
      defaults({ thunk: { extraArgument: world }, immutableCheck: false, serializableCheck: false }),
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
 * Makes one change to the open garden: what it touches is checked, undoable, saved at once.
 * @returns the faults that kept it from being made; empty when it was made
 */
export function edit(label: string, recipe: (garden: Draft<Garden>) => void): Thunk<readonly Fault[]> {
  return (dispatch, getState) => {
    const open = getState().open;
    if (!open) return [{ field: 'garden', message: 'Open a garden first.' }];
    if (open.look) {
      dispatch(noticeShown(LOOKED_AT.message));
      return [LOOKED_AT];
    }
    const doc = produce(open.doc, (draft: Draft<Garden>) => void recipe(draft));
    // In objects of their own: what is remembered by the parts of a garden (a whole laid-out cover) goes when they do.
    const changes = structuredClone(changesBetween(open.doc, doc));
    if (changes.length === 0) return [];
    const faults = checkEdit(open.doc, doc);
    if (faults.length > 0) return faults;
    const full = open.at >= EDITS_KEPT ? EDITS_DROPPED : 0;
    const room = { ...open, edits: open.edits.slice(full), at: open.at - full };
    dispatch(take({ kind: 'edit', label, changes }, open, withEdit(room, { label, changes }, doc)));
    return [];
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
