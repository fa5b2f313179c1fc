/** Answers that every row of sprung hoops asks for. */
import * as z from 'zod/mini';
import { between } from '../../base/schema';
import { MM_PER_INCH, lengthInBoth } from '../../base/length';
import { type Result, fail, ok } from '../../base/result';
import type { Assembly } from '../assembly/types';
import {
  type Asking,
  type AtAnswers,
  type First,
  type ParameterWords,
  parameter,
  choice,
  countParameter,
  countOrAuto,
  dimensioned,
  roundedForMarket,
  withinRange,
} from './parameter';
import { tube } from './bars';
import { type ExtentParameters, coveredMm } from './place';

/** How the height of a hoop is settled: the schools of the trade. */
const hoopShapeSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('half-circle') }),
  z.strictObject({ by: z.literal('over-half') }),
  z.strictObject({ by: z.literal('stock') }),
  z.strictObject({ by: z.literal('half') }),
  z.strictObject({ by: z.literal('length'), lengthMm: between(100, 20000) }),
  z.strictObject({ by: z.literal('height'), heightMm: between(50, 6000) }),
  z.strictObject({ by: z.literal('sheet') }),
]);
export type HoopShape = z.infer<typeof hoopShapeSchema>;

const SCHOOLS: ParameterWords<HoopShape['by']> = {
  'half-circle': [
    'Half circle',
    'Pipe as long as a true half circle: easy to reckon, and the sprung shape is close to it.',
  ],
  'over-half': [
    'Over half a circle',
    'A tenth more pipe than half a circle: more room at the edges, and the sides stand up straight.',
  ],
  length: ['My cut', 'You say how long the pipe is cut; the height follows.'],
  height: ['My height', 'You say how high the crown stands; the cut follows.'],
  stock: ['Whole pipe', 'A whole pipe from the shop with no cut at all.'],
  half: ['Half a pipe', 'Two hoops out of one pipe, cut on its middle line: each half a saw’s width shorter.'],
  sheet: ['Sheet sets it', 'As high as the chosen roll still covers with its skirts.'],
};

/** Height and cut of the hoop as it stands now, to start from when the school changes. */
function currentHoop(built: Assembly | undefined): { readonly heightMm: number; readonly cutMm: number } {
  const arch = built?.arches[0];
  return arch
    ? { heightMm: arch.footZMm + arch.hoop.heightMm - arch.baseZMm, cutMm: arch.cutMm }
    : { heightMm: 600, cutMm: 1800 };
}

/** How high the hoops stand: a school in the panel, a cut or a height typed in the drawing. */
export function hoopShape(
  without: readonly HoopShape['by'][] = [],
  raisedBySidewall = false,
  when?: Asking<HoopShape>['when'],
) {
  return parameter<HoopShape>(
    hoopShapeSchema,
    { by: 'half-circle' },
    {
      asking: {
        id: 'school',
        label: 'Height',
        ...(when && { when }),
        show: (value) => ({
          kind: 'choice',
          value: value.by,
          options: (Object.keys(SCHOOLS) as HoopShape['by'][])
            .filter((by) => !without.includes(by))
            .map((by) => ({ value: by, label: SCHOOLS[by][0], why: SCHOOLS[by][1] })),
        }),
        read: (said, _, { assembly }) => {
          const now = currentHoop(assembly);
          return said === 'length'
            ? { by: said, lengthMm: now.cutMm }
            : said === 'height'
              ? { by: said, heightMm: now.heightMm }
              : { by: String(said) };
        },
      },
      dimensions: {
        pipeLength: (lengthMm) => ok({ by: 'length', lengthMm }),
        height: (heightMm) => ok({ by: 'height', heightMm }),
      },
      changes: raisedBySidewall
        ? {}
        : {
            higher: ({ byMm }, _, { assembly }) => ({ by: 'height', heightMm: currentHoop(assembly).heightMm + byMm }),
          },
    },
  );
}

/** How many stand at a typed distance over a run, ends included. */
export function countBySpacing(runMm: number, spacingMm: number, what: string): Result<number> {
  const spaced = withinRange(
    'spacing',
    spacingMm,
    [150, 2500],
    `${what} stand from ${lengthInBoth(150)} to ${lengthInBoth(2500)} apart.`,
  );
  return spaced.ok ? ok(Math.max(1, Math.round(runMm / spacingMm)) + 1) : spaced;
}

const covered = ({ answers, site }: AtAnswers): number =>
  coveredMm(answers['extent'] as ExtentParameters, site.survey.frameOn.lengthMm);

/** Their number by the distance typed between them. @param what they are, as the fault says it @param runMm over what; all that is covered when not said */
export const bySpacing = (what: string, runMm: (at: AtAnswers) => number = covered) => ({
  dimensions: {
    spacing: (spacingMm: number, _: unknown, at: AtAnswers) => countBySpacing(runMm(at), spacingMm, what),
  },
});

/** How many hoops; null: as many as the widest spacing asks for. */
export function hoopCount(label: string, most: number, run?: (answers: Readonly<Record<string, unknown>>) => number) {
  return countOrAuto(label, [2, most], (built) => built?.arches[0]?.xsMm.length ?? 2, {
    ...bySpacing('Hoops', (at) => run?.(at.answers) ?? covered(at) - 2 * Number(at.answers['endOffsetMm'])),
    changes: { hoops: (change) => change.count },
  });
}

/** The widest that hoops stand apart while their number is not said. */
export const maxSpacing = (firstIn: number, [min, max]: readonly [number, number] = [200, 2000]) =>
  parameter<number>(between(min, max), roundedForMarket(firstIn * MM_PER_INCH));

/** From the end of the cover to its first hoop. */
export const endOffset = (firstIn: number) =>
  dimensioned<number>(between(0, 1000), firstIn * MM_PER_INCH, 'endOffset', {
    dimensions: {
      endOffset: (valueMm) =>
        withinRange('endOffset', valueMm, [0, 1000], `The end offset is from nothing to ${lengthInBoth(1000)}.`),
    },
  });

const PIPE_WHY: Readonly<Record<string, string>> = {
  'pvc-1/2': 'Cheap and springs easily; the weakest under snow.',
  'pvc-3/4': 'Twice as stiff as 1/2 and still bends by hand over a wide bed.',
  'pvc-1': 'Stands snow better; hard to bend over a narrow bed.',
  'pvc-20': 'Cheap metric conduit; springs easily.',
  'pvc-25': 'Stiffer metric conduit for wider beds.',
  'pvc-32': 'The stoutest metric conduit; stands snow better.',
  'pe-25': 'Soft tube that never cracks in the cold; carries little.',
};

/** The pipe that is sprung to hoops. */
export const hoopPipe = (first: First<string>) =>
  tube('Hoops', PIPE_WHY, first, { changes: { pipe: (change) => change.key } });

const RIDGES = {
  none: ['None', 'Lightest, and enough for two or three hoops; hoops may lean.'],
  rope: ['Rope', 'Tied hoop to hoop; weighs and costs next to nothing.'],
  pipe: ['Pipe', 'Tied under the crowns with crossed ties; shares load between hoops.'],
  'pipe-bolted': ['Pipe, bolted', 'U-bolts round every crown: holds for years, and costs more.'],
  timber: ['2x2 under', 'Screwed through every crown; keeps hoops true.'],
  'timber-tied': ['2x2 tied', 'A timber under the crowns with crossed ties: no screw near the cover.'],
  posted: ['On posts', 'A board on posts at both ends carries snow itself.'],
} as const satisfies ParameterWords<string>;
export type RidgeSchool = keyof typeof RIDGES;

/** Words of some of a list, in the list's order. */
export function some<K extends string, S extends K>(all: ParameterWords<K>, keys: readonly S[]): ParameterWords<S> {
  return Object.fromEntries(
    (Object.keys(all) as K[]).filter((k) => keys.includes(k as S)).map((k) => [k, all[k]]),
  ) as ParameterWords<S>;
}

/** The ridge under the crowns; `tied` is what a mend takes that only ties them. */
export function ridge<S extends RidgeSchool>(schools: readonly S[], first: S, tied: S) {
  return choice<S>('Ridge', some<RidgeSchool, S>(RIDGES, schools), first, {
    changes: {
      ridge: ({ value }) => {
        if (value === 'tied') return tied;
        return schools.find((s) => s === 'posted');
      },
    },
  });
}

/** Ties across a frame: one fewer than its rails have parts that stay straight by themselves, mm; none where every rail does. */
export const crossTies = (untiedMm = Infinity) =>
  countParameter(
    'Cross ties',
    [0, 12],
    ({ survey }) => Math.max(0, Math.ceil(survey.frameOn.lengthMm / untiedMm) - 1),
    {
      changes: { ties: (change) => change.count },
    },
  );

/** A typed distance between feet that must stay inside the bed; null: as wide as the bed allows. */
export const footSpan = (range: readonly [number, number], what: string, first: First<number | null> = null) =>
  parameter<number | null>(z.nullable(between(range[0], range[1])), first, {
    dimensions: {
      span: (valueMm, _, { site }) =>
        // As wide as the bed is still inside it, however its inches come out in millimetres.
        valueMm > site.bed.inside.widthMm + 0.5
          ? fail('span', `The ${what} would stand outside the bed: make the span smaller than the bed inside.`)
          : ok(valueMm),
    },
  });
