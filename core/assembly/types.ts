import type { Phrase } from '../figure';
import type { Elastica } from '../hoop/elastica';

/** Millimetres: x along the bed from its left end, y from its near outside face, z up from the ground. */
export type Vec3 = readonly [x: number, y: number, z: number];

export type EndCut = 'square' | 'mitre' | 'bevel' | 'taper' | 'curve';

export type MemberShape =
  /** `wide` is the unit direction of a board's wider side. */
  | { readonly kind: 'straight'; readonly from: Vec3; readonly to: Vec3; readonly wide: Vec3 }
  | { readonly kind: 'curve'; readonly points: readonly Vec3[] };

export interface Hole {
  readonly atMm: number;
  readonly diameterMm: number;
  readonly what: string;
}

/** A place to mark along a piece, from its tape end. */
export interface Mark {
  readonly atMm: number;
  readonly label: string;
}

/** One piece to cut. Its tag is the same on drawings, lists, steps and the piece itself. */
export interface Member {
  readonly tag: string;
  readonly part: string;
  readonly sectionKey: string;
  readonly shape: MemberShape;
  readonly lengthMm: number;
  readonly ends: readonly [EndCut, EndCut];
  readonly holes: readonly Hole[];
  readonly marks: readonly Mark[];
}

/** One line of a sheet's size. */
export interface Allowance {
  readonly what: string;
  readonly mm: number;
}

/** A piece of film, fabric or net: its cut size line by line, and its faces for drawing. */
export interface SheetPart {
  readonly tag: string;
  readonly part: string;
  readonly coverKey: string;
  readonly rollKey: string | null;
  readonly across: readonly Allowance[];
  readonly along: readonly Allowance[];
  readonly faces: readonly (readonly Vec3[])[];
}

/** Hardware is counted by the joint it serves. */
export interface HardwareUse {
  readonly itemKey: string;
  readonly count: number;
  readonly joint: string;
}

/** A row of equal hoops, for strength and headroom. */
export interface ArchRow {
  readonly tags: readonly string[];
  readonly sectionKey: string;
  readonly hoop: Elastica;
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
  /** Only keeps the crowns apart and shares load between them. */
  | { readonly kind: 'tied' }
  /** Stands on posts at both ends and carries load as a beam. */
  | { readonly kind: 'posted'; readonly sectionKey: string; readonly spanMm: number };

/** A board that takes the outward push of hoop feet between its supports. */
export interface PushedRail {
  readonly tag: string;
  readonly sectionKey: string;
  /** Which side of the section the push bends. */
  readonly across: 'thickness' | 'width';
  readonly freeLengthMm: number;
  readonly pushesAtMm: number;
}

/** Two things that must slide over one another. */
export interface SleeveJoint {
  readonly outerKey: string;
  readonly innerKey: string;
  readonly where: string;
}

/** A part that a person lifts. */
export interface MovingPart {
  readonly name: string;
  readonly memberTags: readonly string[];
  readonly sheetTags: readonly string[];
  readonly motion: 'hinged' | 'carried';
}

/** A measure shown in a drawing; `typed` ones can be typed there. */
export interface Dimension {
  readonly id: string;
  readonly view: View;
  readonly from: Vec3;
  readonly to: Vec3;
  /** Which side of the drawing the line stands on, and how many rows out. */
  readonly side: 'below' | 'above' | 'left' | 'right' | 'leader';
  readonly row: number;
  readonly label: string;
  readonly valueMm: number;
  readonly typed: boolean;
}

export type View = 'end' | 'side' | 'plan';

/** The crop under the cover: how high it grows and where its rows stand. */
export interface CropLine {
  readonly cropKey: string;
  readonly soilZMm: number;
  readonly rowYsMm: readonly number[];
  readonly topZMm: number;
  /** Underside of the cover over the worst row, less the crop's top. */
  readonly clearanceMm: number;
}

/** The air under the cover, for warmth. */
export interface Enclosure {
  readonly coverKey: string;
  readonly floorM2: number;
  readonly coverM2: number;
  readonly volumeM3: number;
  readonly heightM: number;
}

/** Everything that stands over one bed; all drawings, lists and figures come from this alone. */
export interface Assembly {
  readonly members: readonly Member[];
  readonly sheets: readonly SheetPart[];
  readonly hardware: readonly HardwareUse[];
  readonly arches: readonly ArchRow[];
  readonly pushedRails: readonly PushedRail[];
  readonly sleeves: readonly SleeveJoint[];
  readonly moving: readonly MovingPart[];
  readonly crop: CropLine;
  readonly enclosure: Enclosure;
  readonly dimensions: readonly Dimension[];
  /** How it is built, in order. */
  readonly steps: readonly Step[];
  /** Things the family wants said, in plain words. */
  readonly remarks: readonly string[];
}

/** One step of building, in order. */
export interface Step {
  readonly id: string;
  readonly title: string;
  /** The view that shows it best, and the pieces in play. */
  readonly view: View;
  readonly tags: readonly string[];
  readonly work: readonly Phrase[];
  readonly tools: readonly string[];
  readonly checks: readonly Phrase[];
  /** What can hurt in this step. */
  readonly cautions: readonly string[];
  readonly minutes: number;
}
