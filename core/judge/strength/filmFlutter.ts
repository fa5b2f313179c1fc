/** How large a part of a flat sheet hangs free between lines of fastening: what wind makes a sail of. */
import { type Vec3, cross, distance, dot, faceArea, scale, subtract, unit } from '../../base/geometry';
import { jointKind } from '../../cover/joints';
import type { Assembly, SheetPart } from '../../cover/assembly/types';

/** A free part of a face: between two lines across it and two along it, mm. */
interface FreePart {
  readonly tag: string;
  readonly alongMm: number;
  readonly acrossMm: number;
}

/** Fastenings count for a face that they lie this near to, mm. */
const NEAR_MM = 90;
/** Fastenings in a row this near to one another hold like a line, mm. */
const ROW_MM = 650;
/** What lies as near to an edge as this part of the width fastens that edge alone. */
const EDGE = 0.2;
/** Those as far along as this are in one line across, mm. */
const LINE_MM = 60;
/** A hoop that a sheet is drawn tight over touches it at so many places at least. */
const TOUCHES = 3;

/** A point in the plane of a face: along its longer side, across it, and off it, mm. */
type InFace = readonly [along: number, across: number, off: number];

/** How a face is looked at: a point in its plane, and how far off it that point is. */
interface Plane {
  readonly see: (p: Vec3) => InFace;
  readonly off: (p: Vec3) => number;
  readonly u: Vec3;
}

/**
 * The largest free part of the film of a cover; undefined where it has none. A face that lies tight over curved hoops is held by
 * them; one over straight legs or studs only where something fastens it there. The edges of a face count as held.
 */
export function largestFree(a: Assembly): FreePart | undefined {
  const parts = a.sheets.filter((s) => s.cover.kind === 'film').flatMap((s) => freeParts(s, a));
  return parts.sort((p, q) => q.alongMm * q.acrossMm - p.alongMm * p.acrossMm)[0];
}

function freeParts(sheet: SheetPart, a: Assembly): readonly FreePart[] {
  const held = a.joints
    .filter((j) => j.tags.includes(sheet.tag))
    .flatMap((j) => {
      const { divides } = jointKind(j.kind);
      return divides ? j.places.map((at) => ({ at, whole: divides === 'across' })) : [];
    });
  const hoops = a.members.flatMap((m) => (m.shape.kind === 'curve' ? [m.shape.points] : []));
  const corners = sheet.faces.flat();
  const xs = corners.map((c) => c[0]);
  const ends = [Math.min(...xs), Math.max(...xs)] as const;
  const under = hoops.filter((points) => touches(corners, ends, points)).flatMap((points) => points.slice(0, 1));
  let largest = 0;
  return sheet.faces.flatMap((face) => {
    const plane = planeOf(face);
    if (!plane || (sheet.gathered && Math.abs(plane.u[0]) < 0.9)) return [];
    const { see, off } = plane;
    const flat = face.map(see);
    const [us, vs] = [flat.map((p) => p[0]), flat.map((p) => p[1])];
    const [u0, u1, v0, v1] = [Math.min(...us), Math.max(...us), Math.min(...vs), Math.max(...vs)];
    // What lies over or under the whole sheet lies across every face that runs along the bed.
    const runsAlong = Math.abs(plane.u[0]) > 0.9;
    const over = runsAlong
      ? [...held.filter(({ whole }) => whole).map(({ at }) => at), ...under].map((at) => see(at)[0])
      : [];
    // However it is fastened besides, no more of it is free than that: of the many strips of a curve most are spared.
    if (widest(over, u0, u1) * (v1 - v0) <= largest) return [];
    const inside = (p: InFace): boolean =>
      p[0] > u0 - NEAR_MM && p[0] < u1 + NEAR_MM && p[1] > v0 - NEAR_MM && p[1] < v1 + NEAR_MM;
    const here = held.flatMap(({ at, whole }) => {
      // Most fastenings are of other faces: they are off its plane.
      const seen = whole || Math.abs(off(at)) >= NEAR_MM ? undefined : see(at);
      return seen && inside(seen) ? [seen] : [];
    });
    const across = [
      ...over,
      ...linesOf(
        here.map((p) => [p[0], p[1]]),
        [v0, v1],
      ),
    ];
    const along = linesOf(
      here.map((p) => [p[1], p[0]]),
      [u0, u1],
    );
    const part = { tag: sheet.tag, alongMm: widest(across, u0, u1), acrossMm: widest(along, v0, v1) };
    largest = Math.max(largest, part.alongMm * part.acrossMm);
    return [part];
  });
}

/** Whether enough corners of a sheet lie on a hoop for it to stand under the sheet: both seen along the bed. */
function touches(corners: readonly Vec3[], [least, most]: readonly [number, number], hoop: readonly Vec3[]): boolean {
  const x = hoop[0]?.[0] ?? 0;
  if (x < least - NEAR_MM || x > most + NEAR_MM) return false;
  const near = (NEAR_MM / 2) ** 2;
  let found = 0;
  for (const c of corners) {
    if (!hoop.some((p) => (p[1] - c[1]) ** 2 + (p[2] - c[2]) ** 2 < near)) continue;
    found += 1;
    if (found >= TOUCHES) return true;
  }
  return false;
}

/** Sees points in the plane of a face; undefined for one without area. */
function planeOf(face: readonly Vec3[]): Plane | undefined {
  if (faceArea(face) < 1) return undefined;
  const [from, u] = longestEdge(face);
  const offEdge = (p: Vec3): Vec3 => {
    const d = subtract(p, from);
    return subtract(d, scale(u, dot(d, u)));
  };
  const far = face.map(offEdge).reduce((best, p) => (dot(p, p) > dot(best, best) ? p : best));
  const v = unit([0, 0, 0], far);
  const n = cross(u, v);
  const offset = dot(from, n);
  const [along, across] = [dot(from, u), dot(from, v)];
  const off = (p: Vec3): number => dot(p, n) - offset;
  return { see: (p) => [dot(p, u) - along, dot(p, v) - across, off(p)], off, u };
}

/** Where the longest edge of a face begins, and which way it goes. */
function longestEdge(face: readonly Vec3[]): readonly [from: Vec3, way: Vec3] {
  let [from, to, longest]: [Vec3, Vec3, number] = [[0, 0, 0], [0, 0, 0], -1];
  face.forEach((p, i) => {
    const q = face[(i + 1) % face.length] ?? p;
    const long = distance(p, q);
    if (long > longest) [from, to, longest] = [p, q, long];
  });
  return [from, unit(from, to)];
}

/** Where fastenings stand in a line that holds from edge to edge: places one way, of those that follow one another the other way. */
function linesOf(
  places: readonly (readonly [at: number, other: number])[],
  [low, high]: readonly [number, number],
): readonly number[] {
  const sorted = [...places].sort((p, q) => p[0] - q[0]);
  const groups: (readonly [number, number])[][] = [];
  for (const p of sorted) {
    const last = groups[groups.length - 1];
    if (last?.[0] && p[0] - last[0][0] < LINE_MM) last.push(p);
    else groups.push([p]);
  }
  return groups.flatMap((group) => {
    const others = [low, ...group.map((p) => p[1]), high].sort((p, q) => p - q);
    const close = others.every((o, i) => i === 0 || o - (others[i - 1] ?? o) < ROW_MM);
    const inner = others.some((o) => Math.min(o - low, high - o) > EDGE * (high - low));
    return close && inner ? [group[0]?.[0] ?? 0] : [];
  });
}

/** The widest gap between lines, the edges among them. */
function widest(lines: readonly number[], from: number, to: number): number {
  const all = [from, ...lines.filter((x) => x > from && x < to), to].sort((p, q) => p - q);
  return Math.max(...all.slice(1).map((x, i) => x - (all[i] ?? x)));
}
