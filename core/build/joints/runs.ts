import { joint } from './index';
import type { Section } from '../../catalog/types';
import type { Vec3 } from '../../base/geometry';
import type { Joint, Mark, Member } from '../assembly/types';

/** A straight member that runs along the bed and may be longer than any bar. */
export interface Run {
  readonly tag: string;
  readonly part: string;
  readonly section: Section;
  readonly from: Vec3;
  readonly to: Vec3;
  readonly wide: Vec3;
  /** Where hoops stand along x; joints must fall on one of them. */
  readonly hoopXs: readonly number[];
  readonly markHoops: boolean;
  /** What is written at each mark, from 0 on; H1, H2 and so on when not said. */
  readonly markLabel?: (n: number) => string;
}

/**
 * Both ends of a run and its joints between: as few pieces as will do, as even as the hoops allow, each joint on a hoop.
 * @param wholeMm the longest bar; a run that is just one of them is taken whole, without squaring
 */
function jointPlaces(
  x0: number,
  x1: number,
  wholeMm: number,
  squareMm: number,
  hoopXs: readonly number[],
): readonly number[] {
  if (x1 - x0 <= wholeMm + 0.05) return [x0, x1];
  const longest = wholeMm - squareMm;
  const joints: number[] = [x0];
  for (let last = x0; x1 - last > longest;) {
    const left = Math.ceil((x1 - last) / longest - 1e-9);
    const ideal = last + (x1 - last) / left;
    // What is left after the joint must still go into one piece fewer.
    const fits = hoopXs.filter((h) => h > last + 1 && h - last <= longest && x1 - h <= (left - 1) * longest);
    const reach = hoopXs.filter((h) => h > last + 1 && h - last <= longest);
    const nearest = (list: readonly number[]): number | undefined =>
      list.length === 0 ? undefined : list.reduce((a, b) => (Math.abs(b - ideal) < Math.abs(a - ideal) ? b : a));
    last = nearest(fits) ?? (reach.length > 0 ? Math.max(...reach) : ideal);
    joints.push(last);
  }
  return [...joints, x1];
}

/**
 * A straight run along x as one member, or as several with every joint on a hoop when no bar is long enough.
 * Pipes get a coupler at each joint, boards two plates.
 */
export function straightRun(run: Run): {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
} {
  const s = run.section;
  const [x0, y, z] = run.from;
  const x1 = run.to[0];
  const joints = jointPlaces(x0, x1, Math.max(...s.stock.map((bar) => bar.lengthMm)), s.squareMm, run.hoopXs);
  const many = joints.length > 2;
  const members = joints.slice(1).map((end, i): Member => {
    const start = joints[i] ?? x0;
    const marks: Mark[] = run.markHoops
      ? run.hoopXs.flatMap((h, n) =>
          h >= start - 0.5 && h <= end + 0.5 ? [{ atMm: h - start, label: run.markLabel?.(n) ?? `H${n + 1}` }] : [],
        )
      : [];
    return {
      tag: many ? `${run.tag}${String.fromCharCode(97 + i)}` : run.tag,
      part: many ? `${run.part}, part ${i + 1}` : run.part,
      section: s,
      shape: { kind: 'straight', from: [start, y, z], to: [end, y, z], wide: run.wide },
      lengthMm: end - start,
      ends: ['square', 'square'],
      holes: [],
      marks,
    };
  });
  const places = joints.slice(1, -1).map((x): Vec3 => [x, y, z]);
  const id = `splices ${run.tag}`;
  return {
    members,
    joints:
      s.shape.kind === 'tube'
        ? joint('coupler', id, `${run.part}: joints on hoops`, members, places)
        : joint('plate', id, `${run.part}: plates over the joints`, members, places, { count: 2 * places.length }),
  };
}
