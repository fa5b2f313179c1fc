import { between } from '../../../base/schema';
import { MM_PER_INCH } from '../../../base/length';
import { stockFor } from '../../../catalog/market';
import {
  type ResolvedParameters,
  askedWhen,
  choice,
  countParameter,
  dimensioned,
  length,
} from '../../answers/parameter';
import { coverAnswers, innerAnswers, tube } from '../../answers/bars';
import { endOffset, footSpan, hoopCount, hoopPipe, hoopShape, maxSpacing, ridge } from '../../answers/hoops';
import { bedAnswers } from '../../answers/place';
import { clippedParameter, ends, holdDowns, looseEdges, paint, skirtUnder } from '../../answers/skin';

/** Wider beds than this want the stouter pipe, mm. */
const WIDE_MM = 1300;

export const stakedTunnelParameters = {
  hoops: hoopCount('How many', 80),
  pipe: hoopPipe(({ bed, market }) => stockFor(market, bed.inside.widthMm > WIDE_MM ? 'pvc-3/4' : 'pvc-1/2')),
  shape: hoopShape(),
  feet: choice(
    'Feet',
    {
      rods: ['Over rods', 'The pipe stands upright over a driven rod and holds its shape.'],
      soil: ['In the soil', 'Nothing to buy, but the feet wander in soft soil.'],
      driven: ['Rods and soil', 'The pipe goes over its rod and on into the soil: neither rattles nor wanders.'],
      straps: ['Wall straps', 'Strapped to the bed wall: nothing to drive, lifts out in spring.'],
    },
    'rods',
  ),
  rod: tube(
    'Rod',
    {
      'rod-3': 'Thin; rattles in most pipe.',
      'rod-4': 'Fits 1/2 pipe closely.',
      'pvc-1/2': ['1/2 PVC stub', 'A stub of pipe as a stake, for wider hoops; soft soil only.'],
    },
    'rod-4',
    {
      when: { feet: ['rods', 'driven'] },
      fits: { test: () => true, words: 'must be a rod or pipe in the catalogue' },
      changes: {
        rod: ({ key }, _, { answers: now }) => (now['feet'] === 'rods' || now['feet'] === 'driven' ? key : undefined),
      },
    },
  ),
  rodLengthMm: length('Rod length', [200, 2000], 24 * MM_PER_INCH, { when: { feet: ['rods', 'driven'] } }),
  leanDeg: countParameter('Rods lean in, degrees', [0, 40], 0, { when: { feet: ['rods', 'driven'] } }),
  rodShownMm: dimensioned(between(0, 1000), 8 * MM_PER_INCH, 'rodShown'),
  buryMm: dimensioned(between(0, 800), 6 * MM_PER_INCH, 'bury'),
  ridge: ridge(['none', 'rope', 'pipe', 'pipe-bolted', 'timber-tied', 'posted'], 'pipe', 'pipe'),
  ...coverAnswers('film-uv'),
  ...looseEdges(['ground', 'inside', 'one-open', 'one-battened', 'battened', 'stapled'], 10),
  clipped: clippedParameter,
  ends: ends(['gathered', 'folded', 'flap'], 'gathered'),
  skirtUnder,
  weights: askedWhen(holdDowns('weights', 'Weights', 200, 'skin'), { skirtUnder: ['bags', 'bricks'] }),
  paint,
  ...innerAnswers,
  ...bedAnswers('lettuce', 5),
  maxSpacingMm: maxSpacing(36),
  endOffsetMm: endOffset(3),
  /** Distance between the feet, centre to centre. */
  spanMm: footSpan([200, 6000], 'feet'),
};

export type StakedTunnelAnswers = ResolvedParameters<typeof stakedTunnelParameters>;
