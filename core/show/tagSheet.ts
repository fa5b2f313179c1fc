/** Tags for the pieces of a cover, to print and stick on. */
import { formatLength } from '../base/length';
import type { PaperKey } from '../cover/parts/ends';
import { sheetSize } from '../make/rolls/rolls';
import type { Assessment } from '../assessment';
import { MARGIN, MARKET, newBook } from './pen';

/** Tags on a page: three across, ten down, as labels are sold. */
const TAGS = { across: 3, down: 10 } as const;

/** Writes a tag for every piece that is cut, to print and stick on. */
export async function tagSheet(o: Assessment, paper: PaperKey): Promise<Uint8Array> {
  const unit = o.garden.units.length;
  const { book, pen } = await newBook(`Tags: ${o.cover.name}`, o.cover.name, MARKET[paper]);
  const pieces = [
    ...o.assembly.members.map((m) => ({
      tag: m.tag,
      part: m.part,
      of: `${m.section.name}, ${formatLength(m.lengthMm, unit)}`,
    })),
    ...o.assembly.panels.map((p) => ({ tag: p.tag, part: p.part, of: p.sheet.name })),
    ...o.assembly.sheets.map((s) => {
      const { acrossMm, alongMm } = sheetSize(s);
      return {
        tag: s.tag,
        part: s.part,
        of: `${s.cover.name}, ${formatLength(acrossMm, unit)} x ${formatLength(alongMm, unit)}`,
      };
    }),
  ];
  const [width, height] = [pen.width / TAGS.across, (pen.y - MARGIN) / TAGS.down];
  pieces.forEach((piece, i) => {
    const at = i % (TAGS.across * TAGS.down);
    if (i > 0 && at === 0) pen.newPage();
    const x = MARGIN + (at % TAGS.across) * width;
    const y = pen.page.getHeight() - MARGIN - (Math.floor(at / TAGS.across) + 1) * height;
    pen.box(x, y, width, height, true);
    pen.text(piece.tag, x + 10, y + height / 2 - 6, 24, { bold: true });
    const left = x + 16 + Math.max(44, pen.bold.widthOfTextAtSize(piece.tag, 24));
    const room = x + width - left - 6;
    pen
      .lines(piece.part, 9, room, true)
      .slice(0, 2)
      .forEach((line, k) => pen.text(line, left, y + height - 18 - k * 11, 9, { bold: true }));
    pen
      .lines(piece.of, 8, room)
      .slice(0, 2)
      .forEach((line, k) => pen.text(line, left, y + height - 42 - k * 10, 8));
    pen.text(pen.lines(o.cover.name, 7, room)[0] ?? '', left, y + 6, 7, { quiet: true });
  });
  return book.save();
}
