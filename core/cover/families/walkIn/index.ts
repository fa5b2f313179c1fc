import { family } from '../family';
import { walkInParameters } from './answers';
import { assembleWalkIn } from './assemble';

/** Posts, long hoops, purlins, framed ends with a door and roll-up sides: a house over one bed or several. */
export const walkIn = family({
  key: 'walk-in',
  name: 'Walk-in hoop house',
  sentence: 'Long hoops on posts with a door and roll-up sides: you stand in it, and it shelters bed and path alike.',
  rank: 120,
  answers: walkInParameters,
  // Bolted to its bed it is no house to walk into.
  standsOn: { id: 'posts', ways: ['driven', 'dug', 'timber', 'rails'] },
  assemble: assembleWalkIn,
});
