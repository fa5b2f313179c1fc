import { type Kind, each } from './kind';

/** A metal hanger that carries the end of a rafter. */
export const hanger: Kind = {
  name: ['rafter hanger', 'rafter hangers'],
  takes: each('rafter-hanger'),
  tools: ['driver'],
  minutes: 4,
  symbol: 'point',
};
