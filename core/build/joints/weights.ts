import { type Kind, each, holdsAs } from './kind';

/** Bags or bricks of 5 kg on a skirt, an end or a strap. */
export const bag: Kind = {
  name: ['weight', 'weights'],
  takes: each('sandbag'),
  tools: [],
  minutes: 1.2,
  symbol: 'point',
  holds: holdsAs('bag'),
};

/** A brick on the corner of a lid. */
export const brick: Kind = {
  name: ['brick', 'bricks'],
  takes: each('brick'),
  tools: [],
  minutes: 0.5,
  symbol: 'point',
  holds: holdsAs('brick'),
};

/** A ground anchor, wired to its board. */
export const anchor: Kind = {
  name: ['ground anchor', 'ground anchors'],
  takes: each('ground-anchor'),
  tools: ['iron bar', 'pliers'],
  minutes: 10,
  symbol: 'point',
  holds: { ...holdsAs('anchor'), inSoil: true },
};
