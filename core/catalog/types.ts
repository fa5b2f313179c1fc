import type { Market } from './market';
/** What the catalogue holds: the kinds of entry, all plain data. Lengths in mm; prices in the garden’s currency. */

/** Names of the aisles, in the order one walks the shop. */
export const AISLES = {
  lumber: 'Lumber',
  sheets: 'Sheet goods',
  pipe: 'Pipe and conduit',
  covers: 'Covers',
  fixings: 'Fasteners and hardware',
  yard: 'Garden and yard',
} as const;
export type Aisle = keyof typeof AISLES;
export const AISLE_KEYS = Object.keys(AISLES) as readonly Aisle[];

/** Wood: its limit is a design stress, higher under a load that does not stay. */
export interface Wood {
  readonly kind: 'wood';
  /** Design bending stress under a load that stays, MPa. */
  readonly bendingMPa: number;
  /** What it bears more under snow, and in a gust. */
  readonly snowFactor: number;
  readonly gustFactor: number;
  /** Stiffness left after weeks under load, as a part of E. */
  readonly longTermFactor: number;
  /** Whether it rots where it touches soil. */
  readonly rots: boolean;
}

/** Plastic: it creeps, softens when warm, and kinks at a strain of its outermost fibre. */
export interface Plastic {
  readonly kind: 'plastic';
  /** Stiffness left after weeks under load, as a part of E. */
  readonly longTermFactor: number;
  /** Stiffness lost with each degree over that of its figure, as a part of what was left: 0.008 is a third after fifty. */
  readonly softensPerC: number;
  /** Fibre strain up to which it is easy, firm and hard to bend, percent; past the last it kinks. */
  readonly strainPercent: readonly [easy: number, firm: number, hard: number];
  /** Colder than this each of the three is so much lower. */
  readonly brittleBelowC: number;
  readonly brittlePercent: number;
  /** Fibre strain at which it kinks in a gust, percent. */
  readonly gustPercent: number;
  /** Whether film that touches it wears out early. */
  readonly wearsFilm: boolean;
}

/** Metal: it yields, however long the load stays. */
export interface Metal {
  readonly kind: 'metal';
  readonly yieldMPa: number;
}

/** What a member is made of, with the figures that strength and weight need. */
export interface Material {
  readonly key: string;
  readonly name: string;
  readonly densityKgPerM3: number;
  readonly eGPa: number;
  readonly behaviour: Wood | Plastic | Metal;
  /** What its saw dust does to whoever breathes it. */
  readonly dust?: 'chlorine' | 'preservative';
  /** Keys of how far its stiffness under load may be off, and what it bears before it kinks, yields or breaks. */
  readonly spreads: readonly [stiffness: string, limit: string];
  readonly source: string;
}

type CutTool = 'circular saw' | 'hand saw' | 'shear';

/** What cuts bars, and the width of wood or pipe that it turns to dust. */
export interface Tool {
  readonly key: CutTool;
  readonly name: string;
  readonly kerfMm: number;
  readonly source: string;
}

/** A length that the shop sells. Prices are made up, in the garden's currency. */
export interface StockLength {
  readonly lengthMm: number;
  readonly price: number;
  /** The length it is named by and priced under, where what is sold has been measured longer or shorter. */
  readonly namedMm?: number;
}

type SectionShape =
  | { readonly kind: 'board'; readonly thicknessMm: number; readonly widthMm: number }
  | { readonly kind: 'tube'; readonly outsideMm: number; readonly insideMm: number };

/** Anything that comes as a bar, as it stands in the tables: a board, a pipe, a rod. */
export interface SectionSpec {
  readonly key: string;
  readonly name: string;
  readonly materialKey: string;
  readonly shape: SectionShape;
  /** The shops that sell it; what is bought as a part of something else has none. */
  readonly market?: Market;
  readonly stock: readonly StockLength[];
  readonly toolKey: CutTool;
  /** Taken off one end of each new bar to square it. */
  readonly squareMm: number;
  readonly aisle: Aisle;
  readonly source: string;
  /** Diameter over the ribs of a deformed rod. */
  readonly overRibsMm?: number;
  /** The shipped section that a gardener's own one was made after. */
  readonly like?: string;
}

/** How far a figure may be off, as parts of it: nine times in ten it lies between. */
export interface Spread {
  readonly key: string;
  readonly name: string;
  readonly low: number;
  readonly high: number;
  readonly source: string;
}

/** A bar with what it is made of and what cuts it, as they are in the catalogue in hand. */
export interface Section extends SectionSpec {
  readonly material: Material;
  /** How far the material's stiffness and its limit may be off. */
  readonly spreads: { readonly stiffness: Spread; readonly limit: Spread };
  readonly tool: Tool;
}

/** A roll as the shop sells it; a price per metre means it is also cut to length. */
export interface Roll {
  readonly key: string;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly price: number;
}

/** What goes over the frame. Figures are ordinary trade figures. */
export interface CoverMaterial {
  readonly key: string;
  readonly name: string;
  readonly kind: 'film' | 'fabric' | 'net' | 'shade' | 'glazing' | 'mesh';
  /** Part of the sun's light that comes through. */
  readonly light: number;
  /** Degrees C by which a night inside stays milder. */
  readonly frostHelpC: number;
  /** Heat loss, W/m2K; null where air passes through. */
  readonly uWPerM2K: number | null;
  /** Air changes an hour under it when shut, in light air, its edges fastened; with the range that is said of it. */
  readonly leaksPerHour: number;
  readonly leaksRange: readonly [low: number, high: number];
  /** Of cloth: heat that goes through it by day with moist air and as radiation, W/m2K; 0 where neither passes. */
  readonly throughWPerM2K: number;
  readonly kgPerM2: number;
  /** Years it lasts in use: the middle of what is said of it. */
  readonly lifeYears: number;
  readonly rolls: readonly Roll[];
  /** The face that goes outside, and how it is told; null where both are alike. */
  readonly outerFace: string | null;
  readonly source: string;
}

/** A sheet as the shop sells it. Prices are made up. */
export interface SheetSize {
  readonly key: string;
  readonly widthMm: number;
  /** Channels and corrugations run along the length. */
  readonly lengthMm: number;
  readonly price: number;
}

/** Stiff sheets: cut by outline. Glass in an old window is taken as it is and has no sizes to buy. */
export interface StiffSheet {
  readonly key: string;
  readonly name: string;
  readonly kind: 'plywood' | 'glazing';
  readonly thicknessMm: number;
  readonly kgPerM2: number;
  /** Its light and warmth in the table of covers; null where it is not glazing. */
  readonly coverKey: string | null;
  /** Greatest span between bars under 1 kPa, mm; null where it is not laid as a roof. */
  readonly spanAtOneKpaMm: number | null;
  /** Must lie with its channels down the slope. */
  readonly channels: boolean;
  readonly kerfMm: number;
  readonly sizes: readonly SheetSize[];
  readonly source: string;
}

/** A thing counted by the piece and sold by the pack. Prices are made up. */
export interface HardwareItem {
  readonly key: string;
  readonly name: string;
  /** What one of it is called in a list: piece, metre. */
  readonly unit: 'piece' | 'm';
  readonly packSize: number;
  readonly packPrice: number;
  readonly aisle: Aisle;
  readonly source: string;
}

/** How loose one tube may sit over another: inside diameter of the outer less outside diameter of the inner, mm. */
export interface Fit {
  readonly key: string;
  readonly name: string;
  readonly leastMm: number;
  readonly mostMm: number;
  readonly source: string;
}

/** What one joint of a kind holds against lifting. */
export interface Strength {
  readonly key: string;
  readonly name: string;
  readonly holdsN: number;
  readonly source: string;
}
