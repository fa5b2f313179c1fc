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
import type { Bar, Beam } from './types';

/** What an element does at its ends: pull along the chord (N) and moments on its ends (N mm), against the clock. */
export interface EndForces {
  readonly pullN: number;
  readonly m1NMm: number;
  readonly m2NMm: number;
}

/** Six numbers for x, y and turn of both ends, and their 6 x 6 stiffness by rows. */
export interface ElementWork {
  readonly force: Float64Array;
  readonly stiffness: Float64Array;
}

export const elementWork = (): ElementWork => ({ force: new Float64Array(6), stiffness: new Float64Array(36) });

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

/** How the chord, and the angles of both ends from it, change with each of the six; filled anew for every element. */
const byLength = new Float64Array(6);
const byFirst = new Float64Array(6);
const bySecond = new Float64Array(6);
const byChord = new Float64Array(6);

/** Force and stiffness of a beam, in `out`. */
export function beamWork(b: Beam, dx: number, dy: number, r1: number, r2: number, out: ElementWork): void {
  const l = Math.sqrt(dx * dx + dy * dy);
  const c = dx / l;
  const s = dy / l;
  const chord = Math.atan2(dy, dx);
  const t1 = wrapped(r1 + b.tangents[0] - chord);
  const t2 = wrapped(r2 + b.tangents[1] - chord);
  const { eaN: ea, eiNMm2: ei, naturalMm: l0 } = b;
  const { pullN: n, m1NMm: m1, m2NMm: m2 } = forces(b, l, t1, t2);
  const q1 = (4 * t1 - t2) / 30;
  const q2 = (4 * t2 - t1) / 30;
  // Second derivatives by length and by both angles.
  const dll = ea / l0;
  const dl1 = ea * q1;
  const dl2 = ea * q2;
  const d11 = (4 * ei) / l0 + ea * l0 * q1 * q1 + (n * l0 * 4) / 30;
  const d12 = (2 * ei) / l0 + ea * l0 * q1 * q2 - (n * l0) / 30;
  const d22 = (4 * ei) / l0 + ea * l0 * q2 * q2 + (n * l0 * 4) / 30;
  const turning = (m1 + m2) / l;
  const { force, stiffness } = out;
  for (let i = 0; i < 6; i++) {
    byLength[i] = along(i, c, s);
    const z = across(i, c, s) / l;
    byChord[i] = z;
    byFirst[i] = (i === 2 ? 1 : 0) - z;
    bySecond[i] = (i === 5 ? 1 : 0) - z;
  }
  for (let i = 0; i < 6; i++) {
    const r = byLength[i] ?? 0;
    const z = byChord[i] ?? 0;
    const a = byFirst[i] ?? 0;
    const e = bySecond[i] ?? 0;
    force[i] = n * r + m1 * a + m2 * e;
    const onLength = dll * r + dl1 * a + dl2 * e + turning * z;
    const onFirst = dl1 * r + d11 * a + d12 * e;
    const onSecond = dl2 * r + d12 * a + d22 * e;
    const onChord = n * l * z + turning * r;
    for (let j = 0; j <= i; j++) {
      const k =
        onLength * (byLength[j] ?? 0) +
        onFirst * (byFirst[j] ?? 0) +
        onSecond * (bySecond[j] ?? 0) +
        onChord * (byChord[j] ?? 0);
      stiffness[6 * i + j] = k;
      stiffness[6 * j + i] = k;
    }
  }
}

/** How the chord's length changes with each of the six. */
const along = (i: number, c: number, s: number): number =>
  i === 0 ? -c : i === 1 ? -s : i === 3 ? c : i === 4 ? s : 0;
/** How its direction does, times its length. */
const across = (i: number, c: number, s: number): number =>
  i === 0 ? s : i === 1 ? -c : i === 3 ? -s : i === 4 ? c : 0;

/** Pull of a bar or tie whose ends lie (dx, dy) apart, N; a slack tie has none. */
export function barPullN(b: Bar, dx: number, dy: number): number {
  const pull = b.eaN * (Math.sqrt(dx * dx + dy * dy) / b.naturalMm - 1);
  return b.kind === 'tie' ? Math.max(0, pull) : pull;
}

/** A slack tie keeps this part of its stiffness, so that what hangs on it alone is not lost. */
const SLACK = 1e-9;

/** Force and stiffness of a bar or tie, in `out`. */
export function barWork(b: Bar, dx: number, dy: number, out: ElementWork): void {
  const l = Math.sqrt(dx * dx + dy * dy);
  const c = dx / l;
  const s = dy / l;
  const n = barPullN(b, dx, dy);
  const slack = b.kind === 'tie' && l <= b.naturalMm;
  const ea = slack ? SLACK * b.eaN : b.eaN;
  for (let i = 0; i < 6; i++) {
    out.force[i] = n * along(i, c, s);
    for (let j = 0; j < 6; j++)
      out.stiffness[6 * i + j] =
        (ea / b.naturalMm) * along(i, c, s) * along(j, c, s) + (n / l) * across(i, c, s) * across(j, c, s);
  }
}
