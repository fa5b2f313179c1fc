import { MM_PER_INCH } from '../../../base/length';
import { type ResolvedParameters, choice, countParameter, countOrAuto, length, height } from '../../answers/parameter';
import { FILM, board, coverAnswers, sold } from '../../answers/bars';
import { bySpacing, maxSpacing } from '../../answers/hoops';
import { bedAnswers } from '../../answers/place';
import { airing, eachHeld, holdDowns, wrap } from '../../answers/skin';

/** Shutters in front a hand and a half high, a roof of about 25 degrees. */
const FRONT_MM = 16 * MM_PER_INCH;
const PITCH = Math.tan((25 * Math.PI) / 180);

export const leanToParameters = {
  wall: choice(
    'Fixed to',
    {
      masonry: ['Brick, block or stone', 'Anchors in sound bricks, not in the joints between them.'],
      timber: ['A timber wall', 'Coach screws into the studs: find them first.'],
    },
    'masonry',
  ),
  back: choice(
    'The wall stands',
    {
      far: ['On the far side', 'You reach in from the near side.'],
      near: ['On the near side', 'You reach in from the far side.'],
    },
    'far',
  ),
  wallOverMm: length('Wall over the roof', [0, 12_000], 60 * MM_PER_INCH),
  glazing: choice(
    'Roof and ends',
    {
      'twin-wall-6': ['Twin-wall', 'Warm at night, and stands for years.'],
      film: ['Film', 'Cheap and light; a new one every few years.'],
    },
    'twin-wall-6',
  ),
  rafters: countOrAuto('Rafters', [2, 40], (built) => built?.beams[0]?.tags.length ?? 2, bySpacing('Rafters')),
  rafter: board('Rafter boards', ['2x3', '2x4', '2x6', '38x63 mm', '38x89 mm', '45x145 mm'], sold('2x3'), {
    changes: { bar: ({ key }) => key },
  }),
  lids: countParameter('How many shutters', [1, 12], ({ survey }) =>
    Math.max(1, Math.round(survey.frameOn.lengthMm / 1000)),
  ),
  lidFrame: board('Shutter frame', ['1x3', '2x2', '2x3', '45x45 mm', '45x70 mm'], sold('2x2')),
  ...airing('prop'),
  ...eachHeld('shutter'),
  anchors: holdDowns('anchors', 'Brackets to the bed', 40),
  wallAnchors: holdDowns('wallAnchors', 'Anchors in the wall', 80),
  ...coverAnswers('film-uv', { fits: FILM, when: { glazing: 'film' } }),
  ...bedAnswers('chard', 6),
  frontMm: height([250, 1200], FRONT_MM, 'front'),
  /** Top of the wall plate above the bed's wall. */
  backMm: height([350, 2400], ({ survey }) => FRONT_MM + 65 + survey.frameOn.widthMm * PITCH, 'backHeight'),
  maxSpacingMm: maxSpacing(24, [300, 1200]),
  wrapMm: wrap(3 * MM_PER_INCH),
};

export type LeanToAnswers = ResolvedParameters<typeof leanToParameters>;
