import { joint } from '../joints';
import type { CoverMaterial, Section } from '../../catalog/types';
import type { Joint, Member } from '../assembly/types';

/** How PVC is kept from film: painted, taped, or not at all. */
export type Guard = 'none' | 'paint' | 'tape';

/** Hoops that one small tin paints. */
const HOOPS_A_TIN = 8;

/**
 * What keeps the film from bare PVC, or that nothing does; nothing where there is no PVC under film.
 * @param pipes the pieces that the film lies on
 */
export function guardPvcJoints(
  guard: Guard,
  cover: CoverMaterial,
  pipe: Section,
  pipes: readonly Member[],
): readonly Joint[] {
  const { behaviour } = pipe.material;
  if (behaviour.kind !== 'plastic' || !behaviour.wearsFilm || cover.kind !== 'film') return [];
  const metres = Math.ceil(pipes.reduce((sum, p) => sum + p.lengthMm, 0) / 1000);
  const where = guard === 'tape' ? 'Along the outer face of the pipe' : 'PVC painted where film touches it';
  return joint('guardPvc', 'guard', where, pipes, [], {
    count: pipes.length,
    with: { how: guard, tins: Math.ceil(pipes.length / HOOPS_A_TIN), metres },
  });
}
