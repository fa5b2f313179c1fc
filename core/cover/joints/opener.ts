import { type JointKind, each } from './kind';

/** A wax opener between lid and back. */
export const opener: JointKind = {
  name: ['wax opener', 'wax openers'],
  takes: each('opener'),
  tools: ['driver'],
  minutes: 20,
  symbol: 'point',
};
