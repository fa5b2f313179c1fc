import { fail, ok } from '../../result';
import type { Family } from '../family';
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
    choice('frame', 'Rails', a.frame, [
      ['2x4', '2x4', 'Deep enough for a firm hole.'],
      ['2x6', '2x6', 'Deeper holes, higher sides.'],
      ['38x89 mm', '38 x 89 mm', 'The usual metric rail.'],
    ]),
    woodQuestion(a.wood),
    { kind: 'length', id: 'legDepthMm', label: 'Legs in the holes', valueMm: a.legDepthMm },
    choice('ridge', 'Furring', a.ridge, [
      ['furring', 'Ridge and sides', 'Keeps hoops apart and gives film a broad bed.'],
      ['none', 'None', 'Quicker; hoops may lean.'],
    ]),
    { kind: 'count', id: 'crossTies', label: 'Cross ties', value: a.crossTies, min: 0, max: 12 },
    {
      kind: 'count',
      id: 'anchors',
      label: 'Brackets to the bed',
      value: built?.footing.holdDowns[0]?.count ?? 4,
      min: 0,
      max: 40,
    },
    ...coverQuestions(a),
    choice(
      'fixing',
      'Fastened with',
      a.fixing,
      [
        ['battens', 'Battens', 'Screwed strips hold film all along.'],
        ['channel', 'Channel and wire', 'Fast to open each spring; the dearest.'],
        ['clips', 'Clips', 'Soft-sleeved clips on every hoop: off in a minute.'],
      ],
      'skin',
    ),
    choice(
      'ends',
      'Ends',
      a.ends,
      [
        ['folded', 'Folded', 'One sheet folded down over the ends: nothing leaks.'],
        ['flap', 'Flaps', 'Separate flaps that lift for air.'],
        ['plywood', 'Plywood', 'Firm ends with vents, cut to the curve.'],
      ],
      'skin',
    ),
    ...(a.ends === 'plywood'
      ? [
          choice(
            'edge',
            'Plywood edge',
            a.edge,
            [
              ['guarded', 'Guarded', 'Split hose over it: film lives its years.'],
              ['bare', 'Bare', 'Cuts through the film within a season.'],
            ],
            'skin',
          ),
        ]
      : []),
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
