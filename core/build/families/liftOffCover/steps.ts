import type { HungWhole } from '../../parts/hungWhole';
import type { HoopFrame } from '../../parts/hoopFrame';
import type { Joint, Panel, SaidStep, SheetPart } from '../../assembly/types';
import { CAUTIONS } from '../../joints/cautions';
import {
  fasteningWork,
  coverFrameStep,
  frameStep,
  markRailsStep,
  type SetDown,
  plywoodStep,
  setStep,
} from '../../parts/frameSteps';
import {
  MINUTES,
  bendStep,
  countKind,
  cutStep,
  guardSteps,
  named,
  ridgeStep,
  sayCount,
  tagList,
} from '../../guide/step';
import type { LiftOffCoverAnswers } from './answers';

interface Built {
  readonly sheets: readonly SheetPart[];
  readonly panels: readonly Panel[];
  readonly joints: readonly Joint[];
  readonly set: SetDown;
  /** How it hangs, where it is hinged. */
  readonly hung: HungWhole | undefined;
}

/** The cover in building order: cut, mark, frame, hoops, ridge, paint, ends, cover, set. */
export function liftOffSteps(a: LiftOffCoverAnswers, f: HoopFrame, b: Built): readonly SaidStep[] {
  const { frame, hoops, ridge } = f;
  const { joints } = b;
  const boards = [...frame.rails, ...frame.endBoards, ...frame.ties];
  const hooks = countKind(joints, 'hook');
  return [
    cutStep([
      ...boards,
      ...hoops,
      ...ridge.members,
      ...frame.battens,
      ...frame.crossBoards,
      ...(b.hung?.members ?? []),
    ]),
    markRailsStep(
      frame,
      hoops,
      [`Lay ${tagList(frame.rails)} side by side, ends flush.`],
      ['Drill 3/32 pilots for the straps in the middle of the inner face.'],
      'drill, 3/32 bit',
    ),
    frameStep(frame, [
      'On flat ground, set the end boards between the rails, flush outside. Drill 1/8 pilots, then screw each corner.',
    ]),
    bendStep(
      hoops,
      f.spacingMm,
      ['Slip one foot under its loose strap, bend, slip the other under, and tighten both.'],
      named(joints, 'feet'),
    ),
    ...(a.ridge === 'none' ? [] : [ridgeStep(ridge.members, ridge.joints, 'framed')]),
    ...guardSteps(hoops, named(joints, 'guard')),
    ...(b.panels.length > 0
      ? [
          plywoodStep(
            b.panels,
            [
              'Screw each end to its end board, and strap the end hoop to it at the crown and both shoulders.',
              ...(a.edge === 'guarded' ? ['Push split hose over the curved edge: bare plywood cuts film.'] : []),
            ],
            named(joints, 'plywood', 'end hoops', 'edges guarded', 'vents'),
          ),
        ]
      : []),
    coverFrameStep({
      sheets: b.sheets,
      battens: frame.battens,
      fastening: fasteningWork(a.fixing, a.wrapMm),
      ends:
        b.panels.length > 0
          ? ['Fold the film over both plywood edges and fasten it on their outer faces.']
          : ['Fold both ends down like a parcel, staple them to the end boards, and screw a batten over each.'],
      joints: named(joints, 'staples', 'battens', 'channel', 'clips'),
    }),
    b.hung?.step ??
      setStep(
        'Set it on the bed',
        b.set,
        [
          'Screw a handle to each end, and lift it with a straight back.',
          `Screw ${sayCount(hooks, 'hook')} and hook the frame down.`,
        ],
        named(joints, 'handles', 'hooks'),
        {
          checks: hooks > 0 ? ['Every hook is shut'] : [],
          cautions: [CAUTIONS.snow],
          minutes: MINUTES.start + b.set.work.length * 5,
        },
      ),
  ];
}
