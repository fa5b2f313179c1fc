import type { JointKind } from './kind';

/** A socket cap screwed down on the rail: the hoop's foot stands in it and lifts out. */
export const socket: JointKind = {
  name: ['socket', 'sockets'],
  takes: (_, n) => [
    { itemKey: 'socket-cap', count: n },
    { itemKey: 'screw-1', count: n },
  ],
  tools: ['drill, 3/32 bit'],
  minutes: 1.2,
  symbol: 'point',
};
