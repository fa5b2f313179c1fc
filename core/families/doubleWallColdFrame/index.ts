import { fail, ok } from '../../result';
import type { Family } from '../family';
import {
  airingQuestions,
  answerCover,
  backQuestion,
  changeLidded,
  boardQuestion,
  count,
  hangingQuestions,
  holdDownCount,
  lengthOf,
  lidFrameQuestions,
} from '../asks';
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
    boardQuestion('stud', 'Studs', a.stud, ['2x2', '2x3', '2x4', '45x45 mm', '45x70 mm']),
    woodQuestion(a.wood),
    backQuestion(a.back),
    choice('glazing', 'Lid', a.glazing, [
      ['twin-wall-6', 'Twin-wall', 'Warm, and does not break.'],
      ['film-both', 'Film, both faces', 'Lightest: a smaller opener will do.'],
    ]),
    count('lids', 'How many lids', a.lids, [1, 12]),
    ...lidFrameQuestions(a),
    choice('screen', 'Net under the lid', a.screen, [
      ['screen', 'Insect net', 'Keeps insects, cats and birds out while it stands open.'],
      ['none', 'None', 'Bees come in; so does everything else.'],
    ]),
    ...airingQuestions(a),
    ...(a.airing === 'opener' && a.screen === 'screen'
      ? [
          choice('pocket', 'The opener sits', a.pocket, [
            ['pocket', 'In a pocket', 'Two boards keep the net off its arm.'],
            ['none', 'Under the net', 'Its arm and the net are in each other’s way.'],
          ]),
        ]
      : []),
    lengthOf('overhangMm', 'Overhang in front', a.overhangMm),
    ...hangingQuestions(built, a.lids),
    peopleQuestion(a.people),
    holdDownCount('anchors', 'Hooks to the bed', built, 40),
    ...coverQuestions(a, (c) => c.kind === 'film'),
    cropQuestion(a),
  ],
  answer: (a, id, value) => answerCover(a, id, value) ?? { ...a, [id]: value },
  dimension: (a, id, valueMm, { survey }) => {
    if (id === 'front') return ok({ ...a, frontMm: valueMm });
    if (id === 'backHeight') return ok({ ...a, backMm: valueMm });
    return (
      dimensionPlace(a, id, valueMm, survey.frameOn.lengthMm) ??
      fail(id, 'This dimension follows from the others and cannot be typed.')
    );
  },
  change: changeLidded,
  assemble: assembleDoubleWallColdFrame,
};
