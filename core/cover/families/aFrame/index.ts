import { family } from '../family';
import { aFrameParameters } from './answers';
import { assembleAFrame } from './assemble';

/** Two or more timber triangles and a ridge board, a sheet over them and flaps that roll up at the ends. */
export const aFrame = family({
  key: 'a-frame',
  name: 'A-frame',
  sentence: 'Timber triangles and a ridge: nothing to bend, snow slides off, and the ends roll up.',
  rank: 60,
  answers: aFrameParameters,
  assemble: assembleAFrame,
});
