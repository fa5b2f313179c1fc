import type { Joint, Member, SaidStep } from '../../assembly/types';
import type { Section } from '../../../catalog/types';
import { type Phrase, amount } from '../../../base/figure';
import { CAUTIONS } from '../../joints/cautions';
import { tagsOf } from '../../parts/frameSteps';
import { sayTags } from '../../guide/tags';
import {
  type Saying,
  MINUTES,
  bendStep,
  countKind,
  cutStep,
  guardSteps,
  named,
  sayCount,
  step,
  tagList,
} from '../../guide/step';
import { type WalkInAnswers, onTimber } from './answers';
import type { House } from './frame';
import type { HouseParts } from './joints';

/** All that is built, all that is cut of it, and all that holds it together. */
interface Built extends HouseParts {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
}

const FASTENING: Readonly<Record<WalkInAnswers['fixing'], Saying>> = {
  channel: 'Press the film into its channels with the spring wire: ridge middle first, then outward to both ends.',
  battens:
    'Screw battens over the film along every board: middle first, then outward to both ends; clip it round both end hoops.',
  staples: 'Staple the film along every board, middle first, then outward, and clip it round both end hoops.',
};

/** A crown higher than this is worked at from a ladder, mm. */
const LADDER_MM = 2000;

/** The house in building order: permits, cut, posts, hoops, purlins, ends, paint, cover, sides, doors, anchors. */
export function walkInSteps(a: WalkInAnswers, b: Built): readonly SaidStep[] {
  const { house: h } = b;
  const { joints } = b;
  const roomUp = h.crownZ > LADDER_MM ? ['ladder'] : [];
  const curtains = b.sheets.filter((s) => s.part === 'Side curtain');
  const main = b.sheets.filter((s) => s.part !== 'Side curtain');
  return [
    step({
      id: 'codes',
      title: 'Ask first, and set it out',
      view: 'plan',
      tags: [],
      work: [
        'Ask the building office, and mark how near the neighbours’ line you may build.',
        ...(h.bolts
          ? [['Mark every post along both long walls of the bed from the left end: ', ...placesOf(h)]]
          : [
              [
                'Set four pegs, ',
                amount(h.y1 - h.y0, 'length'),
                ' by ',
                amount(h.x1 - h.x0, 'length'),
                ' between the posts, and stretch strings.',
              ],
              ['Mark every post along both strings from the left end: ', ...placesOf(h)],
            ]),
      ],
      tools: h.bolts ? ['tape', 'pencil'] : ['string', 'tape', 'pegs'],
      checks: [
        h.bolts ? 'Marks of both walls square across from one another' : 'Both diagonals between the pegs equal',
      ],
      cautions: [CAUTIONS.codes],
      minutes: 60,
    }),
    cutStep(b.members),
    h.bolts
      ? boltStep(a, b, h.bolts)
      : step({
          id: 'posts',
          title: a.posts === 'driven' ? 'Drive the posts' : 'Dig the posts in',
          view: 'side',
          tags: tagsOf(h.posts),
          work: [
            [
              'Each post stands ',
              amount(h.depthMm, 'length'),
              ' in the ground and ',
              amount(a.sidewallMm, 'length'),
              ' above it.',
            ],
            [
              a.posts === 'driven'
                ? 'Drive with a sleeve or a block on top, plumb both ways, until its mark meets the ground.'
                : `Dig, set the post plumb${onTimber(a) ? ', its outer face along the string, beside the place of its hoop' : ''}, and fill round it with ${h.posts.length} bags of post mix in all.`,
            ],
          ],
          tools: a.posts === 'driven' ? ['sledge hammer', 'gloves'] : ['post-hole digger', 'bucket'],
          joints: named(joints, 'posts'),
          checks: ['All tops level along a string', 'Both rows the same distance apart everywhere'],
          cautions: [CAUTIONS.rods],
          minutes: h.posts.length * (a.posts === 'driven' ? 12 : 30),
        }),
    a.roof === 'straight'
      ? frameStep(a, b)
      : bendStep(
          h.hoops,
          h.spacingMm,
          [
            ...(h.core ? [coreWork(h.core, h.cores)] : []),
            [
              ...(onTimber(a)
                ? [
                    'Strap one end of the hoop beside its post, ',
                    amount(a.sleeveMm, 'length'),
                    ' below the top, walk the other end over with a helper, and strap it.',
                  ]
                : h.adapters.length > 0
                  ? [
                      `Slide ${tagList(h.adapters)} over the posts to their marks and pin each with two self-drilling screws. Stand one end of the hoop in its sleeve, walk the other over with a helper, and stand it in.`,
                    ]
                  : [
                      'Slide ',
                      amount(a.sleeveMm, 'length'),
                      ` of ${a.pipe.name} over one post, walk the other end over with a helper, and slide it on.`,
                    ]),
            ],
            onTimber(a)
              ? 'Two straps to each foot, snug, so that the pipe does not creep.'
              : 'Two self-drilling screws through each foot, snug, not tight: pilot the plastic first.',
          ],
          named(joints, 'feet', 'cores'),
          [...h.adapters, ...h.cores],
        ),
    step({
      id: 'purlins',
      title: h.purlins.length > 0 ? 'Fix purlins and boards' : 'Fix the boards',
      view: 'side',
      tags: [...tagsOf(h.beam), ...tagsOf(h.purlins), ...tagsOf(h.boards), ...tagsOf(h.ties), ...tagsOf(h.braces)],
      work: [
        ...(h.beam.length > 0
          ? [
              `Dig in the posts of the beam, ${tagList(h.beam.filter((m) => m.part === 'Beam post'))}, plumb and in line, to their marks. Lay ${tagList(h.beam.filter((m) => m.part !== 'Beam post'))} on them under the crowns, plate it, and strap every hoop to it.`,
            ]
          : []),
        ...(h.purlins.length > 0
          ? [`Purlins ${tagList(h.purlins)} under the hoops, the ridge first, a clamp at every crossing.`]
          : []),
        `Boards ${tagList(h.boards)} outside the posts, base boards on the ground, ${onTimber(a) ? 'two screws into every post' : 'every strap with two screws'}.`,
        ...(h.braces.length > 0
          ? [`Braces ${tagList(h.braces)} inside the posts, from the foot of one to the top of the next.`]
          : []),
        ...(h.ties.length > 0 ? [`Cross ties ${tagList(h.ties)} beside their hoops, above head height.`] : []),
      ],
      tools: ['level', ...roomUp],
      joints: [
        ...named(joints, 'purlins', 'boards', 'cross ties', 'braces'),
        ...h.joints.filter((j) => j.id !== 'cores' && !ofRoof(j)),
      ],
      checks: ['Hoops plumb, and as far apart at the crown as at the ground'],
      cautions: [CAUTIONS.ladder],
      minutes: MINUTES.start + (h.purlins.length + h.boards.length + h.ties.length) * 8,
    }),
    step({
      id: 'ends',
      title: 'Frame the ends',
      view: 'end',
      tags: tagsOf(b.ends),
      work: [
        `Bottom plates on the ${h.bolts ? 'end walls of the bed' : 'ground'} inside the end hoops; studs plumb on them, their tops trimmed to the hoop and strapped to it.`,
        ...(a.doors === 'none'
          ? []
          : [
              [
                'Jambs and header round the door: ',
                amount(a.doorWidthMm, 'length'),
                ' by ',
                amount(a.doorHeightMm, 'length'),
                ' and a finger’s room all round.',
              ],
            ]),
      ],
      tools: ['level', 'saw'],
      joints: named(joints, 'end frames', 'studs'),
      checks: [
        a.doors === 'none' ? 'Every stud plumb' : 'Jambs plumb, header level, both diagonals of the opening equal',
      ],
      cautions: [CAUTIONS.saw],
      minutes: MINUTES.start + b.ends.length * 8,
    }),
    ...guardSteps(h.hoops, named(joints, 'guard')),
    step({
      id: 'cover',
      title: 'Cover it',
      view: 'end',
      tags: [...tagsOf(main), ...tagsOf(b.battens), ...tagsOf(b.endBattens)],
      work: [
        'Round every edge of timber that film will lie on with a rasp, and tape over every screw head and sharp end. Unroll the film beside the house, outer face, usually the printed one, up.',
        'Throw three ropes over, tie them to its edge, and pull it across with two or three people.',
        FASTENING[a.fixing],
        `Screw ${tagList(b.endBattens)} over the film on the studs${a.doors === 'none' ? '' : ' and jambs'} of both ends${a.doors === 'none' ? '' : ', then cut the door out'}.`,
        ...(a.layers === 'double'
          ? ['Hang the inner sheet first, and keep a finger of air between: stick foam strip along the purlins.']
          : []),
      ],
      tools: ['rope', 'knife', ...roomUp],
      joints: named(joints, 'channel', 'staples', 'end clips', 'battens', 'end battens', 'clips', 'spacers', 'edges'),
      checks: ['Tight everywhere, and no metal touches it'],
      cautions: [CAUTIONS.windyFilm, CAUTIONS.ladder, CAUTIONS.knife],
      minutes: main.length * MINUTES.sheet,
    }),
    ...(b.rollBars.length + curtains.length > 0
      ? [
          step({
            id: 'sides',
            title: b.rollBars.length > 0 ? 'Hang the roll-up sides' : 'Hang the side curtains',
            view: 'side',
            tags: [...tagsOf(curtains), ...tagsOf(b.rollBars)],
            work: [
              ...(curtains.length > 0 ? ['Fasten the curtains at the hip boards, lapping the end hoops.'] : []),
              ...(b.rollBars.length > 0
                ? [
                    `Join ${tagList(b.rollBars)}, turn the film a turn and a half round each bar, and clip it every 300 mm.`,
                    'Fit the cranks.',
                  ]
                : ['Fasten them at the base boards.']),
              ...(a.lacing === 'rope'
                ? [
                    'Lace a rope zigzag over each side from hip to base, round a screw at every hoop: wind cannot lift it.',
                  ]
                : []),
            ],
            tools: ['knife'],
            joints: [
              ...named(joints, 'cranks', 'roll clips', 'lacing'),
              ...joints.filter((j) => j.id.startsWith('splices L')),
            ],
            checks: [
              [b.rollBars.length > 0 ? 'Each side rolls up level under its rope' : 'The curtains are tight all along'],
            ],
            cautions: [CAUTIONS.windyFilm],
            minutes: MINUTES.start + 20,
          }),
        ]
      : []),
    ...(a.doors === 'none' ? [] : [doorStep(a, b)]),
    step({
      id: 'anchor',
      title: 'Anchor it',
      view: 'side',
      tags: tagsOf(h.boards),
      work: [
        `Screw in ${sayCount(countKind(joints, 'anchor'), 'anchor')} at the corners and beside the base boards, and wire each to its board.`,
        'Fill soil against the base boards outside.',
      ],
      joints: named(joints, 'anchors'),
      checks: ['Nothing moves when two people push at a hip'],
      cautions: [CAUTIONS.rods, CAUTIONS.heat, CAUTIONS.loaded, CAUTIONS.snow],
      minutes: MINUTES.start,
    }),
  ];
}

const ofRoof = (j: Joint): boolean => j.kind === 'fitting' || j.id === 'sockets';

/** Posts against the wall of the bed, through which they are bolted. */
function boltStep(a: WalkInAnswers, { house: h, joints }: Built, bolts: NonNullable<House['bolts']>): SaidStep {
  return step({
    id: 'posts',
    title: 'Bolt the posts to the bed',
    view: 'side',
    tags: tagsOf(h.posts),
    work: [
      [
        'Stand each post on the ground against the wall outside, beside its mark, plumb both ways, ',
        amount(a.sidewallMm, 'length'),
        ' high.',
      ],
      [
        'Two bolts through post and wall, the lower ',
        amount(bolts.lowMm, 'length'),
        ' above the ground, the other ',
        amount(bolts.apartMm, 'length'),
        ' over it.',
      ],
    ],
    tools: ['level'],
    joints: named(joints, 'posts'),
    checks: ['All tops level along a string', 'The wall itself does not rock when a post is pulled'],
    cautions: [CAUTIONS.codes],
    minutes: h.posts.length * 5,
  });
}

/** What goes inside a hoop before it is bent in. */
function coreWork(core: Section, cores: readonly Member[]): Phrase {
  const bent = core.shape.kind === 'tube' && core.shape.insideMm > 0;
  return [
    bent
      ? `Bend ${tagList(cores)} to the curve of the hoop with a conduit bender, a little at a time along it, and slide one into each pipe.`
      : `Slide ${tagList(cores)} into the pipes while both lie straight, ends even; draw stout bar round a drum first.`,
    ' Once the hoop stands, a self-drilling screw through each end keeps it there.',
  ];
}

/** Frames of straight pipe and fittings on the posts. */
function frameStep(a: WalkInAnswers, { house: h, joints }: Built): SaidStep {
  const [stubs, rafters] = ['Stub', 'Rafter'].map((part) => h.hoops.filter((m) => m.part === part));
  return step({
    id: 'frames',
    title: 'Set the roof on the posts',
    view: 'end',
    tags: [...tagsOf(h.hoops), ...tagsOf(h.ridgePipes), ...tagsOf(h.adapters)],
    work: [
      `Lay each frame out flat: rafters ${tagList(rafters ?? [])} into the ridge fittings, an eave elbow on each, stubs ${tagList(stubs ?? [])} in the elbows. Push every pipe home.`,
      onTimber(a)
        ? 'Stand a frame up with a helper, a stub beside each post, and strap both.'
        : h.adapters.length > 0
          ? `Slide ${tagList(h.adapters)} over the posts to their marks, pin each with two self-drilling screws, and stand the stubs in them.`
          : [
              'Stand a frame up with a helper, slide ',
              amount(a.sleeveMm, 'length'),
              ' of its stubs over both posts, and screw each foot.',
            ],
      `Ridge pipes ${tagList(h.ridgePipes)} from frame to frame, then one screw through every socket.`,
    ],
    tools: ['rubber mallet', 'drill', 'eye protection'],
    joints: [...named(joints, 'feet'), ...h.joints.filter(ofRoof)],
    checks: [
      'Frames plumb, and as far apart at the ridge as at the eaves',
      'Every ridge fitting at one height along a string',
    ],
    cautions: [CAUTIONS.ladder],
    minutes: MINUTES.start + (h.hoops.length + h.ridgePipes.length) * 3,
  });
}

function placesOf(h: House): Phrase {
  return h.xs.flatMap((x, i) => [...(i > 0 ? [', '] : []), amount(x - h.x0, 'length')]);
}

/** Makes the doors and hangs them. */
function doorStep(a: WalkInAnswers, b: Built): SaidStep {
  const { joints } = b;
  return step({
    id: 'door',
    title: a.doors === 'two' ? 'Make and hang both doors' : 'Make and hang the door',
    view: 'end',
    tags: [...tagsOf(b.door), ...tagsOf(b.doorSheets)],
    work: [
      'Two stiles, three rails between them, a plate on every corner.',
      `Film on both faces, ${sayTags(tagsOf(b.doorSheets))}, folded round the frame and stapled every 75 mm.`,
      `${sayCount(countKind(joints, 'doorHinge'), 'doorHinge')} in all. It swings outward, away from the prevailing wind, and latches from both sides.`,
    ],
    tools: ['level', 'stapler'],
    joints: named(joints, 'door frames', 'door corners', 'door hinges', 'door latches', 'door handles', 'door film'),
    checks: ['It swings free and latches', 'Nothing stands in its swing'],
    minutes: b.door.length * 8 + 20,
  });
}
