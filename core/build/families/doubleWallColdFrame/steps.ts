import type { HungWhole } from '../../parts/hungWhole';
import type { Lids } from '../../parts/slopedLid';
import type { Joint, Member, SaidStep, SheetPart } from '../../assembly/types';
import { amount } from '../../../base/figure';
import { CAUTIONS } from '../../joints/cautions';
import { type SetDown, tagsOf, setStep } from '../../parts/frameSteps';
import { glazeAndHangSteps, lidFrameStep } from '../../parts/lidSteps';
import { MINUTES, countKind, cutStep, named, sayCount, step, tagList } from '../../guide/step';
import type { DoubleWallColdFrameAnswers } from './answers';
import type { Walls } from './walls';

interface Built {
  readonly walls: Walls;
  readonly braces: readonly Member[];
  readonly lids: Lids;
  readonly pockets: readonly Member[];
  readonly crossBoards: readonly Member[];
  readonly sheets: readonly SheetPart[];
  readonly joints: readonly Joint[];
  readonly set: SetDown;
  /** How it hangs, where it is hinged. */
  readonly hung: HungWhole | undefined;
}

/** The frame in building order: cut, walls, corners, skins, set, lids, net and pocket, glaze, hang. */
export function doubleWallSteps(a: DoubleWallColdFrameAnswers, b: Built): readonly SaidStep[] {
  const { walls, lids, pockets } = b;
  const all = [...walls.front, ...walls.back, ...walls.sides];
  const skins = b.sheets.filter((s) => s.tag.startsWith('S'));
  const net = b.sheets.filter((s) => s.tag.startsWith('N'));
  return [
    cutStep([...all, ...b.braces, ...lids.members, ...pockets, ...b.crossBoards, ...(b.hung?.members ?? [])]),
    step({
      id: 'walls',
      title: 'Screw the four walls together',
      view: 'side',
      tags: tagsOf(all),
      work: [
        'Lay each pair of plates side by side and mark the studs across both, as drawn.',
        `Front ${tagList(walls.front)}, back ${tagList(walls.back)}: two screws through the plates into each end of every stud.`,
        `Sides ${tagList(walls.sides)}: the top plate slopes; bevel the tops of the studs to it if you like them tight.`,
      ],
      tools: ['square', 'tape'],
      joints: [...named(b.joints, 'studs'), ...walls.joints.filter((j) => j.id.startsWith('splices'))],
      checks: ['Diagonals of front and back equal'],
      minutes: MINUTES.start + all.length * 2,
    }),
    step({
      id: 'corners',
      title: 'Stand the walls up and screw the corners',
      view: 'plan',
      tags: [...tagsOf(all), ...tagsOf(b.braces)],
      work: [
        'Sides between front and back, flush at the bottom; four screws a corner.',
        ...(b.braces.length > 0
          ? [
              `Let ${tagList(b.braces)} into the inner faces of the studs, from the foot of the corner stud to the head of the next.`,
            ]
          : []),
        'Round every outer edge with a rasp.',
      ],
      tools: ['level'],
      joints: named(b.joints, 'corners', 'braces', 'edges'),
      checks: ['Both diagonals of the box equal', 'No edge sharp enough to cut film'],
      minutes: MINUTES.start + 10,
    }),
    step({
      id: 'skins',
      title: 'Skin both faces',
      view: 'end',
      tags: tagsOf(skins),
      work: [
        'Outer skin first, its outer face, usually the printed one, outward: staple to the top plate, pull down, staple below and up every stud.',
        [
          'Then the inner one. The air between them is ',
          amount(walls.gapMm, 'length'),
          ' thick: it is what keeps warmth.',
        ],
        ...(a.tape === 'tape' ? ['Lay clear tape over every stapled edge, pressed on dry film in the warm.'] : []),
      ],
      tools: ['knife'],
      joints: named(b.joints, 'wall skins', 'edge tape'),
      checks: ['Both skins are tight and nowhere touch'],
      cautions: [CAUTIONS.windyFilm, CAUTIONS.knife],
      minutes: skins.length * MINUTES.sheet,
    }),
    b.hung?.step ??
      setStep(
        'Set the frame on the bed',
        b.set,
        [
          `Two people: set it on the wall, low side to the noon sun, and hook it down with ${sayCount(countKind(b.joints, 'hook'), 'hook')}.`,
        ],
        named(b.joints, 'anchors'),
      ),
    ...lidFrameStep(lids),
    ...(net.length + pockets.length > 0
      ? [
          step({
            id: 'net',
            title: pockets.length > 0 ? 'Fix the net and the pocket' : 'Fix the net',
            view: 'plan',
            tags: [...tagsOf(net), ...tagsOf(pockets)],
            work: [
              ...(net.length > 0 ? ['Staple the net across the top of the walls, tight, every 75 mm.'] : []),
              ...(pockets.length > 0
                ? [
                    `Screw ${tagList(pockets)} to the ${a.pocket === 'front' ? 'front' : 'back'} plate, two to a lid, the opener between them.`,
                    'Cut the net between them and staple it round the pocket, so that the arm moves free.',
                  ]
                : []),
            ],
            tools: ['knife'],
            joints: named(b.joints, 'net', 'pocket'),
            checks:
              pockets.length > 0
                ? ['The arm of the opener moves its whole way and touches no net']
                : ['No gap anywhere round the net'],
            cautions: [CAUTIONS.knife],
            minutes: MINUTES.start + 10 + pockets.length * 4,
          }),
        ]
      : []),
    ...glazeAndHangSteps(a.glazing, lids),
  ];
}
