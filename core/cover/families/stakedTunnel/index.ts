import { family } from '../family';
import { stakedTunnelParameters } from './answers';
import { assembleStakedTunnel } from './assemble';

/** Separate hoops over driven rods, in the soil or strapped to the bed wall; loose cover weighted at the foot. */
export const stakedTunnel = family({
  key: 'staked-tunnel',
  name: 'Staked tunnel',
  sentence: 'Hoops over driven rods with a loose sheet weighted at the foot: up in an hour, away in ten minutes.',
  rank: 10,
  answers: stakedTunnelParameters,
  assemble: assembleStakedTunnel,
});
