/** Changes that mend what fails, each tried on the design itself. */
import type { Result } from './base/result';
import type { Phrase } from './base/figure';
import type { Answers } from './build/answers/asked';
import { familyOf } from './build/families';
import { quickPrice } from './cut';
import type { Check } from './judge/proof/check';
import type { Outline } from './outline';

/** A mend that works: the changed answers, what it costs and which check it is for. */
export interface Mend {
  readonly checkId: string;
  readonly label: Phrase;
  readonly cost: number;
  readonly answers: Answers;
}

const MENDS_PER_CHECK = 3;

/** For every check that fails or is tight, the changes that make it hold or at least no longer fail, cheapest first. @param redo works the design out with other answers */
export function findMends(o: Outline, redo: (answers: Answers) => Result<Outline>): readonly Mend[] {
  const now = quickPrice(o);
  return o.checks.filter((check) => check.verdict !== 'holds').flatMap((check) => mendsOf(o, check, now, redo));
}

function mendsOf(
  o: Outline,
  check: Check,
  priceNow: number,
  redo: (answers: Answers) => Result<Outline>,
): readonly Mend[] {
  const working: Mend[] = [];
  const kinds = new Set<string>();
  for (const { label, change } of check.tries) {
    // Tries of one kind run from small to large: the first that works is the least that does.
    const kind = change.kind === 'answer' ? `answer ${change.id}` : change.kind;
    if (kinds.has(kind)) continue;
    const answers = familyOf(o.cover.family).change(o.cover.answers, change, o);
    if (!answers) continue;
    const changed = redo(answers);
    if (!changed.ok || !asSaid(change, changed.value) || !betters(check, o.checks, changed.value.checks)) continue;
    kinds.add(kind);
    working.push({ checkId: check.id, label, cost: quickPrice(changed.value) - priceNow, answers });
  }
  return working.sort((a, b) => a.cost - b.cost).slice(0, MENDS_PER_CHECK);
}

/** Whether as many were built as the change asks for: joints of a sheet may want more of them than that. */
function asSaid(change: Check['tries'][number]['change'], { assembly: { beams, spans } }: Outline): boolean {
  if (change.kind !== 'answer') return true;
  const asked = [...beams, ...spans].find((x) => x.asked?.id === change.id)?.asked;
  return asked === undefined || asked.now === change.value;
}

/** Whether a change helps the check it is for and makes no other fail. */
function betters(check: Check, before: readonly Check[], after: readonly Check[]): boolean {
  const now = after.find((c) => c.id === check.id);
  const helps = now === undefined || (check.verdict === 'fails' ? now.verdict !== 'fails' : now.verdict === 'holds');
  const failed = new Set(before.filter((c) => c.verdict === 'fails').map((c) => c.id));
  return helps && !after.some((c) => c.verdict === 'fails' && !failed.has(c.id));
}
