import type { Assembly, Joint } from '../../../build/assembly/types';
import { countOfJoint } from '../../../build/joints/kind';
import type { Phrase } from '../../../base/figure';
import { ASK, type Check, type CheckSite, type Verdict } from '../check';

/** Something that goes wrong with covers: its check where a design would suffer it. */
export type Pitfall = (a: Assembly, site: CheckSite) => Check | undefined;

/** What a pitfall says, shown on a leaf beside the shape that shows them all. */
export const saidOn =
  (leaf?: Check['leaf']) =>
  (id: string, verdict: Verdict, text: Phrase, tries: Check['tries'] = []): Check => ({
    id,
    ...(leaf && { leaf }),
    verdict,
    text,
    figure: undefined,
    caution: ASK,
    tries,
  });

/** How many joints of some kinds there are that hold something down, and how many are usual there. */
export function heldBy(
  joints: readonly Joint[],
  kinds: readonly string[],
): { readonly count: number; readonly usual: number } {
  const those = joints.filter((j) => kinds.includes(j.kind) && j.with?.['holds'] !== 'nothing');
  return {
    count: those.reduce((sum, j) => sum + countOfJoint(j), 0),
    usual: those.reduce((sum, j) => sum + (j.usual ?? 0), 0),
  };
}

/** Another answer to a question, as a mend. */
export const answer = (label: string, id: string, value: string | number): Check['tries'][number] => ({
  label: [label],
  change: { kind: 'answer', id, value },
});
