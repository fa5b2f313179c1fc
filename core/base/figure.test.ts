import { amount, phrase, phraseText } from './figure';

const high = amount(610, 'length');

test('a sentence keeps its amounts apart, and its words together', () => {
  expect(phrase`Stand it ${high} high, ${2} screws ${'an'} end.`).toEqual([
    'Stand it ',
    high,
    ' high, 2 screws an end.',
  ]);
  expect(phrase`${high}`).toEqual([high]);
  expect(phrase``).toEqual([]);
  expect(phrase`none of ${0}${''}`).toEqual(['none of 0']);
  expect(phrase`${high}${high}`).toEqual([high, high]);
});

test('a sentence within a sentence is read as one', () => {
  const each = [1, 2].flatMap((n) => phrase`${n > 1 ? ', ' : ''}H${n} at ${high}`);
  const whole = phrase`Mark ${each}${phrase`, no more`}.`;
  expect(whole).toEqual(['Mark H1 at ', high, ', H2 at ', high, ', no more.']);
  expect(phraseText(whole, { length: 'cm', temperature: 'C', currency: 'EUR' })).toBe(
    'Mark H1 at 61.0 cm, H2 at 61.0 cm, no more.',
  );
});
