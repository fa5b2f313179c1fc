/** A new cover that holds on its bed: its usual answers, and the fewest changes to them that leave no check failing. */
import { beamSearch } from '../base/search';
import { familyOf } from '../cover/families';
import { buildSite } from '../garden/buildSite';
import { type Cover, type Garden, newWork } from '../garden/garden';
import { changeSpace } from './fixSpace';
import { assessCover, reassess } from '../plan';

/** A cover of a family on a bed, with the family's first answers. */
export function firstCover(garden: Garden, bedId: string, key: string, id: string, name: string): Cover | undefined {
  const site = buildSite(garden, bedId);
  if (!site) return undefined;
  const answers = familyOf(key).defaults(site);
  return { id, name, bedId, family: key, answers, ...newWork() };
}

/** Changes made one after another before it is given up. */
const MOST_CHANGES = 6;

/**
 * A cover of a family on a bed, that holds there as far as its own changes can make it: one change after another of those that the
 * failing checks ask for, each the one that mends most, the cheaper to try first.
 * @returns undefined where there is no such bed; the usual answers where they cannot be built
 */
export function startingCover(
  garden: Garden,
  bedId: string,
  key: string,
  id: string,
  name: string,
  crop?: string,
): Cover | undefined {
  const usual = firstCover(garden, bedId, key, id, name);
  if (!usual) return undefined;
  const cover = crop === undefined ? usual : { ...usual, answers: { ...usual.answers, crop } };
  const first = assessCover(garden, cover);
  if (!first.ok) return cover;
  const space = changeSpace(
    reassess(first.value),
    (ill) => ill,
    () => 0,
  );
  const found = beamSearch(
    space,
    { changes: [], outline: first.value },
    { breadth: 1, rounds: MOST_CHANGES, enough: 1 },
  );
  return (found?.best.s.outline ?? first.value).cover;
}
