import { SHIPPED } from '../catalog/catalog';
import { pricedThings, pricesCsv, readPricesCsv } from './prices';

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

test('a comma for the point, extra columns, a mark at the beginning of the file: all are read', () => {
  expect(readPricesCsv(SHIPPED, '\uFEFFKey;x,Price\r\n')).toMatchObject({ ok: false });
  expect(readPricesCsv(SHIPPED, '\uFEFFkey,note,price\r\npack strap,mine,"3,25"\r\n')).toEqual({
    ok: true,
    value: { 'pack strap': 3.25 },
  });
});
