/** The cut book: every bar, sheet and roll drawn to scale on paper, with marks, stops and a box to tick. */
import type { CutCover } from '../cut';
import { MARGIN, type Pen, newBook } from './pen';
import type { RollCut } from '../make/rolls/rolls';
import { type CutPiece, type SectionBar, type SectionCuts, longestDrawnMm, straightest } from '../make/cutting/bars';
import { type OutlinedPiece, type SheetCut, cutsText } from '../make/cutting/panels';
import type { PlacedPiece } from '../make/cutting/sheets';
import { stopGroups } from '../make/cutting/stops';
import { sayTags } from '../cover/guide/tags';
import { type LengthUnit, formatLength } from '../base/length';

const LABEL = 74;
const BAR = 20;

/** One bar: its pieces, marks from the tape's end in both systems, what is left dashed. */
function drawBar(pen: Pen, bar: SectionBar, scale: number, longestMm: number, unit: LengthUnit): void {
  const other = unit === 'ftin' || unit === 'in' ? 'mm' : 'in';
  const at = (mm: number): number => MARGIN + LABEL + mm * scale;
  const ends: number[] = [];
  const marks = bar.pieces.map((p) => {
    const text = formatLength(p.markMm, unit);
    const half = pen.font.widthOfTextAtSize(text, 8) / 2;
    const free = ends.findIndex((end) => at(p.markMm) - half >= end);
    const row = free < 0 ? ends.length : free;
    ends[row] = at(p.markMm) + half + 5;
    return { x: at(p.markMm), text, other: formatLength(p.markMm, other), row };
  });
  const tagOf = (p: CutPiece): string => (p.holds === undefined ? p.tag : `${p.tag} + ${p.holds}`);
  const inside = (p: CutPiece): boolean => p.lengthMm * scale > pen.bold.widthOfTextAtSize(tagOf(p), 8) + 2;
  // Tags of pieces too short to hold them stand over the bar, one above the other.
  const over = bar.pieces.filter((p) => !inside(p));
  const height = BAR + 24 + 19 * Math.max(0, ends.length - 1) + 9 * over.length;
  pen.ensureSpace(height + 6);
  const top = pen.y - 4 - 9 * over.length;
  over.forEach((p, i) =>
    pen.text(tagOf(p), at(p.markMm - p.lengthMm / 2), top + 5 + 9 * i, 8, { bold: true, centre: true }),
  );
  const y = top - BAR;
  pen.box(MARGIN, y + 5, 9, 9);
  pen.text(bar.label, MARGIN + 14, y + 11, 9, { bold: true });
  pen.text(`${formatLength(bar.lengthMm, unit)}${bar.fromShelf ? ', shelf' : ''}`, MARGIN + 14, y + 1, 8, {
    quiet: true,
  });
  pen.box(at(0), y, Math.min(bar.lengthMm, longestMm) * scale, BAR, true);
  for (const p of bar.pieces) {
    const from = at(p.markMm - p.lengthMm);
    const w = p.lengthMm * scale;
    pen.box(from, y, w, BAR);
    const tag = tagOf(p);
    const figure = formatLength(p.lengthMm, unit);
    const both = pen.bold.widthOfTextAtSize(tag, 9) + pen.font.widthOfTextAtSize(figure, 8) + 12;
    if (w > both) {
      pen.text(tag, from + 4, y + 7, 9, { bold: true });
      pen.text(figure, from + w - 4 - pen.font.widthOfTextAtSize(figure, 8), y + 7, 8);
    } else if (inside(p)) pen.text(tag, from + w / 2, y + 7, 8, { bold: true, centre: true });
  }
  for (const m of marks) {
    const drop = m.row * 19;
    pen.line(m.x, top + 3, m.x, y - 5 - drop, 1.1);
    pen.text(m.text, m.x, y - 13 - drop, 8, { centre: true });
    pen.text(m.other, m.x, y - 21 - drop, 6.5, { centre: true, quiet: true });
  }
  pen.y = top + 9 * over.length - height;
}

/** A sheet or roll lying on its long side, its pieces with their tags. */
function drawFlat(
  pen: Pen,
  title: string,
  size: { readonly widthMm: number; readonly lengthMm: number },
  placed: readonly (PlacedPiece & Partial<OutlinedPiece>)[],
  after: string,
  unit: LengthUnit,
): void {
  const end = Math.max(...placed.map((p) => p.yMm + p.lengthMm));
  // A long roll is drawn a little further than it is used.
  const shownMm = Math.min(size.lengthMm, Math.max(end * 1.15, size.widthMm * 2));
  const scale = Math.min(pen.width / shownMm, 150 / size.widthMm);
  const height = size.widthMm * scale;
  pen.ensureSpace(height + 44);
  pen.y -= 16;
  pen.box(MARGIN, pen.y - 1, 9, 9);
  pen.text(title, MARGIN + 14, pen.y, 9, { bold: true });
  const y = pen.y - 8 - height;
  pen.box(MARGIN, y, shownMm * scale, height, true);
  for (const p of placed) {
    const x = MARGIN + p.yMm * scale;
    const below = y + height - (p.xMm + p.widthMm) * scale;
    if (p.outline)
      p.outline.forEach(([a, b], i) => {
        const [a1, b1] = p.outline?.[(i + 1) % p.outline.length] ?? [a, b];
        pen.line(MARGIN + b * scale, y + height - a * scale, MARGIN + b1 * scale, y + height - a1 * scale);
      });
    else pen.box(x, below, p.lengthMm * scale, p.widthMm * scale);
    const sizes = `${formatLength(p.lengthMm, unit)} x ${formatLength(p.widthMm, unit)}`;
    const centre = x + (p.lengthMm * scale) / 2;
    const middle = below + (p.widthMm * scale) / 2;
    const roomy = p.widthMm * scale > 26 && pen.font.widthOfTextAtSize(sizes, 7.5) < p.lengthMm * scale - 4;
    pen.text(p.tag, centre, middle + (roomy ? 2 : -3), 9, { bold: true, centre: true });
    if (roomy) pen.text(sizes, centre, middle - 8, 7.5, { centre: true });
  }
  pen.y = y - 4;
  pen.words(after, 8.5, { quiet: true });
}

function sheetTitle(cut: SheetCut, unit: LengthUnit): string {
  const { name, channels } = cut.sheet;
  const size = `${formatLength(cut.size.widthMm, unit)} x ${formatLength(cut.size.lengthMm, unit)}`;
  return `${cut.label}, ${name}, ${size}${cut.fromShelf ? ', from the shelf' : ''}${channels ? ', channels along its length' : ''}`;
}

function rollTitle(cut: RollCut, unit: LengthUnit): string {
  const { name, outerFace } = cut.cover;
  const size = `${formatLength(cut.roll.widthMm, unit)} x ${formatLength(cut.roll.lengthMm, unit)}`;
  return `${cut.label}, ${name}, ${size}${cut.fromShelf ? ', from the shelf' : ''}${outerFace === null ? '' : `; ${outerFace}`}`;
}

function barsOf(pen: Pen, cuts: readonly SectionCuts[], unit: LengthUnit): void {
  const longestMm = longestDrawnMm(cuts);
  const scale = (pen.width - LABEL - 26) / longestMm;
  for (const cut of cuts) {
    const s = cut.section;
    pen.ensureSpace(80);
    pen.y -= 8;
    const lost = cut.kerfMm > 0 ? `, ${formatLength(cut.kerfMm, unit)} lost at each cut` : '';
    pen.words(`${s.name}, ${s.tool.name}${lost}`, 11, { bold: true });
    const straight = straightest(cut);
    if (straight.length > 0)
      pen.words(`Keep the straightest for ${sayTags(straight.map((bar) => bar.label))}.`, 8.5, { quiet: true });
    for (const bar of cut.bars) drawBar(pen, bar, scale, longestMm, unit);
  }
}

/** Every bar, sheet and roll, with the stops. */
export function cutPages(pen: Pen, work: Pick<CutCover, 'garden' | 'cuts' | 'sheets' | 'rolls'>): void {
  const unit = work.garden.units.length;
  pen.words(
    'Marks run from the end where the tape hooks, after the squared end, and count the saw\u2019s own width. Measure each board before you cut: shops sell them a little short or long. Eye and ear protection; a mask for PVC and treated wood.',
    9,
    { quiet: true },
  );
  barsOf(pen, work.cuts, unit);
  const stops = stopGroups(work.cuts, unit);
  if (stops.length > 0) {
    pen.ensureSpace(60);
    pen.y -= 10;
    pen.words('Set the stop once', 11, { bold: true });
    for (const s of stops)
      pen.words(
        `${formatLength(s.lengthMm, unit)}: ${sayTags(s.tags)}, ${s.section.name}${s.ends === '' ? '' : `, ${s.ends}`}`,
        9,
      );
  }
  for (const cut of work.sheets.sheets)
    drawFlat(pen, sheetTitle(cut, unit), cut.size, cut.placed, `In order: ${cutsText(cut, unit)}.`, unit);
  for (const cut of work.rolls.rolls) {
    const placed = cut.placed.map((p) => ({
      tag: p.tag,
      xMm: p.sideMm,
      yMm: p.atMm,
      widthMm: p.widthMm,
      lengthMm: p.runMm,
    }));
    drawFlat(pen, rollTitle(cut, unit), cut.roll, placed, `${formatLength(cut.leftMm, unit)} left on the roll.`, unit);
  }
}

/**
 * Writes the cut book of one cover or of several together, as a PDF on letter or A4 paper by the garden's market.
 * @param title whose cuts they are
 * @returns the bytes of the file; the same work gives the same bytes
 */
export async function cutBook(
  work: Pick<CutCover, 'garden' | 'cuts' | 'sheets' | 'rolls'>,
  title: string,
): Promise<Uint8Array> {
  const { units, name } = work.garden;
  const { book, pen } = await newBook(`Cut book: ${title}`, `Cut book: ${title}, ${name}`, units.stock);
  pen.words(`Cut book: ${title}`, 17, { bold: true });
  pen.y -= 6;
  cutPages(pen, work);
  return book.save();
}
