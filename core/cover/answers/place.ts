/** Answers that every family asks for: how much of the bed, which crop, where its edge row stands, extra warmth. */
import * as z from 'zod/mini';
import { between, word } from '../../base/schema';
import { amount, phrase } from '../../base/figure';
import { MM_PER_INCH, lengthInBoth } from '../../base/length';
import { fail, ok } from '../../base/result';
import { cropOf } from '../../catalog/catalog';
import { type Parameter, type First, parameter, choice, dimensioned, mapParameter, withinRange } from './parameter';

/** Part of a bed, or all of it. */
const extentSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('whole') }),
  z.strictObject({
    kind: z.literal('part'),
    startMm: between(0, 20000),
    lengthMm: between(300, 20000),
  }),
]);
export type ExtentParameters = z.infer<typeof extentSchema>;

/** Where a cover starts and ends along its bed, mm. */
export type Span = readonly [startMm: number, endMm: number];

/** How much of the bed is covered: its length is typed in the drawing. */
export const extentParameters = mapParameter(
  parameter<ExtentParameters>(
    extentSchema,
    { kind: 'whole' },
    {
      dimensions: {
        coverLength: (valueMm, now, { site }) => {
          const bedMm = site.survey.frameOn.lengthMm;
          if (valueMm > bedMm + 0.5) return fail('coverLength', 'The cover cannot be longer than its bed.');
          if (valueMm < 300) return fail('coverLength', `A cover is at least ${lengthInBoth(300)} long.`);
          if (valueMm > bedMm - 0.5) return ok({ kind: 'whole' });
          const startMm = now.kind === 'part' ? Math.min(now.startMm, bedMm - valueMm) : 0;
          return ok({ kind: 'part', startMm, lengthMm: valueMm });
        },
      },
    },
  ),
  (e, { survey }): Span => (e.kind === 'whole' ? [0, survey.frameOn.lengthMm] : [e.startMm, e.startMm + e.lengthMm]),
);

/** Length of the covered part of a bed, mm. */
export const coveredMm = (extentNow: ExtentParameters, bedLengthMm: number): number =>
  extentNow.kind === 'whole' ? bedLengthMm : extentNow.lengthMm;

/** The first row of the crop, from the wall inside. */
export const rowFromEdge = (firstIn: number) =>
  dimensioned(between(0, 2000), firstIn * MM_PER_INCH, 'rowFromEdge', {
    dimensions: {
      rowFromEdge: (valueMm) =>
        withinRange(
          'rowFromEdge',
          valueMm,
          [0, 2000],
          `The first row stands from nothing to ${lengthInBoth(2000)} from the wall.`,
        ),
    },
  });

/** The crop under the cover. */
export const cropParameter = (first: First<string>) =>
  mapParameter(
    parameter<string>(word(60), first, {
      against: (key, catalog) => (catalog.crop.has(key) ? undefined : 'must be a crop in the list'),
      asking: {
        label: 'Crop',
        show: (value, { site }) => ({
          kind: 'choice',
          value,
          options: [...site.catalog.crop.values()].map((c) => ({
            value: c.key,
            label: c.name,
            why: phrase`Grows ${amount(c.heightMm, 'growth')} high; dies at ${amount(c.killingC, 'temperature')}.`,
          })),
        }),
        read: String,
      },
    }),
    (key, { catalog }) => cropOf(catalog, key),
  );

/** What keeps a covered bed warmer for nothing more than putting it there. */
const warmth = choice(
  'Extra warmth',
  {
    none: ['None', 'Hardened plants under a shut cover.'],
    jugs: ['Jugs of water', 'Take up the day’s sun and give it back at night; they take room.'],
    stones: ['Stones', 'The same, with stones from the garden: they hold half as much for their size.'],
    blanket: ['Blanket at night', 'Laid over the cover on cold nights, taken off every morning for light.'],
    lights: ['Warm string lights', 'Old-style bulbs that give heat; needs an outdoor socket.'],
    straw: ['Straw at the walls', 'Loose straw or hay heaped against the bed’s walls outside.'],
    banked: [
      'Soil at the walls',
      'Earth banked against the walls outside: the frost comes in later, and the wood must be treated.',
    ],
  },
  'none',
);
/** Gardens from before it was asked have none. */
export const extra = warmth;
/** What every cover of a bed asks for beside its own. @param rowIn the first row from the wall, in */
export const bedAnswers = (cropKey: First<string>, rowIn: number) => ({
  crop: cropParameter(cropKey),
  extra,
  extent: extentParameters,
  rowFromEdgeMm: rowFromEdge(rowIn),
});

/** What every family asks for beside its own: what stands under it, and what keeps it warmer. */
export interface OfEveryCover {
  /** Of what is higher on one side: which one. */
  readonly back?: Parameter<'far' | 'near'>;
  readonly crop: ReturnType<typeof cropParameter>;
  readonly rowFromEdgeMm: ReturnType<typeof rowFromEdge>;
  readonly extra: typeof extra;
  /** Of what covers a bed, or a part of it. */
  readonly extent?: typeof extentParameters;
}
export type Extra = 'none' | 'jugs' | 'stones' | 'blanket' | 'lights' | 'straw' | 'banked';
