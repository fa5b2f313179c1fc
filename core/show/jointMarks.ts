import { type Flat, type View, flatten } from '../base/geometry';
import type { Assembly, Joint } from '../cover/assembly/types';
import { jointKind } from '../cover/joints';
import { countOfJoint } from '../cover/joints/kind';

/** A joint as a drawing shows it: what it is and how many, and where. */
export interface JointMark {
  readonly id: string;
  /** "10 straps: Hoop feet to the rails". */
  readonly text: string;
  readonly symbol: 'point' | 'line';
  readonly at: readonly Flat[];
}

/** How a joint is told: its number, what it is called, and where it is. */
export function sayJoint(j: Joint): string {
  const n = countOfJoint(j);
  const [one, many] = jointKind(j.kind).name;
  return `${n} ${n === 1 ? one : many}: ${j.where}`;
}

/** Places nearer to one another than this are one mark, mm. */
const ONE_MARK_MM = 6;

/** Every joint that has a place, in a view; places that lie behind one another are marked once. */
export function jointMarks(a: Assembly, view: View): readonly JointMark[] {
  return a.joints.flatMap((j): JointMark[] => {
    const { symbol } = jointKind(j.kind);
    if (symbol === 'none' || j.places.length === 0) return [];
    const seen = new Map<string, Flat>();
    for (const place of j.places) {
      const at = flatten(place, view);
      seen.set(at.map((x) => Math.round(x / ONE_MARK_MM)).join(), at);
    }
    return [{ id: j.id, text: sayJoint(j), symbol, at: [...seen.values()] }];
  });
}
