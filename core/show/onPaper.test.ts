/** Words on paper: none over another and none past the edge, whatever cover is printed. */
import highsLoader from 'highs';
import { type PDFFont, PDFPage } from 'pdf-lib';
import { FAMILY_KEYS } from '../build/families';
import { demoGarden } from '../garden/demo';
import type { Garden } from '../garden/garden';
import { highsSolver } from '../make/cutting/highs';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import { type Plan, plan } from '../plan';
import { firstCover } from '../start';
import { booklet } from './booklet';
import { cutBook } from './cutBook';
import { tagSheet } from './tagSheet';

let solver: IntegerSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader(), () => performance.now());
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

function printed(family: string, garden: Garden): Plan | undefined {
  for (const bed of garden.beds) {
    const cover = firstCover(garden, bed.id, family, 'x', 'Made-up cover of a long name');
    const made = cover && plan(garden, cover, solver);
    if (made?.ok) return made.value;
  }
  return undefined;
}
const metric = (g: Garden): Garden => ({ ...g, units: { ...g.units, length: 'mm', stock: 'metric' } });

test.each(FAMILY_KEYS.flatMap((f) => [[f, 'ftin'] as const, [f, 'mm'] as const]))(
  'the papers of %s in %s: no word on another, none past the edge',
  async (family, unit) => {
    const garden = unit === 'mm' ? metric(demoGarden()) : demoGarden();
    const p = printed(family, garden);
    if (!p) throw new Error('on no bed');
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
