/** Gardens, prices and jobs spoiled in every way: each is read or refused by name, and what is read is gone through. */
import fc from 'fast-check';
import { SHIPPED } from '../../core/catalog/catalog';
import { demoGarden } from '../../core/garden/demo';
import { everyKind } from '../../core/testing/everyKind';
import { readGarden } from '../../core/garden/read';
import { writeGarden } from '../../core/garden/write';
import { salvage } from '../../core/garden/salvage';
import { readBarJob } from '../../core/make/cutting/job';
import { solveSheetJob } from '../../core/make/cutting/sheetJob';
import { readPricesCsv } from '../../core/show/prices';
import { goThrough } from './answers';
import { type Tally, fails, tally, thrownFrom, took } from './trial';

/** What is put in place of something. */
const odd: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    0,
    -1,
    1e308,
    -0,
    1e-308,
    '',
    ' ',
    'constructor',
    '__proto__',
    '../../x',
    '<b>',
    [],
    {},
    [[]],
    'x'.repeat(5000),
  ),
  fc.double({ noNaN: true }),
  fc.string(),
  fc.array(fc.anything({ maxDepth: 2 }), { maxLength: 3 }),
);

type Way = readonly [
  how: 'replace' | 'remove' | 'double' | 'add' | 'rename',
  depth: number,
  turns: readonly number[],
  value: unknown,
  word: string,
];
const ways: fc.Arbitrary<Way> = fc.tuple(
  fc.constantFrom('replace', 'remove', 'double', 'add', 'rename'),
  fc.integer({ min: 1, max: 7 }),
  fc.array(fc.nat(1000), { minLength: 8, maxLength: 8 }),
  odd,
  fc.constantFrom('id', 'name', '__proto__', 'constructor', 'answers', 'x'),
);

/** Changes one thing somewhere in a document, in place. */
function spoil(document: unknown, [how, depth, turns, value, word]: Way): void {
  let at = document as Record<string, unknown>;
  for (let d = 0; d < depth; d++) {
    const keys = Object.keys(at);
    const key = keys[(turns[d] ?? 0) % Math.max(1, keys.length)];
    if (key === undefined) break;
    const inner = at[key];
    if (d < depth - 1 && typeof inner === 'object' && inner !== null) {
      at = inner as Record<string, unknown>;
      continue;
    }
    if (how === 'replace') at[key] = value;
    else if (how === 'remove' && Array.isArray(at)) at.splice(Number(key), 1);
    else if (how === 'remove') Reflect.deleteProperty(at, key);
    else if (how === 'double' && Array.isArray(at)) at.push(inner);
    // No JSON text gives a list a property.
    else if (!Array.isArray(at))
      Object.defineProperty(at, how === 'rename' ? word : `${key}2`, {
        value: inner,
        enumerable: true,
        configurable: true,
        writable: true,
      });
    return;
  }
}

const texts: fc.Arbitrary<(text: string) => string> = fc.oneof(
  fc.nat(100_000).map((n) => (text: string) => text.slice(0, n % text.length)),
  fc.tuple(fc.nat(100_000), fc.string({ maxLength: 4 })).map(([n, s]) => (text: string) => {
    const at = n % text.length;
    return text.slice(0, at) + s + text.slice(at + s.length);
  }),
  fc.constantFrom(
    (text: string) => `\uFEFF${text}`,
    (text: string) => text.repeat(2),
    (text: string) => '['.repeat(20_000) + text,
    () => '',
  ),
);

/** Longest that one file may take, ms. */
const MOST_MS = 5000;

/** One reader held against spoiled documents. */
function hold(
  t: Tally,
  what: string,
  read: () => { readonly ok: boolean; readonly faults?: readonly { field: string; message: string }[] },
  repro: () => unknown,
): boolean {
  t.tried++;
  const began = performance.now();
  try {
    const answer = read();
    if (
      !answer.ok &&
      !(answer.faults ?? []).every((f) => f.field.length > 0 && f.message.length > 0 && f.message.length <= 400)
    )
      fails(t, `${what}: a fault without a field, or too long to read`, repro());
    return answer.ok;
  } catch (error) {
    fails(t, `${what}: ${thrownFrom(error)}`, repro());
    return false;
  } finally {
    took(t, what, performance.now() - began, MOST_MS, repro());
  }
}

/** Tries so many files. */
export function tryFiles(seed: number, count: number): Tally {
  const t = tally('hostile files: gardens, prices, cutting jobs');
  const demo = writeGarden(demoGarden());
  // Small ones are soon read, and every kind of cover is in one of them.
  const { covers, ...rest } = everyKind();
  const small = covers.map((c) =>
    writeGarden({ ...rest, beds: rest.beds.filter((b) => b.id === c.bedId), covers: [c] }),
  );
  const csv = 'key,aisle,thing,size,price\nbar 2x4 2438,Lumber,2x4,8 ft,4.10\nitem strap,Hardware,strap,1,0.4\n';
  const bars = {
    kerf: 3,
    stock: [
      { length: 2400, price: 5 },
      { length: 3600, price: 7, available: 2 },
    ],
    pieces: [{ length: 700, quantity: 3 }],
  };
  const sheets = {
    kerf: 3,
    sheets: [{ width: 1220, length: 2440, price: 46 }],
    pieces: [{ width: 600, length: 1200, quantity: 2, turns: false }],
  };
  const BATCH = 200;
  for (let done = 0; done < count; done += BATCH) {
    const at = { seed: seed * 1_000_003 + done, numRuns: BATCH };
    const each = fc.sample(fc.tuple(fc.array(ways, { minLength: 1, maxLength: 3 }), texts, fc.nat(11)), at);
    for (const [list, text, kind] of each) {
      const spoiled = (document: unknown): unknown => {
        const copy = JSON.parse(JSON.stringify(document)) as unknown;
        list.forEach((way) => spoil(copy, way));
        return copy;
      };
      if (kind < 7) {
        const document = spoiled(JSON.parse(kind < 1 ? demo : (small[(t.tried + kind) % small.length] ?? demo)));
        const file = JSON.stringify(document);
        const ok = hold(
          t,
          'garden',
          () => {
            const read = readGarden(file);
            if (!read.ok) {
              salvage(document);
              return read;
            }
            const again = readGarden(writeGarden(read.value));
            if (!again.ok || writeGarden(again.value) !== writeGarden(read.value))
              fails(t, 'garden: not the same when read back', list);
            return read;
          },
          () => list,
        );
        if (ok && t.tried % 20 === 0) {
          const read = readGarden(file);
          if (read.ok) goThrough(t, read.value, undefined);
        }
      } else if (kind === 7)
        hold(
          t,
          'garden text',
          () => readGarden(text(demo)),
          () => text(demo).slice(0, 200),
        );
      else if (kind === 8)
        hold(
          t,
          'prices',
          () => readPricesCsv(SHIPPED, text(csv)),
          () => text(csv),
        );
      else if (kind === 9)
        hold(
          t,
          'bar job',
          () => readBarJob(spoiled(bars)),
          () => list,
        );
      else if (kind === 10)
        hold(
          t,
          'sheet job',
          () => solveSheetJob(spoiled(sheets)),
          () => list,
        );
      else
        hold(
          t,
          'salvage',
          () => ({ ok: salvage(spoiled(JSON.parse(small[t.tried % small.length] ?? demo))).garden.format.length > 0 }),
          () => list,
        );
    }
  }
  return t;
}
