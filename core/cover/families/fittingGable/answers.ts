import { MM_PER_INCH } from '../../../base/length';
import { isFitted } from '../../../catalog/fittings';
import { type ResolvedParameters, choice, countOrAuto, height } from '../../answers/parameter';
import { coverAnswers, tube } from '../../answers/bars';
import { bySpacing, maxSpacing } from '../../answers/hoops';
import { bedAnswers } from '../../answers/place';
import { clippedParameter, ends, holdDowns, paint, wrap } from '../../answers/skin';

/** Wider beds than this want the stouter pipe, mm. */
const WIDE_MM = 1300;

export const fittingGableParameters = {
  frames: countOrAuto('How many frames', [2, 40], (built) => built?.arches[0]?.xsMm.length ?? 2, {
    ...bySpacing('Frames'),
    changes: { hoops: (change) => change.count },
  }),
  pipe: tube(
    'Pipe',
    {
      'pvc-1/2': 'Cheapest; for narrow beds without snow.',
      'pvc-3/4': 'The usual one.',
      'pvc-1': 'For wide beds; stands snow better.',
      'pvc-1-1/4': 'The stoutest that one person still handles.',
    },
    ({ survey }) => (survey.frameOn.widthMm > WIDE_MM ? 'pvc-1' : 'pvc-3/4'),
    {
      fits: { test: isFitted, words: 'must be PVC of 1/2 to 1-1/2, for which fittings are moulded' },
      changes: { pipe: ({ key }) => key },
    },
  ),
  joints: choice(
    'Joints',
    {
      pinned: ['Pushed and screwed', 'One screw a socket: holds in wind, comes apart with a driver.'],
      pushed: ['Pushed only', 'Apart in minutes; lifts apart in wind too.'],
    },
    'pinned',
  ),
  straps: holdDowns('straps', 'Straps to the bed', 80),
  ...coverAnswers('film-uv'),
  clipped: clippedParameter,
  ends: ends(['folded', 'flap'], 'folded'),
  paint,
  ...bedAnswers('lettuce', 5),
  /** Centre of the eave joint above the centre of the base pipe. */
  eaveMm: height([150, 2000], 16 * MM_PER_INCH, 'eave'),
  maxSpacingMm: maxSpacing(32, [300, 1500]),
  wrapMm: wrap(6 * MM_PER_INCH, 300),
};

export type FittingGableAnswers = ResolvedParameters<typeof fittingGableParameters>;
