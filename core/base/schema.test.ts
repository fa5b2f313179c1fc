import * as z from 'zod/mini';
import { between, entriesOf, named, text, upTo, whole, word } from './schema';

const takes = (schema: z.ZodMiniType, values: readonly unknown[]): readonly boolean[] =>
  values.map((v) => schema.safeParse(v).success);

test('numbers between two, both included; whole ones only where that is said; nothing that is no number', () => {
  expect(takes(between(1, 2), [0.999, 1, 1.5, 2, 2.001])).toEqual([false, true, true, true, false]);
  expect(takes(between(1, 2), [NaN, Infinity, '1', null])).toEqual([false, false, false, false]);
  expect(takes(whole(1, 3), [0, 1, 1.5, 3, 4])).toEqual([false, true, false, true, false]);
  expect(takes(upTo(3), [-1, 0, 0.001, 3, 3.001])).toEqual([false, false, true, true, false]);
});

test('text of so many characters, which may be empty; a word may not', () => {
  expect(takes(text(3), ['', 'abc', 'abcd', 3])).toEqual([true, true, false, false]);
  expect(takes(word(3), ['', 'a', 'abc', 'abcd'])).toEqual([false, true, true, false]);
  expect(takes(named(3), ['', '  ', ' abc ', 'abcd'])).toEqual([false, false, true, false]);
  expect(named(3).parse(' abc ')).toBe('abc');
});

test('the entries of a list, also of one with a first value; of anything else none', () => {
  const entry = z.object({ a: between(1, 2) });
  expect(entriesOf(z.array(entry))).toBe(entry);
  expect(entriesOf(z._default(z.array(entry), []))).toBe(entry);
  expect(entriesOf(entry)).toBeUndefined();
  expect(entriesOf(z._default(between(1, 2), 1))).toBeUndefined();
});
