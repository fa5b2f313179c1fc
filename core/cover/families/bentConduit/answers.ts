import * as z from 'zod/mini';
import { between } from '../../../base/schema';
import { MM_PER_INCH } from '../../../base/length';
import { ok } from '../../../base/result';
import { shippedKey } from '../../../catalog/sections';
import type { Section } from '../../../catalog/types';
import { type ResolvedParameters, parameter, askedWhen, choice, length, height } from '../../answers/parameter';
import { board, coverAnswers, innerAnswers, oneOf, sold, tube, wood } from '../../answers/bars';
import { crossTies, endOffset, hoopCount, maxSpacing } from '../../answers/hoops';
import { bedAnswers } from '../../answers/place';
import { edge, ends, fixing, holdDowns, wrap } from '../../answers/skin';
import { mountAnswers } from '../../parts/hungWhole';

/** Centre-line bend radius of the jig or bender for each conduit, mm. */
const BEND_RADIUS: Readonly<Record<string, number>> = { 'emt-1/2': 4.625 * MM_PER_INCH, 'emt-3/4': 5.5 * MM_PER_INCH };
/** Centre-line bend radius that a conduit gets, mm. */
export const bendRadiusMm = (pipe: Section): number => BEND_RADIUS[shippedKey(pipe)] ?? 120;

/** Most of a shoulder, and how much of the bed's width it and the roof rise. */
const SHOULDER_MM = 14 * MM_PER_INCH;

/** What settles how steep the roof is bent. */
const bendsSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('height') }),
  z.strictObject({ by: z.literal('stock') }),
  z.strictObject({ by: z.literal('length'), lengthMm: between(300, 20000) }),
  z.strictObject({ by: z.literal('jig'), crownDeg: z.union([z.literal(45), z.literal(60), z.literal(90)]) }),
]);
export type Bends = z.infer<typeof bendsSchema>;

/** The schools by what a panel calls them. */
const BY: Readonly<Record<string, readonly [label: string, why: string, (cutMm: number) => Bends]>> = {
  height: ['My height', 'You say how high the crown stands; the cut follows.', () => ({ by: 'height' })],
  length: [
    'My cut',
    'You say how long the conduit is; the height follows.',
    (cutMm) => ({ by: 'length', lengthMm: cutMm }),
  ],
  stock: ['Whole pipe', 'A whole pipe from the shop with no cut at all.', () => ({ by: 'stock' })],
  'jig-45': ['Jig of 45', 'The crown turns 45 degrees, each shoulder 67.5: low.', () => ({ by: 'jig', crownDeg: 45 })],
  'jig-60': [
    'Jig of 60',
    'All three bends turn 60 degrees: one jig, one setting.',
    () => ({ by: 'jig', crownDeg: 60 }),
  ],
  'jig-90': ['Jig of 90', 'The crown turns 90 degrees, each shoulder 45: steep.', () => ({ by: 'jig', crownDeg: 90 })],
};

const bends = parameter<Bends>(
  bendsSchema,
  { by: 'height' },
  {
    asking: {
      label: 'Height',
      show: (value) => ({
        kind: 'choice',
        value: value.by === 'jig' ? `jig-${value.crownDeg}` : value.by,
        options: Object.entries(BY).map(([key, [label, why]]) => ({ value: key, label, why })),
      }),
      read: (said, _, { assembly }) => BY[String(said)]?.[2](assembly?.arches[0]?.cutMm ?? 2000) ?? said,
    },
    dimensions: { pipeLength: (lengthMm) => ok({ by: 'length', lengthMm }) },
  },
);

export const bentConduitParameters = {
  hoops: hoopCount('How many', 80),
  pipe: tube(
    'Conduit',
    {
      'emt-1/2': 'Bends by hand in a bender; enough for most beds.',
      'emt-3/4': 'Twice as strong; needs a larger bender.',
    },
    'emt-1/2',
    { fits: { test: oneOf(BEND_RADIUS), words: 'must be 1/2 or 3/4 conduit' }, changes: { pipe: ({ key }) => key } },
  ),
  frame: board('Rails', ['2x4', '2x6', '38x89 mm', '45x145 mm'], sold('2x4')),
  wood,
  legDepthMm: length('Legs in the holes', [20, 140], 2.5 * MM_PER_INCH),
  ridge: choice(
    'Furring',
    {
      furring: ['Ridge and sides', 'Keeps hoops apart and gives film a broad bed.'],
      none: ['None', 'Quicker; hoops may lean.'],
    },
    'furring',
    { changes: { ridge: ({ value }) => (value === 'tied' ? 'furring' : undefined) } },
  ),
  crossTies: crossTies(),
  ...mountAnswers({ fixed: ['Brackets', 'Screwed down for the season; opened at its sides or ends.'] }, 'hinged'),
  anchors: askedWhen(holdDowns('anchors', 'Brackets to the bed', 40), { mount: 'fixed' }),
  ...coverAnswers('film-uv'),
  fixing: fixing(['battens', 'channel', 'clips'], 'battens'),
  ends: ends(['folded', 'flap', 'plywood'], 'folded'),
  edge: edge('Plywood edge', { ends: 'plywood' }),
  ...innerAnswers,
  ...bedAnswers('chard', 6),
  maxSpacingMm: maxSpacing(40),
  endOffsetMm: endOffset(3),
  bends,
  /** Corner of the shoulder above the rail, and the crown's centre line above it. */
  shoulderMm: height([0, 2000], ({ survey }) => Math.min(SHOULDER_MM, survey.frameOn.widthMm * 0.3), 'shoulder'),
  crownMm: height(
    [80, 2600],
    ({ survey }) => Math.min(SHOULDER_MM, survey.frameOn.widthMm * 0.3) + survey.frameOn.widthMm * 0.24,
    'height',
    { resets: { bends: { by: 'height' } } },
  ),
  wrapMm: wrap(3 * MM_PER_INCH),
};

export type BentConduitAnswers = ResolvedParameters<typeof bentConduitParameters>;
