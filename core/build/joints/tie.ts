import { type Kind, said } from './kind';

/** UV cable ties, two of them crossed where a ridge meets a crown. */
export const tie: Kind = {
  name: ['tie', 'ties'],
  takes: (j, n) => [{ itemKey: 'cable-tie', count: n * said(j, 'each', 2) }],
  tools: ['knife'],
  minutes: 1.2,
  symbol: 'point',
};
