import { type JointKind, each } from './kind';

/** A clamp where a purlin crosses a hoop. */
export const crossing: JointKind = {
  name: ['clamp at a crossing', 'clamps at the crossings'],
  takes: each('cross-connector'),
  tools: ['driver'],
  minutes: 2,
  symbol: 'point',
};
