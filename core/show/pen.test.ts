import { PDFDocument } from 'pdf-lib';
import { LEADING, MARGIN, type Pen, newBook, plain } from './pen';

/** A pen whose words and lines are written down as it draws them. */
async function pen(): Promise<{ pen: Pen; said: { text: string; x: number; y: number; size: number }[] }> {
  const { pen: made } = await newBook('Ours', 'Ours, for nobody', 'imperial');
  const said: { text: string; x: number; y: number; size: number }[] = [];
  const turn = made.newPage.bind(made);
  const watch = (): void => {
    const draw = made.page.drawText.bind(made.page);
    made.page.drawText = (text, options = {}) => {
      said.push({ text, x: options.x ?? NaN, y: options.y ?? NaN, size: options.size ?? NaN });
      draw(text, options);
    };
  };
  made.newPage = () => {
    const page = turn();
    watch();
    return page;
  };
  watch();
  return { pen: made, said };
}

test.each([
  ['8−3', '8-3'],
  ['“Bögen”', '“Bögen”'],
  // Letters with marks that the paper's fonts lack lose the mark; what has no base is a question.
  ['Žofie ł', 'Zofie ?'],
  ['½ × ¼', '½ × ¼'],
  ['温床', '??'],
])('%s is written as %s', (text, written) => expect(plain(text)).toBe(written));

test('a page of US Letter: 612 points less two margins, its foot below the margin', async () => {
  const { pen: p } = await pen();
  expect([p.width, p.y]).toEqual([612 - 2 * MARGIN, 792 - MARGIN]);
  expect(p.page.getSize()).toEqual({ width: 612, height: 792 });
  const a4 = await newBook('x', 'x', 'metric');
  expect(a4.pen.page.getSize()).toEqual({ width: 595.28, height: 841.89 });
});

test('words go down the page line by line, and over to the next where they would pass the margin', async () => {
  const { pen: p, said } = await pen();
  const lines = Math.floor((792 - 2 * MARGIN) / (10 * LEADING));
  for (let i = 0; i < lines; i++) p.words(`line ${i}`, 10);
  expect(said).toHaveLength(lines);
  expect(said[0]).toMatchObject({ x: MARGIN, y: 792 - MARGIN - 10 * LEADING, size: 10 });
  expect((said[0]?.y ?? 0) - (said[1]?.y ?? 0)).toBeCloseTo(10 * LEADING, 9);
  p.words('one more', 10);
  expect(said[lines]).toMatchObject({ text: 'one more', y: 792 - MARGIN - 10 * LEADING });
});

test('a line holds as many words as fit and none is lost; a word longer than the line stands alone', async () => {
  const { pen: p } = await pen();
  const text = 'Cut the bars at the marks and number them as they come off the saw';
  const lines = p.lines(text, 10, 100);
  expect(lines.join(' ')).toBe(text);
  expect(lines.length).toBeGreaterThan(2);
  lines.forEach((line, i) => {
    expect(p.font.widthOfTextAtSize(line, 10)).toBeLessThanOrEqual(100);
    const [next] = (lines[i + 1] ?? '').split(' ');
    if (next) expect(p.font.widthOfTextAtSize(`${line} ${next}`, 10)).toBeGreaterThan(100);
  });
  // Bold is wider: it takes as many lines or more.
  expect(p.lines(text, 10, 100, true).length).toBeGreaterThanOrEqual(lines.length);
  expect(p.lines('a Donaudampfschifffahrtsgesellschaft b', 10, 60)).toEqual([
    'a',
    'Donaudampfschifffahrtsgesellschaft',
    'b',
  ]);
  expect(p.lines('', 10)).toEqual(['']);
});

test('what is centred stands half to either side', async () => {
  const { pen: p, said } = await pen();
  p.text('Ridge', 300, 400, 12, { centre: true });
  p.text('Ridge', 300, 400, 12, { centre: true, bold: true });
  expect(said[0]?.x).toBeCloseTo(300 - p.font.widthOfTextAtSize('Ridge', 12) / 2, 9);
  expect(said[1]?.x).toBeCloseTo(300 - p.bold.widthOfTextAtSize('Ridge', 12) / 2, 9);
});

test('room: a page is turned only where what comes would not fit; each new page says its number', async () => {
  const { pen: p, said } = await pen();
  p.ensureSpace(792 - 2 * MARGIN);
  expect(p.y).toBe(792 - MARGIN);
  p.y = MARGIN + 50;
  p.ensureSpace(50);
  expect(p.y).toBe(MARGIN + 50);
  p.ensureSpace(50.1);
  expect(p.y).toBe(792 - MARGIN);
  p.newPage();
  expect(said.filter((s) => s.text.startsWith('Ours, for nobody'))).toEqual([]);
  const { book } = await newBook('Žito', 'foot', 'metric');
  const read = await PDFDocument.load(await book.save());
  expect([read.getTitle(), read.getPageCount()]).toEqual(['Zito', 1]);
});

test('a line never ends within a measure', async () => {
  const { pen: p } = await pen();
  const said = 'every 2\' 9 13/16" or 16 mm of it';
  for (let width = 10; width < 200; width += 5)
    for (const line of p.lines(said, 10, width)) expect(line).not.toMatch(/(\d'?|')$/);
  expect(p.lines(said, 10, 10)).toEqual(['every', '2\' 9 13/16"', 'or', '16 mm', 'of', 'it']);
});
