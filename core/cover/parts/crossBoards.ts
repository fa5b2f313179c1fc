import { joint } from '../joints';
import { type BuildSite, stock } from '../../site/buildSite';
import { boardShape } from '../../catalog/sections';
import { endsOf, piece } from '../assembly/pieces';
import type { Joint, Member } from '../assembly/types';

const BOARD = '1x6 treated';

/** Boards across the bed under ends that stand over soil. */
export interface CrossBoards {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
}

/** The ends of what stands from x0 to x1 that are over soil, not over a wall of the bed. */
export const overSoil = ([x0, x1]: readonly [number, number], { survey }: BuildSite): readonly number[] => [
  ...(x0 > 1 ? [x0] : []),
  ...(x1 < survey.frameOn.lengthMm - 1 ? [x1] : []),
];

/** Where a cover of part of a bed ends over soil, a board stands across the bed under it. */
export function crossBoards(letter: string, openEnds: readonly number[], site: BuildSite): CrossBoards {
  const { wall, inside } = site.bed;
  const board = stock(site, BOARD);
  const z = wall.heightMm - boardShape(board).widthMm / 2;
  const [near, far] = [wall.thicknessMm, wall.thicknessMm + inside.widthMm];
  const members = openEnds.map((x, i) =>
    piece(`${letter}${i + 1}`, 'Board across the soil', board, [x, near, z], [x, far, z], [0, 0, 1]),
  );
  return {
    members,
    joints: joint('buttScrew', 'boards across', 'Board across the soil, two screws an end', members, endsOf(members)),
  };
}
