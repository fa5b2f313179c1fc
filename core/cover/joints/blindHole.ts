import type { JointKind } from './kind';

/** The foot of a hoop in a hole bored into its rail: nothing is bought for it. */
export const blindHole: JointKind = {
  name: ['foot in its hole', 'feet in their holes'],
  takes: () => [],
  tools: ['drill, spade bit'],
  minutes: 3,
  symbol: 'point',
};
