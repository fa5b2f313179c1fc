import { between } from '../../../base/schema';
import { MM_PER_INCH, lengthInBoth } from '../../../base/length';
import { fail, ok } from '../../../base/result';
import {
  type ResolvedParameters,
  choice,
  countParameter,
  countOrAuto,
  dimensioned,
  length,
} from '../../answers/parameter';
import { coverAnswers } from '../../answers/bars';
import { footSpan } from '../../answers/hoops';
import { bedAnswers } from '../../answers/place';
import { ends, holdDowns, looseEdges } from '../../answers/skin';

/** Side of one square of the mesh, mm. */
export const SQUARE_MM = 6 * MM_PER_INCH;
/** A prong is one square long at the most. */
const LONGEST_PRONG_MM = 145;

/** An arch near a half circle over the inside of the bed. */
export const meshArchParameters = {
  /** From prong to prong, prongs included. */
  squares: countParameter(
    'Squares over the bed',
    [6, 40],
    ({ bed }) => {
      const span = bed.inside.widthMm - 50;
      return Math.max(6, Math.min(40, Math.round((Math.PI / 2) * (span / SQUARE_MM)) + 2));
    },
    {
      changes: {
        higher: ({ byMm }, value) =>
          value + Math.sign(byMm) * Math.max(1, Math.round((2 * Math.abs(byMm)) / SQUARE_MM)),
      },
    },
  ),
  ridge: choice(
    'Under the crown',
    {
      none: ['Nothing', 'Mesh stands by itself over a narrow bed.'],
      posted: ['A board on posts', 'Carries snow itself, where the bed is wide.'],
    },
    'none',
    { changes: { ridge: ({ value }) => (value === 'posted' ? 'posted' : undefined) } },
  ),
  caps: choice(
    'Cut wire ends',
    { capped: ['Sleeved', 'No bare wire against film or hand.'], bare: ['Bare', 'They tear film and skin.'] },
    'capped',
  ),
  straps: countOrAuto('Straps over it', [0, 60], (built) => {
    const bags = built?.footing.holdDowns.find((h) => h.what === 'bags on the straps');
    return bags ? bags.count / 2 : 2;
  }),
  ...coverAnswers('film-uv'),
  overlapMm: length('Lap at the crown', [0, 600], 10 * MM_PER_INCH, { leaf: 'skin' }),
  ...looseEdges(['ground', 'inside'], 10),
  ends: ends(['gathered', 'folded'], 'gathered'),
  weights: holdDowns('weights', 'Weights on skirts and ends', 200, 'skin'),
  ...bedAnswers('lettuce', 5),
  spanMm: footSpan([300, 3000], 'prongs'),
  prongMm: dimensioned(between(50, LONGEST_PRONG_MM), 5 * MM_PER_INCH, 'prong', {
    dimensions: {
      prong: (valueMm) =>
        valueMm > LONGEST_PRONG_MM
          ? fail(
              'prong',
              `A prong is one square long at the most: up to ${lengthInBoth(LONGEST_PRONG_MM)} of it in the soil.`,
            )
          : ok(valueMm),
    },
  }),
};

export type MeshArchAnswers = ResolvedParameters<typeof meshArchParameters>;
