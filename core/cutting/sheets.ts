import type { Corner2, Panel } from '../assembly/types';
import { outlineArea, outlineSize } from '../assembly/pieces';
import { type SheetSize, type StiffSheet, stiffSheet } from '../catalog/sheets';
import { type LengthUnit, formatLength } from '../units/length';
import { type Blank, headToTail } from './nest';
import { type FlatDone, type ShelfCondition, isFlatCut } from './tickOff';

/** A rectangle to cut: across and along the sheet, and whether it may be turned. */
export interface SheetPiece {
  readonly tag: string;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly turns: boolean;
}

/** Where a piece lies on its sheet, from the corner where the tape hooks. */
export interface PlacedPiece {
  readonly tag: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly lengthMm: number;
}

/** A part by its true outline, in the coordinates of the sheet. */
export interface OutlinedPiece extends PlacedPiece {
  readonly outline: readonly Corner2[];
}

/** One sheet and what is sawn from it, strip by strip: every cut runs from edge to edge. */
export interface SheetCut {
  readonly sheetKey: string;
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

/** A flat piece of something, mm; the length is along the channels of a sheet, or along the roll. */
export interface FlatStuff {
  readonly widthMm: number;
  readonly lengthMm: number;
}

/** Sheets and rolls on hand, whole or what is left of them. */
export interface ShelfSheet extends FlatStuff {
  readonly id: string;
  readonly kind: 'sheet' | 'cover';
  readonly key: string;
  readonly quantity: number;
  readonly condition: ShelfCondition;
}

export interface SheetCuts {
  readonly sheets: readonly SheetCut[];
  /** Pieces that no sheet on sale holds. */
  readonly tooLarge: readonly { readonly tag: string; readonly sheetKey: string }[];
}

interface Strip {
  yMm: number;
  heightMm: number;
  freeMm: number;
}

interface OpenSheet<S extends Stock> {
  readonly size: S;
  readonly strips: Strip[];
  readonly placed: PlacedPiece[];
  endMm: number;
}

/** A sheet that can be bought, or of which there are only so many. */
export interface Stock {
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly price: number;
  readonly available?: number | undefined;
}

const SLACK_MM = 0.5;
/** What is narrower than this is not worth keeping, mm. */
const KEPT_MM = 250;

/** What of the shelf may be cut from: sheets or rolls of one thing, worn ones left out; they cost nothing. */
export function onShelf(
  shelf: readonly ShelfSheet[],
  kind: ShelfSheet['kind'],
  key: string,
): readonly (FlatStuff & { readonly id: string; readonly price: 0; readonly available: number })[] {
  return shelf
    .filter((s) => s.kind === kind && s.key === key && s.quantity > 0 && s.condition !== 'worn')
    .map(({ id, widthMm, lengthMm, quantity }) => ({ id, widthMm, lengthMm, price: 0, available: quantity }));
}

/** What is left of a sheet or roll once it is cut strip by strip: its far end, and the end of each strip. */
export function leftovers(size: FlatStuff, placed: readonly PlacedPiece[], kerf: number): readonly FlatStuff[] {
  const starts = [...new Set(placed.map((p) => p.yMm))];
  const strips = starts.map((y) => placed.filter((p) => p.yMm === y));
  const end = Math.max(0, ...placed.map((p) => p.yMm + p.lengthMm));
  return [
    { widthMm: size.widthMm, lengthMm: size.lengthMm - end - kerf },
    ...strips.map((list) => ({
      widthMm: size.widthMm - Math.max(...list.map((p) => p.xMm + p.widthMm)) - kerf,
      lengthMm: Math.max(...list.map((p) => p.lengthMm)),
    })),
  ].filter((s) => Math.min(s.widthMm, s.lengthMm) >= KEPT_MM);
}

/** The ways a piece may lie on a sheet, the flatter strip first. */
function ways(p: SheetPiece): readonly (readonly [widthMm: number, lengthMm: number])[] {
  const straight = [p.widthMm, p.lengthMm] as const;
  if (!p.turns) return [straight];
  const turned = [p.lengthMm, p.widthMm] as const;
  return p.lengthMm <= p.widthMm ? [straight, turned] : [turned, straight];
}

/** Puts a piece on an open sheet: in the strip that it leaves least of, or in a new one. */
function place<S extends Stock>(sheet: OpenSheet<S>, p: SheetPiece, kerf: number): boolean {
  let best: { strip: Strip; w: number; l: number; waste: number } | undefined;
  for (const [w, l] of ways(p))
    for (const strip of sheet.strips) {
      if (w > strip.freeMm + SLACK_MM || l > strip.heightMm + SLACK_MM) continue;
      const waste = strip.heightMm - l;
      if (!best || waste < best.waste) best = { strip, w, l, waste };
    }
  if (!best)
    for (const [w, l] of ways(p)) {
      if (w > sheet.size.widthMm + SLACK_MM || sheet.endMm + l > sheet.size.lengthMm + SLACK_MM) continue;
      const strip: Strip = { yMm: sheet.endMm, heightMm: l, freeMm: sheet.size.widthMm };
      sheet.strips.push(strip);
      sheet.endMm += l + kerf;
      best = { strip, w, l, waste: 0 };
      break;
    }
  if (!best) return false;
  const { strip, w, l } = best;
  sheet.placed.push({ tag: p.tag, xMm: sheet.size.widthMm - strip.freeMm, yMm: strip.yMm, widthMm: w, lengthMm: l });
  strip.freeMm -= w + kerf;
  return true;
}

function opened<S extends Stock>(size: S): OpenSheet<S> {
  return { size, strips: [], placed: [], endMm: 0 };
}

function fits(pieces: readonly SheetPiece[], size: Stock, kerf: number): boolean {
  const sheet = opened(size);
  return pieces.every((p) => place(sheet, p, kerf));
}

/**
 * Fills sheets in one order of pieces, opening the first size of the list that holds the next piece and is still there.
 * Eager: what costs nothing is opened before a piece goes on a sheet that is paid for.
 */
function fill<S extends Stock>(
  pieces: readonly SheetPiece[],
  order: readonly S[],
  kerf: number,
  eager: boolean,
): readonly OpenSheet<S>[] | undefined {
  const sheets: OpenSheet<S>[] = [];
  const left = new Map(order.map((s) => [s, s.available ?? Infinity]));
  for (const p of pieces) {
    const free = (s: S): boolean => eager && s.price === 0;
    const holds = (s: S): boolean => (left.get(s) ?? 0) > 0 && fits([p], s, kerf);
    if (sheets.some((s) => free(s.size) && place(s, p, kerf))) continue;
    const spare = order.find((s) => free(s) && holds(s));
    if (!spare && sheets.some((s) => place(s, p, kerf))) continue;
    const size = spare ?? order.find(holds);
    if (!size) return undefined;
    left.set(size, (left.get(size) ?? 0) - 1);
    const fresh = opened(size);
    place(fresh, p, kerf);
    sheets.push(fresh);
  }
  // What is on a sheet may go on a cheaper one just as well.
  return sheets.map((s) => {
    const mine = pieces.filter((p) => s.placed.some((q) => q.tag === p.tag));
    let best = s;
    for (const other of order) {
      if ((left.get(other) ?? 0) <= 0 || other.price >= best.size.price) continue;
      const moved = opened(other);
      if (mine.every((p) => place(moved, p, kerf))) best = moved;
    }
    if (best !== s) {
      left.set(s.size, (left.get(s.size) ?? 0) + 1);
      left.set(best.size, (left.get(best.size) ?? 0) - 1);
    }
    return best;
  });
}

const ORDERS: readonly ((a: SheetPiece, b: SheetPiece) => number)[] = [
  (a, b) => Math.max(b.widthMm, b.lengthMm) - Math.max(a.widthMm, a.lengthMm) || b.widthMm - a.widthMm,
  (a, b) => b.widthMm * b.lengthMm - a.widthMm * a.lengthMm,
  (a, b) => Math.min(b.widthMm, b.lengthMm) - Math.min(a.widthMm, a.lengthMm) || b.lengthMm - a.lengthMm,
];

/**
 * Rectangles on sheets by two-stage guillotine strips: every order of pieces with every size tried first, and the cheapest
 * of all, then the least area. What costs nothing is always used first. Not proven best.
 * Source: shelf heuristics, E. G. Coffman, M. R. Garey, D. S. Johnson, R. E. Tarjan, SIAM J. Comput. 9 (1980) 808-826.
 * @returns undefined when some piece fits no sheet, or there are too few of them
 */
export function packSheets<S extends Stock>(
  pieces: readonly SheetPiece[],
  sizes: readonly S[],
  kerf: number,
): readonly OpenSheet<S>[] | undefined {
  const free = sizes.filter((s) => s.price === 0);
  const bought = sizes.filter((s) => s.price > 0);
  const cost = (sheets: readonly OpenSheet<S>[]): number => sheets.reduce((sum, s) => sum + s.size.price, 0);
  // What is bought, that is: using up the shelf is no waste.
  const area = (sheets: readonly OpenSheet<S>[]): number =>
    sheets.reduce((sum, s) => sum + (s.size.price > 0 ? s.size.widthMm * s.size.lengthMm : 0), 0);
  let best: readonly OpenSheet<S>[] | undefined;
  const firsts = bought.length > 0 ? bought : [undefined];
  for (const eager of free.length > 0 ? [true, false] : [false])
    for (const first of firsts)
      for (const order of ORDERS) {
        const rest = bought.filter((s) => s !== first).sort((a, b) => a.price - b.price);
        const found = fill([...pieces].sort(order), [...free, ...(first ? [first] : []), ...rest], kerf, eager);
        if (!found) continue;
        const better = !best || cost(found) < cost(best) - 1e-9;
        if (better || (best && cost(found) < cost(best) + 1e-9 && area(found) < area(best))) best = found;
      }
  return best;
}

/** No plan costs less: the area of all pieces at the cheapest price by area, and never less than one sheet. */
export function sheetBound(pieces: readonly SheetPiece[], sizes: readonly Stock[]): number {
  const area = pieces.reduce((sum, p) => sum + p.widthMm * p.lengthMm, 0);
  // Free sheets take off what they can hold at the most.
  const free = sizes
    .filter((s) => s.price === 0)
    .reduce((sum, s) => sum + s.widthMm * s.lengthMm * (s.available ?? Infinity), 0);
  const bought = sizes.filter((s) => s.price > 0);
  const left = area - free;
  if (left <= 0 || bought.length === 0) return 0;
  const rate = Math.min(...bought.map((s) => s.price / (s.widthMm * s.lengthMm)));
  return Math.max(left * rate, Math.min(...bought.map((s) => s.price)));
}

/** One cut across the whole of what is in hand, in the order they are made. */
export interface SawCut {
  /** Across the sheet, or along it within one strip. */
  readonly way: 'across' | 'along';
  /** From the edge where the tape hooks, mm. */
  readonly atMm: number;
  /** The strip that is cut, counted from that edge; only of cuts along. */
  readonly strip: number | undefined;
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
  return [...across, ...along];
}

/** The cuts of a sheet in order, as a person says them. */
export function cutsText(cut: Pick<SheetCut, 'size' | 'blanks'>, unit: LengthUnit): string {
  const cuts = cutsInOrder(cut.size, cut.blanks);
  const at = (c: SawCut): string => formatLength(c.atMm, unit);
  const across = cuts.filter((c) => c.way === 'across').map(at);
  const along = cuts.filter((c) => c.way === 'along').map((c) => `strip ${c.strip ?? 1} at ${at(c)}`);
  return [
    ...(across.length > 0 ? [`across at ${across.join(', ')}`] : []),
    ...(along.length > 0 ? [`along ${along.join(', ')}`] : []),
    ...cut.blanks.filter((b) => b.tag.includes(' + ')).map((b) => `${b.tag} apart between their slopes`),
  ].join('; then ');
}

/** How a panel may lie on its sheet, channels along the sheet's length, otherwise either way; and its outline in that blank. */
function asBlank(p: Panel): Blank {
  const { uMm, vMm } = outlineSize(p.outline);
  const [u0, v0] = [0, 1].map((i) => Math.min(...p.outline.map((c) => c[i] ?? 0)));
  const lying = p.channels === 'u';
  const outline = p.outline.map(([u, v]): Corner2 => {
    const [a, b] = [u - (u0 ?? 0), v - (v0 ?? 0)];
    return lying ? [b, a] : [a, b];
  });
  const [widthMm, lengthMm] = lying ? [vMm, uMm] : [uMm, vMm];
  return {
    piece: { tag: p.tag, widthMm, lengthMm, turns: p.channels === undefined },
    parts: [{ tag: p.tag, outline }],
  };
}

/** The parts of a blank where it lies on its sheet. */
function partsOf(blank: Blank, at: PlacedPiece): readonly OutlinedPiece[] {
  const turned = Math.abs(at.widthMm - blank.piece.widthMm) > SLACK_MM;
  return blank.parts.map(({ tag, outline }) => {
    const corners = outline.map(([a, b]): Corner2 =>
      turned ? [at.xMm + b, at.yMm + blank.piece.widthMm - a] : [at.xMm + a, at.yMm + b],
    );
    const [xs, ys] = [corners.map((c) => c[0]), corners.map((c) => c[1])];
    const [xMm, yMm] = [Math.min(...xs), Math.min(...ys)];
    return { tag, xMm, yMm, widthMm: Math.max(...xs) - xMm, lengthMm: Math.max(...ys) - yMm, outline: corners };
  });
}

/** Of two ways to make the blanks, the one whose sheets cost less, then are smaller; the first when they are alike. */
function cheaper(
  one: readonly Blank[],
  other: readonly Blank[],
  sizes: readonly Stock[],
  kerf: number,
): readonly Blank[] {
  if (other.length === one.length) return one;
  const sheetsOf = (blanks: readonly Blank[]) =>
    packSheets(
      blanks.map((b) => b.piece),
      sizes,
      kerf,
    );
  const weigh = (found: ReturnType<typeof sheetsOf>): readonly [number, number] => [
    found?.reduce((sum, s) => sum + s.size.price, 0) ?? Infinity,
    found?.reduce((sum, s) => sum + s.endMm * s.size.widthMm, 0) ?? Infinity,
  ];
  const [[costA, usedA], [costB, usedB]] = [weigh(sheetsOf(one)), weigh(sheetsOf(other))];
  return costB < costA - 1e-9 || (costB < costA + 1e-9 && usedB < usedA - 1) ? other : one;
}

/** Sheets for every panel of an assembly that is not cut yet, kind by kind, those of the shelf first. Old windows are taken as they are and need none. */
export function planSheets(
  panels: readonly Panel[],
  price: (size: SheetSize) => number,
  shelf: readonly ShelfSheet[] = [],
  done: readonly FlatDone[] = [],
): SheetCuts {
  const groups = new Map<StiffSheet, Panel[]>();
  for (const p of panels) {
    const sheet = stiffSheet(p.sheetKey);
    if (sheet.sizes.length > 0) groups.set(sheet, [...(groups.get(sheet) ?? []), p]);
  }
  const sheets: SheetCut[] = [];
  const tooLarge: { tag: string; sheetKey: string }[] = [];
  for (const [sheet, group] of groups) {
    const all = group.map(asBlank).filter(({ piece: p }) => !isFlatCut(done, p.tag, sheet.key, p.widthMm, p.lengthMm));
    const sizes: readonly (SheetSize & Stock)[] = [
      ...onShelf(shelf, 'sheet', sheet.key).map((own) => ({ ...own, key: own.id })),
      ...sheet.sizes.map((size) => ({ ...size, price: price(size) })),
    ];
    const goes = ({ piece }: Blank): boolean => packSheets([piece], sizes, sheet.kerfMm) !== undefined;
    tooLarge.push(...all.filter((b) => !goes(b)).map((b) => ({ tag: b.piece.tag, sheetKey: sheet.key })));
    const whole = all.filter(goes);
    const blanks = cheaper(whole, headToTail(whole, 2 * sheet.kerfMm), sizes, sheet.kerfMm);
    for (const s of packSheets(
      blanks.map((b) => b.piece),
      sizes,
      sheet.kerfMm,
    ) ?? []) {
      const placed = s.placed.flatMap((p) => blanks.filter((b) => b.piece.tag === p.tag).flatMap((b) => partsOf(b, p)));
      sheets.push({
        sheetKey: sheet.key,
        label: `Sheet ${sheets.length + 1}`,
        size: s.size,
        price: s.size.price,
        fromShelf: s.size.available !== undefined,
        blanks: s.placed,
        placed,
        left: leftovers(s.size, s.placed, sheet.kerfMm),
        usedShare: placed.reduce((sum, p) => sum + outlineArea(p.outline), 0) / (s.size.widthMm * s.size.lengthMm),
      });
    }
  }
  return { sheets, tooLarge };
}
