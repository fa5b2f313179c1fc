/** Answers about covering, hanging and holding down that several families ask in the same words. */
import { amount, phrase } from '../../base/figure';
import { between } from '../../base/schema';
import type { Assembly, HardwareUse } from '../assembly/types';
import { MM_PER_INCH } from '../../base/length';
import { ok } from '../../base/result';
import type { SheetRun } from '../assembly/sheetRun';
import {
  type Answers,
  type First,
  type ParameterWords,
  parameter,
  choice,
  countParameter,
  countOrAuto,
  roundedForMarket,
  length,
} from './parameter';
import { board } from './bars';
import { some } from './hoops';

const ENDS = {
  gathered: ['Gathered', 'Pulled together and weighted: tight against wind.'],
  folded: ['Folded', 'Folded down like a parcel: nothing leaks, and less to cut.'],
  flap: ['Flaps', 'Separate flaps that lift for air and for reaching in.'],
  plywood: ['Plywood', 'Firm ends with vents, cut to the true curve of the hoop.'],
} as const satisfies ParameterWords<string>;
/** How the ends are closed. */
export const ends = <S extends keyof typeof ENDS>(schools: readonly S[], first: S) =>
  choice<S>('Ends', some<keyof typeof ENDS, S>(ENDS, schools), first, { leaf: 'skin' });

const EDGES = {
  ground: ['On the ground', 'Over the wall and down its outside; a skirt lies on the ground under weights.'],
  inside: [
    'Inside the wall',
    'Tucked down inside and weighted on the soil: the least sheet, and rain runs into the bed.',
  ],
  'one-open': [
    'Near side open',
    'The near edge ends on the hoops, clipped to every one: open to air and hand all season, for shade and rain.',
  ],
  'one-battened': [
    'Far side battened',
    'Fastened to the wall on the far side; the near side is lifted, and lies on the ground.',
  ],
  battened: ['Both sides battened', 'Fastened to the wall on both sides: tight in wind; opened at the ends.'],
  stapled: ['Both sides stapled', 'Quick, and film tears at the staples in wind.'],
} as const satisfies ParameterWords<string>;
export type SheetEdges = keyof typeof EDGES;

/** Where the long edges of each end. */
export const FOLDS: Readonly<Record<SheetEdges, SheetRun['folds']>> = {
  ground: ['ground', 'ground'],
  inside: ['inside', 'inside'],
  'one-open': ['hoop', 'ground'],
  'one-battened': ['ground', 'wall'],
  battened: ['wall', 'wall'],
  stapled: ['wall', 'wall'],
};

/** Where the long edges of a loose sheet end, and how much of it lies there. */
export function looseEdges<S extends SheetEdges>(schools: readonly S[], firstIn: number) {
  const first = 'ground' as S;
  return {
    edges: choice<S>('Long edges', some<SheetEdges, S>(EDGES, schools), first, { leaf: 'skin' }),
    skirtMm: length('Skirt each side', [50, 800], firstIn * MM_PER_INCH, {
      leaf: 'skin',
      when: { edges: ['ground', 'inside', 'one-open', 'one-battened'] },
      dimensions: { skirt: (valueMm) => ok(valueMm) },
    }),
  };
}

/** Whether what the film lies on is kept from cutting it. */
export const edge = (label: string, when?: Readonly<Record<string, unknown>>) =>
  choice(
    label,
    {
      guarded: ['Guarded', 'Rounded, padded or taped: film lives its years.'],
      bare: ['Bare', 'Cuts through the film within a season.'],
    },
    'guarded',
    { leaf: 'skin', ...(when && { when }) },
  );

const FIRM = {
  'plywood-1/4': ['1/4 plywood', 'Light; enough for a low cover.'],
  'plywood-3/8': ['3/8 plywood', 'Holds screws better.'],
  'plywood-1/2': ['1/2 plywood', 'Stiff and heavy.'],
  'twin-wall-6': ['Twin-wall', 'Lets the light in, weighs little, and needs no paint.'],
} as const satisfies ParameterWords<string>;
/** Firm ends cut to the curve: what of, and how they are vented; asked where the ends are firm. */
export const rigidEndsParameter = <S extends keyof typeof FIRM>(
  label: string,
  sheets: readonly S[],
  first: NoInfer<S>,
) => ({
  plywood: choice<S>(label, some<keyof typeof FIRM, S>(FIRM, sheets), first, { when: { ends: 'plywood' } }),
  vents: choice(
    'Vents in the ends',
    {
      vents: ['One each end', 'Warm air leaves high up without opening the cover.'],
      louvres: ['Thermostat louvres', 'One low, one high: they open and shut by themselves.'],
      none: ['None', 'Warmer at night, and nothing to forget open.'],
    },
    'vents',
    { when: { ends: 'plywood' } },
  ),
  edge: edge('Edge of the ends', { ends: 'plywood' }),
});

const FIXINGS = {
  battens: ['Battens', 'Screwed strips hold film all along.'],
  channel: ['Channel and wire', 'Fast to open each spring; the dearest.'],
  clips: ['Clips', 'Soft-sleeved clips on every hoop: off in a minute.'],
  staples: ['Staples alone', 'Quick, and they tear out in wind.'],
} as const satisfies ParameterWords<string>;
/** What the cover is fastened with along its long sides. */
export const fixing = <S extends keyof typeof FIXINGS>(schools: readonly S[], first: S) =>
  choice<S>('Fastened with', some<keyof typeof FIXINGS, S>(FIXINGS, schools), first, { leaf: 'skin' });

/** Whether PVC is kept from the film that touches it. */
export const paint = choice(
  'PVC against film',
  {
    paint: ['Painted', 'Exterior paint where they touch lets the film live its years.'],
    tape: [
      'Taped',
      'White tape along the outer face: quick, and renewed each few years. Foam sleeves slip and crumble.',
    ],
    none: ['Bare', 'Costs nothing now; the film may go in a year or two.'],
  },
  'paint',
  { leaf: 'skin' },
);

/** What lies on a skirt. */
export const skirtUnder = choice(
  'Skirt under',
  {
    bags: [
      'Bags',
      phrase`Sandbags of ${amount(5, 'mass')}, one every ${amount(1000, 'byEye')}: they leak after a summer of sun, so turn or renew them.`,
    ],
    bricks: ['Bricks', 'Two for each bag; their edges cut film that flaps.'],
    boards: ['Boards', 'Laid end to end on the skirt: no gap anywhere, and quick to lift.'],
    rods: ['Steel rods', 'Rolled once into the edge: neat, and heavy for their size.'],
  },
  'bags',
  { leaf: 'skin' },
);
export type SkirtUnder = 'bags' | 'bricks' | 'boards' | 'rods';

/** Where a loose sheet is clipped. */
export const clippedParameter = choice(
  'Clips',
  {
    ends: ['On the end hoops', 'Enough for a curved sheet that its weights pull tight.'],
    every: ['On every hoop', 'Nothing flaps between hoops; a minute more at each when you open it.'],
  },
  'ends',
  { leaf: 'skin' },
);

/** What keeps a flat sheet from working loose between its edges. */
export function divided<S extends 'battens' | 'rope' | 'none'>(
  label: string,
  schools: readonly S[],
  first: S,
  when?: Readonly<Record<string, unknown>>,
) {
  const all = {
    battens: ['Battens over it', 'A strip screwed over the film on every one: it cannot lift.'],
    rope: ['Rope over it', 'Laced over in every bay: quick, and no holes; tightened now and then.'],
    none: ['Nothing', 'Only for small sides: wind makes a sail of a large one.'],
  } as const satisfies ParameterWords<string>;
  return choice<S>(label, some<keyof typeof all, S>(all, schools), first, { leaf: 'skin', ...(when && { when }) });
}

/** What a batten, a channel or a fold takes up of the sheet along each side. */
export const wrap = (firstMm: number, most = 150) => parameter<number>(between(25, most), roundedForMarket(firstMm));

/** How many people the part that moves is lifted by. */
export function people(first: First<'1' | '2'> = '1') {
  return choice(
    'Lifted by',
    {
      '1': ['One person', phrase`About ${amount(15, 'mass')} at the most.`],
      '2': ['Two people', phrase`About ${amount(30, 'mass')} at the most.`],
    },
    first,
  );
}

/** How many of a counted thing an assembly uses. */
function countOf(hardware: readonly HardwareUse[], itemKey: string): number {
  return hardware.filter((h) => h.itemKey === itemKey).reduce((sum, h) => sum + h.count, 0);
}

const lidsIn = (answers: Answers): number => Number(answers['lids'] ?? 1);
const eachLid =
  (itemKey: string) =>
  (built: Assembly | undefined, answers: Answers): number =>
    countOf(built?.hardware ?? [], itemKey) / lidsIn(answers);

/** Latches on each lid; null: one, or two where it is windy. */
export const latches = (label: string, most: number) => countOrAuto(label, [0, most], eachLid('latch'));
/** Stays on each lid; null: as its length asks for. */
export const stays = (label: string, most: number) => countOrAuto(label, [0, most], eachLid('stay'));

/** How each of a row of lids is kept shut and open, and by how many it is lifted. @param one what a lid is called */
export const eachHeld = (one: string) => ({
  latches: latches(`Latches on each ${one}`, 8),
  stays: stays(`Stays on each ${one}`, 8),
  people: people(),
});

/** Hold-downs that the footing counts under the answer's own name; null: as the size asks for. */
export const holdDowns = (id: string, label: string, most: number, leaf?: 'skin') =>
  countOrAuto(
    label,
    [0, most],
    (built) => built?.footing.holdDowns.find((h) => h.ask === id)?.count ?? 0,
    leaf ? { leaf } : {},
  );

/** The frame of a lid, and bars between its stiles; null: as many as the sheet's joints ask for. */
export const lidFrame = (first: First<string>, firstBars: number | null, when?: Readonly<Record<string, unknown>>) => ({
  lidFrame: board('Lid frame', ['1x3', '2x2', '2x3', '2x4', '45x45 mm', '45x70 mm'], first, {
    ...(when && { when }),
    changes: { bar: ({ key }) => key },
  }),
  bars: {
    ...countOrAuto('Bars between the stiles', [0, 12], (built) => built?.spans[0]?.asked?.now ?? 0, {
      ...(when && { when }),
    }),
    first: () => firstBars,
  },
});

/** Which side is the high one. */
export const back = choice(
  'High side',
  {
    far: ['Far side', 'The lid leans towards you; right where the noon sun is on your side.'],
    near: ['Near side', 'The lid leans away from you.'],
  },
  'far',
);

/** How a lid is opened for air. */
export const airing = (first: 'prop' | 'opener') => ({
  airing: choice(
    'Airing',
    {
      prop: ['By hand', 'A stay holds the lid; somebody must be there.'],
      opener: ['Wax opener', 'Opens by itself when it is warm inside.'],
    },
    first,
  ),
  openers: countParameter('Openers on each lid', [1, 4], 1, { when: { airing: 'opener' } }),
});

/** Old glass, with or without a film that holds it together. */
export const safety = choice(
  'Glass',
  {
    film: ['Safety film', 'Broken glass hangs together over bed and child.'],
    none: ['As it is', 'Only where nobody falls on it.'],
  },
  'film',
  { when: { glazing: 'old-window' } },
);
