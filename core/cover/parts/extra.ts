import { joint } from '../joints';
import type { Phrase } from '../../base/figure';
import type { Extra } from '../answers/place';
import type { AssemblySpec } from '../assembly/types';
import { CAUTIONS } from '../joints/cautions';
import { saidStep, stage } from '../guide/stage';

/** A jug of four litres for each so much of floor, m2. */
const FLOOR_A_JUG = 0.25;

const WORK: Readonly<Record<Exclude<Extra, 'none'>, Phrase>> = {
  jugs: ['Fill dark jugs with water and stand them along the side away from the sun, touching the soil.'],
  stones: ['Lay dark stones between the rows, where the noon sun falls on them.'],
  blanket: [
    'On cold nights lay the blanket over the cover before sunset and weight it; take it off when the sun is up.',
  ],
  lights: [
    'Hang the lights clear of the film, on an outdoor outlet with residual-current protection, and switch them on for the night.',
  ],
  straw: ['Heap straw or hay against the walls outside, as high as the bed, and keep it dry under a board.'],
  banked: [
    'Bank soil against the walls outside, a spade wide and as high as the bed; take it away in spring, or the wood rots.',
  ],
};

/** What is bought for it, how many by the floor and the walls, and where it goes. */
const THINGS: Readonly<
  Record<
    Extra,
    { readonly item: string; readonly count: (a: AssemblySpec) => number; readonly where: string } | undefined
  >
> = {
  none: undefined,
  stones: undefined,
  banked: undefined,
  jugs: {
    item: 'water-jug',
    count: (a) => Math.max(2, Math.ceil(a.enclosure.floorM2 / FLOOR_A_JUG)),
    where: 'Along the side away from the sun',
  },
  blanket: { item: 'blanket', count: (a) => Math.ceil(a.enclosure.floorM2 / 3), where: 'Over the cover at night' },
  lights: {
    item: 'string-lights',
    count: (a) => Math.ceil(a.footing.lengthMm / 3000),
    where: 'Inside, clear of the film',
  },
  straw: {
    item: 'straw-bale',
    count: (a) => Math.ceil((a.footing.lengthMm + a.footing.widthMm) / 2000),
    where: 'Shaken out against the walls',
  },
};

/** The cover with its extra warmth: what it takes, and a step that puts it there. */
export function withExtra(a: AssemblySpec, extra: Extra): AssemblySpec {
  if (extra === 'none') return a;
  const thing = THINGS[extra];
  const joints = thing
    ? joint('put', 'extra warmth', thing.where, [], [], { count: thing.count(a), with: { item: thing.item } })
    : [];
  const put = saidStep(
    stage({
      id: 'extra',
      title: 'Put the extra warmth in',
      view: 'end',
      pieces: [],
      work: [
        WORK[extra],
        'How many degrees it buys depends on the night: Air reckons them; read a thermometer with it and without.',
      ],
      checks: ['Nothing of it touches the film'],
      cautions: extra === 'lights' ? [CAUTIONS.heat] : [],
      joints,
      minutes: 15,
    }),
  );
  return {
    ...a,
    joints: [...a.joints, ...joints],
    steps: [...a.steps, put],
    warmth: { kind: extra, count: thing?.count(a) ?? 0 },
  };
}
