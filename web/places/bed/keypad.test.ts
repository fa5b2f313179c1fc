import fc from 'fast-check';
import { MM_PER_INCH } from '../../../core/base/length';
import { EMPTY, type Key, PAD_UNITS, type PadUnit, fraction, inUnit, pressed, shownAs, valueOf } from './keypad';

const keys = (unit: PadUnit, ...list: readonly (Key | string)[]) =>
  list.reduce<typeof EMPTY>(
    (d, k) => pressed(d, typeof k === 'string' && /^\d$/.test(k) ? { digit: k } : (k as Key), unit),
    EMPTY,
  );

test('ten feet eight and three eighths, pressed key by key', () => {
  const d = keys('ftin', '1', '0', { to: 'inches' }, '8', { sixteenths: 6 });
  expect(shownAs(d, 'ftin')).toBe(`10' 8 3/8"`);
  expect(valueOf(d, 'ftin')).toBeCloseTo(128.375 * MM_PER_INCH, 9);
  // Back takes the part of an inch first, then its inches, then the feet.
  const back = ['back', 'back', 'back', 'back'] as const;
  expect(
    shownAs(
      back.slice(0, 1).reduce((x, k) => pressed(x, k, 'ftin'), d),
      'ftin',
    ),
  ).toBe(`10' 8"`);
  expect(
    valueOf(
      back.reduce((x, k) => pressed(x, k, 'ftin'), d),
      'ftin',
    ),
  ).toBeUndefined();
});

test('inches alone, centimetres with a point, millimetres without', () => {
  expect(valueOf(keys('in', '6', '6', { sixteenths: 1 }), 'in')).toBeCloseTo(66.0625 * MM_PER_INCH, 9);
  expect(valueOf(keys('cm', '1', '6', '8', 'point', '5'), 'cm')).toBe(1685);
  expect(valueOf(keys('cm', 'point', '5', 'point', '2'), 'cm')).toBeCloseTo(5.2, 9);
  expect(valueOf(keys('mm', '1', '6', 'point', '8'), 'mm')).toBe(168);
  expect(valueOf(EMPTY, 'cm')).toBeUndefined();
});

test('nothing that is pressed breaks it', () => {
  const key = fc.oneof(
    fc.integer({ min: 0, max: 9 }).map((n): Key => ({ digit: String(n) })),
    fc.integer({ min: 0, max: 15 }).map((n): Key => ({ sixteenths: n })),
    fc.constantFrom<Key>({ to: 'feet' }, { to: 'inches' }, 'point', 'back'),
  );
  fc.assert(
    fc.property(fc.array(key, { maxLength: 30 }), fc.constantFrom<PadUnit>(...PAD_UNITS), (list, unit) => {
      const d = keys(unit, ...list);
      const value = valueOf(d, unit);
      expect(value === undefined || (Number.isFinite(value) && value >= 0)).toBe(true);
      expect(shownAs(d, unit)).not.toContain('NaN');
    }),
  );
  expect([0, 1, 2, 4, 6, 8, 12].map(fraction)).toEqual(['', '1/16', '1/8', '1/4', '3/8', '1/2', '3/4']);
});

test('a unit pressed after its figure leaves the figure as it was pressed', () => {
  const d = keys('ftin', '1', '6', '8');
  expect(valueOf(inUnit(d, 'cm'), 'cm')).toBe(1680);
  expect(valueOf(inUnit(d, 'mm'), 'mm')).toBe(168);
  expect(valueOf(inUnit(inUnit(d, 'in'), 'ftin'), 'ftin')).toBeCloseTo(168 * 12 * MM_PER_INCH, 9);
  expect(valueOf(keys('m', '1', 'point', '6', '8'), 'm')).toBeCloseTo(1680, 9);
  // A part of an inch means nothing in centimetres.
  expect(valueOf(inUnit(keys('in', '6', { sixteenths: 8 }), 'cm'), 'cm')).toBe(60);
  for (const unit of PAD_UNITS) expect(valueOf(inUnit(EMPTY, unit), unit)).toBeUndefined();
});
