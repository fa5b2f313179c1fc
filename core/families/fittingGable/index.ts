import { section } from '../../catalog/sections';
import { fail, ok } from '../../result';
import type { Family } from '../family';
import { answerCover, count, endsQuestion, holdDownCount } from '../asks';
import { barsBySpacing, choice, coverQuestions, cropQuestion, dimensionPlace, paintQuestion } from '../questions';
import { type FittingGableAnswers, fittingGableDefaults, fittingGableSchema } from './answers';
import { assembleFittingGable } from './assemble';

/** Straight pipe and moulded fittings pushed together to a gable that comes apart again. */
export const fittingGable: Family<FittingGableAnswers> = {
  key: 'fitting-gable',
  name: 'Fitting-built gable',
  sentence:
    'Straight pipe and fittings pushed together without glue: nothing to bend, and it comes apart for the summer.',
  schema: fittingGableSchema,
  defaults: fittingGableDefaults,
  questions: (a, built) => [
    count('frames', 'How many frames', a.frames ?? built?.arches[0]?.tags.length ?? 2, [2, 40]),
    choice('pipe', 'Pipe', a.pipe, [
      ['pvc-1/2', section('pvc-1/2').name, 'Cheapest; for narrow beds without snow.'],
      ['pvc-3/4', section('pvc-3/4').name, 'The usual one.'],
      ['pvc-1', section('pvc-1').name, 'For wide beds; stands snow better.'],
    ]),
    choice('joints', 'Joints', a.joints, [
      ['pinned', 'Pushed and screwed', 'One screw a socket: holds in wind, comes apart with a driver.'],
      ['pushed', 'Pushed only', 'Apart in minutes; lifts apart in wind too.'],
    ]),
    holdDownCount('straps', 'Straps to the bed', built, 80),
    ...coverQuestions(a),
    endsQuestion(a.ends, ['folded', 'flap']),
    paintQuestion(a.paint),
    cropQuestion(a),
  ],
  answer: (a, id, value) => answerCover(a, id, value) ?? { ...a, [id]: value },
  dimension: (a, id, valueMm, { survey }) => {
    if (id === 'eave') return ok({ ...a, eaveMm: valueMm });
    if (id === 'spacing') {
      const length = a.extent.kind === 'part' ? a.extent.lengthMm : survey.frameOn.lengthMm;
      const found = barsBySpacing(length, valueMm);
      return found.ok ? ok({ ...a, frames: found.value }) : found;
    }
    return (
      dimensionPlace(a, id, valueMm, survey.frameOn.lengthMm) ??
      fail(id, 'This dimension follows from the others and cannot be typed.')
    );
  },
  change: (a, change) => {
    switch (change.kind) {
      case 'hoops':
      case 'bars':
        return { ...a, frames: change.count };
      case 'pipe':
        return { ...a, pipe: change.key };
      case 'roll':
        return { ...a, roll: change.key };
      case 'higher':
        return { ...a, eaveMm: a.eaveMm + change.byMm };
      default:
        return undefined;
    }
  },
  assemble: assembleFittingGable,
};
