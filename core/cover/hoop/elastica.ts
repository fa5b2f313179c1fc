/**
 * The planar elastica: the shape of a straight springy pipe whose two feet stand a span apart.
 *
 * Measured from the crown, psi is the angle the pipe has turned down and s the length along it:
 *   psi'' = -lambda sin(psi),  lambda = thrust / EI,  psi(0) = 0,  psi'(0) = kappa,
 * so psi'^2 = kappa^2 (1 - m sin^2(psi/2)) with m = 4 lambda / kappa^2: a pendulum in s.
 * Source: A. E. H. Love, Mathematical Theory of Elasticity, 4th ed., art. 262-263; integrals after Carlson (DLMF 19.25).
 *
 * With q = (curvature at the foot) / (curvature at the crown) and the foot angle a,
 *   m = (1 - q^2) / sin^2(a/2),
 * and the shape is known up to size. Loose feet carry no moment: q = 0 and a is unknown.
 * Held feet have a given a: q is unknown (q < 0 where the pipe turns past a and comes back to it).
 */
import type { Elastica, Feet } from './types';
import { type Result, fail, ok } from '../../base/result';
import { carlsonRD, carlsonRF } from './carlson';

/** Half a hoop of crown curvature 1. */
interface UnitShape {
  readonly s: number;
  readonly x: number;
  readonly y: number;
  readonly widest: number;
  readonly m: number;
}

/** s and x reached from the crown when the pipe has turned by psi, before any turning point. */
function partial(psi: number, m: number): { s: number; x: number } {
  const sin = Math.sin(psi / 2);
  const c2 = 1 - sin * sin;
  const d2 = Math.max(0, 1 - m * sin * sin);
  const f = sin * carlsonRF(c2, d2, 1);
  const d = (sin * sin * sin * carlsonRD(c2, d2, 1)) / 3;
  return { s: 2 * f, x: 2 * f - 4 * d };
}

/** The pinned hoop: complete integrals K and E of modulus k = sin(a/2), by the arithmetic-geometric mean (DLMF 19.8). */
function looseShape(angle: number): UnitShape {
  const k = Math.sin(angle / 2);
  let a = 1;
  let b = Math.cos(angle / 2);
  let sum = (k * k) / 2;
  for (let power = 1; a - b > 1e-15 * a && power < 256; power *= 2) {
    const c = (a - b) / 2;
    sum += power * c * c;
    [a, b] = [(a + b) / 2, Math.sqrt(a * b)];
  }
  const completeK = Math.PI / (a + b);
  const completeE = completeK * (1 - sum);
  const m = 1 / (k * k);
  const x = 2 * k * (2 * completeE - completeK);
  const widest = angle > Math.PI / 2 ? Math.max(x, partial(Math.PI / 2, m).x) : x;
  return { s: 2 * k * completeK, x, y: 4 * k * k, widest, m };
}

function unitShape(angle: number, q: number): UnitShape {
  const sinHalf = Math.sin(angle / 2);
  const m = (1 - q * q) / (sinHalf * sinHalf);
  const direct = partial(angle, m);
  const y = (2 * (1 - Math.cos(angle))) / (1 + q);
  let { s, x } = direct;
  if (q < 0) {
    const turn = partial(2 * Math.asin(Math.min(1, 1 / Math.sqrt(m))), m);
    s = 2 * turn.s - direct.s;
    x = 2 * turn.x - direct.x;
  }
  const passesUpright = angle > Math.PI / 2 || (q < 0 && m < 2);
  const widest = passesUpright ? Math.max(x, partial(Math.PI / 2, m).x) : x;
  return { s, x, y, widest, m };
}

function toElastica(feet: Feet, angle: number, q: number, unit: UnitShape, size: number): Elastica {
  const kappa = 1 / size;
  return {
    feet,
    spanMm: 2 * unit.x * size,
    lengthMm: 2 * unit.s * size,
    heightMm: unit.y * size,
    maxWidthMm: 2 * unit.widest * size,
    footAngleDeg: (angle * 180) / Math.PI,
    thrustOverEIPerMm2: (unit.m * kappa * kappa) / 4,
    maxCurvaturePerMm: Math.max(1, Math.abs(q)) * kappa,
    crownCurvaturePerMm: kappa,
    footCurvaturePerMm: q * kappa,
  };
}

/** Root of a continuous function with f(a) and f(b) of opposite sign (Brent's method as regula falsi with bisection). */
function findRoot(f: (t: number) => number, a0: number, b0: number, fa0?: number): number {
  let [a, b] = [a0, b0];
  let fa = fa0 ?? f(a);
  let fb = f(b);
  for (let i = 0; i < 100; i++) {
    if (fb === 0 || Math.abs(b - a) < 1e-13 * (1 + Math.abs(b))) break;
    let t = b - (fb * (b - a)) / (fb - fa);
    if (i % 3 === 2 || !Number.isFinite(t) || (t - a) * (t - b) > 0) t = (a + b) / 2;
    const ft = f(t);
    if (Math.sign(ft) === Math.sign(fb)) {
      fa *= i % 3 === 2 ? 1 : 0.5; // Illinois step: keeps the far end from standing still.
    } else {
      a = b;
      fa = fb;
    }
    b = t;
    fb = ft;
    if (Math.abs(fb) < 1e-13) break;
  }
  return b;
}

/** Where a function that falls and rises once between a and b is least (golden section). */
function leastAt(f: (t: number) => number, a0: number, b0: number): number {
  const part = (Math.sqrt(5) - 1) / 2;
  let [a, b] = [a0, b0];
  for (let i = 0; i < 80 && b - a > 1e-12; i++) {
    const [low, high] = [b - part * (b - a), a + part * (b - a)];
    if (f(low) < f(high)) b = high;
    else a = low;
  }
  return (a + b) / 2;
}

/** What a measure may miss by and still be met: less than a hair over a pipe of any length. */
const MET = 1e-9;

/**
 * First root walking from the flat, wide shapes (t = 0) towards the tall ones (t = 1).
 * A second, balloon-like shape that the same two measures may have lies further on and is not wanted.
 * Near the greatest height both lie between two steps: there the function is followed to where it comes nearest.
 */
function firstRoot(f: (t: number) => number, steps: number): number | undefined {
  let [before, t] = [1e-4, 1e-4];
  const start = f(t);
  // Of one sign from here on, until the root.
  const sign = Math.sign(start);
  let [fBefore, ft] = [start, start];
  for (let i = 1; i <= steps; i++) {
    const next = Math.min(1 - 1e-6, i / steps);
    const fNext = f(next);
    if (ft === 0) return t;
    if (Math.sign(ft) !== Math.sign(fNext)) return findRoot(f, t, next, ft);
    if (sign * ft <= sign * fBefore && sign * ft <= sign * fNext) {
      const nearest = leastAt((x) => sign * f(x), before, next);
      const missed = sign * f(nearest);
      if (missed < 0) return findRoot(f, before, nearest, fBefore);
      if (missed < MET) return nearest;
    }
    [before, fBefore, t, ft] = [t, ft, next, fNext];
  }
  return undefined;
}

/** Two of span, length and height, in any one unit of length (mm throughout the program). */
export interface HoopMeasures {
  readonly spanMm?: number | undefined;
  readonly lengthMm?: number | undefined;
  readonly heightMm?: number | undefined;
}

/**
 * q for a walk parameter t in (0, 1): from tight bends at the feet (t = 0) to the closing loop (t = 1).
 * Both ends are reached only as the logarithm of q's distance from its limit, hence the exponential.
 */
function footRatio(t: number, angle: number): number {
  const v = Math.max(-25, Math.min(150, 1 / t - 1 / (1 - t)));
  return Math.exp(v) - Math.cos(angle / 2);
}

const NAMES = { spanMm: 'span', lengthMm: 'length', heightMm: 'height' } as const;

/**
 * Solves a hoop from any two of its span, length and height.
 *
 * @param feet pinned, or fixed at an angle above 15 and up to 165 degrees
 * @returns the wide one of the shapes that fit, or a fault naming the measure that has no answer
 * @example solveHoop({ kind: 'pinned' }, { spanMm: 44, lengthMm: 80 }).value.heightMm // 28.967
 */
export function solveHoop(feet: Feet, given: HoopMeasures): Result<Elastica> {
  const keys = (['spanMm', 'lengthMm', 'heightMm'] as const).filter((k) => given[k] !== undefined);
  if (keys.length !== 2) return fail('hoop', 'Give two of span, length and height.');
  for (const key of keys) {
    const value = given[key] ?? NaN;
    if (!Number.isFinite(value) || value <= 0 || value > 1e6)
      return fail(NAMES[key], `The ${NAMES[key]} must be more than nothing and less than 1 km.`);
  }
  if (feet.kind === 'fixed' && !(feet.angleDeg >= 15 && feet.angleDeg <= 165))
    return fail('feet', 'Held feet must lean between 15 and 165 degrees; 90 is upright.');
  const { spanMm: span, lengthMm: length, heightMm: height } = given;
  if (span !== undefined && length !== undefined && length <= span * (1 + 1e-9))
    return fail('length', 'The pipe must be longer than the span, or it cannot bend over it.');
  if (height !== undefined && length !== undefined && length < 2 * height)
    return fail('length', 'The pipe must be at least twice as long as the hoop is high.');

  const held = feet.kind === 'fixed' ? (feet.angleDeg * Math.PI) / 180 : 0;
  const shapeAt = (t: number): { angle: number; q: number; unit: UnitShape } => {
    const angle = feet.kind === 'fixed' ? held : t * Math.PI;
    const q = feet.kind === 'fixed' ? footRatio(t, held) : 0;
    return { angle, q, unit: feet.kind === 'fixed' ? unitShape(angle, q) : looseShape(angle) };
  };
  const misfit = (t: number): number => {
    const { s, x, y } = shapeAt(t).unit;
    if (span === undefined) return y / (2 * s) - (height ?? 0) / (length ?? 1);
    if (length === undefined) return (2 * x) / y - span / (height ?? 1);
    return x / s - span / length;
  };
  const t = firstRoot(misfit, span !== undefined && length !== undefined ? 1 : 48);
  if (t === undefined) {
    if (span === undefined)
      return fail('height', 'A pipe of this length cannot stand so high; a higher hoop needs a longer pipe.');
    return fail(NAMES[keys[1] ?? 'heightMm'], 'No hoop has these two measures with these feet.');
  }
  const { angle, q, unit } = shapeAt(t);
  const size = length !== undefined ? length / (2 * unit.s) : (height ?? 0) / unit.y;
  if (unit.x <= 0) return fail('span', 'The feet would cross: the pipe is too long for so low a hoop.');
  return ok(toElastica(feet, angle, q, unit, size));
}
