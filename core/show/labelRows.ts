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

/** Keeps a line from running through the figures that lie on it. */
export const HALO = { paintOrder: 'stroke', stroke: 'var(--ground)', strokeWidth: 4 } as const;

/** Room between a label and the line of another mark. */
const CLEAR = 3;

/**
 * Rows for labels under marks whose lines come down to them, and where each is centred: clear of every line that goes on past it to
 * a lower row, as far as it still stands under its own and within the drawing.
 * @param from where the drawing begins
 */
export function markRows(
  marks: readonly { readonly at: number; readonly halfWidth: number }[],
  from = -Infinity,
): readonly { readonly row: number; readonly at: number }[] {
  const within = marks.map((m) => ({ ...m, label: Math.max(m.at, from + m.halfWidth) }));
  const rows: number[] = [];
  within.forEach(({ label, halfWidth }) => {
    const free = (row: number): boolean =>
      rows.every((other, i) => {
        const before = within[i];
        if (!before || other < row) return true;
        const taken = other === row ? before.label + before.halfWidth + 2 * CLEAR : before.at + CLEAR;
        return taken <= label - halfWidth;
      });
    let row = 0;
    while (!free(row)) row += 1;
    rows.push(row);
  });
  const ends: number[] = [];
  return within.map(({ at, halfWidth, label }, i) => {
    const row = rows[i] ?? 0;
    const past = within.flatMap((m, j) => (j > i && (rows[j] ?? 0) > row ? [m.at] : []));
    const wanted = label + halfWidth + CLEAR - Math.min(...past);
    const least = Math.max(at - halfWidth + CLEAR, from + halfWidth, (ends[row] ?? -Infinity) + halfWidth);
    const centre = Math.max(Math.min(label, least), label - Math.max(0, wanted));
    ends[row] = centre + halfWidth + CLEAR;
    return { row, at: centre };
  });
}
