import { type JointKind, each, holdsAs } from './kind';

/** A cabin hook from a frame to the bed's wall. */
export const hook: JointKind = {
  name: ['hook to the bed', 'hooks to the bed'],
  takes: each('hook'),
  tools: ['driver'],
  minutes: 4,
  symbol: 'point',
  holds: holdsAs('hook'),
};
