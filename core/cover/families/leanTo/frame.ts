import { treatedKey } from '../../../catalog/treatment';
import type { Vec3 } from '../../../base/geometry';
import { type Made, ok } from '../../../base/result';
import { section } from '../../../catalog/catalog';
import { boardShape } from '../../../catalog/sections';
import type { BuildSite } from '../../../site/buildSite';
import { piece } from '../../assembly/pieces';
import type { Member } from '../../assembly/types';
import { evenly } from '../../joints';
import { straightRun } from '../../joints/runs';
import { pentRoof } from '../../parts/pentRoof';
import { pentSkin } from '../../parts/pentSkin';
import type { LeanToAnswers } from './answers';

/** Ends deeper than this have a stud in their middle. */
const DEEP_END_MM = 900;

export type LeanToFrame = Made<typeof leanToFrame>;

/** Sills on the bed, a front wall of studs, a plate on the house wall, the roof from one to the other, and its skin. */
export function leanToFrame(a: LeanToAnswers, site: BuildSite) {
  const made = pentRoof(a, site, { bays: a.lids, wallOverMm: a.wallOverMm });
  if (!made.ok) return made;
  const roof = made.value;
  const { x0, x1, z0, width, t, studBoard, headZ, xs, marked } = roof;
  const sillBoard = section(site.catalog, treatedKey(studBoard.key));
  const p = boardShape(studBoard).widthMm;
  const plateAt = [width - t / 2, z0 + a.backMm - p / 2] as const;
  const upright = (tag: string, part: string, [x, y, toZ]: Vec3, wide: Vec3, bevelDeg?: number): Member =>
    piece(tag, part, studBoard, [x, y, z0 + t], [x, y, toZ], wide, {
      ...(bevelDeg !== undefined && { ends: ['square', 'bevel'], endAnglesDeg: [0, bevelDeg] }),
    });
  const middle = width / 2;
  const sill = straightRun('A1', 'Front sill', sillBoard, [x0, x1], [p / 2, z0 + t / 2], [0, 1, 0], { xs });
  const wallPlate = straightRun('W1', 'Wall plate', sillBoard, [x0, x1], plateAt, [0, 0, 1], marked);
  const endSills = [x0 + p / 2, x1 - p / 2].map((x, i) =>
    piece(`A${3 + i}`, 'End sill', sillBoard, [x, p, z0 + t / 2], [x, width, z0 + t / 2], [1, 0, 0]),
  );
  const posts = [x0 + p / 2, x1 - p / 2].map((x, i) =>
    upright(`P${i + 1}`, 'Wall post', [x, width - t / 2, z0 + a.backMm - p], [1, 0, 0]),
  );
  const studs = [
    ...evenly([x0 + t / 2, p / 2, headZ], [x1 - t / 2, p / 2, headZ], a.lids + 1).map((at, i) =>
      upright(`D${i + 1}`, 'Front stud', at, [0, 1, 0]),
    ),
    ...(width > DEEP_END_MM ? [x0 + t / 2, x1 - t / 2] : []).map((x, i) =>
      upright(`P${3 + i}`, 'End stud', [x, middle, roof.under(middle)], [0, 1, 0], roof.deg),
    ),
  ];
  const sills = [...sill.members, ...endSills];
  const low = [...sills, ...roof.header.members, ...studs, ...posts];
  return ok({
    ...roof,
    ...{ sill, wallPlate, plateAt, endSills, sills, posts, uprights: [...studs, ...posts] },
    /** What stands on the bed. */
    low,
    skin: pentSkin(a, roof, [...low, ...wallPlate.members, ...roof.rafters], site),
  });
}
