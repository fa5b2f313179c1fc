import { MM_PER_INCH } from '../../../base/length';
import { stockFor } from '../../../catalog/market';
import { type ResolvedParameters, countOrAuto, height } from '../../answers/parameter';
import { board, coverAnswers } from '../../answers/bars';
import { bySpacing, maxSpacing } from '../../answers/hoops';
import { bedAnswers } from '../../answers/place';
import { divided, edge, ends, fixing, holdDowns, wrap } from '../../answers/skin';

/** Legs by span and ridge by length: beyond these the stouter board, mm. */
const WIDE_MM = 60 * MM_PER_INCH;
const LONG_MM = 120 * MM_PER_INCH;

export const aFrameParameters = {
  pairs: countOrAuto('Triangles', [2, 40], (built) => built?.beams[0]?.tags.length ?? 2, bySpacing('Triangles')),
  leg: board(
    'Legs',
    ['2x2', '2x3', '2x4', '38x63 mm', '38x89 mm'],
    ({ survey, market }) => stockFor(market, survey.frameOn.widthMm > WIDE_MM ? '2x4' : '2x3'),
    { changes: { bar: ({ key }) => key } },
  ),
  ridge: board('Ridge board', ['2x3', '2x4', '2x6', '38x63 mm', '38x89 mm'], ({ survey, market }) =>
    stockFor(market, survey.frameOn.lengthMm > LONG_MM ? '2x4' : '2x3'),
  ),
  edge: edge('Ridge and end edges'),
  anchors: holdDowns('anchors', 'Brackets to the bed', 80),
  ...coverAnswers('film-uv'),
  fixing: fixing(['battens', 'channel', 'staples'], 'battens'),
  slopes: divided('Film on the legs', ['battens', 'rope', 'none'], 'battens'),
  ends: ends(['flap', 'folded'], 'flap'),
  ...bedAnswers('lettuce', 6),
  /** Top of the ridge above the wall. */
  heightMm: height([200, 2600], ({ survey }) => Math.max(300, survey.frameOn.widthMm * 0.85), 'height'),
  maxSpacingMm: maxSpacing(42, [300, 2000]),
  wrapMm: wrap(3 * MM_PER_INCH),
};

export type AFrameAnswers = ResolvedParameters<typeof aFrameParameters>;
