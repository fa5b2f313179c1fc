/** Pipes that go over one another. */
import { type Vec3, add, cross, distance, dot, norm, scale, subtract, unit } from '../../base/geometry';
import type { SleeveJoint } from '../assembly/rows';
import { memberPoints } from '../assembly/solids';
import type { Joint, Member } from '../assembly/types';

/** Pipes whose centre lines come so near and so parallel are one in the other, mm and by the sine of the angle. */
const SAME_MM = 2;
const PARALLEL = 0.03;
/** How far past its place a joint is looked at along the pipes, mm. */
const ALONG_MM = 12;

/** The stretch of a pipe's centre line that a place is on, and the way it runs there; nothing where it is not on it. */
function wayAt(m: Member, p: Vec3): Vec3 | undefined {
  const points = memberPoints(m);
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1], points[i]];
    if (!a || !b) continue;
    const way = unit(a, b);
    const d = subtract(p, a);
    const mm = dot(d, way);
    if (mm < -1 || mm > distance(a, b) + 1) continue;
    if (norm(cross(d, way)) < SAME_MM) return way;
  }
  return undefined;
}

/** What holds one pipe in the other, so that play does no harm. */
const PINS = ['tekScrew'];

/** Every kind of pipe that goes over another, once. */
export function sleevesOf(members: readonly Member[], joints: readonly Joint[]): readonly SleeveJoint[] {
  const tubes = new Map(members.filter((m) => m.section.shape.kind === 'tube').map((m) => [m.tag, m]));
  const found = new Map<string, SleeveJoint>();
  for (const j of joints) {
    // The first place stands for all: they are alike.
    const [p] = j.places;
    const at = p ? j.tags.flatMap((t) => tubes.get(t) ?? []).filter((m) => wayAt(m, p)) : [];
    for (const [i, a] of at.entries())
      for (const b of at.slice(i + 1)) {
        const key = `${a.part} over ${b.part}`.toLowerCase();
        if (!p || a.part === b.part || found.has(key) || !overlap(a, b, p)) continue;
        found.set(key, {
          outer: a.section,
          inner: b.section,
          where: key,
          ...(PINS.includes(j.kind) && { pinned: true as const }),
        });
      }
  }
  return [...found.values()];
}

/** Whether both go on past a place the same way. */
function overlap(a: Member, b: Member, p: Vec3): boolean {
  const [way, other] = [wayAt(a, p), wayAt(b, p)];
  if (!way || !other || norm(cross(way, other)) > PARALLEL) return false;
  return [-ALONG_MM, ALONG_MM].some((mm) => {
    const q = add(p, scale(way, mm));
    return wayAt(a, q) !== undefined && wayAt(b, q) !== undefined;
  });
}
