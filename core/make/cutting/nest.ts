/** Flat parts that are no rectangles, laid head to tail so that two share what their slopes leave. */
import type { Flat } from '../../base/geometry';
import type { SheetPiece } from './sheets';

/** A part within its blank, from the blank's corner. */
interface BlankPart {
  readonly tag: string;
  readonly outline: readonly Flat[];
}

/** A rectangle that is cut first, and the parts that then come out of it. */
export interface Blank {
  readonly piece: SheetPiece;
  readonly parts: readonly BlankPart[];
}

/** Less saved than this is not worth the worse cut. */
const WORTH = 0.03;

const swapped = (outline: readonly Flat[]): readonly Flat[] => outline.map(([a, b]) => [b, a] as const);

/** How far the outline reaches to the right at a height. */
function reach(outline: readonly Flat[], at: number): number {
  let right = 0;
  outline.forEach(([a0, b0], i) => {
    const [a1, b1] = outline[(i + 1) % outline.length] ?? [a0, b0];
    const [low, high] = [Math.min(b0, b1), Math.max(b0, b1)];
    if (at < low || at > high) return;
    right = Math.max(right, high === low ? Math.max(a0, a1) : a0 + ((a1 - a0) * (at - b0)) / (b1 - b0));
  });
  return right;
}

/**
 * How far a part has to be moved so that the same part, turned half round, lies clear beside it. Both reach in straight lines
 * between their corners, so the nearest is at the height of a corner of one of them.
 */
function step(outline: readonly Flat[], width: number, height: number, gap: number): number {
  const heights = outline.flatMap(([, b]) => [b, height - b]);
  return Math.max(...heights.map((b) => reach(outline, b) + reach(outline, height - b))) - width + gap;
}

function beside(blank: Blank, tag: string, gap: number): Blank | undefined {
  const { widthMm, lengthMm, turns } = blank.piece;
  const outline = blank.parts[0]?.outline ?? [];
  const across = step(outline, widthMm, lengthMm, gap);
  const along = step(swapped(outline), lengthMm, widthMm, gap);
  const wide = across + widthMm <= along + lengthMm || across * lengthMm <= along * widthMm;
  const [da, db] = wide ? [across, 0] : [0, along];
  if ((widthMm + da) * (lengthMm + db) > 2 * widthMm * lengthMm * (1 - WORTH)) return undefined;
  return {
    piece: { tag: `${blank.piece.tag} + ${tag}`, widthMm: widthMm + da, lengthMm: lengthMm + db, turns },
    parts: [...blank.parts, { tag, outline: outline.map(([a, b]) => [widthMm - a + da, lengthMm - b + db] as const) }],
  };
}

const same = (a: readonly Flat[], b: readonly Flat[]): boolean =>
  a.length === b.length &&
  a.every(([x, y], i) => Math.abs(x - (b[i]?.[0] ?? NaN)) < 0.5 && Math.abs(y - (b[i]?.[1] ?? NaN)) < 0.5);

/**
 * Blanks with parts of one outline laid head to tail, two and two, where that saves sheet. A straight cut parts them wherever their
 * outline is convex.
 * @param gap what the saw takes between them, mm
 */
export function headToTail(blanks: readonly Blank[], gap: number): readonly Blank[] {
  const left = [...blanks];
  const found: Blank[] = [];
  for (let first = left.shift(); first; first = left.shift()) {
    const at = left.findIndex((b) => same(b.parts[0]?.outline ?? [], first?.parts[0]?.outline ?? []));
    const pair = at < 0 ? undefined : beside(first, left[at]?.piece.tag ?? '', gap);
    if (pair) left.splice(at, 1);
    found.push(pair ?? first);
  }
  return found;
}
