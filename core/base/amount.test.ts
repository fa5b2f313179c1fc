import {
  type Preferences,
  currencyDecimals,
  formatAmount,
  formatFully,
  formatMoney,
  roundMoney,
  unitOf,
  unitRead,
} from './amount';

const IMPERIAL: Preferences = { length: 'ftin', temperature: 'F', currency: 'USD' };
const METRIC: Preferences = { length: 'mm', temperature: 'C', currency: 'EUR' };

test.each([
  [1000, 'length', `3' 3 3/8"`, '1000 mm'],
  [1000, 'snowDepth', `3' 3"`, '1000 mm'],
  [5000, 'snowDepth', `more than 6' 0"`, 'more than 2000 mm'],
  [3.456, 'times', '3.46', '3.46'],
  [31, 'times', 'more than 10', 'more than 10'],
  // 22.05 lb; 11.24 lb; 1363 lb.
  [10, 'mass', '22 lb', '10 kg'],
  [1.26, 'mass', '2.8 lb', '1.3 kg'],
  [50, 'force', '11 lb', '50 N'],
  [6063, 'force', '1400 lb', '6100 N'],
  [-30, 'force', '−6.7 lb', '−30 N'],
  // 7' 3 1/8" of film is cut as 7' 4", 2213 mm as 2220.
  [2213, 'film', `7' 4"`, '2220 mm'],
  [2540, 'film', `8' 4"`, '2540 mm'],
  [168, 'snowDepth', '6 1/2"', '160 mm'],
  [2000, 'pressure', '41.8 lb/sq ft', '2.00 kPa'],
  [-12, 'temperature', '10 °F', '−12 °C'],
  [10, 'warming', '18 °F', '10 °C'],
  [1, 'area', '10.8 sq ft', '1.00 m²'],
  [4.6, 'hours', '4.5 h', '4.5 h'],
  [5, 'hours', '5 h', '5 h'],
  [-0.2, 'count', '0', '0'],
  [12.5, 'money', '$12.50', '€12.50'],
  [0.00012345, 'plain', '0.0001234', '0.0001234'],
  [NaN, 'force', '–', '–'],
] as const)('%d as %s', (value, quantity, imperial, metric) => {
  expect(formatAmount(value, quantity, IMPERIAL)).toBe(imperial);
  expect(formatAmount(value, quantity, METRIC)).toBe(metric);
});

test('ten of the unit that is read is ten', () => {
  const ten = (quantity: 'growth' | 'snowDepth' | 'mass' | 'hours', p: Preferences): string =>
    formatAmount(10 * unitRead(quantity, p), quantity, p);
  expect([ten('growth', IMPERIAL), ten('snowDepth', IMPERIAL), ten('mass', IMPERIAL)]).toEqual(['10"', '10"', '10 lb']);
  expect([ten('growth', METRIC), ten('mass', METRIC), ten('hours', IMPERIAL)]).toEqual(['10 mm', '10 kg', '10 h']);
});

test('money has the decimals of its currency', () => {
  expect(formatMoney(1234.5, 'JPY')).toBe('¥1,235');
  expect(currencyDecimals('JPY')).toBe(0);
  expect(roundMoney(1.005, 'USD')).toBe(1.01);
  expect(roundMoney(12.4, 'JPY')).toBe(12);
});

test('asked why, a number is told as finely as it is reckoned', () => {
  expect(formatFully(6063, 'force', IMPERIAL)).toBe('1363 lb');
  expect(formatFully(2213, 'film', METRIC)).toBe('2213 mm');
  // Tenths of a pound up to twenty: 4.44822 N are one.
  expect([-30, 88.5, 89].map((n) => formatFully(n, 'force', IMPERIAL))).toEqual(['−6.7 lb', '19.9 lb', '20 lb']);
  expect(formatFully(168, 'snowDepth', IMPERIAL)).toBe('6 5/8"');
});

test('what is typed in a unit is kept as it was meant: 60 mph, 33 lb, 40 lb on a square foot, worked by hand', () => {
  const inches = { length: 'ftin', temperature: 'F', currency: 'USD' } as const;
  const metric = { length: 'cm', temperature: 'C', currency: 'EUR' } as const;
  // 1609.344 m in a mile: 60 x 1609.344 / 3600; .45359 kg in a pound; 40 lb x 4.44822 N / .092903 m2.
  expect(60 / unitOf('speed', inches).per).toBeCloseTo((60 * 1609.344) / 3600, 3);
  expect(33 / unitOf('mass', inches).per).toBeCloseTo(33 * 0.45359237, 3);
  expect(40 / unitOf('pressure', inches).per).toBeCloseTo((40 * 4.44822) / 0.09290304, 1);
  expect(1.5 / unitOf('pressure', metric).per).toBeCloseTo(1500, 9);
  // A foot is 0.3048 m.
  expect(1000 / unitOf('elevation', inches).per).toBeCloseTo(304.8, 9);
  expect(unitOf('elevation', metric).per).toBe(1);
  // A field and a sentence read alike.
  for (const [quantity, value] of [
    ['speed', 30],
    ['mass', 10],
  ] as const)
    for (const p of [inches, metric]) expect(formatAmount(value, quantity, p)).toContain(unitOf(quantity, p).sign);
});

test('what is measured by eye is no finer than an eye: to the inch, or to half a centimetre', () => {
  const said = (mm: number, length: 'in' | 'mm') =>
    formatAmount(mm, 'byEye', { length, temperature: 'C', currency: 'EUR' });
  // 250 mm is 9.84 in, 75 mm is 2.95 in, 1 ft is 304.8 mm.
  expect([250, 75, 304.8].map((mm) => said(mm, 'in'))).toEqual(['10"', '3"', '12"']);
  expect([250, 75, 304.8].map((mm) => said(mm, 'mm'))).toEqual(['250 mm', '75 mm', '305 mm']);
});

test('what comes from a coil is said in whole feet or in tenths of a meter, never less than is needed', () => {
  const said = (m: number, length: 'in' | 'mm') =>
    formatAmount(m, 'coil', { length, temperature: 'C', currency: 'EUR' });
  // 3 m are 9.84 ft; 50 ft are 15.24 m exactly, and stay 50.
  expect([3, 15.24].map((m) => said(m, 'in'))).toEqual(['10 ft', '50 ft']);
  expect([3, 2.41, 15].map((m) => said(m, 'mm'))).toEqual(['3 m', '2.5 m', '15 m']);
});
