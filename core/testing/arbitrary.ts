/** Values that a Zod schema lets through, drawn at random: whatever a file may hold, the core must stand. */
import fc from 'fast-check';
import type * as z from 'zod/mini';
import { ENTRY_KINDS, SHIPPED } from '../catalog/catalog';
import { CROPS } from '../catalog/crops';

type Any = fc.Arbitrary<unknown>;
/** What the walk needs to see of a schema; every kind of schema has some of it. */
interface Def {
  readonly type: string;
  readonly innerType?: z.ZodMiniType;
  readonly element?: z.ZodMiniType;
  readonly shape?: Readonly<Record<string, z.ZodMiniType>>;
  readonly options?: readonly z.ZodMiniType[];
  readonly values?: readonly unknown[];
  readonly entries?: Readonly<Record<string, unknown>>;
  readonly valueType?: z.ZodMiniType;
  readonly defaultValue?: unknown;
}
const defOf = (schema: z.ZodMiniType): Def => schema.def as unknown as Def;

function numberOf(schema: z.ZodMiniNumber): Any {
  const { minimum, maximum, exclusiveMinimum, exclusiveMaximum, format } = schema._zod.bag;
  const [low, high] = [
    Math.max(minimum ?? exclusiveMinimum ?? -1e6, -1e6),
    Math.min(maximum ?? exclusiveMaximum ?? 1e6, 1e6),
  ];
  if (format === 'safeint') return fc.integer({ min: Math.ceil(low), max: Math.floor(high) });
  // `positive` leaves its own bound out.
  const min = schema.safeParse(low).success ? low : low + 1e-3;
  const max = schema.safeParse(high).success ? high : high - 1e-3;
  return fc.oneof(
    { weight: 1, arbitrary: fc.constantFrom(min, max) },
    { weight: 6, arbitrary: fc.double({ min, max, noNaN: true }) },
  );
}

/** Words that mean something to a garden, and words that mean too much to JavaScript. */
const WORDS: readonly string[] = [
  ...ENTRY_KINDS.flatMap((kind) => [...SHIPPED[kind].keys()]),
  ...CROPS.map((c) => c.key),
  ...['2027-03-01', '04-15', 'USD', 'constructor', '__proto__', 'toString', 'a', 'b', 'x'.repeat(40)],
];

function textOf(schema: z.ZodMiniType): Any {
  const known = WORDS.filter((word) => schema.safeParse(word).success);
  const free = fc.string({ maxLength: 12 }).map((text) => (schema.safeParse(text).success ? text : (known[0] ?? '')));
  return fc.oneof({ weight: 4, arbitrary: fc.constantFrom(...known) }, { weight: 1, arbitrary: free });
}

/**
 * Draws what a schema lets through; what it refuses for reasons that cannot be read off it is drawn again.
 * @throws where a schema is of a kind that is not known here
 */
export function drawn(schema: z.ZodMiniType): Any {
  const def = defOf(schema);
  switch (def.type) {
    case 'number':
      return numberOf(schema as z.ZodMiniNumber);
    case 'boolean':
      return fc.boolean();
    case 'string':
      return textOf(schema);
    case 'literal':
      return fc.constantFrom(...(def.values ?? []));
    case 'enum':
      return fc.constantFrom(...Object.values(def.entries ?? {}));
    case 'null':
      return fc.constant(null);
    case 'nullable':
      return fc.option(drawn(inner(def)), { freq: 3 });
    case 'optional':
      return fc.option(drawn(inner(def)), { nil: undefined });
    case 'default':
    case 'prefault':
      return fc.oneof(fc.constant(def.defaultValue), drawn(inner(def)));
    case 'array':
      return fc.array(drawn(def.element as z.ZodMiniType), { maxLength: 4 });
    case 'record':
      return fc.dictionary(fc.string({ minLength: 1, maxLength: 12 }), drawn(def.valueType as z.ZodMiniType), {
        maxKeys: 4,
      });
    case 'object':
      return fc.record(Object.fromEntries(Object.entries(def.shape ?? {}).map(([key, s]) => [key, drawn(s)])));
    case 'union':
      return fc.oneof(...(def.options ?? []).map(drawn));
    default:
      throw new Error(`No way to draw a ${def.type}`);
  }
}
const inner = (def: Def): z.ZodMiniType => def.innerType as z.ZodMiniType;

/** Answers near the first ones: a few drawn anew, so that most of them still stand on their bed. */
export function near(
  schema: z.ZodMiniType,
  first: Readonly<Record<string, unknown>>,
): fc.Arbitrary<Record<string, unknown>> {
  const all = drawn(schema) as fc.Arbitrary<Record<string, unknown>>;
  const keys = Object.keys(first);
  return fc
    .tuple(all, fc.subarray(keys, { minLength: 0, maxLength: Math.min(keys.length, 5) }))
    .map(([more, take]) => ({ ...first, ...Object.fromEntries(take.map((key) => [key, more[key]])) }))
    .filter((answers) => schema.safeParse(answers).success);
}

const value = fc.oneof(
  fc.integer({ min: 0, max: 3 }),
  fc.constantFrom('a', 'b'),
  fc.array(fc.integer({ max: 3 }), { maxLength: 2 }),
);
const entry = fc.record({
  id: fc.constantFrom('x', 'y', 'z', 'w'),
  n: value,
  o: fc.record({ p: value, q: value }, { requiredKeys: [] }),
});
/** Small gardens of any kind: lists with ids, objects, values. */
export const smallTree = fc.record({
  list: fc.uniqueArray(entry, { maxLength: 4, selector: (e) => e.id }),
  o: fc.dictionary(fc.constantFrom('k', 'l', 'm'), value),
});
