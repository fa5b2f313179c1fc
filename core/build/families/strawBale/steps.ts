import type { Lids } from '../../parts/slopedLid';
import type { Block, Joint, Member, SaidStep } from '../../assembly/types';
import { CAUTIONS } from '../../joints/cautions';
import { tagsOf } from '../../parts/frameSteps';
import { glazeAndHangSteps, lidFrameStep } from '../../parts/lidSteps';
import { MINUTES, countKind, cutStep, named, sayCount, step, tagList } from '../../guide/step';
import type { StrawBaleAnswers } from './answers';

interface Built {
  readonly blocks: readonly Block[];
  readonly supports: readonly Member[];
  readonly lids: Lids;
  readonly joints: readonly Joint[];
}

/** The frame in building order: bales, supports, lids, weights. */
export function strawBaleSteps(a: StrawBaleAnswers, b: Built): readonly SaidStep[] {
  return [
    cutStep([...b.supports, ...b.lids.members]),
    step({
      id: 'bales',
      title: 'Set the bales',
      view: 'plan',
      tags: tagsOf(b.blocks),
      work: [
        'Start each row at a corner of the bed and let it run past the next, round and round: no bale needs cutting.',
        'All lie flat but the top course on the high side: those stand on edge, and that makes the slope.',
        ...(a.courses > 1 ? ['Let the joints of one course fall on the middles of the one below.'] : []),
        'Stuff every gap with loose straw and tie a rope round the whole.',
      ],
      tools: ['gloves'],
      joints: named(b.joints, 'rope'),
      checks: ['A straight board from front to back lies firm anywhere along the bed'],
      cautions: [
        'A bale weighs about 18 kg, and a wet one twice that: lift with your knees. Dry straw burns: no flame near it.',
      ],
      minutes: MINUTES.start + b.blocks.length * 5,
    }),
    step({
      id: 'supports',
      title: 'Lay the supports',
      view: 'end',
      tags: tagsOf(b.supports),
      work: [
        `Lay ${tagList(b.supports)} flat from front to back, one under each joint of the lids and one at each end.`,
      ],
      tools: ['tape'],
      joints: named(b.joints, 'supports'),
      checks: ['All in one plane along a string'],
      minutes: MINUTES.start,
    }),
    ...lidFrameStep(b.lids),
    ...glazeAndHangSteps(a.glazing, b.lids),
    step({
      id: 'weights',
      title: 'Weight the lids',
      view: 'plan',
      tags: tagsOf(b.lids.panels),
      work: [
        `${sayCount(countKind(b.joints, 'brick'), 'brick')} on the corners of the lids, over the supports.`,
        'To air, slide a lid down a hand’s width; to reach in, lift it off with both hands.',
        'When spring comes, the bales make mulch or a bed to plant in.',
      ],
      joints: named(b.joints, 'weights'),
      checks: ['No lid rocks or slides'],
      cautions: [CAUTIONS.snow],
      minutes: 8,
    }),
  ];
}
