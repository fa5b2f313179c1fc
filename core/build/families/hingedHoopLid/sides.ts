import { type Point2, type Vec3, slopeAt } from '../../../base/geometry';
import { type Result, fail, ok } from '../../../base/result';
import { isFitted } from '../../../catalog/fittings';
import { thicknessMm } from '../../../catalog/sections';
import type { Joint, Member } from '../../assembly/types';
import { joint } from '../../joints';
import { hoopMark, straightRun } from '../../joints/runs';
import { type Knot, between, fittingJoints } from '../../parts/gable';
import type { HingedHoopLidAnswers } from './answers';

/** What keeps the sides of the hoops apart at a height: ropes, or pipes tied under them. */
export interface SidePurlins {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
}

/** Purlins at both sides of the hoops, at a height; none where none are asked for. */
export function sidePurlins(
  a: HingedHoopLidAnswers,
  hoops: readonly Member[],
  faces: { readonly under: readonly Point2[]; readonly centre: readonly Point2[] },
  place: readonly [number, readonly number[]],
  width: number,
): Result<SidePurlins> {
  if (a.purlins !== 'tees') return ok(tiedPurlins(a, hoops, faces.under, place, width));
  return isFitted(a.pipe)
    ? ok(teedPurlins(a, hoops, faces.centre, place, width))
    : fail('purlins', 'No tees are moulded for this pipe: take 1/2 to 1-1/2 PVC, or tie the purlins.');
}

/** Where a line stands at a height on its left side: the first place from the middle outward that is no higher. */
const leftAt = (line: readonly Point2[], z: number, width: number): Point2 =>
  [...line.filter((p) => p.y < width / 2)].reverse().find((p) => p.z <= z) ?? { y: 0, z };

/** Short pipes between the hoops, in tees at both ends and crosses between, each bored through and slid on its hoop. */
function teedPurlins(
  a: HingedHoopLidAnswers,
  hoops: readonly Member[],
  centre: readonly Point2[],
  [z, xs]: readonly [number, readonly number[]],
  width: number,
): SidePurlins {
  const at = leftAt(centre, z, width);
  const ys = [at.y, width - at.y];
  const knot = (i: number, y: number): Knot => ({
    at: [xs[i] ?? 0, y, at.z],
    fitting: i === 0 || i === xs.length - 1 ? 'tee' : 'four-way',
  });
  const members = ys.flatMap((y, side) =>
    xs.slice(1).map((_, i) => between(a.pipe, `R${2 + side + 2 * i}`, 'Side purlin', knot(i, y), knot(i + 1, y))),
  );
  const knots = ys.flatMap((y) => xs.map((_, i) => knot(i, y)));
  return {
    members,
    joints: [
      ...fittingJoints(
        {
          tee: 'Side purlins to the end hoops, bored through',
          'four-way': 'Side purlins to the hoops between, bored through',
        },
        [...members, ...hoops],
        knots,
      ),
      ...joint(
        'tekScrew',
        'purlin screws',
        'One through each fitting into its hoop',
        [...members, ...hoops],
        knots.map((k) => k.at),
      ),
    ],
  };
}

function tiedPurlins(
  a: HingedHoopLidAnswers,
  hoops: readonly Member[],
  under: readonly Point2[],
  [z, xs]: readonly [number, readonly number[]],
  width: number,
): SidePurlins {
  if (a.purlins === 'none') return { members: [], joints: [] };
  const [first = 0, last = 0] = [xs[0], xs[xs.length - 1]];
  const at = leftAt(under, z, width);
  const places = [at.y, width - at.y].flatMap((y) => xs.map((x): Vec3 => [x, y, z]));
  if (a.purlins === 'rope')
    return {
      members: [],
      joints: joint(
        'rope',
        'side purlins',
        'Both sides at a third of the height, with a turn round every hoop',
        hoops,
        places,
        { count: Math.ceil((2 * (last - first + xs.length * Math.PI * thicknessMm(a.pipe) + 600)) / 1000) },
      ),
    };
  const r = thicknessMm(a.pipe) / 2;
  // Square to the hoop, inside it.
  const lean = Math.atan(slopeAt(under, at.y));
  const [y, pz] = [at.y + r * Math.sin(lean), z - r * Math.cos(lean)];
  const runs = [y, width - y].map((py, i) =>
    straightRun(`R${i + 2}`, 'Side purlin', a.pipe, [first - 30, last + 30], [py, pz], [0, 0, 1], {
      xs,
      mark: hoopMark,
    }),
  );
  const members = runs.flatMap((run) => run.members);
  const ends = [y, width - y].flatMap((py) => [first - 30, last + 30].map((x): Vec3 => [x, py, pz]));
  return {
    members,
    joints: [
      ...joint('tie', 'side purlins', 'Side purlins to every hoop, two ties crossed', [...members, ...hoops], places),
      ...joint('cap', 'purlin caps', 'Both ends of the side purlins', members, ends),
      ...runs.flatMap((run) => run.joints),
    ],
  };
}
