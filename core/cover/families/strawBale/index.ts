import { family } from '../family';
import { strawBaleParameters } from './answers';
import { assembleStrawBale } from './assemble';

/** Bales round the bed and windows or a stiff sheet on top, for one winter. */
export const strawBale = family({
  key: 'straw-bale',
  name: 'Straw-bale frame',
  sentence: 'Bales round the bed and old windows on top: up in an hour, warm for one winter, and mulch in spring.',
  rank: 90,
  answers: strawBaleParameters,
  assemble: assembleStrawBale,
});
