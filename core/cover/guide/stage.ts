import { thicknessMm } from '../../catalog/sections';
import type { ToolKey } from '../../catalog/handTools';
import type { Joint, Member, StepSpec, Stage } from '../assembly/types';
import { KINDS, type KindKey } from '../joints';
import { countOfJoint } from '../joints/kind';
import { type Phrase, amount, phrase } from '../../base/figure';
import { CAUTIONS } from '../joints/cautions';
import { sayTags } from './tags';

/** Minutes of unhurried work by one person; the sum of the steps is the time to build. */
export const MINUTES = {
  start: 10,
  boardCut: 6,
  pipeCut: 2,
  place: 4,
  bend: 6,
  drive: 4,
  fixing: 0.6,
  sheet: 25,
  paint: 20,
} as const;

/** One sentence: plain, or with amounts in it. */
export type Saying = string | Phrase;
/** A list in which what is not there stands as false: `posts.length > 0 && 'Plate the ridge on the posts.'` */
export type List<T> = readonly (T | false)[];
export const present = <T>(list: List<T>): readonly T[] => list.filter((x): x is T => x !== false);
const said = (sayings: List<Saying>): readonly Phrase[] =>
  present(sayings).map((s) => (typeof s === 'string' ? [s] : s));

type StageParts = Pick<Stage, 'id' | 'title' | 'view' | 'pieces' | 'minutes'> &
  Partial<Pick<Stage, 'joints'>> & {
    readonly work: List<Saying>;
    readonly checks?: List<Saying>;
    readonly tools?: List<ToolKey>;
    readonly cautions?: List<string>;
  };

/** A stage of building, with nothing where nothing is said; its tools, cautions and minutes are beside those of its joints. */
export function stage({ work, checks = [], tools = [], cautions = [], ...parts }: StageParts): Stage {
  return {
    joints: [],
    ...parts,
    work: said(work),
    tools: present(tools),
    checks: said(checks),
    cautions: present(cautions),
  };
}

/** A stage by the names of what it brings together. */
export function saidStep({ pieces, joints, ...rest }: Stage): StepSpec {
  return { ...rest, tags: [...new Set(pieces.map((p) => p.tag))], joints: joints.map((j) => j.id) };
}

/** How many of a kind there are among joints. */
export const countKind = (joints: readonly Joint[], kind: KindKey): number =>
  joints.filter((j) => j.kind === kind).reduce((sum, j) => sum + countOfJoint(j), 0);

/** Joints by their ids, and those that begin with one: 'splices' for every splice. */
export const namedPieces = (joints: readonly Joint[], ...ids: readonly string[]): readonly Joint[] =>
  joints.filter((j) => ids.some((id) => j.id === id || j.id.startsWith(`${id} `)));

/** A number with its noun, as the kind of joint calls it: 2 hinges, 1 latch, no stays. */
export function sayCount(count: number, kind: KindKey): string {
  const [one, many] = KINDS[kind].name;
  return count === 0 ? `no ${many}` : `${count} ${count === 1 ? one : many}`;
}

/** Several counted things in one sentence: "2 hinges, 1 handle and 1 stay"; what there is none of is not spoken of. */
export function sayCounts(joints: readonly Joint[], ...kinds: readonly KindKey[]): string {
  const said = kinds.flatMap((kind) => {
    const count = countKind(joints, kind);
    return count === 0 ? [] : [sayCount(count, kind)];
  });
  return said.length < 2 ? said.join('') : `${said.slice(0, -1).join(', ')} and ${said[said.length - 1] ?? ''}`;
}

/** Pieces by their tags, as a person says them. */
export function tagList(pieces: readonly { readonly tag: string }[]): string {
  return sayTags(pieces.map((p) => p.tag));
}

/** A pipe of more than this, stood on end, is higher than a reach and may meet a line, mm. */
const LONG_PIPE_MM = 4000;

/** First of all: cut every piece to the cut list and write its tag on it. */
export function cutStage(members: readonly Member[]): Stage {
  const boards = members.filter((m) => m.section.shape.kind === 'board');
  const dusts = new Set(members.map((m) => m.section.material.dust));
  const longPipe = members.some(
    ({ section: { shape, stock } }) => shape.kind === 'tube' && stock.some((bar) => bar.lengthMm > LONG_PIPE_MM),
  );
  const tools = [...new Set(members.map((m) => m.section.toolKey))];
  return stage({
    id: 'cut',
    title: 'Cut the pieces',
    view: 'side',
    pieces: members,
    work: [
      'Cut bar by bar from the cut list, at its marks, the longest piece first.',
      'Write its tag on every piece as it comes off the saw.',
      boards.length > 0 && 'Square one end of each board before you hook the tape on it.',
    ],
    tools: [...tools, 'tape', 'square', 'marker'],
    checks: [`${members.length} pieces, every one with its tag`],
    cautions: [
      dusts.has('chlorine') && CAUTIONS.pvcDust,
      longPipe && CAUTIONS.longPipe,
      dusts.has('preservative') && CAUTIONS.treated,
    ],
    minutes: MINUTES.start + boards.length * MINUTES.boardCut + (members.length - boards.length) * MINUTES.pipeCut,
  });
}

/**
 * Bend the hoops in, from one end to the other.
 * @param beside pieces that go in with them
 */
export function bendStage(
  hoops: readonly Member[],
  spacingMm: number,
  how: readonly Saying[],
  joints: readonly Joint[],
  beside: readonly Member[] = [],
): Stage {
  const pipe = hoops[0] ? hoops[0].section.name : 'pipe';
  return stage({
    id: 'bend',
    title: 'Bend the hoops in',
    view: 'end',
    pieces: [...hoops, ...beside],
    work: [...how, `Go from ${hoops[0]?.tag ?? ''} to ${hoops[hoops.length - 1]?.tag ?? ''}, one ${pipe} at a time.`],
    tools: ['drill', 'eye protection'],
    checks: [
      phrase`Hoops stand ${amount(spacingMm, 'length')} apart at the crown as at the feet`,
      'Every crown at one height along a string',
    ],
    cautions: [CAUTIONS.bend],
    joints,
    minutes: hoops.length * (MINUTES.bend + MINUTES.place),
  });
}

/**
 * Fix the ridge under the crowns.
 * @param ends where the tails of a rope are made fast: staked in the ground, or to the ends of a frame that is lifted
 */
export function ridgeStage(ridge: readonly Member[], joints: readonly Joint[], ends: 'staked' | 'framed'): Stage {
  const roped = ridge.length === 0;
  return stage({
    id: 'ridge',
    title: roped ? 'Tie the ridge rope' : 'Fix the ridge',
    view: 'side',
    pieces: ridge,
    work: roped
      ? [
          `Tie a rope hoop to hoop along the crowns, with a turn round each, and ${ends === 'staked' ? 'stake its tails' : 'make its tails fast round the feet of the end hoops and to the end boards'}.`,
          'Do the same on both sides at a third of the height.',
        ]
      : [
          ...postWork(ridge.filter((m) => m.part === 'Ridge post')),
          `Mark ${tagList(ridge.filter((m) => m.part !== 'Ridge post'))} from the tape end as drawn and hold it under the crowns.`,
          'Fix the end hoops first, then the ones between, each at its own mark.',
          ...(countKind(joints, 'cap') > 0 ? ['Cap both ends: they would cut the cover.'] : []),
        ],
    tools: roped ? [] : ['level'],
    checks: ['The ridge is level and every hoop upright'],
    joints,
    minutes: MINUTES.start + ridge.length * MINUTES.place,
  });
}

/** Posts of a ridge: dug in to their marks, or stood on the frame. */
export function postWork(posts: readonly Member[]): readonly Saying[] {
  const [post] = posts;
  if (!post) return [];
  const soil = post.marks.find((m) => m.label === 'soil');
  return [
    soil
      ? phrase`Dig ${tagList(posts)} in, plumb, until the mark meets the soil: ${amount(soil.atMm, 'length')} deep.`
      : `Stand ${tagList(posts)} on the end boards, plumb, and plate them there.`,
    'Plate the ridge on the posts.',
  ];
}

/** Paints or tapes the pipe where film will lie on it; nothing where neither is used. */
export function guardStages(hoops: readonly Member[], guard: readonly Joint[]): readonly Stage[] {
  const how = guard[0]?.with?.['how'];
  const od = hoops[0] ? thicknessMm(hoops[0].section) : 0;
  // Bare pipe has its joint too, which says that it is bare: it belongs to no work.
  if (how !== 'paint' && how !== 'tape') return [];
  const tape = how === 'tape';
  return [
    stage({
      id: 'paint',
      title: tape ? 'Tape the pipe where film will touch' : 'Paint the pipe where film will touch',
      view: 'end',
      pieces: hoops,
      work: [
        tape
          ? 'Wipe the pipe dry and lay the tape along the outer face of every hoop.'
          : phrase`Paint the outer face of every hoop, a band as wide as the pipe (${amount(od, 'length')}), and let it dry.`,
      ],
      tools: tape ? ['knife'] : ['brush'],
      joints: guard,
      minutes: tape ? 5 + 3 * hoops.length : MINUTES.paint,
    }),
  ];
}
