import type { Change } from '../families/family';
import type { Figure, Phrase } from '../figure';

export type Verdict = 'holds' | 'tight' | 'fails';

/** One question about a design, answered. */
export interface Check {
  readonly id: string;
  readonly verdict: Verdict;
  readonly text: Phrase;
  readonly figure: Figure | undefined;
  /** What is left out or must be asked elsewhere; empty where nothing is judged. */
  readonly caution: string | undefined;
  /** Changes worth trying, cheapest first to try; the ones that work are priced later. */
  readonly tries: readonly { readonly label: Phrase; readonly change: Change }[];
}

/** Holds with a quarter to spare, tight down to one, fails below. */
export function verdictOf(ratio: number): Verdict {
  return ratio >= 1.25 ? 'holds' : ratio >= 1 ? 'tight' : 'fails';
}
