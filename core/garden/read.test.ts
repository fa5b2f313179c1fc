import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import * as z from 'zod/mini';
import { familyOf } from '../cover/families';
import { demoGarden, demoSite } from './demo';
import { type Garden, checkEdit, checkGarden, gardenSchema } from './garden';
import { MAX_FILE_CHARS, readGarden, readGardenFile } from './read';
import { NOTHING_SAID } from '../site/brief';
import { writeGarden } from './write';

function faultOf(text: string): string {
  const read = readGarden(text);
  if (read.ok) throw new Error('was read');
  return `${read.faults[0]?.field}: ${read.faults[0]?.message}`;
}
const changed = (change: (garden: Record<string, unknown>) => void): string => {
  const garden = JSON.parse(writeGarden(demoGarden())) as Record<string, unknown>;
  change(garden);
  return JSON.stringify(garden);
};

test.each([[null], ['text'], [[{ version: 1 }]], [7], [undefined]])(
  'what is kept and is no garden is a fault, not a crash: %j',
  (kept) => {
    expect(checkGarden(kept).ok).toBe(false);
  },
);

test('a garden written and read is the same garden', () => {
  const text = writeGarden(demoGarden());
  const read = readGarden(text);
  expect(read).toEqual({ ok: true, value: demoGarden() });
  if (read.ok) expect(writeGarden(read.value)).toBe(text);
});

test.each([
  ['', 'file: This is not a JSON file'],
  ['[1]', 'file: A garden file holds one JSON object'],
  ['{"format": "other"}', 'format: This is not a Cabanon garden'],
  ['{"format": "cabanon-garden"}', 'version: version must be a whole number'],
  ['{"format": "cabanon-garden", "version": 7}', 'version: This file is version 7'],
  [
    changed((g) => Object.assign((g['beds'] as { outside: object }[])[1]?.outside ?? {}, { farMm: -1 })),
    'beds[1].outside.farMm: ',
  ],
  [
    changed((g) => Object.assign((g['beds'] as { drops: object }[])[0]?.drops ?? {}, { nearLeft: null })),
    'beds[0].drops.nearLeft: ',
  ],
  [
    changed((g) => Object.assign((g['covers'] as object[])[0] ?? {}, { bedId: 'nowhere' })),
    'covers[0].bedId: there is no bed "nowhere"',
  ],
  [
    changed((g) => Object.assign((g['covers'] as { answers: object }[])[0]?.answers ?? {}, { pipe: 'gold' })),
    'covers[0].answers.pipe: must be a pipe',
  ],
  [
    changed((g) => {
      const [cover] = g['covers'] as { answers: object }[];
      Object.assign(cover ?? {}, { kept: { ...cover?.answers, pipe: 'gold' } });
    }),
    'covers[0].kept.pipe: must be a pipe',
  ],
  ...(['kinds', 'notKinds'] as const).map((list): [string, string] => [
    changed((g) =>
      Object.assign((g['covers'] as object[])[0] ?? {}, { brief: { ...NOTHING_SAID, [list]: ['a-frame', 'igloo'] } }),
    ),
    `covers[0].brief.${list}[1]: must be a kind of cover`,
  ]),
  [changed((g) => Object.assign((g['beds'] as object[])[1] ?? {}, { id: 'long' })), 'beds[1].id: "long" is used twice'],
  [changed((g) => Object.assign(g, { surprise: 1 })), 'file: holds what is not known here: "surprise"'],
  [
    changed((g) => Object.assign(g['units'] as object, { currency: '<script>' })),
    'units.currency: must be a three-letter',
  ],
  [
    writeGarden(demoGarden()).replace('"shelf": [', '"__proto__": {"polluted": 1}, "shelf": ['),
    'file: holds what is not known here',
  ],
])('a bad file names its field (%#)', (text, start) => {
  expect(faultOf(text).startsWith(start)).toBe(true);
  expect(({} as { polluted?: number }).polluted).toBeUndefined();
});

test('a file of over twenty million characters is not even read', () => {
  expect(faultOf(' '.repeat(MAX_FILE_CHARS + 1))).toBe('file: The file is too large (over 20 million characters).');
  expect(faultOf(' '.repeat(MAX_FILE_CHARS))).toMatch(/not a JSON file/);
});

test('any damage is a fault or a sound garden, never an exception', () => {
  const text = writeGarden(demoGarden());
  fc.assert(
    fc.property(fc.nat(text.length), fc.nat(20), fc.string({ maxLength: 12 }), (at, cut, put) => {
      const read = readGarden(text.slice(0, at) + put + text.slice(at + cut));
      if (read.ok) expect(gardenSchema().safeParse(read.value).success).toBe(true);
      else expect(read.faults.length).toBeGreaterThan(0);
    }),
    { numRuns: 300 },
  );
});

test('the published JSON schema is the one the program checks with', () => {
  const published: unknown = JSON.parse(readFileSync('docs/garden.schema.json', 'utf8'));
  expect(published).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(gardenSchema()))));
});

/** Edits of one thing that leave something else unsaid or wrong, and some that are sound. */
const EDITS: readonly (readonly [what: string, (g: Garden) => Garden])[] = [
  ['a bed that a cover stands on is taken away', (g) => ({ ...g, beds: g.beds.slice(1) })],
  [
    'a cover is moved to no bed',
    (g) => ({ ...g, covers: g.covers.map((c, i) => (i === 2 ? { ...c, bedId: 'gone' } : c)) }),
  ],
  ['a cover is copied with its id', (g) => ({ ...g, covers: [...g.covers, ...g.covers.slice(0, 1)] })],
  [
    'a pipe of no catalogue',
    (g) => ({
      ...g,
      covers: g.covers.map((c, i) => (i === 0 ? { ...c, answers: { ...c.answers, pipe: 'gold' } } : c)),
    }),
  ],
  [
    'a bar of no catalogue on the shelf',
    (g) => ({ ...g, shelf: g.shelf.map((b, i) => (i === 1 ? { ...b, sectionKey: 'gold' } : b)) }),
  ],
  ['a length of minus one on the shelf', (g) => ({ ...g, shelf: g.shelf.map((b) => ({ ...b, lengthMm: -1 })) })],
  [
    'a figure of the catalogue without sense',
    (g) => ({
      ...g,
      catalog: { ...g.catalog, figures: [{ kind: 'bar' as const, key: 'nothing', figure: 'x', value: 1, note: '' }] },
    }),
  ],
  ['another name', (g) => ({ ...g, name: 'Lower garden' })],
  [
    'a cover is given another name',
    (g) => ({ ...g, covers: g.covers.map((c, i) => (i === 0 ? { ...c, name: 'Lid' } : c)) }),
  ],
  ['a price', (g) => ({ ...g, prices: { 'pvc-1/2 3048': 2 } })],
];

test.each(EDITS)('an edit is judged as the whole garden would be: %s', (_, change) => {
  const before = demoGarden();
  const after = change(before);
  const whole = checkGarden(after);
  const edited = checkEdit(before, after);
  expect(edited.map((f) => f.field).sort()).toEqual(whole.ok ? [] : whole.faults.map((f) => f.field).sort());
});

test('pictures go along only where asked, come back the same, and are named where they are none', () => {
  const picture = 'data:image/jpeg;base64,/9j/4AAQ';
  const text = writeGarden(demoGarden(), { p1: picture });
  expect(readGardenFile(text)).toEqual({ ok: true, value: { garden: demoGarden(), pictures: { p1: picture } } });
  expect(readGardenFile(writeGarden(demoGarden()))).toMatchObject({ value: { pictures: {} } });
  const faulty = (pictures: unknown): string => faultOf(changed((g) => void (g['pictures'] = pictures)));
  expect(faulty({ p1: 'data:text/html;base64,PGI+' })).toContain('pictures.p1: must be a JPEG picture');
  expect(faulty([])).toContain('pictures');
  expect(faulty(Object.fromEntries(Array.from({ length: 61 }, (_, i) => [`p${i}`, picture])))).toContain('at most 60');
  expect(faulty({ p1: `data:image/jpeg;base64,${'A'.repeat(700_000)}` })).toContain('pictures.p1');
});

test('an answer that a file leaves out is the usual one on its bed', () => {
  const garden = demoGarden();
  const [first] = garden.covers;
  if (!first) throw new Error('no cover');
  const answers = Object.fromEntries(Object.entries(first.answers).filter(([id]) => id !== 'pipe'));
  const read = readGarden(JSON.stringify({ ...garden, covers: [{ ...first, answers }] }));
  const bed = garden.beds.find((b) => b.id === first.bedId);
  if (!read.ok || !bed) throw new Error(JSON.stringify(read));
  const usual = familyOf(first.family).defaults(demoSite(bed)) as Readonly<Record<string, unknown>>;
  expect(read.value.covers[0]?.answers).toEqual({ ...answers, pipe: usual['pipe'] });
  // Of a bed that is not there nothing is usual: the fault is told as it is.
  const lost = readGarden(JSON.stringify({ ...garden, covers: [{ ...first, bedId: 'nowhere', answers }] }));
  expect(lost.ok ? [] : lost.faults.map((f) => f.field)).toContain('covers[0].answers.pipe');
});
