/**
 * Carlson's symmetric elliptic integrals by duplication.
 * Source: B. C. Carlson, "Numerical computation of real or complex elliptic integrals", Numerical
 * Algorithms 10 (1995) 13-26, algorithms for RF (2.2) and RD (2.3); NIST DLMF 19.36(i).
 */

/** R_F(x, y, z) for x, y, z >= 0, at most one of them zero. */
export function carlsonRF(x0: number, y0: number, z0: number): number {
  let [x, y, z] = [x0, y0, z0];
  // Differences shrink fourfold a round; the bound only stops arguments outside the domain.
  for (let round = 0; round < 60; round++) {
    const mean = (x + y + z) / 3;
    const dx = 1 - x / mean;
    const dy = 1 - y / mean;
    const dz = 1 - z / mean;
    if (Math.max(Math.abs(dx), Math.abs(dy), Math.abs(dz)) < 2.5e-3) {
      const e2 = dx * dy - dz * dz;
      const e3 = dx * dy * dz;
      return (1 - e2 / 10 + e3 / 14 + (e2 * e2) / 24 - (3 * e2 * e3) / 44) / Math.sqrt(mean);
    }
    const lambda = Math.sqrt(x * y) + Math.sqrt(y * z) + Math.sqrt(z * x);
    x = (x + lambda) / 4;
    y = (y + lambda) / 4;
    z = (z + lambda) / 4;
  }
  return NaN;
}

/** R_D(x, y, z) for x, y >= 0, at most one of them zero, and z > 0. */
export function carlsonRD(x0: number, y0: number, z0: number): number {
  let [x, y, z] = [x0, y0, z0];
  let sum = 0;
  let power = 1;
  for (let round = 0; round < 60; round++) {
    const mean = (x + y + 3 * z) / 5;
    const dx = 1 - x / mean;
    const dy = 1 - y / mean;
    const dz = 1 - z / mean;
    if (Math.max(Math.abs(dx), Math.abs(dy), Math.abs(dz)) < 1.5e-3) {
      const ea = dx * dy;
      const eb = dz * dz;
      const ec = ea - eb;
      const ed = ea - 6 * eb;
      const ee = ed + ec + ec;
      const series =
        1 +
        ed * (-3 / 14 + (9 / 88) * ed - (9 / 52) * dz * ee) +
        dz * (ee / 6 + dz * ((-9 / 22) * ec + (3 / 26) * dz * ea));
      return 3 * sum + (power * series) / (mean * Math.sqrt(mean));
    }
    const lambda = Math.sqrt(x * y) + Math.sqrt(y * z) + Math.sqrt(z * x);
    sum += power / (Math.sqrt(z) * (z + lambda));
    power /= 4;
    x = (x + lambda) / 4;
    y = (y + lambda) / 4;
    z = (z + lambda) / 4;
  }
  return NaN;
}
