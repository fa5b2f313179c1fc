import { type Point2, enclosedArea, pathLength } from '../../base/geometry';
import type { CoverMaterial } from '../../catalog/types';
import type { Enclosure } from './types';

/**
 * The air under a cover of one cross-section along its whole length, shut at both ends.
 * @param line the cover across the bed, mm; its ends are joined along the soil
 * @param over length covered, width and inside height, mm
 */
export function underLine(
  cover: CoverMaterial,
  line: readonly Point2[],
  over: { readonly lengthMm: number; readonly widthMm: number; readonly heightMm: number },
): Enclosure {
  const sectionM2 = enclosedArea(line) / 1e6;
  return {
    cover,
    floorM2: (over.lengthMm * over.widthMm) / 1e6,
    coverM2: (pathLength(line) * over.lengthMm) / 1e6 + 2 * sectionM2,
    volumeM3: (sectionM2 * over.lengthMm) / 1000,
    heightM: over.heightMm / 1000,
  };
}
