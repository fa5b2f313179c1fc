/** A cover on another bed: its answers follow as far as they fit. */
import { type Result, fail, failAll, ok } from '../base/result';
import type { Answers } from '../cover/answers/parameter';
import { familyOf } from '../cover/families/registry';
import { buildSite } from '../garden/buildSite';
import type { Cover, Garden } from '../garden/garden';

export interface Moved {
  readonly cover: Cover;
  /** What could not be as it was, by the words it is asked in. */
  readonly changed: readonly string[];
}

/**
 * A cover put on another bed. Where it cannot stand as it is, each answer is kept that still can be, beside the family's first ones there.
 * @returns a fault where no cover of the family can be built there
 * @example movedCover(demoGarden(), demoGarden().covers[1], 'wall').value.cover.bedId // "wall"
 */
export function movedCover(garden: Garden, cover: Cover, bedId: string): Result<Moved> {
  const site = buildSite(garden, bedId);
  if (!site) return fail('bedId', `there is no bed "${bedId}"`);
  const family = familyOf(cover.family);
  const stands = (answers: Answers): boolean =>
    family.schema.safeParse(answers).success && family.assemble(answers, site).ok;
  const kept = cover.kept && stands(cover.kept) ? cover.kept : null;
  const moved = (answers: Answers): Cover => ({ ...cover, bedId, answers, kept }) as Cover;
  if (stands(cover.answers)) return ok({ cover: moved(cover.answers), changed: [] });
  const first = family.defaults(site);
  const possible = family.assemble(first, site);
  if (!possible.ok) return failAll(possible.faults);
  let now = first;
  let left = Object.keys(first).filter((id) => !alike(first[id], cover.answers[id]));
  // Twice, as one answer may fit only beside another that came later.
  for (let round = 0; round < 2; round++)
    left = left.filter((id) => {
      const tried = { ...now, [id]: cover.answers[id] };
      if (!stands(tried)) return true;
      now = tried;
      return false;
    });
  return ok({ cover: moved(now), changed: left.map((id) => family.labelOf(id)) });
}

const alike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
