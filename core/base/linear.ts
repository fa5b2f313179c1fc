/**
 * Solves A x = b by Gaussian elimination with partial pivoting; A and b are not changed.
 * @returns x, or undefined when A is singular to working precision
 */
export function solveLinear(a: readonly (readonly number[])[], b: readonly number[]): number[] | undefined {
  const n = b.length;
  const m = a.map((row, i) => [...row, b[i] ?? 0]);
  for (let col = 0; col < n; col++) {
    let pivot = col;
    for (let row = col + 1; row < n; row++)
      if (Math.abs(m[row]?.[col] ?? 0) > Math.abs(m[pivot]?.[col] ?? 0)) pivot = row;
    const top = m[pivot];
    if (!top || Math.abs(top[col] ?? 0) < 1e-300) return undefined;
    m[pivot] = m[col] ?? top;
    m[col] = top;
    for (let row = col + 1; row < n; row++) {
      const line = m[row];
      if (!line) continue;
      const factor = (line[col] ?? 0) / (top[col] ?? 1);
      if (factor === 0) continue;
      for (let k = col; k <= n; k++) line[k] = (line[k] ?? 0) - factor * (top[k] ?? 0);
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let row = n - 1; row >= 0; row--) {
    const line = m[row];
    let sum = line?.[n] ?? 0;
    for (let k = row + 1; k < n; k++) sum -= (line?.[k] ?? 0) * (x[k] ?? 0);
    x[row] = sum / (line?.[row] ?? 1);
  }
  return x;
}
