import type { BentHoop, Elastica } from '../hoop/types';
import type { Flat, Vec3, View } from '../../base/geometry';
import type { BuildSite } from '../../site/buildSite';
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
  /** Its line across the bed from edge to edge, folds and skirts included, where the end view draws it. */
  readonly run?: readonly Vec3[];
  /** Of a sheet that is held by what lies on its edge. */
  readonly skirt?: Skirt;
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
  /** The question that asks for the bars under it, where one does. */
  readonly asked?: CountAsked;
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
  /** What may stand in the place of the inner one, of its own kind. */
  readonly offers: readonly Section[];
  /** Pinned through, so that play does no harm. */
  readonly pinned?: true;
}

/** A row of posts in the ground, two to a hoop, that carry a house. */
export interface PostRow {
  readonly tags: readonly string[];
  readonly section: Section;
  /** Posts of the same kind that may stand in their place. */
  readonly offers: readonly Section[];
  readonly depthMm: number;
  readonly aboveMm: number;
  readonly set: 'driven' | 'dug';
  readonly spacingMm: number;
  readonly crownMm: number;
  /** What an end of the house shows to the wind, m2. */
  readonly endM2: number;
  /** Diagonal braces between posts along the house. */
  readonly braces: number;
}

/** A part that a person lifts; worked out of the openings. */
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
  readonly hung?: Hung;
}

/** So many fastenings of one kind, and what one holds, N. */
export interface Fastening {
  readonly count: number;
  readonly eachN: number;
  /** The question that asks for their number, where it is not the one of all lids. */
  readonly ask?: string;
}

/** How a hinged part hangs. */
export interface Hung {
  readonly alongMm: number;
  readonly reachMm: number;
  /** How steeply it lies when shut: 0 level, 90 hanging. */
  readonly pitchDeg: number;
  readonly latches: Fastening;
  readonly stays: Fastening;
  readonly opener: Opener | undefined;
}

/**
 * What is joined to what, by what kind of joint, and where. Hardware, hold-downs, guarded edges, tools, minutes and cautions are
 * worked out of joints; nothing else lists them.
 */
export interface Joint {
  readonly id: string;
  /** Its kind, among those of build/joints. */
  readonly kind: string;
  /** In the words of a shopping list: "Hoop feet to the rails". */
  readonly where: string;
  /** The pieces it joins, by tag. */
  readonly tags: readonly string[];
  /** Where each of them is, mm; for those that run along a line, the places of their fixings. */
  readonly places: readonly Vec3[];
  /** How many, where that is not the number of places: metres of what runs, or things put somewhere. */
  readonly count?: number;
  /** What the kind asks beside: which screw, how many each. */
  readonly with?: Readonly<Record<string, string | number>>;
  /** The question that asks for their number, where one does. */
  readonly ask?: string;
}

/** What moves: for a hand, for air, or to be carried away. */
export interface Opening {
  readonly name: string;
  readonly by: 'skirt' | 'lid' | 'lift-off' | 'flap' | 'vent' | 'louvre' | 'door' | 'roll-up' | 'crown';
  /** The pieces that move, by tag. */
  readonly tags: readonly string[];
  /** The line it turns about, or the path it is moved along, mm. */
  readonly line: readonly [Vec3, Vec3];
  /** How far: degrees about the line, or mm along it. */
  readonly travel: { readonly deg: number } | { readonly mm: number };
  /** Joints that hold it shut, and open, by id. */
  readonly shut: readonly string[];
  readonly open: readonly string[];
  /** From where a hand reaches in through it; none where it is for air alone. */
  readonly reachedFrom: 'near' | 'far' | 'both sides' | 'ends' | 'inside' | 'none';
  /** A net keeps insects and animals out while it is open. */
  readonly screened: boolean;
  /** Free area for air when it is open; of what turns or is moved along its line it follows from that. */
  readonly airM2?: number;
  /** What a person lifts to open it or to take it away; nothing where it moves by itself or weighs nothing. */
  readonly lift?: Pick<MovingPart, 'motion' | 'extraKg' | 'people'> & {
    /** Of a hinged one: its size, and what opens it by itself. */
    readonly hung?: Pick<Hung, 'alongMm' | 'reachMm' | 'pitchDeg' | 'opener'>;
  };
}

/** A wax opener on a lid: where its arm pushes, from the hinge, and the mass it is made to lift. */
export interface Opener {
  readonly armMm: number;
  readonly liftsKg: number;
  /** What its spring and arm hold down against wind, where it pushes, N. */
  readonly holdsN: number;
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

/** A part of what closes a cover. */
export interface Skin {
  readonly cover: CoverMaterial;
  /** A second layer inside it, with air between. */
  readonly inner?: CoverMaterial;
  readonly m2: number;
}

/** The air under the cover, for warmth. */
export interface Enclosure {
  /** What closes it, the main cover first. */
  readonly skins: readonly [Skin, ...Skin[]];
  /** Its edges lie weighted and are lifted every day, instead of being fastened. */
  readonly loose?: true;
  readonly floorM2: number;
  readonly volumeM3: number;
  readonly heightM: number;
}

export type FootingOn = 'wall' | 'inside the wall' | 'soil' | 'ground';

/** How the cover stands, and what holds it down. */
export interface Footing {
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

/** How warm air is let out; worked out of the openings. */
export interface Ventilation {
  /** Free area of all that opens by itself, and of what a hand opens, m2. */
  readonly aloneM2: number;
  readonly byHandM2: number;
  readonly by: Opening['by'] | 'opener' | 'none';
  /** A net keeps insects and animals out while it is open. */
  readonly screened: boolean;
}

/** What a family says: everything else of an assembly is worked out of it, once for all families. */
export interface Said extends Omit<Assembly, 'hardware' | 'moving' | 'contacts' | 'ventilation' | 'footing' | 'steps'> {
  readonly footing: Omit<Footing, 'holdDowns'>;
  readonly steps: readonly SaidStep[];
}

/** A step as a family says it: tools, cautions and minutes of its joints are added. */
export type SaidStep = Omit<Step, 'takes'>;

/** Everything that stands over one bed; all drawings, lists and figures come from this alone. */
export interface Assembly {
  readonly members: readonly Member[];
  readonly sheets: readonly SheetPart[];
  readonly panels: readonly Panel[];
  readonly blocks: readonly Block[];
  readonly joints: readonly Joint[];
  readonly openings: readonly Opening[];
  /** Counted from the joints, and from what is bought whole. */
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
  readonly posts: readonly PostRow[];
  readonly moving: readonly MovingPart[];
  readonly footing: Footing;
  readonly contacts: readonly Contact[];
  readonly fixing: Fixing;
  readonly ventilation: Ventilation;
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
  /** The joints made in it, by id. */
  readonly joints: readonly string[];
  /** What it takes of the list: counted from its joints. */
  readonly takes: readonly HardwareUse[];
  readonly work: readonly Phrase[];
  readonly tools: readonly string[];
  readonly checks: readonly Phrase[];
  /** What can hurt in this step. */
  readonly cautions: readonly string[];
  readonly minutes: number;
}
