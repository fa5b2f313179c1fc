/** Sets of changes after which nothing of a cover fails, the cheapest first. */
import type { Phrase } from '../base/figure';
import { beamSearch, enumerateFeasible } from '../base/search';
import { quickPrice } from '../cut';
import { type ChangeSet, type TriedChange, changeSpace, failingChecks, changeKind, tryChanges } from './fixSpace';
import type { Assessment } from '../assessment';
import type { Reassess } from './whatIf';

/** Most changes in one set, most designs kept from one round to the next, most sets offered. */
const MOST_CHANGES = 5;
const BREADTH = 4;
const MOST_SETS = 3;
/** Most designs that are worked out for one cover; and so many or fewer are gone through whole. */
const MOST_TRIES = 250;
const FEW = 100;

/** Sets of changes, and whether everything that checks ask for was gone through: then none of that is cheaper than the first. */
interface SetsFound {
  readonly sets: readonly ChangeSet[];
  readonly proven: boolean;
}

/**
 * Looks for sets of changes that leave no check failing: all that the failing checks ask for, and those of the designs that this leads to, where
 * that is little; else round by round, the least ill and cheapest designs going on to the next (a beam search). What a set does not need
 * is left out of it.
 * @param priceOf a design's price: proven, where the cheapest is to be
 * @returns the cheapest first; none where nothing fails, or where nothing that was tried makes it hold
 */
export function changeSets(o: Assessment, redo: Reassess, priceOf: (o: Assessment) => number): SetsFound {
  if (failingChecks(o).length === 0) return { sets: [], proven: true };
  const known = new Map<string, ReturnType<Reassess>>();
  const once: Reassess = (answers) => {
    const key = JSON.stringify(answers);
    const made = known.get(key) ?? redo(answers);
    known.set(key, made);
    return made;
  };
  const space = changeSpace(once, Math.ceil, quickPrice);
  const start: ChangeSet = { changes: [], outline: o };
  const all = enumerateFeasible(space, start, FEW);
  const found =
    all ??
    beamSearch(space, start, {
      breadth: BREADTH,
      rounds: MOST_CHANGES,
      most: MOST_TRIES,
      enough: MOST_SETS,
      leadsOn: (from, to) => to.ill < from.ill,
    })?.whole ??
    [];
  const least = new Map(found.map(({ s }) => leastOf(o, s, once)).map((set) => [space.keyOf(set), set]));
  return { sets: cheapest([...least.values()], priceOf), proven: all !== undefined };
}

/** The cheapest of some sets. */
function cheapest(least: readonly ChangeSet[], priceOf: (o: Assessment) => number): readonly ChangeSet[] {
  const priced = least
    .map((set) => ({ set, price: priceOf(set.outline) }))
    .filter((w) => Number.isFinite(w.price))
    .sort((a, b) => a.price - b.price)
    .map((w) => w.set);
  // Of those that change the same things only the cheapest.
  return priced
    .filter((set, i) => priced.findIndex((other) => kindsOf(other) === kindsOf(set)) === i)
    .slice(0, MOST_SETS);
}

const kindsOf = (set: ChangeSet): string =>
  set.changes
    .map((c) => changeKind(c.change))
    .sort()
    .join();

/** A set without the changes that it holds without. */
function leastOf(o: Assessment, set: ChangeSet, redo: Reassess): ChangeSet {
  for (const left of set.changes) {
    if (set.changes.length < 2) return set;
    const changes = set.changes.filter((c) => c !== left);
    const without = after(o, changes, redo);
    if (without && failingChecks(without).length === 0) return leastOf(o, { changes, outline: without }, redo);
  }
  return set;
}

/** A design after changes, one after the other; nothing where one of them cannot be made. */
function after(o: Assessment, changes: ChangeSet['changes'], redo: Reassess): Assessment | undefined {
  let now: Assessment | undefined = o;
  for (const { change } of changes) {
    const tried: TriedChange | undefined =
      now && tryChanges(now, { tries: [{ label: [], change }] }, redo, () => true)[0];
    now = tried?.outline;
  }
  return now;
}

/** What a set is called: its changes, one after the other. */
export const nameOf = (set: ChangeSet): Phrase =>
  set.changes.flatMap(({ label }, i) => [
    ...(i === 0 ? [] : [i === set.changes.length - 1 ? ' and ' : ', ']),
    ...label.map((part) => (i > 0 && typeof part === 'string' ? lowered(part) : part)),
  ]);
const lowered = (text: string): string =>
  /^([A-Z][a-z]|A )/.test(text) ? text[0]?.toLowerCase() + text.slice(1) : text;
