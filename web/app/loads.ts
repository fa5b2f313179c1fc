import { lastOpen } from '../storage/browser';

/** What each address is drawn with, as it is fetched: known before anything else of the program is. */
export const LOADS = {
  gardens: () => import('../places/gardens/Gardens').then((m) => m.Gardens),
  settings: () => import('../places/settings/Settings').then((m) => m.Settings),
  take: () => import('../places/take/Take').then((m) => m.Take),
  plot: () => import('../places/plot/Plot').then((m) => m.Plot),
  bed: () => import('../places/bed/BedPlace').then((m) => m.BedPlace),
  choose: () => import('../places/choose/Choose').then((m) => m.Choose),
  bench: () => import('../places/bench/Bench').then((m) => m.Bench),
  saw: () => import('../places/saw/Saw').then((m) => m.Saw),
  cart: () => import('../places/cart/Cart').then((m) => m.Cart),
  book: () => import('../places/book/Book').then((m) => m.Book),
  shelf: () => import('../places/shelf/Shelf').then((m) => m.Shelf),
  versions: () => import('../places/sideBySide/SideBySide').then((m) => m.SideBySide),
  together: () => import('../places/together/Together').then((m) => m.MergeScreen),
  build: () => import('../places/build/Build').then((m) => m.Build),
  paper: () => import('../places/paper/Paper').then((m) => m.Paper),
};
export type PlaceKey = keyof typeof LOADS;

const isPlace = (step: string | undefined): step is PlaceKey => step !== undefined && Object.hasOwn(LOADS, step);

/** The place of an address, where it has one of its own; the demo opens at its bench. */
export function placeAt(pathname: string): PlaceKey | undefined {
  const [first = '', , step] = pathname.split('/').slice(1);
  if (first === 'g') return isPlace(step) ? step : undefined;
  if (first === '') return lastOpen() === null ? 'gardens' : undefined;
  return first === 'demo' ? 'bench' : isPlace(first) ? first : undefined;
}

/** The demo garden, made afresh. */
export const demoOf = () => import('../../core/garden/demo').then((m) => m.demoGarden());
