/** What each option of a question would change: its price beside the present one, or why it cannot be. */
import { familyOf } from '../cover/families/registry';
import type { Assessment } from '../assessment';
import { reassess } from '../plan';
import { pricedBeside, whatIf } from './whatIf';

export interface OptionCost {
  readonly value: string;
  /** What it costs more than what is chosen, by the quick cutting rule; undefined where it cannot be built. */
  readonly cost: number | undefined;
  /** Why it cannot be built. */
  readonly not: string | undefined;
}

/**
 * Every option of a choice, tried on the design itself.
 * @param id the question; none of its options are known where the design does not ask it
 */
export function optionCosts(o: Assessment, id: string): readonly OptionCost[] {
  const family = familyOf(o.cover.family);
  const question = family.questions(o.cover.answers, o).find((q) => q.id === id);
  if (question?.kind !== 'choice') return [];
  const redo = reassess(o);
  return question.options.map(({ value }): OptionCost => {
    if (value === question.value) return { value, cost: 0, not: undefined };
    const tried = whatIf(family.answer(o.cover.answers, id, value, o), redo);
    if (!tried.ok) return { value, cost: undefined, not: tried.faults[0]?.message ?? 'It cannot be built.' };
    const [priced] = pricedBeside(o, [{ outline: tried.value }]);
    return { value, cost: priced?.cost, not: priced ? undefined : 'It cannot be cut from what is sold.' };
  });
}
