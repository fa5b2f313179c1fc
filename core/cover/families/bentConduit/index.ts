import { family } from '../family';
import { bentConduitParameters } from './answers';
import { assembleBentConduit } from './assemble';

/** Thin-wall steel conduit bent at crown and shoulders, its legs in blind holes of a timber frame. */
export const bentConduit = family({
  key: 'bent-conduit',
  name: 'Bent-conduit frame',
  sentence:
    'Steel conduit bent to straight sides and a pitched roof: headroom at the edge, and it stands snow for years.',
  rank: 50,
  answers: bentConduitParameters,
  assemble: assembleBentConduit,
});
