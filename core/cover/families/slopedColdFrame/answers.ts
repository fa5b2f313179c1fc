import * as z from 'zod/mini';
import { between } from '../../../base/schema';
import { MM_PER_INCH } from '../../../base/length';
import {
  type AtAnswers,
  type ResolvedParameters,
  type ParameterWords,
  choice,
  countParameter,
  dimensioned,
  mapParameter,
  length,
} from '../../answers/parameter';
import { FILM, board, coverAnswers, sold, wood } from '../../answers/bars';
import { bedAnswers } from '../../answers/place';
import { airing, back, eachHeld, holdDowns, lidFrame, safety } from '../../answers/skin';
import { PLAY_MM } from '../../parts/slopedLid';
import { boardShape } from '../../../catalog/sections';
import { section } from '../../../catalog/catalog';
import { stockFor } from '../../../catalog/market';
import type { BuildSite } from '../../../site/buildSite';

const FRAMED = ['twin-wall-6', 'corrugated', 'film-both'];
/** Windows that are found first decide the box; otherwise the box says what to look for. */
const BY_SASH = { glazing: 'old-window', sashBy: 'sash' };

const lidsFor = ({ survey }: BuildSite): number =>
  Math.max(1, Math.round(survey.frameOn.lengthMm / (40 * MM_PER_INCH)));
/** Boards that a box is made of. */
const BOARDS = ['1x6', '2x6', '2x8', '2x10', '2x12', '45x145 mm', '45x195 mm'];
const FRONT_WHY = 'A lower board in front, with no board ripped.';
/** Higher than it is drawn, whether or not the height was typed. */
const higherBy =
  (id: string) =>
  ({ byMm }: { readonly byMm: number }, value: number | null, { assembly }: AtAnswers): number | undefined => {
    const now = value ?? assembly?.dimensions.find((d) => d.id === id)?.valueMm;
    return now === undefined ? undefined : now + byMm;
  };
const sash = (mm: number): number => Math.min(3000, Math.max(200, mm));

/** Front and back each of one board; the sides fall from one to the other. */
export const slopedColdFrameParameters = {
  board: board('Back and sides', BOARDS, ({ market }) => (market === 'imperial' ? '2x12' : stockFor(market, '2x8')), {
    resets: { backMm: null, frontMm: null },
  }),
  frontBoard: mapParameter(
    choice(
      'Front',
      {
        same: ['The same board', 'One kind of board for all.'],
        ...Object.fromEntries(
          BOARDS.map((key) => [key, [key.endsWith('mm') ? key.replace('x', ' x ') : key, FRONT_WHY]]),
        ),
      } as ParameterWords<string>,
      ({ market }) => (market === 'imperial' ? '2x8' : 'same'),
      { resets: { frontMm: null } },
    ),
    (value, { catalog }) => (value === 'same' ? undefined : section(catalog, value)),
  ),
  wood,
  back,
  glazing: choice(
    'Lid',
    {
      'twin-wall-6': ['Twin-wall', 'Warm, light to lift, and does not break.'],
      corrugated: ['Corrugated', 'Cheap and tough; cold air creeps in at the waves.'],
      'old-window': ['Old windows', 'Cost next to nothing; heavy, and glass breaks.'],
      'film-both': ['Film, both faces', 'Two films with air between: lightest and cheap.'],
    },
    'twin-wall-6',
  ),
  lids: countParameter('How many lids', [1, 12], lidsFor),
  sashBy: choice(
    'What comes first',
    {
      bed: ['The bed', 'The box fits the bed, and the list says what windows to look for.'],
      sash: ['The windows', 'You have the windows: the box is made to them.'],
    },
    'bed',
    { when: { glazing: 'old-window' } },
  ),
  sashAlongMm: length(
    'Window, along the bed',
    [200, 3000],
    // Beside each other with room to swing they come to the length of the bed.
    (site) => sash((site.survey.frameOn.lengthMm - (lidsFor(site) - 1) * PLAY_MM) / lidsFor(site)),
    { when: BY_SASH },
  ),
  sashReachMm: length('Window, front to back', [200, 3000], ({ survey }) => sash(survey.frameOn.widthMm * 1.02), {
    when: BY_SASH,
  }),
  safety,
  ...lidFrame(sold('2x2'), 1, { glazing: FRAMED }),
  overhangMm: length('Overhang in front', [0, 200], 20),
  ...airing('prop'),
  ...eachHeld('lid'),
  anchors: holdDowns('anchors', 'Brackets to the bed', 40),
  ...coverAnswers('film-uv', { fits: FILM, when: { glazing: 'film-both' } }),
  ...bedAnswers('spinach', 7),
  /** null: as high as its board. */
  frontMm: dimensioned(z.nullable(between(60, 900)), null, 'front', { changes: { higher: higherBy('front') } }),
  /** null: as high as its board, or two where one is no higher than the front. */
  backMm: dimensioned(z.nullable(between(90, 1200)), null, 'backHeight', {
    changes: { higher: higherBy('backHeight') },
  }),
};

export type SlopedColdFrameAnswers = ResolvedParameters<typeof slopedColdFrameParameters>;

/** A lid that falls by this part of its width sheds rain and snow. */
const LEAST_FALL = 0.08;
/** Two courses lie a little lower than two boards, so that neither is left whole and wet between. */
const OF_TWO_MM = 15;

/** How high the box stands in front and at the back: as typed, or as its boards are wide, over a depth, mm. */
export function heightsOf(
  a: SlopedColdFrameAnswers,
  depthMm: number,
): { readonly frontMm: number; readonly backMm: number } {
  const wide = boardShape(a.board).widthMm;
  const frontMm = a.frontMm ?? boardShape(a.frontBoard ?? a.board).widthMm;
  return { frontMm, backMm: a.backMm ?? (wide - frontMm >= LEAST_FALL * depthMm ? wide : 2 * wide - OF_TWO_MM) };
}
