import type { Exposure } from '../../site/place';
import type { Change } from '../../build/answers/asked';
import type { BuildSite } from '../../site/buildSite';
import type { NoonAir } from '../climate/noon';
import type { RollPlan } from '../../make/rolls/rolls';
import type { SheetCuts } from '../../make/cutting/panels';
import type { Figure, Phrase } from '../../base/figure';
import type { DesignSnow } from './snow';

export type Verdict = 'holds' | 'tight' | 'fails';

/** One question about a design, answered. */
export interface Check {
  readonly id: string;
  /** Which leaf of the bench it belongs to, beside the shape that shows them all. */
  readonly leaf?: 'stand' | 'skin' | 'air';
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

export const ASK = 'A planning aid. Local codes come first.';

/** What a design is checked against: the place, and what has been worked out of it so far. */
export interface CheckSite {
  readonly rolls: RollPlan;
  readonly sheets: SheetCuts;
  readonly snow: DesignSnow;
  readonly air: NoonAir;
  /** Weight at the hand, part by part. */
  readonly lifts: readonly Figure[];
  readonly site: BuildSite;
  readonly gustMPerS: number;
  readonly exposure: Exposure;
  readonly latitudeDeg: number;
  /** Where the wind mostly comes from; null: not known. */
  readonly windFromDeg: number | null;
  /** Outside at the noon asked for. */
  readonly outsideC: number;
}
