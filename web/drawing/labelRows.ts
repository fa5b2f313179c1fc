/** Rows for labels along a line, so that none runs into another: each takes the first row that is free. */
export function labelRows(labels: readonly { readonly at: number; readonly halfWidth: number }[]): readonly number[] {
  const ends: number[] = [];
  return labels.map(({ at, halfWidth }) => {
    const free = ends.findIndex((end) => at - halfWidth >= end);
    const row = free < 0 ? ends.length : free;
    ends[row] = at + halfWidth + 6;
    return row;
  });
}

/** Room between a label and the line of another mark. */
const CLEAR = 3;

/**
 * Rows for labels under marks whose lines come down to them, and where each is centred: clear of every line that goes on past it to
 * a lower row, as far as it still stands under its own.
 */
export function markRows(
  marks: readonly { readonly at: number; readonly halfWidth: number }[],
): readonly { readonly row: number; readonly at: number }[] {
  const rows: number[] = [];
  marks.forEach(({ at, halfWidth }) => {
    const free = (row: number): boolean =>
      rows.every((other, i) => {
        const { at: line = 0, halfWidth: half = 0 } = marks[i] ?? {};
        const taken = other === row ? line + half + 2 * CLEAR : other > row ? line + CLEAR : -Infinity;
        return taken <= at - halfWidth;
      });
    let row = 0;
    while (!free(row)) row += 1;
    rows.push(row);
  });
  const ends: number[] = [];
  return marks.map(({ at, halfWidth }, i) => {
    const row = rows[i] ?? 0;
    const past = marks.flatMap((m, j) => (j > i && (rows[j] ?? 0) > row ? [m.at] : []));
    const wanted = at + halfWidth + CLEAR - Math.min(...past);
    const room = Math.min(halfWidth - CLEAR, at - halfWidth - (ends[row] ?? -Infinity));
    const centre = at - Math.max(0, Math.min(wanted, room));
    ends[row] = centre + halfWidth + CLEAR;
    return { row, at: centre };
  });
}
