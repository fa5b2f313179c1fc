import { fail, ok } from '../../result';
import type { Family } from '../family';
import { answerCover, boardQuestion, count, edgeQuestion, endsQuestion, fixingQuestion, holdDownCount } from '../asks';
import { barsBySpacing, coverQuestions, cropQuestion, dimensionPlace } from '../questions';
import { type AFrameAnswers, aFrameDefaults, aFrameSchema } from './answers';
import { assembleAFrame } from './assemble';

/** Two or more timber triangles and a ridge board, a sheet over them and flaps that roll up at the ends. */
export const aFrame: Family<AFrameAnswers> = {
  key: 'a-frame',
  name: 'A-frame',
  sentence: 'Timber triangles and a ridge: nothing to bend, snow slides off, and the ends roll up.',
  schema: aFrameSchema,
  defaults: aFrameDefaults,
  questions: (a, built) => [
    count('pairs', 'Triangles', a.pairs ?? built?.beams[0]?.tags.length ?? 2, [2, 40]),
    boardQuestion('leg', 'Legs', a.leg, ['2x2', '2x3', '2x4', '38x63 mm', '38x89 mm']),
    boardQuestion('ridge', 'Ridge board', a.ridge, ['2x3', '2x4', '2x6', '38x63 mm', '38x89 mm']),
    edgeQuestion('Ridge and end edges', a.edge),
    holdDownCount('anchors', 'Brackets to the bed', built, 80),
    ...coverQuestions(a),
    fixingQuestion(a.fixing, ['battens', 'channel', 'staples']),
    endsQuestion(a.ends, ['flap', 'folded']),
    cropQuestion(a),
  ],
  answer: (a, id, value) => answerCover(a, id, value) ?? { ...a, [id]: value },
  dimension: (a, id, valueMm, { survey }) => {
    if (id === 'height') return ok({ ...a, heightMm: valueMm });
    if (id === 'spacing') {
      const length = a.extent.kind === 'part' ? a.extent.lengthMm : survey.frameOn.lengthMm;
      const found = barsBySpacing(length, valueMm);
      return found.ok ? ok({ ...a, pairs: found.value }) : found;
    }
    return (
      dimensionPlace(a, id, valueMm, survey.frameOn.lengthMm) ??
      fail(id, 'This dimension follows from the others and cannot be typed.')
    );
  },
  change: (a, change) => {
    switch (change.kind) {
      case 'bar':
        return { ...a, leg: change.key };
      case 'bars':
        return { ...a, pairs: change.count };
      case 'roll':
        return { ...a, roll: change.key };
      case 'higher':
        return { ...a, heightMm: a.heightMm + change.byMm };
      default:
        return undefined;
    }
  },
  assemble: assembleAFrame,
};
