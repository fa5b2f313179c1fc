import { type Kind, each, holdsAs } from './kind';

/** A butt hinge with its screws. */
export const hinge: Kind = {
  name: ['hinge', 'hinges'],
  takes: each('hinge'),
  tools: ['driver'],
  minutes: 6,
  symbol: 'point',
  holds: holdsAs('hinge'),
};
