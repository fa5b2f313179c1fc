import { CAUTIONS } from './cautions';
import { type Kind, each, holdsAs } from './kind';

/** A board held to a house or garden wall: sleeve anchors in masonry, coach screws in studs; which is the joint's own. */
export const wallAnchor: Kind = {
  name: ['wall anchor', 'wall anchors'],
  takes: (j, n) => [{ itemKey: j.with?.['wall'] === 'timber' ? 'coach-screw' : 'sleeve-anchor', count: n }],
  tools: ['drill, masonry bit', 'socket wrench'],
  minutes: 6,
  symbol: 'point',
  holds: holdsAs('wall-anchor'),
  caution: CAUTIONS.wall,
};

/** Sticky tape over the gap between a cover and a wall, so that rain stays outside; by the metre. */
export const flashing: Kind = {
  name: ['metre of flashing', 'metres of flashing'],
  takes: each('flashing-tape'),
  tools: ['knife'],
  minutes: 4,
  symbol: 'line',
};
