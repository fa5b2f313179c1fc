import { type JointKind, each } from './kind';

/** Staples: they hold a cover until something better does, or a net for good. */
export const staple: JointKind = {
  name: ['staple', 'staples'],
  takes: each('staple'),
  tools: ['stapler'],
  minutes: 0.15,
  symbol: 'line',
  divides: 'there',
};
