import type { Kind } from './kind';

/** Laid on what bears it: weight alone keeps it there. */
export const laid: Kind = {
  name: ['piece laid in place', 'pieces laid in place'],
  takes: () => [],
  tools: ['level'],
  minutes: 4,
  symbol: 'none',
};
