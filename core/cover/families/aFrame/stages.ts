import { amount, phrase } from '../../../base/figure';
import type { Vec3 } from '../../../base/geometry';
import { boardShape } from '../../../catalog/sections';
import type { BuildSite } from '../../../site/buildSite';
import { endsOf } from '../../assembly/pieces';
import type { SheetPart, Stage } from '../../assembly/types';
import type { Stages } from '../../guide/built';
import { MINUTES, countKind, sayCount, stage, tagList } from '../../guide/stage';
import { joint, spreadAlong } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { batteningOf, stripOver, BATTEN_SCREWS_MM } from '../../parts/frame';
import { coverFrameStage, fasteningWork, setOnWall } from '../../parts/frameStages';
import { type FramedCover, fastened } from '../../parts/framedSheet';
import type { AFrameAnswers } from './answers';
import type { AFrame } from './frame';

/** The frame in building order: cut, pattern, ridge, raise, rails, cover, fix down. */
export function aFrameStages(
  a: AFrameAnswers,
  f: AFrame,
  covered: FramedCover,
  sheets: readonly SheetPart[],
  site: BuildSite,
): Stages {
  const { legs, ridge, rails, ties, battens, endLegs } = f;
  const [cover, flaps] = [sheets.slice(0, 1), sheets.slice(1)];
  const ofLegs = (end: 0 | 1): readonly Vec3[] => legs.flatMap((m) => endsOf([m]).slice(end, end + 1));
  const [feetAt, topsAt] = [ofLegs(0), ofLegs(1)];
  const legMm = legs[0]?.lengthMm ?? 0;
  const anchors = a.anchors ?? legs.length;
  const brackets = joint('bracket', 'anchors', 'Legs to the bed wall', legs, feetAt.slice(0, anchors), {
    ask: 'anchors',
    count: anchors,
  });
  const set = setOnWall([...legs, ...ties], 'C', [f.x0, f.x1], site);
  const small = { with: { screw: 'screw-1-5/8' } };
  const sharp = [...ridge.members, ...endLegs];
  return [
    'cut',
    stage({
      id: 'pattern',
      title: 'Cut the leg ends to a pattern',
      view: 'end',
      pieces: legs,
      work: [
        phrase`Mark one leg: the top cut leans ${amount(f.steepDeg, 'angle')} off square and the foot cut ${amount(90 - f.steepDeg, 'angle')}, both shortening the same edge.`,
        'Try it with a second one against a scrap of the ridge: foot flat, top plumb. Then cut all legs to it.',
      ],
      tools: ['hand saw', 'bevel gauge', 'pencil'],
      checks: ['All legs alike when stood on edge together'],
      cautions: [CAUTIONS.saw],
      minutes: MINUTES.start + legs.length * 5,
    }),
    stage({
      id: 'ridge',
      title: 'Screw the legs to the ridge',
      view: 'side',
      pieces: [...ridge.members, ...legs],
      work: [
        phrase`Mark ${tagList(ridge.members)} from its left end as drawn, ${amount(f.spacingMm, 'length')} from leg to leg.`,
        'Lay it upside down on flat ground. Two screws through the ridge into each leg, both sides of each mark.',
      ],
      tools: ['square'],
      joints: [
        ...joint('buttScrew', 'ridge', 'Two through the ridge into each leg', [...legs, ...ridge.members], topsAt, {
          with: { screw: 'screw-3' },
        }),
        ...ridge.joints,
      ],
      checks: ['Tops of the legs flush with the top of the ridge'],
      minutes: MINUTES.start + legs.length * 4,
    }),
    stage({
      id: 'raise',
      title: 'Raise it on the bed and tie the feet',
      view: 'end',
      pieces: set.pieces,
      work: [
        ...set.work,
        'Two people: turn it over and set the feet on the walls, flush outside.',
        `Screw ${tagList(ties)} across the end triangles.`,
        countKind(brackets, 'bracket') > 0 &&
          `Screw ${sayCount(countKind(brackets, 'bracket'), 'bracket')} between the legs and the wall.`,
      ],
      tools: ['level', 'tape'],
      joints: [
        ...joint('buttScrew', 'foot ties', 'Foot ties, two screws an end', [...ties, ...endLegs], endsOf(ties), small),
        ...brackets,
        ...set.joints,
      ],
      checks: ['The ridge is level', 'End triangles plumb', 'Diagonals of each slope equal'],
      minutes: MINUTES.start + 10,
    }),
    stage({
      id: 'rails',
      title: 'Fix the side rails',
      view: 'side',
      pieces: rails.members,
      work: [
        `Lay ${tagList(rails.members)} along the feet on the slope, and screw each to every leg at its mark.`,
        a.edge === 'guarded' &&
          'Round the top of the ridge and the outer edges of the end legs with a rasp, or tape them.',
      ],
      joints: [
        ...joint(
          'buttScrew',
          'rails',
          'Side rails to every leg, two screws',
          [...rails.members, ...legs],
          f.railsAt,
          small,
        ),
        ...rails.joints,
        ...joint('roundedEdge', 'edges', 'Top of the ridge and outer edges of the end legs', sharp, [], {
          count: 3,
          with: { how: a.edge },
        }),
      ],
      checks: a.edge === 'guarded' ? ['No sharp edge where the cover will lie'] : [],
      minutes: MINUTES.start + rails.members.length * 4,
    }),
    coverFrameStage({
      sheets,
      battens,
      fastening: fasteningWork(a.fixing, a.wrapMm),
      ends:
        a.ends === 'flap'
          ? 'Staple a flap along the top of each end triangle; it rolls up and is tied, or hangs down under two bags.'
          : 'Fold both ends in like a parcel and staple them to the end legs under a strip of batten.',
      joints: [
        ...fastened(a.fixing, {
          sheets: cover,
          rails: rails.members,
          hoops: [],
          battening: batteningOf(battens, rails.members),
          cover: covered,
          railZ: f.z0,
          y0: 0,
          endStaples: Math.ceil((4 * legMm) / 150),
          channelScrew: 'screw-1',
        }),
        ...joint(
          'staple',
          'flap heads',
          'Flaps along the top of the end triangles',
          [...flaps, ...endLegs],
          topsAt.slice(0, 2),
          {
            count: flaps.length * Math.ceil((2 * legMm) / 150),
          },
        ),
      ],
    }),
    ...slopeStages(a, f, cover),
    ...(flaps.length > 0
      ? [
          flapStage(
            flaps,
            endLegs.flatMap((m) => endsOf([m]).slice(0, 1)),
            topsAt.slice(0, 2),
          ),
        ]
      : []),
  ];
}

/** Flaps that hang at both ends: weighted, or rolled up and tied. */
function flapStage(flaps: readonly SheetPart[], feet: readonly Vec3[], tops: readonly Vec3[]): Stage {
  return stage({
    id: 'use',
    title: 'Try the flaps',
    view: 'end',
    pieces: flaps,
    work: ['Roll both ends up and tie them; let them down and weight them.'],
    joints: [
      ...joint('bag', 'flap weights', 'Two on each end flap', flaps, feet, { with: { holds: 'nothing' } }),
      ...joint('rope', 'flap ties', 'Ties that hold the flaps rolled up', flaps, tops, { count: 4 }),
    ],
    checks: ['A through draught when both are up'],
    cautions: [CAUTIONS.snow],
    minutes: 5,
  });
}

/** What keeps the film on the slopes from lifting: a batten over it on every leg, or a rope over the ridge in every bay. */
function slopeStages(a: AFrameAnswers, f: AFrame, cover: readonly SheetPart[]): readonly Stage[] {
  if (a.slopes === 'none') return [];
  const { xs, rail, batten } = f;
  const onBothSides = (x: number, along: number, off: number): readonly Vec3[] =>
    [false, true].map((far) => f.at(x, along, off, far));
  const checks = [phrase`No flat of film moves more than ${amount(100, 'byEye')} when you push it`];
  if (a.slopes === 'rope') {
    const bays = xs.slice(1).map((x, i) => (x + (xs[i] ?? x)) / 2);
    const places = bays.flatMap((x) => onBothSides(x, f.slopeMm / 2, rail.thicknessMm / 2));
    const where = 'Over the ridge in every bay, to a screw in both rails';
    return [
      stage({
        id: 'slopes',
        title: 'Lace the slopes',
        view: 'side',
        pieces: cover,
        work: [
          'Throw a rope over the ridge in the middle of every bay, tie it to a screw in the side rail on one side, pull it tight and tie it on the other.',
        ],
        tools: ['driver'],
        joints: joint('lacing', 'lacing', where, [...cover, ...f.rails.members], places, {
          count: Math.ceil((bays.length * (2 * f.slopeMm + 600)) / 1000),
          with: { screws: 1 },
        }),
        checks,
        minutes: MINUTES.start,
      }),
    ];
  }
  const out = boardShape(batten).thicknessMm / 2;
  const battens = xs.flatMap((x, i) => {
    // From the upper edge of the rail, where the film leaves it, to a finger short of the ridge.
    const [low, high] = [
      onBothSides(x, rail.widthMm + 10, rail.thicknessMm + out),
      onBothSides(x, f.slopeMm - 20, out),
    ];
    return low.flatMap((from, k) =>
      stripOver(`K${2 * i + k + 1}`, 'Leg batten', batten, [from, high[k] ?? from], [1, 0, 0]),
    );
  });
  const where = 'Battens on the legs';
  return [
    stage({
      id: 'slopes',
      title: 'Batten the slopes',
      view: 'side',
      pieces: battens,
      work: [
        phrase`Lay ${tagList(battens)} over the film on the legs, from the side rail to the ridge, and screw each into its leg every ${amount(BATTEN_SCREWS_MM, 'byEye')}.`,
      ],
      joints: joint(
        'batten',
        'leg battens',
        where,
        [...battens, ...f.legs, ...cover],
        spreadAlong(battens, BATTEN_SCREWS_MM),
      ),
      checks,
      minutes: MINUTES.start,
    }),
  ];
}
