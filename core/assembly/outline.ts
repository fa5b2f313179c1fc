import type { Vec3 } from './types';

export interface Point2 {
  readonly y: number;
  readonly z: number;
}

/**
 * The line a taut sheet takes over a cross-section: the convex hull of everything it touches,
 * walked from the left anchor over the top to the right anchor.
 * Source: monotone chain, A. M. Andrew, Information Processing Letters 9 (1979) 216-219.
 * @param anchors where the sheet is held at the left and the right, at one height; nothing below it counts
 */
export function tautOutline(points: readonly Point2[], anchors: readonly [Point2, Point2]): readonly Point2[] {
  const base = Math.min(anchors[0].z, anchors[1].z);
  const sorted = [...points, ...anchors].map((p) => ({ y: p.y, z: Math.max(p.z, base) }));
  sorted.sort((a, b) => a.y - b.y || a.z - b.z);
  const turn = (o: Point2, a: Point2, b: Point2): number => (a.y - o.y) * (b.z - o.z) - (a.z - o.z) * (b.y - o.y);
  const chain = (ordered: readonly Point2[]): Point2[] => {
    const hull: Point2[] = [];
    for (const p of ordered) {
      while (hull.length > 1 && turn(hull[hull.length - 2] ?? p, hull[hull.length - 1] ?? p, p) <= 0) hull.pop();
      hull.push(p);
    }
    return hull.slice(0, -1);
  };
  // Counter-clockwise ring: along the bottom to the right, then back over the top.
  const ring = [...chain(sorted), ...chain([...sorted].reverse())];
  const atBase = ring.filter((p) => p.z - base < 1e-9);
  const right = atBase.reduce((best, p) => (p.y > best.y ? p : best));
  const from = ring.indexOf(right);
  const walk = [...ring.slice(from), ...ring.slice(0, from)];
  const left = atBase.reduce((best, p) => (p.y < best.y ? p : best));
  return walk.slice(0, walk.indexOf(left) + 1).reverse();
}

/** Length of a line through points. */
export function pathLength(points: readonly Point2[]): number {
  return points.reduce((sum, p, i) => {
    const q = points[i - 1];
    return q ? sum + Math.hypot(p.y - q.y, p.z - q.z) : 0;
  }, 0);
}

/** Area between a line through points and the straight line that closes it (shoelace formula). */
export function enclosedArea(points: readonly Point2[]): number {
  const twice = points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length] ?? p;
    return sum + p.y * q.z - q.y * p.z;
  }, 0);
  return Math.abs(twice) / 2;
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
