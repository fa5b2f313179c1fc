import { type JointKind, each } from './kind';

/** Clear tape over a stapled edge of film, counted in metres. */
export const tapedEdge: JointKind = {
  name: ['metre of taped edge', 'metres of taped edge'],
  takes: each('seam-tape'),
  tools: [],
  minutes: 0.5,
  symbol: 'none',
};
