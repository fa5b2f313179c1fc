import fc from 'fast-check';
import { distinctNames, idToText, textToId } from './ids';

test.each([
  ['winter-lid', 'winter-lid'],
  ['a/b', 'a~2fb'],
  ['..', '~2e~2e'],
  ['a b', 'a~20b'],
  ['a~b', 'a~7eb'],
  // U+00E9 is two bytes in UTF-8.
  ['é', '~c3~a9'],
  ['a%2Fb', 'a~252Fb'],
])('%s is written %s', (id, text) => {
  expect(idToText(id)).toBe(text);
  expect(textToId(text)).toBe(id);
});

test('any id comes back, and goes through an address unchanged', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 40 }), (id) => {
      const text = idToText(id);
      expect(textToId(text)).toBe(id);
      expect(new URL(`http://x/g/${text}/plot`).pathname).toBe(`/g/${text}/plot`);
    }),
  );
});

test('names on a disk that does not tell capitals apart', () => {
  expect(distinctNames(['Lid', 'lid', 'LID', 'lid-2', 'a/b', 'a b'])).toEqual([
    'Lid',
    'lid-2',
    'LID-3',
    'lid-2-2',
    'a~2fb',
    'a~20b',
  ]);
});
