import type { JointKind } from './kind';

/** Laid on what bears it: weight alone keeps it there. */
export const laid: JointKind = {
  name: ['piece laid in place', 'pieces laid in place'],
  takes: () => [],
  tools: ['level'],
  minutes: 4,
  symbol: 'none',
};
