import type { Bed } from '../../site/bed';
import type { BuildSite } from '../../site/buildSite';
import type { Crop } from '../../catalog/crops';
import { type Point2, heightAt } from '../../base/geometry';
import type { CropLine } from './types';

/** Height of the soil above the ground outside, mm. */
export function soilZ(bed: Bed): number {
  return bed.wall.heightMm - bed.soilBelowRimMm;
}

/**
 * Where the crop's edge rows stand and how much air is left over the lower of them.
 * @param under underside of the cover across the bed
 */
export function cropUnder(
  { bed, survey }: Pick<BuildSite, 'bed' | 'survey'>,
  crop: Crop,
  rowFromEdgeMm: number,
  under: readonly Point2[],
): CropLine {
  const ground = soilZ(bed);
  const topZMm = ground + crop.heightMm;
  const edge = bed.wall.thicknessMm + rowFromEdgeMm;
  const rowYsMm = [edge, survey.frameOn.widthMm - edge];
  const clear = Math.min(...rowYsMm.map((y) => heightAt(under, y)));
  return { crop, soilZMm: ground, rowYsMm, topZMm, clearanceMm: clear - topZMm };
}
