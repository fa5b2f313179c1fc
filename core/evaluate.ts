/** One cover of a garden, worked out once: asked again, it is done again only as far as what it is made of has changed. */
import type { Assessment } from './assessment';
import { memoizeByIdentity } from './base/memoize';
import { type Result, ok } from './base/result';
import type { Cover, Garden } from './garden/garden';
import { cachedLayout } from './layout';
import { assess } from './plan';

const outlines = memoizeByIdentity<Assessment>();
const current = memoizeByIdentity<Result<Assessment>>();

/**
 * The outline of a cover, as `outline` works it out, remembered by what it is made of.
 * @returns the same as `outline`: the outline, or the fault that names the field
 * @example evaluate(demoGarden(), demoGarden().covers[1]).value.assembly.arches[0].tags.length // 4
 */
export function evaluate(garden: Garden, cover: Cover): Result<Assessment> {
  const laid = cachedLayout(garden, cover);
  if (!laid.ok) return laid;
  // One layout has one assembly: it is laid out anew for whatever it is judged by.
  const judged = outlines(laid.value.assembly, [], () => assess(laid.value));
  return current(cover, [garden, judged], () => ok(carrying(judged, garden, cover)));
}

/** The same outline with the garden and the cover of now; what it is judged to be is still worked out when it is first asked for. */
const carrying = (o: Assessment, garden: Garden, cover: Cover): Assessment =>
  Object.defineProperties(
    {},
    { ...Object.getOwnPropertyDescriptors(o), ...Object.getOwnPropertyDescriptors({ garden, cover }) },
  ) as Assessment;
