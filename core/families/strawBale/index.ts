import { fail } from '../../result';
import type { Family } from '../family';
import { choice, cropQuestion, dimensionPlace, peopleQuestion } from '../questions';
import { type StrawBaleAnswers, strawBaleDefaults, strawBaleSchema } from './answers';
import { assembleStrawBale } from './assemble';

/** Bales round the bed and windows or a stiff sheet on top, for one winter. */
export const strawBale: Family<StrawBaleAnswers> = {
  key: 'straw-bale',
  name: 'Straw-bale frame',
  sentence: 'Bales round the bed and old windows on top: up in an hour, warm for one winter, and mulch in spring.',
  schema: strawBaleSchema,
  defaults: strawBaleDefaults,
  questions: (a, built) => [
    { kind: 'count', id: 'courses', label: 'Courses of bales', value: a.courses, min: 1, max: 3 },
    choice('back', 'High side', a.back, [
      ['far', 'Far side', 'The lid leans towards you; right where the noon sun is on your side.'],
      ['near', 'Near side', 'The lid leans away from you.'],
    ]),
    choice('glazing', 'On top', a.glazing, [
      ['old-window', 'Old windows', 'Cost next to nothing; heavy, and glass breaks.'],
      ['twin-wall-6', 'Twin-wall', 'Light, warm, and used again every winter.'],
    ]),
    { kind: 'count', id: 'lids', label: 'How many', value: a.lids, min: 1, max: 16 },
    ...(a.glazing === 'old-window'
      ? [
          choice('safety', 'Glass', a.safety, [
            ['film', 'Safety film', 'Broken glass hangs together over bed and child.'],
            ['none', 'As it is', 'Only where nobody falls on it.'],
          ]),
        ]
      : [
          choice('lidFrame', 'Lid frame', a.lidFrame, [
            ['1x3', '1x3', 'Lightest.'],
            ['2x2', '2x2', 'The usual one.'],
            ['2x3', '2x3', 'Stiffer under snow.'],
            ['45x45 mm', '45 x 45 mm', 'The metric one.'],
          ]),
        ]),
    choice('support', 'Supports', a.support, [
      ['2x3', '2x3', 'For narrow beds.'],
      ['2x4', '2x4', 'The usual one, laid flat.'],
      ['2x6', '2x6', 'For wide beds and deep snow.'],
      ['38x89 mm', '38 x 89 mm', 'The usual metric one.'],
      ['45x145 mm', '45 x 145 mm', 'The stouter metric one.'],
    ]),
    {
      kind: 'count',
      id: 'weights',
      label: 'Bricks on the lids',
      value: a.weights ?? built?.footing.holdDowns[0]?.count ?? 2,
      min: 0,
      max: 200,
    },
    peopleQuestion(a.people),
    cropQuestion(a),
  ],
  answer: (a, id, value) => ({ ...a, [id]: value }),
  dimension: (a, id, valueMm, { survey }) =>
    dimensionPlace(a, id, valueMm, survey.frameOn.lengthMm) ??
    fail(id, 'This dimension follows from the bales and cannot be typed.'),
  change: (a, change) => {
    switch (change.kind) {
      case 'bar':
        return { ...a, support: change.key };
      case 'bars':
        return { ...a, lids: Math.max(1, change.count - 1) };
      case 'higher':
        return a.courses < 3 ? { ...a, courses: a.courses + 1 } : undefined;
      default:
        return undefined;
    }
  },
  assemble: assembleStrawBale,
};
