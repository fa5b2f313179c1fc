import { type JointKind, holdsAs } from './kind';

/** A two-hole pipe strap and its two screws. */
export const strap: JointKind = {
  name: ['strap', 'straps'],
  takes: (_, n) => [
    { itemKey: 'strap', count: n },
    { itemKey: 'screw-1', count: 2 * n },
  ],
  tools: ['drill, 3/32 bit'],
  minutes: 1.2,
  symbol: 'point',
  holds: holdsAs('strap'),
};
