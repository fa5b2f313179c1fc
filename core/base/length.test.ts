import fc from 'fast-check';
import { type LengthUnit, formatLength, parseLength } from './length';

/** What is really shown, mm: the nearest 1/16 inch, or the nearest millimetre. Printing and parsing are exact inverses on these. */
const shownMm = (mm: number, unit: LengthUnit): number =>
  unit === 'ftin' || unit === 'in' ? Math.round((mm / 25.4) * 16) * (25.4 / 16) : Math.round(mm);

function mm(text: string, unit: LengthUnit = 'ftin'): number {
  const read = parseLength(text, unit);
  if (!read.ok) throw new Error(`${text}: ${read.faults[0]?.message}`);
  return read.value;
}

describe('parseLength', () => {
  test.each([
    [`5' 6 3/8"`, 'ftin', 66.375 * 25.4],
    // The fraction after the sign, as many write it; and vulgar fractions of any kind.
    [`6" 3/8`, 'ftin', 6.375 * 25.4],
    [`5' 6" 3/8`, 'ftin', 66.375 * 25.4],
    ['6 in 3/8', 'cm', 6.375 * 25.4],
    ['12⅓', 'in', (12 + 1 / 3) * 25.4],
    ['⅙ ft', 'cm', 304.8 / 6],
    ['66 3/8', 'ftin', 66.375 * 25.4],
    ['66-3/8', 'in', 66.375 * 25.4],
    ['5ft6', 'mm', 66 * 25.4],
    ['5 ft 6 in', 'cm', 66 * 25.4],
    ['5’ 6½”', 'ftin', 66.5 * 25.4],
    ["5'", 'ftin', 60 * 25.4],
    ["5'6", 'ftin', 66 * 25.4],
    ['3/8', 'in', 0.375 * 25.4],
    ['.5 in', 'mm', 12.7],
    ['168cm', 'ftin', 1680],
    ['1.68 m', 'ftin', 1680],
    ['1,68 m', 'ftin', 1680],
    ['1 680 mm', 'ftin', 1680],
    ['1 m 68 cm', 'in', 1680],
    ['168', 'cm', 1680],
    ['1680', 'mm', 1680],
    ['-3/8"', 'ftin', -9.525],
    ['−12', 'mm', -12],
  ] as const)('%s in %s', (text, unit, expected) => {
    expect(mm(text, unit)).toBeCloseTo(expected, 9);
  });

  test.each([
    ['', 'Type a length'],
    ['long', 'is not a length'],
    ['5 6', 'number without a unit'],
    ['6" 5\'', 'larger unit first'],
    ['1,680 mm', 'two things'],
    ['3/0', 'not a number'],
    ['5e9 x', 'is not a length'],
    ['3 apples', 'is not a length'],
    ['1'.repeat(80), 'too long'],
  ])('%s is refused and says why', (text, why) => {
    const read = parseLength(text, 'ftin');
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.faults[0]?.message).toContain(why);
  });
});

describe('formatLength', () => {
  test.each([
    [1685.925, 'ftin', `5' 6 3/8"`],
    [1685.925, 'in', `66 3/8"`],
    [304.8, 'ftin', `1' 0"`],
    [0, 'ftin', `0"`],
    [-9.525, 'ftin', `-3/8"`],
    [1685.925, 'cm', '168.6 cm'],
    [-0.2, 'mm', '0 mm'],
  ] as const)('%d in %s', (value, unit, shown) => expect(formatLength(value, unit)).toBe(shown));

  test('parsing and printing are exact inverses at the shown precision', () => {
    const unit = fc.constantFrom<LengthUnit>('ftin', 'in', 'cm', 'mm');
    fc.assert(
      fc.property(fc.double({ min: -20000, max: 20000, noNaN: true }), unit, unit, (x, u, other) => {
        const shown = formatLength(x, u);
        expect(mm(shown, other)).toBeCloseTo(shownMm(x, u), 9);
        expect(formatLength(mm(shown, other), u)).toBe(shown);
      }),
      { numRuns: 2000 },
    );
  });
});
