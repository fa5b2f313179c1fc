import { type JointKind, each, holdsAs } from './kind';

/** A hook and eye that holds a lid shut. */
export const latch: JointKind = {
  name: ['latch', 'latches'],
  takes: each('latch'),
  tools: ['driver'],
  minutes: 5,
  symbol: 'point',
  holds: holdsAs('latch'),
};
