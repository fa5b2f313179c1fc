import { family } from '../family';
import { liftOffCoverParameters } from './answers';
import { assembleLiftOffCover } from './assemble';

/** A light timber frame with hoops and plywood ends, carried away in spring. */
export const liftOffCover = family({
  key: 'lift-off-cover',
  name: 'Lift-off hoop cover',
  sentence: 'A light frame of hoops with firm ends that sits on the bed or in it, and is carried away in spring.',
  rank: 40,
  answers: liftOffCoverParameters,
  assemble: assembleLiftOffCover,
});
