import type { KindKey } from '../../joints';
import type { HoopFrame } from '../../parts/hoopFrame';
import type { Joint, Panel, SaidStep, SheetPart } from '../../assembly/types';
import type { Survey } from '../../../site/survey';
import { CAUTIONS } from '../../joints/cautions';
import {
  battenWork,
  coverFrameStep,
  frameStep,
  markRailsStep,
  packerWork,
  plywoodStep,
  tagsOf,
} from '../../parts/frameSteps';
import {
  type Saying,
  MINUTES,
  bendStep,
  countKind,
  cutStep,
  guardSteps,
  named,
  ridgeStep,
  sayCount,
  sayCounts,
  step,
  tagList,
} from '../../guide/step';
import type { HingedHoopLidAnswers } from './answers';
import type { SidePurlins } from './sides';

interface Built {
  readonly panels: readonly Panel[];
  readonly sides: SidePurlins;
  readonly joints: readonly Joint[];
  readonly survey: Survey;
  readonly sheets: readonly SheetPart[];
}

/** The lid in building order: cut, mark, frame, hoops, ridge, paint, cover, hang. */
export function lidSteps(a: HingedHoopLidAnswers, f: HoopFrame, b: Built): readonly SaidStep[] {
  const { frame, hoops, ridge } = f;
  const { joints } = b;
  const hung = named(joints, 'hinges', 'handle', 'latches', 'stays');
  const count = (kind: KindKey): number => countKind(hung, kind);
  const sockets = a.feet === 'sockets';
  const boards = [...frame.rails, ...frame.endBoards, ...frame.ties];
  const packers = packerWork(b.survey);
  return [
    cutStep([...boards, ...hoops, ...ridge.members, ...b.sides.members, ...frame.battens, ...frame.crossBoards]),
    markRailsStep(
      frame,
      hoops,
      [`Lay ${tagList(frame.rails)} side by side as they will stand${STANDS[a.corners]}.`],
      [
        sockets
          ? 'Drill a 3/32 pilot for each socket in the middle of the top edge.'
          : a.feet === 'screwed'
            ? 'Drill 1/8 pilots through the pipe, 1 and 3 in from its end: a screw without a pilot splits PVC.'
            : a.feet === 'holes'
              ? 'Bore a hole in the middle of the top edge at each mark, as wide as the pipe and a hair more; tape on the bit shows the depth.'
              : 'Drill 3/32 pilots for the straps, 1 in up from the bottom edge.',
      ],
      a.feet === 'holes' ? 'drill, spade bit' : 'drill, 3/32 bit',
    ),
    frameStep(frame, [CORNERS[a.corners], 'Flush outside everywhere. Drill 1/8 pilots, then screw each corner.']),
    ...(teed(b.sides) ? [teeStep(b.sides)] : []),
    bendStep(
      hoops,
      f.spacingMm,
      [
        [
          sockets
            ? 'Screw the sockets down, set one foot, bend, and set the other.'
            : a.feet === 'screwed'
              ? 'Screw one foot to its rail, bend, and screw the other.'
              : a.feet === 'holes'
                ? 'Press one foot down in its hole, bend, and press the other in.'
                : 'Slip one foot under its loose strap, bend, slip the other under, and tighten both.',
        ],
      ],
      named(joints, 'feet', 'caps'),
    ),
    ...(a.ridge === 'none' ? [] : [ridgeStep(ridge.members, ridge.joints, 'framed')]),
    ...(b.sides.joints.length === 0 || teed(b.sides) ? [] : [sideStep(b.sides)]),
    ...(b.panels.length === 0
      ? []
      : [
          plywoodStep(
            b.panels,
            [
              'Screw each end to the outside of its end board, and strap the end hoop to it.',
              ...(a.edge === 'guarded' ? ['Push split hose over the curved edge: a bare edge cuts film.'] : []),
            ],
            named(joints, 'plywood', 'end hoops', 'edges guarded', 'vents'),
          ),
        ]),
    ...guardSteps(hoops, named(joints, 'guard')),
    coverFrameStep({
      sheets: b.sheets,
      battens: frame.battens,
      fastening: battenWork(a.battenWrapMm),
      ends:
        a.ends === 'folded'
          ? ['Fold both ends down like a parcel, staple them to the end boards, and screw a batten over each.']
          : a.ends === 'plywood'
            ? ['Fold the film over the edges of both ends and staple it on their outer faces.']
            : ['Hang a flap at each end and tuck it under.'],
      joints: named(joints, 'staples', 'battens', 'flap clips', 'flap weights', 'corners rounded'),
    }),
    step({
      id: 'hang',
      title: 'Level the bed and hang the lid',
      view: 'end',
      tags: [...tagsOf(boards), ...tagsOf(frame.crossBoards)],
      work: [
        ...packers,
        ...(frame.crossBoards.length > 0
          ? [`Set ${tagList(frame.crossBoards)} across the soil under the lid’s open end.`]
          : []),
        'Two people: set the lid on the bed, flush all round.',
        `Screw ${sayCount(count('hinge'), 'hinge')} to the ${a.hinges} side, the outer two a hand from the ends.`,
        `In front, from the middle outward: ${sayCounts(hung, 'handle', 'latch')}${count('stay') > 0 ? `; ${sayCounts(hung, 'stay')} at the ends` : ''}.`,
      ],
      tools: ['level'],
      joints: [...hung, ...named(joints, 'boards across')],
      checks: [
        'The lid swings free and shuts flat',
        ...(count('stay') > 0 ? ['It stays open by itself'] : []),
        ...(count('latch') > 0 ? ['Latched, it cannot be lifted'] : []),
      ],
      cautions: [CAUTIONS.lid, CAUTIONS.snow],
      minutes: MINUTES.start + packers.length * 5,
    }),
  ];
}

/** Which boards stand between which, as they are marked and as they are screwed. */
const STANDS: Readonly<Record<HingedHoopLidAnswers['corners'], string>> = {
  ends: ': the hinge rail sits between the end boards',
  rails: ', both at full length',
  'hinge rail': ': the front rail sits between the end boards',
};
const CORNERS: Readonly<Record<HingedHoopLidAnswers['corners'], Saying>> = {
  ends: 'On flat ground, stand the hinge rail between the end boards, and the front rail across their other ends.',
  rails: 'On flat ground, set the end boards between both rails.',
  'hinge rail':
    'On flat ground, set the hinge rail across the end boards, and the front rail between their other ends.',
};

const teed = ({ joints }: SidePurlins): boolean => joints.some((j) => j.kind === 'fitting');

/** Side purlins in fittings that slide on the hoops: before these are bent in. */
function teeStep({ members, joints }: SidePurlins): SaidStep {
  const fittings = joints.filter((j) => j.kind === 'fitting');
  return step({
    id: 'sides',
    title: 'Slide the side purlins on',
    view: 'side',
    tags: tagsOf(members),
    work: [
      'Bore every fitting through where its hoop goes, a hair wider than the pipe, clamped: its inner stop is cut away.',
      `Slide them on the straight hoops, tees on both ends and crosses between, and push ${tagList(members)} home in them. Once the hoops stand, one screw through each into its hoop, at a third of the height.`,
    ],
    tools: ['drill', 'spade bit', 'clamp', 'eye protection'],
    joints: [...fittings, ...joints.filter((j) => j.kind !== 'fitting')],
    checks: ['Purlins level, and hoops as far apart there as at the feet'],
    minutes: MINUTES.start + 4 * members.length,
  });
}

/** Ties the side purlins, or ropes in their place. */
function sideStep({ members, joints }: SidePurlins): SaidStep {
  return step({
    id: 'sides',
    title: members.length > 0 ? 'Tie the side purlins' : 'Tie the side ropes',
    view: 'side',
    tags: tagsOf(members),
    work: [
      members.length > 0
        ? `Hold ${tagList(members)} inside the hoops at a third of their height and tie them at every mark; cap both ends.`
        : 'Tie a rope hoop to hoop on both sides at a third of the height, with a turn round each, and make it fast to the end hoops.',
    ],
    tools: [],
    joints,
    checks: ['Hoops stand as far apart there as at the feet'],
    minutes: MINUTES.start,
  });
}
