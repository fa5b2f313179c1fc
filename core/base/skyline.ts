/**
 * Symmetric linear equations kept by rows from their first entry to the diagonal ("skyline"), solved by L D L^T.
 * Source: K.-J. Bathe, Finite Element Procedures, sec. 8.2.3 (active columns); the signs of D are those of the
 * eigenvalues (Sylvester's law of inertia), which is how a frame is known to have lost its stability.
 */
export interface Skyline {
  readonly size: number;
  /** Column of the first entry kept in each row. */
  readonly first: Int32Array;
  /** Where the row's diagonal stands in `values`. */
  readonly diagonal: Int32Array;
  readonly values: Float64Array;
}

/** An empty matrix. @param first for each row, the least column that anything is ever added to */
export function skyline(first: Int32Array): Skyline {
  const size = first.length;
  const diagonal = new Int32Array(size);
  let at = -1;
  for (let i = 0; i < size; i++) {
    at += i - (first[i] ?? i) + 1;
    diagonal[i] = at;
  }
  return { size, first, diagonal, values: new Float64Array(at + 1) };
}

/** Adds to the entry in row i, column j; only the lower half is kept, and what lies above it is left to its mirror. */
export function addTo(m: Skyline, i: number, j: number, by: number): void {
  if (j > i) return;
  const at = (m.diagonal[i] ?? 0) - (i - j);
  m.values[at] = (m.values[at] ?? 0) + by;
}

/**
 * L D L^T in the place of the matrix, without exchange of rows.
 * @returns how many pivots are below zero: as many as the matrix has negative eigenvalues
 */
export function factorize(m: Skyline): number {
  const { first, diagonal, values, size } = m;
  let negatives = 0;
  for (let i = 0; i < size; i++) {
    const mi = first[i] ?? i;
    const di = diagonal[i] ?? 0;
    const rowI = di - i;
    for (let j = mi + 1; j < i; j++) {
      const rowJ = (diagonal[j] ?? 0) - j;
      let sum = values[rowI + j] ?? 0;
      for (let k = Math.max(mi, first[j] ?? j); k < j; k++) sum -= (values[rowI + k] ?? 0) * (values[rowJ + k] ?? 0);
      values[rowI + j] = sum;
    }
    let pivot = values[di] ?? 0;
    for (let j = mi; j < i; j++) {
      const g = values[rowI + j] ?? 0;
      const l = g / (values[diagonal[j] ?? 0] ?? 1);
      values[rowI + j] = l;
      pivot -= g * l;
    }
    // A pivot of nothing stands for one just above it: what follows from it is large, and seen.
    if (pivot === 0) pivot = Number.MIN_VALUE * 1e20;
    if (pivot < 0) negatives += 1;
    values[di] = pivot;
  }
  return negatives;
}

/** Solves with a factorized matrix; the answer takes the place of the right-hand side. */
export function solveInPlace(m: Skyline, rhs: Float64Array): void {
  const { first, diagonal, values, size } = m;
  for (let i = 0; i < size; i++) {
    const row = (diagonal[i] ?? 0) - i;
    let sum = rhs[i] ?? 0;
    for (let k = first[i] ?? i; k < i; k++) sum -= (values[row + k] ?? 0) * (rhs[k] ?? 0);
    rhs[i] = sum;
  }
  for (let i = 0; i < size; i++) rhs[i] = (rhs[i] ?? 0) / (values[diagonal[i] ?? 0] ?? 1);
  for (let i = size - 1; i >= 0; i--) {
    const row = (diagonal[i] ?? 0) - i;
    const x = rhs[i] ?? 0;
    for (let k = first[i] ?? i; k < i; k++) rhs[k] = (rhs[k] ?? 0) - (values[row + k] ?? 0) * x;
  }
}
