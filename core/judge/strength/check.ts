import type { Vec3 } from '../../base/geometry';
import type { CountAsked } from '../../cover/assembly/rows';
import type { Exposure } from '../../site/place';
import type { AnswerChange } from '../../cover/answers/parameter';
import type { BuildSite } from '../../site/buildSite';
import type { Obstacle } from '../../site/plotting';
import type { NoonAir } from '../climate/noon';
import type { RollPlan } from '../../make/rolls/rolls';
import type { SheetCuts } from '../../make/cutting/panels';
import type { Figure, Phrase } from '../../base/figure';
import type { DesignSnow } from './snow';
import type { Reliability } from './reliability';
import type { Spread } from '../../catalog/types';

export type Verdict = 'holds' | 'tight' | 'fails';

/** Checks that a design can be asked; of some there is one for each part of a name. */
export type CheckId =
  | 'snow'
  | 'bend'
  | 'sag'
  | 'blown'
  | 'rail'
  | 'span'
  | 'drift'
  | 'wind'
  | 'push'
  | 'crop'
  | 'sheet'
  | 'vents'
  | 'opener'
  | `post ${'depth' | 'bolts' | 'across' | 'along'}`
  | `${'beam' | 'sleeve' | 'end' | 'lift' | 'latch' | 'stay' | 'remark'} ${string}`
  | 'latch'
  | 'stay'
  | PitfallId;

/** Pitfalls of the trade, by what goes wrong. */
export type PitfallId =
  | 'fits'
  | 'whole bar'
  | 'wall anchors'
  | 'brackets'
  | 'bulge'
  | 'cold bend'
  | 'rot'
  | 'wall in bed'
  | 'way in'
  | 'crowded'
  | 'head'
  | 'sits'
  | 'sail'
  | 'weights'
  | 'bare glass'
  | 'wear'
  | 'staples'
  | 'bare pvc'
  | 'no uv'
  | 'white film'
  | 'huge sheet'
  | 'panel'
  | 'cooks'
  | 'animals'
  | 'insects'
  | 'screen and arm'
  | 'latched opener'
  | 'facing'
  | 'tall end'
  | 'into wind';

/** What a check is about, in the drawing. */
export interface About {
  /** Pieces, sheets and panels, by tag. */
  readonly tags: readonly string[];
  /** Where it goes wrong first, mm. */
  readonly places: readonly Vec3[];
}

/** What is asked and what there is of it, both in one unit. */
export interface Measure {
  readonly demand: number;
  readonly capacity: number;
  /** So many times what is asked must be there; once where not said. */
  readonly margin?: number;
  /** With so many times that it holds outright; a quarter more where not said. */
  readonly spare?: number;
  /** It is met by hand, or harms nobody: too little of it is a warning, however little it is. */
  readonly mild?: true;
}

interface CheckRecord {
  readonly id: CheckId;
  /** Which leaf of the bench it belongs to, beside the shape that shows them all. */
  readonly leaf?: 'stand' | 'skin' | 'air';
  readonly about: About;
  /** What of the place is asked of it: while nobody has said that, its answer is rough. */
  readonly under?: 'snow' | 'gust';
  readonly verdict: Verdict;
  readonly text: Phrase;
  readonly figure: Figure | undefined;
  /** How sure it is, and in words. */
  readonly sure?: { readonly of: Reliability; readonly words: Phrase };
  /** What is left out or must be asked elsewhere; empty where nothing is judged. */
  readonly caution: string | undefined;
  /** Changes worth trying, cheapest first to try; the ones that work are priced later. */
  readonly tries: readonly Try[];
  /** Why nothing mends it, where nothing does. */
  readonly noMend?: Phrase;
}

/** What is asked against what there is: the verdict follows from the two. */
export interface MeasuredCheck extends CheckRecord {
  readonly kind: 'measured';
  readonly measure: Measure;
}
/** A regret that is warned of: it judges no number. */
interface Caution extends CheckRecord {
  readonly kind: 'caution';
  readonly verdict: 'tight' | 'fails';
}
/** A part whose strength is not known: it is never counted as strong. */
interface Unjudged extends CheckRecord {
  readonly kind: 'unjudged';
  readonly verdict: 'tight';
}

/** One question about a design, answered. */
export type Check = MeasuredCheck | Caution | Unjudged;

/** How a check is called and drawn: a number that is tight, advice to heed and a strength that nobody knows are three things. */
export type CheckStatus = Verdict | 'heed' | 'unjudged';
export const checkStatus = ({ kind, verdict }: Check): CheckStatus =>
  kind === 'unjudged' ? 'unjudged' : kind === 'caution' && verdict === 'tight' ? 'heed' : verdict;
export const STATUS_WORDS: Readonly<Record<CheckStatus, string>> = {
  holds: 'Holds',
  tight: 'Tight',
  heed: 'Mind',
  unjudged: 'Not judged',
  fails: 'Fails',
};

/** A change worth trying. */
export interface Try {
  readonly label: Phrase;
  readonly change: AnswerChange;
  /** It changes what is wished, not how it is built: offered for its own check alone, by no search. */
  readonly instead?: true;
}

/** What there is over what is asked with its margin; Infinity where nothing is asked. */
export const ratioOf = ({ demand, capacity, margin = 1 }: Measure): number =>
  demand > 0 ? capacity / (margin * demand) : Infinity;

/** What holds outright has so many times what is wanted. */
export const SPARE = 1.25;

/** One rule for all: below what is wanted it fails, with little to spare it is tight. */
export function verdictOf(measure: Measure): Verdict {
  const ratio = ratioOf(measure);
  if (ratio >= (measure.spare ?? SPARE)) return 'holds';
  return ratio >= 1 || measure.mild ? 'tight' : 'fails';
}

/** A check of a number: its verdict follows from what is asked and what there is. */
export const measured = ({
  sure,
  ...check
}: Omit<MeasuredCheck, 'kind' | 'verdict' | 'sure'> & { readonly sure?: Check['sure'] | undefined }): Check => ({
  ...check,
  kind: 'measured',
  verdict: verdictOf(check.measure),
  ...(sure && { sure }),
});

/** Advice that judges no number. */
export const cautioned = (check: Omit<Caution, 'kind'>): Check => ({ ...check, kind: 'caution' });

/** What is not judged, since nothing is known of its strength. */
export const unjudged = (check: Omit<Unjudged, 'kind' | 'verdict'>): Check => ({
  ...check,
  kind: 'unjudged',
  verdict: 'tight',
});

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
  readonly beside: Obstacle | undefined;
  /** Somebody brushes snow off the cover. */
  readonly brushed: boolean;
  /** Outside at the noon asked for. */
  readonly outsideC: number;
}

/** More of what a question counts, told by the number there will be. */
export const moreOf = (asked: CountAsked | undefined, most: number): Check['tries'] =>
  asked
    ? Array.from({ length: most }, (_, i) => asked.now + 1 + i).map((value) => ({
        label: [`${value} ${asked.words[value === 1 ? 0 : 1]}`] as Phrase,
        change: { kind: 'answer', id: asked.id, value } as const,
      }))
    : [];
