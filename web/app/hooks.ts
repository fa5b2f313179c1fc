import { catalogOf } from '../../core/catalog/own';
import type { Catalog } from '../../core/catalog/catalog';
import { createContext, useCallback, useContext } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { Draft } from 'immer';
import type { Preferences } from '../../core/base/amount';
import type { Cover, Garden } from '../../core/garden/garden';
import { type Fault, type Result, failAll, ok } from '../../core/base/result';
import type { AppState } from './state';
import { type AppStore, edit } from './store';

export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useApp = useSelector.withTypes<AppState>();

/** The open garden; places are only shown when there is one. */
export function useGarden(): Garden {
  return useOf((garden) => garden);
}

/** Something of the open garden: drawn again only when that changes. */
export function useOf<T>(pick: (garden: Garden) => T): T {
  return useApp((s) => {
    if (!s.open) throw new Error('A place was shown with no garden open');
    return pick(s.open.doc);
  });
}

/** Units for what is drawn of a garden that is not open, as on the first page. */
export const ShownUnits = createContext<Preferences | undefined>(undefined);

/** The units to show things in: the open garden's own. */
export function useUnits(): Preferences {
  const shown = useContext(ShownUnits);
  const own = useApp((s) => s.open?.doc.units);
  const units = shown ?? own;
  if (!units) throw new Error('Units were asked for with no garden open');
  return units;
}

/** The catalogue of the open garden. */
export function useCatalog(): Catalog {
  const own = useOf((g) => g.catalog);
  const market = useOf((g) => g.units.stock);
  return catalogOf(own, market);
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
