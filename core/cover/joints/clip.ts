import { type JointKind, each } from './kind';

/** A spring clip over film and pipe, a soft sleeve under it. */
export const clip: JointKind = {
  name: ['clip', 'clips'],
  takes: each('clip'),
  tools: [],
  minutes: 0.6,
  symbol: 'point',
  divides: 'there',
};
