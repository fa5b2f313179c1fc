import { CAUTIONS } from './cautions';
import { type JointKind, each, holdsAs } from './kind';

/** A board held to a house or garden wall: sleeve anchors in masonry, coach screws in studs; which is the joint's own. */
export const wallAnchor: JointKind = {
  name: ['wall anchor', 'wall anchors'],
  takes: (j, n) => [{ itemKey: j.with?.['wall'] === 'timber' ? 'coach-screw' : 'sleeve-anchor', count: n }],
  tools: ['masonry bit', 'wrench'],
  minutes: 6,
  symbol: 'point',
  holds: holdsAs('wall-anchor'),
  caution: CAUTIONS.wall,
};

/** A bolt through a post and the board wall of a bed, with a washer on both sides. */
export const wallBolt: JointKind = {
  name: ['bolt through the wall', 'bolts through the wall'],
  takes: each('wall-bolt'),
  tools: ['drill', 'wrench'],
  minutes: 5,
  symbol: 'point',
  tip: ['Drill straight through both, a washer under head and nut; dig the soil away inside first, and fill it back.'],
};

/** Sticky tape over the gap between a cover and a wall, so that rain stays outside; by the metre. */
export const flashing: JointKind = {
  name: ['metre of flashing', 'metres of flashing'],
  takes: each('flashing-tape'),
  tools: ['knife'],
  minutes: 4,
  symbol: 'line',
};
