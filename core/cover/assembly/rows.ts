/** What carries: rows of hoops, bars, sheets and posts, as strength is judged by them. */
import type { BentHoop, Elastica } from '../hoop/types';
import type { Section, StiffSheet } from '../../catalog/types';

/** A row of equal hoops, for strength and headroom. */
export interface ArchRow {
  /** What they are called; hoops when not said. */
  readonly what?: string;
  readonly tags: readonly string[];
  readonly section: Section;
  /** What each mm of a hoop weighs, with the cover on it, N; nothing where it was not weighed. */
  readonly weighsNPerMm?: number;
  /** What hangs on each metre of its ridge, kg. */
  readonly hungKgPerM?: number;
  /** What goes inside the pipe, from foot to foot. */
  readonly core?: Section;
  readonly hoop: Elastica | BentHoop;
  /** Sprung from straight, with its bending locked in; or bent to shape beforehand. */
  readonly sprung: boolean;
  readonly xsMm: readonly number[];
  readonly spacingMm: number;
  /** Left foot and height of the feet. */
  readonly footYMm: number;
  readonly footZMm: number;
  /** Where the gardener measures the height from: soil, or the rail the feet stand on. */
  readonly baseZMm: number;
  /** Pipe to cut for one hoop. */
  readonly cutMm: number;
  readonly ridge: Ridge;
}

export type Ridge =
  | { readonly kind: 'none' }
  /** Keeps the crowns apart; of one straight piece of a section it shares load between them, of rope or in pieces it does not. */
  | { readonly kind: 'tied'; readonly section?: Section }
  /** Stands on posts at both ends and carries load as a beam. */
  | { readonly kind: 'posted'; readonly section: Section; readonly spanMm: number };

/** A wall that stands over the upper edge of a slope: snow drifts against it. */
export interface DriftedOn {
  /** How high it stands over that edge, and how far the slope reaches from it, level. */
  readonly wallMm: number;
  readonly runMm: number;
  /** What bears the drift: bars down the slope, what stands at its far end, or a strip of sheet beside the wall. */
  readonly by: 'slope' | 'far end' | 'strip';
}

/** A row of straight pieces that carry snow as beams between two supports. */
export interface BeamRow {
  readonly tags: readonly string[];
  /** What they are: "Legs", "Lid bars". */
  readonly what: string;
  readonly section: Section;
  /** Which side of the section the load bends. */
  readonly across: 'thickness' | 'width';
  /** Between supports, measured along the piece. */
  readonly spanMm: number;
  /** Width of cover that one of them carries, measured level. */
  readonly loadWidthMm: number;
  /** What each mm of one weighs, with the cover on it, N; nothing where it was not weighed. */
  readonly weighsNPerMm?: number;
  readonly slopeDeg: number;
  /** Two slopes meet above: snow may lie on one alone. */
  readonly gable: boolean;
  readonly drift?: DriftedOn;
  /** The question that asks for their number, where one does. */
  readonly asked?: CountAsked;
}

/** A question that asks for a number: its id, how many are answered now, and what it counts, one and many. */
export interface CountAsked {
  readonly id: string;
  readonly now: number;
  readonly words: readonly [one: string, many: string];
}

/** A stiff sheet that spans between bars. */
export interface SheetSpan {
  readonly sheet: StiffSheet;
  readonly spanMm: number;
  readonly slopeDeg: number;
  readonly drift?: DriftedOn;
  /** The question that asks for the bars under it, where one does. */
  readonly asked?: CountAsked;
}

/** A board that takes the outward push of hoop feet between its supports. */
export interface PushedRail {
  readonly tags: readonly string[];
  readonly section: Section;
  /** Which side of the section the push bends. */
  readonly across: 'thickness' | 'width';
  readonly freeLengthMm: number;
  readonly pushesAtMm: number;
  /** The question that asks for what holds it between, where one does. */
  readonly asked?: CountAsked;
}

/** Two things that must slide over one another. */
export interface SleeveJoint {
  readonly outer: Section;
  readonly inner: Section;
  readonly where: string;
  /** Pinned through, so that play does no harm. */
  readonly pinned?: true;
}

/** A board of a framed end that wind on the end bends on edge: between its two ends, with so much of the end on it. */
export interface EndBar {
  readonly tag: string;
  /** What it is, one of many: "Door jambs". */
  readonly what: string;
  readonly section: Section;
  readonly spanMm: number;
  readonly loadWidthMm: number;
}

/** A row of posts in the ground that carry a house: two to a hoop, or fewer under rails. */
export interface PostRow {
  readonly tags: readonly string[];
  /** Pieces that are nailed side by side to one post. */
  readonly nailed: number;
  /** The side of a piece that a push across the house bends. */
  readonly across: 'thickness' | 'width';
  readonly section: Section;
  readonly depthMm: number;
  readonly aboveMm: number;
  readonly set: 'driven' | 'dug';
  /** Bolted to the wall of the bed instead, two bolts each: how far these are apart, and the lower one above the ground. */
  readonly bolts?: { readonly apartMm: number; readonly lowMm: number; readonly eachN: number };
  readonly spacingMm: number;
  readonly crownMm: number;
  /** What an end of the house shows to the wind, m2. */
  readonly endM2: number;
  /** Diagonal braces between posts along the house. */
  readonly braces: number;
  /** The question that asks for their number, where one does; else there are two to a hoop. */
  readonly asked?: CountAsked;
}

/** What bears what in a cover, found from its pieces and joints. */
export interface Structure {
  readonly arches: readonly ArchRow[];
  readonly beams: readonly BeamRow[];
  readonly spans: readonly SheetSpan[];
  readonly pushedRails: readonly PushedRail[];
  readonly sleeves: readonly SleeveJoint[];
  readonly posts: readonly PostRow[];
  readonly endBars: readonly EndBar[];
}
