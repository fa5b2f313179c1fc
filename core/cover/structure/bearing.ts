/** What a piece lies on: other pieces, the bed, the ground or a wall. */
import { type Vec3, add, cross, dot, scale, subtract } from '../../base/geometry';
import type { Block, Joint, Member } from '../assembly/types';
import {
  type Solid,
  type Straight,
  blockSolid,
  directionOf,
  isIn,
  isStraight,
  isUpright,
  lengthOf,
  levelSolid,
  reachMm,
  memberSolid,
  stretchIn,
  upOf,
} from './solid';

/** What the pieces stand on, mm. */
interface Footprint {
  /** Top of the bed's wall, and where it stands: its outside from the origin, and its thickness. */
  readonly wallTopMm: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly wallMm: number;
}

/** Where something lies on something: from where to where along it, mm, and on which piece; none for the ground or the bed. */
export interface Rest {
  readonly from: number;
  readonly to: number;
  readonly on?: string;
}

/** Ends and undersides that come so near touch. */
const NEAR_MM = 5;
/** Faces that are drawn to touch may be so far apart, mm. */
const SLACK_MM = 1.5;
/** A sloped piece lies on the edge of a square board: so wide a board gapes under it. */
const BOARD_MM = 40;
/** A piece that lies on something over so much of its length spans nothing. */
const ALL_ALONG = 0.6;
/** What leans at more than this holds up what it ends on. */
const PROPS = Math.sin((20 * Math.PI) / 180);
/** Of what a bar rests on it needs no more than this, mm. Source: ANSI/AWC NDS 3.2.1, half of the bearing it needs at each end. */
const NEEDED_MM = 38;

const ALONG_X: Vec3 = [1, 0, 0];

/** All that is asked of the pieces of a cover and what they stand on. */
export interface Bearings {
  readonly straight: readonly Straight[];
  readonly solid: (tag: string) => Solid | undefined;
  readonly isUpright: (tag: string) => boolean;
  /** Pieces that a piece ends on, at its start and at its end. */
  readonly endsOn: (m: Straight) => readonly [start: readonly string[], end: readonly string[]];
  /** What bears a piece along its length, in order. */
  readonly restsOf: (m: Straight) => readonly Rest[];
  /** It lies on something all along, or is held to a wall: it spans nothing. */
  readonly liesAlong: (m: Straight) => boolean;
}

/** The ground, and the four sides of the bed's wall. */
function groundSolids({ wallTopMm: top, lengthMm: x, widthMm: y, wallMm: t }: Footprint): readonly Solid[] {
  const deep = -2000;
  const over = BOARD_MM;
  const side = (low: readonly [number, number], high: readonly [number, number]): Solid =>
    levelSolid('', [low[0] - over, low[1] - over, deep], [high[0] + over, high[1] + over, top]);
  return [
    levelSolid('', [-1e5, -1e5, deep], [1e5, 1e5, 0]),
    side([0, 0], [x, t]),
    side([0, y - t], [x, y]),
    side([0, 0], [t, y]),
    side([x - t, 0], [x, y]),
  ];
}

/** What a function gives for a piece, worked out once. */
function remembered<T>(made: (m: Straight) => T): (m: Straight) => T {
  const known = new Map<string, T>();
  return (m) => {
    const before = known.get(m.tag);
    if (before !== undefined) return before;
    const value = made(m);
    known.set(m.tag, value);
    return value;
  };
}

export function bearingsOf(
  pieces: { readonly members: readonly Member[]; readonly blocks: readonly Block[]; readonly joints: readonly Joint[] },
  ground: Footprint,
): Bearings {
  const straight = pieces.members.filter(isStraight);
  const solids = new Map<string, Solid>([
    ...straight.map((m) => [m.tag, memberSolid(m)] as const),
    ...pieces.blocks.map((b) => [b.tag, blockSolid(b)] as const),
  ]);
  const byTag = new Map(straight.map((m) => [m.tag, m]));
  const onWall = new Set(pieces.joints.filter((j) => j.kind === 'wallAnchor').flatMap((j) => j.tags));
  const all = [...solids.values(), ...groundSolids(ground)];
  const nearOf = remembered((m): readonly Solid[] => {
    const own = solids.get(m.tag);
    if (!own) return [];
    const [x, y, z] = own.middle;
    const [dx, dy, dz] = own.room;
    return all.filter(
      ({ middle, room, tag }) =>
        Math.abs(middle[2] - z) <= room[2] + dz + BOARD_MM &&
        Math.abs(middle[1] - y) <= room[1] + dy + BOARD_MM &&
        Math.abs(middle[0] - x) <= room[0] + dx + BOARD_MM &&
        tag !== m.tag,
    );
  });
  const endsOn = remembered((m) => {
    const [along = ALONG_X, wide = ALONG_X, thin = ALONG_X] = solids.get(m.tag)?.axes ?? [];
    const [, w = 0, t = 0] = solids.get(m.tag)?.half ?? [];
    // The middle of the end and near its four edges, as it is sawn: it may meet the other with a part of its end alone.
    const at = (end: Vec3, way: 1 | -1, deg: number): readonly string[] => {
      const slant = Math.tan((deg * Math.PI) / 180);
      const places = [0, 0.8 * w, -0.8 * w].map((off) =>
        add(end, add(scale(wide, off), scale(along, way * (NEAR_MM + off * slant)))),
      );
      const beside = [0.8 * t, -0.8 * t].map((off) => add(end, add(scale(thin, off), scale(along, way * NEAR_MM))));
      const all = [...places, ...beside];
      return nearOf(m)
        .filter((s) => all.some((q) => isIn(s, q)))
        .map((s) => s.tag);
    };
    const [first = 0, last = 0] = m.endAnglesDeg ?? [];
    return [at(m.shape.from, -1, first), at(m.shape.to, 1, last)] as const;
  });

  /** Each of two ends on the other, as legs that meet: neither bears the other. */
  const meet = (a: Straight, b: Straight): boolean =>
    endsOn(a).some((e) => e.includes(b.tag)) && endsOn(b).some((e) => e.includes(a.tag));
  /** The pieces that lean or stand up against a piece from below, by the tag of what they hold up. */
  const heldUp = new Map<string, Straight[]>();
  for (const m of straight) {
    const rise = directionOf(m)[2];
    if (Math.abs(rise) < PROPS) continue;
    for (const tag of endsOn(m)[rise > 0 ? 1 : 0]) {
      const other = byTag.get(tag);
      if (other && !meet(m, other)) heldUp.set(tag, [...(heldUp.get(tag) ?? []), m]);
    }
  }

  /** Everything under a piece and at its ends, whether it stands itself or not. */
  const touched = remembered((m): readonly Rest[] => {
    const own = solids.get(m.tag);
    if (!own || isUpright(m)) return [];
    const long = lengthOf(m);
    const [way, up] = [directionOf(m), upOf(m)];
    const half = reachMm(own, up);
    // On a slope a square board gapes under it, to the far edge of the board.
    const gape = BOARD_MM * Math.abs(way[2]);
    const side = cross(way, up);
    // Under its middle and near both of its sides: a flat board may lie on another with one side alone.
    const lines = [0, 0.85, -0.85].flatMap((k) => {
      const under = subtract(add(m.shape.from, scale(side, k * reachMm(own, side))), scale(up, half + NEAR_MM / 2));
      return gape > 1 ? [under, subtract(under, scale(up, gape))] : [under];
    });
    const lies = nearOf(m).flatMap((s): readonly Rest[] => {
      let [from, to] = [Infinity, -Infinity];
      for (const line of lines) {
        const found = stretchIn(s, line, way, long, SLACK_MM + s.givesMm);
        if (found) [from, to] = [Math.min(from, found[0]), Math.max(to, found[1])];
      }
      return from > to ? [] : [{ from, to, ...(s.tag !== '' && { on: s.tag }) }];
    });
    const at = (mm: number, tags: readonly string[]): readonly Rest[] =>
      tags.map((on) => ({ from: mm, to: mm, ...(on !== '' && { on }) }));
    const [start, end] = endsOn(m);
    return [...lies, ...at(0, start), ...at(long, end)];
  });

  /** What ends on a piece without holding it up is borne by it. */
  const bears = (m: Straight, tag: string): boolean => {
    const other = byTag.get(tag);
    if (!other || isUpright(other)) return false;
    return endsOn(other).some((e) => e.includes(m.tag)) && !(heldUp.get(m.tag) ?? []).includes(other);
  };
  const known = new Map<string, boolean>();
  /** Whether a piece stands on something: the ground, a wall, or a piece that stands. */
  const stands = (tag: string): boolean => {
    const m = byTag.get(tag);
    if (!m || onWall.has(tag) || isUpright(m)) return true;
    const before = known.get(tag);
    if (before !== undefined) return before;
    // Until it is known, it does not stand on what stands on it.
    known.set(tag, false);
    const props = heldUp.get(tag) ?? [];
    // Legs that lean on one another across a ridge hold it up, and themselves.
    const both = new Set(props.map((p) => Math.sign(directionOf(p)[1] * directionOf(p)[2]))).size > 1;
    const found = both || props.some(isUpright) || touched(m).some((r) => restsOn(m, r));
    known.set(tag, found);
    return found;
  };
  const restsOn = (m: Straight, r: Rest): boolean => r.on === undefined || (!bears(m, r.on) && stands(r.on));

  const restsOf = remembered((m): readonly Rest[] => {
    const props = (heldUp.get(m.tag) ?? []).map((p): Rest => {
      const top = directionOf(p)[2] > 0 ? p.shape.to : p.shape.from;
      const mm = dot(subtract(top, m.shape.from), directionOf(m));
      return { from: mm, to: mm, on: p.tag };
    });
    return [...touched(m).filter((r) => restsOn(m, r)), ...props].sort((a, b) => a.from - b.from);
  });
  const liesAlong = (m: Straight): boolean =>
    onWall.has(m.tag) || restsOf(m).some((r) => r.to - r.from > ALL_ALONG * lengthOf(m));
  return {
    straight,
    solid: (tag) => solids.get(tag),
    isUpright: (tag) => {
      const m = byTag.get(tag);
      return m !== undefined && isUpright(m);
    },
    endsOn,
    restsOf,
    liesAlong,
  };
}

/**
 * The longest free part of a piece between what it rests on, mm: from edge to edge, and of each rest half of what it needs; what
 * stands out past the last of them counts twice, as it bends the piece as a span twice as long would. Nothing where it rests on fewer
 * than two.
 */
export function freeSpan(long: number, rests: readonly Rest[]): number | undefined {
  const merged: { from: number; to: number }[] = [];
  for (const r of rests) {
    const last = merged[merged.length - 1];
    if (last && r.from - last.to < NEEDED_MM) last.to = Math.max(last.to, r.to);
    else merged.push({ from: r.from, to: r.to });
  }
  const [first] = merged;
  const last = merged[merged.length - 1];
  if (merged.length < 2 || !first || !last) return undefined;
  const needed = ({ from, to }: { readonly from: number; readonly to: number }): number =>
    Math.min(to - from, NEEDED_MM) / 2;
  const spans = merged.slice(1).map((r, i) => {
    const before = merged[i] ?? r;
    return r.from - before.to + needed(before) + needed(r);
  });
  return Math.max(...spans, 2 * first.from, 2 * (long - last.to));
}
