import { fail } from '../../result';
import type { Family } from '../family';
import { boardQuestion, count, endsQuestion, hangingQuestions, ridgeQuestion } from '../asks';
import {
  answerShared,
  changeShared,
  choice,
  countQuestion,
  coverQuestions,
  cropQuestion,
  dimensionShared,
  innerQuestions,
  pipeQuestion,
  schoolQuestion,
  paintQuestion,
  peopleQuestion,
} from '../questions';
import { type HingedHoopLidAnswers, hingedHoopLidDefaults, hingedHoopLidSchema } from './answers';
import { assembleHingedHoopLid } from './assemble';

/** A timber frame the size of the bed with hoops in it, hinged to the bed along one long side. */
export const hingedHoopLid: Family<HingedHoopLidAnswers> = {
  key: 'hinged-hoop-lid',
  name: 'Hinged hoop lid',
  sentence: 'A frame of hoops hinged to the bed: one hand opens it, and it airs on a stay.',
  schema: hingedHoopLidSchema,
  defaults: hingedHoopLidDefaults,
  questions: (a, built) => [
    countQuestion(a, built),
    pipeQuestion(a),
    schoolQuestion(a),
    choice('feet', 'Feet', a.feet, [
      ['straps-inside', 'Straps inside', 'Holds itself while you bend, and no sharp end meets the cover.'],
      ['sockets', 'Sockets', 'Caps on the rail: the hoops lift out for storing.'],
      [
        'screwed',
        'Screwed through',
        'One screw through pipe and rail: cheapest, but the hole is where a cold pipe breaks.',
      ],
      ['straps-outside', 'Straps outside', 'The full width inside, but sharp ends to cap.'],
    ]),
    ridgeQuestion(a.ridge, ['none', 'rope', 'pipe', 'pipe-bolted', 'timber', 'posted']),
    boardQuestion('frame', 'Frame', a.frame, ['1x4', '2x3', '2x4', '38x63 mm', '38x89 mm']),
    choice('stand', 'Boards', a.stand, [
      ['on edge', 'On edge', 'Higher sides and less sag; pushed at its thin side.'],
      ['flat', 'Flat', 'Stiff against the push of the hoops, but lower and narrower inside.'],
    ]),
    count('crossTies', 'Cross ties', a.crossTies, [0, 12]),
    choice('hinges', 'Hinged on', a.hinges, [
      ['far', 'Far side', 'You open it from the near side.'],
      ['near', 'Near side', 'You open it from the far side.'],
    ]),
    ...hangingQuestions(built, 1),
    peopleQuestion(a.people),
    ...coverQuestions(a),
    endsQuestion(a.ends, ['folded', 'flap']),
    paintQuestion(a.paint),
    ...innerQuestions(a),
    cropQuestion(a),
  ],
  answer: (a, id, value, built) => answerShared(a, id, value, built) ?? { ...a, [id]: value },
  dimension: (a, id, valueMm, site) =>
    dimensionShared(a, id, valueMm, site.survey.frameOn.lengthMm) ??
    fail(id, 'This dimension follows from the bed. Measure it at the bed.'),
  change: (a, change, built) => {
    const shared = changeShared(a, change, built);
    if (shared) return shared;
    if (change.kind === 'ridge') return { ...a, ridge: change.value === 'posted' ? 'posted' : 'timber' };
    if (change.kind === 'ties') return { ...a, crossTies: change.count };
    return undefined;
  },
  assemble: assembleHingedHoopLid,
};
