/** Whether straight pieces and stiff sheets stand in one another, from their own places alone. */
import { boardCorners } from '../cover/assembly/solids';
import { inPlace, panelNormal } from '../cover/assembly/pieces';
import type { Member, Panel } from '../cover/assembly/types';
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

/** Something convex by its corners, with the directions square to its faces and along its edges. */
interface Solid {
  readonly corners: readonly Vec3[];
  readonly axes: readonly Vec3[];
}

/** A straight piece as a solid. */
export const solidOf = (m: Member): Solid => ({ corners: cornersOf(m), axes: axesOf(m) });

/** A stiff sheet as a solid: its hull where it has openings or is hollow. */
export function slabOf(p: Panel): Solid {
  const normal = unitOf(panelNormal(p));
  const face = p.outline.map((c) => inPlace(p, c));
  const edges = face.map((c, i) => subtract(face[(i + 1) % face.length] ?? c, c)).filter((e) => norm(e) > 1e-6);
  return {
    corners: [...face, ...face.map((c) => add(c, scale(normal, p.sheet.thicknessMm)))],
    axes: [normal, ...edges.flatMap((e) => [unitOf(e), unitOf(cross(e, normal))])],
  };
}

/**
 * How far two solids stand in one another, mm: the least overlap along any axis that could part them, 0 where one does.
 * Source: separating axis theorem; S. Gottschalk, M. C. Lin, D. Manocha, SIGGRAPH (1996) 171-180.
 */
export function overlapMm(a: Solid, b: Solid): number {
  // Slanted ends are parted by the upright and level planes that they are cut to.
  const tried: Vec3[] = [[1, 0, 0], [0, 1, 0], [0, 0, 1], ...a.axes, ...b.axes];
  for (const u of a.axes)
    for (const v of b.axes) {
      const w = cross(u, v);
      if (norm(w) > 1e-3) tried.push(unitOf(w));
    }
  let least = Infinity;
  for (const axis of tried) {
    const [pa, pb] = [a.corners, b.corners].map((corners) => corners.map((c) => dot(c, axis))) as [number[], number[]];
    least = Math.min(least, Math.min(Math.max(...pa), Math.max(...pb)) - Math.max(Math.min(...pa), Math.min(...pb)));
    if (least <= 0) return 0;
  }
  return least;
}
