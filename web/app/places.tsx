/** The places, each fetched when it is first gone to, or as soon as it is known that it will be. */
import { type LazyPart, lazyPart } from './appUpdate';
import { LOADS, type PlaceKey, placeAt } from './loads';
import { Waiting } from './Waiting';

const waiting = <Waiting />;

export const PARTS = Object.fromEntries(
  Object.entries(LOADS).map(([key, load]) => [key, lazyPart<object>(load, waiting)]),
) as Readonly<Record<PlaceKey, LazyPart<object>>>;

/** A place of a garden: its address there, and how it is called where it breaks. */
export const PLACES: readonly (readonly [PlaceKey, path: string, what: string])[] = [
  ['plot', 'plot', 'The plot'],
  ['bed', 'bed/:bedId', 'The bed'],
  ['choose', 'choose/:bedId/:leaf?', 'The choice'],
  ['bench', 'bench/:coverId/:leaf?', 'The bench'],
  ['saw', 'saw/:coverId', 'The cut list'],
  ['cart', 'cart/:coverId', 'The cart'],
  ['book', 'book/:leaf?', 'The day book'],
  ['shelf', 'shelf/:leaf?', 'The shelf'],
  ['settings', 'settings', 'The settings'],
  ['versions', 'versions/:coverId', 'The versions'],
  ['together', 'together/:leaf', 'The covers together'],
  ['build', 'build/:coverId', 'The steps'],
  ['paper', 'paper/:coverId', 'The paper'],
];

/** Fetches what an address needs. */
export function fetchAhead(pathname: string): void {
  const key = placeAt(pathname);
  // What does not come is told where it is gone to.
  if (key) PARTS[key].ahead().catch(() => undefined);
}
