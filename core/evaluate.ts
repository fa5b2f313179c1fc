/** One cover of a garden, worked out once: asked again, it is done again only as far as what it is made of has changed. */
import type { AssessedParts, Assessment } from './assessment';
import { memoizeByIdentity } from './base/memoize';
import { type Result, ok } from './base/result';
import type { Cover, Garden } from './garden/garden';
import { cachedLayout } from './layout';
import { assessParts } from './plan';

// Without the garden, which would hold the covers of every step before.
const assessments = memoizeByIdentity<AssessedParts>();
const current = memoizeByIdentity<Result<Assessment>>();

/**
 * A cover assessed as `assessCover` does, remembered by what it is made of.
 * @returns the assessment, or the fault that names the field
 * @example evaluate(demoGarden(), demoGarden().covers[1]).value.assembly.arches[0].tags.length // 4
 */
export function evaluate(garden: Garden, cover: Cover): Result<Assessment> {
  const laid = cachedLayout(garden, cover);
  if (!laid.ok) return laid;
  // One layout has one assembly: it is laid out anew for whatever it is judged by.
  const assessed = assessments(laid.value.assembly, [], () => assessParts(laid.value));
  return current(cover, [garden, assessed], () => ok({ ...assessed, garden, cover }));
}
