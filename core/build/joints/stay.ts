import { type Kind, each } from './kind';

/** A chain that holds a lid open. */
export const stay: Kind = {
  name: ['stay', 'stays'],
  takes: each('stay'),
  tools: ['driver'],
  minutes: 5,
  symbol: 'point',
};
