import { fail, ok } from '../../result';
import type { Family } from '../family';
import { endsQuestion, lengthOf, ridgeQuestion } from '../asks';
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
  weightsQuestion,
} from '../questions';
import { type StakedTunnelAnswers, stakedTunnelDefaults, stakedTunnelSchema } from './answers';
import { assembleStakedTunnel } from './assemble';

/** Separate hoops over driven rods, in the soil or strapped to the bed wall; loose cover weighted at the foot. */
export const stakedTunnel: Family<StakedTunnelAnswers> = {
  key: 'staked-tunnel',
  name: 'Staked tunnel',
  sentence: 'Hoops over driven rods with a loose sheet weighted at the foot: up in an hour, away in ten minutes.',
  schema: stakedTunnelSchema,
  defaults: stakedTunnelDefaults,
  questions: (a, built) => [
    countQuestion(a, built),
    pipeQuestion(a),
    schoolQuestion(a),
    choice('feet', 'Feet', a.feet, [
      ['rods', 'Over rods', 'The pipe stands upright over a driven rod and holds its shape.'],
      ['soil', 'In the soil', 'Nothing to buy, but the feet wander in soft soil.'],
      ['straps', 'Wall straps', 'Strapped to the bed wall: nothing to drive, lifts out in spring.'],
    ]),
    ...(a.feet === 'rods'
      ? [
          choice('rod', 'Rod', a.rod, [
            ['rod-3', '#3 rod', 'Thin; rattles in most pipe.'],
            ['rod-4', '#4 rod', 'Fits 1/2 pipe closely.'],
            ['pvc-1/2', '1/2 PVC stub', 'A stub of pipe as a stake, for wider hoops; soft soil only.'],
          ]),
          lengthOf('rodLengthMm', 'Rod length', a.rodLengthMm),
        ]
      : []),
    ridgeQuestion(a.ridge, ['none', 'rope', 'pipe', 'pipe-bolted', 'posted']),
    ...coverQuestions(a),
    lengthOf('skirtMm', 'Skirt each side', a.skirtMm, 'skin'),
    endsQuestion(a.ends, ['gathered', 'folded']),
    weightsQuestion(built),
    paintQuestion(a.paint),
    ...innerQuestions(a),
    cropQuestion(a),
  ],
  answer: (a, id, value, built) => answerShared(a, id, value, built) ?? { ...a, [id]: value },
  dimension: (a, id, valueMm, site) => {
    const shared = dimensionShared(a, id, valueMm, site.survey.frameOn.lengthMm);
    if (shared) return shared;
    if (id === 'span') {
      if (valueMm > site.bed.inside.widthMm)
        return fail(id, 'The feet would stand outside the bed: make the span smaller than the bed inside.');
      return ok({ ...a, spanMm: valueMm });
    }
    if (id === 'rodShown') return ok({ ...a, rodShownMm: valueMm });
    if (id === 'bury') return ok({ ...a, buryMm: valueMm });
    return fail(id, 'This dimension follows from the others and cannot be typed.');
  },
  change: (a, change, built) => {
    const shared = changeShared(a, change, built);
    if (shared) return shared;
    if (change.kind === 'ridge') return { ...a, ridge: change.value === 'posted' ? 'posted' : 'pipe' };
    if (change.kind === 'rod') return a.feet === 'rods' ? { ...a, rod: change.key } : undefined;
    return undefined;
  },
  assemble: assembleStakedTunnel,
};
