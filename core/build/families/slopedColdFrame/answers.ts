import { z } from 'zod';
import { MM_PER_INCH } from '../../../base/length';
import { ok } from '../../../base/result';
import { type Chosen, choice, count, dimensioned, length } from '../../answers/asked';
import { board, coverAnswers, sold, wood } from '../../answers/bars';
import { crop, extent, extra, rowFromEdge } from '../../answers/place';
import { airing, back, holdDowns, latches, lidFrame, people, safety, stays } from '../../answers/skin';
import { PLAY_MM } from '../../parts/slopedLid';
import { type BuildSite, stock } from '../../../site/buildSite';
import { boardShape } from '../../../catalog/sections';

const FRAMED = ['twin-wall-6', 'corrugated', 'film-both'];
/** Windows that are found first decide the box; otherwise the box says what to look for. */
const BY_SASH = { glazing: 'old-window', sashBy: 'sash' };

const lidsFor = ({ survey }: BuildSite): number =>
  Math.max(1, Math.round(survey.frameOn.lengthMm / (40 * MM_PER_INCH)));
const high = (site: BuildSite): number => boardShape(stock(site, '2x8')).widthMm;
const sash = (mm: number): number => Math.min(3000, Math.max(200, Math.round(mm)));

/** One board in front, near two at the back. */
export const answers = {
  board: board('Boards', ['1x6', '2x6', '2x8', '2x10', '2x12', '45x145 mm', '45x195 mm'], sold('2x8')),
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
  lids: count('How many lids', [1, 12], lidsFor),
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
  latches: latches('Latches on each lid', 8),
  stays: stays('Stays on each lid', 8),
  people: people(),
  anchors: holdDowns('anchors', 'Brackets to the bed', 40),
  ...coverAnswers('film-uv', {
    fits: { test: (c) => c.kind === 'film', words: 'must be a film off a roll' },
    when: { glazing: 'film-both' },
  }),
  crop: crop('spinach'),
  extra,
  extent,
  rowFromEdgeMm: rowFromEdge(7),
  frontMm: dimensioned(z.number().min(60).max(900), high, 'front', {
    changes: { higher: ({ byMm }, value) => value + byMm },
  }),
  backMm: dimensioned(
    z.number().min(90).max(1200),
    (site) => Math.round(high(site) * 2 - 0.6 * MM_PER_INCH),
    'backHeight',
    {
      dimensions: { backHeight: (valueMm) => ok(valueMm) },
      changes: { higher: ({ byMm }, value) => value + byMm },
    },
  ),
};

export type SlopedColdFrameAnswers = Chosen<typeof answers>;
