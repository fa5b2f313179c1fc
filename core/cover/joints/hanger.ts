import { type JointKind, each } from './kind';

/** A metal hanger that carries the end of a rafter. */
export const hanger: JointKind = {
  name: ['rafter hanger', 'rafter hangers'],
  takes: each('rafter-hanger'),
  tools: ['driver'],
  minutes: 4,
  symbol: 'point',
};
