import type { JointKind } from './kind';

/** A moulded fitting that pipes are pushed into: which one is the joint's own. */
export const fitting: JointKind = {
  name: ['fitting', 'fittings'],
  takes: (j, n) => [{ itemKey: String(j.with?.['fitting'] ?? 'tee'), count: n }],
  tools: ['rubber mallet'],
  minutes: 2,
  symbol: 'point',
};
