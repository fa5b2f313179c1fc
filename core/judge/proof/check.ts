import type { Exposure } from '../../site/place';
import type { Change } from '../../build/answers/asked';
import type { BuildSite } from '../../site/buildSite';
import type { Beside } from '../../site/plotting';
import type { NoonAir } from '../climate/noon';
import type { RollPlan } from '../../make/rolls/rolls';
import type { SheetCuts } from '../../make/cutting/panels';
import type { Figure, Phrase } from '../../base/figure';
import type { DesignSnow } from './snow';
import type { Sure } from './sure';
import type { Spread } from '../../catalog/types';

export type Verdict = 'holds' | 'tight' | 'fails';

/** One question about a design, answered. */
export interface Check {
  readonly id: string;
  /** Which leaf of the bench it belongs to, beside the shape that shows them all. */
  readonly leaf?: 'stand' | 'skin' | 'air';
  readonly verdict: Verdict;
  /** A regret that is warned of, not a load that is measured. */
  readonly pitfall?: true;
  readonly text: Phrase;
  readonly figure: Figure | undefined;
  /** How sure it is, and in words. */
  readonly sure?: { readonly of: Sure; readonly words: Phrase };
  /** What is left out or must be asked elsewhere; empty where nothing is judged. */
  readonly caution: string | undefined;
  /** Changes worth trying, cheapest first to try; the ones that work are priced later. */
  readonly tries: readonly Try[];
  /** Why nothing mends it, where nothing does. */
  readonly noMend?: Phrase;
}

/** A change worth trying. */
export interface Try {
  readonly label: Phrase;
  readonly change: Change;
  /** It changes what is wished, not how it is built: offered for its own check alone, by no search. */
  readonly instead?: true;
}

/** A check's word on how sure it is, where it has one. */
export const sureIn = (sure: Check['sure']): Pick<Check, 'sure'> => (sure ? { sure } : {});

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
  /** How far the gust and the snow asked for may be off. */
  readonly gustSpread: Spread;
  readonly snowSpread: Spread;
  readonly exposure: Exposure;
  readonly latitudeDeg: number;
  /** Where the wind mostly comes from; null: not known. */
  readonly windFromDeg: number | null;
  /** The wall or fence nearest to the bed. */
  readonly beside: Beside | undefined;
  /** Somebody brushes snow off the cover. */
  readonly brushed: boolean;
  /** Outside at the noon asked for. */
  readonly outsideC: number;
}
