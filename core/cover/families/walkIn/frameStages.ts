/** The house without its ends and covers: set out, posts, hoops, purlins and boards. */
import { MM_PER_INCH } from '../../../base/length';
import type { ToolKey } from '../../../catalog/handTools';
import { type Phrase, amount, phrase } from '../../../base/figure';
import type { Vec3 } from '../../../base/geometry';
import { endsOf } from '../../assembly/pieces';
import type { Joint, Stage } from '../../assembly/types';
import type { Stages } from '../../guide/built';
import { type Saying, MINUTES, bendStage, stage, tagList } from '../../guide/stage';
import { joint, pairsAt, spreadAlong } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { type WalkInAnswers, onTimber } from './answers';
import type { House } from './frame';

/** A crown higher than this is worked at from a ladder, mm. */
const LADDER_MM = 2000;
export const roomUp = (h: House): readonly ToolKey[] => (h.crownZ > LADDER_MM ? ['ladder'] : []);

/** From asking first to the last board: the house as it stands before its ends are framed. */
export function frameStages(a: WalkInAnswers, h: House): Stages {
  return [
    setOutStage(h),
    'cut',
    h.bolts ? boltStage(a, h, h.bolts) : postStage(a, h),
    ...railStages(h),
    a.roof === 'straight' ? straightStage(a, h) : sprungStage(a, h),
    boardStage(a, h),
  ];
}

function setOutStage(h: House): Stage {
  const places = h.postXs.flatMap((x, i) => phrase`${i > 0 ? ', ' : ''}${amount(x - h.x0, 'length')}`);
  return stage({
    id: 'codes',
    title: 'Ask first, and set it out',
    view: 'plan',
    pieces: [],
    work: [
      'Ask the building office, and mark how near the neighbours’ line you may build.',
      ...(h.bolts
        ? [phrase`Mark every post along both long walls of the bed from the left end: ${places}`]
        : [
            phrase`Set four pegs, ${amount(h.y1 - h.y0, 'length')} by ${amount(h.x1 - h.x0, 'length')} between the posts, and stretch strings.`,
            phrase`Mark every post along both strings from the left end: ${places}`,
          ]),
    ],
    tools: h.bolts ? ['tape', 'pencil'] : ['string', 'tape', 'pegs'],
    checks: [h.bolts ? 'Marks of both walls square across from one another' : 'Both diagonals between the pegs equal'],
    cautions: [CAUTIONS.codes],
    minutes: 60,
  });
}

/** Where hoops stand, and beside which of them posts do, at a height. */
const feetOf = (h: House, z: number): readonly Vec3[] => pairsAt(h.xs, [h.y0, h.y1], z);
const postsOf = (h: House, z: number): readonly Vec3[] => pairsAt(h.postXs, [h.y0, h.y1], z);

/** Nails through a post of two pieces stand so far apart, mm. */
const NAILS_EVERY_MM = 12 * MM_PER_INCH;

/** Posts of two pieces are nailed together before they stand. */
const nailing = (h: House): readonly Saying[] =>
  h.nailed > 1
    ? [
        phrase`Lay the two pieces of each post face to face, ends even, and nail them from both sides, two nails every ${amount(NAILS_EVERY_MM, 'byEye')}.`,
      ]
    : [];

/** Two nails from both sides every foot of a post of two pieces. */
function nails({ posts, nailed }: House): readonly Joint[] {
  const firsts = nailed > 1 ? posts.filter((_, i) => i % nailed === 0) : [];
  return joint(
    'nail',
    'nails',
    'Posts of two pieces, nailed together',
    nailed > 1 ? posts : [],
    spreadAlong(firsts, NAILS_EVERY_MM),
    {
      with: { each: 2 },
    },
  );
}

function postStage(a: WalkInAnswers, h: House): Stage {
  const timber = onTimber(a);
  const driven = a.posts === 'driven';
  return stage({
    id: 'posts',
    title: driven ? 'Drive the posts' : 'Dig the posts in',
    view: 'side',
    pieces: h.posts,
    work: [
      ...nailing(h),
      phrase`Each post stands ${amount(h.depthMm, 'length')} in the ground and ${amount(a.sidewallMm, 'length')} above it.`,
      driven
        ? 'Drive with a sleeve or a block on top, plumb both ways, until its mark meets the ground.'
        : `Dig, set the post plumb${timber ? ', its outer face along the string, beside the place of its hoop' : ''}, and fill round it with ${h.posts.length / h.nailed} bags of post mix in all.`,
    ],
    tools: driven ? ['sledge hammer', 'gloves'] : ['post-hole digger', 'bucket'],
    joints: [
      ...joint('post', 'posts', 'Posts in the ground', h.posts, postsOf(h, 0), {
        with: { set: timber ? 'dug' : a.posts, depthMm: h.depthMm, what: 'posts in the soil' },
      }),
      ...nails(h),
    ],
    checks: ['All tops level along a string', 'Both rows the same distance apart everywhere'],
    cautions: [CAUTIONS.rods],
    minutes: (h.posts.length / h.nailed) * (driven ? 12 : 30),
  });
}

/** Rails from post to post, on blocks, that the hoops are strapped to; none where every hoop has its posts. */
function railStages(h: House): readonly Stage[] {
  const { rails, blocks, posts } = h;
  const [block] = blocks;
  if (!block) return [];
  const top = endsOf([block])[1]?.[2] ?? 0;
  return [
    stage({
      id: 'rails',
      title: 'Hang the side rails',
      view: 'side',
      pieces: [...blocks, ...rails],
      work: [
        phrase`Screw a block, ${tagList(blocks)}, to the outer face of each post, its top ${amount(top, 'length')} above the ground.`,
        `Stand the rails, ${tagList(rails)}, on the blocks outside the posts, the marks of the hoops inward, and screw them to every post.`,
      ],
      tools: ['level', 'driver'],
      joints: [
        ...joint(
          'buttScrew',
          'rail blocks',
          'Blocks to the posts, four screws each',
          [...blocks, ...posts],
          endsOf(blocks).filter((_, i) => i % 2 === 1),
          {
            with: { screw: 'screw-3', each: 4 },
          },
        ),
        ...joint(
          'buttScrew',
          'side rails',
          'Side rails to the posts, three screws each',
          [...rails, ...blocks, ...posts],
          postsOf(h, top),
          {
            with: { screw: 'screw-3', each: 3 },
          },
        ),
      ],
      checks: ['Both rails level, and as far apart in the middle as at the ends'],
      cautions: [CAUTIONS.saw],
      minutes: MINUTES.start + (blocks.length + rails.length) * 6,
    }),
  ];
}

/** Posts against the wall of the bed, through which they are bolted. */
function boltStage(a: WalkInAnswers, h: House, { lowMm, apartMm }: NonNullable<House['bolts']>): Stage {
  const places = feetOf(h, 0).flatMap(([x, y]) => [lowMm, lowMm + apartMm].map((z): Vec3 => [x, y, z]));
  return stage({
    id: 'posts',
    title: 'Bolt the posts to the bed',
    view: 'side',
    pieces: h.posts,
    work: [
      ...nailing(h),
      phrase`Stand each post on the ground against the wall outside, beside its mark, plumb both ways, ${amount(a.sidewallMm, 'length')} high.`,
      phrase`Two bolts through post and wall, the lower ${amount(lowMm, 'length')} above the ground, the other ${amount(apartMm, 'length')} over it.`,
    ],
    tools: ['level'],
    joints: [...joint('wallBolt', 'posts', 'Posts to the bed’s wall, two each', h.posts, places), ...nails(h)],
    checks: ['All tops level along a string', 'The wall itself does not rock when a post is pulled'],
    cautions: [CAUTIONS.codes],
    minutes: (h.posts.length / h.nailed) * 5,
  });
}

/** What holds hoops to their posts: straps beside timber; screws through both, or through a sleeve over both. */
function footJoints(a: WalkInAnswers, h: House): readonly Joint[] {
  const feet = feetOf(h, a.sidewallMm);
  const adapted = h.adapters.length > 0;
  const railed = h.rails.length > 0;
  return onTimber(a)
    ? joint(
        'uStrap',
        'feet',
        `Two straps at each hoop foot, to its ${railed ? 'rail' : 'post'}`,
        [...h.hoops, ...(railed ? h.rails : h.posts)],
        feet,
        {
          count: 2 * feet.length,
          with: { screw: 'screw-1-5/8' },
        },
      )
    : joint(
        'tekScrew',
        'feet',
        adapted
          ? 'Through each sleeve, two into the hoop and two into its post'
          : 'Two through each hoop foot into its post',
        [...h.adapters, ...h.hoops, ...h.posts],
        feet,
        { with: { each: adapted ? 4 : 2 } },
      );
}

function sprungStage(a: WalkInAnswers, h: House): Stage {
  const timber = onTimber(a);
  const over: Saying =
    h.rails.length > 0
      ? phrase`Strap one end of the hoop to the inside of its rail at the mark, its end ${amount(h.lapMm, 'length')} below the top, walk the other end over with a helper, and strap it.`
      : timber
        ? phrase`Strap one end of the hoop beside its post, ${amount(a.sleeveMm, 'length')} below the top, walk the other end over with a helper, and strap it.`
        : h.adapters.length > 0
          ? `Slide ${tagList(h.adapters)} over the posts to their marks and pin each with two self-drilling screws. Stand one end of the hoop in its sleeve, walk the other over with a helper, and stand it in.`
          : phrase`Slide ${amount(a.sleeveMm, 'length')} of ${a.pipe.name} over one post, walk the other end over with a helper, and slide it on.`;
  const how = [
    ...(h.core ? [coreWork(h, h.core)] : []),
    over,
    timber
      ? 'Two straps to each foot, snug, so that the pipe does not creep.'
      : 'Two self-drilling screws through each foot, snug, not tight: pilot the plastic first.',
  ];
  const joints = [...footJoints(a, h), ...h.hoopJoints];
  return bendStage(h.hoops, h.spacingMm, how, joints, [...h.adapters, ...h.cores]);
}

/** What goes inside a hoop before it is bent in. */
function coreWork({ cores }: House, { shape }: NonNullable<House['core']>): Phrase {
  const bent = shape.kind === 'tube' && shape.insideMm > 0;
  return [
    bent
      ? `Bend ${tagList(cores)} to the curve of the hoop with a conduit bender, a little at a time along it, and slide one into each pipe.`
      : `Slide ${tagList(cores)} into the pipes while both lie straight, ends even; draw stout bar round a drum first.`,
    ' Once the hoop stands, a self-drilling screw through each end keeps it there.',
  ];
}

/** Frames of straight pipe and fittings on the posts. */
function straightStage(a: WalkInAnswers, h: House): Stage {
  const part = (name: string): string => tagList(h.hoops.filter((m) => m.part === name));
  return stage({
    id: 'frames',
    title: 'Set the roof on the posts',
    view: 'end',
    pieces: [...h.hoops, ...h.ridgePipes, ...h.adapters],
    work: [
      `Lay each frame out flat: rafters ${part('Rafter')} into the ridge fittings, an eave elbow on each, stubs ${part('Stub')} in the elbows. Push every pipe home.`,
      onTimber(a)
        ? `Stand a frame up with a helper, a stub ${h.rails.length > 0 ? 'inside each rail at its mark' : 'beside each post'}, and strap both.`
        : h.adapters.length > 0
          ? `Slide ${tagList(h.adapters)} over the posts to their marks, pin each with two self-drilling screws, and stand the stubs in them.`
          : phrase`Stand a frame up with a helper, slide ${amount(a.sleeveMm, 'length')} of its stubs over both posts, and screw each foot.`,
      `Ridge pipes ${tagList(h.ridgePipes)} from frame to frame, then one screw through every socket.`,
    ],
    tools: ['rubber mallet', 'drill', 'eye protection'],
    joints: [...footJoints(a, h), ...h.hoopJoints],
    checks: [
      'Frames plumb, and as far apart at the ridge as at the eaves',
      'Every ridge fitting at one height along a string',
    ],
    cautions: [CAUTIONS.ladder],
    minutes: MINUTES.start + (h.hoops.length + h.ridgePipes.length) * 3,
  });
}

/** Purlins, boards, ties and braces, and the beam under the crowns. */
function boardStage(a: WalkInAnswers, h: House): Stage {
  const { purlins, ties, braces, beam } = h;
  // Rails hang on their posts already.
  const boards = h.rails.length > 0 ? h.baseBoards : h.boards;
  const timber = onTimber(a);
  const n = h.xs.length;
  const runs = (a.purlins === 'three' ? 2 : 0) + (beam.length > 0 || h.ridgePipes.length > 0 ? 0 : 1);
  const crossings = purlins.flatMap((m) => {
    const [from, to] = endsOf([m]);
    return from && to
      ? h.xs
          .filter((x) => x >= from[0] - 1 && x <= to[0] - (to[0] < h.x1 - 1 ? 1 : -1))
          .map((x): Vec3 => [x, from[1], from[2]])
      : [];
  });
  const posts = beam.filter((m) => m.part === 'Beam post');
  const board = beam.filter((m) => m.part !== 'Beam post');
  return stage({
    id: 'purlins',
    title: purlins.length > 0 ? 'Fix purlins and boards' : 'Fix the boards',
    view: 'side',
    pieces: [...beam, ...purlins, ...boards, ...ties, ...braces],
    work: [
      beam.length > 0 &&
        `Dig in the posts of the beam, ${tagList(posts)}, plumb and in line, to their marks. Lay ${tagList(board)} on them under the crowns, fix the joints with plates, and strap every hoop down.`,
      purlins.length > 0 &&
        `${purlins.length === 1 ? 'Purlin' : 'Purlins'} ${tagList(purlins)} under the hoops${purlins.length === 1 ? '' : ', the ridge first'}, a clamp at every crossing.`,
      `Boards ${tagList(boards)} outside the posts, base boards on the ground, ${timber ? 'two screws into every post' : 'every strap with two screws'}.`,
      braces.length > 0 && `Braces ${tagList(braces)} inside the posts, from the foot of one to the top of the next.`,
      ties.length > 0 &&
        phrase`Cross ties ${tagList(ties)} beside their hoops, level, their middles ${amount(endsOf(ties)[0]?.[2] ?? 0, 'length')} above the ground.`,
    ],
    tools: ['level', ...roomUp(h)],
    joints: [
      ...joint('tekScrew', 'braces', 'Braces to the posts, two an end', [...braces, ...h.posts], endsOf(braces), {
        with: { each: 2 },
      }),
      ...joint('crossing', 'purlins', 'Purlins to every hoop', [...purlins, ...h.hoops], crossings, {
        count: runs * n,
      }),
      ...joint(
        timber ? 'buttScrew' : 'uStrap',
        'boards',
        `${boards === h.baseBoards ? 'Base' : 'Base and hip'} boards to the posts${timber ? ', two screws each' : ''}`,
        [...boards, ...h.posts],
        postsOf(h, boards === h.baseBoards ? 0 : a.sidewallMm),
        {
          count: (h.hips.length > 0 && h.rails.length === 0 ? 4 : 2) * h.postXs.length,
          with: { screw: timber ? 'screw-3' : 'screw-1-5/8' },
        },
      ),
      ...joint('buttScrew', 'cross ties', 'Cross ties to the hoops', [...ties, ...h.hoops], endsOf(ties)),
      ...h.runJoints,
    ],
    checks: ['Hoops plumb, and as far apart at the crown as at the ground'],
    cautions: [CAUTIONS.ladder],
    minutes: MINUTES.start + (purlins.length + boards.length + ties.length) * 8,
  });
}
