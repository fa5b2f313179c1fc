import type { Bed } from '../bed/bed';
import { hoopCurve } from '../hoop/curve';
import type { Elastica } from '../hoop/elastica';
import { crop } from '../season/crops';
import { clearHeightAt } from './hoops';
import type { CropLine } from './types';

/** Height of the soil above the ground outside, mm. */
export function soilZ(bed: Bed): number {
  return bed.wall.heightMm - bed.soilBelowRimMm;
}

/** Where the crop's edge rows stand and how much air is left over the lower of them under a hoop. */
export function cropUnderHoop(
  bed: Bed,
  widthMm: number,
  cropKey: string,
  rowFromEdgeMm: number,
  hoop: Elastica,
  pipeKey: string,
  footY: number,
  footZ: number,
): CropLine {
  const ground = soilZ(bed);
  const topZMm = ground + crop(cropKey).heightMm;
  const edge = bed.wall.thicknessMm + rowFromEdgeMm;
  const rowYsMm = [edge, widthMm - edge];
  const curve = hoopCurve(hoop, 200);
  const clear = Math.min(...rowYsMm.map((y) => footZ + clearHeightAt(curve, pipeKey, footY, y)));
  return { cropKey, soilZMm: ground, rowYsMm, topZMm, clearanceMm: clear - topZMm };
}
