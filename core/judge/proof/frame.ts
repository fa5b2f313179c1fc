/** A point of the frame's axis, mm. */
export interface FramePoint {
  readonly y: number;
  readonly z: number;
}

/** A plane arch of slender beams between two feet, loaded by vertical forces at its points. */
export interface ArchFrame {
  readonly points: readonly FramePoint[];
  readonly eiNMm2: number;
  readonly eaN: number;
  readonly feet: 'pinned' | 'fixed';
  /** Downward force at each point, N. */
  readonly loadsN: readonly number[];
  /** Vertical support of the crown, N/mm; 0 for none. */
  readonly crownSpringNPerMm: number;
}

export interface ArchAnswer {
  /** Bending moment at each point, N mm, positive where it adds to the pipe's own downward curve. */
  readonly momentsNMm: readonly number[];
  readonly thrustN: number;
  readonly crownSpringForceN: number;
}

/** Solves a symmetric banded system in place by LDL^T; `band[i][k]` holds A[i][i + k]. */
function solveBanded(band: number[][], rhs: number[]): number[] {
  const n = rhs.length;
  const width = band[0]?.length ?? 1;
  for (let i = 0; i < n; i++) {
    const row = band[i] ?? [];
    const pivot = row[0] ?? 1;
    for (let k = 1; k < width && i + k < n; k++) {
      const factor = (row[k] ?? 0) / pivot;
      if (factor === 0) continue;
      const lower = band[i + k] ?? [];
      for (let j = k; j < width; j++) lower[j - k] = (lower[j - k] ?? 0) - factor * (row[j] ?? 0);
      rhs[i + k] = (rhs[i + k] ?? 0) - factor * (rhs[i] ?? 0);
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    const row = band[i] ?? [];
    let value = rhs[i] ?? 0;
    for (let k = 1; k < width && i + k < n; k++) value -= (row[k] ?? 0) * (rhs[i + k] ?? 0);
    rhs[i] = value / (row[0] ?? 1);
  }
  return rhs;
}

/** Stiffness of a plane beam in frame axes, 6 x 6 (y, z, rotation at both ends). */
function beam(
  a: FramePoint,
  b: FramePoint,
  ea: number,
  ei: number,
): { k: number[][]; local: (u: readonly number[]) => { m1: number; m2: number; axial: number } } {
  const dy = b.y - a.y;
  const dz = b.z - a.z;
  const l = Math.hypot(dy, dz);
  const c = dy / l;
  const s = dz / l;
  const p = ea / l;
  const q = (12 * ei) / l ** 3;
  const r = (6 * ei) / l ** 2;
  const t = ei / l;
  const yy = p * c * c + q * s * s;
  const zz = p * s * s + q * c * c;
  const yz = (p - q) * c * s;
  const k = [
    [yy, yz, -r * s, -yy, -yz, -r * s],
    [yz, zz, r * c, -yz, -zz, r * c],
    [-r * s, r * c, 4 * t, r * s, -r * c, 2 * t],
    [-yy, -yz, r * s, yy, yz, r * s],
    [-yz, -zz, -r * c, yz, zz, -r * c],
    [-r * s, r * c, 2 * t, r * s, -r * c, 4 * t],
  ];
  const local = (u: readonly number[]): { m1: number; m2: number; axial: number } => {
    const [y1 = 0, z1 = 0, r1 = 0, y2 = 0, z2 = 0, r2 = 0] = u;
    const v1 = -s * y1 + c * z1;
    const v2 = -s * y2 + c * z2;
    return {
      m1: r * (v1 - v2) + t * (4 * r1 + 2 * r2),
      m2: r * (v1 - v2) + t * (2 * r1 + 4 * r2),
      axial: p * (c * (y2 - y1) + s * (z2 - z1)),
    };
  };
  return { k, local };
}

/**
 * Linear small-displacement answer of a plane arch by the direct stiffness method with Euler-Bernoulli beams.
 * Source: W. McGuire, R. H. Gallagher, R. D. Ziemian, Matrix Structural Analysis, 2nd ed., sec. 4.5.
 */
export function solveArch(frame: ArchFrame): ArchAnswer {
  const { points, loadsN } = frame;
  const n = points.length;
  const width = 6;
  const band = Array.from({ length: 3 * n }, () => new Array<number>(width).fill(0));
  const rhs = new Array<number>(3 * n).fill(0);
  const beams = points.slice(1).map((b, i) => beam(points[i] ?? b, b, frame.eaN, frame.eiNMm2));
  beams.forEach(({ k }, e) => {
    for (let i = 0; i < 6; i++)
      for (let j = i; j < 6; j++) {
        const row = band[3 * e + i];
        if (row) row[j - i] = (row[j - i] ?? 0) + (k[i]?.[j] ?? 0);
      }
  });
  loadsN.forEach((load, i) => {
    rhs[3 * i + 1] = -load;
  });
  const crown = points.reduce((best, p, i) => (p.z > (points[best]?.z ?? -Infinity) ? i : best), 0);
  const stiff = (dof: number, by: number): void => {
    const row = band[dof];
    if (row) row[0] = (row[0] ?? 0) + by;
  };
  if (frame.crownSpringNPerMm > 0) stiff(3 * crown + 1, frame.crownSpringNPerMm);
  // Feet are held by stiff springs, far above any bending stiffness here.
  const rigid = 1e6 * Math.max(...band.map((row) => row[0] ?? 0));
  for (const foot of [0, n - 1]) {
    stiff(3 * foot, rigid);
    stiff(3 * foot + 1, rigid);
    if (frame.feet === 'fixed') stiff(3 * foot + 2, rigid);
  }
  const u = solveBanded(band, rhs);
  const ends = beams.map(({ local }, e) => local(u.slice(3 * e, 3 * e + 6)));
  const momentsNMm = points.map((_, i) => {
    const before = ends[i - 1];
    const after = ends[i];
    // Sagging at a point is positive moment at a beam's far end; the pipe's own curve is hogging.
    const sagging = before && after ? (before.m2 - after.m1) / 2 : before ? before.m2 : after ? -after.m1 : 0;
    return -sagging;
  });
  return {
    momentsNMm,
    thrustN: Math.abs(rigid * (u[0] ?? 0)),
    crownSpringForceN: -frame.crownSpringNPerMm * (u[3 * crown + 1] ?? 0),
  };
}
