import { type JointKind, each, holdsAs } from './kind';

/** An angle bracket from a frame to the bed's wall. */
export const bracket: JointKind = {
  name: ['bracket to the bed', 'brackets to the bed'],
  takes: each('bracket'),
  tools: ['driver'],
  minutes: 4,
  symbol: 'point',
  holds: holdsAs('bracket'),
};
