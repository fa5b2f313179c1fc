/** Words on paper: none over another and none past the edge, whatever cover is printed. */
import highsLoader from 'highs';
import { type PDFFont, PDFPage } from 'pdf-lib';
import { formatMoney } from '../base/amount';
import { FAMILY_KEYS } from '../cover/families';
import { demoGarden } from '../garden/demo';
import type { Garden } from '../garden/garden';
import { highsSolver } from '../make/cutting/highs';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import { type Plan, plan } from '../plan';
import { onSomeBed } from '../testing/onBed';
import { booklet } from './booklet';
import { cutBook } from './cutBook';
import { tagSheet } from './tagSheet';

let solver: IntegerSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});

interface Word {
  readonly page: PDFPage;
  readonly text: string;
  readonly x0: number;
  readonly x1: number;
  /** From its foot to the height of a small letter. */
  readonly y0: number;
  readonly y1: number;
}

/** All words that are written while something is printed. */
async function wordsOf(print: () => Promise<unknown>): Promise<readonly Word[]> {
  const words: Word[] = [];
  const spy = jest.spyOn(PDFPage.prototype, 'drawText').mockImplementation(function (this: PDFPage, text, options) {
    const { x = 0, y = 0, size = 0, font } = options ?? {};
    const width = (font as PDFFont).widthOfTextAtSize(text, size);
    if (text.trim() !== '') words.push({ page: this, text, x0: x, x1: x + width, y0: y, y1: y + 0.5 * size });
  });
  try {
    await print();
  } finally {
    spy.mockRestore();
  }
  return words;
}

/** A point: less is not seen. */
const SEEN = 1;
function clashes(words: readonly Word[]): readonly string[] {
  return words.flatMap((a, i) =>
    words
      .slice(i + 1)
      .filter(
        (b) =>
          a.page === b.page &&
          Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0) > SEEN &&
          Math.min(a.y1, b.y1) - Math.max(a.y0, b.y0) > SEEN,
      )
      .map((b) => `"${a.text}" over "${b.text}"`),
  );
}
const past = (words: readonly Word[]): readonly string[] =>
  words
    .filter(({ page, x0, x1, y0, y1 }) => {
      const { width, height } = page.getSize();
      return x0 < 18 || x1 > width - 18 || y0 < 18 || y1 > height - 18;
    })
    .map((w) => w.text);

function printed(family: string, garden: Garden): Plan {
  const made = plan(garden, onSomeBed(garden, family, 'Made-up cover of a long name').cover, solver);
  if (!made.ok) throw new Error(JSON.stringify(made.faults));
  return made.value;
}
/** The shopping list of a booklet: what each line says, and where its price ends. */
test('each thing to buy stands on a line of its own with its price at the end of its column', async () => {
  const p = printed('hinged-hoop-lid', demoGarden());
  const words = await wordsOf(() => booklet(p, 'letter'));
  const bought = p.shopping.lines.filter((l) => l.packs > 0);
  expect(bought.length).toBeGreaterThan(5);
  const ends = new Set<number>();
  for (const l of bought) {
    const [line, paid] = words
      .filter((w) => w.text.startsWith(`${l.packs} x ${l.name.split(' ')[0] ?? ''}`))
      .flatMap((w) => {
        const price = words.find(
          (v) => v.page === w.page && v.y0 === w.y0 && v.text === formatMoney(l.paid, 'USD') && v.x0 > w.x0,
        );
        return price ? [[w, price] as const] : [];
      })[0] ?? [undefined, undefined];
    expect([l.name, line !== undefined, paid !== undefined]).toEqual([l.name, true, true]);
    // The box to tick is 8 points wide at the edge of the column.
    expect([44 + 13, 44 + (612 - 88 + 16) / 2 + 13]).toContain(line?.x0);
    ends.add(Math.round(paid?.x1 ?? 0));
  }
  // Two columns of (524 - 16) / 2 points.
  expect([...ends].sort((a, b) => a - b)).toEqual([44 + 254, 612 - 44]);
});

test('the figure of a dimension stands on white, which lies behind it and nowhere else', async () => {
  const p = printed('hinged-hoop-lid', demoGarden());
  const white: { page: PDFPage; x: number; y: number; width: number; height: number }[] = [];
  const draw = jest.spyOn(PDFPage.prototype, 'drawRectangle').mockImplementation(function (this: PDFPage, options) {
    const { x = 0, y = 0, width = 0, height = 0, color } = options ?? {};
    if (color) white.push({ page: this, x, y, width, height });
  });
  const words = await wordsOf(() => booklet(p, 'letter'));
  draw.mockRestore();
  expect(white.length).toBeGreaterThanOrEqual(p.assembly.dimensions.length);
  for (const r of white) {
    const over = words.filter(
      (w) => w.page === r.page && w.x0 >= r.x && w.x1 <= r.x + r.width && w.y0 >= r.y && w.y1 <= r.y + r.height,
    );
    expect(over).toHaveLength(1);
    const [word] = over;
    expect(((word?.x0 ?? 0) + (word?.x1 ?? 0)) / 2).toBeCloseTo(r.x + r.width / 2, 6);
    expect((word?.y0 ?? 0) - r.y).toBeCloseTo(2, 6);
  }
});

const metric = (g: Garden): Garden => ({ ...g, units: { ...g.units, length: 'mm', stock: 'metric' } });

test.each(FAMILY_KEYS.flatMap((f) => [[f, 'ftin'] as const, [f, 'mm'] as const]))(
  'the papers of %s in %s: no word on another, none past the edge',
  async (family, unit) => {
    const garden = unit === 'mm' ? metric(demoGarden()) : demoGarden();
    const p = printed(family, garden);
    const paper = unit === 'mm' ? 'a4' : 'letter';
    const papers = [
      await wordsOf(() => cutBook(p, p.cover.name)),
      await wordsOf(() => tagSheet(p, paper)),
      await wordsOf(() => booklet(p, paper)),
    ];
    for (const words of papers) {
      expect(words.length).toBeGreaterThan(5);
      expect(clashes(words)).toEqual([]);
      expect(past(words)).toEqual([]);
    }
  },
);
