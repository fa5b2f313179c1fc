import { fail } from '../../result';
import type { Family } from '../family';
import { backQuestion, boardQuestion, count, holdDownCount, safetyQuestion } from '../asks';
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
    count('courses', 'Courses of bales', a.courses, [1, 3]),
    backQuestion(a.back),
    choice('glazing', 'On top', a.glazing, [
      ['old-window', 'Old windows', 'Cost next to nothing; heavy, and glass breaks.'],
      ['twin-wall-6', 'Twin-wall', 'Light, warm, and used again every winter.'],
    ]),
    count('lids', 'How many', a.lids, [1, 16]),
    a.glazing === 'old-window'
      ? safetyQuestion(a.safety)
      : boardQuestion('lidFrame', 'Lid frame', a.lidFrame, ['1x3', '2x2', '2x3', '45x45 mm']),
    boardQuestion('support', 'Supports', a.support, ['2x3', '2x4', '2x6', '38x89 mm', '45x145 mm']),
    holdDownCount('weights', 'Bricks on the lids', built, 200),
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
