import fc from 'fast-check';
import { amount, term } from './figure';
import { addedUp, formulaValue, worked } from './formula';

const valueOf = (formula: string, terms: readonly (readonly [string, number])[] = []): number =>
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
] as const)('%s comes to %d', (formula, value) => expect(valueOf(formula)).toBeCloseTo(value, 12));

test('the longest name counts, and a name may hold signs of its own', () => {
  expect(
    valueOf('a = load − load on top', [
      ['load', 5],
      ['load on top', 2],
    ]),
  ).toBe(3);
  expect(valueOf('a = 0.7 Ce Ct I × 2', [['0.7 Ce Ct I', 3]])).toBe(6);
});

test('lengths are kept in mm and angles in degrees, the answer in its own unit', () => {
  const long = term('long', 3000, 'length');
  // 3 m x cos 60 is 1.5 m, kept as 1500 mm; as a depth of snow alike.
  const aslant = { formula: 'x = long × cos(slope)', terms: [long, term('slope', 60, 'angle')] };
  expect(formulaValue({ ...aslant, quantity: 'length' })).toBeCloseTo(1500, 9);
  expect(formulaValue({ formula: 'x = long / 2', quantity: 'snowDepth', terms: [long] })).toBeCloseTo(1500, 9);
  expect(formulaValue({ formula: 'x = long × long', quantity: 'area', terms: [long] })).toBeCloseTo(9, 9);
});

test('a term that its formula does not name is refused by its name: it stands beside the figure', () => {
  const terms = [term('long', 1, 'length'), term('wide', 1, 'length')];
  expect(() => formulaValue({ formula: 'x = 2 × long', quantity: 'length', terms })).toThrow('wide');
});

test('a formula that is read once is worked with each design’s own values', () => {
  const of = (long: number): number =>
    worked({
      label: 'X',
      quantity: 'length',
      formula: 'x = 2 × long',
      terms: [term('long', long, 'length')],
      source: '',
      assumes: [],
    }).value;
  expect([of(1), of(30), of(1)]).toEqual([2, 60, 2]);
});

test.each([
  ['x = 2 +', /missing/],
  ['x = 2 3', /goes on after its end/],
  ['x = max(1; 2', /missing/],
  ['x = two + 2', /is no term/],
  ['x = ()', /missing/],
])('%s is refused with what is wrong', (formula, words) => expect(() => valueOf(formula)).toThrow(words));

test('all terms added up come to their sum', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: -1000, max: 1000 }), { minLength: 1, maxLength: 8 }), (values) => {
      const terms = values.map((value, i) => [`part ${String.fromCharCode(97 + i)}`, value] as const);
      const sum = values.reduce((a, b) => a + b, 0);
      expect(
        valueOf(
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
