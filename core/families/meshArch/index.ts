import { fail, ok } from '../../result';
import type { Family } from '../family';
import { answerCover, count, endsQuestion, lengthOf } from '../asks';
import { choice, coverQuestions, cropQuestion, dimensionPlace } from '../questions';
import { type MeshArchAnswers, meshArchDefaults, meshArchSchema } from './answers';
import { assembleMeshArch } from './assemble';

/** Welded reinforcing mesh bent over the bed, with two sheets that part at the crown. */
export const meshArch: Family<MeshArchAnswers> = {
  key: 'mesh-arch',
  name: 'Mesh arch',
  sentence: 'Welded mesh bent over the bed and pushed into the soil; two sheets part at the crown to reach in.',
  schema: meshArchSchema,
  defaults: meshArchDefaults,
  questions: (a, built) => [
    count('squares', 'Squares over the bed', a.squares, [6, 40]),
    choice('caps', 'Cut wire ends', a.caps, [
      ['capped', 'Sleeved', 'No bare wire against film or hand.'],
      ['bare', 'Bare', 'They tear film and skin.'],
    ]),
    count('straps', 'Straps over it', a.straps ?? (built?.footing.holdDowns[1]?.count ?? 4) / 2, [0, 60]),
    ...coverQuestions(a),
    lengthOf('overlapMm', 'Lap at the crown', a.overlapMm, 'skin'),
    lengthOf('skirtMm', 'Skirt each side', a.skirtMm, 'skin'),
    endsQuestion(a.ends, ['gathered', 'folded']),
    count(
      'weights',
      'Weights on skirts and ends',
      a.weights ?? built?.footing.holdDowns[2]?.count ?? 4,
      [0, 200],
      'skin',
    ),
    cropQuestion(a),
  ],
  answer: (a, id, value) => answerCover(a, id, value) ?? { ...a, [id]: value },
  dimension: (a, id, valueMm, { bed, survey }) => {
    if (id === 'span') {
      if (valueMm > bed.inside.widthMm)
        return fail(id, 'The prongs would stand outside the bed: make the span smaller.');
      return ok({ ...a, spanMm: valueMm });
    }
    if (id === 'prong') {
      if (valueMm > 145)
        return fail(id, 'A prong is one square long at the most: up to 145 mm (5 3/4 in) of it in the soil.');
      return ok({ ...a, prongMm: valueMm });
    }
    return (
      dimensionPlace(a, id, valueMm, survey.frameOn.lengthMm) ?? fail(id, 'This follows from the squares and the span.')
    );
  },
  change: (a, change) => {
    switch (change.kind) {
      case 'higher':
        return { ...a, squares: a.squares + Math.max(1, Math.round((2 * change.byMm) / 152)) };
      case 'roll':
        return { ...a, roll: change.key };
      default:
        return undefined;
    }
  },
  assemble: assembleMeshArch,
};
