import type { JointKind } from './kind';

/** A strip notched at both ends that holds a lid half open: nothing is bought but the strip. */
export const prop: JointKind = {
  name: ['prop', 'props'],
  takes: () => [],
  tools: ['saw'],
  minutes: 8,
  symbol: 'point',
};
