import { joint } from '../joints';
import { type BuildSite, stock } from '../../site/buildSite';
import { boardShape } from '../../catalog/sections';
import { endsOf, piece } from '../assembly/pieces';
import type { Joint, Member } from '../assembly/types';

const BOARD = '1x6 treated';

/** Where a cover of part of a bed ends over soil, a board stands across the bed under it. */
export function crossBoards(
  tag: string,
  x0: number,
  x1: number,
  site: BuildSite,
): { readonly members: readonly Member[]; readonly joints: readonly Joint[] } {
  const { bed, survey } = site;
  const board = stock(site, BOARD);
  const z = bed.wall.heightMm - boardShape(board).widthMm / 2;
  const [near, far] = [bed.wall.thicknessMm, bed.wall.thicknessMm + bed.inside.widthMm];
  const open = [...(x0 > 1 ? [x0] : []), ...(x1 < survey.frameOn.lengthMm - 1 ? [x1] : [])];
  const members = open.map((x, i) =>
    piece(`${tag}${i + 1}`, 'Board across the soil', board, [x, near, z], [x, far, z], [0, 0, 1]),
  );
  return {
    members,
    joints: joint('buttScrew', 'boards across', 'Board across the soil, two screws an end', members, endsOf(members)),
  };
}
