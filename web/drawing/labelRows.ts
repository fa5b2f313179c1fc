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
