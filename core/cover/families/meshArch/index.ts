import { family } from '../family';
import { meshArchParameters } from './answers';
import { assembleMeshArch } from './assemble';

/** Welded reinforcing mesh bent over the bed, with two sheets that part at the crown. */
export const meshArch = family({
  key: 'mesh-arch',
  name: 'Mesh arch',
  sentence: 'Welded mesh bent over the bed and pushed into the soil; two sheets part at the crown to reach in.',
  rank: 110,
  answers: meshArchParameters,
  assemble: assembleMeshArch,
});
