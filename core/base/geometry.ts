/** Points, vectors, hulls, lengths and areas; the only place where they are worked out. Lengths in mm, whatever they measure. */

/** A point or direction in space: x along the bed from its left end, y from its near outside face, z up from the ground. */
export type Vec3 = readonly [x: number, y: number, z: number];

/** A point on paper or on a sheet: u to the right, v up. */
export type Flat = readonly [u: number, v: number];

/** A point of a cross-section of the bed. */
export interface Point2 {
  readonly y: number;
  readonly z: number;
}

/** a + b. */
export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
/** a − b. */
export const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
/** a times a number. */
export const scale = (a: Vec3, by: number): Vec3 => [a[0] * by, a[1] * by, a[2] * by];
/** The cross product a × b. */
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/** Scalar product. */
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** Length of a vector: Math.hypot, made for lengths that no cover has, takes ten times as long. */
export const norm = (a: Vec3): number => Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]);
/** Distance of two points. */
export const distance = (a: Vec3, b: Vec3): number => norm(subtract(b, a));
/** The unit vector from a to b; along x where they are one point. */
export function unit(from: Vec3, to: Vec3): Vec3 {
  const d = subtract(to, from);
  const length = norm(d);
  return length === 0 ? [1, 0, 0] : scale(d, 1 / length);
}

/** The same angle within half a turn of nothing, rad. */
export const wrapped = (angle: number): number => angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI));

/** Twice the area of the triangle o, a, b; positive where it turns left. */
const turn = (o: Flat, a: Flat, b: Flat): number => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

/**
 * The convex hull, counter-clockwise from its leftmost point; points on its edges are left out.
 * Source: monotone chain, A. M. Andrew, Information Processing Letters 9 (1979) 216-219.
 */
export function hull(points: readonly Flat[]): Flat[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: readonly Flat[]): Flat[] => {
    const out: Flat[] = [];
    for (const p of list) {
      for (;;) {
        const b = out[out.length - 1];
        const a = out[out.length - 2];
        if (!a || !b || turn(a, b, p) > 1e-9) break;
        out.pop();
      }
      out.push(p);
    }
    return out.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

/** Area inside an outline, whichever way it is walked (shoelace formula). */
export function area(outline: readonly Flat[]): number {
  const twice = outline.reduce((sum, [u, v], i) => {
    const next = outline[(i + 1) % outline.length] ?? [u, v];
    return sum + u * next[1] - next[0] * v;
  }, 0);
  return Math.abs(twice) / 2;
}

/** Area of a flat face in space: half the length of the summed cross products of its corners. */
export function faceArea(face: readonly Vec3[]): number {
  const [o] = face;
  if (!o) return 0;
  let sum: Vec3 = [0, 0, 0];
  for (let i = 2; i < face.length; i++) {
    const [p, q] = [face[i - 1], face[i]];
    if (p && q) sum = add(sum, cross(subtract(p, o), subtract(q, o)));
  }
  return norm(sum) / 2;
}

/** Smallest rectangle round an outline. */
export function outlineSize(outline: readonly Flat[]): { readonly uMm: number; readonly vMm: number } {
  const us = outline.map((c) => c[0]);
  const vs = outline.map((c) => c[1]);
  return { uMm: Math.max(...us) - Math.min(...us), vMm: Math.max(...vs) - Math.min(...vs) };
}

/**
 * The line a taut sheet takes over a cross-section: the convex hull of everything it touches,
 * walked from the left anchor over the top to the right anchor.
 * @param anchors where the sheet is held at the left and the right, at one height; nothing below it counts
 */
export function tautOutline(points: readonly Point2[], anchors: readonly [Point2, Point2]): readonly Point2[] {
  const base = Math.min(anchors[0].z, anchors[1].z);
  const ring = hull([...points, ...anchors].map((p): Flat => [p.y, Math.max(p.z, base)]));
  const atBase = ring.filter(([, z]) => z - base < 1e-9);
  const right = atBase.reduce((best, p) => (p[0] > best[0] ? p : best));
  const left = atBase.reduce((best, p) => (p[0] < best[0] ? p : best));
  const from = ring.indexOf(right);
  const walk = [...ring.slice(from), ...ring.slice(0, from)];
  return walk
    .slice(0, walk.indexOf(left) + 1)
    .reverse()
    .map(([y, z]) => ({ y, z }));
}

/** So many places along a path, each in the middle of an equal part of its length. */
export function placesAlong(path: readonly Vec3[], count: number): readonly Vec3[] {
  const lengths = path.slice(1).map((p, i) => distance(path[i] ?? p, p));
  const whole = lengths.reduce((sum, l) => sum + l, 0);
  return Array.from({ length: count }, (_, i): Vec3 => {
    let left = (whole * (i + 0.5)) / count;
    const k = lengths.findIndex((l, n) => left <= l || n === lengths.length - 1 || ((left -= l), false));
    const [from, to] = [path[k], path[k + 1]];
    return from && to
      ? add(from, scale(subtract(to, from), left / Math.max(1e-9, lengths[k] ?? 1)))
      : (path[0] ?? [0, 0, 0]);
  });
}

/** Length of a line through points. */
export function pathLength(points: readonly Point2[]): number {
  return points.reduce((sum, p, i) => {
    const q = points[i - 1];
    return q ? sum + Math.hypot(p.y - q.y, p.z - q.z) : 0;
  }, 0);
}

/** Area between a line through points and the straight line that closes it. */
export function enclosedArea(points: readonly Point2[]): number {
  return area(points.map((p): Flat => [p.y, p.z]));
}

/** How steeply a line across the bed rises at a place, from 5 mm on either side of it. */
export const slopeAt = (points: readonly Point2[], y: number): number =>
  (heightAt(points, y + 5) - heightAt(points, y - 5)) / 10;

/**
 * Height of a line over a place across the bed; 0 outside the line.
 * Where the line bulges beyond its foot, the upper branch counts.
 */
export function heightAt(points: readonly Point2[], y: number): number {
  let best = 0;
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1];
    const b = points[i];
    if (!a || !b) continue;
    const [low, high] = a.y < b.y ? [a, b] : [b, a];
    if (y < low.y || y > high.y || high.y === low.y) continue;
    best = Math.max(best, low.z + ((high.z - low.z) * (y - low.y)) / (high.y - low.y));
  }
  return best;
}

/** The faces of a sheet that runs along the bed over a cross-section: its strips and its two ends. */
export function sweptFaces(
  line: readonly Point2[],
  x0: number,
  x1: number,
): { readonly strips: readonly (readonly Vec3[])[]; readonly ends: readonly [readonly Vec3[], readonly Vec3[]] } {
  const at = (x: number): readonly Vec3[] => line.map((p): Vec3 => [x, p.y, p.z]);
  const strips = line.slice(1).flatMap((b, i): (readonly Vec3[])[] => {
    const a = line[i];
    return a
      ? [
          [
            [x0, a.y, a.z],
            [x0, b.y, b.z],
            [x1, b.y, b.z],
            [x1, a.y, a.z],
          ],
        ]
      : [];
  });
  return { strips, ends: [at(x0), at(x1)] };
}

/** Where the drawings look from: at an end of the bed, at its near side, from above. */
export type View = 'end' | 'side' | 'plan';

/** Where a point in space falls on paper in a view. */
export function flatten([x, y, z]: Vec3, view: View): Flat {
  switch (view) {
    case 'end':
      return [y, z];
    case 'side':
      return [x, z];
    case 'plan':
      return [x, y];
  }
}

/** What of a line lies within a rectangle (Liang and Barsky, 1984); nothing where none does. */
export function clipped(
  [ax, ay]: Flat,
  [bx, by]: Flat,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
): readonly [Flat, Flat] | undefined {
  let [t0, t1] = [0, 1];
  const [dx, dy] = [bx - ax, by - ay];
  for (const [p, q] of [
    [-dx, ax - x0],
    [dx, x1 - ax],
    [-dy, ay - y0],
    [dy, y1 - ay],
  ] as const) {
    if (p === 0 && q < 0) return undefined;
    if (p < 0) t0 = Math.max(t0, q / p);
    if (p > 0) t1 = Math.min(t1, q / p);
  }
  return t0 < t1
    ? [
        [ax + t0 * dx, ay + t0 * dy],
        [ax + t1 * dx, ay + t1 * dy],
      ]
    : undefined;
}
