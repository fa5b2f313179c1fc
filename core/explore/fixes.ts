/** Changes that mend what fails, each tried on the design itself. */
import type { Phrase } from '../base/figure';
import { memoizeByIdentity } from '../base/memoize';
import type { Answers, AnswerChange } from '../cover/answers/parameter';
import { quickPrice } from '../cut';
import type { Check } from '../judge/strength/check';
import { changeSets, nameOf } from './fixCombinations';
import { tryChanges } from './fixSpace';
import { type Reassess, type Tried, pricedBeside } from './whatIf';
import type { Assessment } from '../assessment';

/** A mend that works: the changed answers, what it costs and which check it is for. */
export interface Fix {
  /** The check; nothing where it is a set of changes after which nothing of the cover fails. */
  readonly checkId: string | undefined;
  readonly label: Phrase;
  readonly cost: number;
  readonly answers: Answers;
  /** What it makes of its check, or of all that fail: it holds, or it only no longer fails. */
  readonly gives: 'holds' | 'tight';
  /** Other checks that held before and are tight with it, by id. */
  readonly loosens: readonly string[];
  /** Of sets: all that the checks ask for was gone through, and nothing of it is cheaper than this one. */
  readonly proven?: boolean;
}

const MENDS_PER_CHECK = 3;

/**
 * For every check that fails or is tight, the changes that make it hold or at least no longer fail; and where a check fails, sets
 * of changes that leave none failing. Each the cheapest first.
 * @param redo works the design out with other answers
 * @param priceOf what a design costs; mends of one check are looked for by the quick rule, and told at this price
 */
export function findFixes(
  o: Assessment,
  redo: Reassess,
  priceOf: (o: Assessment) => number = quickPrice,
): readonly Fix[] {
  // The design as it is stands beside each of its mends: it is priced once.
  const prices = memoizeByIdentity<number>();
  const price = (of: Assessment): number => prices(of, [], () => priceOf(of));
  const { sets, proven } = changeSets(o, redo, price);
  const found = sets
    .map((s, i) => ({ s, proven: proven && i === 0 }))
    // One change alone stands beside its check already.
    .filter(({ s }) => s.changes.length > 1)
    .map(({ s, proven: first }): Found => ({
      checkId: undefined,
      label: nameOf(s),
      outline: s.outline,
      proven: first,
      ...effectOf(
        o.judged().checks,
        s.outline.judged().checks,
        o.judged().checks.filter((c) => c.verdict === 'fails'),
      ),
    }));
  return [...priced(o, found, price), ...singleFixes(o, redo, price)];
}

/** For every check that fails or is tight, the changes that each mend it alone. */
export function singleFixes(
  o: Assessment,
  redo: Reassess,
  priceOf: (o: Assessment) => number = quickPrice,
): readonly Fix[] {
  return o
    .judged()
    .checks.filter((c) => c.verdict !== 'holds')
    .flatMap((check) => priced(o, mendsOf(o, check, redo), priceOf));
}

/** What is found, with what it costs over the design as it is, the cheapest first. */
const priced = (o: Assessment, found: readonly Found[], priceOf: (o: Assessment) => number): readonly Fix[] =>
  pricedBeside(o, found, priceOf)
    .map(({ outline, ...mend }) => ({ ...mend, answers: outline.cover.answers }))
    .sort((a, b) => a.cost - b.cost);

/** A mend as it is found: with the design that it leads to. */
type Found = Pick<Fix, 'checkId' | 'label' | 'proven' | 'gives' | 'loosens'> & Tried;

/** What a change makes of the checks it is for, and which others it loosens. */
function effectOf(
  before: readonly Check[],
  after: readonly Check[],
  mended: readonly Check[],
): Pick<Fix, 'gives' | 'loosens'> {
  const now = (id: string): Check['verdict'] => after.find((c) => c.id === id)?.verdict ?? 'holds';
  const held = new Set(before.filter((c) => c.verdict !== 'holds').map((c) => c.id));
  return {
    gives: mended.every((c) => now(c.id) === 'holds') ? 'holds' : 'tight',
    loosens: after.filter((c) => c.verdict === 'tight' && !held.has(c.id)).map((c) => c.id),
  };
}

function mendsOf(o: Assessment, check: Check, redo: Reassess): readonly Found[] {
  const mends = ({ change, outline }: { readonly change: AnswerChange; readonly outline: Assessment }): boolean =>
    asSaid(change, outline) && betters(check, o.judged().checks, outline.judged().checks);
  return tryChanges(o, check, redo, mends)
    .filter(mends)
    .map(({ label, outline }) => ({ checkId: check.id, label, outline, price: quickPrice(outline) }))
    .sort((a, b) => a.price - b.price)
    .slice(0, MENDS_PER_CHECK)
    .map(({ checkId, label, outline }) => ({
      checkId,
      label,
      outline,
      ...effectOf(o.judged().checks, outline.judged().checks, [check]),
    }));
}

/** Whether as many were built as the change asks for: joints of a sheet may want more of them than that. */
function asSaid(change: AnswerChange, { assembly: { beams, spans } }: Assessment): boolean {
  if (change.kind !== 'answer') return true;
  const asked = [...beams, ...spans].find((x) => x.asked?.id === change.id)?.asked;
  return asked === undefined || asked.now === change.value;
}

/**
 * Whether a change helps the check it is for and makes no other fail. What mends a check that is only tight makes no other one tight: so no
 * mend takes back what another brought.
 */
function betters(check: Check, before: readonly Check[], after: readonly Check[]): boolean {
  const now = after.find((c) => c.id === check.id);
  const helps = now === undefined || (check.verdict === 'fails' ? now.verdict !== 'fails' : now.verdict === 'holds');
  const failed = new Set(before.filter((c) => c.verdict === 'fails').map((c) => c.id));
  const { loosens } = effectOf(before, after, [check]);
  return (
    helps &&
    !after.some((c) => c.verdict === 'fails' && !failed.has(c.id)) &&
    (check.verdict === 'fails' || loosens.length === 0)
  );
}
