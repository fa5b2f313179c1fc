import { joint, spread } from '../joints';
import type { CoverMaterial } from '../../catalog/types';
import { MM_PER_INCH } from '../../base/length';
import { type Point2, type Vec3, distance, pathLength, placesAlong, sweptFaces } from '../../base/geometry';
import { memberPoints } from '../assembly/solids';
import type { Fixing, Joint, Member, SheetPart } from '../assembly/types';
import type { Opening } from '../assembly/openings';

const inch = (x: number): number => x * MM_PER_INCH;

/** Pulled by, mm: what a person holds while stretching a sheet. */
export const PULL_MM = 2 * MM_PER_INCH;

/** What a sheet lies on and is fastened to, mm. */
export interface FramedCover {
  readonly line: readonly Point2[];
  readonly x0: number;
  readonly x1: number;
  readonly lengthMm: number;
  readonly riseMm: number;
  readonly widthMm: number;
  readonly wrapMm: number;
}

interface SheetChoice {
  readonly cover: CoverMaterial;
  readonly roll: string | null;
}

/** One sheet over a frame, wrapped along both rails; its ends folded down, stopped at flaps, or wrapped over plywood. */
export function framedSheet(a: SheetChoice, ends: 'folded' | 'flap' | 'plywood', c: FramedCover): SheetPart {
  const faces = sweptFaces(c.line, c.x0, c.x1);
  return {
    tag: 'S1',
    part: 'Cover',
    cover: a.cover,
    rollKey: a.roll,
    across: [
      { what: 'Over hoop and rails, edge to edge', mm: pathLength(c.line) },
      { what: 'Wrapped and fastened, both sides', mm: 2 * c.wrapMm },
      { what: 'Spare, to pull it tight', mm: PULL_MM },
    ],
    along: [
      { what: 'Frame length', mm: c.lengthMm },
      ...(ends === 'folded'
        ? [
            { what: 'End height, both ends', mm: 2 * c.riseMm },
            { what: 'Folded under, both ends', mm: 2 * inch(6) },
          ]
        : [{ what: `Wrapped over the ${ends === 'plywood' ? 'plywood' : 'end hoops'}, both ends`, mm: 2 * inch(4) }]),
    ],
    faces: ends === 'folded' ? [...faces.strips, ...faces.ends] : faces.strips,
  };
}

/** A separate flap at each end, wider than its opening and tucked under. */
export function endSheets(a: SheetChoice, c: FramedCover): readonly SheetPart[] {
  return sweptFaces(c.line, c.x0, c.x1).ends.map((face, i): SheetPart => ({
    tag: `S${2 + i}`,
    part: 'End flap',
    cover: a.cover,
    rollKey: a.roll,
    across: [
      { what: 'Width of the opening', mm: c.widthMm },
      { what: 'Wider than the opening, in all', mm: inch(9) },
    ],
    along: [
      { what: 'Height of the end', mm: c.riseMm },
      { what: 'Tucked under', mm: inch(12) },
    ],
    faces: [face],
  }));
}

/** What a cover's long edges are fastened along: the rails, mm. */
export interface Fastened {
  readonly sheets: readonly SheetPart[];
  readonly rails: readonly Member[];
  readonly hoops: readonly Member[];
  /** Screws through the battens, where there are battens. */
  readonly battening: readonly Joint[];
  readonly cover: FramedCover;
  /** Height of the fastening, and how far out it lies, mm. */
  readonly railZ: number;
  readonly y0: number;
  /** Staples across the ends as well. */
  readonly endStaples: number;
  /** The screw of the channel. */
  readonly channelScrew?: 'tek-screw' | 'screw-1';
}

/** How a cover is fastened along its rails, by the school chosen; staples hold it until that is done. */
export function fastened(fixing: Exclude<Fixing, 'weights'>, f: Fastened): readonly Joint[] {
  const { x0, x1, lengthMm, widthMm } = f.cover;
  const sides = [f.y0, f.y0 + widthMm].map((y): readonly [Vec3, Vec3] => [
    [x0, y, f.railZ],
    [x1, y, f.railZ],
  ]);
  const pieces = [...f.sheets, ...f.rails];
  const staples = 2 * Math.ceil(lengthMm / 150) + f.endStaples;
  const places = sides.flatMap(([from, to]) => spread(from, to, 300));
  const along = joint('staple', 'staples', 'Cover at the rails, until it is fastened', pieces, places, {
    count: staples,
    ...(fixing === 'staples' && { alone: 'fixing' }),
  });
  switch (fixing) {
    case 'battens':
    case 'staples':
      return [...along, ...f.battening];
    case 'channel':
      return [
        ...along,
        ...joint('channel', 'channel', 'Along both rails', pieces, places, {
          count: Math.ceil((2 * lengthMm) / 1000),
          with: { screw: f.channelScrew ?? 'tek-screw' },
        }),
        ...f.battening,
      ];
    case 'clips':
      return joint(
        'clip',
        'clips',
        'Cover to the hoops, a sleeve under each',
        [...f.sheets, ...f.hoops],
        clipPlaces(f.hoops, 4),
      );
  }
}

/** The line through pieces that follow one another, whichever way each of them runs. */
function lineThrough([first, ...others]: readonly Member[]): readonly Vec3[] {
  if (!first) return [];
  const near = (p: Vec3, points: readonly Vec3[]): number =>
    Math.min(...[points[0], points[points.length - 1]].map((q) => (q ? distance(p, q) : Infinity)));
  const path = [...memberPoints(first)];
  const [head, tail] = [path[0], path[path.length - 1]];
  const next = others[0] && memberPoints(others[0]);
  if (next && head && tail && near(head, next) < near(tail, next)) path.reverse();
  for (const piece of others) {
    const points = memberPoints(piece);
    const [end, from, to] = [path[path.length - 1], points[0], points[points.length - 1]];
    const turned = end && from && to && distance(end, to) < distance(end, from);
    path.push(...(turned ? [...points].reverse() : points));
  }
  return path;
}

/** A hoop in one piece, or in pieces in their order from foot to foot. */
type HoopPieces = Member | readonly Member[];

/** Places over each hoop, evenly along it. */
export const clipPlaces = (hoops: readonly HoopPieces[], eachHoop: number): readonly Vec3[] =>
  hoops.flatMap((hoop) => placesAlong(lineThrough([hoop].flat()), eachHoop));

/** Both sides of the frame, wherever the film lies on it, and the lowest and highest places of the film. */
function sidesOf({ line, widthMm }: FramedCover) {
  const middle = ((line[0]?.y ?? 0) + (line[line.length - 1]?.y ?? 0)) / 2;
  const zs = line.map((p) => p.z);
  return { near: middle - widthMm / 2, far: middle + widthMm / 2, foot: Math.min(...zs), top: Math.max(...zs) };
}

/** End flaps hang from the end hoops on clips and lie weighted on the ground: two bags each. */
export function flapJoints(
  flaps: readonly SheetPart[],
  endHoops: readonly HoopPieces[],
  c: FramedCover,
): readonly Joint[] {
  if (flaps.length === 0) return [];
  const eachEnd = Math.ceil(pathLength(c.line) / 450);
  const { near, far, foot } = sidesOf(c);
  const bags = [c.x0, c.x1].flatMap((x) => [0.25, 0.75].map((f): Vec3 => [x, near + (far - near) * f, foot]));
  return [
    ...joint(
      'clip',
      'flap clips',
      'End flaps to the end hoops',
      [...flaps, ...endHoops.flat()],
      clipPlaces(endHoops, eachEnd),
    ),
    ...joint('bag', 'flap weights', 'Two on each end flap', flaps, bags, { with: { holds: 'nothing' } }),
  ];
}

/** End flaps as openings: each lifts for a hand and for air. */
export function flapOpenings(flaps: readonly SheetPart[], c: FramedCover): readonly Opening[] {
  const { near, far, top } = sidesOf(c);
  return flaps.map((s, i): Opening => {
    const x = i === 0 ? c.x0 : c.x1;
    return {
      name: s.part,
      by: 'flap',
      tags: [s.tag],
      line: [
        [x, near, top],
        [x, far, top],
      ],
      travel: { mm: c.riseMm },
      shut: ['flap weights'],
      open: ['flap clips'],
      reachedFrom: 'ends',
    };
  });
}
