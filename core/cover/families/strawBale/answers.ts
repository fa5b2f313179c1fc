import { MM_PER_INCH } from '../../../base/length';
import { type ResolvedParameters, choice, countParameter } from '../../answers/parameter';
import { board, sold } from '../../answers/bars';
import { bedAnswers } from '../../answers/place';
import { back, holdDowns, people, safety } from '../../answers/skin';

/** A common two-string bale, mm: as long as three hand spans, laid flat or stood on edge. */
export const BALE = { longMm: 36 * MM_PER_INCH, wideMm: 18 * MM_PER_INCH, highMm: 14 * MM_PER_INCH };
/** Room that low greens want between soil and glass. */
const CLEAR_MM = 250;

export const strawBaleParameters = {
  courses: countParameter(
    'Courses of bales',
    [1, 3],
    ({ bed }) => Math.min(3, Math.max(1, Math.ceil((bed.wall.heightMm - bed.soilBelowRimMm + CLEAR_MM) / BALE.highMm))),
    { changes: { higher: (_, value) => (value < 3 ? value + 1 : undefined) } },
  ),
  back,
  glazing: choice(
    'On top',
    {
      'old-window': ['Old windows', 'Cost next to nothing; heavy, and glass breaks.'],
      'twin-wall-6': ['Twin-wall', 'Light, warm, and used again every winter.'],
    },
    'old-window',
  ),
  lids: countParameter('How many', [1, 16], ({ survey }) =>
    Math.max(1, Math.round(survey.frameOn.lengthMm / (32 * MM_PER_INCH))),
  ),
  safety,
  lidFrame: board('Lid frame', ['1x3', '2x2', '2x3', '45x45 mm'], sold('2x2'), { when: { glazing: 'twin-wall-6' } }),
  support: board('Supports', ['2x3', '2x4', '2x6', '38x89 mm', '45x145 mm'], sold('2x4'), {
    changes: { bar: ({ key }) => key },
  }),
  weights: holdDowns('weights', 'Bricks on the lids', 200),
  people: people(),
  ...bedAnswers('spinach', 6),
};

export type StrawBaleAnswers = ResolvedParameters<typeof strawBaleParameters>;
