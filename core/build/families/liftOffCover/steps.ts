import { countOf } from '../../answers/skin';
import type { HoopFrame } from '../../parts/hoopFrame';
import type { HardwareUse, Panel, SheetPart, Step } from '../../assembly/types';
import type { Survey } from '../../../site/survey';
import { CAUTIONS } from '../../guide/cautions';
import {
  fasteningWork,
  coverFrameStep,
  frameStep,
  markRailsStep,
  packerWork,
  plywoodStep,
  tagsOf,
} from '../../parts/frameSteps';
import { MINUTES, bendStep, cutStep, guardSteps, ridgeStep, step, tagList } from '../../guide/step';
import type { LiftOffCoverAnswers } from './answers';

interface Built {
  readonly sheets: readonly SheetPart[];
  readonly panels: readonly Panel[];
  readonly hardware: readonly HardwareUse[];
  readonly survey: Survey;
  readonly hooks: number;
}

/** The cover in building order: cut, mark, frame, hoops, ridge, paint, ends, cover, set. */
export function liftOffSteps(a: LiftOffCoverAnswers, f: HoopFrame, b: Built): readonly Step[] {
  const { frame, hoops, ridge } = f;
  const { hardware } = b;
  const count = (key: string): number => countOf(hardware, key);
  const boards = [...frame.rails, ...frame.endBoards, ...frame.ties];
  const packers = packerWork(b.survey);
  return [
    cutStep([...boards, ...hoops, ...ridge.members, ...frame.battens, ...frame.crossBoards]),
    markRailsStep(
      frame,
      hoops,
      [`Lay ${tagList(frame.rails)} side by side, ends flush.`],
      ['Drill 3/32 pilots for the straps in the middle of the inner face.'],
      'drill, 3/32 bit',
    ),
    frameStep(
      frame,
      [
        [
          'On flat ground, set the end boards between the rails, flush outside. Drill 1/8 pilots, then screw each corner.',
        ],
      ],
      hardware,
    ),
    bendStep(
      hoops,
      f.spacingMm,
      [['Slip one foot under its loose strap, bend, slip the other under, and tighten both.']],
      count('strap') * 2,
    ),
    ...(a.ridge === 'none'
      ? []
      : [
          ridgeStep(
            ridge.members,
            count('cable-tie') + 4 * count('u-bolt') + (a.ridge === 'timber' ? hoops.length : 0),
            a.ridge === 'rope',
          ),
        ]),
    ...guardSteps(hoops, b.hardware),
    ...(b.panels.length > 0
      ? [
          plywoodStep(b.panels, [
            ['Screw each end to its end board, and strap the end hoop to it at the crown and both shoulders.'],
            ...(a.edge === 'guarded' ? [['Push split hose over the curved edge: bare plywood cuts film.']] : []),
          ]),
        ]
      : []),
    coverFrameStep({
      sheets: b.sheets,
      battens: frame.battens,
      fastening: fasteningWork(a.fixing, a.wrapMm),
      ends:
        b.panels.length > 0
          ? ['Fold the film over both plywood edges and fasten it on their outer faces.']
          : ['Fold both ends down like a parcel and staple them under a strip of batten.'],
      hardware,
    }),
    step({
      id: 'set',
      title: 'Set it on the bed',
      view: 'end',
      tags: [...tagsOf(boards), ...tagsOf(frame.crossBoards)],
      work: [
        ...(a.sits === 'on' ? packers : [['Rake the soil level along the walls where the frame will stand.']]),
        ...(frame.crossBoards.length > 0
          ? [[`Set ${tagList(frame.crossBoards)} across the soil under the open end.`]]
          : []),
        ['Screw a handle to each end, and lift it with a straight back.'],
        [`Screw ${b.hooks} hooks to the bed wall and hook the frame down.`],
      ],
      tools: ['level', 'driver'],
      checks: [['It sits down all round without rocking'], ['Every hook is shut']],
      cautions: [CAUTIONS.snow],
      minutes: MINUTES.start + b.hooks * 4 + packers.length * 5 + 10,
    }),
  ];
}
