import { fail, ok } from '../../result';
import type { Family } from '../family';
import { choice, coverQuestions, cropQuestion, dimensionPlace, looseEndsQuestion } from '../questions';
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
    { kind: 'count', id: 'squares', label: 'Squares over the bed', value: a.squares, min: 6, max: 40 },
    choice('caps', 'Cut wire ends', a.caps, [
      ['capped', 'Sleeved', 'No bare wire against film or hand.'],
      ['bare', 'Bare', 'They tear film and skin.'],
    ]),
    {
      kind: 'count',
      id: 'straps',
      label: 'Straps over it',
      value: a.straps ?? (built?.footing.holdDowns[1]?.count ?? 4) / 2,
      min: 0,
      max: 60,
    },
    ...coverQuestions(a),
    { kind: 'length', id: 'overlapMm', label: 'Lap at the crown', valueMm: a.overlapMm, leaf: 'skin' },
    { kind: 'length', id: 'skirtMm', label: 'Skirt each side', valueMm: a.skirtMm, leaf: 'skin' },
    looseEndsQuestion(a.ends),
    {
      kind: 'count',
      id: 'weights',
      label: 'Weights on skirts and ends',
      value: a.weights ?? built?.footing.holdDowns[2]?.count ?? 4,
      min: 0,
      max: 200,
      leaf: 'skin',
    },
    cropQuestion(a),
  ],
  answer: (a, id, value) => {
    if (id === 'cover') return { ...a, cover: String(value), roll: null };
    if (id === 'roll') return { ...a, roll: value === '' ? null : String(value) };
    return { ...a, [id]: value };
  },
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
