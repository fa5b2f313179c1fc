import { fail, ok } from '../../result';
import type { Family } from '../family';
import { barsBySpacing, choice, coverQuestions, cropQuestion, dimensionPlace } from '../questions';
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
    {
      kind: 'count',
      id: 'pairs',
      label: 'Triangles',
      value: a.pairs ?? built?.beams[0]?.tags.length ?? 2,
      min: 2,
      max: 40,
    },
    choice('leg', 'Legs', a.leg, [
      ['2x2', '2x2', 'Light, for narrow beds.'],
      ['2x3', '2x3', 'For spans up to about 5 ft.'],
      ['2x4', '2x4', 'For wide beds and deep snow.'],
      ['38x63 mm', '38 x 63 mm', 'A light metric leg.'],
      ['38x89 mm', '38 x 89 mm', 'The usual metric leg.'],
    ]),
    choice('ridge', 'Ridge board', a.ridge, [
      ['2x3', '2x3', 'For short beds.'],
      ['2x4', '2x4', 'For up to about 12 ft, with triangles between.'],
      ['2x6', '2x6', 'For long frames with few triangles.'],
      ['38x89 mm', '38 x 89 mm', 'The usual metric ridge.'],
    ]),
    choice('edge', 'Ridge and end edges', a.edge, [
      ['guarded', 'Rounded and taped', 'Film lives its years.'],
      ['bare', 'Left square', 'Film wears through at the corners.'],
    ]),
    {
      kind: 'count',
      id: 'anchors',
      label: 'Brackets to the bed',
      value: a.anchors ?? built?.footing.holdDowns[0]?.count ?? 4,
      min: 0,
      max: 80,
    },
    ...coverQuestions(a),
    choice(
      'fixing',
      'Fastened with',
      a.fixing,
      [
        ['battens', 'Battens', 'Screwed strips hold film all along.'],
        ['channel', 'Channel and wire', 'Fast to open each spring; the dearest.'],
        ['staples', 'Staples alone', 'Quick, and they tear out in wind.'],
      ],
      'skin',
    ),
    choice(
      'ends',
      'Ends',
      a.ends,
      [
        ['flap', 'Flaps', 'Roll up for air and for reaching in.'],
        ['folded', 'Folded', 'One sheet folded over the ends: tight, and opened at the side.'],
      ],
      'skin',
    ),
    cropQuestion(a),
  ],
  answer: (a, id, value) => {
    if (id === 'cover') return { ...a, cover: String(value), roll: null };
    if (id === 'roll') return { ...a, roll: value === '' ? null : String(value) };
    return { ...a, [id]: value };
  },
  dimension: (a, id, valueMm, { survey }) => {
    if (id === 'height') return ok({ ...a, heightMm: valueMm });
    if (id === 'spacing') {
      const length = a.extent.kind === 'part' ? a.extent.lengthMm : survey.frameOn.lengthMm;
      const count = barsBySpacing(length, valueMm);
      return count.ok ? ok({ ...a, pairs: count.value }) : count;
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
