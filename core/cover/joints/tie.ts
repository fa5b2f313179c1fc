import { type JointKind, said } from './kind';

/** UV cable ties, two of them crossed where a ridge meets a crown. */
export const tie: JointKind = {
  name: ['tie', 'ties'],
  takes: (j, n) => [{ itemKey: 'cable-tie', count: n * said(j, 'each', 2) }],
  tools: ['knife'],
  minutes: 1.2,
  symbol: 'point',
};
