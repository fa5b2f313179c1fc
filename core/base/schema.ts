/** What fields of a file are most often: numbers between bounds and words of so many letters. */
import * as z from 'zod/mini';

/** A number from `low` to `high`, both included. */
export const between = (low: number, high: number) => z.number().check(z.gte(low), z.lte(high));

/** A whole number from `low` to `high`, both included. */
export const whole = (low: number, high: number) => z.number().check(z.int(), z.gte(low), z.lte(high));

/** A number over nothing, up to `most`. */
export const upTo = (most: number) => z.number().check(z.positive(), z.lte(most));

/** Text of at most so many characters, which may be empty. */
export const text = (most: number) => z.string().check(z.maxLength(most));

/** No sign that does not print, and no half of one. */
const plain = z.refine<string>((s) => !/[\p{Cc}\p{Cs}]/u.test(s), 'must be plain letters, digits and signs');

/** A word that must be there, of at most so many characters. */
export const word = (most: number) => z.string().check(z.minLength(1), z.maxLength(most), plain);

/** A name that must be there, of at most so many characters; blanks round it do not count. */
export const named = (most: number) => z.string().check(z.trim(), z.minLength(1), z.maxLength(most));

/** The schema of a list's entries, where a schema is a list, with or without a first value. */
export function entriesOf(schema: z.ZodMiniType): z.ZodMiniType | undefined {
  const list = schema instanceof z.ZodMiniDefault ? schema.def.innerType : schema;
  return list instanceof z.ZodMiniArray ? (list.def.element as z.ZodMiniType) : undefined;
}
