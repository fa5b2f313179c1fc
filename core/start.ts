/** A new cover that holds on its bed: its usual answers, and the fewest changes to them that leave no check failing. */
import { familyOf } from './build/families';
import type { Answers } from './build/answers/asked';
import { buildSite } from './garden/buildSite';
import { type Cover, type Garden, newWork } from './garden/garden';
import type { Check } from './judge/proof/check';
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

/** How ill a design is: its failing checks, and of what carries snow how much is missing. */
function illness(o: Outline): number {
  const failing = o.checks.filter((c) => c.verdict === 'fails');
  const missing = Math.max(0, 1 - Math.min(1, ...o.strengths.map((s) => s.ratio)));
  return failing.length + missing;
}

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
  let [best, least] = [undefined as Outline | undefined, illness(o) - 1e-6];
  for (const check of o.checks.filter((c) => c.verdict === 'fails'))
    for (const tried of tries(garden, o, check)) {
      const ill = illness(tried);
      if (ill < least) [best, least] = [tried, ill];
    }
  return best;
}

/** What the tries of a check lead to: of one kind, from small to large, no further than what mends it. */
function tries(garden: Garden, o: Outline, check: Check): readonly Outline[] {
  const done = new Set<string>();
  return check.tries.flatMap(({ change }): Outline[] => {
    const kind = change.kind === 'answer' ? `answer ${change.id}` : change.kind;
    if (done.has(kind)) return [];
    const answers: Answers | undefined = familyOf(o.cover.family).change(o.cover.answers, change, o);
    const tried = answers && outline(garden, { ...o.cover, answers });
    if (!tried?.ok) return [];
    if (tried.value.checks.find((c) => c.id === check.id)?.verdict !== 'fails') done.add(kind);
    return [tried.value];
  });
}
