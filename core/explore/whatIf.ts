/** What if: a design with other answers, worked out and priced beside the one in hand. All that tries changes goes through here. */
import type { Assessment } from '../assessment';
import type { Result } from '../base/result';
import type { Answers } from '../cover/answers/parameter';
import { quickPrice } from '../cut';

/** Works a design out with other answers. */
export type Reassess = (answers: Answers) => Result<Assessment>;

/** A change that was tried: the design it leads to. */
export interface Tried {
  readonly outline: Assessment;
}

/** A design with other answers; the fault where they cannot be given, or nothing can be built of them. */
export const whatIf = (answers: Result<Answers>, redo: Reassess): Result<Assessment> =>
  answers.ok ? redo(answers.value) : answers;

/**
 * What was tried, with what it costs more than the design in hand; what cannot be cut from what is sold is left out.
 * @param priceOf what a design costs; by the quick cutting rule where it is not said
 */
export function pricedBeside<T extends Tried>(
  o: Assessment,
  tried: readonly T[],
  priceOf: (o: Assessment) => number = quickPrice,
): readonly (T & { readonly cost: number })[] {
  if (tried.length === 0) return [];
  const now = priceOf(o);
  return tried.map((t) => ({ ...t, cost: priceOf(t.outline) - now })).filter((t) => Number.isFinite(t.cost));
}
