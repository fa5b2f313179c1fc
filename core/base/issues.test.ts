import * as z from 'zod/mini';
import { amount, phraseText } from './figure';
import { issueFaults } from './issues';
import { messageOf } from './result';
import { CROPS, crop } from '../catalog/crops';

const schema = z.strictObject({
  lengthMm: z.number().check(z.gte(100), z.lte(5000)),
  count: z.number().check(z.int(), z.gte(2)),
  name: z.string().check(z.minLength(1), z.maxLength(5)),
  list: z.array(z.strictObject({ heightMm: z.number() })),
});
const faults = (value: object) => {
  const read = schema.safeParse({ lengthMm: 200, count: 3, name: 'a', list: [], ...value });
  return read.success ? [] : issueFaults(read.error.issues);
};

test.each([
  [{ lengthMm: 5 }, 'lengthMm', 'must be at least 100 mm (3.9 in)'],
  [{ lengthMm: 6000 }, 'lengthMm', 'must be at most 5000 mm (196.9 in)'],
  [{ count: 1 }, 'count', 'must be at least 2'],
  [{ count: 2 ** 60 }, 'count', 'must be at most 9007199254740991'],
  [{ name: '' }, 'name', 'must not be empty'],
  [{ name: 'longer' }, 'name', 'must be at most 5 characters long'],
  [{ list: [{ heightMm: 1 }, { heightMm: 'x' }] }, 'list[1].heightMm', 'must be a number, not text'],
  [{ other: 1 }, 'file', 'holds what is not known here: "other"'],
])('%j', (value, field, message) => expect(faults(value)).toEqual([{ field, message }]));

test('a sentence keeps its numbers until it is read, in the reader’s own units', () => {
  const phrase = ['Snow of ', amount(152.4, 'length'), ' weighs ', amount(588, 'pressure'), '.'];
  expect(phraseText(phrase, { length: 'ftin', temperature: 'C', currency: 'USD' })).toBe(
    'Snow of 6" weighs 12.3 lb/sq ft.',
  );
  expect(phraseText(phrase, { length: 'cm', temperature: 'C', currency: 'USD' })).toBe(
    'Snow of 15.2 cm weighs 0.59 kPa.',
  );
});

test('whatever is thrown has something to say', () => {
  expect(messageOf(new Error('broken'))).toBe('broken');
  expect(messageOf('text')).toBe('it cannot be read');
  expect(messageOf(null)).toBe('it cannot be read');
});

test('crops have a height, a killing temperature and a key of their own', () => {
  expect(new Set(CROPS.map((c) => c.key)).size).toBe(CROPS.length);
  for (const c of CROPS) {
    expect(c.heightMm).toBeGreaterThan(50);
    expect(c.killingC).toBeGreaterThan(-20);
    expect(c.killingC).toBeLessThan(2);
    expect(crop(c.key)).toBe(c);
  }
  expect(crop('corn-salad')).toMatchObject({ name: 'corn salad', killingC: -15, heightMm: 150, insects: 'no' });
  expect(() => crop('weeds')).toThrow('No crop');
});

test('more than and at least are told apart, and what a file holds is shown no longer than it can be read', () => {
  const shape = z.object({
    a: z.number().check(z.positive()),
    b: z.number().check(z.int(), z.gte(2)),
    c: z.record(z.string(), z.number().check(z.lt(3))),
  });
  const faults = (value: unknown): readonly string[] => {
    const read = shape.safeParse(value);
    return read.success ? [] : issueFaults(read.error.issues).map((f) => `${f.field}: ${f.message}`);
  };
  expect(faults({ a: 0, b: 1, c: { x: 3 } })).toEqual([
    'a: must be more than 0',
    'b: must be at least 2',
    'c.x: must be less than 3',
  ]);
  expect(faults({ a: Infinity, b: 2, c: {} })[0]).toMatch(/^a: .*Infinity$/);
  const [long = ''] = faults({ a: 1, b: 2, c: { ['x'.repeat(1e6)]: 9 } });
  expect(long.length).toBeLessThan(400);
});
