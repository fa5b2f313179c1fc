import { type JointKind, each } from './kind';

/** A U-bolt round a crown and its ridge. */
export const uBolt: JointKind = {
  name: ['U-bolt', 'U-bolts'],
  takes: each('u-bolt'),
  tools: ['spanner'],
  minutes: 2.4,
  symbol: 'point',
};
