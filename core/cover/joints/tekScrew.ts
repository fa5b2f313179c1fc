import { type JointKind, said } from './kind';

/** Self-drilling screws through steel, or through a moulded socket into its pipe. */
export const tekScrew: JointKind = {
  name: ['self-drilling screw', 'self-drilling screws'],
  takes: (j, n) => [{ itemKey: 'tek-screw', count: n * said(j, 'each', 1) }],
  tools: ['drill'],
  minutes: 0.6,
  symbol: 'point',
};
