/** Stiff sheets for the panels of an assembly: which sheets, what lies where, and the cuts in order. */
import { type FlatDone, type FlatStuff, type ShelfSheet, isFlatCut } from './onHand';
import type { SheetSize, StiffSheet } from '../../catalog/types';
import { type Flat, area, outlineSize } from '../../base/geometry';
import type { Panel } from '../../cover/assembly/types';
import { type LengthUnit, formatLength } from '../../base/length';
import { leftovers, onShelf } from './flat';
import { type Blank, headToTail } from './nest';
import { type PlacedPiece, type Stock, holdsAlone, packSheets, sawMm } from './sheets';

/** A part by its true outline, in the coordinates of the sheet. */
interface OutlinedPiece extends PlacedPiece {
  readonly outline: readonly Flat[];
}

/** One sheet and what is sawn from it, strip by strip: every cut runs from edge to edge. */
export interface SheetCut {
  readonly sheet: StiffSheet;
  readonly label: string;
  readonly size: SheetSize;
  readonly price: number;
  readonly fromShelf: boolean;
  /** The rectangles that are sawn first; two parts may come out of one. */
  readonly blanks: readonly PlacedPiece[];
  readonly placed: readonly OutlinedPiece[];
  /** Everything worth keeping of it. */
  readonly left: readonly FlatStuff[];
  readonly usedShare: number;
}

export interface SheetCuts {
  readonly sheets: readonly SheetCut[];
  /** Pieces that no sheet on sale holds. */
  readonly tooLarge: readonly { readonly tag: string; readonly sheet: StiffSheet }[];
}

/** One cut across the whole of what is in hand, in the order they are made. */
interface SawCut {
  /** Across the sheet, or along it within one strip. */
  readonly way: 'across' | 'along';
  /** From the edge where the tape hooks, mm. */
  readonly atMm: number;
  /** The strip that is cut, counted from that edge; not of the first cuts, across the whole sheet. */
  readonly strip: number | undefined;
  /** The piece that is cut shorter than its strip; only of the last cuts. */
  readonly piece?: string;
}

/** The cuts of one sheet in order: first across into strips, then along each strip, then what is shorter than its strip. */
export function cutsInOrder(
  size: Pick<Stock, 'widthMm' | 'lengthMm'>,
  placed: readonly PlacedPiece[],
): readonly SawCut[] {
  const strips = [...new Set(placed.map((p) => p.yMm))].sort((a, b) => a - b);
  const inStrip = strips.map((y) => placed.filter((p) => p.yMm === y).sort((a, b) => a.xMm - b.xMm));
  const across = inStrip.flatMap((list): SawCut[] => {
    const atMm = Math.max(...list.map((p) => p.yMm + p.lengthMm));
    return atMm < size.lengthMm - 1 ? [{ way: 'across', atMm, strip: undefined }] : [];
  });
  const along = inStrip.flatMap((list, i) =>
    list.flatMap((p): SawCut[] =>
      p.xMm + p.widthMm < size.widthMm - 1 ? [{ way: 'along', atMm: p.xMm + p.widthMm, strip: i + 1 }] : [],
    ),
  );
  const trims = inStrip.flatMap((list, i) => {
    const end = Math.max(...list.map((p) => p.yMm + p.lengthMm));
    return list.flatMap((p): SawCut[] =>
      p.yMm + p.lengthMm < end - 1 ? [{ way: 'across', atMm: p.yMm + p.lengthMm, strip: i + 1, piece: p.tag }] : [],
    );
  });
  return [...across, ...along, ...trims];
}

/** The cuts of a sheet in order, as a person says them. */
export function cutsText(cut: Pick<SheetCut, 'size' | 'blanks'>, unit: LengthUnit): string {
  const cuts = cutsInOrder(cut.size, cut.blanks);
  const at = (c: SawCut): string => formatLength(c.atMm, unit);
  const across = cuts.filter((c) => c.strip === undefined).map(at);
  const trims = cuts.flatMap((c) => (c.piece === undefined ? [] : [`${c.piece} at ${at(c)}`]));
  const along = cuts.filter((c) => c.way === 'along').map((c) => `strip ${c.strip ?? 1} at ${at(c)}`);
  return [
    ...(across.length > 0 ? [`across at ${across.join(', ')}`] : []),
    ...(along.length > 0 ? [`along ${along.join(', ')}`] : []),
    ...(trims.length > 0 ? [`across ${trims.join(', ')}`] : []),
    ...cut.blanks.filter((b) => b.tag.includes(' + ')).map((b) => `${b.tag} apart between their slopes`),
  ].join('; then ');
}

/** A blank as wide as it was asked for lies as it was asked, mm. */
const SAME_MM = 0.5;

/** How a panel may lie on its sheet, channels along the sheet's length, otherwise either way; and its outline in that blank. */
function asBlank(p: Panel): Blank {
  const { uMm, vMm } = outlineSize(p.outline);
  const [u0, v0] = [0, 1].map((i) => Math.min(...p.outline.map((c) => c[i] ?? 0)));
  const lying = p.channels === 'u';
  const outline = p.outline.map(([u, v]): Flat => {
    const [a, b] = [u - (u0 ?? 0), v - (v0 ?? 0)];
    // A quarter turn: swapped alone it would be seen from its other face.
    return lying ? [b, uMm - a] : [a, b];
  });
  const [widthMm, lengthMm] = lying ? [vMm, uMm] : [uMm, vMm];
  return {
    piece: { tag: p.tag, widthMm, lengthMm, turns: p.channels === undefined },
    parts: [{ tag: p.tag, outline }],
  };
}

/** The parts of a blank where it lies on its sheet. */
function partsOf(blank: Blank, at: PlacedPiece): readonly OutlinedPiece[] {
  const turned = Math.abs(at.widthMm - blank.piece.widthMm) > SAME_MM;
  return blank.parts.map(({ tag, outline }) => {
    const corners = outline.map(([a, b]): Flat =>
      turned ? [at.xMm + b, at.yMm + blank.piece.widthMm - a] : [at.xMm + a, at.yMm + b],
    );
    const [xs, ys] = [corners.map((c) => c[0]), corners.map((c) => c[1])];
    const [xMm, yMm] = [Math.min(...xs), Math.min(...ys)];
    return { tag, xMm, yMm, widthMm: Math.max(...xs) - xMm, lengthMm: Math.max(...ys) - yMm, outline: corners };
  });
}

/** Blanks on sheets: each by itself, or two and two head to tail where their sheets then cost less, or are less used. */
function cachedLayout<S extends Stock>(blanks: readonly Blank[], sizes: readonly S[], kerf: number) {
  const onSheets = (list: readonly Blank[]) => {
    const sheets =
      packSheets(
        list.map((b) => b.piece),
        sizes,
        sawMm(kerf),
      ) ?? [];
    const cost = sheets.reduce((sum, s) => sum + s.size.price, 0);
    const used = sheets.reduce((sum, s) => sum + s.endMm * s.size.widthMm, 0);
    return { blanks: list, sheets, cost, used };
  };
  const paired = headToTail(blanks, 2 * kerf);
  const one = onSheets(blanks);
  if (paired.length === blanks.length) return one;
  const two = onSheets(paired);
  // A pair may be too large for any sheet though each of it fits.
  if (two.sheets.length === 0) return one;
  return two.cost < one.cost - 1e-9 || (two.cost < one.cost + 1e-9 && two.used < one.used - 1) ? two : one;
}

/**
 * Sheets for every panel of an assembly that is not cut yet, kind by kind, those of the shelf first. Old windows are taken as they
 * are and need none.
 * @returns sheets with what is placed on each, mm; and panels that are larger than any sheet
 */
export function planSheets(
  panels: readonly Panel[],
  price: (size: SheetSize) => number,
  shelf: readonly ShelfSheet[] = [],
  done: readonly FlatDone[] = [],
): SheetCuts {
  const groups = new Map<string, Panel[]>();
  for (const p of panels)
    if (p.sheet.sizes.length > 0) groups.set(p.sheet.key, [...(groups.get(p.sheet.key) ?? []), p]);
  const sheets: SheetCut[] = [];
  const tooLarge: { tag: string; sheet: StiffSheet }[] = [];
  for (const group of groups.values()) {
    const sheet = group[0]?.sheet;
    if (!sheet) continue;
    const all = group.map(asBlank).filter(({ piece: p }) => !isFlatCut(done, p.tag, sheet.key, p.widthMm, p.lengthMm));
    const sizes: readonly (SheetSize & Stock)[] = [
      ...onShelf(shelf, 'sheet', sheet.key).map((own) => ({ ...own, key: own.id })),
      ...sheet.sizes.map((size) => ({ ...size, price: price(size) })),
    ];
    const fits = new Set(all.filter(({ piece }) => holdsAlone(piece, sizes, sawMm(sheet.kerfMm))));
    for (const { piece } of all.filter((b) => !fits.has(b))) tooLarge.push({ tag: piece.tag, sheet });
    const laid = cachedLayout([...fits], sizes, sheet.kerfMm);
    for (const s of laid.sheets) {
      const placed = s.placed.flatMap((p) =>
        laid.blanks.filter((b) => b.piece.tag === p.tag).flatMap((b) => partsOf(b, p)),
      );
      sheets.push({
        sheet,
        label: `Sheet ${sheets.length + 1}`,
        size: s.size,
        price: s.size.price,
        fromShelf: s.size.available !== undefined,
        blanks: s.placed,
        placed,
        left: leftovers(s.size, s.placed, sheet.kerfMm),
        usedShare: placed.reduce((sum, p) => sum + area(p.outline), 0) / (s.size.widthMm * s.size.lengthMm),
      });
    }
  }
  return { sheets, tooLarge };
}
