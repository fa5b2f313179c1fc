import type { HoopShape } from '../../assembly/hoops';
import { section } from '../../catalog/sections';
import { type Result, fail, ok } from '../../result';
import type { Family } from '../family';
import { answerCover, count, fixingQuestion, holdDownCount, lengthOf } from '../asks';
import { barsBySpacing, choice, coverQuestions, cropQuestion, paintQuestion } from '../questions';
import { HOOP_SCHOOLS, LIMITS, type WalkInAnswers, walkInDefaults, walkInSchema } from './answers';
import { assembleWalkIn } from './assemble';

function between(
  id: string,
  valueMm: number,
  [low, high]: readonly [number, number],
  a: WalkInAnswers,
  key: 'widthMm' | 'lengthMm',
): Result<WalkInAnswers> {
  if (valueMm < low || valueMm > high)
    return fail(
      id,
      `A house of bent pipe is from ${Math.round(low / 304.8)} to ${Math.round(high / 304.8)} ft that way (${(low / 1000).toFixed(1)} to ${(high / 1000).toFixed(1)} m).`,
    );
  return ok({ ...a, [key]: valueMm });
}

/** Posts, long hoops, purlins, framed ends with a door and roll-up sides: a house over one bed or several. */
export const walkIn: Family<WalkInAnswers> = {
  key: 'walk-in',
  name: 'Walk-in hoop house',
  sentence: 'Long hoops on posts with a door and roll-up sides: you stand in it, and it shelters bed and path alike.',
  schema: walkInSchema,
  defaults: walkInDefaults,
  questions: (a, built) => [
    count('hoops', 'How many hoops', a.hoops ?? built?.arches[0]?.tags.length ?? 2, [2, 60]),
    choice('pipe', 'Hoops', a.pipe, [
      ['pvc-3/4', section('pvc-3/4').name, 'Only for narrow houses without snow.'],
      ['pvc-1', section('pvc-1').name, 'Light; needs close spacing.'],
      ['pvc-1-1/4', section('pvc-1-1/4').name, 'The usual one for ten to twelve feet.'],
      ['pvc-1-1/2', section('pvc-1-1/2').name, 'Stoutest; hard to bend.'],
    ]),
    choice('post', 'Posts', a.post, [
      ['emt-1/2', section('emt-1/2').name, 'Goes into 3/4 PVC.'],
      ['steel-3/4', section('steel-3/4').name, 'Stiff; check that the hoop goes over.'],
      ['steel-1', section('steel-1').name, 'Goes into 1-1/4 PVC.'],
      ['emt-1', section('emt-1').name, 'Lighter; rattles in 1-1/4 PVC.'],
      ['emt-1-1/4', section('emt-1-1/4').name, 'Goes into 1-1/2 PVC.'],
    ]),
    { kind: 'choice', id: 'school', label: 'Height', value: a.shape.by, options: HOOP_SCHOOLS },
    choice('posts', 'Posts are', a.posts, [
      ['driven', 'Driven', 'Fast in soft soil; nothing to mix.'],
      ['dug', 'Dug in', 'Holds in stony or loose soil; a bag of mix each.'],
    ]),
    lengthOf('sleeveMm', 'Hoop over the post', a.sleeveMm),
    choice('purlins', 'Purlins', a.purlins, [
      ['three', 'Ridge and two sides', 'Keeps hoops apart and upright in wind.'],
      ['ridge', 'Ridge only', 'For short, sheltered houses.'],
    ]),
    choice('purlin', 'Purlin of', a.purlin, [
      ['emt-3/4', section('emt-3/4').name, 'Straight and stiff.'],
      ['pvc-3/4', section('pvc-3/4').name, 'Cheap and light.'],
    ]),
    count('crossTies', 'Cross ties', a.crossTies, [0, 30]),
    choice('doors', 'Doors', a.doors, [
      ['one', 'One end', 'Warmer; one end framed shut.'],
      ['two', 'Both ends', 'A through draught in summer.'],
    ]),
    lengthOf('doorWidthMm', 'Door width', a.doorWidthMm),
    lengthOf('doorHeightMm', 'Door height', a.doorHeightMm),
    holdDownCount('anchors', 'Ground anchors', built, 80),
    ...coverQuestions(a),
    choice(
      'sheets',
      'Sheets',
      a.sheets,
      [
        ['one', 'One sheet', 'No seams; too large for one person.'],
        ['roof-and-ends', 'Roof and two ends', 'Ends by themselves: easier to hang.'],
        ['roof-and-curtains', 'Roof, ends, curtains', 'Smaller pieces; sides roll up by themselves.'],
      ],
      'skin',
    ),
    choice(
      'layers',
      'Layers',
      a.layers,
      [
        ['single', 'Single', 'Most light, least money.'],
        ['double', 'Double, air between', 'Loses a third less heat; costs a tenth of the light.'],
      ],
      'skin',
    ),
    choice(
      'sides',
      'Sides',
      a.sides,
      [
        ['roll-up', 'Roll up', 'Cranked up on hot days: the best air there is.'],
        ['fixed', 'Fixed', 'Cheaper and tighter; air through the doors.'],
      ],
      'skin',
    ),
    ...(a.sides === 'roll-up'
      ? [
          choice(
            'rollBar',
            'Roll bar',
            a.rollBar,
            [
              ['emt-3/4', section('emt-3/4').name, 'Straight, and one hand rolls it.'],
              ['emt-1', section('emt-1').name, 'For long sides.'],
              ['pvc-1', section('pvc-1').name, 'Light; bows between the clips.'],
              ['2x2', '2x2 timber', 'Cheap; heavy when long.'],
              ['2x4', '2x4 timber', 'Lies by its weight; too heavy to roll alone when long.'],
            ],
            'skin',
          ),
        ]
      : []),
    fixingQuestion(a.fixing, ['channel', 'battens', 'staples']),
    paintQuestion(a.paint),
    cropQuestion(a),
  ],
  answer: (a, id, value, built) => {
    const covered = answerCover(a, id, value);
    if (covered) return covered;
    if (id === 'school') {
      const by = String(value) as HoopShape['by'];
      const arch = built?.arches[0];
      const shape: HoopShape =
        by === 'length'
          ? { by, lengthMm: arch?.cutMm ?? 5000 }
          : by === 'height'
            ? { by, heightMm: arch ? arch.footZMm + arch.hoop.heightMm : 2300 }
            : { by };
      return { ...a, shape };
    }
    return { ...a, [id]: value };
  },
  dimension: (a, id, valueMm) => {
    switch (id) {
      case 'width':
        return between(id, valueMm, LIMITS.width, a, 'widthMm');
      case 'coverLength':
        return between(id, valueMm, LIMITS.length, a, 'lengthMm');
      case 'sidewall':
        return ok({ ...a, sidewallMm: valueMm });
      case 'postDepth':
        return ok({ ...a, depthMm: valueMm });
      case 'height':
        return ok({ ...a, shape: { by: 'height', heightMm: valueMm } });
      case 'pipeLength':
        return ok({ ...a, shape: { by: 'length', lengthMm: valueMm } });
      case 'spacing': {
        const found = barsBySpacing(a.lengthMm, valueMm);
        return found.ok ? ok({ ...a, hoops: found.value }) : found;
      }
      case 'rowFromEdge':
        if (valueMm < 0 || valueMm > 2000) return fail(id, 'The first row stands from nothing to 2 m from the wall.');
        return ok({ ...a, rowFromEdgeMm: valueMm });
      default:
        return fail(id, 'This dimension follows from the others and cannot be typed.');
    }
  },
  change: (a, change) => {
    switch (change.kind) {
      case 'hoops':
        return { ...a, hoops: change.count };
      case 'pipe':
        return { ...a, pipe: change.key };
      case 'rod':
        return { ...a, post: change.key };
      case 'roll':
        return { ...a, roll: change.key };
      case 'higher':
        return { ...a, sidewallMm: a.sidewallMm + change.byMm };
      default:
        return undefined;
    }
  },
  assemble: assembleWalkIn,
};
