import type { JointKind } from './kind';

/** Film channel with its spring wire and a screw each third of a metre; counted in metres. */
export const channel: JointKind = {
  name: ['metre of channel', 'metres of channel'],
  takes: (j, n) => [
    { itemKey: 'channel', count: n },
    { itemKey: 'spring-wire', count: n },
    { itemKey: String(j.with?.['screw'] ?? 'tek-screw'), count: 3 * n },
  ],
  tools: ['drill', 'hacksaw'],
  minutes: 3,
  symbol: 'line',
  divides: 'there',
};
