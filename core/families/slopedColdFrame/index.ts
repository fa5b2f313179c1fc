import { boardShape, section, SECTIONS } from '../../catalog/sections';
import { fail, ok } from '../../result';
import type { Family, Question } from '../family';
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
  safetyQuestion,
} from '../asks';
import { choice, coverQuestions, cropQuestion, dimensionPlace, peopleQuestion, woodQuestion } from '../questions';
import { type SlopedColdFrameAnswers, slopedColdFrameDefaults, slopedColdFrameSchema } from './answers';
import { assembleSlopedColdFrame } from './assemble';

function glazingQuestions(a: SlopedColdFrameAnswers): readonly Question[] {
  const window = a.glazing === 'old-window';
  return [
    choice('glazing', 'Lid', a.glazing, [
      ['twin-wall-6', 'Twin-wall', 'Warm, light to lift, and does not break.'],
      ['corrugated', 'Corrugated', 'Cheap and tough; cold air creeps in at the waves.'],
      ['old-window', 'Old windows', 'Cost next to nothing; heavy, and glass breaks.'],
      ['film-both', 'Film, both faces', 'Two films with air between: lightest and cheap.'],
    ]),
    count('lids', 'How many lids', a.lids, [1, 12]),
    ...(window
      ? [
          choice('sashBy', 'What comes first', a.sashBy, [
            ['bed', 'The bed', 'The box fits the bed, and the list says what windows to look for.'],
            ['sash', 'The windows', 'You have the windows: the box is made to them.'],
          ]),
          ...(a.sashBy === 'sash'
            ? [
                lengthOf('sashAlongMm', 'Window, along the bed', a.sashAlongMm),
                lengthOf('sashReachMm', 'Window, front to back', a.sashReachMm),
              ]
            : []),
          safetyQuestion(a.safety),
        ]
      : lidFrameQuestions(a)),
    lengthOf('overhangMm', 'Overhang in front', a.overhangMm),
  ];
}

function boardWidth(key: string): number {
  return boardShape(section(key)).widthMm;
}

/** Another board: as many whole ones in front as now, and near one more behind. */
function withBoard(a: SlopedColdFrameAnswers, board: string): SlopedColdFrameAnswers {
  const found = SECTIONS.find(board)?.shape;
  if (found?.kind !== 'board') return { ...a, board };
  const w = found.widthMm;
  const frontMm = w * Math.max(1, Math.round(a.frontMm / w));
  return { ...a, board, frontMm, backMm: Math.round(frontMm + w - 15) };
}

/** A solid board box, back higher than front, with a glazed lid. */
export const slopedColdFrame: Family<SlopedColdFrameAnswers> = {
  key: 'sloped-cold-frame',
  name: 'Sloped cold frame',
  sentence: 'A board box with its glazed lid leaning to the noon sun: the warmest for its price, for low crops.',
  schema: slopedColdFrameSchema,
  defaults: slopedColdFrameDefaults,
  questions: (a, built) => [
    boardQuestion('board', 'Boards', a.board, ['1x6', '2x6', '2x8', '2x10', '2x12', '45x145 mm', '45x195 mm']),
    woodQuestion(a.wood),
    backQuestion(a.back),
    ...glazingQuestions(a),
    ...airingQuestions(a),
    ...hangingQuestions(built, a.lids),
    peopleQuestion(a.people),
    holdDownCount('anchors', 'Brackets to the bed', built, 40),
    ...(a.glazing === 'film-both' ? coverQuestions(a, (c) => c.kind === 'film') : []),
    cropQuestion(a),
  ],
  answer: (a, id, value) => {
    const covered = answerCover(a, id, value);
    if (covered) return covered;
    if (id === 'board') return withBoard(a, String(value));
    return { ...a, [id]: value };
  },
  dimension: (a, id, valueMm, { survey }) => {
    if (id === 'front') {
      // The sides taper within one board: a lower front brings the back down with it.
      return ok({ ...a, frontMm: valueMm, backMm: Math.min(a.backMm, valueMm + boardWidth(a.board)) });
    }
    if (id === 'backHeight') return ok({ ...a, backMm: valueMm });
    return (
      dimensionPlace(a, id, valueMm, survey.frameOn.lengthMm) ??
      fail(id, 'This dimension follows from the others and cannot be typed.')
    );
  },
  change: changeLidded,
  assemble: assembleSlopedColdFrame,
};
