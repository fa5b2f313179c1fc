import fc from 'fast-check';
import { amount } from './figure';
import { addedUp, formulaValue } from './formula';

const worked = (formula: string, terms: readonly (readonly [string, number])[] = []): number =>
  formulaValue({
    formula,
    quantity: 'plain',
    terms: terms.map(([name, value]) => ({ name, ...amount(value, 'plain') })),
  });

test.each([
  ['x = 2 + 3 × 4', 14],
  ['x = (2 + 3) × 4', 20],
  ['x = 2 − 3 − 4', -5],
  ['x = 12 / 3 / 2', 2],
  ['x = −3² ', 9],
  ['x = 2 × 3²', 18],
  ['x = √(2³ + 1)', 3],
  ['x = ∛(27)', 3],
  ['x = max(0; 2 − 5)', 0],
  ['x = min(4; 2; 9)', 2],
  ['x = sin(0) + cos(0)', 1],
  ['x = 1.5 × 2', 3],
  ['x = 1.375 × 8', 11],
] as const)('%s comes to %d', (formula, value) => expect(worked(formula)).toBeCloseTo(value, 12));

test('the longest name counts, and a name may hold signs of its own', () => {
  expect(
    worked('a = load − load on top', [
      ['load', 5],
      ['load on top', 2],
    ]),
  ).toBe(3);
  expect(worked('a = 0.7 Ce Ct I × 2', [['0.7 Ce Ct I', 3]])).toBe(6);
});

test('lengths are kept in mm and angles in degrees, the answer in its own unit', () => {
  const terms = [
    { name: 'long', ...amount(3000, 'length') },
    { name: 'slope', ...amount(60, 'angle') },
  ];
  // 3 m x cos 60 is 1.5 m, kept as 1500 mm; as a depth of snow alike.
  expect(formulaValue({ formula: 'x = long × cos(slope)', quantity: 'length', terms })).toBeCloseTo(1500, 9);
  expect(formulaValue({ formula: 'x = long / 2', quantity: 'snowDepth', terms })).toBeCloseTo(1500, 9);
  expect(formulaValue({ formula: 'x = long × long', quantity: 'area', terms })).toBeCloseTo(9, 9);
});

test.each([
  ['x = 2 +', /missing/],
  ['x = 2 3', /goes on after its end/],
  ['x = max(1; 2', /missing/],
  ['x = two + 2', /is no term/],
  ['x = ()', /missing/],
])('%s is refused with what is wrong', (formula, words) => expect(() => worked(formula)).toThrow(words));

test('all terms added up come to their sum', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: -1000, max: 1000 }), { minLength: 1, maxLength: 8 }), (values) => {
      const terms = values.map((value, i) => [`part ${String.fromCharCode(97 + i)}`, value] as const);
      const sum = values.reduce((a, b) => a + b, 0);
      expect(
        worked(
          addedUp(
            'x',
            terms.map(([name]) => ({ name })),
          ),
          terms,
        ),
      ).toBeCloseTo(sum, 9);
    }),
  );
});
