import type { JointKind } from './kind';

/** A conduit strap and its two screws. */
export const uStrap: JointKind = {
  name: ['conduit strap', 'conduit straps'],
  takes: (j, n) => [
    { itemKey: 'u-strap', count: n },
    { itemKey: String(j.with?.['screw'] ?? 'screw-1'), count: 2 * n },
  ],
  tools: ['driver'],
  minutes: 1.2,
  symbol: 'point',
};
