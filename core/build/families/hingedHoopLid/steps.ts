import { countOf } from '../../answers/skin';
import type { Frame } from '../../parts/frame';
import type { RidgeBuilt } from '../../parts/ridge';
import type { HardwareUse, Member, SheetPart, Step } from '../../assembly/types';
import type { Survey } from '../../../site/survey';
import { CAUTIONS } from '../../guide/cautions';
import { battenWork, coverFrameStep, frameStep, markRailsStep, packerWork, tagsOf } from '../../parts/frameSteps';
import { MINUTES, bendStep, cutStep, guardSteps, ridgeStep, step, tagList } from '../../guide/step';
import type { HingedHoopLidAnswers } from './answers';

interface Built {
  readonly frame: Frame;
  readonly hoops: readonly Member[];
  readonly ridge: RidgeBuilt;
  readonly hardware: readonly HardwareUse[];
  readonly spacingMm: number;
  readonly survey: Survey;
  readonly sheets: readonly SheetPart[];
}

/** The lid in building order: cut, mark, frame, hoops, ridge, paint, cover, hang. */
export function lidSteps(a: HingedHoopLidAnswers, b: Built): readonly Step[] {
  const { frame, hoops, ridge, hardware } = b;
  const count = (key: string): number => countOf(hardware, key);
  const sockets = a.feet === 'sockets';
  const boards = [...frame.rails, ...frame.endBoards, ...frame.ties];
  const packers = packerWork(b.survey);
  const some = (n: number, one: string, more: string): string => (n === 0 ? `no ${one}` : n === 1 ? `a ${one}` : more);
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
    frameStep(
      frame,
      [
        ['On flat ground, stand the hinge rail between the end boards, flush with their ends.'],
        ['Set the front rail across the other ends, flush outside. Drill 1/8 pilots, then screw each corner.'],
      ],
      hardware,
    ),
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
      (count('strap') + count('socket-cap')) * 2,
    ),
    ...(a.ridge === 'none'
      ? []
      : [
          ridgeStep(
            ridge.members,
            count('cable-tie') +
              4 * count('u-bolt') +
              (a.ridge === 'timber' || a.ridge === 'posted' ? hoops.length : 0),
            a.ridge === 'rope',
          ),
        ]),
    ...guardSteps(hoops, b.hardware),
    coverFrameStep({
      sheets: b.sheets,
      battens: frame.battens,
      fastening: battenWork(a.battenWrapMm),
      ends:
        a.ends === 'folded'
          ? ['Fold both ends down like a parcel and batten or staple them to the end boards.']
          : ['Hang a flap at each end and tuck it under.'],
      hardware,
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
        [`Screw ${count('hinge')} hinges to the ${a.hinges} side, the outer two a hand from the ends.`],
        [
          `Handle in the middle of the front rail; ${some(count('latch'), 'latch', `${count('latch')} latches, the outer two a hand from the ends`)}; ${some(count('stay'), 'stay', `${count('stay')} stays, one at each end`)}.`,
        ],
      ],
      tools: ['level', 'driver'],
      checks: [['The lid swings free and shuts flat'], ['The stay holds it open, and the latch holds it shut']],
      cautions: [CAUTIONS.lid, CAUTIONS.snow],
      minutes:
        MINUTES.start +
        count('hinge') * 6 +
        (count('handle') + count('latch') + count('stay')) * 5 +
        packers.length * 5,
    }),
  ];
}
