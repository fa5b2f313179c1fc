import { family } from '../family';
import { doubleWallColdFrameParameters } from './answers';
import { assembleDoubleWallColdFrame } from './assemble';

/** A stud box with film on both faces, a low twin-wall lid, a net under it and a wax opener in its own pocket. */
export const doubleWallColdFrame = family({
  key: 'double-wall-cold-frame',
  name: 'Double-wall cold frame',
  sentence: 'Walls of two films with air between, a low twin-wall lid that opens itself over an insect net.',
  rank: 80,
  answers: doubleWallColdFrameParameters,
  assemble: assembleDoubleWallColdFrame,
});
