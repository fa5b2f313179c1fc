import { family } from '../family';
import { slopedColdFrameParameters } from './answers';
import { assembleSlopedColdFrame } from './assemble';

/** A solid board box, back higher than front, with a glazed lid. */
export const slopedColdFrame = family({
  key: 'sloped-cold-frame',
  name: 'Sloped cold frame',
  sentence: 'A board box with its glazed lid leaning to the noon sun: the warmest for its price, for low crops.',
  rank: 70,
  answers: slopedColdFrameParameters,
  assemble: assembleSlopedColdFrame,
});
