/**
 * What goes wrong with covers, each caught before any wood is cut. A pitfall speaks only where a design would suffer it.
 * Others of the trade's list have checks of their own: snow, bend, push on rails, sleeves, width of the sheet, crop, lifts, wind.
 */
import type { Assembly } from '../../cover/assembly/types';
import type { Check, CheckSite } from './check';
import { animals, cooks, latchedOpener, pollination, screenArm } from './pitfalls/air';
import { facing, intoWind, tallEnd } from './pitfalls/facing';
import {
  bulge,
  coldBend,
  crowded,
  fits,
  head,
  noWayIn,
  rot,
  sits,
  unheld,
  wallInBed,
  wholeBar,
} from './pitfalls/frame';
import type { Pitfall } from './pitfalls/pitfall';
import {
  bareGlass,
  barePvc,
  hugeSheet,
  noUv,
  sail,
  staples,
  tooLargeSheet,
  unweighted,
  wear,
  whiteFilm,
} from './pitfalls/skin';

const ALL: readonly Pitfall[] = [
  fits,
  wholeBar,
  bulge,
  coldBend,
  sail,
  wear,
  staples,
  unweighted,
  unheld,
  bareGlass,
  barePvc,
  noUv,
  whiteFilm,
  rot,
  hugeSheet,
  cooks,
  animals,
  noWayIn,
  wallInBed,
  pollination,
  screenArm,
  latchedOpener,
  facing,
  intoWind,
  tallEnd,
  sits,
  crowded,
  head,
  tooLargeSheet,
];

/** Every pitfall that this design would fall into. */
export function pitfalls(a: Assembly, site: CheckSite): readonly Check[] {
  return ALL.flatMap((p) => p(a, site) ?? []);
}
