import type { BentHoop, Elastica } from '../hoop/types';
import type { Flat, Vec3, View } from '../../base/geometry';
import type { CoverMaterial, Section, StiffSheet } from '../../catalog/types';
import type { Phrase } from '../../base/figure';
import type { Point2 } from '../../base/geometry';

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
  readonly section: Section;
  readonly shape: MemberShape;
  readonly lengthMm: number;
  readonly ends: readonly [EndCut, EndCut];
  /** Degrees off square of each end cut; positive where the edge on the `wide` side is the longer. */
  readonly endAnglesDeg?: readonly [number, number];
  /** Of a tapered board: its width at both ends, from the straight edge on the side away from `wide`. */
  readonly taperMm?: readonly [from: number, to: number];
  /** The piece it is sawn out of together with, where two tapered ones come out of one board. */
  readonly sawnFrom?: string;
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
  readonly cover: CoverMaterial;
  readonly rollKey: string | null;
  readonly across: readonly Allowance[];
  readonly along: readonly Allowance[];
  readonly faces: readonly (readonly Vec3[])[];
}

/** A piece of plywood, twin-wall, corrugated sheet or glass: flat, cut to an outline. */
export interface Panel {
  readonly tag: string;
  readonly part: string;
  readonly sheet: StiffSheet;
  /** Origin and unit directions of the outline in place; the thickness grows along u x v. */
  readonly at: Vec3;
  readonly u: Vec3;
  readonly v: Vec3;
  readonly outline: readonly Flat[];
  readonly openings: readonly (readonly Flat[])[];
  /** Direction in which channels or corrugations run; undefined where there are none. */
  readonly channels: 'u' | 'v' | undefined;
  /** Sawn to a curve, from a full-size template. */
  readonly curved: boolean;
}

/** Something bought whole that only stands there: a bale. */
export interface Block {
  readonly tag: string;
  readonly part: string;
  readonly itemKey: string;
  readonly low: Vec3;
  readonly high: Vec3;
}

/** Hardware is counted by the joint it serves. */
export interface HardwareUse {
  readonly itemKey: string;
  readonly count: number;
  readonly joint: string;
}

/** A row of equal hoops, for strength and headroom. */
export interface ArchRow {
  /** What they are called; hoops when not said. */
  readonly what?: string;
  readonly tags: readonly string[];
  readonly section: Section;
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
  /** Only keeps the crowns apart and shares load between them. */
  | { readonly kind: 'tied' }
  /** Stands on posts at both ends and carries load as a beam. */
  | { readonly kind: 'posted'; readonly section: Section; readonly spanMm: number };

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
  readonly slopeDeg: number;
  /** Two slopes meet above: snow may lie on one alone. */
  readonly gable: boolean;
}

/** A stiff sheet that spans between bars. */
export interface SheetSpan {
  readonly sheet: StiffSheet;
  readonly tags: readonly string[];
  readonly spanMm: number;
  readonly slopeDeg: number;
}

/** A board that takes the outward push of hoop feet between its supports. */
export interface PushedRail {
  readonly tag: string;
  readonly section: Section;
  /** Which side of the section the push bends. */
  readonly across: 'thickness' | 'width';
  readonly freeLengthMm: number;
  readonly pushesAtMm: number;
}

/** Two things that must slide over one another. */
export interface SleeveJoint {
  readonly outer: Section;
  readonly inner: Section;
  readonly where: string;
}

/** A part that a person lifts. */
export interface MovingPart {
  readonly name: string;
  readonly memberTags: readonly string[];
  readonly sheetTags: readonly string[];
  readonly panelTags: readonly string[];
  readonly motion: 'hinged' | 'carried' | 'rolled';
  /** Bought parts that move with it, kg. */
  readonly extraKg: number;
  /** How many people the gardener means to lift it with. */
  readonly people: 1 | 2;
  /** Of a hinged part: its size along the hinge and from hinge to handle, and what holds it. */
  readonly hung?: {
    readonly alongMm: number;
    readonly reachMm: number;
    readonly latches: number;
    readonly stays: number;
    readonly opener: Opener | undefined;
  };
}

/** A wax opener on a lid: where its arm pushes, from the hinge, and the mass it is made to lift. */
export interface Opener {
  readonly armMm: number;
  readonly liftsKg: number;
  /** Whether an insect screen lies in the way of its arm. */
  readonly behindScreen: boolean;
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
  readonly cover: CoverMaterial;
  /** A second layer inside, with air between. */
  readonly inner?: CoverMaterial;
  readonly floorM2: number;
  readonly coverM2: number;
  readonly volumeM3: number;
  readonly heightM: number;
}

/** How the cover stands, and what holds it down. */
export interface Footing {
  readonly on: 'wall' | 'inside the wall' | 'soil' | 'ground';
  /** A stiff frame that must sit down flat and square. */
  readonly stiff: boolean;
  /** Outside of what sits down, mm. */
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly holdDowns: readonly HoldDown[];
}

export interface HoldDown {
  readonly what: string;
  readonly count: number;
  readonly eachN: number;
  /** The question that asks for their number, where one does. */
  readonly ask?: string;
}

/** Something that a film rubs on. */
export interface Contact {
  readonly what: 'bare PVC' | 'plywood edge' | 'pipe end' | 'timber corner';
  readonly guarded: boolean;
}

/** How a sheet is fastened along its long sides. */
export type Fixing = 'weights' | 'clips' | 'battens' | 'channel' | 'staples';

/** How warm air is let out. */
export interface Airing {
  readonly by: 'skirt' | 'lid' | 'flaps' | 'vents' | 'opener' | 'door' | 'roll-up sides' | 'crown';
  /** A net keeps insects and animals out while it is open. */
  readonly screened: boolean;
}

/** Everything that stands over one bed; all drawings, lists and figures come from this alone. */
export interface Assembly {
  readonly members: readonly Member[];
  readonly sheets: readonly SheetPart[];
  readonly panels: readonly Panel[];
  readonly blocks: readonly Block[];
  readonly hardware: readonly HardwareUse[];
  readonly arches: readonly ArchRow[];
  readonly beams: readonly BeamRow[];
  readonly spans: readonly SheetSpan[];
  readonly pushedRails: readonly PushedRail[];
  /** Underside of the cover across the bed, from left to right, mm: what headroom is measured to. */
  readonly under: readonly Point2[];
  /** From where to where along the bed it covers the soil, mm. */
  readonly reachMm: readonly [from: number, to: number];
  readonly sleeves: readonly SleeveJoint[];
  readonly moving: readonly MovingPart[];
  readonly footing: Footing;
  readonly contacts: readonly Contact[];
  readonly fixing: Fixing;
  readonly airing: Airing;
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
