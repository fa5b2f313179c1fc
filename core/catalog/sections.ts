import type { Material, Section, SectionSpec } from './types';

/** What a thing of the gardener's own was made after, which decides what goes with it: fittings, spans of wire. */
export function shippedKey(s: Pick<SectionSpec, 'key' | 'like'>): string {
  return s.like ?? s.key;
}

/** Width across a section as it is drawn: outside diameter, or a board's thickness. */
export function thicknessMm(s: Pick<SectionSpec, 'key' | 'shape'>): number {
  return s.shape.kind === 'tube' ? s.shape.outsideMm : s.shape.thicknessMm;
}

/** Outside and inside diameter of a pipe or rod. @throws for a board. */
export function tubeShape(s: Pick<SectionSpec, 'key' | 'shape'>): {
  readonly outsideMm: number;
  readonly insideMm: number;
} {
  if (s.shape.kind !== 'tube') throw new Error(`${s.key} is not a pipe`);
  return s.shape;
}

/** Thickness and width of a board. @throws for a pipe. */
export function boardShape(s: Pick<SectionSpec, 'key' | 'shape'>): {
  readonly thicknessMm: number;
  readonly widthMm: number;
} {
  if (s.shape.kind !== 'board') throw new Error(`${s.key} is not a board`);
  return s.shape;
}

/** Area of wood, steel or plastic in a section, mm^2. */
export function areaMm2(s: Pick<SectionSpec, 'key' | 'shape'>): number {
  return s.shape.kind === 'tube'
    ? (Math.PI / 4) * (s.shape.outsideMm ** 2 - s.shape.insideMm ** 2)
    : s.shape.thicknessMm * s.shape.widthMm;
}

/** Depth of a section in the way that it bends: a board across the named side. */
export const depthMm = ({ shape }: Pick<SectionSpec, 'shape'>, across: 'thickness' | 'width'): number =>
  shape.kind === 'tube' ? shape.outsideMm : across === 'width' ? shape.widthMm : shape.thicknessMm;

/** Second moment of area, mm^4; a board bends across the named side. */
export function inertiaMm4(s: Pick<SectionSpec, 'key' | 'shape'>, across: 'thickness' | 'width' = 'thickness'): number {
  if (s.shape.kind === 'tube') return (Math.PI / 64) * (s.shape.outsideMm ** 4 - s.shape.insideMm ** 4);
  const { thicknessMm: t, widthMm: w } = s.shape;
  return across === 'thickness' ? (w * t ** 3) / 12 : (t * w ** 3) / 12;
}

/** Where the figures of stiffness were measured. */
export const MEASURED_AT_C = 23;

/** What is left of stiffness at a warmth: (1 - p)^(T - 23), p lost with each degree; more than 1 in the cold. */
export const stiffAt = (softensPerC: number, atC: number): number => (1 - softensPerC) ** (atC - MEASURED_AT_C);

/** Stiffness that a material loses with each degree, as a part of it: plastics alone soften. */
export const softensPerC = ({ behaviour: b }: Material): number => (b.kind === 'plastic' ? b.softensPerC : 0);

/** E of a material, MPa, fresh or after weeks under load: metal neither creeps nor softens, wood creeps, plastic does both. */
function stiffnessMPa(m: Material, duration: 'fresh' | 'weeks', atC: number): number {
  const left = m.behaviour.kind !== 'metal' && duration === 'weeks' ? m.behaviour.longTermFactor : 1;
  return m.eGPa * 1000 * left * stiffAt(softensPerC(m), atC);
}

/** Bending stiffness EI in N mm^2, fresh or after weeks under load, at 23 C when not said. */
export function stiffnessNMm2(
  s: Section,
  duration: 'fresh' | 'weeks',
  across: 'thickness' | 'width' = 'thickness',
  atC = MEASURED_AT_C,
): number {
  return stiffnessMPa(s.material, duration, atC) * inertiaMm4(s, across);
}

/** Mass of a length of a section, kg. */
export function massKg(s: Section, lengthMm: number): number {
  return areaMm2(s) * lengthMm * 1e-9 * s.material.densityKgPerM3;
}
