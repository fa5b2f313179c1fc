import type { BuildSite } from '../bed/buildSite';
import { stockFor } from '../catalog/market';
import { boardShape, section } from '../catalog/sections';
import { piece } from './pieces';
import type { Member } from './types';

const BOARD = '1x6 treated';

/** Where a cover of part of a bed ends over soil, a board stands across the bed under it. */
export function crossBoards(
  tag: string,
  x0: number,
  x1: number,
  { bed, survey, market }: BuildSite,
): readonly Member[] {
  const key = stockFor(market, BOARD);
  const z = bed.wall.heightMm - boardShape(section(key)).widthMm / 2;
  const [near, far] = [bed.wall.thicknessMm, bed.wall.thicknessMm + bed.inside.widthMm];
  const open = [...(x0 > 1 ? [x0] : []), ...(x1 < survey.frameOn.lengthMm - 1 ? [x1] : [])];
  return open.map((x, i) =>
    piece(`${tag}${i + 1}`, 'Board across the soil', key, [x, near, z], [x, far, z], [0, 0, 1]),
  );
}
