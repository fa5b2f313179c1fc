import { LUMBER } from './lumber';
import { MATERIALS, type Material, type MaterialKey } from './materials';
import { PIPES } from './pipes';
import { table } from './table';
import type { CutTool } from './tools';

/** A length that the shop sells. Prices are made up, in the garden's currency. */
export interface StockLength {
  readonly lengthMm: number;
  readonly price: number;
  /** The length it is named by and priced under, where what is sold has been measured longer or shorter. */
  readonly namedMm?: number;
}

export type SectionShape =
  | { readonly kind: 'board'; readonly thicknessMm: number; readonly widthMm: number }
  | { readonly kind: 'tube'; readonly outsideMm: number; readonly insideMm: number };

/** Anything that comes as a bar: a board, a pipe, a rod. */
export interface Section {
  readonly key: string;
  readonly name: string;
  readonly material: MaterialKey;
  readonly shape: SectionShape;
  readonly stock: readonly StockLength[];
  readonly tool: CutTool;
  /** Taken off one end of each new bar to square it. */
  readonly squareMm: number;
  readonly aisle: Aisle;
  readonly source: string;
  /** Diameter over the ribs of a deformed rod. */
  readonly overRibsMm?: number;
  /** The shipped section that a gardener's own one was made after. */
  readonly like?: string;
}

/** In the order one walks the shop. */
export const AISLES = [
  'Lumber',
  'Sheet goods',
  'Pipe and conduit',
  'Covers',
  'Fasteners and hardware',
  'Garden and yard',
] as const;
export type Aisle = (typeof AISLES)[number];

/** Every bar. */
export const SECTIONS = table<Section>('section', [...LUMBER, ...PIPES]);

/** The section of a key. @throws when the key is not in the catalogue. */
export const section = SECTIONS.get;

/** Whether there is a board, or a pipe, rod or wire, of that key: for the schemas of answers. */
export const isBoard = (key: string): boolean => SECTIONS.find(key)?.shape.kind === 'board';
export const isTube = (key: string): boolean => SECTIONS.find(key)?.shape.kind === 'tube';

/** The shipped section that decides what goes with one: fittings, spans of wire, ribs of a rod. */
export function shippedKey(key: string): string {
  return SECTIONS.find(key)?.like ?? key;
}

/** Keys of the sections that pass a test, in catalogue order, for a question's options. */
export function sectionKeys(test: (s: Section) => boolean): readonly string[] {
  return [...SECTIONS.all().values()].filter(test).map((s) => s.key);
}

/** The material of a section. */
export function materialOf(s: Section): Material {
  return MATERIALS.get(s.material);
}

/** Width across a section as it is drawn: outside diameter, or a board's thickness. */
export function thicknessMm(s: Section): number {
  return s.shape.kind === 'tube' ? s.shape.outsideMm : s.shape.thicknessMm;
}

/** Outside and inside diameter of a pipe or rod. @throws for a board. */
export function tubeShape(s: Section): { readonly outsideMm: number; readonly insideMm: number } {
  if (s.shape.kind !== 'tube') throw new Error(`${s.key} is not a pipe`);
  return s.shape;
}

/** Thickness and width of a board. @throws for a pipe. */
export function boardShape(s: Section): { readonly thicknessMm: number; readonly widthMm: number } {
  if (s.shape.kind !== 'board') throw new Error(`${s.key} is not a board`);
  return s.shape;
}

/** Area of wood, steel or plastic in a section, mm^2. */
export function areaMm2(s: Section): number {
  return s.shape.kind === 'tube'
    ? (Math.PI / 4) * (s.shape.outsideMm ** 2 - s.shape.insideMm ** 2)
    : s.shape.thicknessMm * s.shape.widthMm;
}

/** Second moment of area, mm^4; a board bends across the named side. */
export function inertiaMm4(s: Section, across: 'thickness' | 'width' = 'thickness'): number {
  if (s.shape.kind === 'tube') return (Math.PI / 64) * (s.shape.outsideMm ** 4 - s.shape.insideMm ** 4);
  const { thicknessMm: t, widthMm: w } = s.shape;
  return across === 'thickness' ? (w * t ** 3) / 12 : (t * w ** 3) / 12;
}

/** Bending stiffness EI in N mm^2, fresh or after weeks under load. */
export function stiffnessNMm2(
  s: Section,
  duration: 'fresh' | 'weeks',
  across: 'thickness' | 'width' = 'thickness',
): number {
  const m = materialOf(s);
  return m.eGPa * 1000 * (duration === 'weeks' ? m.longTermFactor : 1) * inertiaMm4(s, across);
}

/** Mass of a length of a section, kg. */
export function massKg(s: Section, lengthMm: number): number {
  return areaMm2(s) * lengthMm * 1e-9 * materialOf(s).densityKgPerM3;
}
