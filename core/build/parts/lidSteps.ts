import type { KindKey } from '../joints';
import type { Glazing, Lids } from './slopedLid';
import type { SaidStep } from '../assembly/types';
import { type Phrase, amount } from '../../base/figure';
import { CAUTIONS } from '../joints/cautions';
import { tagsOf } from './frameSteps';
import { MINUTES, countKind, named, sayCount, step, tagList } from '../guide/step';

/** Joins the lid frames; nothing where the lids are windows. */
export function lidFrameStep(lids: Lids): readonly SaidStep[] {
  if (lids.members.length === 0) return [];
  return [
    step({
      id: 'lids',
      title: lids.openings.length === 1 ? 'Join the lid' : 'Join the lids',
      view: 'plan',
      tags: tagsOf(lids.members),
      work: [
        ['Lay each lid flat: its two rails outside, stiles and bars between them, marks facing each other.'],
        [
          `Two screws through the rails into each end of ${tagList(lids.members.slice(2))}, and a plate on every corner.`,
        ],
      ],
      tools: ['square'],
      joints: named(lids.joints, 'lid corners', 'lid bars'),
      checks: [['Both diagonals of each lid equal'], ['It lies flat without rocking']],
      minutes: MINUTES.start + lids.members.length * 5,
    }),
  ];
}

const GLAZE: Readonly<Record<Glazing, readonly Phrase[]>> = {
  'old-window': [
    ['Wash the windows, press loose putty back, and paint bare wood. Do not sand old paint dry.'],
    ['Stick safety film on the inside of the glass, or choose plastic glazing where children play.'],
  ],
  'twin-wall-6': [
    ['Peel the film back along the edges. Tape both open ends; channels run down the slope.'],
    ['Drill holes 2 mm wider than the screws, every 250 mm over stiles and bars; screw until the washer just grips.'],
  ],
  corrugated: [
    ['Lay the closure strips on both rails, then the sheets, corrugations down the slope, one wave lapping the next.'],
    ['Drill through the crests over stiles and bars, and screw until the washer just grips.'],
  ],
  'film-both': [
    [
      'Film on the upper face first, its outer face, usually the printed one, to the sky: staple round the edge, fold, and staple again.',
    ],
    ['Then the lower face. The air between the two is what keeps warmth.'],
  ],
};

/** Glazes the lids, hangs them, and fits latches, stays and openers. */
export function glazeAndHangSteps(glazing: Glazing, lids: Lids): readonly SaidStep[] {
  const { joints } = lids;
  const count = (kind: KindKey): number => countKind(joints, kind);
  const hung = named(joints, 'hinges', 'handles', 'latches', 'stays', 'openers');
  const glass = glazing === 'old-window';
  const pieces = [...lids.panels, ...lids.sheets];
  return [
    step({
      id: 'glaze',
      title: glass ? 'Make the windows ready' : 'Glaze the lids',
      view: 'plan',
      tags: tagsOf(pieces),
      work: GLAZE[glazing],
      tools: glass ? ['brush', 'knife', 'gloves'] : ['fine saw', 'knife'],
      joints: named(joints, 'glazing', 'skins', 'safety film'),
      checks: [
        glass ? ['Every pane is whole and sits firm'] : ['Nothing rattles, and the sheet can still move with heat'],
      ],
      cautions: glass ? [CAUTIONS.glass] : [CAUTIONS.knife],
      minutes: MINUTES.start + pieces.length * 18,
    }),
    step({
      id: 'hang',
      title: count('hinge') > 0 ? 'Hang the lids' : 'Lay the lids on',
      view: 'end',
      tags: [...tagsOf(lids.members), ...tagsOf(pieces)],
      work:
        count('hinge') > 0
          ? [
              ['Lay the lids on, flush at the back, the same overhang all along the front.'],
              [`${sayCount(count('hinge'), 'hinge')} along the back, the outer ones a hand from each lid’s ends.`],
              [
                `In front ${sayCount(count('handle'), 'handle')} and ${sayCount(count('latch'), 'latch')}; ${sayCount(count('stay'), 'stay')}.`,
              ],
              ...(count('opener') > 0
                ? [
                    [
                      'Fix the opener to lid and back as its sheet says; set it to start at ',
                      amount(18, 'temperature'),
                      '.',
                    ],
                  ]
                : []),
              ['Stick a strip of foam along the edges where the lids rest.'],
            ]
          : [['Two people: lay the lids on, and weight or tie every corner.']],
      tools: ['level'],
      joints: hung,
      checks: [
        ['Each lid swings free and shuts flat'],
        ...(count('stay') > 0 ? [['The stays hold']] : []),
        ...(count('latch') > 0 ? [['The latches shut']] : []),
      ],
      cautions: [CAUTIONS.lid, CAUTIONS.snow],
      minutes: MINUTES.start,
    }),
  ];
}
