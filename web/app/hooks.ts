import { catalogOf } from '../../core/catalog/own';
import type { Catalog } from '../../core/catalog/catalog';
import { createContext, useCallback, useContext } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { Preferences } from '../../core/base/amount';
import type { Garden } from '../../core/garden/garden';
import type { Result } from '../../core/base/result';
import type { Change, Command } from '../../core/commands/change';
import type { AppState } from './state';
import { type AppStore, run } from './store';

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

/** Order of dates, first day of the week and clock of the open garden: as its country's shops have it. */
export function useLocale(): 'en-US' | 'en-GB' {
  return useOf((g) => g.units.stock) === 'imperial' ? 'en-US' : 'en-GB';
}

/** The catalogue of the open garden. */
export function useCatalog(): Catalog {
  const own = useOf((g) => g.catalog);
  const market = useOf((g) => g.units.stock);
  return catalogOf(own, market);
}

/** Carries commands out on the open garden; gives what each came to, or the faults that kept it from being done. */
export function useRun(): <T extends Change>(command: Command<T>) => Result<T> {
  const dispatch = useAppDispatch();
  return useCallback((command) => dispatch(run(command)), [dispatch]);
}
