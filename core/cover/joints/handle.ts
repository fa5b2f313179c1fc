import { type JointKind, each } from './kind';

/** A pull handle with its screws. */
export const handle: JointKind = {
  name: ['handle', 'handles'],
  takes: each('handle'),
  tools: ['driver'],
  minutes: 5,
  symbol: 'point',
};
