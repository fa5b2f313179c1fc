/** Whether straight pieces stand in one another, from their own places alone. */
import { boardCorners } from '../build/assembly/solids';
import type { Member } from '../build/assembly/types';
import { type Vec3, add, cross, dot, norm, scale, subtract } from '../base/geometry';

const unitOf = (v: Vec3): Vec3 => scale(v, 1 / norm(v));

/** Direction along a straight piece and the two square to it. */
function axesOf(m: Member): readonly Vec3[] {
  if (m.shape.kind !== 'straight') return [];
  const along = unitOf(subtract(m.shape.to, m.shape.from));
  const board = m.section.shape.kind === 'board';
  const side = board ? unitOf(m.shape.wide) : unitOf(cross(along, Math.abs(along[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]));
  return [along, side, cross(along, side)];
}

/** Corners of a board; of a pipe those of the square inside its outside. */
function cornersOf(m: Member): readonly Vec3[] {
  const { shape } = m.section;
  if (shape.kind === 'board') return boardCorners(m);
  const [, p = [0, 0, 0], q = [0, 0, 0]] = axesOf(m);
  const r = shape.outsideMm / 2 / Math.SQRT2;
  const { from, to } = m.shape.kind === 'straight' ? m.shape : { from: undefined, to: undefined };
  return [from, to].flatMap((end) =>
    end ? [-r, r].flatMap((a) => [-r, r].map((b) => add(end, add(scale(p, a), scale(q, b))))) : [],
  );
}

/**
 * How far two straight pieces stand in one another, mm: the least overlap along any axis that could part them, 0 where one does.
 * Source: separating axis theorem; S. Gottschalk, M. C. Lin, D. Manocha, SIGGRAPH (1996) 171-180.
 */
export function overlapMm(a: Member, b: Member): number {
  const [ca, cb] = [cornersOf(a), cornersOf(b)];
  const [xa, xb] = [axesOf(a), axesOf(b)];
  // Slanted ends are parted by the upright and level planes that they are cut to.
  const tried: Vec3[] = [[1, 0, 0], [0, 1, 0], [0, 0, 1], ...xa, ...xb];
  for (const u of xa)
    for (const v of xb) {
      const w = cross(u, v);
      if (norm(w) > 1e-3) tried.push(unitOf(w));
    }
  let least = Infinity;
  for (const axis of tried) {
    const [pa, pb] = [ca.map((c) => dot(c, axis)), cb.map((c) => dot(c, axis))];
    least = Math.min(least, Math.min(Math.max(...pa), Math.max(...pb)) - Math.max(Math.min(...pa), Math.min(...pb)));
    if (least <= 0) return 0;
  }
  return least;
}
