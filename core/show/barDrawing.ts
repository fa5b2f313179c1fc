/** Bars with the pieces that come out of them, and pieces with their marks: to scale, as a saw needs them. */
import type { Flat } from '../base/geometry';
import { type LengthUnit, formatLength, isMetric } from '../base/length';
import type { Section } from '../catalog/types';
import type { Member } from '../cover/assembly/types';
import type { CutPiece, SectionBar } from '../make/cutting/bars';
import { type Lettering, type DrawnMark, type MarkList, box } from './drawing';
import { cutMarks } from './cutMarks';
import { labelRows } from './labelRows';

/** Where a bar is drawn. */
export interface BarRoom {
  readonly width: number;
  /** Longest bar of the page, so that all are at one scale, mm. */
  readonly longestMm: number;
  readonly unit: LengthUnit;
  readonly lettering: Lettering;
  readonly barHigh: number;
  /** Room for its name beside it; above it where there is none. */
  readonly beside: number;
  /** A box to tick when it is sawn. */
  readonly ticked?: true;
}

/** Kept free beyond the longest bar, in widths of a figure's letters. */
const PAST = 3.5;

/** The corners of a piece on its bar: slanted where its ends are; ripped or tapered ones still as their blank. */
function pieceOutline(p: CutPiece, { shape }: Section, scale: number, at: Flat, w: number, h: number): readonly Flat[] {
  const wide = shape.kind === 'board' ? shape.widthMm : 0;
  const [left = 0, right = 0] = (p.endAnglesDeg ?? [0, 0]).map((deg) => wide * Math.tan((deg * Math.PI) / 180) * scale);
  const [x, y] = at;
  // A positive slant leaves the upper edge the longer.
  return [
    [x + Math.max(0, -left), y],
    [x + w - Math.max(0, -right), y],
    [x + w - Math.max(0, right), y + h],
    [x + Math.max(0, left), y + h],
  ];
}

const tagOf = (p: CutPiece): string => (p.holds === undefined ? p.tag : `${p.tag} + ${p.holds}`);

/** Tag and length of one piece: both in it where there is room, its tag alone, or neither. */
function pieceWords(
  p: CutPiece,
  from: number,
  w: number,
  base: number,
  { unit, lettering: l }: BarRoom,
): readonly DrawnMark[] {
  const figure = formatLength(p.lengthMm, unit);
  const tag = tagOf(p);
  const pad = 0.65 * l.tag;
  const tagWide = l.widthOf(tag, l.tag, true);
  const text = { kind: 'text', ink: 'ink' } as const;
  if (w > tagWide + l.widthOf(figure, l.figure) + 3 * pad)
    return [
      { ...text, at: [from + pad, base], text: tag, size: l.tag, anchor: 'start', bold: true },
      { ...text, at: [from + w - pad, base], text: figure, size: l.figure, anchor: 'end', figure: true },
    ];
  return w > tagWide + 2
    ? [{ ...text, at: [from + w / 2, base], text: tag, size: l.tag, anchor: 'middle', bold: true }]
    : [];
}

/** One bar to scale: its pieces by tag, marks that run from the tape's end in both systems, what is left over. */
export function barDrawing(bar: SectionBar, section: Section, room: BarRoom): MarkList {
  const { width, longestMm, unit, lettering: l, beside } = room;
  const left = beside > 0 ? beside : 1;
  const scale = (width - left - PAST * l.figure) / longestMm;
  const pipe = section.shape.kind === 'tube';
  const x = (mm: number): number => left + mm * scale;
  // Tags of pieces too short to hold them stand over the bar.
  const over = bar.pieces.filter((p) => p.lengthMm * scale <= l.widthOf(tagOf(p), l.tag, true) + 2);
  const overAt = (p: CutPiece): number => x(p.markMm - p.lengthMm / 2);
  const overRow = 1.08 * l.smallTag;
  const overRows = labelRows(
    over.map((p) => ({ at: overAt(p), halfWidth: l.widthOf(tagOf(p), l.smallTag, true) / 2 })),
  );
  const nameHigh = beside > 0 ? 0.6 * l.tag : 2 * l.tag;
  const y = nameHigh + (over.length > 0 ? 0.4 * l.smallTag + overRow * (1 + Math.max(...overRows)) : 0);
  const h = pipe ? room.barHigh * 0.66 : room.barHigh;
  const other = isMetric(unit) ? 'in' : 'mm';
  const whole = bar.pieces.length === 1 && bar.offcutMm < 1;
  const cuts = cutMarks(
    bar.pieces.map((p) => ({
      x: x(p.markMm),
      figure: formatLength(p.markMm, unit),
      other: formatLength(p.markMm, other),
    })),
    {
      top: y - 0.37 * l.figure,
      foot: y + h + 0.52 * l.figure,
      base: y + h + 1.55 * l.figure,
      row: 1.25 * (l.figure + l.other),
      thick: 0.15 * l.figure,
      from: beside / 2,
    },
    l,
  );
  const tick = l.tag;
  const nameX = room.ticked ? 1.6 * tick : 0;
  const nameY = beside > 0 ? y + h / 2 - 0.15 * l.tag : l.tag;
  const size = `${formatLength(bar.lengthMm, unit)}${bar.fromShelf ? ', shelf' : ''}`;
  const sizeAt: Flat = beside > 0 ? [nameX, nameY + 1.2 * l.quiet] : [nameX + 5.2 * l.tag, nameY];
  return {
    width,
    height: whole ? y + h + 0.9 * l.figure : cuts.lowest + 0.3 * l.figure,
    marks: [
      ...(room.ticked ? [{ kind: 'outline', points: box(0, nameY - tick, tick, tick), fill: 'none' } as const] : []),
      { kind: 'text', at: [nameX, nameY], text: bar.label, size: l.tag, ink: 'ink', anchor: 'start', bold: true },
      { kind: 'text', at: sizeAt, text: size, size: l.quiet, ink: 'quiet', anchor: 'start' },
      { kind: 'outline', points: box(left, y, Math.min(bar.lengthMm, longestMm) * scale, h), fill: 'left over' },
      ...bar.pieces.flatMap((p): readonly DrawnMark[] => {
        const [from, w] = [x(p.markMm - p.lengthMm), p.lengthMm * scale];
        return [
          { kind: 'outline', points: pieceOutline(p, section, scale, [from, y], w, h), fill: pipe ? 'pipe' : 'timber' },
          // Two tapered pieces out of one board are sawn apart from corner to corner.
          ...(p.holds === undefined
            ? []
            : [{ kind: 'line', from: [from, y + h], to: [from + w, y], ink: 'ink', thick: 1 } as const]),
          ...pieceWords(p, from, w, y + h / 2 + 0.36 * l.tag, room),
        ];
      }),
      ...over.map((p, i): DrawnMark => ({
        kind: 'text',
        at: [overAt(p), y - 0.65 * l.smallTag - (overRows[i] ?? 0) * overRow],
        text: tagOf(p),
        size: l.smallTag,
        ink: 'ink',
        anchor: 'middle',
        bold: true,
        over: true,
      })),
      ...(whole ? [] : cuts.marks),
    ],
  };
}

/** A piece lying down with its marks in tape order, from its left end. */
export function markedPiece(member: Member, width: number, unit: LengthUnit, l: Lettering): MarkList {
  const left = 4;
  const scale = (width - left - 3 * l.figure) / member.lengthMm;
  const board = member.section.shape.kind === 'board';
  const h = (board ? 1.9 : 1) * l.tag;
  const row = 1.26 * l.figure;
  const x = (mm: number): number => left + mm * scale;
  const labels = labelRows(member.marks.map((m) => ({ at: x(m.atMm), halfWidth: l.widthOf(m.label, l.quiet) / 2 })));
  const labelRow = 1.2 * l.quiet;
  // Lines stand out past the piece by so much.
  const over = 0.4 * l.figure;
  const y = 1.6 * l.tag + Math.max(0, ...labels) * labelRow;
  const cuts = cutMarks(
    member.marks.map((m) => ({ x: x(m.atMm), figure: formatLength(m.atMm, unit) })),
    { top: y - over, foot: y + h + over, base: y + h + 1.6 * l.figure, row, thick: 0.15 * l.figure, from: left - 2 },
    l,
  );
  const [first = { atMm: 0 }, second = { atMm: member.lengthMm }] = member.marks;
  const text = { kind: 'text', anchor: 'middle' } as const;
  return {
    width,
    height: cuts.lowest + row + 0.4 * l.figure,
    marks: [
      { kind: 'outline', points: box(left, y, member.lengthMm * scale, h), fill: board ? 'timber' : 'pipe' },
      {
        ...text,
        at: [x((first.atMm + second.atMm) / 2), y + h / 2 + 0.36 * l.tag],
        text: member.tag,
        size: l.tag,
        ink: 'ink',
        bold: true,
      },
      ...member.holes.map((hole): DrawnMark => ({
        kind: 'hole',
        at: [x(hole.atMm), y + h / 2],
        radius: Math.max(3, Math.min(h / 3, (hole.diameterMm * scale) / 2)),
      })),
      { kind: 'line', from: [left, y - over], to: [left, y + h + over], ink: 'ink', thick: 0.18 * l.figure },
      {
        kind: 'text',
        at: [left, cuts.lowest + row],
        text: '0: hook the tape here',
        size: l.quiet,
        ink: 'quiet',
        anchor: 'start',
      },
      ...member.marks.map((m, i): DrawnMark => ({
        ...text,
        at: [Math.max(x(m.atMm), l.widthOf(m.label, l.quiet) / 2), y - 0.6 * l.figure - (labels[i] ?? 0) * labelRow],
        text: m.label,
        size: l.quiet,
        ink: 'ink',
      })),
      ...cuts.marks,
    ],
  };
}
