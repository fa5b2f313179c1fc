import type { Phrase } from '../../base/figure';
import type { Extra } from '../answers/place';
import { some, use } from '../assembly/pieces';
import type { Assembly, HardwareUse, Step } from '../assembly/types';
import { CAUTIONS } from '../guide/cautions';
import { step } from '../guide/step';

/** A jug of four litres for each so much of floor, m2. */
const FLOOR_A_JUG = 0.25;

const WORK: Readonly<Record<Exclude<Extra, 'none'>, Phrase>> = {
  jugs: ['Fill dark jugs with water and stand them along the side away from the sun, touching the soil.'],
  stones: ['Lay dark stones between the rows, where the noon sun falls on them.'],
  blanket: [
    'On cold nights lay the blanket over the cover before sunset and weight it; take it off when the sun is up.',
  ],
  lights: [
    'Hang the lights clear of the film, on a socket outdoors with residual-current protection, and switch them on for the night.',
  ],
  straw: ['Heap straw against the walls outside, as high as the bed, and keep it dry under a board.'],
};

/** The assembly with its extra warmth: what it takes, and a step that puts it there. Degrees are not reckoned. */
export function withExtra(a: Assembly, extra: Extra): Assembly {
  if (extra === 'none') return a;
  const hardware: readonly HardwareUse[] = some([
    use(
      'water-jug',
      extra === 'jugs' ? Math.max(2, Math.ceil(a.enclosure.floorM2 / FLOOR_A_JUG)) : 0,
      'Along the side away from the sun',
    ),
    use('blanket', extra === 'blanket' ? Math.ceil(a.enclosure.floorM2 / 3) : 0, 'Over the cover at night'),
    use('string-lights', extra === 'lights' ? Math.ceil(a.footing.lengthMm / 3000) : 0, 'Inside, clear of the film'),
    use(
      'straw-bale',
      extra === 'straw' ? Math.ceil((a.footing.lengthMm + a.footing.widthMm) / 2000) : 0,
      'Shaken out against the walls',
    ),
  ]);
  const put: Step = step({
    id: 'extra',
    title: 'Put the extra warmth in',
    view: 'end',
    tags: [],
    work: [WORK[extra], ['How many degrees it buys depends on the night: read a thermometer with it and without.']],
    checks: [['Nothing of it touches the film']],
    cautions: extra === 'lights' ? [CAUTIONS.heat] : [],
    minutes: 15,
  });
  return { ...a, hardware: [...a.hardware, ...hardware], steps: [...a.steps, put] };
}
