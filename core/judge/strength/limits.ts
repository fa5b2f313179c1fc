/** Where the stuff of a bar gives way. */
import { depthMm, inertiaMm4, thicknessMm } from '../../catalog/sections';
import type { Section } from '../../catalog/types';
import { bendLimitsPercent } from '../../cover/hoop/strain';

/** Bending stress for timber under snow, above the long-term figure by the usual short-load factor. */
export const SHORT_LOAD = 1.15;

/** Moment at which a board on edge breaks under snow, N mm; none of what has no limit of stress. */
export const breakingMomentNMm = (s: Section): number =>
  ((s.material.limitMPa ?? 0) * SHORT_LOAD * inertiaMm4(s, 'width')) / (depthMm(s, 'width') / 2);

/** Fibre strain at which warm plastic pipe kinks in a gust, percent. Source: our own figure, between what bends hard for good and yield. */
const GUST_PERCENT = 5;

/**
 * The curvature at which a bar of a section kinks, or yields where it is a metal, per mm.
 * Plastics by the strain of the outermost fibre at 20 C, others by stress limit / (E r) (Euler and Bernoulli).
 */
export function curvatureLimitPerMm(s: Section, duration: 'lasting' | 'gust' = 'lasting'): number {
  const r = thicknessMm(s) / 2;
  const { limitMPa, eGPa } = s.material;
  if (limitMPa !== null) return limitMPa / (eGPa * 1000 * r);
  return (duration === 'gust' ? GUST_PERCENT : bendLimitsPercent(20)[2]) / 100 / r;
}
