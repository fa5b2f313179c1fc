/** A bar held at both ends under an even load. */
import { depthMm, inertiaMm4, stiffnessNMm2 } from '../../catalog/sections';
import type { Section } from '../../catalog/types';

/** Most sag of a bar under its load, as a part of its span. */
export const MOST_SAG = 1 / 180;

/**
 * Stress of its outermost fibre, MPa, and sag, mm, for each N/mm that lies on it.
 * Source: M = w L^2 / 8, sag = 5 w L^4 / 384 EI.
 */
export const perNewtonMm = (
  s: Section,
  across: 'thickness' | 'width',
  spanMm: number,
  duration: 'fresh' | 'weeks',
): { readonly stressMPa: number; readonly sagMm: number } => ({
  stressMPa: ((spanMm ** 2 / 8) * depthMm(s, across)) / 2 / inertiaMm4(s, across),
  sagMm: (5 * spanMm ** 4) / (384 * stiffnessNMm2(s, duration, across)),
});
