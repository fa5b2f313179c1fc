import { section } from '../../catalog/sections';
import { fail, ok } from '../../result';
import type { Family } from '../family';
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
    {
      kind: 'count',
      id: 'frames',
      label: 'How many frames',
      value: a.frames ?? built?.arches[0]?.tags.length ?? 2,
      min: 2,
      max: 40,
    },
    choice('pipe', 'Pipe', a.pipe, [
      ['pvc-1/2', section('pvc-1/2').name, 'Cheapest; for narrow beds without snow.'],
      ['pvc-3/4', section('pvc-3/4').name, 'The usual one.'],
      ['pvc-1', section('pvc-1').name, 'For wide beds; stands snow better.'],
    ]),
    choice('joints', 'Joints', a.joints, [
      ['pinned', 'Pushed and screwed', 'One screw a socket: holds in wind, comes apart with a driver.'],
      ['pushed', 'Pushed only', 'Apart in minutes; lifts apart in wind too.'],
    ]),
    {
      kind: 'count',
      id: 'straps',
      label: 'Straps to the bed',
      value: a.straps ?? built?.footing.holdDowns[0]?.count ?? 4,
      min: 0,
      max: 80,
    },
    ...coverQuestions(a),
    choice(
      'ends',
      'Ends',
      a.ends,
      [
        ['folded', 'Folded', 'One sheet folded down over the ends: nothing leaks.'],
        ['flap', 'Flaps', 'Separate flaps that lift for air.'],
      ],
      'skin',
    ),
    paintQuestion(a.paint),
    cropQuestion(a),
  ],
  answer: (a, id, value) => {
    if (id === 'cover') return { ...a, cover: String(value), roll: null };
    if (id === 'roll') return { ...a, roll: value === '' ? null : String(value) };
    return { ...a, [id]: value };
  },
  dimension: (a, id, valueMm, { survey }) => {
    if (id === 'eave') return ok({ ...a, eaveMm: valueMm });
    if (id === 'spacing') {
      const length = a.extent.kind === 'part' ? a.extent.lengthMm : survey.frameOn.lengthMm;
      const count = barsBySpacing(length, valueMm);
      return count.ok ? ok({ ...a, frames: count.value }) : count;
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
