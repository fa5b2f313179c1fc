import { type JointKind, each, holdsAs, said } from './kind';

/** Bags or bricks of 5 kg on a skirt, an end or a strap. */
export const bag: JointKind = {
  name: ['weight', 'weights'],
  takes: each('sandbag'),
  tools: [],
  minutes: 1.2,
  symbol: 'point',
  holds: holdsAs('bag'),
};

/** A brick on the corner of a lid. */
export const brick: JointKind = {
  name: ['brick', 'bricks'],
  takes: each('brick'),
  tools: [],
  minutes: 0.5,
  symbol: 'point',
  holds: holdsAs('brick'),
};

/** A bar laid along a skirt: it holds by its own weight. */
export const weightBar: JointKind = {
  name: ['bar on the skirt', 'bars on the skirt'],
  takes: () => [],
  tools: [],
  minutes: 1,
  symbol: 'line',
  holds: { key: 'bag', worth: (j) => said(j, 'kgEach', BAG_KG) / BAG_KG },
};
/** What a bag weighs. */
const BAG_KG = 5;

/** A ground anchor, wired to its board. */
export const anchor: JointKind = {
  name: ['ground anchor', 'ground anchors'],
  takes: each('ground-anchor'),
  tools: ['iron bar', 'pliers'],
  minutes: 10,
  symbol: 'point',
  holds: { ...holdsAs('anchor'), inSoil: true },
};
