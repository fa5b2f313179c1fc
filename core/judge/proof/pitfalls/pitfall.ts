import type { Assembly } from '../../../build/assembly/types';
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

/** Another answer to a question, as a mend. */
export const answer = (label: string, id: string, value: string | number): Check['tries'][number] => ({
  label: [label],
  change: { kind: 'answer', id, value },
});
