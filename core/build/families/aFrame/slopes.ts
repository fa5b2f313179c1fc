import type { Point2, Vec3 } from '../../../base/geometry';
import { boardShape } from '../../../catalog/sections';
import type { Section } from '../../../catalog/types';
import type { Joint, Member, SheetPart } from '../../assembly/types';
import { joint, spreadAlong } from '../../joints';
import { stripOver } from '../../parts/frame';
import type { AFrameAnswers } from './answers';

/** The slope of the legs and the way along and off the left one. */
export interface Slope {
  readonly angle: number;
  readonly along: Point2;
  readonly off: Point2;
  /** Plumb face of the ridge that the left legs meet. */
  readonly topY: number;
}

/** What keeps the film on the slopes from lifting: a batten over it on every leg, or a rope over the ridge in every bay. */
export function dividedSlopes(
  a: AFrameAnswers,
  f: {
    readonly legs: readonly Member[];
    readonly xs: readonly number[];
    readonly s: Slope;
    readonly at: (along: number, off: number) => Point2;
    readonly sideY: (p: Point2, far: boolean) => number;
    readonly rail: { readonly widthMm: number; readonly thicknessMm: number };
    readonly batten: Section;
  },
): {
  readonly members: readonly Member[];
  readonly joints: (sheet: readonly SheetPart[], rails: readonly Member[]) => readonly Joint[];
} {
  const slopeMm = f.s.topY / f.s.along.y;
  const out = boardShape(f.batten).thicknessMm / 2;
  // From the upper edge of the rail, where the film leaves it, to a finger short of the ridge.
  const [low, high] = [f.at(f.rail.widthMm + 10, f.rail.thicknessMm + out), f.at(slopeMm - 20, out)];
  if (a.slopes === 'battens') {
    const members = f.xs.flatMap((x, i) =>
      [false, true].flatMap((far, k) =>
        stripOver(
          `K${2 * i + k + 1}`,
          'Leg batten',
          f.batten,
          [
            [x, f.sideY(low, far), low.z],
            [x, f.sideY(high, far), high.z],
          ],
          [1, 0, 0],
        ),
      ),
    );
    const places = spreadAlong(members, 300);
    return {
      members,
      joints: (sheet) =>
        joint(
          'batten',
          'leg battens',
          'Battens on the legs, one every 300 mm',
          [...members, ...f.legs, ...sheet],
          places,
        ),
    };
  }
  const bays = f.xs.slice(1).map((x, i) => (x + (f.xs[i] ?? x)) / 2);
  const middle = f.at(slopeMm / 2, f.rail.thicknessMm / 2);
  return {
    members: [],
    joints: (sheet, rails) =>
      a.slopes === 'rope'
        ? joint(
            'lacing',
            'lacing',
            'Over the ridge in every bay, to a screw in both rails',
            [...sheet, ...rails],
            bays.flatMap((x) => [false, true].map((far): Vec3 => [x, f.sideY(middle, far), middle.z])),
            { count: Math.ceil((bays.length * (2 * slopeMm + 600)) / 1000), with: { screws: 1 } },
          )
        : [],
  };
}
