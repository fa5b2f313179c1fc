import { MM_PER_INCH } from '../../../base/length';
import { type ResolvedParameters, choice } from '../../answers/parameter';
import { board, coverAnswers, innerAnswers, innerOn, sold } from '../../answers/bars';
import { crossTies, endOffset, hoopCount, hoopPipe, hoopShape, maxSpacing, ridge } from '../../answers/hoops';
import { bedAnswers } from '../../answers/place';
import { ends, rigidEndsParameter, latches, paint, people, stays, wrap } from '../../answers/skin';

/** A rail this long stays straight without a tie, mm. */
const UNTIED_MM = 1524;

export const hingedHoopLidParameters = {
  hoops: hoopCount('How many', 80),
  pipe: hoopPipe(sold('pvc-1/2')),
  shape: hoopShape(),
  feet: choice(
    'Feet',
    {
      'straps-inside': ['Straps inside', 'Holds itself while you bend, and no sharp end meets the cover.'],
      sockets: ['Sockets', 'Caps on the rail: the hoops lift out for storing.'],
      holes: ['Holes in the rail', 'Bored into the top edge: nothing to buy, stands upright, lifts out.'],
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
  corners: choice(
    'Corners',
    {
      ends: ['End boards over', 'End boards run to the hinge side: the lid does not rack.'],
      rails: ['Rails over', 'Both rails run the whole length: the simplest to mark, and it racks soonest.'],
      'hinge rail': ['Hinge rail over', 'One unbroken hinge rail for every hinge; the front rail fits between.'],
    },
    'ends',
  ),
  purlins: choice(
    'Side purlins',
    {
      none: ['None', 'The ridge alone keeps the hoops apart.'],
      rope: ['Rope', 'Tied hoop to hoop on both sides at a third of the height.'],
      pipe: ['Pipe', 'Tied inside the hoops at a third of the height: film cannot bag between them.'],
      tees: [
        'Pipe with tees',
        'Short pipes in fittings bored through, that slide on the hoops: hoops can neither lean nor spread.',
      ],
    },
    'none',
  ),
  crossTies: crossTies(UNTIED_MM),
  hinges: choice(
    'Hinged on',
    { far: ['Far side', 'You open it from the near side.'], near: ['Near side', 'You open it from the far side.'] },
    'far',
  ),
  latches: latches('Latches', 12),
  stays: stays('Stays', 8),
  people: people(),
  ...coverAnswers('film-uv'),
  ends: ends(['folded', 'flap', 'plywood'], 'folded'),
  ...rigidEndsParameter('Ends of', ['plywood-1/4', 'plywood-3/8', 'twin-wall-6'], 'plywood-1/4'),
  paint,
  ...innerAnswers,
  innerOn,
  ...bedAnswers('lettuce', 5),
  maxSpacingMm: maxSpacing(32),
  endOffsetMm: endOffset(2),
  battenWrapMm: wrap(3 * MM_PER_INCH),
};

export type HingedHoopLidAnswers = ResolvedParameters<typeof hingedHoopLidParameters>;
