import type { Panel } from '../assembly/types';
import { outlineSize } from '../assembly/pieces';
import { type SheetSize, type StiffSheet, stiffSheet } from '../catalog/sheets';

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

/** One sheet and what is sawn from it, strip by strip: every cut runs from edge to edge. */
export interface SheetCut {
  readonly sheetKey: string;
  readonly label: string;
  readonly size: SheetSize;
  readonly price: number;
  readonly placed: readonly PlacedPiece[];
  readonly usedShare: number;
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

interface OpenSheet {
  readonly size: SheetSize;
  readonly strips: Strip[];
  readonly placed: PlacedPiece[];
  endMm: number;
}

const SLACK_MM = 0.5;

/** The ways a piece may lie on a sheet, the flatter strip first. */
function ways(p: SheetPiece): readonly (readonly [widthMm: number, lengthMm: number])[] {
  const straight = [p.widthMm, p.lengthMm] as const;
  if (!p.turns) return [straight];
  const turned = [p.lengthMm, p.widthMm] as const;
  return p.lengthMm <= p.widthMm ? [straight, turned] : [turned, straight];
}

/** Puts a piece on an open sheet: in the strip that it leaves least of, or in a new one. */
function place(sheet: OpenSheet, p: SheetPiece, kerf: number): boolean {
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

function fill(pieces: readonly SheetPiece[], size: SheetSize, kerf: number): OpenSheet[] | undefined {
  const sheets: OpenSheet[] = [];
  for (const p of pieces) {
    if (sheets.some((s) => place(s, p, kerf))) continue;
    const fresh: OpenSheet = { size, strips: [], placed: [], endMm: 0 };
    if (!place(fresh, p, kerf)) return undefined;
    sheets.push(fresh);
  }
  return sheets;
}

/**
 * Rectangles on sheets by two-stage guillotine strips, tallest first; the cheapest single size wins, and then the last
 * sheet is tried in every smaller size.
 * Source: shelf heuristics, E. G. Coffman, M. R. Garey, D. S. Johnson, R. E. Tarjan, SIAM J. Comput. 9 (1980) 808-826.
 */
export function packSheets(
  pieces: readonly SheetPiece[],
  sizes: readonly SheetSize[],
  kerf: number,
  price: (size: SheetSize) => number,
): readonly OpenSheet[] | undefined {
  const sorted = [...pieces].sort(
    (a, b) => Math.max(b.widthMm, b.lengthMm) - Math.max(a.widthMm, a.lengthMm) || b.widthMm - a.widthMm,
  );
  const cost = (sheets: readonly OpenSheet[]): number => sheets.reduce((sum, s) => sum + price(s.size), 0);
  let best: readonly OpenSheet[] | undefined;
  for (const size of sizes) {
    const whole = fill(sorted, size, kerf);
    if (!whole) continue;
    const improved = whole.map((s) => {
      const mine = sorted.filter((p) => s.placed.some((q) => q.tag === p.tag));
      const smaller = sizes
        .map((other) => fill(mine, other, kerf))
        .filter((f): f is OpenSheet[] => f?.length === 1)
        .map((f) => f[0] as OpenSheet);
      return smaller.reduce((least, f) => (price(f.size) < price(least.size) ? f : least), s);
    });
    if (!best || cost(improved) < cost(best)) best = improved;
  }
  return best;
}

/** How a panel may lie on its sheet: channels along the sheet's length, otherwise either way. */
function asPiece(p: Panel): SheetPiece {
  const { uMm, vMm } = outlineSize(p.outline);
  const [widthMm, lengthMm] = p.channels === 'u' ? [vMm, uMm] : [uMm, vMm];
  return { tag: p.tag, widthMm, lengthMm, turns: p.channels === undefined };
}

/** Sheets for every panel of an assembly, kind by kind. Old windows are taken as they are and need none. */
export function planSheets(panels: readonly Panel[], price: (size: SheetSize) => number): SheetCuts {
  const groups = new Map<StiffSheet, Panel[]>();
  for (const p of panels) {
    const sheet = stiffSheet(p.sheetKey);
    if (sheet.sizes.length > 0) groups.set(sheet, [...(groups.get(sheet) ?? []), p]);
  }
  const sheets: SheetCut[] = [];
  const tooLarge: { tag: string; sheetKey: string }[] = [];
  for (const [sheet, group] of groups) {
    const all = group.map(asPiece);
    const fits = (p: SheetPiece): boolean => packSheets([p], sheet.sizes, sheet.kerfMm, price) !== undefined;
    tooLarge.push(...all.filter((p) => !fits(p)).map((p) => ({ tag: p.tag, sheetKey: sheet.key })));
    const packed = packSheets(all.filter(fits), sheet.sizes, sheet.kerfMm, price) ?? [];
    for (const s of packed)
      sheets.push({
        sheetKey: sheet.key,
        label: `Sheet ${sheets.length + 1}`,
        size: s.size,
        price: price(s.size),
        placed: s.placed,
        usedShare: s.placed.reduce((sum, p) => sum + p.widthMm * p.lengthMm, 0) / (s.size.widthMm * s.size.lengthMm),
      });
  }
  return { sheets, tooLarge };
}
