import type { Lids } from '../../parts/slopedLid';
import type { Block, Joint, Member } from '../../assembly/types';
import type { Stages } from '../../guide/built';
import { amount, phrase } from '../../../base/figure';
import { CAUTIONS } from '../../joints/cautions';
import { glazeAndHangStages, lidFrameStages } from '../../parts/lidStages';
import { MINUTES, countKind, sayCount, stage, tagList } from '../../guide/stage';
import type { StrawBaleAnswers } from './answers';

interface BaleParts {
  readonly blocks: readonly Block[];
  readonly supports: readonly Member[];
  readonly lids: Lids;
  /** Bricks on the lids, the rope round the bales, and the supports as they lie on them. */
  readonly bricks: readonly Joint[];
  readonly rope: readonly Joint[];
  readonly laid: readonly Joint[];
  /** How far a lid is slid down for air, and how much that opens behind it. */
  readonly airing: { readonly slideMm: number; readonly gapMm: number };
}

/** The frame in building order: bales, supports, lids, weights. */
export function strawBaleStages(a: StrawBaleAnswers, b: BaleParts): Stages {
  return [
    'cut',
    stage({
      id: 'bales',
      title: 'Set the bales',
      view: 'plan',
      pieces: b.blocks,
      work: [
        'Start each row at a corner of the bed and let it run past the next, round and round: no bale needs cutting.',
        'All lie flat but the top course on the high side: those stand on edge, and that makes the slope.',
        a.courses > 1 && 'Let the joints of one course fall on the middles of the one below.',
        'Stuff every gap with loose straw and tie a rope round the whole.',
      ],
      tools: ['gloves'],
      joints: b.rope,
      checks: ['A straight board from front to back lies firm anywhere along the bed'],
      cautions: [
        'A bale is heavy, and a wet one weighs twice as much: lift with your knees. Dry straw burns: no flame near it.',
      ],
      minutes: MINUTES.start + b.blocks.length * 5,
    }),
    stage({
      id: 'supports',
      title: 'Lay the supports',
      view: 'end',
      pieces: b.supports,
      work: [
        `Lay ${tagList(b.supports)} flat from front to back, one under each joint of the lids and one at each end.`,
      ],
      tools: ['tape'],
      joints: b.laid,
      checks: ['All in one plane along a string'],
      minutes: MINUTES.start,
    }),
    ...lidFrameStages(b.lids),
    ...glazeAndHangStages(b.lids),
    stage({
      id: 'weights',
      title: 'Weight the lids',
      view: 'plan',
      pieces: b.lids.panels,
      work: [
        countKind(b.bricks, 'brick') > 0 &&
          `${sayCount(countKind(b.bricks, 'brick'), 'brick')} on the corners of the lids, over the supports.`,
        phrase`To air, slide a lid ${amount(b.airing.slideMm, 'length')} down its slope, so that ${amount(b.airing.gapMm, 'length')} is open behind it. To reach in, lift it off with both hands.`,
        'When spring comes, the bales make mulch or a bed to plant in.',
      ],
      joints: b.bricks,
      checks: ['No lid rocks or slides'],
      cautions: [CAUTIONS.snow],
      minutes: 8,
    }),
  ];
}
