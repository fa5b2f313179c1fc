import { MM_PER_INCH } from '../../../base/length';
import { type Chosen, choice, count } from '../../answers/asked';
import { board, coverAnswers, innerAnswers, sold } from '../../answers/bars';
import { endOffset, hoopCount, hoopPipe, hoopShape, maxSpacing, ridge } from '../../answers/hoops';
import { crop, extent, extra, rowFromEdge } from '../../answers/place';
import { ends, latches, paint, people, stays, wrap } from '../../answers/skin';

/** A rail this long stays straight without a tie, mm. */
const UNTIED_MM = 1524;

export const answers = {
  hoops: hoopCount('How many', 80),
  pipe: hoopPipe(sold('pvc-1/2')),
  shape: hoopShape(),
  feet: choice(
    'Feet',
    {
      'straps-inside': ['Straps inside', 'Holds itself while you bend, and no sharp end meets the cover.'],
      sockets: ['Sockets', 'Caps on the rail: the hoops lift out for storing.'],
      screwed: [
        'Screwed through',
        'One screw through pipe and rail: cheapest, but the hole is where a cold pipe breaks.',
      ],
      'straps-outside': ['Straps outside', 'The full width inside, but sharp ends to cap.'],
    },
    'straps-inside',
  ),
  ridge: ridge(['none', 'rope', 'pipe', 'pipe-bolted', 'timber', 'posted'], 'timber', 'timber'),
  frame: board('Frame', ['1x4', '2x3', '2x4', '38x63 mm', '38x89 mm'], sold('2x4')),
  stand: choice(
    'Boards',
    {
      'on edge': ['On edge', 'Higher sides and less sag; pushed at its thin side.'],
      flat: ['Flat', 'Stiff against the push of the hoops, but lower and narrower inside.'],
    },
    'on edge',
  ),
  crossTies: count(
    'Cross ties',
    [0, 12],
    ({ survey }) => Math.max(0, Math.ceil(survey.frameOn.lengthMm / UNTIED_MM) - 1),
    { changes: { ties: (change) => change.count } },
  ),
  hinges: choice(
    'Hinged on',
    {
      far: ['Far side', 'You open it from the near side.'],
      near: ['Near side', 'You open it from the far side.'],
    },
    'far',
  ),
  latches: latches('Latches', 12),
  stays: stays('Stays', 8),
  people: people(),
  ...coverAnswers('film-uv'),
  ends: ends(['folded', 'flap'], 'folded'),
  paint,
  ...innerAnswers,
  crop: crop('lettuce'),
  extra,
  extent,
  maxSpacingMm: maxSpacing(32),
  endOffsetMm: endOffset(2),
  rowFromEdgeMm: rowFromEdge(5),
  battenWrapMm: wrap(3 * MM_PER_INCH),
};

export type HingedHoopLidAnswers = Chosen<typeof answers>;
