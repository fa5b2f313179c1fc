/** A new cover that holds on its bed: its usual answers, and the fewest changes to them that leave no check failing. */
import { familyOf } from './build/families';
import { buildSite } from './garden/buildSite';
import { type Cover, type Garden, newWork } from './garden/garden';
import { type Redo, failing, illness, triesOf } from './mending';
import type { Outline } from './outline';
import { outline } from './plan';

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
  const first = outline(garden, cover);
  if (!first.ok) return cover;
  let now = first.value;
  for (let change = 0; change < MOST_CHANGES && illness(now) >= 1; change++) {
    const next = bestChange(garden, now);
    if (!next) break;
    now = next;
  }
  return now.cover;
}

/** The change that leaves the design least ill; nothing where none makes it better. */
function bestChange(garden: Garden, o: Outline): Outline | undefined {
  const redo: Redo = (answers) => outline(garden, { ...o.cover, answers });
  let [best, least] = [undefined as Outline | undefined, illness(o) - 1e-6];
  for (const check of failing(o))
    for (const tried of triesOf(o, check, redo)) {
      const ill = illness(tried.outline);
      if (ill < least) [best, least] = [tried.outline, ill];
    }
  return best;
}
