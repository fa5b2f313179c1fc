import { type JointKind, said } from './kind';

/** Boards butted and screwed: which screw and how many at each place is the joint's own. */
export const buttScrew: JointKind = {
  name: ['screwed butt joint', 'screwed butt joints'],
  takes: (j, n) => [{ itemKey: String(j.with?.['screw'] ?? 'screw-2-1/2'), count: n * said(j, 'each', 2) }],
  tools: ['drill, 1/8 bit', 'driver'],
  minutes: 2.4,
  symbol: 'point',
};
