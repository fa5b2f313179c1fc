/** Changes that a check asks for, tried on the design itself: what mends and new covers are made of. */
import type { Phrase } from '../base/figure';
import type { Space, Score } from '../base/search';
import type { AnswerChange } from '../cover/answers/parameter';
import { familyOf } from '../cover/families/registry';
import type { Check } from '../judge/strength/check';
import type { Assessment } from '../assessment';
import type { Reassess, Tried } from './whatIf';

/** One change, and the design with it. */
export interface TriedChange extends Tried {
  readonly label: Phrase;
  readonly change: AnswerChange;
}

/** What a change is one of: of its kind the next is larger. */
export const changeKind = (change: AnswerChange): string =>
  change.kind === 'answer' ? `answer ${change.id}` : change.kind;

/**
 * What the tries of a check lead to: of one kind, from small to large, no further than what is enough.
 * @param enough whether a design will do; when not said, one in which the check does not fail
 */
export function tryChanges(
  o: Assessment,
  { id, tries }: Pick<Check, 'tries'> & Partial<Pick<Check, 'id'>>,
  redo: Reassess,
  enough = (tried: TriedChange): boolean => !failingChecks(tried.outline).some((c) => c.id === id),
): readonly TriedChange[] {
  const done = new Set<string>();
  return tries.flatMap(({ label, change }): TriedChange[] => {
    const kind = changeKind(change);
    if (done.has(kind)) return [];
    const answers = familyOf(o.cover.family).change(o.cover.answers, change, o);
    // Answered so already.
    if (JSON.stringify(answers) === JSON.stringify(o.cover.answers)) return [];
    const outline = answers && redo(answers);
    if (!outline?.ok) return [];
    const tried = { label, change, outline: outline.value };
    if (enough(tried)) done.add(kind);
    return [tried];
  });
}

export const failingChecks = (o: Assessment): readonly Check[] =>
  o.judged().checks.filter((c) => c.verdict === 'fails');

/** How ill a design is: its failing checks, and of what carries snow how much is missing. */
export function violation(o: Assessment): number {
  const missing = Math.max(0, 1 - Math.min(1, ...o.judged().strengths.map((s) => s.ratio)));
  return failingChecks(o).length + missing;
}

/** Changes made one after the other, and the design that they lead to. */
export interface ChangeSet extends Tried {
  readonly changes: readonly Pick<TriedChange, 'label' | 'change'>[];
}

/** How far a design is from one that nothing fails in. */
interface ViolationScore extends Score {
  readonly ill: number;
}

/**
 * Designs by what their failing checks ask for: what new covers and sets of mends are searched in. The same questions answered are
 * the same design, in whatever order they were changed.
 * @param miss how much is missed by so ill a design, in which something fails
 * @param priceOf a design's price, as quickly as may be; nought where it is no matter
 */
export const changeSpace = (
  redo: Reassess,
  miss: (ill: number) => number,
  priceOf: (o: Assessment) => number,
): Pick<Space<ChangeSet, ViolationScore>, 'keyOf' | 'movesOf' | 'judge'> => ({
  keyOf: ({ outline }) => JSON.stringify(outline.cover.answers),
  movesOf: ({ changes, outline }) =>
    failingChecks(outline).flatMap((check) =>
      tryChanges(outline, { ...check, tries: check.tries.filter((t) => !t.instead) }, redo).map(
        ({ label, change, outline: changed }) => ({
          // A change of a kind takes the place of an earlier one of it.
          changes: [...changes.filter((c) => changeKind(c.change) !== changeKind(change)), { label, change }],
          outline: changed,
        }),
      ),
    ),
  judge: ({ outline }) => {
    const ill = violation(outline);
    let price: number | undefined;
    return {
      ill,
      violation: failingChecks(outline).length === 0 ? 0 : miss(ill),
      warnings: 0,
      // Most are left behind for what they fail in: only what goes on is priced, and once.
      get price() {
        return (price ??= priceOf(outline));
      },
    };
  },
});
