import { joint } from './index';
import { MM_PER_INCH } from '../../base/length';
import type { Section } from '../../catalog/types';
import type { Vec3 } from '../../base/geometry';
import type { Joint, Mark, Member } from '../assembly/types';

/** What a run lies on: hoops, rafters or studs. */
export interface Supports {
  /** Where they stand along x; joints must fall on one of them. */
  readonly xs: readonly number[];
  /** What is written where each crosses, from 0 on; no marks when not said. */
  readonly mark?: ((n: number) => string) | undefined;
}

/** A hoop's tag, written where it crosses. */
export const hoopMark = (n: number): string => `H${n + 1}`;

/** A shorter piece is a sliver: it splits at its screws and holds nothing. */
const SLIVER_MM = 12 * MM_PER_INCH;

/** What is best of a run from its start to one of its joints. */
interface Way {
  readonly pieces: number;
  readonly price: number;
  /** Sum of squared lengths: the least where the pieces are most alike. */
  readonly uneven: number;
  readonly joints: readonly number[];
}

const better = (a: Way, b: Way | undefined): boolean =>
  !b ||
  a.pieces - b.pieces < 0 ||
  (a.pieces === b.pieces && (a.price < b.price - 1e-9 || (a.price < b.price + 1e-9 && a.uneven < b.uneven - 1e-6)));

/** The cheapest bar that a piece comes out of; nothing where none is long enough. */
function barFor(s: Section, lengthMm: number): number | undefined {
  const bars = s.stock.filter(
    (bar) => lengthMm <= bar.lengthMm - s.squareMm || Math.abs(lengthMm - bar.lengthMm) < 0.05,
  );
  return bars.length === 0 ? undefined : Math.min(...bars.map((bar) => bar.price));
}

/**
 * Both ends of a run and its joints between, each on a support: the fewest pieces, then the cheapest bars, then the most even
 * pieces, none of them a sliver. Over all the joints at once, so that nothing short is left at the end.
 */
function jointPlaces(x0: number, x1: number, s: Section, supports: readonly number[]): readonly number[] {
  const whole = Math.max(...s.stock.map((bar) => bar.lengthMm));
  if (x1 - x0 <= whole + 0.05) return [x0, x1];
  const inside = [...new Set(supports)].filter((x) => x > x0 + 1 && x < x1 - 1).sort((a, b) => a - b);
  const bays = inside.slice(1).map((x, i) => x - (inside[i] ?? x));
  // One bay where bays are closer than a foot; and where supports leave no other way, in one bay of an even share.
  for (const least of [SLIVER_MM, Math.min(SLIVER_MM, ...bays)]) {
    const found = fewest([x0, ...inside, x1], s, least - 1e-6);
    if (found) return found;
  }
  const count = Math.ceil((x1 - x0) / (whole - s.squareMm) - 1e-9);
  return Array.from({ length: count + 1 }, (_, i) => x0 + ((x1 - x0) * i) / count);
}

function fewest(places: readonly number[], s: Section, leastMm: number): readonly number[] | undefined {
  const ways: (Way | undefined)[] = [{ pieces: 0, price: 0, uneven: 0, joints: places.slice(0, 1) }];
  for (let to = 1; to < places.length; to++)
    for (let from = 0; from < to; from++) {
      const [a = 0, b = 0] = [places[from], places[to]];
      const before = ways[from];
      const price = before && b - a >= leastMm ? barFor(s, b - a) : undefined;
      if (!before || price === undefined) continue;
      const way = {
        pieces: before.pieces + 1,
        price: before.price + price,
        uneven: before.uneven + (b - a) ** 2,
        joints: [...before.joints, b],
      };
      if (better(way, ways[to])) ways[to] = way;
    }
  return ways[places.length - 1]?.joints;
}

/**
 * A straight run along the bed as one member, or as several with every joint on a support when no bar is long enough.
 * Pipes get a coupler at each joint, boards two plates.
 * @param along where it starts and ends, x, mm; `at` its centre line, y and z
 * @param wide the unit direction of a board's wider side
 */
export function straightRun(
  tag: string,
  part: string,
  s: Section,
  [x0, x1]: readonly [from: number, to: number],
  [y, z]: readonly [y: number, z: number],
  wide: Vec3,
  on: Supports,
): { readonly members: readonly Member[]; readonly joints: readonly Joint[] } {
  const joints = jointPlaces(x0, x1, s, on.xs);
  const many = joints.length > 2;
  const members = joints.slice(1).map((end, i): Member => {
    const start = joints[i] ?? x0;
    const { mark } = on;
    const marks: Mark[] = mark
      ? on.xs.flatMap((x, n) => (x >= start - 0.5 && x <= end + 0.5 ? [{ atMm: x - start, label: mark(n) }] : []))
      : [];
    return {
      tag: many ? `${tag}${String.fromCharCode(97 + i)}` : tag,
      part: many ? `${part}, part ${i + 1}` : part,
      section: s,
      shape: { kind: 'straight', from: [start, y, z], to: [end, y, z], wide },
      lengthMm: end - start,
      ends: ['square', 'square'],
      holes: [],
      marks,
    };
  });
  const places = joints.slice(1, -1).map((x): Vec3 => [x, y, z]);
  const id = `splices ${tag}`;
  return {
    members,
    joints:
      s.shape.kind === 'tube'
        ? joint('coupler', id, `${part}: joints on hoops`, members, places)
        : joint('plate', id, `${part}: plates over the joints`, members, places, { count: 2 * places.length }),
  };
}
