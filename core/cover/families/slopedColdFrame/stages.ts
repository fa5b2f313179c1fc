import { amount, phrase } from '../../../base/figure';
import type { BuildSite } from '../../../site/buildSite';
import type { Member, Stage } from '../../assembly/types';
import type { Stages } from '../../guide/built';
import { MINUTES, countKind, sayCount, stage, tagList } from '../../guide/stage';
import { joint, heldRound } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { setOnWall, setStage } from '../../parts/frameStages';
import { glazeAndHangStages, lidFrameStages } from '../../parts/lidStages';
import type { Lids } from '../../parts/slopedLid';
import type { SlopedColdFrameAnswers } from './answers';
import type { SlopedBox } from './box';

/** The frame in building order: cut, taper, box, set, lids, glaze, hang. @param outside of the box: x, y, and its foot */
export function slopedStages(
  a: SlopedColdFrameAnswers,
  box: SlopedBox,
  lids: Lids,
  outside: Parameters<typeof heldRound>[0],
  site: BuildSite,
): Stages {
  const boards = [...box.front, ...box.back, ...box.sides];
  const [x0, x1] = outside;
  const set = setOnWall(boards, 'X', [x0, x1], site);
  const held = [...box.front, ...box.back];
  const brackets = joint('bracket', 'anchors', 'Box to the bed wall', held, heldRound(outside, a.anchors), {
    ask: 'anchors',
  });
  const bracketed = countKind(brackets, 'bracket');
  const tapered = box.sides.filter((m) => m.ends[0] === 'taper');
  const tapers = tapered.filter((m) => m.tag.startsWith('C'));
  return [
    'cut',
    ...ripStages(boards),
    stage({
      id: 'taper',
      title: 'Saw the tapered sides',
      view: 'end',
      pieces: tapered,
      work: [
        ...tapers.flatMap((m) => {
          const pair = `${m.tag} and ${m.tag.replace('C', 'D')}`;
          const [deg = 0] = m.endAnglesDeg ?? [];
          // Marked along the end, which is longer than square across where it slants.
          const [front = 0, back = 0] = (m.taperMm ?? []).map((mm) => mm / Math.cos((deg * Math.PI) / 180));
          return [
            ...(deg
              ? [
                  phrase`${pair}: saw both ends ${amount(Math.abs(deg), 'angle')} off square, both leaning the same way, so that they stand plumb on the slope of the boards below.`,
                ]
              : []),
            phrase`${pair}: on the board mark ${amount(front, 'length')} up the front end from one edge and ${amount(back, 'length')} up the back end, and join the marks with a straight board.`,
          ];
        }),
        box.pairFromOne
          ? 'Saw along the line: what is left is the other side. Trim it to the same two heights.'
          : 'Saw along the line, and use the first as the pattern of the second.',
      ],
      tools: ['circular saw', 'clamps', 'straight board', 'tape'],
      checks: ['Both sides alike when laid on one another'],
      cautions: [CAUTIONS.saw, a.wood === 'treated' && CAUTIONS.treated],
      minutes: MINUTES.start + 20,
    }),
    stage({
      id: 'box',
      title: 'Screw the box together',
      view: 'end',
      pieces: [...boards, ...box.posts],
      work: [
        `Screw front and back boards to the corner posts ${tagList(box.posts)}, lowest course first, bottoms flush.`,
        `Set the sides ${tagList(box.sides)} between them, their slope on top, and screw them to the posts.`,
      ],
      tools: ['square'],
      joints: box.joints,
      checks: ['Both diagonals of the box equal', 'A straight board laid from front to back touches all along'],
      minutes: MINUTES.start + boards.length * 4,
    }),
    setStage(
      'Set the box on the bed',
      set,
      [
        ...(site.bed.soil === 'clay'
          ? [
              'Clay holds water: fork gravel into the soil and bore two holes low in the bed’s wall, so that the box does not stand in a puddle.',
            ]
          : []),
        `Two people: set the box on the wall, its low side to the noon sun${bracketed > 0 ? `, and screw it down with ${sayCount(bracketed, 'bracket')}` : ''}.`,
      ],
      brackets,
      { view: 'side' },
    ),
    ...lidFrameStages(lids),
    ...glazeAndHangStages(lids),
  ];
}

/** Rips boards to their height, where none is as wide. */
function ripStages(boards: readonly Member[]): readonly Stage[] {
  const ripped = boards.filter((m) => m.taperMm && m.ends[0] !== 'taper');
  if (ripped.length === 0) return [];
  return [
    stage({
      id: 'rip',
      title: 'Rip boards to their height',
      view: 'end',
      pieces: ripped,
      work: [
        phrase`Saw along the board, a straight one clamped on it as a guide: ${ripped.flatMap((m, i) => phrase`${i > 0 ? ', ' : ''}${m.tag} ${amount(m.taperMm?.[0] ?? 0, 'length')}`)} wide. The sawn edge goes down.`,
      ],
      tools: ['circular saw', 'clamps', 'straight board', 'tape'],
      checks: ['Each is as wide at both ends and in the middle'],
      cautions: [CAUTIONS.saw],
      minutes: MINUTES.start + ripped.length * 8,
    }),
  ];
}
