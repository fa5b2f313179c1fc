import type { Assembly } from '../../../cover/assembly/types';
import { holdsDown } from '../../../cover/joints';
import { countOfJoint } from '../../../cover/joints/kind';
import type { Phrase } from '../../../base/figure';
import { aboutAll, aboutJoints } from '../about';
import { ASK, type About, type Check, type CheckSite, type PitfallId, cautioned } from '../check';

/** Something that goes wrong with covers: its check where a design would suffer it. */
export type Pitfall = (a: Assembly, site: CheckSite) => Check | undefined;

/** What a pitfall says, shown on a leaf beside the shape that shows them all. */
export const saidOn =
  (leaf?: Check['leaf']) =>
  (id: PitfallId, verdict: 'tight' | 'fails', about: About, text: Phrase, tries: Check['tries'] = []): Check =>
    cautioned({
      id,
      ...(leaf && { leaf }),
      about,
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

/** What is held by joints of some kinds, in words, what comes of too few of them, and the question that counts them. */
export interface Held {
  readonly id: PitfallId;
  readonly kinds: readonly string[];
  readonly one: string;
  readonly what: string;
  readonly loose: string;
  readonly ask: string;
}

/** Fewer of what holds something down than are usual there: with less than half of them it fails. */
export function tooFew(
  said: ReturnType<typeof saidOn>,
  a: Assembly,
  { id, kinds, one, what, loose, ask }: Held,
): Check | undefined {
  const those = a.joints.filter((j) => kinds.includes(j.kind) && holdsDown(j));
  const count = those.reduce((sum, j) => sum + countOfJoint(j), 0);
  const usual = those.reduce((sum, j) => sum + (j.usual ?? 0), 0);
  if (count >= usual) return undefined;
  const held = count === 0 ? `No ${one} holds` : count === 1 ? `One ${one} holds` : `${count} ${one}s hold`;
  return said(
    id,
    count < usual / 2 ? 'fails' : 'tight',
    count > 0 ? aboutJoints(those) : aboutAll(a),
    [`${held} ${what}, where ${usual} are usual: ${loose}.`],
    [answer(`${usual} ${one}s`, ask, usual)],
  );
}
