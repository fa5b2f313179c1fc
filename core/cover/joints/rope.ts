import { type JointKind, each } from './kind';

/** Rope, counted in metres. */
export const rope: JointKind = {
  name: ['metre of rope', 'metres of rope'],
  takes: each('rope'),
  tools: ['knife'],
  minutes: 0.4,
  symbol: 'line',
};
