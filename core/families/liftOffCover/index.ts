import { fail } from '../../result';
import type { Family } from '../family';
import {
  answerShared,
  changeShared,
  choice,
  countQuestion,
  coverQuestions,
  cropQuestion,
  dimensionShared,
  innerQuestions,
  paintQuestion,
  peopleQuestion,
  pipeQuestion,
  schoolQuestion,
  woodQuestion,
} from '../questions';
import { type LiftOffCoverAnswers, liftOffCoverDefaults, liftOffCoverSchema } from './answers';
import { assembleLiftOffCover } from './assemble';

/** A light timber frame with hoops and plywood ends, carried away in spring. */
export const liftOffCover: Family<LiftOffCoverAnswers> = {
  key: 'lift-off-cover',
  name: 'Lift-off hoop cover',
  sentence: 'A light frame of hoops with firm ends that sits on the bed or in it, and is carried away in spring.',
  schema: liftOffCoverSchema,
  defaults: liftOffCoverDefaults,
  questions: (a, built) => [
    countQuestion(a, built),
    pipeQuestion(a),
    schoolQuestion(a),
    choice('sits', 'Sits', a.sits, [
      ['on', 'On the wall', 'Covers the walls and sheds water outside.'],
      ['inside', 'Inside the wall', 'The wall holds it in place, but its wood lies on the soil.'],
    ]),
    choice('frame', 'Frame', a.frame, [
      ['2x2', '2x2', 'Light enough to carry; the usual one.'],
      ['1x4', '1x4', 'Lightest; bows soonest.'],
      ['2x3', '2x3', 'Stiffer, for long covers.'],
      ['2x4', '2x4', 'Stiffest and heaviest.'],
      ['45x45 mm', '45 x 45 mm', 'The metric square.'],
      ['38x63 mm', '38 x 63 mm', 'Stiffer, metric.'],
    ]),
    woodQuestion(a.wood),
    { kind: 'count', id: 'crossTies', label: 'Cross ties', value: a.crossTies, min: 0, max: 12 },
    choice('ridge', 'Ridge', a.ridge, [
      ['none', 'None', 'Enough for two or three hoops between plywood ends.'],
      ['rope', 'Rope', 'Tied hoop to hoop; weighs nothing.'],
      ['pipe', 'Pipe', 'Tied under the crowns; light and quick.'],
      ['pipe-bolted', 'Pipe, bolted', 'U-bolts round every crown: holds for years, and costs more.'],
      ['timber', '2x2 under', 'Screwed through every crown; keeps hoops true.'],
    ]),
    choice('ends', 'Ends', a.ends, [
      ['plywood', 'Plywood', 'Firm, with vents; cut to the true curve of the hoop.'],
      ['folded', 'Folded', 'Film folded like a parcel: lighter and cheaper.'],
    ]),
    ...(a.ends === 'plywood'
      ? [
          choice('plywood', 'Plywood', a.plywood, [
            ['plywood-1/4', '1/4 in', 'Light; enough for a low cover.'],
            ['plywood-3/8', '3/8 in', 'Holds screws better.'],
            ['plywood-1/2', '1/2 in', 'Stiff and heavy.'],
          ]),
          choice('vents', 'Vents in the ends', a.vents, [
            ['vents', 'One each end', 'Warm air leaves high up without opening the cover.'],
            ['louvres', 'Thermostat louvres', 'One low, one high: they open and shut by themselves.'],
            ['none', 'None', 'Warmer at night, and nothing to forget open.'],
          ]),
          choice('edge', 'Plywood edge', a.edge, [
            ['guarded', 'Guarded', 'Split hose over it: film lives its years.'],
            ['bare', 'Bare', 'Cuts through the film within a season.'],
          ]),
        ]
      : []),
    { kind: 'count', id: 'hooks', label: 'Hooks to the bed', value: a.hooks ?? 4, min: 0, max: 40 },
    peopleQuestion(a.people),
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
    if (change.kind === 'ridge') return change.value === 'tied' ? { ...a, ridge: 'timber' } : undefined;
    if (change.kind === 'ties') return { ...a, crossTies: change.count };
    return undefined;
  },
  assemble: assembleLiftOffCover,
};
