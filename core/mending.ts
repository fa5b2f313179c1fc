/** Changes that a check asks for, tried on the design itself: what mends and new covers are made of. */
import type { Phrase } from './base/figure';
import type { Result } from './base/result';
import type { Answers, Change } from './build/answers/asked';
import { familyOf } from './build/families';
import type { Check } from './judge/proof/check';
import type { Outline } from './outline';

/** Works a design out with other answers. */
export type Redo = (answers: Answers) => Result<Outline>;

/** One change, and the design with it. */
export interface Tried {
  readonly label: Phrase;
  readonly change: Change;
  readonly outline: Outline;
}

/** What a change is one of: of its kind the next is larger. */
export const kindOf = (change: Change): string => (change.kind === 'answer' ? `answer ${change.id}` : change.kind);

/**
 * What the tries of a check lead to: of one kind, from small to large, no further than what is enough.
 * @param enough whether a design will do; when not said, one in which the check does not fail
 */
export function triesOf(
  o: Outline,
  check: Check,
  redo: Redo,
  enough = (tried: Tried): boolean => !failing(tried.outline).some((c) => c.id === check.id),
): readonly Tried[] {
  const done = new Set<string>();
  return check.tries.flatMap(({ label, change }): Tried[] => {
    const kind = kindOf(change);
    if (done.has(kind)) return [];
    const answers = familyOf(o.cover.family).change(o.cover.answers, change, o);
    const outline = answers && redo(answers);
    if (!outline?.ok) return [];
    const tried = { label, change, outline: outline.value };
    if (enough(tried)) done.add(kind);
    return [tried];
  });
}

export const failing = (o: Outline): readonly Check[] => o.checks.filter((c) => c.verdict === 'fails');

/** How ill a design is: its failing checks, and of what carries snow how much is missing. */
export function illness(o: Outline): number {
  const missing = Math.max(0, 1 - Math.min(1, ...o.strengths.map((s) => s.ratio)));
  return failing(o).length + missing;
}
