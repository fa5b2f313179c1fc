/** A new cover that holds on its bed: its usual answers, and the fewest changes to them that leave no check failing. */
import type { Assessment } from '../assessment';
import { beamSearch } from '../base/search';
import { quickPrice } from '../cut';
import { familyOf } from '../cover/families';
import { buildSite } from '../garden/buildSite';
import { type Cover, type Garden, newWork } from '../garden/garden';
import { changeSpace } from './fixSpace';
import { assessCover, reassess } from '../plan';
import { whatIf } from './whatIf';

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
  return cheapestStanding(found?.best.s.outline ?? first.value).cover;
}

const holds = (o: Assessment): boolean => o.judged().checks.every((c) => c.verdict !== 'fails');

/** Of the ways that a cover may stand, the cheapest where all that it is asked holds; as it is where none of them does. */
function cheapestStanding(o: Assessment): Assessment {
  const { standsOn, answer } = familyOf(o.cover.family);
  if (!standsOn) return o;
  let best = o;
  for (const way of standsOn.ways) {
    if (way === o.cover.answers[standsOn.id]) continue;
    const made = whatIf(answer(o.cover.answers, standsOn.id, way, o), reassess(o));
    // Priced first: that is quicker than judging it.
    const dearer = made.ok && holds(best) && quickPrice(made.value) >= quickPrice(best);
    if (made.ok && !dearer && holds(made.value)) best = made.value;
  }
  return best;
}
