/** Two ways on from one garden brought together: what only one of them changed stands; what both changed differently is asked. */
import { type Result, failAll, ok } from '../base/result';
import { type FieldPath, type GardenChange, changesBetween, same, touch, withChanges } from './difference';
import { type Garden, checkGarden } from './garden';

/** One thing that both changed, and not to the same. */
interface Clash {
  readonly path: FieldPath;
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** What a clash is about when nothing finer can be told apart. */
export const WHOLE: FieldPath = [];

/** What two sets of changes made differently of the same thing. */
export function clashesOf(mine: readonly GardenChange[], theirs: readonly GardenChange[]): readonly Clash[] {
  return mine.flatMap((m) => {
    const t = theirs.find((x) => touch(m.path, x.path) && !(m.path.length === x.path.length && same(m.is, x.is)));
    return t ? [{ path: m.path.length <= t.path.length ? m.path : t.path, mine: m.is, theirs: t.is }] : [];
  });
}

/** Puts what lies between two values onto a third. */
export function carried<T>(onto: T, before: T, after: T, leave: readonly FieldPath[] = [], depth = Infinity): T {
  return withChanges(onto, changesBetween(before, after, depth), after, leave);
}

/** What a merge comes to: nothing to ask and a sound garden, or what both changed. */
export interface Merge {
  readonly clashes: readonly Clash[];
  /** No finer than so many steps; parts that do not go together finely are taken whole. */
  readonly depth: number;
}

/** From the finest to the whole garden: a field, a list's entry, all of it. */
const DEPTHS = [Infinity, 2, 0] as const;

/**
 * What must be asked before two ways on from one garden are brought together.
 * @param base what both began from
 */
export function mergeOf(base: Garden, mine: Garden, theirs: Garden): Merge {
  for (const depth of DEPTHS) {
    const clashes = clashesOf(changesBetween(base, mine, depth), changesBetween(base, theirs, depth));
    if (clashes.length > 0) {
      // Whatever is chosen of what clashes, the rest must go together.
      const goes = [[], clashes.map((c) => c.path)].every((leave) => merged(base, mine, theirs, leave, depth).ok);
      if (goes) return { clashes, depth };
    } else if (merged(base, mine, theirs, [], depth).ok) return { clashes, depth };
  }
  return { clashes: [{ path: WHOLE, mine, theirs }], depth: 0 };
}

function merged(
  base: Garden,
  mine: Garden,
  theirs: Garden,
  leave: readonly FieldPath[],
  depth: number,
): Result<Garden> {
  const read = checkGarden(carried(theirs, base, mine, leave, depth));
  return read.ok ? ok(read.value) : failAll(read.faults);
}
