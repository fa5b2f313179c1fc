/** A pen that writes and draws on the pages of a PDF file, in points. */
import { PDFDocument, type PDFFont, type PDFPage, StandardFonts, grayscale } from 'pdf-lib';
import type { PaperKey } from '../cover/parts/ends';
import type { Market } from '../catalog/market';
import type { Flat } from '../base/geometry';

/** Points of 1/72 in. */
const PAPER = { imperial: [612, 792], metric: [595.28, 841.89] } as const;
/** The paper that each shop's pages are of. */
export const MARKET: Readonly<Record<PaperKey, Market>> = { letter: 'imperial', a4: 'metric' };
export const MARGIN = 44;
export const POINTS_PER_MM = 72 / 25.4;
/** From one line of words to the next, in sizes of their letters. */
export const LEADING = 1.35;
const BLACK = grayscale(0);
export const QUIET = grayscale(0.35);

/** Letters that the paper's own fonts have; others are written as near as they come. */
export function plain(text: string): string {
  return text
    .normalize('NFC')
    .replace(/[−‐‑]/g, '-')
    .replace(/[^\u0020-\u007e\u00a0-\u00ff\u2018\u2019\u201c\u201d\u2013\u2014\u2026]/g, (letter) => {
      const base = letter.normalize('NFD').replace(/\p{M}/gu, '');
      return /^[\u0020-\u007e]$/.test(base) ? base : '?';
    });
}

/** Between words, but not within a measure: 1' 0", 2 3/8", 16 mm, 5 kg. */
const WITHIN = / (?!(?<=['\u2032\d] )\d[\d/]*(?: \d+\/\d+)?")(?!(?<=\d )(?:mm|cm|m|ft|in|lb|kg|N|mph|m\/s)\b)/;

/** Where the pen stands: it moves down the page, and to a new one when the page is full. */
export class Pen {
  page: PDFPage;
  y = 0;
  constructor(
    private readonly book: PDFDocument,
    private readonly size: readonly [number, number],
    readonly font: PDFFont,
    readonly bold: PDFFont,
    private readonly foot: string,
  ) {
    this.page = this.newPage();
  }
  get width(): number {
    return this.size[0] - 2 * MARGIN;
  }
  /** A new page. */
  newPage(): PDFPage {
    this.page = this.book.addPage([...this.size]);
    this.y = this.size[1] - MARGIN;
    this.text(`${this.foot}, page ${this.book.getPageCount()}`, MARGIN, MARGIN - 18, 8, { quiet: true });
    return this.page;
  }
  /** Makes sure of so much room below. */
  ensureSpace(height: number): void {
    if (this.y - height < MARGIN) this.newPage();
  }
  text(
    said: string,
    x: number,
    y: number,
    size: number,
    { bold = false, quiet = false, centre = false }: { bold?: boolean; quiet?: boolean; centre?: boolean } = {},
  ): void {
    const font = bold ? this.bold : this.font;
    const words = plain(said);
    const left = centre ? x - font.widthOfTextAtSize(words, size) / 2 : x;
    this.page.drawText(words, { x: left, y, size, font, color: quiet ? QUIET : BLACK });
  }
  /** A word on white, so that no line runs through it. @param at the middle of its base line */
  label(said: string, [x, y]: Flat, size: number, bold = false): void {
    const half = (bold ? this.bold : this.font).widthOfTextAtSize(plain(said), size) / 2 + 2;
    this.page.drawRectangle({ x: x - half, y: y - 2, width: 2 * half, height: size + 3, color: grayscale(1) });
    this.text(said, x, y, size, { bold, centre: true });
  }
  /** Words in lines of a width. */
  lines(said: string, size: number, width = this.width, bold = false): readonly string[] {
    const font = bold ? this.bold : this.font;
    const lines: string[] = [];
    let line = '';
    for (const word of said.split(WITHIN)) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (font.widthOfTextAtSize(plain(longer), size) > width && line !== '') {
        lines.push(line);
        line = word;
      } else line = longer;
    }
    return [...lines, line];
  }
  /** A line of words that is broken where the page ends. */
  words(said: string, size: number, options: { bold?: boolean; quiet?: boolean } = {}): void {
    for (const line of this.lines(said, size, this.width, options.bold)) {
      this.ensureSpace(size * LEADING);
      this.y -= size * LEADING;
      this.text(line, MARGIN, this.y, size, options);
    }
  }
  box(x: number, y: number, width: number, height: number, dashed = false): void {
    this.page.drawRectangle({
      x,
      y,
      width,
      height,
      borderColor: dashed ? QUIET : BLACK,
      borderWidth: dashed ? 0.5 : 0.9,
      ...(dashed && { borderDashArray: [3, 2] }),
    });
  }
  line(x0: number, y0: number, x1: number, y1: number, thickness = 0.9): void {
    this.page.drawLine({ start: { x: x0, y: y0 }, end: { x: x1, y: y1 }, thickness, color: BLACK });
  }
}

/** A new book and a pen on its first page. @param foot said at the foot of every page */
export async function newBook(
  title: string,
  foot: string,
  paper: Market,
): Promise<{ readonly book: PDFDocument; readonly pen: Pen }> {
  const book = await PDFDocument.create({ updateMetadata: false });
  book.setTitle(plain(title));
  book.setCreator('Cabanon');
  const font = await book.embedFont(StandardFonts.Helvetica);
  const bold = await book.embedFont(StandardFonts.HelveticaBold);
  return { book, pen: new Pen(book, PAPER[paper], font, bold, foot) };
}
