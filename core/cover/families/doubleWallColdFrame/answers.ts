import { MM_PER_INCH } from '../../../base/length';
import {
  type ResolvedParameters,
  askedWhen,
  choice,
  countParameter,
  countOrAuto,
  length,
  height,
} from '../../answers/parameter';
import { FILM, board, coverAnswers, sold, wood } from '../../answers/bars';
import { bedAnswers } from '../../answers/place';
import { mountAnswers } from '../../parts/hungWhole';
import { airing, back, eachHeld, holdDowns, lidFrame } from '../../answers/skin';

const FRONT_MM = 14 * MM_PER_INCH;

/** The lids have latches, stays and a side to hang on already. */
const { mount, people: lifted } = mountAnswers(
  { hooked: ['Hooked down', 'Stands on the wall all winter; reached only where no net is in the way.'] },
  'hinged',
);

/** Latches or stays of the frame as a whole; null: as its length and the wind ask for. */
const ofFrame = (label: string, what: 'latches' | 'stays') =>
  countOrAuto(label, [0, 12], (built) => built?.moving.find((m) => m.name === 'Frame')?.hung?.[what].count ?? 1, {
    when: { mount: 'hinged' },
  });

/** Knee-high in front, a low pitch, an opener on each lid. */
export const doubleWallColdFrameParameters = {
  stud: board('Studs', ['2x2', '2x3', '2x4', '45x45 mm', '45x70 mm'], sold('2x2')),
  wood,
  back,
  glazing: choice(
    'Lid',
    {
      'twin-wall-6': ['Twin-wall', 'Warm, and does not break.'],
      'film-both': ['Film, both faces', 'Lightest: a smaller opener will do.'],
    },
    'twin-wall-6',
  ),
  lids: countParameter('How many lids', [1, 12], ({ survey }) =>
    Math.max(1, Math.round(survey.frameOn.lengthMm / (32 * MM_PER_INCH))),
  ),
  ...lidFrame(sold('2x2'), 0),
  screen: choice(
    'Net under the lid',
    {
      screen: ['Insect net', 'Keeps insects, cats and birds out while it stands open.'],
      none: ['None', 'Bees come in; so does everything else.'],
    },
    'screen',
  ),
  ...airing('opener'),
  tape: choice(
    'Over the staples',
    {
      tape: ['Taped', 'Clear tape over every stapled edge: the film tears there first, and air gets in.'],
      none: ['Bare', 'Staples alone; look at them after every gale.'],
    },
    'tape',
  ),
  braces: choice(
    'Braces in the walls',
    {
      none: ['None', 'The lids and the bed keep it square.'],
      corners: [
        'In the corners',
        'A diagonal in both end bays of front and back: it does not rack when it is carried or hinged.',
      ],
    },
    'none',
  ),
  pocket: choice(
    'The opener sits',
    {
      pocket: [
        'In a pocket at the back',
        'Two boards keep the net off its arm; near the hinges it opens the lid wide.',
      ],
      front: ['In a pocket in front', 'Far from the hinges it lifts a heavier lid, and opens it less.'],
      none: ['Under the net', 'Its arm and the net are in each other’s way.'],
    },
    'pocket',
    { when: { airing: 'opener', screen: 'screen' } },
  ),
  overhangMm: length('Overhang in front', [0, 200], 25),
  ...eachHeld('lid'),
  mount,
  /** The frame as a whole, lids and all. */
  frameLatches: ofFrame('Latches on the frame', 'latches'),
  frameStays: ofFrame('Stays on the frame', 'stays'),
  lifted: { ...lifted, asking: lifted.asking && { ...lifted.asking, label: 'Frame lifted by' } },
  anchors: askedWhen(holdDowns('anchors', 'Hooks to the bed', 40), { mount: 'hooked' }),
  ...coverAnswers('film-uv', { fits: FILM }),
  ...bedAnswers('lettuce', 6),
  frontMm: height([150, 1200], FRONT_MM, 'front'),
  backMm: height([180, 1500], ({ survey }) => FRONT_MM + survey.frameOn.widthMm * 0.16, 'backHeight'),
};

export type DoubleWallColdFrameAnswers = ResolvedParameters<typeof doubleWallColdFrameParameters>;
