import { type JointKind, each } from './kind';

/** The hinges and turn button of a vent's own flap. */
export const ventFlap: JointKind = {
  name: ['vent with its flap', 'vents with their flaps'],
  takes: each('vent-flap'),
  tools: ['driver'],
  minutes: 10,
  symbol: 'point',
};

/** A louvre that opens and shuts by its own thermostat. */
export const louvre: JointKind = {
  name: ['louvre', 'louvres'],
  takes: each('louvre'),
  tools: ['driver'],
  minutes: 15,
  symbol: 'point',
};
