import type { Lids } from '../../parts/slopedLid';
import type { Joint, Member, SaidStep } from '../../assembly/types';
import type { Bed } from '../../../site/bed';
import type { Survey } from '../../../site/survey';
import { type Phrase, amount } from '../../../base/figure';
import { CAUTIONS } from '../../joints/cautions';
import { packerWork, setOnBed, tagsOf, setStep } from '../../parts/frameSteps';
import { glazeAndHangSteps, lidFrameStep } from '../../parts/lidSteps';
import { MINUTES, countKind, cutStep, named, sayCount, step, tagList } from '../../guide/step';
import type { SlopedColdFrameAnswers } from './answers';
import type { Box } from './box';

interface Built {
  readonly box: Box;
  readonly lids: Lids;
  readonly crossBoards: readonly Member[];
  readonly joints: readonly Joint[];
  readonly survey: Survey;
  readonly soil: Bed['soil'];
}

/** The frame in building order: cut, taper, box, set, lids, glaze, hang. */
export function slopedSteps(a: SlopedColdFrameAnswers, b: Built): readonly SaidStep[] {
  const { box, lids } = b;
  const boards = [...box.front, ...box.back, ...box.sides];
  const set = setOnBed(boards, b.crossBoards, b.joints, packerWork(b.survey));
  const tapered = box.sides.filter((m) => m.ends[0] === 'taper');
  const tapers = tapered.filter((m) => m.tag.startsWith('C'));
  return [
    cutStep([...boards, ...box.posts, ...lids.members, ...b.crossBoards].filter((m) => m.sawnFrom === undefined)),
    ...ripStep(boards),
    step({
      id: 'taper',
      title: 'Saw the tapered sides',
      view: 'end',
      tags: tagsOf(tapered),
      work: [
        ...tapers.map((m): Phrase => [
          `${m.tag} and ${m.tag.replace('C', 'D')}: on the board mark `,
          amount(m.taperMm?.[0] ?? 0, 'length'),
          ' up from one edge at the front end and ',
          amount(m.taperMm?.[1] ?? 0, 'length'),
          ' at the back end, and join the marks with a straight board.',
        ]),
        box.pairFromOne
          ? 'Saw along the line: what is left is the other side. Trim it to the same two heights.'
          : 'Saw along the line, and use the first as the pattern of the second.',
      ],
      tools: ['circular saw', 'clamps', 'straight board', 'tape'],
      checks: ['Both sides alike when laid on one another'],
      cautions: [CAUTIONS.saw, ...(a.wood === 'treated' ? [CAUTIONS.treated] : [])],
      minutes: MINUTES.start + 20,
    }),
    step({
      id: 'box',
      title: 'Screw the box together',
      view: 'end',
      tags: [...tagsOf(boards), ...tagsOf(box.posts)],
      work: [
        `Screw front and back boards to the corner posts ${tagList(box.posts)}, lowest course first, bottoms flush.`,
        `Set the sides ${tagList(box.sides)} between them, their slope on top, and screw them to the posts.`,
      ],
      tools: ['square'],
      joints: [...named(b.joints, 'box'), ...b.box.joints.filter((j) => j.id.startsWith('splices'))],
      checks: ['Both diagonals of the box equal', 'A straight board laid from front to back touches all along'],
      minutes: MINUTES.start + boards.length * 4,
    }),
    setStep(
      'Set the box on the bed',
      set,
      [
        ...(b.soil === 'clay'
          ? [
              'Clay holds water: fork gravel into the soil and bore two holes low in the bed’s wall, so that the box does not stand in a puddle.',
            ]
          : []),
        `Two people: set the box on the wall, its low side to the noon sun, and screw ${sayCount(countKind(b.joints, 'bracket'), 'bracket')}.`,
      ],
      named(b.joints, 'anchors'),
      { view: 'side' },
    ),
    ...lidFrameStep(lids),
    ...glazeAndHangSteps(a.glazing, lids),
  ];
}

/** Rips boards to their height, where none is as wide. */
function ripStep(boards: readonly Member[]): readonly SaidStep[] {
  const ripped = boards.filter((m) => m.taperMm && m.ends[0] !== 'taper');
  if (ripped.length === 0) return [];
  return [
    step({
      id: 'rip',
      title: 'Rip boards to their height',
      view: 'end',
      tags: tagsOf(ripped),
      work: [
        [
          'Saw along the board, a straight one clamped on it as a guide: ',
          ...ripped.flatMap((m, i): Phrase => [`${i > 0 ? ', ' : ''}${m.tag} `, amount(m.taperMm?.[0] ?? 0, 'length')]),
          ' wide. The sawn edge goes down.',
        ],
      ],
      tools: ['circular saw', 'clamps', 'straight board', 'tape'],
      checks: ['Each is as wide at both ends and in the middle'],
      cautions: [CAUTIONS.saw],
      minutes: MINUTES.start + ripped.length * 8,
    }),
  ];
}
