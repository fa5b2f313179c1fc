import { csvText } from './cells';
import { SHIPPED } from '../catalog/catalog';
import { pricedThings, pricesCsv, readPrice, readPricesCsv } from './prices';

test('every priced thing stands once, with a shipped price', () => {
  const things = pricedThings(SHIPPED);
  expect(new Set(things.map((t) => t.key)).size).toBe(things.length);
  expect(things.length).toBeGreaterThan(200);
  expect(things.every((t) => t.shipped > 0)).toBe(true);
});

test('a list goes to a file and comes back the same', () => {
  const prices = { 'pack strap': 3.2, 'bar 2x4 3658': 11.75, 'roll film-uv 10x25 ft': 0 };
  expect(readPricesCsv(SHIPPED, pricesCsv(SHIPPED, prices))).toEqual({ ok: true, value: prices });
  expect(readPricesCsv(SHIPPED, pricesCsv(SHIPPED, {}))).toEqual({ ok: true, value: {} });
  expect(pricesCsv(SHIPPED, {})).not.toMatch(/(^|,)[=+@-]/m);
});

test.each([
  ['key,price\r\npack strap,abc', 'line 2, price', 'must be a number'],
  ['key,price\r\npack strap,3\r\npack gold,4', 'line 3, key', 'nothing in the catalogue'],
  ['key,price\r\npack strap,-1', 'line 2, price', 'must be a number'],
  ['key,price\r\npack strap,1\r\npack strap,2', 'line 3, key', 'twice'],
  ['thing,price\r\nstrap,1', 'line 1, key', 'no column'],
  ['key\r\npack strap', 'line 1, price', 'no column'],
])('a bad row is named by line and column, and nothing is taken: %j', (text, field, message) => {
  const read = readPricesCsv(SHIPPED, text);
  expect(read).toMatchObject({ ok: false, faults: [{ field, message: expect.stringContaining(message) as string }] });
});

test.each([
  ['12', 12],
  ['12.5', 12.5],
  ['12,50', 12.5],
  ['1,234.50', 1234.5],
  ['1.234,50', 1234.5],
  ["1'234'567", 1234567],
  ['1 234', 1234],
  // Three digits behind one mark are thousands or decimals: nobody guesses.
  ['1,234', undefined],
  ['1.234', undefined],
  ['0x10', NaN],
  ['1e3', NaN],
  ['-3', NaN],
  ['12,34,5', NaN],
  ['', NaN],
])('a price written %j is %s', (said, price) => expect(readPrice(said)).toBe(price));

test('what can be two prices is settled by the other prices of its list, or asked; a list too long is refused at once', () => {
  const list = (...prices: readonly string[]) =>
    readPricesCsv(
      SHIPPED,
      ['key,price', ...prices.map((p, i) => `${['pack strap', 'pack hinge', 'pack latch'][i] ?? ''},"${p}"`)].join(
        '\n',
      ),
    );
  expect(list('1,234', '3.25')).toMatchObject({ value: { 'pack strap': 1234 } });
  expect(list('1.234', '3,25')).toMatchObject({ value: { 'pack strap': 1234 } });
  expect(list('1,234')).toEqual({
    ok: false,
    faults: [{ field: 'line 2, price', message: '"1,234" can be two prices: write 1234 or 1.23' }],
  });
  expect(readPricesCsv(SHIPPED, `key,price\n${'nothing,x\n'.repeat(30_000)}`)).toMatchObject({
    faults: [{ field: 'file' }],
  });
});

test('a cell that a spreadsheet would take for a formula is quoted, whatever stands before its sign', () => {
  for (const cell of ['=1+1', ' =1', '\u00a0+1', '\uff1d1', '\t@x', '-2'])
    expect(csvText(['a'], [[cell]])).toContain(`'${cell}`);
  expect(csvText(['a'], [['plain = not'], [-2]])).toBe('a\r\nplain = not\r\n-2\r\n');
});

test('a comma for the point, extra columns, a mark at the beginning of the file: all are read', () => {
  expect(readPricesCsv(SHIPPED, '\uFEFFKey;x,Price\r\n')).toMatchObject({ ok: false });
  expect(readPricesCsv(SHIPPED, '\uFEFFkey,note,price\r\npack strap,mine,"3,25"\r\n')).toEqual({
    ok: true,
    value: { 'pack strap': 3.25 },
  });
});
