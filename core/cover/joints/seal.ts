import { type JointKind, each } from './kind';

/** Self-adhesive foam where a lid rests or two films must not touch, counted in metres. */
export const seal: JointKind = {
  name: ['metre of foam strip', 'metres of foam strip'],
  takes: each('foam-strip'),
  tools: [],
  minutes: 0.5,
  symbol: 'none',
};
