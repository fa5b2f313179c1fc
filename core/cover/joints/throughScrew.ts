import type { JointKind } from './kind';

/** Two screws through the foot of a pipe into its rail. */
export const throughScrew: JointKind = {
  name: ['foot screwed through', 'feet screwed through'],
  takes: (_, n) => [{ itemKey: 'screw-1-5/8', count: 2 * n }],
  tools: ['drill, 1/8 bit'],
  minutes: 1.2,
  symbol: 'point',
  tip: 'A 1/8 pilot through the pipe first, and the screw snug, not tight: plastic that is squeezed cracks in the cold.',
};
