import { family } from '../family';
import { hingedHoopLidParameters } from './answers';
import { assembleHingedHoopLid } from './assemble';

/** A timber frame the size of the bed with hoops in it, hinged to the bed along one long side. */
export const hingedHoopLid = family({
  key: 'hinged-hoop-lid',
  name: 'Hinged hoop lid',
  sentence: 'A frame of hoops hinged to the bed: one hand opens it, and it airs on a stay.',
  rank: 30,
  answers: hingedHoopLidParameters,
  assemble: assembleHingedHoopLid,
});
