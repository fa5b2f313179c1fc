import { amount, phrase } from '../../../base/figure';
import { type Point2, type Vec3, slopeAt } from '../../../base/geometry';
import { type Result, fail, ok } from '../../../base/result';
import { isFitted } from '../../../catalog/fittings';
import { thicknessMm } from '../../../catalog/sections';
import type { Member, Stage } from '../../assembly/types';
import { MINUTES, stage, tagList } from '../../guide/stage';
import { joint } from '../../joints';
import { hoopMark, straightRun } from '../../joints/runs';
import { type Knot, betweenSlopes, fittingJoints } from '../../parts/gable';
import type { HingedHoopLidAnswers } from './answers';

/** What keeps the sides of the hoops apart at a height: slid on before they are bent in, or tied to them afterwards. */
export interface SidePurlins {
  readonly before: readonly Stage[];
  readonly after: readonly Stage[];
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
    xs.slice(1).map((_, i) => betweenSlopes(a.pipe, `R${2 + side + 2 * i}`, 'Side purlin', knot(i, y), knot(i + 1, y))),
  );
  const knots = ys.flatMap((y) => xs.map((_, i) => knot(i, y)));
  const sides = stage({
    id: 'sides',
    title: 'Slide the side purlins on',
    view: 'side',
    pieces: members,
    work: [
      phrase`Bore every fitting through where its hoop goes, ${amount(1, 'length')} wider than the pipe, clamped: its inner stop is cut away.`,
      `Slide them on the straight hoops, tees on both ends and crosses between, and push ${tagList(members)} home in them. Once the hoops stand, one screw through each into its hoop, at a third of the height.`,
    ],
    tools: ['spade bit', 'clamps', 'eye protection'],
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
    checks: ['Purlins level, and hoops as far apart there as at the feet'],
    minutes: MINUTES.start + 4 * members.length,
  });
  return { before: [sides], after: [] };
}

function tiedPurlins(
  a: HingedHoopLidAnswers,
  hoops: readonly Member[],
  under: readonly Point2[],
  [z, xs]: readonly [number, readonly number[]],
  width: number,
): SidePurlins {
  if (a.purlins === 'none') return { before: [], after: [] };
  const [first = 0, last = 0] = [xs[0], xs[xs.length - 1]];
  const at = leftAt(under, z, width);
  const places = [at.y, width - at.y].flatMap((y) => xs.map((x): Vec3 => [x, y, z]));
  const tied = (pipes: readonly Member[], joints: Stage['joints']): SidePurlins => {
    const sides = stage({
      id: 'sides',
      title: pipes.length > 0 ? 'Tie the side purlins' : 'Tie the side ropes',
      view: 'side',
      pieces: pipes,
      work: [
        pipes.length > 0
          ? `Hold ${tagList(pipes)} inside the hoops at a third of their height and tie them at every mark; cap both ends.`
          : 'Tie a rope hoop to hoop on both sides at a third of the height, with a turn round each, and make it fast to the end hoops.',
      ],
      joints,
      checks: ['Hoops stand as far apart there as at the feet'],
      minutes: MINUTES.start,
    });
    return { before: [], after: [sides] };
  };
  if (a.purlins === 'rope') {
    const metres = Math.ceil((2 * (last - first + xs.length * Math.PI * thicknessMm(a.pipe) + 600)) / 1000);
    const where = 'Both sides at a third of the height, with a turn round every hoop';
    return tied([], joint('rope', 'side purlins', where, hoops, places, { count: metres }));
  }
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
  return tied(members, [
    ...joint('tie', 'side purlins', 'Side purlins to every hoop, two ties crossed', [...members, ...hoops], places),
    ...joint('cap', 'purlin caps', 'Both ends of the side purlins', members, ends),
    ...runs.flatMap((run) => run.joints),
  ]);
}
