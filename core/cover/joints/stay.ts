import { type JointKind, each } from './kind';

/** A chain that holds a lid open. */
export const stay: JointKind = {
  name: ['stay', 'stays'],
  takes: each('stay'),
  tools: ['driver'],
  minutes: 5,
  symbol: 'point',
};
