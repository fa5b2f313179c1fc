/**
 * An answer, declared once: what may be said, what is said first, how it is asked, and what a typed dimension or a mend makes
 * of it. The schema, the first answers, the questions and the setters of a family all come from its declarations.
 */
import * as z from 'zod/mini';
import { between, whole } from '../../base/schema';
import type { Phrase } from '../../base/figure';
import { type Result, fail, ok } from '../../base/result';
import type { Catalog } from '../../catalog/catalog';
import { roundLength } from '../../catalog/market';
import type { BuildSite } from '../../site/buildSite';
import type { Assembly } from '../assembly/types';

export interface Option {
  readonly value: string;
  readonly label: string;
  /** The reason of this school, shown where it is chosen. */
  readonly why: string | Phrase;
}

/** What a side panel asks; whatever has a place in a drawing is a dimension instead. */
export type Question = (
  | { readonly kind: 'choice'; readonly value: string; readonly options: readonly Option[] }
  | { readonly kind: 'count'; readonly value: number; readonly min: number; readonly max: number }
  | { readonly kind: 'length'; readonly valueMm: number }
) & {
  readonly id: string;
  readonly label: string;
  /** Which leaf of the bench asks it; the shape's when not said. */
  readonly leaf?: 'skin';
};

type WithoutId<Q> = Q extends Question ? Omit<Q, 'id' | 'label' | 'leaf'> : never;

/** A change that would mend a failed check; each answer says what it makes of the kinds that mean something to it. */
export type AnswerChange =
  | { readonly kind: 'hoops'; readonly count: number }
  | { readonly kind: 'pipe'; readonly key: string }
  | { readonly kind: 'ridge'; readonly value: 'tied' | 'posted' }
  | { readonly kind: 'ties'; readonly count: number }
  | { readonly kind: 'rod'; readonly key: string }
  | { readonly kind: 'higher'; readonly byMm: number }
  /** Posts deeper in the ground. */
  | { readonly kind: 'deeper'; readonly toMm: number }
  | { readonly kind: 'roll'; readonly key: string | null }
  /** A stouter board for the bars that carry. */
  | { readonly kind: 'bar'; readonly key: string }
  /** Any question's answer, where the family asks it. */
  | { readonly kind: 'answer'; readonly id: string; readonly value: string | number };
type ChangeOf<K extends AnswerChange['kind']> = Extract<AnswerChange, { readonly kind: K }>;

/** Answers of one family, as plain data; its schema has checked them. */
export type Answers = Readonly<Record<string, unknown>>;

/** Where an answer is given: the place, what the answers so far have built (where they have built anything), and those answers. */
export interface At {
  readonly site: BuildSite;
  readonly assembly: Assembly | undefined;
}
export interface AtAnswers extends At {
  readonly answers: Answers;
}

// Written as methods, so that answers of any kind stand in one record.
type Typed<V> = { typed(valueMm: number, value: V, at: AtAnswers): Result<V> }['typed'];
type Changed<V, K extends AnswerChange['kind']> = {
  changed(change: ChangeOf<K>, value: V, at: AtAnswers): V | undefined;
}['changed'];

/** How an answer is asked in a panel. */
export interface Asking<V> {
  /** The question's id, where it is not the answer's own. */
  readonly id?: string;
  readonly label: string;
  readonly leaf?: 'skin';
  /** Asked only while these other answers are so; any of a list will do. */
  readonly when?: Readonly<Record<string, unknown>>;
  show(value: V, at: AtAnswers): WithoutId<Question>;
  /** What is said in a panel as a value; the schema has the last word on it. */
  read(said: string | number, value: V, at: AtAnswers): unknown;
}

/** One answer of a family: kept in the garden as V, handed to the assembly as C. */
export interface Parameter<V = unknown, C = unknown> {
  readonly schema: z.ZodMiniType<V>;
  first(site: BuildSite): V;
  chosen(value: V, site: BuildSite): C;
  /** What the catalogue in hand has against a value. */
  against(value: V, catalog: Catalog): string | undefined;
  readonly asking: Asking<V> | undefined;
  /** Dimensions of the drawing that set it. */
  readonly dimensions: Readonly<Record<string, Typed<V>>>;
  readonly changes: { readonly [K in AnswerChange['kind']]?: Changed<V, K> };
  /** Other answers that go back to these when this one is changed. */
  readonly resets: Answers;
}

/** What a declaration may say beside its value. */
export type Extras<V, C> = Partial<Omit<Parameter<V, C>, 'schema' | 'first' | 'chosen'>>;

/** A first answer that is the same everywhere, or depends on the place. */
export type First<V> = V | ((site: BuildSite) => V);
/** The first answer, brought into the range of its schema where a bed asks for more or less than that. */
const firstOf =
  <V>(schema: z.ZodMiniType<V>, first: First<V>): ((site: BuildSite) => V) =>
  (site) => {
    const wanted = typeof first === 'function' ? (first as (site: BuildSite) => V)(site) : first;
    const beyond = typeof wanted === 'number' ? schema.safeParse(wanted).error?.issues[0] : undefined;
    if (beyond?.code === 'too_big') return Number(beyond.maximum) as V;
    return beyond?.code === 'too_small' ? (Number(beyond.minimum) as V) : wanted;
  };

/** A first length as a builder of the place would say it; what is not said yet stays so. */
export const roundedForMarket =
  <V extends number | null>(first: First<V>): First<V> =>
  (site) => {
    const mm = typeof first === 'function' ? first(site) : first;
    return (mm === null ? mm : roundLength(mm, site.market)) as V;
  };

/** An answer that is handed on as it is kept. */
export function parameter<V>(schema: z.ZodMiniType<V>, first: First<V>, more: Extras<V, V> = {}): Parameter<V, V> {
  return {
    schema,
    first: firstOf(schema, first),
    chosen: (value) => value,
    against: () => undefined,
    asking: undefined,
    dimensions: {},
    changes: {},
    resets: {},
    ...more,
  };
}

/** The same answer, handed on as something its site makes of it. */
export function mapParameter<V, C>(a: Parameter<V, V>, chosen: (value: V, site: BuildSite) => C): Parameter<V, C> {
  return { ...a, chosen };
}

type Where = Pick<Asking<unknown>, 'leaf' | 'when'>;

/** Words of options in their order: what each is called and why one would take it. */
export type ParameterWords<K extends string> = Readonly<Record<K, readonly [label: string, why: string | Phrase]>>;

/**
 * One of several, each with its reason.
 * @example choice('Feet', { rods: ['Over rods', 'Stands upright.'], soil: ['In the soil', 'Nothing to buy.'] }, 'rods').asking.label // "Feet"
 */
export function choice<K extends string>(
  label: string,
  words: ParameterWords<K>,
  first: First<NoInfer<K>>,
  { leaf, when, ...more }: Where & Extras<NoInfer<K>, NoInfer<K>> = {},
): Parameter<K, K> {
  const keys = Object.keys(words) as [K, ...K[]];
  return parameter<K>(z.enum(keys) as unknown as z.ZodMiniType<K>, first, {
    asking: {
      label,
      ...(leaf && { leaf }),
      ...(when && { when }),
      show: (value) => ({
        kind: 'choice',
        value,
        options: keys.map((key) => ({ value: key, label: words[key][0], why: words[key][1] })),
      }),
      read: String,
    },
    ...more,
  });
}

/** A whole number, asked with a stepper. */
export function countParameter(
  label: string,
  [min, max]: readonly [number, number],
  first: First<number>,
  { leaf, when, ...more }: Where & Extras<number, number> = {},
): Parameter<number, number> {
  return parameter(whole(min, max), first, {
    asking: {
      label,
      ...(leaf && { leaf }),
      ...(when && { when }),
      show: (value) => ({ kind: 'count', value, min, max }),
      read: (said) => Math.round(Number(said)),
    },
    ...more,
  });
}

/**
 * A whole number that follows from the design until it is said.
 * @param now how many there are while it is not said
 */
export function countOrAuto(
  label: string,
  [min, max]: readonly [number, number],
  now: (assembly: Assembly | undefined, answers: Answers) => number,
  { leaf, when, ...more }: Where & Extras<number | null, number | null> = {},
): Parameter<number | null, number | null> {
  return parameter<number | null>(z.nullable(whole(min, max)), null, {
    asking: {
      label,
      ...(leaf && { leaf }),
      ...(when && { when }),
      show: (value, { assembly, answers }) => ({ kind: 'count', value: value ?? now(assembly, answers), min, max }),
      read: (said) => Math.round(Number(said)),
    },
    ...more,
  });
}

/** A length that has no place in the drawing, mm. */
export function length(
  label: string,
  [min, max]: readonly [number, number],
  first: First<number>,
  { leaf, when, ...more }: Where & Extras<number, number> = {},
): Parameter<number, number> {
  return parameter(between(min, max), roundedForMarket(first), {
    asking: {
      label,
      ...(leaf && { leaf }),
      ...(when && { when }),
      show: (valueMm) => ({ kind: 'length', valueMm }),
      read: Number,
    },
    ...more,
  });
}

/** A length that is typed in the drawing and nowhere else, mm; null: as the design has it. */
export function dimensioned<V extends number | null>(
  schema: z.ZodMiniType<V>,
  first: First<V>,
  dimension: string,
  more: Extras<V, V> = {},
): Parameter<V, V> {
  return parameter<V>(schema, roundedForMarket(first), {
    dimensions: { [dimension]: (valueMm) => ok(valueMm as V) },
    ...more,
  });
}

/** A height between limits, mm, that is typed in the drawing, and that a mend may raise. */
export const height = (
  [low, high]: readonly [number, number],
  first: First<number>,
  dimension: string,
  more: Extras<number, number> = {},
): Parameter<number, number> =>
  dimensioned<number>(between(low, high), first, dimension, {
    changes: { higher: ({ byMm }, value) => value + byMm },
    ...more,
  });

/** The same answer, asked only while other answers are so. */
export const askedWhen = <T extends { readonly asking: object | undefined }>(
  answer: T,
  when: Readonly<Record<string, unknown>>,
): T => ({ ...answer, asking: answer.asking && { ...answer.asking, when } });

/** Limits of a typed dimension, said in words where it is outside them. */
export function withinRange(
  id: string,
  valueMm: number,
  [low, high]: readonly [number, number],
  words: string,
): Result<number> {
  return valueMm < low || valueMm > high ? fail(id, words) : ok(valueMm);
}

/** Answers by name. */
export type Declared = Readonly<Record<string, Parameter>>;
/** What an assembly is given of them. */
export type ResolvedParameters<D> = { readonly [K in keyof D]: D[K] extends Parameter<unknown, infer C> ? C : never };
