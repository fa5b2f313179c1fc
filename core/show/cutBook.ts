/** The cut book: every bar, sheet and roll drawn to scale on paper, with marks, stops and a box to tick. */
import type { CutCover } from '../cut';
import { type BarRoom, barDrawing } from './barDrawing';
import { type FlatStock, flatDrawing, rollStock, sheetStock } from './flatDrawing';
import { onPaper, paintMarks } from './paint';
import { MARGIN, type Pen, newBook } from './pen';
import type { RollCut } from '../make/rolls/rolls';
import { type SectionCuts, longestDrawnMm, straightest } from '../make/cutting/bars';
import { type SheetCut, cutsText } from '../make/cutting/panels';
import { stopGroups } from '../make/cutting/stops';
import { sayTags } from '../cover/guide/tags';
import { formatAmount } from '../base/amount';
import { type LengthUnit, formatLength } from '../base/length';

/** Room for a bar's name, and how high a bar is, points. */
const BESIDE = 74;
const BAR_HIGH = 20;
/** No sheet or roll is drawn higher than this, points. */
const FLAT_HIGH = 150;

/** A sheet or roll lying on its long side, its pieces with their tags, under its name and a box to tick. */
function drawFlat(pen: Pen, title: string, stock: FlatStock, after: string): void {
  const list = flatDrawing(stock, { width: pen.width, high: FLAT_HIGH }, onPaper(pen));
  pen.ensureSpace(list.height + 40);
  pen.y -= 16;
  pen.box(MARGIN, pen.y - 1, 9, 9);
  pen.text(title, MARGIN + 14, pen.y, 9, { bold: true });
  pen.y -= 8;
  paintMarks(pen, list);
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
  const room: BarRoom = {
    width: pen.width,
    longestMm: longestDrawnMm(cuts),
    unit,
    lettering: onPaper(pen),
    barHigh: BAR_HIGH,
    beside: BESIDE,
    ticked: true,
  };
  for (const cut of cuts) {
    const s = cut.section;
    pen.ensureSpace(80);
    pen.y -= 8;
    const lost = cut.kerfMm > 0 ? `, ${formatLength(cut.kerfMm, unit)} lost at each cut` : '';
    pen.words(`${s.name}, ${s.tool.name}${lost}`, 11, { bold: true });
    const straight = straightest(cut);
    if (straight.length > 0)
      pen.words(`Keep the straightest for ${sayTags(straight.map((bar) => bar.label))}.`, 8.5, { quiet: true });
    for (const bar of cut.bars) {
      pen.y -= 4;
      paintMarks(pen, barDrawing(bar, s, room));
    }
  }
}

/** Every bar, sheet and roll, with the stops. */
export function cutPages(pen: Pen, work: Pick<CutCover, 'garden' | 'cuts' | 'sheets' | 'rolls'>): void {
  const { units } = work.garden;
  const unit = units.length;
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
    drawFlat(pen, sheetTitle(cut, unit), sheetStock(cut, unit), `In order: ${cutsText(cut, unit)}.`);
  for (const cut of work.rolls.rolls)
    drawFlat(
      pen,
      rollTitle(cut, unit),
      rollStock(cut, units),
      `${formatAmount(cut.leftMm, 'byEye', units)} left on the roll.`,
    );
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
