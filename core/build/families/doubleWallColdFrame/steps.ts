import type { Lids } from '../../parts/slopedLid';
import type { HardwareUse, Member, SheetPart, Step } from '../../assembly/types';
import type { Survey } from '../../../site/survey';
import { amount } from '../../../base/figure';
import { CAUTIONS } from '../../guide/cautions';
import { packerWork, tagsOf } from '../../parts/frameSteps';
import { glazeAndHangSteps, lidFrameStep } from '../../parts/lidSteps';
import { MINUTES, cutStep, step, tagList } from '../../guide/step';
import type { DoubleWallColdFrameAnswers } from './answers';
import type { Walls } from './walls';

interface Built {
  readonly walls: Walls;
  readonly lids: Lids;
  readonly pockets: readonly Member[];
  readonly crossBoards: readonly Member[];
  readonly sheets: readonly SheetPart[];
  readonly hardware: readonly HardwareUse[];
  readonly survey: Survey;
  readonly anchors: number;
}

/** The frame in building order: cut, walls, corners, skins, set, lids, net and pocket, glaze, hang. */
export function doubleWallSteps(a: DoubleWallColdFrameAnswers, b: Built): readonly Step[] {
  const { walls, lids, pockets } = b;
  const all = [...walls.front, ...walls.back, ...walls.sides];
  const skins = b.sheets.filter((s) => s.tag.startsWith('S'));
  const net = b.sheets.filter((s) => s.tag.startsWith('N'));
  return [
    cutStep([...all, ...lids.members, ...pockets, ...b.crossBoards]),
    step({
      id: 'walls',
      title: 'Screw the four walls together',
      view: 'side',
      tags: tagsOf(all),
      work: [
        ['Lay each pair of plates side by side and mark the studs across both, as drawn.'],
        [
          `Front ${tagList(walls.front)}, back ${tagList(walls.back)}: two screws through the plates into each end of every stud.`,
        ],
        [
          `Sides ${tagList(walls.sides)}: the top plate slopes; bevel the tops of the studs to it if you like them tight.`,
        ],
      ],
      tools: ['drill, 1/8 bit', 'driver', 'square', 'tape'],
      checks: [['Diagonals of front and back equal']],
      minutes: MINUTES.start + all.length * 5,
    }),
    step({
      id: 'corners',
      title: 'Stand the walls up and screw the corners',
      view: 'plan',
      tags: tagsOf(all),
      work: [
        ['Sides between front and back, flush at the bottom; four screws a corner.'],
        ['Round every outer edge with a rasp.'],
      ],
      tools: ['driver', 'rasp', 'level'],
      checks: [['Both diagonals of the box equal'], ['No edge sharp enough to cut film']],
      minutes: MINUTES.start + 20,
    }),
    step({
      id: 'skins',
      title: 'Skin both faces',
      view: 'end',
      tags: tagsOf(skins),
      work: [
        [
          'Outer skin first, its outer face, usually the printed one, outward: staple to the top plate, pull down, staple below.',
        ],
        [
          'Then the inner one. The air between them is ',
          amount(walls.gapMm, 'length'),
          ' thick: it is what keeps warmth.',
        ],
      ],
      tools: ['stapler', 'knife'],
      checks: [['Both skins are tight and nowhere touch']],
      cautions: [CAUTIONS.windyFilm, CAUTIONS.knife],
      minutes: skins.length * MINUTES.sheet * 1.6,
    }),
    step({
      id: 'set',
      title: 'Set the frame on the bed',
      view: 'end',
      tags: [...tagsOf(all), ...tagsOf(b.crossBoards)],
      work: [
        ...packerWork(b.survey),
        ...(b.crossBoards.length > 0 ? [[`Set ${tagList(b.crossBoards)} across the soil under the open end.`]] : []),
        [`Two people: set it on the wall, low side to the noon sun, and hook it down with ${b.anchors} hooks.`],
      ],
      tools: ['level', 'driver'],
      checks: [['It sits down all round without rocking']],
      minutes: MINUTES.start + b.anchors * 4,
    }),
    ...lidFrameStep(lids),
    ...(net.length + pockets.length > 0
      ? [
          step({
            id: 'net',
            title: 'Fix the net and the pocket',
            view: 'plan',
            tags: [...tagsOf(net), ...tagsOf(pockets)],
            work: [
              ...(net.length > 0 ? [['Staple the net across the top of the walls, tight, every 75 mm.']] : []),
              ...(pockets.length > 0
                ? [
                    [`Screw ${tagList(pockets)} to the back plate, two to a lid, the opener between them.`],
                    ['Cut the net between them and staple it round the pocket, so that the arm moves free.'],
                  ]
                : []),
            ],
            tools: ['stapler', 'knife', 'driver'],
            checks: [['The arm of the opener moves its whole way and touches no net']],
            cautions: [CAUTIONS.knife],
            minutes: MINUTES.start + 20 + pockets.length * 6,
          }),
        ]
      : []),
    ...glazeAndHangSteps(a.glazing, lids, b.hardware),
  ];
}
