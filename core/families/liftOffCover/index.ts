import { fail } from '../../result';
import type { Family } from '../family';
import {
  boardQuestion,
  count,
  edgeQuestion,
  endsQuestion,
  fixingQuestion,
  holdDownCount,
  ridgeQuestion,
} from '../asks';
import {
  answerShared,
  changeShared,
  choice,
  countQuestion,
  coverQuestions,
  cropQuestion,
  dimensionShared,
  innerQuestions,
  paintQuestion,
  peopleQuestion,
  pipeQuestion,
  schoolQuestion,
  woodQuestion,
} from '../questions';
import { type LiftOffCoverAnswers, liftOffCoverDefaults, liftOffCoverSchema } from './answers';
import { assembleLiftOffCover } from './assemble';

/** A light timber frame with hoops and plywood ends, carried away in spring. */
export const liftOffCover: Family<LiftOffCoverAnswers> = {
  key: 'lift-off-cover',
  name: 'Lift-off hoop cover',
  sentence: 'A light frame of hoops with firm ends that sits on the bed or in it, and is carried away in spring.',
  schema: liftOffCoverSchema,
  defaults: liftOffCoverDefaults,
  questions: (a, built) => [
    countQuestion(a, built),
    pipeQuestion(a),
    schoolQuestion(a),
    choice('sits', 'Sits', a.sits, [
      ['on', 'On the wall', 'Covers the walls and sheds water outside.'],
      ['inside', 'Inside the wall', 'The wall holds it in place, but its wood lies on the soil.'],
    ]),
    boardQuestion('frame', 'Frame', a.frame, ['1x4', '2x2', '2x3', '2x4', '45x45 mm', '38x63 mm']),
    woodQuestion(a.wood),
    count('crossTies', 'Cross ties', a.crossTies, [0, 12]),
    ridgeQuestion(a.ridge, ['none', 'rope', 'pipe', 'pipe-bolted', 'timber']),
    endsQuestion(a.ends, ['plywood', 'folded']),
    ...(a.ends === 'plywood'
      ? [
          choice('plywood', 'Plywood', a.plywood, [
            ['plywood-1/4', '1/4 in', 'Light; enough for a low cover.'],
            ['plywood-3/8', '3/8 in', 'Holds screws better.'],
            ['plywood-1/2', '1/2 in', 'Stiff and heavy.'],
          ]),
          choice('vents', 'Vents in the ends', a.vents, [
            ['vents', 'One each end', 'Warm air leaves high up without opening the cover.'],
            ['louvres', 'Thermostat louvres', 'One low, one high: they open and shut by themselves.'],
            ['none', 'None', 'Warmer at night, and nothing to forget open.'],
          ]),
          edgeQuestion('Plywood edge', a.edge),
        ]
      : []),
    holdDownCount('hooks', 'Hooks to the bed', built, 40),
    peopleQuestion(a.people),
    ...coverQuestions(a),
    fixingQuestion(a.fixing, ['battens', 'channel', 'staples']),
    paintQuestion(a.paint),
    ...innerQuestions(a),
    cropQuestion(a),
  ],
  answer: (a, id, value, built) => answerShared(a, id, value, built) ?? { ...a, [id]: value },
  dimension: (a, id, valueMm, site) =>
    dimensionShared(a, id, valueMm, site.survey.frameOn.lengthMm) ??
    fail(id, 'This dimension follows from the bed. Measure it at the bed.'),
  change: (a, change, built) => {
    const shared = changeShared(a, change, built);
    if (shared) return shared;
    if (change.kind === 'ridge') return change.value === 'tied' ? { ...a, ridge: 'timber' } : undefined;
    if (change.kind === 'ties') return { ...a, crossTies: change.count };
    return undefined;
  },
  assemble: assembleLiftOffCover,
};
