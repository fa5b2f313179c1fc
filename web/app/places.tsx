/** The places, each fetched when it is first gone to, or as soon as it is known that it will be. */
import { type LazyPart, lazyPart } from './fresh';
import { Waiting } from './Waiting';

const waiting = <Waiting />;
const Bench = lazyPart(() => import('../places/bench/Bench').then((m) => m.Bench), waiting);
export const Settings = lazyPart(() => import('../places/settings/Settings').then((m) => m.Settings), waiting);
export const Take = lazyPart(() => import('../places/take/Take').then((m) => m.Take), waiting);

/** A place of a garden: its address there, how it is called where it breaks, and what is drawn. */
interface Place {
  readonly path: string;
  readonly what: string;
  readonly Part: LazyPart<object>;
}

const of = (path: string, what: string, load: Parameters<typeof lazyPart<object>>[0]): Place => ({
  path,
  what,
  Part: lazyPart(load, waiting),
});

export const PLACES: readonly Place[] = [
  of('plot', 'The plot', () => import('../places/plot/Plot').then((m) => m.Plot)),
  of('bed/:bedId', 'The bed', () => import('../places/bed/BedPlace').then((m) => m.BedPlace)),
  of('choose/:bedId/:leaf?', 'The choice', () => import('../places/choose/Choose').then((m) => m.Choose)),
  { path: 'bench/:coverId/:leaf?', what: 'The bench', Part: Bench },
  of('saw/:coverId', 'The cut list', () => import('../places/saw/Saw').then((m) => m.Saw)),
  of('cart/:coverId', 'The cart', () => import('../places/cart/Cart').then((m) => m.Cart)),
  of('book/:leaf?', 'The day book', () => import('../places/book/Book').then((m) => m.Book)),
  of('shelf/:leaf?', 'The shelf', () => import('../places/shelf/Shelf').then((m) => m.Shelf)),
  { path: 'settings', what: 'The settings', Part: Settings },
  of('versions/:coverId', 'The versions', () => import('../places/sideBySide/SideBySide').then((m) => m.SideBySide)),
  of('together/:leaf', 'The covers together', () => import('../places/together/Together').then((m) => m.Together)),
  of('build/:coverId', 'The steps', () => import('../places/build/Build').then((m) => m.Build)),
  of('paper/:coverId', 'The paper', () => import('../places/paper/Paper').then((m) => m.Paper)),
];

/** What an address outside of a garden is drawn with. The demo opens at its bench. */
const OUTSIDE: Readonly<Record<string, LazyPart<object>>> = { demo: Bench, take: Take, settings: Settings };

/** Fetches what an address needs. */
export function fetchAhead(pathname: string): void {
  const [first = '', , step] = pathname.split('/').slice(1);
  const part = first === 'g' ? PLACES.find(({ path }) => path.split('/')[0] === step)?.Part : OUTSIDE[first];
  // What does not come is told where it is gone to.
  part?.ahead().catch(() => undefined);
}
