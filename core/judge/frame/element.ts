/**
 * One slender element that moves and turns with its chord ("co-rotational"), bending by cubic shapes about it.
 *
 * With chord length l, angles t1, t2 of its ends from the chord and q = (2 t1^2 - t1 t2 + 2 t2^2) / 30, the part by which
 * bending shortens the chord:
 *   strain = l / l0 - 1 + q,   U = EA l0 strain^2 / 2 + (2 EI / l0) (p1^2 + p1 p2 + p2^2),   p = t - natural t.
 * Forces and stiffness are the first and second derivatives of U, so the stiffness is symmetric and exact.
 * Source: M. A. Crisfield, Non-linear Finite Element Analysis of Solids and Structures, vol. 1, ch. 7 (co-rotational beam,
 * eq. 7.86 for the shallow-arch strain).
 */
import { wrapped } from '../../base/geometry';
import type { FrameBar, Beam } from './types';

/** What an element does at its ends: pull along the chord (N) and moments on its ends (N mm), against the clock. */
interface EndForces {
  readonly pullN: number;
  readonly m1NMm: number;
  readonly m2NMm: number;
}

/** Six numbers for x, y and turn of both ends, and their 6 x 6 stiffness by rows. */
export interface ElementWork {
  readonly force: Float64Array;
  readonly stiffness: Float64Array;
  /** Of a beam: its pull, and how that grows with x, y and turn of the first end (the second's x and y the other way) and the second's turn. */
  readonly pull: Float64Array;
}

export const elementWork = (): ElementWork => ({
  force: new Float64Array(6),
  stiffness: new Float64Array(36),
  pull: new Float64Array(5),
});

/** Part by which bending shortens the chord. */
export const shortening = (t1: number, t2: number): number => (2 * t1 * t1 - t1 * t2 + 2 * t2 * t2) / 30;

/** Forces of a beam whose ends lie (dx, dy) apart and have turned by r1, r2. */
export function beamForces(b: Beam, dx: number, dy: number, r1: number, r2: number): EndForces {
  const chord = Math.atan2(dy, dx);
  return forces(
    b,
    Math.sqrt(dx * dx + dy * dy),
    wrapped(r1 + b.tangents[0] - chord),
    wrapped(r2 + b.tangents[1] - chord),
  );
}

/** Forces of a beam by the length of its chord and the angles of its ends from it. */
function forces(b: Beam, l: number, t1: number, t2: number): EndForces {
  const pullN = b.eaN * (l / b.naturalMm - 1 + shortening(t1, t2));
  const p1 = t1 - b.naturalAngles[0];
  const p2 = t2 - b.naturalAngles[1];
  const bend = (2 * b.eiNMm2) / b.naturalMm;
  const along = (pullN * b.naturalMm) / 30;
  return {
    pullN,
    m1NMm: bend * (2 * p1 + p2) + along * (4 * t1 - t2),
    m2NMm: bend * (p1 + 2 * p2) + along * (4 * t2 - t1),
  };
}

/** Fills in what the moves of both ends are to one another: the second end moves as the first does the other way. */
function fillMoves(out: ElementWork, fx: number, fy: number, xx: number, xy: number, yy: number): void {
  const { force: f, stiffness: k } = out;
  f[0] = fx;
  f[1] = fy;
  f[3] = -fx;
  f[4] = -fy;
  k[0] = k[21] = xx;
  k[3] = k[18] = -xx;
  k[1] = k[6] = k[22] = k[27] = xy;
  k[4] = k[9] = k[19] = k[24] = -xy;
  k[7] = k[28] = yy;
  k[10] = k[25] = -yy;
}

/** Fills in what the turn of an end (2 the first, 5 the second) is to the moves, and to the turn of either end. */
function fillTurn(out: ElementWork, at: 2 | 5, m: number, x: number, y: number, first: number, second: number): void {
  const { force: f, stiffness: k } = out;
  f[at] = m;
  k[at] = k[6 * at] = x;
  k[6 + at] = k[6 * at + 1] = y;
  k[18 + at] = k[6 * at + 3] = -x;
  k[24 + at] = k[6 * at + 4] = -y;
  k[6 * at + 2] = first;
  k[6 * at + 5] = second;
}

/**
 * Force and stiffness of a beam, in `out`.
 * @param foreseen the pull that its stiffness is of; its own when not given
 */
export function beamWork(
  b: Beam,
  dx: number,
  dy: number,
  r1: number,
  r2: number,
  out: ElementWork,
  foreseen?: number,
): void {
  const l = Math.sqrt(dx * dx + dy * dy);
  const chord = Math.atan2(dy, dx);
  const t1 = wrapped(r1 + b.tangents[0] - chord);
  const t2 = wrapped(r2 + b.tangents[1] - chord);
  const { eaN: ea, eiNMm2: ei, naturalMm: l0 } = b;
  const { pullN: own, m1NMm: m1, m2NMm: m2 } = forces(b, l, t1, t2);
  const n = foreseen ?? own;
  const q1 = (4 * t1 - t2) / 30;
  const q2 = (4 * t2 - t1) / 30;
  // How the chord's length (r) and its direction (z) change as the first end moves.
  const rx = -dx / l;
  const ry = -dy / l;
  const zx = -ry / l;
  const zy = rx / l;
  // Second derivatives by length and by both angles; an angle falls as the chord turns.
  const dll = ea / l0;
  const dl1 = ea * q1;
  const dl2 = ea * q2;
  const d11 = (4 * ei) / l0 + ea * l0 * q1 * q1 + (n * l0 * 4) / 30;
  const d12 = (2 * ei) / l0 + ea * l0 * q1 * q2 - (n * l0) / 30;
  const d22 = (4 * ei) / l0 + ea * l0 * q2 * q2 + (n * l0 * 4) / 30;
  // Moments of the foreseen pull.
  const dlz = (m1 + m2 + (n - own) * l0 * (q1 + q2)) / l - dl1 - dl2;
  const dzz = d11 + 2 * d12 + d22 + n * l;
  fillMoves(
    out,
    own * rx - (m1 + m2) * zx,
    own * ry - (m1 + m2) * zy,
    dll * rx * rx + 2 * dlz * rx * zx + dzz * zx * zx,
    dll * rx * ry + dlz * (rx * zy + ry * zx) + dzz * zx * zy,
    dll * ry * ry + 2 * dlz * ry * zy + dzz * zy * zy,
  );
  fillTurn(out, 2, m1, dl1 * rx - (d11 + d12) * zx, dl1 * ry - (d11 + d12) * zy, d11, d12);
  fillTurn(out, 5, m2, dl2 * rx - (d12 + d22) * zx, dl2 * ry - (d12 + d22) * zy, d12, d22);
  const { pull } = out;
  pull[0] = own;
  pull[1] = dll * rx - (dl1 + dl2) * zx;
  pull[2] = dll * ry - (dl1 + dl2) * zy;
  pull[3] = dl1;
  pull[4] = dl2;
}

/** Pull of a bar or tie whose ends lie (dx, dy) apart, N; a slack tie has none. */
export function barPullN(b: FrameBar, dx: number, dy: number): number {
  const pull = b.eaN * (Math.sqrt(dx * dx + dy * dy) / b.naturalMm - 1);
  return b.kind === 'tie' ? Math.max(0, pull) : pull;
}

/** A slack tie keeps this part of its stiffness, so that what hangs on it alone is not lost. */
export const SLACK = 1e-9;

/** Force and stiffness of a bar or tie, in `out`. */
export function barWork(b: FrameBar, dx: number, dy: number, out: ElementWork): void {
  const l = Math.sqrt(dx * dx + dy * dy);
  const n = barPullN(b, dx, dy);
  const slack = b.kind === 'tie' && l <= b.naturalMm;
  const along = (slack ? SLACK * b.eaN : b.eaN) / b.naturalMm;
  const across = n / l;
  const c = dx / l;
  const s = dy / l;
  fillMoves(
    out,
    -n * c,
    -n * s,
    along * c * c + across * s * s,
    (along - across) * c * s,
    along * s * s + across * c * c,
  );
  fillTurn(out, 2, 0, 0, 0, 0, 0);
  fillTurn(out, 5, 0, 0, 0, 0, 0);
}
