import { useCallback } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { Draft } from 'immer';
import type { Preferences } from '../../core/units/amount';
import type { Cover, Garden } from '../../core/files/garden';
import { type Fault, type Result, failAll, ok } from '../../core/result';
import { type AppState, type AppStore, edit } from './store';

export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useApp = useSelector.withTypes<AppState>();

/** The open garden; places are only shown when there is one. */
export function useGarden(): Garden {
  const doc = useApp((s) => s.open?.doc);
  if (!doc) throw new Error('A place was shown with no garden open');
  return doc;
}

/** The open garden's own units. */
export function useUnits(): Preferences {
  return useGarden().units;
}

/** Makes one named change to the garden; gives the faults that kept it from being made. */
export function useEdit(): (label: string, recipe: (garden: Draft<Garden>) => void) => readonly Fault[] {
  const dispatch = useAppDispatch();
  return useCallback((label, recipe) => dispatch(edit(label, recipe)), [dispatch]);
}

/** The same for a field that is typed: the faults are what keeps it from taking the value. */
export function useTake(): (label: string, recipe: (garden: Draft<Garden>) => void) => Result<true> {
  const change = useEdit();
  return useCallback(
    (label, recipe) => {
      const faults = change(label, recipe);
      return faults.length > 0 ? failAll(faults) : ok(true);
    },
    [change],
  );
}

/** Sets one cover's answers, checked by its family already. */
export function useSetAnswers(coverId: string): (label: string, answers: unknown) => readonly Fault[] {
  const change = useEdit();
  return useCallback(
    (label, answers) =>
      change(label, (garden) => {
        const cover = garden.covers.find((c) => c.id === coverId);
        if (cover) cover.answers = answers as Draft<Cover['answers']>;
      }),
    [change, coverId],
  );
}
