import { thicknessMm } from '../../catalog/sections';
import type { HardwareUse, Member, Step } from '../assembly/types';
import { type Phrase, amount } from '../../base/figure';
import { CAUTIONS } from './cautions';
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

type StepParts = Pick<Step, 'id' | 'title' | 'view' | 'tags' | 'work' | 'minutes'> & Partial<Step>;

/** A step, with nothing where nothing is said. */
export function step(parts: StepParts): Step {
  return { tools: [], checks: [], cautions: [], ...parts };
}

/** Pieces by their tags, as a person says them. */
export function tagList(members: readonly Member[]): string {
  return sayTags(members.map((m) => m.tag));
}

/** First of all: cut every piece to the cut list and write its tag on it. */
export function cutStep(members: readonly Member[]): Step {
  const boards = members.filter((m) => m.section.shape.kind === 'board');
  const pipes = members.filter((m) => m.section.materialKey === 'pvc');
  const treated = members.some((m) => m.section.materialKey === 'treated');
  const tools = [...new Set(members.map((m) => m.section.toolKey as string))];
  return step({
    id: 'cut',
    title: 'Cut the pieces',
    view: 'side',
    tags: members.map((m) => m.tag),
    work: [
      ['Cut bar by bar as the Saw shows, from the marks, longest first.'],
      ['Write its tag on every piece as it comes off the saw.'],
      ...(boards.length > 0 ? [['Square one end of each board before you hook the tape on it.']] : []),
    ],
    tools: [...tools, 'tape', 'square', 'marker'],
    checks: [[`${members.length} pieces, every one with its tag`]],
    cautions: [
      ...(pipes.length > 0 ? [CAUTIONS.pvcDust, CAUTIONS.longPipe] : []),
      ...(treated ? [CAUTIONS.treated] : []),
    ],
    minutes: MINUTES.start + boards.length * MINUTES.boardCut + (members.length - boards.length) * MINUTES.pipeCut,
  });
}

/** Bend the hoops in, from one end to the other. */
export function bendStep(hoops: readonly Member[], spacingMm: number, how: readonly Phrase[], fixings: number): Step {
  const pipe = hoops[0] ? hoops[0].section.name : 'pipe';
  return step({
    id: 'bend',
    title: 'Bend the hoops in',
    view: 'end',
    tags: hoops.map((h) => h.tag),
    work: [...how, [`Go from ${hoops[0]?.tag ?? ''} to ${hoops[hoops.length - 1]?.tag ?? ''}, one ${pipe} at a time.`]],
    tools: ['drill', 'eye protection'],
    checks: [
      ['Hoops stand ', amount(spacingMm, 'length'), ' apart at the crown as at the feet'],
      ['Every crown at one height along a string'],
    ],
    cautions: [CAUTIONS.bend],
    minutes: hoops.length * (MINUTES.bend + MINUTES.place) + fixings * MINUTES.fixing,
  });
}

/** Fix the ridge under the crowns. */
export function ridgeStep(ridge: readonly Member[], fixings: number, roped: boolean): Step {
  return step({
    id: 'ridge',
    title: roped ? 'Tie the ridge rope' : 'Fix the ridge',
    view: 'side',
    tags: ridge.map((m) => m.tag),
    work: roped
      ? [
          ['Tie a rope hoop to hoop along the crowns, with a turn round each, and stake its tails.'],
          ['Do the same on both sides at a third of the height.'],
        ]
      : [
          [`Mark ${tagList(ridge)} from the tape end as drawn and hold it under the crowns.`],
          ['Fix the end hoops first, then the ones between, each at its own mark.'],
        ],
    tools: roped ? ['knife'] : ['drill', 'level'],
    checks: [['The ridge is level and every hoop upright']],
    minutes: MINUTES.start + ridge.length * MINUTES.place + fixings * MINUTES.fixing,
  });
}

/** Paints or tapes the pipe where film will lie on it; nothing where neither is used. */
export function guardSteps(hoops: readonly Member[], hardware: readonly HardwareUse[]): readonly Step[] {
  const used = (key: string): boolean => hardware.some((h) => h.itemKey === key);
  const od = hoops[0] ? thicknessMm(hoops[0].section) : 0;
  if (!used('paint') && !used('pipe-tape')) return [];
  const tape = used('pipe-tape');
  return [
    step({
      id: 'paint',
      title: tape ? 'Tape the pipe where film will touch' : 'Paint the pipe where film will touch',
      view: 'end',
      tags: hoops.map((h) => h.tag),
      work: [
        tape
          ? ['Wipe the pipe dry and lay the tape along the outer face of every hoop. Foam sleeves slip and crumble.']
          : [
              'Paint the outer face of every hoop, a band as wide as the pipe (',
              amount(od, 'length'),
              '), and let it dry.',
            ],
      ],
      tools: tape ? ['knife'] : ['brush'],
      minutes: tape ? 5 + 3 * hoops.length : MINUTES.paint,
    }),
  ];
}
