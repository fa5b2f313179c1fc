import type { HungWhole } from '../../parts/hungWhole';
import type { HoopFrame } from '../../parts/hoopFrame';
import type { Joint, Member, Panel, SaidStep, SheetPart } from '../../assembly/types';
import { thicknessMm } from '../../../catalog/sections';
import { amount } from '../../../base/figure';
import { CAUTIONS } from '../../joints/cautions';
import {
  type SetDown,
  fasteningWork,
  coverFrameStep,
  frameStep,
  markRailsStep,
  plywoodStep,
  tagsOf,
  setStep,
} from '../../parts/frameSteps';
import { MINUTES, countKind, cutStep, named, sayCount, step, tagList } from '../../guide/step';
import { type BentConduitAnswers, bendRadiusMm } from './answers';

interface Built {
  readonly f: HoopFrame;
  readonly hoops: readonly Member[];
  readonly rails: readonly Member[];
  readonly furring: readonly Member[];
  readonly sheets: readonly SheetPart[];
  readonly panels: readonly Panel[];
  readonly joints: readonly Joint[];
  readonly set: SetDown;
  /** How it hangs, where it is hinged. */
  readonly hung: HungWhole | undefined;
}

/** The frame in building order: cut, bend, mark and drill, frame, stand the hoops, furring, cover, anchor. */
export function bentSteps(a: BentConduitAnswers, b: Built): readonly SaidStep[] {
  const { f, hoops, furring, joints } = b;
  const frame = { ...f.frame, rails: b.rails };
  const boards = [...b.rails, ...frame.endBoards, ...frame.ties];
  const [shoulder, crown] = f.bends;
  const od = thicknessMm(a.pipe);
  return [
    cutStep([...boards, ...hoops, ...furring, ...frame.battens, ...frame.crossBoards, ...(b.hung?.members ?? [])]),
    step({
      id: 'bend',
      title: 'Bend the conduit',
      view: 'end',
      tags: tagsOf(hoops),
      work: [
        'Mark each pipe from its left end as drawn: where every bend starts, and where it ends.',
        [
          'Set the bender so that the bend starts on its mark: the crown turns ',
          amount(crown?.angleDeg ?? 0, 'angle'),
          ', each shoulder ',
          amount(shoulder?.angleDeg ?? 0, 'angle'),
          ', on a centre line of ',
          amount(bendRadiusMm(a.pipe), 'length'),
          '.',
        ],
        [
          'A bend is shorter than its corner: the crown gains ',
          amount(crown?.gainMm ?? 0, 'length'),
          ' and each shoulder ',
          amount(shoulder?.gainMm ?? 0, 'length'),
          '; the marks have counted it.',
        ],
        'Bend the crown first, then both shoulders, all in one plane: sight along the pipe before each.',
      ],
      tools: ['conduit bender', 'tape', 'marker', 'eye protection'],
      checks: [
        'Every hoop lies on the first without a gap',
        ['Its legs stand ', amount(f.hoop.spanMm, 'length'), ' apart, centre to centre'],
      ],
      cautions: [CAUTIONS.bend],
      minutes: MINUTES.start + hoops.length * 15,
    }),
    markRailsStep(
      frame,
      hoops,
      [`Lay ${tagList(b.rails)} side by side on edge, ends flush.`],
      [
        'Drill a blind hole in the middle of the top edge at each mark, ',
        amount(od + 1, 'length'),
        ' wide and ',
        amount(a.legDepthMm, 'length'),
        ' deep: tape on the bit shows the depth.',
      ],
      'drill, spade bit',
    ),
    frameStep(frame, [
      'On flat ground, set the end boards between the rails, flush outside. Drill 1/8 pilots, then screw each corner.',
    ]),
    step({
      id: 'stand',
      title: 'Stand the hoops in their holes',
      view: 'end',
      tags: tagsOf(hoops),
      work: [
        'Press both legs of each hoop into their holes, down to the bottom.',
        'Drive one self-drilling screw through the inner face of the rail into each leg.',
      ],
      tools: ['mallet'],
      joints: named(joints, 'legs'),
      checks: ['Every crown at one height along a string', 'Hoops upright by the level'],
      minutes: hoops.length * MINUTES.place * 2,
    }),
    ...(furring.length > 0
      ? [
          step({
            id: 'furring',
            title: 'Fix the furring',
            view: 'side',
            tags: tagsOf(furring),
            work: [
              `Mark ${tagList(furring)} from the tape end as drawn and hold them under the crowns and inside the legs.`,
              'One self-drilling screw through each hoop into the strip, from outside; file the heads smooth.',
            ],
            tools: ['file'],
            joints: named(joints, 'furring', 'splices R1', 'splices R2', 'splices R3'),
            checks: ['Hoops stand at their marks at the crown as at the rail'],
            minutes: MINUTES.start + furring.length * 7,
          }),
        ]
      : []),
    ...(b.panels.length > 0
      ? [
          plywoodStep(
            b.panels,
            ['Screw each end to its end board and strap the end hoop to it, five straps.'],
            named(joints, 'plywood', 'end hoops', 'edges guarded', 'vents'),
          ),
        ]
      : []),
    coverFrameStep({
      sheets: b.sheets,
      battens: frame.battens,
      fastening: fasteningWork(a.fixing, a.wrapMm),
      ends: {
        plywood: ['Fold the film over both plywood edges and fasten it on their outer faces.'],
        folded: ['Fold both ends down like a parcel and clip them to the end hoops.'],
        flap: ['Hang a flap at each end and tuck it under.'],
      }[a.ends],
      joints: named(joints, 'staples', 'battens', 'channel', 'clips', 'end clips', 'flap clips', 'flap weights'),
    }),
    b.hung?.step ??
      setStep(
        'Set it on the bed and fix it down',
        b.set,
        [
          'Two people: set the frame on the bed, flush all round.',
          `Screw ${sayCount(countKind(joints, 'bracket'), 'bracket')}, between the rails and the wall.`,
        ],
        named(joints, 'anchors'),
        { cautions: [CAUTIONS.snow] },
      ),
  ];
}
