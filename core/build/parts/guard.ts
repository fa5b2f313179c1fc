import type { CoverMaterial, Section } from '../../catalog/types';
import type { Contact, HardwareUse, Member } from '../assembly/types';

/** How PVC is kept from film: painted, taped, or not at all. */
export type Guard = 'none' | 'paint' | 'tape';

/** Hoops that one small tin paints. */
const HOOPS_A_TIN = 8;

/**
 * What keeps the film from bare PVC, and whether anything does.
 * @param pipes the pieces that the film lies on
 */
export function guardPvc(
  guard: Guard,
  cover: CoverMaterial,
  pipe: Section,
  pipes: readonly Member[],
): { readonly hardware: readonly HardwareUse[]; readonly contacts: readonly Contact[] } {
  if (pipe.materialKey !== 'pvc') return { hardware: [], contacts: [] };
  const film = cover.kind === 'film';
  const contacts: readonly Contact[] = [{ what: 'bare PVC', guarded: film && guard !== 'none' }];
  if (!film || guard === 'none') return { hardware: [], contacts };
  const metres = Math.ceil(pipes.reduce((sum, p) => sum + p.lengthMm, 0) / 1000);
  const hardware: HardwareUse =
    guard === 'tape'
      ? { itemKey: 'pipe-tape', count: metres, joint: 'Along the outer face of the pipe' }
      : {
          itemKey: 'paint',
          count: Math.ceil(pipes.length / HOOPS_A_TIN),
          joint: 'PVC painted where film touches it',
        };
  return { hardware: [hardware], contacts };
}
