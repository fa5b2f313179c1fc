import type { JointKind } from './kind';

/** Something bought that is only put in its place: a jug, a film on a pane. Which one is the joint's own. */
export const put: JointKind = {
  name: ['thing put in place', 'things put in place'],
  takes: (j, n) => [{ itemKey: String(j.with?.['item'] ?? ''), count: n }],
  tools: [],
  minutes: 0,
  symbol: 'none',
};
