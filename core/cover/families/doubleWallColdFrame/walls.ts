import { joint, pairsAt } from '../../joints';
import type { CoverMaterial, Section } from '../../../catalog/types';
import type { Vec3 } from '../../../base/geometry';
import { endsOf, piece } from '../../assembly/pieces';
import { straightRun } from '../../joints/runs';
import type { BoxPlace, Joint, Member, SheetPart } from '../../assembly/types';
import { boardShape } from '../../../catalog/sections';
import { type Made, fail, ok } from '../../../base/result';
import { MM_PER_INCH } from '../../../base/length';

const STUD_SPACING_MM = 24 * MM_PER_INCH;
const WRAP_MM = 2 * MM_PER_INCH;
const LAP_MM = 4 * MM_PER_INCH;

/** Where it stands, and what it is built of. */
export interface WallSite extends BoxPlace {
  readonly stud: Section;
}

export type Walls = Made<typeof buildWalls>;

/**
 * Four walls of studs between plates that lie flat. Front and back run the whole length, sides stand between them under
 * sloping plates. The lid touches the front's outer edge and the back's inner one.
 */
export function buildWalls(s: WallSite) {
  const { thicknessMm: t, widthMm: w } = boardShape(s.stud);
  const depth = s.y1 - s.y0;
  const slope = (s.backMm - s.frontMm) / (depth - w);
  if (Math.min(depth, s.x1 - s.x0) < 2 * w + 200)
    return fail('stud', 'The walls leave no room between them on so narrow a bed, or along so short a frame.');
  if (slope < 0.04) return fail('back', 'Make the back higher than the front, so that rain and snow run off the lid.');
  if (slope > 0.6) return fail('back', 'The lid would be steeper than 30 degrees: lower the back or raise the front.');
  const across: Vec3 = [0, 1, 0];
  const splices: Joint[] = [];
  const wall = (letter: string, name: string, y: number, high: number): readonly Member[] => {
    const bays = Math.max(1, Math.ceil((s.x1 - s.x0 - t) / STUD_SPACING_MM));
    const xs = Array.from({ length: bays + 1 }, (_, i) => s.x0 + t / 2 + ((s.x1 - s.x0 - t) * i) / bays);
    const plate = (n: number, part: string, z: number): readonly Member[] => {
      const run = straightRun(`${letter}${n}`, `${name} ${part}`, s.stud, [s.x0, s.x1], [y, z], across, {
        xs,
        mark: (stud) => `${letter}${stud + 3}`,
      });
      splices.push(...run.joints);
      return run.members;
    };
    return [
      ...plate(1, 'bottom plate', s.z0 + t / 2),
      ...plate(2, 'top plate', s.z0 + high - t / 2),
      ...xs.map((x, i) =>
        piece(`${letter}${i + 3}`, `${name} stud`, s.stud, [x, y, s.z0 + t], [x, y, s.z0 + high - t], across),
      ),
    ];
  };
  const plane = (y: number): number => s.z0 + s.frontMm + slope * (y - s.y0);
  const angle = Math.atan(slope);
  const side = (letter: string, x: number): readonly Member[] => {
    const from = s.y0 + w;
    const to = s.y1 - w;
    const bays = Math.max(1, Math.ceil((to - from) / STUD_SPACING_MM));
    // A square end under a slope stops where its upper corner touches.
    const short = (t * Math.sin(angle)) / 2;
    const mid = (y: number): Vec3 => [x, y, plane(y) - t / 2 / Math.cos(angle)];
    const studs = Array.from({ length: bays + 1 }, (_, i) => {
      const y = i === 0 ? from + t / 2 : i === bays ? to - t / 2 : from + ((to - from) * i) / bays;
      const top = plane(y - t / 2) - t / Math.cos(angle) - 1;
      return piece(`${letter}${i + 3}`, 'Side stud', s.stud, [x, y, s.z0 + t], [x, y, top], [1, 0, 0]);
    });
    return [
      piece(`${letter}1`, 'Side bottom plate', s.stud, [x, from, s.z0 + t / 2], [x, to, s.z0 + t / 2], [1, 0, 0]),
      piece(`${letter}2`, 'Side top plate', s.stud, mid(from + short), mid(to - short), [1, 0, 0]),
      ...studs,
    ];
  };
  const front = wall('A', 'Front', s.y0 + w / 2, s.frontMm);
  const back = wall('B', 'Back', s.y1 - w / 2, s.backMm);
  const sides = [...side('C', s.x0 + w / 2), ...side('D', s.x1 - w / 2)];
  const all = [...front, ...back, ...sides];
  const studs = all.filter((m) => m.part.endsWith('stud'));
  const corners = pairsAt([s.x0, s.x1], [s.y0 + w / 2, s.y1 - w / 2], s.z0 + s.frontMm / 2);
  return ok({
    front,
    back,
    sides,
    all,
    studs,
    /** Height of the lid's underside over y. */
    plane,
    slope,
    /** Thickness of a wall: the air between its two films. */
    gapMm: w,
    joints: [...joint('buttScrew', 'studs', 'Plates to studs, two screws an end', all, endsOf(studs)), ...splices],
    corners: joint('buttScrew', 'corners', 'Side walls to front and back, four a corner', all, corners, {
      with: { screw: 'screw-3', each: 4 },
    }),
  });
}

/** A band of film round the outside of the walls, and one round the inside. */
export function wallSheets(s: WallSite, walls: Walls, cover: CoverMaterial, roll: string | null): readonly SheetPart[] {
  const band = (tag: string, part: string, inset: number): SheetPart => {
    const [xa, xb, ya, yb] = [s.x0 + inset, s.x1 - inset, s.y0 + inset, s.y1 - inset];
    const top = (y: number): number => s.z0 + s.frontMm + walls.slope * (y - s.y0);
    const quad = (a: readonly [number, number], b: readonly [number, number]): readonly Vec3[] => [
      [a[0], a[1], s.z0],
      [b[0], b[1], s.z0],
      [b[0], b[1], Math.min(top(b[1]), s.z0 + s.backMm)],
      [a[0], a[1], Math.min(top(a[1]), s.z0 + s.backMm)],
    ];
    return {
      tag,
      part,
      cover,
      rollKey: roll,
      across: [
        { what: 'Height at the back', mm: s.backMm },
        { what: 'Wrapped over both plates', mm: 2 * WRAP_MM },
      ],
      along: [
        { what: 'Front and back', mm: 2 * (xb - xa) },
        { what: 'Both sides', mm: 2 * (yb - ya) },
        { what: 'Lap where it meets itself', mm: LAP_MM },
      ],
      faces: [quad([xa, ya], [xb, ya]), quad([xb, ya], [xb, yb]), quad([xb, yb], [xa, yb]), quad([xa, yb], [xa, ya])],
    };
  };
  return [band('S1', 'Outer skin', 0), band('S2', 'Inner skin', walls.gapMm)];
}

/**
 * A lath in both end bays of front and back, from the foot of the first stud to the head of the second, let in flush with the
 * inner face of the studs.
 */
export function wallBraces({ front, back }: Pick<Walls, 'front' | 'back'>, lath: Section): readonly Member[] {
  return [front, back].flatMap((wall, w) => {
    const studs = wall.filter((m) => m.part.endsWith('stud'));
    const bays = studs.length > 2 ? [studs.slice(0, 2), studs.slice(-2).reverse()] : [studs];
    return bays.flatMap(([outer, inner], i) => {
      if (outer?.shape.kind !== 'straight' || inner?.shape.kind !== 'straight') return [];
      const { widthMm } = boardShape(outer.section);
      const in_ = (w === 0 ? 1 : -1) * (widthMm / 2 - boardShape(lath).thicknessMm / 2);
      const at = ([x, y, z]: Vec3): Vec3 => [x, y + in_, z];
      return [piece(`Z${2 * w + i + 1}`, 'Brace', lath, at(outer.shape.from), at(inner.shape.to), [0, 0, 1])];
    });
  });
}
