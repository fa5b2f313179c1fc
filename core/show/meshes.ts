/** Everything that is built, as closed triangles in place, mm: for files that other programs turn round. */
import earcut from 'earcut';
import { type Flat, type Vec3, add, cross, scale, subtract, unit } from '../base/geometry';
import { blockCorners, boardCorners, memberPoints, panelFaces } from '../cover/assembly/solids';
import type { Assembly, Member, Panel, SheetPart } from '../cover/assembly/types';
import { tubeShape } from '../catalog/sections';

export type MeshStuff = 'timber' | 'pipe' | 'film' | 'panel' | 'straw';

export interface Mesh {
  /** Its tag and part, as on the piece: "A1 Long rail". */
  readonly name: string;
  readonly stuff: MeshStuff;
  readonly points: readonly Vec3[];
  /** Three points each, seen from outside against the clock. */
  readonly triangles: readonly (readonly [number, number, number])[];
}

type Triangle = readonly [number, number, number];
const quad = (a: number, b: number, c: number, d: number): readonly Triangle[] => [
  [a, b, c],
  [a, c, d],
];

/** A box by its eight corners, in the order that boards and blocks give them: low and high of one way within the next. */
const BOX: readonly Triangle[] = [
  ...quad(0, 1, 3, 2),
  ...quad(4, 6, 7, 5),
  ...quad(0, 4, 5, 1),
  ...quad(2, 3, 7, 6),
  ...quad(0, 2, 6, 4),
  ...quad(1, 5, 7, 3),
];

/** Corners round a pipe. */
const ROUND = 12;

/** A round bar along a line, its ends shut. */
function tube(path: readonly Vec3[], r: number): Pick<Mesh, 'points' | 'triangles'> {
  const last = path.length - 1;
  const way = (i: number): Vec3 => {
    const [a, b] = [path[Math.max(0, i - 1)], path[Math.min(last, i + 1)]];
    return a && b ? unit(a, b) : [1, 0, 0];
  };
  const points: Vec3[] = [];
  // Carried along the line, so that the bar does not twist.
  let side: Vec3 = Math.abs(way(0)[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0];
  path.forEach((p, i) => {
    const along = way(i);
    const across = unit([0, 0, 0], cross(along, side));
    side = cross(across, along);
    for (let k = 0; k < ROUND; k++) {
      const angle = (2 * Math.PI * k) / ROUND;
      points.push(add(p, add(scale(across, r * Math.cos(angle)), scale(side, r * Math.sin(angle)))));
    }
  });
  const triangles = path.slice(1).flatMap((_, i) =>
    Array.from({ length: ROUND }, (_, k) => {
      const [a, b] = [i * ROUND + k, i * ROUND + ((k + 1) % ROUND)];
      return quad(a, a + ROUND, b + ROUND, b);
    }).flat(),
  );
  const caps = Array.from({ length: ROUND - 2 }, (_, k): readonly Triangle[] => [
    [0, k + 1, k + 2],
    [last * ROUND, last * ROUND + k + 2, last * ROUND + k + 1],
  ]).flat();
  return { points, triangles: [...triangles, ...caps] };
}

function memberMesh(m: Member): Pick<Mesh, 'points' | 'triangles'> {
  if (m.section.shape.kind === 'tube') return tube(memberPoints(m), tubeShape(m.section).outsideMm / 2);
  return { points: boardCorners(m), triangles: BOX };
}

/** Whether a ring goes round against the clock. */
const turnsLeft = (ring: readonly Flat[]): boolean =>
  ring.reduce((sum, [x, y], i) => {
    const [nx, ny] = ring[(i + 1) % ring.length] ?? [x, y];
    return sum + x * ny - nx * y;
  }, 0) > 0;

/** A panel as thick as it is, its openings cut through. */
function panelMesh(p: Panel): Pick<Mesh, 'points' | 'triangles'> {
  // Round the outside against the clock, round each opening with it.
  const rings = [p.outline, ...p.openings].map((ring, i) =>
    turnsLeft(ring) === (i === 0) ? ring : [...ring].reverse(),
  );
  const flat = rings.flat();
  let at = 0;
  const starts = rings.map((ring) => {
    const start = at;
    at += ring.length;
    return start;
  });
  const face = earcut(flat.flat(), starts.slice(1));
  const faces = rings.map((ring) => panelFaces(p, ring));
  const points = [...faces.flatMap(([near]) => near), ...faces.flatMap(([, far]) => far)];
  const n = flat.length;
  const triangles: Triangle[] = [];
  for (let i = 0; i + 2 < face.length; i += 3) {
    const [a = 0, b = 0, c = 0] = face.slice(i, i + 3);
    triangles.push([a, c, b], [a + n, b + n, c + n]);
  }
  rings.forEach((ring, r) =>
    ring.forEach((_, k) => {
      const [a, b] = [(starts[r] ?? 0) + k, (starts[r] ?? 0) + ((k + 1) % ring.length)];
      triangles.push(...quad(a, b, b + n, a + n));
    }),
  );
  return { points, triangles };
}

/** A sheet by its faces, each a flat polygon. */
function sheetMesh(s: SheetPart): Pick<Mesh, 'points' | 'triangles'> {
  const points: Vec3[] = [];
  const triangles: Triangle[] = [];
  for (const face of s.faces) {
    const start = points.length;
    points.push(...face);
    for (const [a, b, c] of fan(face)) triangles.push([a + start, b + start, c + start]);
  }
  return { points, triangles };
}

/** A flat polygon in space cut into triangles, looked at along the axis that shows it largest. */
function fan(face: readonly Vec3[]): readonly Triangle[] {
  const [a, b] = face;
  if (!a || !b || face.length < 3) return [];
  const normal = face.slice(1, -1).reduce<Vec3>(
    (sum, p, i) => {
      const q = face[i + 2] ?? p;
      return add(sum, cross(subtract(p, a), subtract(q, a)));
    },
    [0, 0, 0],
  );
  const drop = normal.map(Math.abs).indexOf(Math.max(...normal.map(Math.abs)));
  const keep = [0, 1, 2].filter((k) => k !== drop) as [0 | 1 | 2, 0 | 1 | 2];
  const cut = earcut(face.flatMap((p) => [p[keep[0]], p[keep[1]]]));
  return Array.from({ length: cut.length / 3 }, (_, i): Triangle => [
    cut[3 * i] ?? 0,
    cut[3 * i + 1] ?? 0,
    cut[3 * i + 2] ?? 0,
  ]);
}

/** Every member, panel, sheet and block of a cover. */
export function meshesOf(a: Assembly): readonly Mesh[] {
  const named = ({ tag, part }: { readonly tag: string; readonly part: string }): string => `${tag} ${part}`;
  return [
    ...a.members.map((m): Mesh => ({
      name: named(m),
      stuff: m.section.shape.kind === 'tube' ? 'pipe' : 'timber',
      ...memberMesh(m),
    })),
    ...a.panels.map((p): Mesh => ({ name: named(p), stuff: 'panel', ...panelMesh(p) })),
    ...a.sheets.map((s): Mesh => ({ name: named(s), stuff: 'film', ...sheetMesh(s) })),
    ...a.blocks.map((b): Mesh => ({ name: named(b), stuff: 'straw', points: blockCorners(b), triangles: BOX })),
  ].filter((m) => m.triangles.length > 0);
}
