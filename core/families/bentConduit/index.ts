import { fail, ok } from '../../result';
import type { Family } from '../family';
import { boardQuestion, count, edgeQuestion, endsQuestion, fixingQuestion, holdDownCount, lengthOf } from '../asks';
import {
  answerShared,
  choice,
  countQuestion,
  coverQuestions,
  cropQuestion,
  dimensionShared,
  innerQuestions,
  woodQuestion,
} from '../questions';
import { type BentConduitAnswers, bentConduitDefaults, bentConduitSchema } from './answers';
import { assembleBentConduit } from './assemble';

/** The family's answers seen as those of any row of hoops; its own shape is set by shoulder and crown. */
const asShared = (a: BentConduitAnswers) => ({ ...a, shape: { by: 'half-circle' } as const });
function own<T extends object>(shared: T): BentConduitAnswers {
  return Object.fromEntries(Object.entries(shared).filter(([id]) => id !== 'shape')) as unknown as BentConduitAnswers;
}

/** Thin-wall steel conduit bent at crown and shoulders, its legs in blind holes of a timber frame. */
export const bentConduit: Family<BentConduitAnswers> = {
  key: 'bent-conduit',
  name: 'Bent-conduit frame',
  sentence:
    'Steel conduit bent to straight sides and a pitched roof: headroom at the edge, and it stands snow for years.',
  schema: bentConduitSchema,
  defaults: bentConduitDefaults,
  questions: (a, built) => [
    countQuestion(asShared(a), built),
    choice('pipe', 'Conduit', a.pipe, [
      ['emt-1/2', '1/2 conduit', 'Bends by hand in a bender; enough for most beds.'],
      ['emt-3/4', '3/4 conduit', 'Twice as strong; needs a larger bender.'],
    ]),
    boardQuestion('frame', 'Rails', a.frame, ['2x4', '2x6', '38x89 mm', '45x145 mm']),
    woodQuestion(a.wood),
    lengthOf('legDepthMm', 'Legs in the holes', a.legDepthMm),
    choice('ridge', 'Furring', a.ridge, [
      ['furring', 'Ridge and sides', 'Keeps hoops apart and gives film a broad bed.'],
      ['none', 'None', 'Quicker; hoops may lean.'],
    ]),
    count('crossTies', 'Cross ties', a.crossTies, [0, 12]),
    holdDownCount('anchors', 'Brackets to the bed', built, 40),
    ...coverQuestions(a),
    fixingQuestion(a.fixing, ['battens', 'channel', 'clips']),
    endsQuestion(a.ends, ['folded', 'flap', 'plywood']),
    ...(a.ends === 'plywood' ? [edgeQuestion('Plywood edge', a.edge)] : []),
    ...innerQuestions(a),
    cropQuestion(a),
  ],
  answer: (a, id, value, built) => {
    const shared = id === 'school' ? undefined : answerShared(asShared(a), id, value, built);
    return shared ? own(shared) : { ...a, [id]: value };
  },
  dimension: (a, id, valueMm, site) => {
    if (id === 'height') return ok({ ...a, crownMm: valueMm });
    if (id === 'shoulder') return ok({ ...a, shoulderMm: valueMm });
    if (id === 'pipeLength') return fail(id, 'The conduit follows from shoulder and crown: type those.');
    const shared = dimensionShared(asShared(a), id, valueMm, site.survey.frameOn.lengthMm);
    if (shared) return shared.ok ? ok(own(shared.value)) : shared;
    return fail(id, 'This dimension follows from the bed. Measure it at the bed.');
  },
  change: (a, change) => {
    switch (change.kind) {
      case 'hoops':
        return { ...a, hoops: change.count };
      case 'pipe':
        return { ...a, pipe: change.key };
      case 'roll':
        return { ...a, roll: change.key };
      case 'higher':
        return { ...a, crownMm: a.crownMm + change.byMm, shoulderMm: a.shoulderMm + change.byMm };
      case 'ties':
        return { ...a, crossTies: change.count };
      case 'ridge':
        return change.value === 'tied' ? { ...a, ridge: 'furring' } : undefined;
      default:
        return undefined;
    }
  },
  assemble: assembleBentConduit,
};
