import type { KindKey } from '../joints';
import { type Glazing, GLAZING_SCREWS_MM } from './glazing';
import type { Lids } from './slopedLid';
import type { Stage } from '../assembly/types';
import { amount, phrase } from '../../base/figure';
import { CAUTIONS } from '../joints/cautions';
import { type Saying, MINUTES, countKind, sayCount, sayCounts, stage, tagList } from '../guide/stage';

/** Joins the lid frames; nothing where the lids are windows. */
export function lidFrameStages(lids: Lids): readonly Stage[] {
  if (lids.members.length === 0) return [];
  return [
    stage({
      id: 'lids',
      title: `Join the ${lids.openings.length === 1 ? lids.called.one : lids.called.many}`,
      view: 'plan',
      pieces: lids.members,
      work: [
        `Lay each ${lids.called.one} flat: its two rails outside, stiles and bars between them, marks facing each other.`,
        `Two screws through the rails into each end of ${tagList(lids.members.filter((m) => !m.part.includes(' rail, ')))}, and a plate on every corner.`,
      ],
      tools: ['square'],
      joints: lids.joints.framed,
      checks: [`Both diagonals of each ${lids.called.one} equal`, 'It lies flat without rocking'],
      minutes: MINUTES.start + lids.members.length * 5,
    }),
  ];
}

const GLAZE: Readonly<Record<Glazing, readonly Saying[]>> = {
  'old-window': [
    'Wash the windows, press loose putty back, and paint bare wood. Do not sand old paint dry.',
    'Stick safety film on the inside of the glass, or choose plastic glazing where children play.',
  ],
  'twin-wall-6': [
    'Peel the film back along the edges. Tape both open ends; channels run down the slope.',
    phrase`Drill holes ${amount(2, 'length')} wider than the screws, every ${amount(GLAZING_SCREWS_MM, 'byEye')} over stiles and bars; screw until the washer just grips.`,
  ],
  corrugated: [
    'Lay the closure strips on both rails, then the sheets, corrugations down the slope, one wave lapping the next.',
    phrase`Drill through the crests over stiles and bars, every ${amount(GLAZING_SCREWS_MM, 'byEye')}, and screw until the washer just grips.`,
  ],
  'film-both': [
    'Film on the upper face first, its outer face, usually the printed one, to the sky: staple round the edge, fold, and staple again.',
    'Then the lower face. The air between the two is what keeps warmth.',
  ],
};

/** Makes windows ready, or glazes the lids. */
function glazeStage(lids: Lids): Stage {
  const { glazing } = lids;
  const glass = glazing === 'old-window';
  const pieces = [...lids.panels, ...lids.sheets];
  return stage({
    id: 'glaze',
    title: glass ? 'Make the windows ready' : `Glaze the ${lids.called.many}`,
    view: 'plan',
    pieces,
    work: [
      ...GLAZE[glazing],
      glazing === 'twin-wall-6' &&
        lids.panels.length > lids.openings.length &&
        'Press a joining strip over every joint of two sheets, on its bar.',
    ],
    tools: glass ? ['brush', 'knife', 'gloves'] : ['fine saw', 'knife'],
    joints: lids.joints.glazed,
    checks: [glass ? 'Every pane is whole and sits firm' : 'Nothing rattles, and the sheet can still move with heat'],
    cautions: glass ? [CAUTIONS.glass] : [CAUTIONS.knife],
    minutes: MINUTES.start + pieces.length * 18,
  });
}

/** Hangs the lids, and fits latches, stays and openers; loose ones are laid on. */
function hangStage(lids: Lids, place: Saying): Stage {
  const { called } = lids;
  const joints = lids.joints.hung;
  const count = (kind: KindKey): number => countKind(joints, kind);
  const hung = count('hinge') > 0;
  return stage({
    id: 'hang',
    title: hung ? `Hang the ${called.many}` : `Lay the ${called.many} on`,
    view: 'end',
    pieces: [...lids.members, ...lids.panels, ...lids.sheets],
    work: hung
      ? [
          place,
          `${sayCount(count('hinge'), 'hinge')} along the ${called.upper}, the outer ones a tenth of its length from each ${called.one}’s ends.`,
          `At the ${called.lower} ${sayCounts(joints, 'handle', 'latch')}${count('stay') > 0 ? `; at the sides ${sayCounts(joints, 'stay')}` : ''}.`,
          count('opener') > 0 &&
            phrase`Fix ${sayCount(count('opener'), 'opener')} to ${called.one} and ${called.upper} as its sheet says; set it to start at ${amount(18, 'temperature')}.`,
          `Stick a strip of foam along the edges where the ${called.many} rest.`,
        ]
      : [place],
    tools: ['level'],
    joints,
    checks: [
      hung ? `Each ${called.one} swings free and shuts flat` : `Each ${called.one} lies flat and does not rock`,
      count('stay') > 0 && 'The stays hold',
      count('latch') > 0 && 'The latches shut',
    ],
    cautions: [CAUTIONS.lid, CAUTIONS.snow],
    minutes: MINUTES.start,
  });
}

/**
 * Glazes the lids of a frame and hangs them, or lays them on.
 * @param lay how they are held while they are fixed, where they do not lie on a box
 */
export function glazeAndHangStages(lids: Lids, lay?: Saying): readonly Stage[] {
  return [
    glazeStage(lids),
    hangStage(
      lids,
      lay ??
        (countKind(lids.joints.hung, 'hinge') > 0
          ? 'Lay the lids on, flush at the back, the same overhang all along the front.'
          : 'Two people: lay the lids on, and weight or tie every corner.'),
    ),
  ];
}
