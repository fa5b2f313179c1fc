import { z } from 'zod';
import { HOOP_SCHOOLS, type HoopShape, extentSchema, hoopAnswers } from '../assembly/hoops';
import type { Assembly } from '../assembly/types';
import { COVERS, type CoverMaterial, coverMaterial, lifeText } from '../catalog/covers';
import { section } from '../catalog/sections';
import { amount } from '../figure';
import { type Result, fail, ok } from '../result';
import { CROPS } from '../season/crops';
import type { Change, Option, Question } from './family';

/** How many bags or bricks lie on a loose sheet; null: as many as its length asks for. */
export const weightsAnswer = z.number().int().min(0).max(200).nullable().default(null);

/** What keeps a covered bed warmer for nothing more than putting it there. */
export const EXTRAS = ['none', 'jugs', 'stones', 'blanket', 'lights', 'straw'] as const;
export type Extra = (typeof EXTRAS)[number];

/** Answers that every family asks for: how much of the bed, which crop, where its edge row stands. */
export const placeAnswers = {
  extent: extentSchema,
  crop: z.string().refine((key) => CROPS.some((c) => c.key === key), 'must be a crop in the list'),
  rowFromEdgeMm: z.number().min(0).max(2000),
  /** Extra warmth put inside; none when not said. */
  extra: z.enum(EXTRAS).optional(),
} as const;
export type PlaceAnswers = z.infer<z.ZodObject<typeof placeAnswers>>;

/** What a second layer may be. */
const INNER = ['fabric-19', 'fabric-30', 'fabric-50', 'film-uv'] as const;

/** Answers that every hoop family asks for. */
export const sharedAnswers = {
  ...hoopAnswers,
  ...placeAnswers,
  cover: z
    .string()
    .refine((key) => (COVERS.find(key)?.rolls.length ?? 0) > 0 && key !== 'mesh', 'must be a cover off a roll'),
  /** null: the cheapest roll that fits. */
  roll: z.string().nullable(),
  /** A second layer inside, and the air between; null: none. */
  inner: z.enum(INNER).nullable().default(null),
  innerGapMm: z.number().min(20).max(400).default(100),
} as const;

export type SharedAnswers = z.infer<z.ZodObject<typeof sharedAnswers>>;

const PIPE_WHY: Readonly<Record<string, string>> = {
  'pvc-1/2': 'Cheap and springs easily; the weakest under snow.',
  'pvc-3/4': 'Twice as stiff as 1/2 and still bends by hand over a wide bed.',
  'pvc-1': 'Stands snow better; hard to bend over a narrow bed.',
  'pvc-20': 'Cheap metric conduit; springs easily.',
  'pvc-25': 'Stiffer metric conduit for wider beds.',
  'pvc-32': 'The stoutest metric conduit; stands snow better.',
  'pe-25': 'Soft tube that never cracks in the cold; carries little.',
};

const ROLL_CHEAPEST: Option = { value: '', label: 'Cheapest', why: 'The cheapest roll that the sheet fits on.' };

/** A choice between named options, each with its reason. */
export function choice(
  id: string,
  label: string,
  value: string,
  options: readonly (readonly [value: string, label: string, why: string])[],
  leaf?: 'skin',
): Question {
  return {
    kind: 'choice',
    id,
    label,
    value,
    options: options.map(([v, l, why]) => ({ value: v, label: l, why })),
    ...(leaf && { leaf }),
  };
}

/** Whether PVC is painted where film touches it. */
export function paintQuestion(value: string): Question {
  return choice(
    'paint',
    'PVC against film',
    value,
    [
      ['paint', 'Painted', 'Exterior paint where they touch lets the film live its years.'],
      [
        'tape',
        'Taped',
        'White tape along the outer face: quick, and renewed each few years. Foam sleeves slip and crumble.',
      ],
      ['none', 'Bare', 'Costs nothing now; the film may go in a year or two.'],
    ],
    'skin',
  );
}

/** What the wood near the soil is. */
export function woodQuestion(value: string): Question {
  return choice('wood', 'Wood', value, [
    ['treated', 'Treated', 'Lasts where it touches soil; modern treatment only near food.'],
    ['untreated', 'Untreated', 'Cheaper and lighter; keep it off the soil.'],
  ]);
}

/** How many people the part that moves is lifted by. */
export function peopleQuestion(value: string): Question {
  return choice('people', 'Lifted by', value, [
    ['1', 'One person', 'About 15 kg at the most.'],
    ['2', 'Two people', 'About 30 kg at the most.'],
  ]);
}

/** How many weights lie on a loose sheet. */
export function weightsQuestion(built: Assembly | undefined): Question {
  const count = built?.hardware.find((h) => h.itemKey === 'sandbag')?.count ?? 0;
  return { kind: 'count', id: 'weights', label: 'Weights', value: count, min: 0, max: 200, leaf: 'skin' };
}

/** A second layer inside the first, for deep winter. */
export function innerQuestions(a: Pick<SharedAnswers, 'inner' | 'innerGapMm'>): readonly Question[] {
  return [
    choice(
      'inner',
      'Second layer',
      a.inner ?? '',
      [
        ['', 'None', 'Enough for spring and autumn.'],
        ['fabric-19', 'Light fabric', 'A degree more, and little light lost.'],
        ['fabric-30', 'Fabric', 'Film over fabric: two degrees more on the coldest nights.'],
        ['fabric-50', 'Heavy fabric', 'Most frost help, least light.'],
        ['film-uv', 'Film', 'Two films with air between; air both on sunny days.'],
      ],
      'skin',
    ),
    ...(a.inner === null
      ? []
      : [{ kind: 'length', id: 'innerGapMm', label: 'Air between', valueMm: a.innerGapMm, leaf: 'skin' } as const]),
  ];
}

/** The questions of pipe, height, cover, roll and crop, in the order gardeners settle them. */
export function pipeQuestion(a: SharedAnswers): Question {
  return {
    kind: 'choice',
    id: 'pipe',
    label: 'Hoops',
    value: a.pipe,
    options: Object.entries(PIPE_WHY).map(([value, why]) => ({ value, label: section(value).name, why })),
  };
}

export function schoolQuestion(a: SharedAnswers, without: readonly HoopShape['by'][] = []): Question {
  const options = HOOP_SCHOOLS.filter((s) => !without.includes(s.value));
  return { kind: 'choice', id: 'school', label: 'Height', value: a.shape.by, options };
}

export function countQuestion(a: SharedAnswers, built: Assembly | undefined): Question {
  return {
    kind: 'count',
    id: 'hoops',
    label: 'How many',
    value: a.hoops ?? built?.arches[0]?.tags.length ?? 2,
    min: 2,
    max: 80,
  };
}

export function coverQuestions(
  a: Pick<SharedAnswers, 'cover' | 'roll'>,
  fits: (c: CoverMaterial) => boolean = () => true,
): readonly Question[] {
  const covers: Option[] = [...COVERS.all().values()]
    .filter((c) => c.rolls.length > 0 && c.kind !== 'mesh' && fits(c))
    .map((c) => ({
      value: c.key,
      label: c.name,
      why: `Lets ${Math.round(c.light * 100)} % of the light in; lasts ${lifeText(c)}.`,
    }));
  const rolls: Option[] = coverMaterial(a.cover).rolls.map((r) => ({
    value: r.key,
    label: r.key.slice(a.cover.length + 1),
    why: 'This roll and no other.',
  }));
  return [
    { kind: 'choice', id: 'cover', label: 'Cover', value: a.cover, options: covers, leaf: 'skin' },
    {
      kind: 'choice',
      id: 'roll',
      label: 'Roll',
      value: a.roll ?? '',
      options: [ROLL_CHEAPEST, ...rolls],
      leaf: 'skin',
    },
  ];
}

export function cropQuestion(a: Pick<PlaceAnswers, 'crop'>): Question {
  return {
    kind: 'choice',
    id: 'crop',
    label: 'Crop',
    value: a.crop,
    options: CROPS.map((c) => ({
      value: c.key,
      label: c.name,
      why: ['Grows ', amount(c.heightMm, 'length'), ' high; dies at ', amount(c.killingC, 'temperature'), '.'],
    })),
  };
}

function currentHoop(built: Assembly | undefined): { readonly heightMm: number; readonly cutMm: number } {
  const arch = built?.arches[0];
  return arch
    ? { heightMm: arch.footZMm + arch.hoop.heightMm - arch.baseZMm, cutMm: arch.cutMm }
    : { heightMm: 600, cutMm: 1800 };
}

/** The answers of a family without hoops to its count of bars and the change of its spacing. */
export function barsBySpacing(runMm: number, spacingMm: number): Result<number> {
  if (spacingMm < 150 || spacingMm > 2500) return fail('spacing', 'They stand from 150 mm (6 in) to 2.5 m apart.');
  return ok(Math.max(1, Math.round(runMm / spacingMm)) + 1);
}

/** Sets the answers that every hoop family shares; undefined when the id is the family's own. */
export function answerShared<A extends SharedAnswers>(
  a: A,
  id: string,
  value: string | number,
  built: Assembly | undefined,
): A | undefined {
  switch (id) {
    case 'pipe':
    case 'crop':
      return { ...a, [id]: String(value) };
    case 'cover':
      return { ...a, cover: String(value), roll: null };
    case 'roll':
    case 'inner':
      return { ...a, [id]: value === '' ? null : String(value) };
    case 'hoops':
      return { ...a, hoops: Math.round(Number(value)) };
    case 'school': {
      const by = String(value) as HoopShape['by'];
      const now = currentHoop(built);
      const shape: HoopShape =
        by === 'length' ? { by, lengthMm: now.cutMm } : by === 'height' ? { by, heightMm: now.heightMm } : { by };
      return { ...a, shape };
    }
    default:
      return undefined;
  }
}

/** Sets the dimensions that every family has; undefined when the id is the family's own. */
export function dimensionPlace<A extends PlaceAnswers>(
  a: A,
  id: string,
  valueMm: number,
  bedLengthMm: number,
): Result<A> | undefined {
  switch (id) {
    case 'rowFromEdge':
      if (valueMm < 0 || valueMm > 2000) return fail(id, 'The first row stands from nothing to 2 m from the wall.');
      return ok({ ...a, rowFromEdgeMm: valueMm });
    case 'coverLength': {
      if (valueMm > bedLengthMm + 0.5) return fail(id, 'The cover cannot be longer than its bed.');
      if (valueMm < 300) return fail(id, 'A cover is at least 300 mm (12 in) long.');
      if (valueMm > bedLengthMm - 0.5) return ok({ ...a, extent: { kind: 'whole' } });
      const startMm = a.extent.kind === 'part' ? Math.min(a.extent.startMm, bedLengthMm - valueMm) : 0;
      return ok({ ...a, extent: { kind: 'part', startMm, lengthMm: valueMm } });
    }
    default:
      return undefined;
  }
}

/** Sets the dimensions that every hoop family shares; undefined when the id is the family's own. */
export function dimensionShared<A extends SharedAnswers>(
  a: A,
  id: string,
  valueMm: number,
  bedLengthMm: number,
): Result<A> | undefined {
  switch (id) {
    case 'pipeLength':
      return ok({ ...a, shape: { by: 'length', lengthMm: valueMm } });
    case 'height':
      return ok({ ...a, shape: { by: 'height', heightMm: valueMm } });
    case 'endOffset':
      if (valueMm < 0 || valueMm > 1000) return fail(id, 'The end offset is from nothing to 1 m.');
      return ok({ ...a, endOffsetMm: valueMm });
    case 'spacing': {
      if (valueMm < 150 || valueMm > 2500) return fail(id, 'Hoops stand from 150 mm (6 in) to 2.5 m apart.');
      const whole = a.extent.kind === 'whole' ? bedLengthMm : a.extent.lengthMm;
      const bays = Math.max(1, Math.round((whole - 2 * a.endOffsetMm) / valueMm));
      return ok({ ...a, hoops: bays + 1 });
    }
    default:
      return dimensionPlace(a, id, valueMm, bedLengthMm);
  }
}

/** Carries out the changes that mean the same in every hoop family. */
export function changeShared<A extends SharedAnswers>(a: A, change: Change, built: Assembly): A | undefined {
  switch (change.kind) {
    case 'hoops':
      return { ...a, hoops: change.count };
    case 'pipe':
      return { ...a, pipe: change.key };
    case 'roll':
      return { ...a, roll: change.key };
    case 'higher':
      return { ...a, shape: { by: 'height', heightMm: currentHoop(built).heightMm + change.byMm } };
    case 'ridge':
    default:
      return undefined;
  }
}
