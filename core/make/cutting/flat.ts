/** Sheets and rolls as they lie on the shelf, and what is left of one when it is cut. */
import type { PlacedPiece } from './sheets';
import type { FlatStuff, ShelfSheet } from './onHand';

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
