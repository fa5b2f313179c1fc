import type { KindKey } from '../../joints';
import type { Frame } from '../../parts/frame';
import type { RidgeBuilt } from '../../parts/ridge';
import type { Joint, Member, SaidStep, SheetPart } from '../../assembly/types';
import type { Survey } from '../../../site/survey';
import { CAUTIONS } from '../../joints/cautions';
import { battenWork, coverFrameStep, frameStep, markRailsStep, packerWork, tagsOf } from '../../parts/frameSteps';
import {
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

interface Built {
  readonly frame: Frame;
  readonly hoops: readonly Member[];
  readonly ridge: RidgeBuilt;
  readonly joints: readonly Joint[];
  readonly spacingMm: number;
  readonly survey: Survey;
  readonly sheets: readonly SheetPart[];
}

/** The lid in building order: cut, mark, frame, hoops, ridge, paint, cover, hang. */
export function lidSteps(a: HingedHoopLidAnswers, b: Built): readonly SaidStep[] {
  const { frame, hoops, ridge, joints } = b;
  const hung = named(joints, 'hinges', 'handle', 'latches', 'stays');
  const count = (kind: KindKey): number => countKind(hung, kind);
  const sockets = a.feet === 'sockets';
  const boards = [...frame.rails, ...frame.endBoards, ...frame.ties];
  const packers = packerWork(b.survey);
  return [
    cutStep([...boards, ...hoops, ...ridge.members, ...frame.battens, ...frame.crossBoards]),
    markRailsStep(
      frame,
      hoops,
      [`Lay ${tagList(frame.rails)} side by side as they will stand: the hinge rail sits between the end boards.`],
      [
        sockets
          ? 'Drill a 3/32 pilot for each socket in the middle of the top edge.'
          : a.feet === 'screwed'
            ? 'Drill 1/8 pilots through the pipe, 1 and 3 in from its end: a screw without a pilot splits PVC.'
            : 'Drill 3/32 pilots for the straps, 1 in up from the bottom edge.',
      ],
      'drill, 3/32 bit',
    ),
    frameStep(frame, [
      ['On flat ground, stand the hinge rail between the end boards, flush with their ends.'],
      ['Set the front rail across the other ends, flush outside. Drill 1/8 pilots, then screw each corner.'],
    ]),
    bendStep(
      hoops,
      b.spacingMm,
      [
        [
          sockets
            ? 'Screw the sockets down, set one foot, bend, and set the other.'
            : a.feet === 'screwed'
              ? 'Screw one foot to its rail, bend, and screw the other.'
              : 'Slip one foot under its loose strap, bend, slip the other under, and tighten both.',
        ],
      ],
      named(joints, 'feet', 'caps'),
    ),
    ...(a.ridge === 'none' ? [] : [ridgeStep(ridge.members, ridge.joints, 'framed')]),
    ...guardSteps(hoops, named(joints, 'guard')),
    coverFrameStep({
      sheets: b.sheets,
      battens: frame.battens,
      fastening: battenWork(a.battenWrapMm),
      ends:
        a.ends === 'folded'
          ? ['Fold both ends down like a parcel, staple them to the end boards, and screw a batten over each.']
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
          ? [[`Set ${tagList(frame.crossBoards)} across the soil under the lid’s open end.`]]
          : []),
        ['Two people: set the lid on the bed, flush all round.'],
        [`Screw ${sayCount(count('hinge'), 'hinge')} to the ${a.hinges} side, the outer two a hand from the ends.`],
        [
          `In front, from the middle outward: ${sayCounts(hung, 'handle', 'latch')}${count('stay') > 0 ? `; ${sayCounts(hung, 'stay')} at the ends` : ''}.`,
        ],
      ],
      tools: ['level'],
      joints: [...hung, ...named(joints, 'boards across')],
      checks: [
        ['The lid swings free and shuts flat'],
        ...(count('stay') > 0 ? [['It stays open by itself']] : []),
        ...(count('latch') > 0 ? [['Latched, it cannot be lifted']] : []),
      ],
      cautions: [CAUTIONS.lid, CAUTIONS.snow],
      minutes: MINUTES.start + packers.length * 5,
    }),
  ];
}
