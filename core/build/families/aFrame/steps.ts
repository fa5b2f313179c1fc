import type { Joint, Member, SaidStep, SheetPart } from '../../assembly/types';
import type { Survey } from '../../../site/survey';
import { amount } from '../../../base/figure';
import { CAUTIONS } from '../../joints/cautions';
import { fasteningWork, coverFrameStep, packerWork, setOnBed, tagsOf } from '../../parts/frameSteps';
import { MINUTES, countKind, cutStep, named, sayCount, step, tagList } from '../../guide/step';
import type { AFrameAnswers } from './answers';

interface Built {
  readonly legs: readonly Member[];
  readonly ridge: readonly Member[];
  readonly ties: readonly Member[];
  readonly rails: readonly Member[];
  readonly battens: readonly Member[];
  readonly legBattens: readonly Member[];
  readonly crossBoards: readonly Member[];
  readonly sheets: readonly SheetPart[];
  readonly joints: readonly Joint[];
  readonly survey: Survey;
  readonly steepDeg: number;
  readonly spacingMm: number;
}

/** The frame in building order: cut, pattern, ridge, raise, rails, cover, fix down. */
export function aFrameSteps(a: AFrameAnswers, b: Built): readonly SaidStep[] {
  const set = setOnBed([...b.legs, ...b.ties], b.crossBoards, b.joints, packerWork(b.survey));
  return [
    cutStep([...b.legs, ...b.ridge, ...b.ties, ...b.rails, ...b.battens, ...b.legBattens, ...b.crossBoards]),
    step({
      id: 'pattern',
      title: 'Cut the leg ends to a pattern',
      view: 'end',
      tags: tagsOf(b.legs),
      work: [
        [
          'Mark one leg: the top cut leans ',
          amount(b.steepDeg, 'angle'),
          ' off square and the foot cut ',
          amount(90 - b.steepDeg, 'angle'),
          ', both shortening the same edge.',
        ],
        'Try it with a second one against a scrap of the ridge: foot flat, top plumb. Then cut all legs to it.',
      ],
      tools: ['saw', 'bevel gauge', 'pencil'],
      checks: ['All legs alike when stood on edge together'],
      cautions: [CAUTIONS.saw],
      minutes: MINUTES.start + b.legs.length * 5,
    }),
    step({
      id: 'ridge',
      title: 'Screw the legs to the ridge',
      view: 'side',
      tags: [...tagsOf(b.ridge), ...tagsOf(b.legs)],
      work: [
        [`Mark ${tagList(b.ridge)} from its left end as drawn, `, amount(b.spacingMm, 'length'), ' from leg to leg.'],
        'Lay it upside down on flat ground. Two screws through the ridge into each leg, both sides of each mark.',
      ],
      tools: ['square'],
      joints: named(b.joints, 'ridge', 'splices R1'),
      checks: ['Tops of the legs flush with the top of the ridge'],
      minutes: MINUTES.start + b.legs.length * 4,
    }),
    step({
      id: 'raise',
      title: 'Raise it on the bed and tie the feet',
      view: 'end',
      tags: set.tags,
      work: [
        ...set.work,
        'Two people: turn it over and set the feet on the walls, flush outside.',
        `Screw ${tagList(b.ties)} across the end triangles.`,
        `Screw ${sayCount(countKind(b.joints, 'bracket'), 'bracket')}, between the legs and the wall.`,
      ],
      tools: ['level', 'tape'],
      joints: [...named(b.joints, 'foot ties', 'anchors'), ...set.joints],
      checks: ['The ridge is level', 'End triangles plumb', 'Diagonals of each slope equal'],
      minutes: MINUTES.start + 10,
    }),
    step({
      id: 'rails',
      title: 'Fix the side rails',
      view: 'side',
      tags: tagsOf(b.rails),
      work: [
        `Lay ${tagList(b.rails)} along the feet on the slope, and screw each to every leg at its mark.`,
        ...(a.edge === 'guarded'
          ? ['Round the top of the ridge and the outer edges of the end legs with a rasp, or tape them.']
          : []),
      ],
      joints: named(b.joints, 'rails', 'splices A1', 'splices A2', 'edges'),
      checks: a.edge === 'guarded' ? ['No sharp edge where the cover will lie'] : [],
      minutes: MINUTES.start + b.rails.length * 4,
    }),
    coverFrameStep({
      sheets: b.sheets,
      battens: b.battens,
      fastening: fasteningWork(a.fixing, a.wrapMm),
      ends:
        a.ends === 'flap'
          ? ['Staple a flap along the top of each end triangle; it rolls up and is tied, or hangs down under two bags.']
          : ['Fold both ends in like a parcel and staple them to the end legs under a strip of batten.'],
      joints: named(b.joints, 'staples', 'battens', 'channel', 'flap heads'),
    }),
    ...(a.slopes === 'none' ? [] : [dividedStep(a, b)]),
    ...(a.ends === 'flap'
      ? [
          step({
            id: 'use',
            title: 'Try the flaps',
            view: 'end',
            tags: b.sheets.slice(1).map((s) => s.tag),
            work: ['Roll both ends up and tie them; let them down and weight them.'],
            joints: named(b.joints, 'flap weights', 'flap ties'),
            checks: ['A through draught when both are up'],
            cautions: [CAUTIONS.snow],
            minutes: 5,
          }),
        ]
      : []),
  ];
}

/** Keeps the film on the slopes from lifting. */
function dividedStep(a: AFrameAnswers, b: Built): SaidStep {
  const battens = a.slopes === 'battens';
  return step({
    id: 'slopes',
    title: battens ? 'Batten the slopes' : 'Lace the slopes',
    view: 'side',
    tags: [...tagsOf(b.legBattens), ...(battens ? [] : b.sheets.slice(0, 1).map((x) => x.tag))],
    work: [
      battens
        ? `Lay ${tagList(b.legBattens)} over the film on the legs, from the side rail to the ridge, and screw each into its leg.`
        : 'Throw a rope over the ridge in the middle of every bay, tie it to a screw in the side rail on one side, pull it tight and tie it on the other.',
    ],
    tools: battens ? [] : ['driver'],
    joints: named(b.joints, 'leg battens', 'lacing'),
    checks: ['No flat of film moves more than a hand when you push it'],
    minutes: MINUTES.start,
  });
}
