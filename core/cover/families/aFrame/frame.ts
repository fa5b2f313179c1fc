import type { Point2, Vec3 } from '../../../base/geometry';
import { type Made, fail, ok } from '../../../base/result';
import { boardShape } from '../../../catalog/sections';
import { type BuildSite, stock } from '../../../site/buildSite';
import { piece } from '../../assembly/pieces';
import type { Member } from '../../assembly/types';
import { straightRun } from '../../joints/runs';
import { hoopPlaces } from '../../parts/hoops';
import type { AFrameAnswers } from './answers';

const RAIL = '1x4 treated';
const TIE = '1x4 treated';
const BATTEN = '1x2';

/** Each mark carries both legs of its triangle. */
const markLabel = (n: number): string => `L${2 * n + 1}, L${2 * n + 2}`;

export type AFrame = Made<typeof triangleFrame>;

/** Triangles of two legs against a ridge board, with rails along their feet, ties across the ends, and battens over the rails. */
export function triangleFrame(a: AFrameAnswers, site: BuildSite) {
  const width = site.survey.frameOn.widthMm;
  const [x0, x1] = a.extent;
  const [leg, ridge] = [boardShape(a.leg), boardShape(a.ridge)];
  const z0 = site.bed.wall.heightMm;
  // Plumb face of the ridge that the left legs meet; the way along and off the left slope.
  const topY = width / 2 - ridge.thicknessMm / 2;
  const angle = Math.atan2(a.heightMm, topY);
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const steepDeg = (angle * 180) / Math.PI;
  if (steepDeg < 25 || steepDeg > 75)
    return fail('height', 'The legs must slope between 25 and 75 degrees: change the height of the ridge.');
  if (leg.widthMm / sin > width / 3)
    return fail('leg', 'The legs are too wide for so narrow a bed: choose a narrower board.');
  const places = hoopPlaces(x0, x1, leg.thicknessMm / 2, a.pairs, a.maxSpacingMm);
  if (!places.ok) return places;
  const xs = places.value;
  const [first, last] = [xs[0] ?? x0, xs[xs.length - 1] ?? x1];

  const onSlope = (along: number, off: number): Point2 => ({
    y: cos * along - sin * off,
    z: z0 + sin * along + cos * off,
  });
  /** A place so far up a slope from its foot and so far off it, on the near or the far side. */
  const at = (x: number, along: number, off: number, far: boolean): Vec3 => {
    const p = onSlope(along, off);
    return [x, far ? width - p.y : p.y, p.z];
  };
  const half = leg.widthMm / 2;
  const asked = { id: 'pairs', now: xs.length, words: ['triangle', 'triangles'] } as const;
  const legs = xs.flatMap((x, i) =>
    [false, true].map((far, k) => ({
      ...piece(
        `L${2 * i + k + 1}`,
        'Leg',
        a.leg,
        at(x, (half * cos) / sin, -half, far),
        at(x, (topY - half * sin) / cos, -half, far),
        [0, far ? sin : -sin, cos],
        { ends: ['bevel', 'mitre'], endAnglesDeg: [90 - steepDeg, steepDeg] },
      ),
      asked,
    })),
  );
  const [railBoard, batten, tieBoard] = [stock(site, RAIL), stock(site, BATTEN), stock(site, TIE)];
  const rail = boardShape(railBoard);
  const tie = boardShape(tieBoard);
  const middle = rail.widthMm / 2;
  const alongFeet = (letter: string, part: string, board: typeof batten, off: number, mark?: typeof markLabel) =>
    [false, true].map((far, i) => {
      const [, y, z] = at(0, middle, off, far);
      return straightRun(`${letter}${i + 1}`, part, board, [x0, x1], [y, z], [0, far ? -cos : cos, sin], { xs, mark });
    });
  const railRuns = alongFeet('A', 'Side rail', railBoard, rail.thicknessMm / 2, markLabel);
  const overRails =
    a.fixing === 'battens'
      ? alongFeet('B', 'Cover batten', batten, rail.thicknessMm + boardShape(batten).thicknessMm / 2)
      : [];
  const inset = tie.widthMm / Math.tan(angle);
  const out = (leg.thicknessMm + tie.thicknessMm) / 2;
  const low = onSlope((topY - leg.widthMm * sin) / cos, -leg.widthMm).z;
  const leftUnder: readonly Point2[] = [
    { y: leg.widthMm / sin, z: z0 },
    { y: topY, z: low },
    { y: topY, z: Math.min(low, z0 + a.heightMm - ridge.widthMm) },
  ];
  const ridgeAt = [width / 2, z0 + a.heightMm - ridge.widthMm / 2] as const;
  const ridgeRun = straightRun('R1', 'Ridge board', a.ridge, [x0, x1], ridgeAt, [0, 0, 1], { xs, mark: markLabel });
  return ok({
    x0,
    x1,
    z0,
    xs,
    width,
    steepDeg,
    spacingMm: (last - first) / (xs.length - 1),
    /** From the foot of a leg to the ridge, along the slope. */
    slopeMm: topY / cos,
    topY,
    onSlope,
    at,
    rail,
    batten,
    legs,
    endLegs: [...legs.slice(0, 2), ...legs.slice(-2)] as readonly Member[],
    ridge: { ...ridgeRun, members: ridgeRun.members.map((m) => ({ ...m, asked })) },
    rails: { members: railRuns.flatMap((r) => r.members), joints: railRuns.flatMap((r) => r.joints) },
    railsAt: xs.flatMap((x) => [false, true].map((far) => at(x, middle, 0, far))),
    battens: overRails.flatMap((r) => r.members),
    ties: [first + out, last - out].map((x, i) => {
      const z = z0 + tie.widthMm / 2;
      return piece(`T${i + 1}`, 'Foot tie', tieBoard, [x, inset, z], [x, width - inset, z], [0, 0, 1]);
    }),
    /** Under the legs and the ridge, from foot to foot. */
    under: [...leftUnder, ...leftUnder.map((p) => ({ y: width - p.y, z: p.z })).reverse()],
  });
}
