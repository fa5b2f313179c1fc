import { countOf } from '../../guide/tunnelSteps';
import { fail, ok } from '../../result';
import type { Family } from '../family';
import { choice, coverQuestions, cropQuestion, dimensionPlace, peopleQuestion, woodQuestion } from '../questions';
import { type DoubleWallColdFrameAnswers, doubleWallColdFrameDefaults, doubleWallColdFrameSchema } from './answers';
import { assembleDoubleWallColdFrame } from './assemble';

/** A stud box with film on both faces, a low twin-wall lid, a net under it and a wax opener in its own pocket. */
export const doubleWallColdFrame: Family<DoubleWallColdFrameAnswers> = {
  key: 'double-wall-cold-frame',
  name: 'Double-wall cold frame',
  sentence: 'Walls of two films with air between, a low twin-wall lid that opens itself over an insect net.',
  schema: doubleWallColdFrameSchema,
  defaults: doubleWallColdFrameDefaults,
  questions: (a, built) => [
    choice('stud', 'Studs', a.stud, [
      ['2x2', '2x2', 'An inch and a half of air; light.'],
      ['2x3', '2x3', 'Two inches and a half of air: the usual.'],
      ['2x4', '2x4', 'As much air as still helps; heavy.'],
      ['45x45 mm', '45 x 45 mm', 'The metric square.'],
      ['45x70 mm', '45 x 70 mm', 'The deeper metric one.'],
    ]),
    woodQuestion(a.wood),
    choice('back', 'High side', a.back, [
      ['far', 'Far side', 'The lid leans towards you; right where the noon sun is on your side.'],
      ['near', 'Near side', 'The lid leans away from you.'],
    ]),
    choice('glazing', 'Lid', a.glazing, [
      ['twin-wall-6', 'Twin-wall', 'Warm, and does not break.'],
      ['film-both', 'Film, both faces', 'Lightest: a smaller opener will do.'],
    ]),
    { kind: 'count', id: 'lids', label: 'How many lids', value: a.lids, min: 1, max: 12 },
    choice('lidFrame', 'Lid frame', a.lidFrame, [
      ['1x3', '1x3', 'Lightest; short lids only.'],
      ['2x2', '2x2', 'The usual one.'],
      ['2x3', '2x3', 'Stiffer under snow.'],
      ['2x4', '2x4', 'For long reaches and deep snow.'],
      ['45x45 mm', '45 x 45 mm', 'The usual metric one.'],
      ['45x70 mm', '45 x 70 mm', 'The stiffer metric one.'],
    ]),
    { kind: 'count', id: 'bars', label: 'Bars between the stiles', value: a.bars ?? 0, min: 0, max: 12 },
    choice('screen', 'Net under the lid', a.screen, [
      ['screen', 'Insect net', 'Keeps insects, cats and birds out while it stands open.'],
      ['none', 'None', 'Bees come in; so does everything else.'],
    ]),
    choice('airing', 'Airing', a.airing, [
      ['opener', 'Wax opener', 'Opens by itself when it is warm inside.'],
      ['prop', 'By hand', 'A stay holds the lid; somebody must be there.'],
    ]),
    ...(a.airing === 'opener'
      ? [
          { kind: 'count', id: 'openers', label: 'Openers on each lid', value: a.openers, min: 1, max: 4 } as const,
          ...(a.screen === 'screen'
            ? [
                choice('pocket', 'The opener sits', a.pocket, [
                  ['pocket', 'In a pocket', 'Two boards keep the net off its arm.'],
                  ['none', 'Under the net', 'Its arm and the net are in each other’s way.'],
                ]),
              ]
            : []),
        ]
      : []),
    { kind: 'length', id: 'overhangMm', label: 'Overhang in front', valueMm: a.overhangMm },
    {
      kind: 'count',
      id: 'latches',
      label: 'Latches on each lid',
      value: countOf(built?.hardware ?? [], 'latch') / a.lids,
      min: 0,
      max: 8,
    },
    {
      kind: 'count',
      id: 'stays',
      label: 'Stays on each lid',
      value: countOf(built?.hardware ?? [], 'stay') / a.lids,
      min: 0,
      max: 8,
    },
    peopleQuestion(a.people),
    {
      kind: 'count',
      id: 'anchors',
      label: 'Hooks to the bed',
      value: built?.footing.holdDowns[0]?.count ?? 4,
      min: 0,
      max: 40,
    },
    ...coverQuestions(a, (c) => c.kind === 'film'),
    cropQuestion(a),
  ],
  answer: (a, id, value) => {
    if (id === 'cover') return { ...a, cover: String(value), roll: null };
    if (id === 'roll') return { ...a, roll: value === '' ? null : String(value) };
    return { ...a, [id]: value };
  },
  dimension: (a, id, valueMm, { survey }) => {
    if (id === 'front') return ok({ ...a, frontMm: valueMm });
    if (id === 'backHeight') return ok({ ...a, backMm: valueMm });
    return (
      dimensionPlace(a, id, valueMm, survey.frameOn.lengthMm) ??
      fail(id, 'This dimension follows from the others and cannot be typed.')
    );
  },
  change: (a, change) => {
    switch (change.kind) {
      case 'bar':
        return { ...a, lidFrame: change.key };
      case 'bars':
        return { ...a, bars: Math.ceil((change.count - 2 * a.lids) / a.lids) };
      case 'higher':
        return { ...a, frontMm: a.frontMm + change.byMm, backMm: a.backMm + change.byMm };
      case 'roll':
        return { ...a, roll: change.key };
      default:
        return undefined;
    }
  },
  assemble: assembleDoubleWallColdFrame,
};
