/** Looking for the cheapest thing that does what is asked, among things that differ by single changes. Deterministic by its seed. */

import { chance } from './noise';

/** How good a thing is: first what it misses of what is asked, then what it is warned of, then its price. */
export interface Score {
  /** How much of what is asked it misses; 0: nothing. */
  readonly violation: number;
  readonly warnings: number;
  readonly price: number;
}

/** What is looked through. */
export interface Space<S, J extends Score> {
  readonly keyOf: (s: S) => string;
  /** What tells one change from another: the same change adds about the same to any price. Every change is another where not said. */
  readonly changeOf?: (from: S, to: S) => string;
  /**
   * Things that differ from one by a single change, always in the same order.
   * @param wide all of them; else only those that may mend what it misses
   */
  readonly movesOf: (s: S, worth: J, wide: boolean) => readonly S[];
  /** Worth of a thing; undefined where it cannot be. */
  readonly judge: (s: S) => J | undefined;
  /**
   * A lower bound on the price, quicker than to judge; undefined where it cannot be. Where it is dearer than the best found, judging is
   * spared.
   */
  readonly bound?: (s: S) => number | undefined;
  /** Things that cannot do either, since this one misses: less of what never carries less. */
  readonly worse?: (s: S, worth: J) => readonly S[];
}

export interface ScoredItem<S, J> {
  readonly s: S;
  readonly worth: J;
}

/** Where a search stands. */
export interface SearchState<S, J> {
  readonly best: ScoredItem<S, J> | undefined;
  /** The cheapest, whatever it is warned of. */
  readonly cheapest: ScoredItem<S, J> | undefined;
  /** All that was judged, in that order. */
  readonly pool: readonly ScoredItem<S, J>[];
  /** Work done: one for each that was judged, half of one for each that was only priced. */
  readonly effort: number;
  /** Everything there is was judged or ruled out: the best is proven. */
  readonly whole: boolean;
  readonly phase: 'descent' | 'restart' | 'around' | 'pairs' | 'done';
}

interface SearchOptions {
  readonly seed: number;
  /** Things judged at the most; one that is only priced counts for half. */
  readonly most: number;
  /** Spaces of so many things or fewer are gone through whole. */
  readonly small?: number;
  readonly restarts?: number;
  /** Goes on from every start; else a further one is only for what the first ones have missed. */
  readonly every?: boolean;
}

/** A prices' rounding is no difference. */
const CENT = 1e-6;
/** Changes made blindly before a restart. */
const SHAKES = 3;

/** What is better of two that miss nothing: what is warned of less, or what is cheaper. */
type Order = 'sound' | 'cheap';

/** Whether one is better than another. */
export const better = (a: Score, b: Score, order: Order = 'sound'): boolean =>
  Math.abs(a.violation - b.violation) > 1e-9
    ? a.violation < b.violation
    : order === 'sound' && a.warnings !== b.warnings
      ? a.warnings < b.warnings
      : a.price < b.price - CENT;

/** The better first. */
const byWorth = (a: { readonly worth: Score }, b: { readonly worth: Score }): number =>
  better(a.worth, b.worth) ? -1 : better(b.worth, a.worth) ? 1 : 0;

/** Whatever is not cheaper than this is no better: while something is missed, or warned of where that counts, anything may be. */
const limitOf = ({ violation, warnings, price }: Score, order: Order): number =>
  violation === 0 && (order === 'cheap' || warnings === 0) ? price : Infinity;
/** A change that added more than this part of the price before is not priced again on the way: another way round it may be. */
const DEARER = 0.02;

/**
 * Everything that can be come to from some things, each once, the nearest first; yields after each.
 * @param most things at the most
 * @param onFrom what one leads to; nothing where it leads no further
 * @returns false where there is more than that
 */
function* breadthFirst<S>(
  queue: S[],
  keyOf: (s: S) => string,
  most: number,
  onFrom: (s: S) => readonly S[] | undefined,
): Generator<undefined, boolean> {
  const seen = new Set(queue.map(keyOf));
  for (let i = 0; i < queue.length; i++) {
    const on = onFrom(queue[i] as S) ?? [];
    yield;
    for (const next of on) {
      const key = keyOf(next);
      if (seen.has(key)) continue;
      if (queue.length >= most) return false;
      seen.add(key);
      queue.push(next);
    }
  }
  return true;
}

/**
 * Looks for the best of a space: a small one as a whole, a large one by descent from its starts, by restarts, and at last by what two
 * changes at once make of the best. Yields after everything that is judged, so that it can be stopped with the best so far.
 * @param starts in the order in which they are tried
 */
export function* search<S, J extends Score>(
  space: Space<S, J>,
  starts: Iterable<S>,
  { seed, most, small = 0, restarts = 5, every = false }: SearchOptions,
): Generator<SearchState<S, J>, SearchState<S, J>> {
  const known = new Map<string, ScoredItem<S, J> | undefined>();
  const ruledOut = new Set<string>();
  const pool: ScoredItem<S, J>[] = [];
  let best: ScoredItem<S, J> | undefined;
  let cheapest: ScoredItem<S, J> | undefined;
  /** Where a descent has stood. */
  const stood = { sound: new Set<ScoredItem<S, J>>(), cheap: new Set<ScoredItem<S, J>>() };
  /** What each change added to the price when it was last looked at. */
  const added = new Map<string, number>();
  let whole = false;
  /** Priced, and too dear to be judged: half the work. */
  let spared = 0;
  let phase: SearchState<S, J>['phase'] = 'descent';
  const effort = (): number => pool.length + spared / 2;
  const spent = (): boolean => effort() >= most;
  const state = (): SearchState<S, J> => ({ best, cheapest, pool, effort: effort(), whole, phase });
  // Gone through whole or one by one: a start is made once.
  const begun = small > 0 ? [...starts] : starts;

  /**
   * Judges a thing once; nothing where it cannot be, or cannot be better than a limit.
   * @param hear is told its price as soon as that is known
   */
  const judge = (
    s: S,
    limit = Infinity,
    hear: (price: number) => void = () => undefined,
  ): ScoredItem<S, J> | undefined => {
    const key = space.keyOf(s);
    if (known.has(key)) return known.get(key);
    if (ruledOut.has(key)) return undefined;
    if (Number.isFinite(limit)) {
      const bound = space.bound?.(s);
      if (bound === undefined && space.bound) return void known.set(key, undefined);
      if (bound !== undefined) hear(bound);
      if (bound !== undefined && bound >= limit - CENT) {
        // Not kept as judged: with a higher limit it is looked at again.
        spared++;
        return undefined;
      }
    }
    const worth = space.judge(s);
    const found = worth && { s, worth };
    known.set(key, found);
    if (!found) return undefined;
    pool.push(found);
    if (found.worth.violation > 0) for (const w of space.worse?.(s, found.worth) ?? []) ruledOut.add(space.keyOf(w));
    if (!best || better(found.worth, best.worth)) best = found;
    if (!cheapest || better(found.worth, cheapest.worth, 'cheap')) cheapest = found;
    return found;
  };

  /** Those of one change away that were judged, the better first. */
  const neighbours = ({ s, worth }: ScoredItem<S, J>): readonly ScoredItem<S, J>[] =>
    space
      .movesOf(s, worth, true)
      .flatMap((next) => known.get(space.keyOf(next)) ?? [])
      .sort(byWorth);

  /** Everything that changes lead to from the starts; false where that is too much. */
  function* everything(): Generator<SearchState<S, J>, boolean> {
    const walk = breadthFirst([...begun], space.keyOf, small, (s) => {
      const found = judge(s);
      return found && space.movesOf(s, found.worth, true);
    });
    for (;;) {
      const { done, value } = walk.next();
      if (done) return value;
      yield state();
    }
  }

  /**
   * From one to a better neighbour, and on, until a whole round finds none: each change is tried on what was found before it. Where a
   * way has led before it leads again, so none goes there.
   */
  function* descend(from: ScoredItem<S, J>, order: Order): Generator<SearchState<S, J>, void> {
    let now = from;
    stood[order].add(now);
    let wide = now.worth.violation === 0;
    let moves = space.movesOf(now.s, now.worth, wide);
    for (let [i, idle] = [0, 0]; !spent(); i++, idle++) {
      if (idle >= moves.length) {
        if (wide) break;
        // What is known to mend it did not: anything may.
        wide = true;
        moves = space.movesOf(now.s, now.worth, wide);
        idle = 0;
        if (moves.length === 0) break;
      }
      const s = moves[i % moves.length] as S;
      // What meets everything already is only left for something cheaper.
      const limit = limitOf(now.worth, order);
      const change = Number.isFinite(limit) ? space.changeOf?.(now.s, s) : undefined;
      if (change !== undefined && (added.get(change) ?? 0) > DEARER * limit) continue;
      const found = judge(s, limit, (price) => change !== undefined && added.set(change, price - limit));
      yield state();
      if (!found || stood[order].has(found)) continue;
      // While something is missed a better price leads nowhere.
      if (
        !(now.worth.violation > 0
          ? found.worth.violation < now.worth.violation - 1e-9
          : better(found.worth, now.worth, order))
      )
        continue;
      now = found;
      stood[order].add(now);
      wide = now.worth.violation === 0;
      moves = space.movesOf(now.s, now.worth, wide);
      // The same change again: what was better by one is often better still by two.
      i--;
      idle = -1;
    }
  }

  if (small > 0) {
    whole = yield* everything();
    if (whole) {
      phase = 'done';
      return state();
    }
  }
  for (const s of begun) {
    if (!every && best && (best as ScoredItem<S, J>).worth.violation === 0) break;
    phase = 'descent';
    const first = judge(s);
    yield state();
    if (!first) continue;
    yield* descend(first, 'cheap');
  }
  if (best && (best as ScoredItem<S, J>).worth.violation === 0) yield* descend(best, 'sound');
  phase = 'restart';
  for (let n = 0; n < restarts && best && !spent(); n++) {
    let at: ScoredItem<S, J> = (n % 2 === 0 ? cheapest : best) ?? best;
    // What is one change away, cheaper, and misses little: mended by another change it may be cheaper still.
    const near = neighbours(at).find(
      (j) => j.worth.violation > 0 && j.worth.price < at.worth.price - CENT && !stood.cheap.has(j),
    );
    if (near) {
      yield* descend(near, 'cheap');
      continue;
    }
    for (let k = 0; k < SHAKES; k++) {
      const moves = space.movesOf(at.s, at.worth, true);
      const s = moves[Math.floor(chance(seed, n, k) * moves.length)];
      const found = s === undefined || spent() ? undefined : judge(s);
      yield state();
      if (found) at = found;
    }
    yield* descend(at, n % 2 === 0 ? 'cheap' : 'sound');
  }
  // All that is one change away from the best, dearer or not: nothing among it is better, and others may like it.
  phase = 'around';
  for (const order of ['cheap', 'sound'] as const) {
    const top = (): ScoredItem<S, J> | undefined => (order === 'cheap' ? cheapest : best);
    for (let from = top(); from && !spent();) {
      for (const s of space.movesOf(from.s, from.worth, true)) {
        if (spent()) break;
        judge(s, order === 'cheap' ? limitOf(from.worth, order) : Infinity);
        yield state();
      }
      if (top() === from) break;
      from = top();
    }
  }
  phase = 'pairs';
  while (best && cheapest && !spent()) {
    const tops: readonly [ScoredItem<S, J>, Order][] = [
      [cheapest, 'cheap'],
      [best, 'sound'],
    ];
    const same = (): boolean => cheapest === tops[0]?.[0] && best === tops[1]?.[0];
    // Two changes at once, those first that each alone come nearest.
    for (const [top, order] of tops)
      for (const one of neighbours(top)) {
        if (!same() || spent()) break;
        for (const s of space.movesOf(one.s, one.worth, true)) {
          if (spent()) break;
          judge(s, limitOf(top.worth, order));
          yield state();
        }
      }
    if (same()) break;
    yield* descend(cheapest, 'cheap');
    yield* descend(best, 'sound');
  }
  phase = 'done';
  return state();
}

/**
 * All that single changes lead to from one thing and that misses nothing; what misses nothing leads no further.
 * @param most things looked at at the most
 * @returns undefined where there is more to look at than that: then nothing is proven
 */
export function enumerateFeasible<S, J extends Score>(
  space: Pick<Space<S, J>, 'keyOf' | 'movesOf' | 'judge'>,
  start: S,
  most: number,
): readonly ScoredItem<S, J>[] | undefined {
  const whole: ScoredItem<S, J>[] = [];
  const walk = breadthFirst([start], space.keyOf, most, (s) => {
    const worth = space.judge(s);
    if (worth?.violation === 0) whole.push({ s, worth });
    return worth && worth.violation > 0 ? space.movesOf(s, worth, false) : undefined;
  });
  for (;;) {
    const { done, value } = walk.next();
    if (done) return value ? whole : undefined;
  }
}

interface ClimbOptions<J> {
  /** Things that go on from one round to the next, and rounds at the most. */
  readonly breadth: number;
  readonly rounds: number;
  /** Things looked at at the most; and so many that miss nothing are enough. */
  readonly most?: number;
  readonly enough?: number;
  /** Whether a change leads on; it makes the thing better when not said. */
  readonly leadsOn?: (from: J, to: J) => boolean;
}

/**
 * From one thing the best of all that single changes make of it, and on from those, round after round (a beam search): where few changes
 * lead far, and which of them is asked for is known.
 * @returns all that was found to miss nothing, and the best of everything, the start among it; nothing where that cannot be
 */
export function beamSearch<S, J extends Score>(
  space: Pick<Space<S, J>, 'keyOf' | 'movesOf' | 'judge'>,
  start: S,
  { breadth, rounds, most = Infinity, enough = 1, leadsOn = (from, to) => better(to, from) }: ClimbOptions<J>,
): { readonly best: ScoredItem<S, J>; readonly whole: readonly ScoredItem<S, J>[] } | undefined {
  const first = space.judge(start);
  if (!first) return undefined;
  const whole: ScoredItem<S, J>[] = [];
  const seen = new Set([space.keyOf(start)]);
  let best: ScoredItem<S, J> = { s: start, worth: first };
  let [front, looked] = [[best], 0];
  for (let round = 0; first.violation > 0 && round < rounds && front.length > 0 && whole.length < enough; round++) {
    const next: ScoredItem<S, J>[] = [];
    for (const from of front) {
      if (looked > most) break;
      for (const s of space.movesOf(from.s, from.worth, false)) {
        looked++;
        const key = space.keyOf(s);
        const worth = seen.has(key) ? undefined : space.judge(s);
        if (!worth || !leadsOn(from.worth, worth)) continue;
        seen.add(key);
        (worth.violation === 0 ? whole : next).push({ s, worth });
      }
    }
    // What has no price cannot be made, and leads nowhere.
    front = next
      .filter((j) => Number.isFinite(j.worth.price))
      .sort(byWorth)
      .slice(0, breadth);
    for (const j of [...whole, ...front]) if (better(j.worth, best.worth)) best = j;
  }
  return { best, whole };
}

/**
 * Those that nothing else beats in everything: none other is at least as good in all figures and better in one.
 * @param figures of each, the smaller the better
 */
export function paretoFront<T>(all: readonly T[], figures: (x: T) => readonly number[]): readonly T[] {
  const of = all.map(figures);
  const beats = (a: readonly number[], b: readonly number[]): boolean =>
    a.every((x, i) => x <= (b[i] ?? 0) + 1e-9) && a.some((x, i) => x < (b[i] ?? 0) - 1e-9);
  return all.filter((_, i) => !of.some((other, j) => j !== i && beats(other, of[i] ?? [])));
}
