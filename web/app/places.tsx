/** The places, each fetched when it is first gone to, or as soon as it is known that it will be. */
import { type LazyPart, lazyPart } from './fresh';
import { Waiting } from './Waiting';

const waiting = <Waiting />;
export const Plot = lazyPart(() => import('../places/plot/Plot').then((m) => m.Plot), waiting);
export const BedPlace = lazyPart(() => import('../places/bed/BedPlace').then((m) => m.BedPlace), waiting);
export const Bench = lazyPart(() => import('../places/bench/Bench').then((m) => m.Bench), waiting);
export const Saw = lazyPart(() => import('../places/saw/Saw').then((m) => m.Saw), waiting);
export const Cart = lazyPart(() => import('../places/cart/Cart').then((m) => m.Cart), waiting);
export const Choose = lazyPart(() => import('../places/choose/Choose').then((m) => m.Choose), waiting);
export const Build = lazyPart(() => import('../places/build/Build').then((m) => m.Build), waiting);
export const Together = lazyPart(() => import('../places/together/Together').then((m) => m.Together), waiting);
export const Book = lazyPart(() => import('../places/book/Book').then((m) => m.Book), waiting);
export const Shelf = lazyPart(() => import('../places/shelf/Shelf').then((m) => m.Shelf), waiting);
export const Settings = lazyPart(() => import('../places/settings/Settings').then((m) => m.Settings), waiting);
export const Take = lazyPart(() => import('../places/take/Take').then((m) => m.Take), waiting);
export const SideBySide = lazyPart(() => import('../places/sideBySide/SideBySide').then((m) => m.SideBySide), waiting);
export const Paper = lazyPart(() => import('../places/paper/Paper').then((m) => m.Paper), waiting);

/** What an address is drawn with, by its first step, or by its third within a garden. */
const BY_STEP: Readonly<Record<string, LazyPart<object>>> = {
  demo: Bench,
  take: Take,
  settings: Settings,
  plot: Plot,
  bed: BedPlace,
  choose: Choose,
  bench: Bench,
  saw: Saw,
  cart: Cart,
  build: Build,
  together: Together,
  book: Book,
  shelf: Shelf,
  versions: SideBySide,
  paper: Paper,
};

/** Fetches what an address needs. */
export function fetchAhead(pathname: string): void {
  const [first = '', , place = ''] = pathname.split('/').slice(1);
  // What does not come is told where it is gone to.
  BY_STEP[first === 'g' ? place : first]?.ahead().catch(() => undefined);
}
