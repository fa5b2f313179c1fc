import { type Kind, each } from './kind';

/** A coupler where two pipes meet. */
export const coupler: Kind = {
  name: ['coupler', 'couplers'],
  takes: each('coupler'),
  tools: [],
  minutes: 1,
  symbol: 'point',
};
