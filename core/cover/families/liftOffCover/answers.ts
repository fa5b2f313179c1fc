import { MM_PER_INCH } from '../../../base/length';
import { type ResolvedParameters, askedWhen, choice } from '../../answers/parameter';
import { board, coverAnswers, innerAnswers, sold, wood } from '../../answers/bars';
import { crossTies, endOffset, hoopCount, hoopPipe, hoopShape, maxSpacing, ridge } from '../../answers/hoops';
import { bedAnswers } from '../../answers/place';
import { mountAnswers } from '../../parts/hungWhole';
import { ends, rigidEndsParameter, fixing, holdDowns, paint, people, wrap } from '../../answers/skin';

/** A light rail this long stays straight without a tie, mm. */
const UNTIED_MM = 1220;
/** Longer covers are carried by two. */
const LONG_MM = 2000;

const mounting = mountAnswers({ carried: ['Carried off', 'Hooked down, and carried away in spring.'] }, 'carried');

export const liftOffCoverParameters = {
  hoops: hoopCount('How many', 80),
  pipe: hoopPipe(sold('pvc-1/2')),
  shape: hoopShape(),
  sits: choice(
    'Sits',
    {
      on: ['On the wall', 'Covers the walls and sheds water outside.'],
      inside: ['Inside the wall', 'The wall holds it in place, but its wood lies on the soil.'],
    },
    'on',
  ),
  frame: board('Frame', ['1x4', '2x2', '2x3', '2x4', '45x45 mm', '38x63 mm'], sold('2x2')),
  wood,
  crossTies: crossTies(UNTIED_MM),
  ridge: ridge(['none', 'rope', 'pipe', 'pipe-bolted', 'timber'], 'pipe', 'timber'),
  ends: ends(['plywood', 'folded'], 'plywood'),
  ...rigidEndsParameter('Plywood', ['plywood-1/4', 'plywood-3/8', 'plywood-1/2'], 'plywood-1/4'),
  ...mounting,
  hooks: askedWhen(holdDowns('hooks', 'Hooks to the bed', 40), { mount: 'carried' }),
  // Carried or opened, somebody lifts it.
  people: people(({ survey }) => (survey.frameOn.lengthMm > LONG_MM ? '2' : '1')),
  ...coverAnswers('film-uv'),
  fixing: fixing(['battens', 'channel', 'staples'], 'battens'),
  paint,
  ...innerAnswers,
  ...bedAnswers('lettuce', 5),
  maxSpacingMm: maxSpacing(30),
  endOffsetMm: endOffset(2),
  wrapMm: wrap(3 * MM_PER_INCH),
};

export type LiftOffCoverAnswers = ResolvedParameters<typeof liftOffCoverParameters>;
