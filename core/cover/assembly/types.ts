import type { ToolKey } from '../../catalog/handTools';
import type { Flat, Point2, Vec3, View } from '../../base/geometry';
import type { BuildSite } from '../../site/buildSite';
import type { Crop } from '../../catalog/crops';
import type { CoverMaterial, Section, StiffSheet } from '../../catalog/types';
import type { WallKind } from '../../catalog/walls';
import type { MovingPart, Opening, Ventilation } from './openings';
import type { BentHoop, Elastica } from '../hoop/types';
import type { CountAsked, DriftedOn, Structure } from './rows';
import type { Phrase } from '../../base/figure';

export type EndCut = 'square' | 'mitre' | 'bevel' | 'taper' | 'curve';

type MemberShape =
  /** `wide` is the unit direction of a board's wider side. */
  | { readonly kind: 'straight'; readonly from: Vec3; readonly to: Vec3; readonly wide: Vec3 }
  | { readonly kind: 'curve'; readonly points: readonly Vec3[] };

export interface Hole {
  readonly atMm: number;
  readonly diameterMm: number;
}

/** A place to mark along a piece, from its tape end. */
export interface Mark {
  readonly atMm: number;
  readonly label: string;
}

/** The curve or gable that hoops of a row are of: sprung from straight pipe, or made to shape; and where it stands, mm. */
export interface Bow {
  readonly hoop: Elastica | BentHoop;
  /** Sprung from straight, with its bending locked in; or bent to shape beforehand. */
  readonly sprung: boolean;
  /** Left foot of what is free, and height of both feet. */
  readonly footYMm: number;
  readonly footZMm: number;
  /** Where the gardener measures the height from: soil, or the rail the feet stand on. */
  readonly baseZMm: number;
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
  /** Of a hoop, or of a part of one. */
  readonly bow?: Bow;
  /** The question that asks how many of them there are, where one does. */
  readonly asked?: CountAsked;
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
  /** Its line across the bed from edge to edge, folds and skirts included, where the end view draws it. */
  readonly run?: readonly Vec3[];
  /** Its ends are drawn together: nothing flat hangs there. */
  readonly gathered?: true;
  /** Of a sheet that is held by what lies on its edge. */
  readonly skirt?: Skirt;
  /** Of mesh that stands by itself: its wires across the bed, so far apart, each cut so long, mm. */
  readonly wires?: { readonly section: Section; readonly everyMm: number; readonly cutMm: number; readonly bow: Bow };
}

/** What of a sheet's width lies on the ground or the soil past its folds, and what the rest of it is for, mm. */
export interface Skirt {
  readonly askedMm: number;
  readonly sides: number;
  /** From fold to fold, over all it lies on. */
  readonly runMm: number;
  /** Taken by fastenings, and pulled by. */
  readonly besideMm: number;
  readonly on: 'ground' | 'soil';
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

/** Where a box stands that is higher at its back than in front, mm: its outside, its foot and its two heights. */
export interface BoxPlace {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
  readonly z0: number;
  readonly frontMm: number;
  readonly backMm: number;
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

/**
 * What is joined to what, by what kind of joint, and where. Hardware, hold-downs, guarded edges, tools, minutes and cautions are
 * worked out of joints; nothing else lists them.
 */
export interface Joint {
  readonly id: string;
  /** Its kind, among those of cover/joints. */
  readonly kind: string;
  /** In the words of a shopping list: "Hoop feet to the rails". */
  readonly where: string;
  /** The pieces it joins, by tag; of pipes that go over one another the outer first. */
  readonly tags: readonly string[];
  /** Where each of them is, mm; for those that run along a line, the places of their fixings. */
  readonly places: readonly Vec3[];
  /** How many, where that is not the number of places: metres of what runs, or things put somewhere. */
  readonly count?: number;
  /** What the kind asks beside: which screw, how many each. */
  readonly with?: Readonly<Record<string, string | number>>;
  /** The question that asks for their number, where one does. */
  readonly ask?: string;
  /** How many are usual, where fewer are too few whatever else holds. */
  readonly usual?: number;
  /** The question that leaves staples with nothing over them. */
  readonly alone?: 'fixing' | 'edges' | 'tape';
}

/** A measure shown in a drawing; `typed` ones can be typed there. */
export interface Dimension {
  readonly id: string;
  readonly view: View;
  readonly from: Vec3;
  /** The end that moves when the value is set; the drawing is pulled at it. */
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
  readonly crop: Crop;
  readonly soilZMm: number;
  readonly rowYsMm: readonly number[];
  readonly topZMm: number;
  /** Underside of the cover over the worst row, less the crop's top. */
  readonly clearanceMm: number;
}

/** A part of what closes a cover. */
export interface Skin {
  readonly cover: CoverMaterial;
  /** A second layer inside it, with air between. */
  readonly inner?: CoverMaterial;
  readonly m2: number;
}

/** A part of what closes a cover that lets no light through. */
export interface Wall {
  readonly kind: WallKind;
  readonly thicknessMm: number;
  readonly m2: number;
}

/** The air under the cover, for warmth. */
export interface Enclosure {
  /** What closes it, the main cover first. */
  readonly skins: readonly [Skin, ...Skin[]];
  /** Boards, bales and plywood that close it beside them. */
  readonly walls?: readonly Wall[];
  /** Its edges lie weighted and are lifted every day, instead of being fastened. */
  readonly loose?: true;
  /** One side stands open: the air inside is nearly that outside. */
  readonly open?: true;
  readonly floorM2: number;
  readonly volumeM3: number;
  readonly heightM: number;
}

/** What keeps it warmer beside its skins, and how many of it: jugs, blankets, strings of lights, bales. */
export interface ExtraWarmth {
  readonly kind: 'jugs' | 'stones' | 'blanket' | 'lights' | 'straw' | 'banked';
  readonly count: number;
}

export type FootingOn = 'wall' | 'inside the wall' | 'soil' | 'ground';

/** How the cover stands, and what holds it down. */
interface Footing {
  readonly on: FootingOn;
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
  /** The soil that it holds in, where it does. */
  readonly soil?: BuildSite['bed']['soil'];
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

/** What a family says: everything else of an assembly is worked out of it, once for all families. */
export interface AssemblySpec extends Omit<
  Assembly,
  keyof Structure | 'hardware' | 'moving' | 'contacts' | 'ventilation' | 'footing' | 'crop' | 'steps' | 'remarks'
> {
  readonly footing: Omit<Footing, 'holdDowns'>;
  readonly steps: readonly StepSpec[];
  readonly remarks?: readonly string[];
}

/** A step as a family says it: tools, cautions and minutes of its joints are added. */
export type StepSpec = Omit<BuildStep, 'takes'>;

/** What is put in its place: cut, sawn to an outline, unrolled, or bought whole. */
export type Piece = Member | Panel | SheetPart | Block;

/** A step with the pieces and joints themselves: a cover is all that its stages bring together. */
export interface Stage extends Omit<StepSpec, 'tags' | 'joints'> {
  readonly pieces: readonly Piece[];
  readonly joints: readonly Joint[];
}

/** Everything that stands over one bed; all drawings, lists and figures come from this alone. */
export interface Assembly extends Structure {
  readonly members: readonly Member[];
  readonly sheets: readonly SheetPart[];
  readonly panels: readonly Panel[];
  readonly blocks: readonly Block[];
  readonly joints: readonly Joint[];
  readonly openings: readonly Opening[];
  /** Counted from the joints, and from what is bought whole. */
  readonly hardware: readonly HardwareUse[];
  /** What hangs on each metre of the ridge, kg. */
  readonly hungKgPerM?: number;
  /** The wall that its roof leans on: how high it stands over the upper edge, and how far the slope reaches from it, level, mm. */
  readonly wallOver?: Omit<DriftedOn, 'by'>;
  /** Underside of the cover across the bed, from left to right, mm: what headroom is measured to. */
  readonly under: readonly Point2[];
  /** From where to where along the bed it covers the soil, mm. */
  readonly reachMm: readonly [from: number, to: number];
  readonly moving: readonly MovingPart[];
  readonly footing: Footing;
  readonly contacts: readonly Contact[];
  readonly fixing: Fixing;
  readonly ventilation: Ventilation;
  readonly crop: CropLine;
  readonly enclosure: Enclosure;
  readonly warmth?: ExtraWarmth;
  readonly dimensions: readonly Dimension[];
  /** How it is built, in order. */
  readonly steps: readonly BuildStep[];
  /** Things the family wants said, in plain words. */
  readonly remarks: readonly string[];
}

/** One step of building, in order. */
export interface BuildStep {
  readonly id: string;
  readonly title: string;
  /** The view that shows it best, and the pieces in play. */
  readonly view: View;
  readonly tags: readonly string[];
  /** The joints made in it, by id. */
  readonly joints: readonly string[];
  /** What it takes of the list: counted from its joints. */
  readonly takes: readonly HardwareUse[];
  readonly work: readonly Phrase[];
  readonly tools: readonly ToolKey[];
  readonly checks: readonly Phrase[];
  /** What can hurt in this step. */
  readonly cautions: readonly string[];
  readonly minutes: number;
}
