import { CAUTIONS } from './cautions';
import { type JointKind, holdsAs } from './kind';

/** A rod driven in the soil with the pipe of a hoop over it: nothing is bought but the rod. */
export const drivenRod: JointKind = {
  name: ['pipe over a driven rod', 'pipes over driven rods'],
  takes: () => [],
  tools: ['level'],
  minutes: 4,
  symbol: 'point',
  holds: { ...holdsAs('rod'), inSoil: true },
  caution: CAUTIONS.rods,
};
