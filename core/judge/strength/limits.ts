/** Where the stuff of a bar gives way. */
import { depthMm, inertiaMm4, thicknessMm } from '../../catalog/sections';
import type { Material, Section } from '../../catalog/types';

/** How long a load stays: for good, through weeks of snow, or for a gust. */
export type LoadStays = 'lasting' | 'snow' | 'gust';

/** Bending stress that a material bears, MPa: of plastic, at the strain that kinks it, with the stiffness that is left by then. */
export function bendingLimitMPa({ eGPa, behaviour: b }: Material, stays: LoadStays): number {
  switch (b.kind) {
    case 'wood':
      return b.bendingMPa * (stays === 'snow' ? b.snowFactor : stays === 'gust' ? b.gustFactor : 1);
    case 'metal':
      return b.yieldMPa;
    case 'plastic':
      return (eGPa * 1000 * (stays === 'gust' ? b.gustPercent : b.longTermFactor * b.strainPercent[2])) / 100;
  }
}

/** Moment at which a board on edge breaks under snow, N mm. */
export const breakingMomentNMm = (s: Section): number =>
  (bendingLimitMPa(s.material, 'snow') * inertiaMm4(s, 'width')) / (depthMm(s, 'width') / 2);

/** How a bar of it gives way when it is bent too far. */
export const givesBy = ({ behaviour }: Material): 'kink' | 'yield' => (behaviour.kind === 'plastic' ? 'kink' : 'yield');

/**
 * The curvature at which a bar of a section kinks, yields or breaks, per mm.
 * Plastics by the strain of the outermost fibre at 20 C, others by stress limit / (E r) (Euler and Bernoulli).
 */
export function curvatureLimitPerMm({ material, ...s }: Section, duration: 'lasting' | 'gust' = 'lasting'): number {
  const r = thicknessMm(s) / 2;
  const { eGPa, behaviour: b } = material;
  if (b.kind === 'plastic') return (duration === 'gust' ? b.gustPercent : b.strainPercent[2]) / 100 / r;
  return bendingLimitMPa(material, 'lasting') / (eGPa * 1000 * r);
}
