import { type JointKind, each } from './kind';

/** A mending plate with its own screws over a joint. */
export const plate: JointKind = {
  name: ['plate', 'plates'],
  takes: each('corner-plate'),
  tools: ['driver'],
  minutes: 1.2,
  symbol: 'point',
};
