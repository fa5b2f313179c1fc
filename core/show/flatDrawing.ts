/** Stiff sheets and rolls laid flat to scale, with what is cut from them and what is left over. */
import type { Flat } from '../base/geometry';
import { type Preferences, formatAmount } from '../base/amount';
import { type LengthUnit, formatLength } from '../base/length';
import type { SheetCut } from '../make/cutting/panels';
import type { RollCut } from '../make/rolls/rolls';
import { cutMarks } from './cutMarks';
import { type Fill, type Lettering, type DrawnMark, type MarkList, box } from './drawing';

/** What lies on it: its corners from the upper left, along and down, mm. */
interface FlatPiece {
  readonly tag: string;
  readonly words: string;
  readonly corners: readonly Flat[];
  readonly middle: Flat;
  readonly sizeMm: Flat;
}

/** A sheet or a roll on its long side. */
export interface FlatStock {
  readonly longMm: number;
  readonly wideMm: number;
  readonly fill: Fill;
  readonly pieces: readonly FlatPiece[];
  /** Where it is cut across, from its left end, mm. */
  readonly cutsMm: readonly number[];
  /** A measure along it, as it is read. */
  readonly figure: (mm: number) => string;
}

const flatPiece = (
  tag: string,
  words: string,
  [along, down]: Flat,
  [long, wide]: Flat,
  corners: readonly Flat[] = box(along, down, long, wide),
): FlatPiece => ({ tag, words, corners, middle: [along + long / 2, down + wide / 2], sizeMm: [long, wide] });

/** A stiff sheet with its pieces, each with its size. */
export const sheetStock = (cut: SheetCut, unit: LengthUnit): FlatStock => ({
  longMm: cut.size.lengthMm,
  wideMm: cut.size.widthMm,
  fill: cut.sheet.kind === 'plywood' ? 'timber' : 'pipe',
  pieces: cut.placed.map((p) =>
    flatPiece(
      p.tag,
      `${formatLength(p.lengthMm, unit)} × ${formatLength(p.widthMm, unit)}`,
      [p.yMm, p.xMm],
      [p.lengthMm, p.widthMm],
      p.outline.map(([down, along]): Flat => [along, down]),
    ),
  ),
  cutsMm: [...new Set(cut.blanks.map((p) => p.yMm + p.lengthMm))],
  figure: (mm) => formatLength(mm, unit),
});

/** A roll with its sheets, drawn a little further than it is used. */
export function rollStock(cut: RollCut, p: Preferences): FlatStock {
  const usedMm = Math.max(...cut.placed.map((s) => s.atMm + s.runMm));
  return {
    longMm: Math.min(cut.roll.lengthMm, usedMm * 1.2 + 500),
    wideMm: cut.roll.widthMm,
    fill: 'film',
    pieces: cut.placed.map((s) => flatPiece(s.tag, s.part.toLowerCase(), [s.atMm, s.sideMm], [s.runMm, s.widthMm])),
    cutsMm: [cut.roll.lengthMm - cut.leftMm],
    figure: (mm) => formatAmount(mm, 'film', p),
  };
}

/** @param high no higher than this, in the drawing's units; its width with its measures is at most `width` */
export function flatDrawing(
  stock: FlatStock,
  { width, high }: { readonly width: number; readonly high: number },
  l: Lettering,
): MarkList {
  const beside = 4.5 * l.figure;
  // Half of the last measure stands out past the end.
  const past = 2.6 * l.figure;
  const scale = Math.min((width - beside - past) / stock.longMm, high / stock.wideMm);
  const [w, h] = [stock.longMm * scale, stock.wideMm * scale];
  const at = ([along, down]: Flat): Flat => [beside + along * scale, 1 + down * scale];
  const cuts = cutMarks(
    stock.cutsMm.map((mm) => ({ x: at([mm, 0])[0], figure: stock.figure(mm) })),
    { top: 1, foot: 1 + h + 0.5 * l.figure, base: h + 1.55 * l.figure, row: 1.3 * l.figure, thick: 0.15 * l.figure },
    l,
  );
  return {
    width: beside + w + past,
    height: cuts.lowest + 0.45 * l.figure + 1,
    marks: [
      { kind: 'outline', points: box(beside, 1, w, h), fill: 'left over' },
      {
        kind: 'text',
        at: [beside - 0.6 * l.figure, 1 + h / 2 + 0.36 * l.quiet],
        text: stock.figure(stock.wideMm),
        size: l.quiet,
        ink: 'quiet',
        anchor: 'end',
        figure: true,
      },
      ...stock.pieces.flatMap((p): readonly DrawnMark[] => {
        const [x, y] = at(p.middle);
        const [long, wide] = [p.sizeMm[0] * scale, p.sizeMm[1] * scale];
        const roomy = wide > 3 * l.tag && l.widthOf(p.words, l.quiet) < long - 6;
        const text = { kind: 'text', anchor: 'middle', ink: 'ink' } as const;
        return [
          { kind: 'outline', points: p.corners.map(at), fill: stock.fill },
          { ...text, at: [x, y + (roomy ? -0.2 : 0.36) * l.tag], text: p.tag, size: l.tag, bold: true },
          ...(roomy ? [{ ...text, at: [x, y + 1.1 * l.tag], text: p.words, size: l.quiet } as const] : []),
        ];
      }),
      ...cuts.marks,
    ],
  };
}
