import { type JointKind, each } from './kind';

/** A tee hinge of a door. */
export const doorHinge: JointKind = {
  name: ['door hinge', 'door hinges'],
  takes: each('door-hinge'),
  tools: ['driver'],
  minutes: 4,
  symbol: 'point',
};

/** A thumb latch, worked from both sides. */
export const doorLatch: JointKind = {
  name: ['door latch', 'door latches'],
  takes: each('door-latch'),
  tools: ['driver'],
  minutes: 10,
  symbol: 'point',
};

/** A hand crank that rolls a side up. */
export const crank: JointKind = {
  name: ['crank', 'cranks'],
  takes: each('crank'),
  tools: ['driver'],
  minutes: 15,
  symbol: 'point',
};

/** Clips that hold film on a roll bar. */
export const rollClip: JointKind = {
  name: ['clip on a roll bar', 'clips on the roll bars'],
  takes: each('roll-clip'),
  tools: [],
  minutes: 0.4,
  symbol: 'line',
};
