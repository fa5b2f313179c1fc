import { type JointKind, each } from './kind';

/** A coupler where two pipes meet. */
export const coupler: JointKind = {
  name: ['coupler', 'couplers'],
  takes: each('coupler'),
  tools: [],
  minutes: 1,
  symbol: 'point',
};
