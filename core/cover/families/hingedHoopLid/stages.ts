import { amount, phrase } from '../../../base/figure';
import { bit } from '../../../catalog/handTools';
import { type Vec3, pathLength } from '../../../base/geometry';
import { MM_PER_INCH } from '../../../base/length';
import type { BuildSite } from '../../../site/buildSite';
import type { Joint, Panel, SheetPart, Stage } from '../../assembly/types';
import type { Stages } from '../../guide/built';
import {
  type Saying,
  MINUTES,
  bendStage,
  countKind,
  guardStages,
  ridgeStage,
  sayCount,
  sayCounts,
  stage,
  tagList,
} from '../../guide/stage';
import { evenly, joint, pairsAt } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { hingeCount, HINGE_FROM_END_MM } from '../../joints/hingeCount';
import { firmEndStages, framedCoverStage } from '../../parts/framedHoops';
import { frameStage, markRailsStage, packerWork, setOnBed } from '../../parts/frameStages';
import type { HoopFrame } from '../../parts/hoopFrame';
import type { HingedHoopLidAnswers } from './answers';
import type { SidePurlins } from './sides';

/** Longer lids want a stay at each end, mm. */
const LONG_MM = 96 * MM_PER_INCH;

interface LidParts {
  readonly panels: readonly Panel[];
  readonly sides: SidePurlins;
  readonly sheets: readonly SheetPart[];
  readonly guard: readonly Joint[];
}

const STRAPS = {
  kind: 'strap',
  drill: phrase`Drill ${bit('strap')} pilots for the straps, ${amount(MM_PER_INCH, 'length')} up from the bottom edge.`,
  tool: 'strap bit',
  bend: 'Slip one foot under its loose strap, bend, slip the other under, and tighten both.',
} as const;

/** How hoops are held: by what joint, what is drilled for it, with what, and how a hoop is bent in. */
const FEET = {
  'straps-inside': STRAPS,
  'straps-outside': STRAPS,
  sockets: {
    kind: 'socket',
    drill: phrase`Drill a ${bit('strap')} pilot for each socket in the middle of the top edge.`,
    tool: 'strap bit',
    bend: 'Screw the sockets down, set one foot, bend, and set the other.',
  },
  screwed: {
    kind: 'throughScrew',
    drill: phrase`Drill ${bit('screw')} pilots through the pipe, ${amount(MM_PER_INCH, 'length')} and ${amount(3 * MM_PER_INCH, 'length')} from its end: a screw without a pilot splits PVC.`,
    tool: 'screw bit',
    bend: 'Screw one foot to its rail, bend, and screw the other.',
  },
  holes: {
    kind: 'blindHole',
    drill: phrase`Bore a hole in the middle of the top edge at each mark, ${amount(1, 'length')} wider than the pipe; tape on the bit shows the depth.`,
    tool: 'spade bit',
    bend: 'Press one foot down in its hole, bend, and press the other in.',
  },
} as const;

/** Which boards stand between which, as they are marked and as they are screwed. */
const CORNERS: Readonly<Record<HingedHoopLidAnswers['corners'], readonly [marked: string, screwed: string]>> = {
  ends: [
    ': the hinge rail sits between the end boards',
    'On flat ground, stand the hinge rail between the end boards, and the front rail across their other ends.',
  ],
  rails: [', both at full length', 'On flat ground, set the end boards between both rails.'],
  'hinge rail': [
    ': the front rail sits between the end boards',
    'On flat ground, set the hinge rail across the end boards, and the front rail between their other ends.',
  ],
};

const ENDS: Readonly<Record<HingedHoopLidAnswers['ends'], Saying>> = {
  folded: 'Fold both ends down like a parcel, staple them to the end boards, and screw a batten over each.',
  plywood: 'Fold the film over the edges of both ends and staple it on their outer faces.',
  flap: 'Hang a flap at each end and tuck it under.',
};

/** The lid in building order, but for hanging it: cut, mark, frame, hoops, ridge, paint, cover. */
export function lidStages(a: HingedHoopLidAnswers, f: HoopFrame, p: LidParts, feetZ: number): Stages {
  const { frame, hoops, ridge } = f;
  const feetAt = pairsAt(f.xs, [f.footY, f.footY + f.hoop.spanMm], feetZ);
  const foot = FEET[a.feet];
  const [marked, screwed] = CORNERS[a.corners];
  return [
    'cut',
    markRailsStage(
      frame,
      hoops,
      `Lay ${tagList(frame.rails)} side by side as they will stand${marked}.`,
      foot.drill,
      foot.tool,
    ),
    frameStage(frame, [
      screwed,
      phrase`Flush outside everywhere. Drill ${bit('screw')} pilots, then screw each corner.`,
    ]),
    ...p.sides.before,
    bendStage(
      hoops,
      f.spacingMm,
      [foot.bend],
      [
        // A strap here holds a hoop in its lid; hinges and latches hold the lid to the bed.
        ...joint(foot.kind, 'feet', 'Hoop feet to the rails', [...hoops, ...frame.rails], feetAt, {
          with: { holds: 'nothing' },
        }),
        ...(a.feet === 'straps-outside' ? joint('cap', 'caps', 'Pipe ends outside the frame', hoops, feetAt) : []),
      ],
    ),
    ...(a.ridge === 'none' ? [] : [ridgeStage(ridge.members, ridge.joints, 'framed')]),
    ...p.sides.after,
    ...firmEndStages(f, p.panels, { edge: a.edge, louvres: a.vents === 'louvres' }, { kind: 'strap', eachEnd: 3 }, [
      'Screw each end to the outside of its end board, and strap the end hoop to it.',
      ...(a.edge === 'guarded' ? ['Push split hose over the curved edge: a bare edge cuts film.'] : []),
    ]),
    ...guardStages(hoops, p.guard),
    framedCoverStage(
      f,
      p.sheets,
      { fixing: 'battens', wrapMm: a.battenWrapMm },
      {
        ends: ENDS[a.ends],
        staples: a.ends === 'folded' ? (2 * f.width) / 100 : p.panels.length > 0 ? (2 * pathLength(f.line)) / 250 : 0,
        joints: joint('roundedEdge', 'corners rounded', 'Outer corners of the frame', frame.endBoards, [], {
          count: 4,
        }),
      },
    ),
  ];
}

/** The bed levelled and the lid hung on it, latched and held open. */
export function hangStage(a: HingedHoopLidAnswers, f: HoopFrame, { survey, windy }: BuildSite): Stage {
  const { frame, x0, x1, width, z0 } = f;
  const long = x1 - x0 > LONG_MM;
  const [hingeY, frontY] = a.hinges === 'far' ? [width, 0] : [0, width];
  const along = (y: number, count: number, inset = HINGE_FROM_END_MM): readonly Vec3[] =>
    evenly([x0 + inset, y, z0], [x1 - inset, y, z0], count);
  const rail = (tag: string): typeof frame.rails => frame.rails.filter((m) => m.tag.startsWith(tag));
  const hung = [
    ...joint('hinge', 'hinges', 'Hinge rail to the bed', rail('A2'), along(hingeY, hingeCount(x1 - x0))),
    ...joint('handle', 'handle', 'Front rail, in the middle', rail('A1'), along(frontY, 1)),
    ...joint('latch', 'latches', 'Front rail to the bed', rail('A1'), along(frontY, a.latches ?? (windy ? 2 : 1)), {
      ask: 'latches',
    }),
    ...joint('stay', 'stays', 'Holds the lid open', frame.endBoards, along(width / 2, a.stays ?? (long ? 2 : 1), 20)),
  ];
  const [stays, latches] = [countKind(hung, 'stay'), countKind(hung, 'latch')];
  const packers = packerWork(survey);
  const set = setOnBed([...frame.rails, ...frame.endBoards, ...frame.ties], f.across, packers, 'lid’s open end');
  return stage({
    id: 'hang',
    title: 'Level the bed and hang the lid',
    view: 'end',
    pieces: set.pieces,
    work: [
      ...set.work,
      'Two people: set the lid on the bed, flush all round.',
      phrase`Screw ${sayCount(countKind(hung, 'hinge'), 'hinge')} to the ${a.hinges} side, the outer two ${amount(HINGE_FROM_END_MM, 'byEye')} from the ends.`,
      `In front, from the middle outward: ${sayCounts(hung, 'handle', 'latch')}${stays > 0 ? `; ${sayCounts(hung, 'stay')} at the ends` : ''}.`,
    ],
    tools: ['level'],
    joints: [...hung, ...set.joints],
    checks: [
      'The lid swings free and shuts flat',
      stays > 0 && 'It stays open by itself',
      latches > 0 && 'Latched, it cannot be lifted',
    ],
    cautions: [CAUTIONS.lid, CAUTIONS.snow],
    minutes: MINUTES.start + packers.length * 5,
  });
}
