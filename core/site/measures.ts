/** What is measured at a bed, in the order that one walks round it with a tape. */
import { type LengthUnit, parseLength } from '../base/length';
import { type Result, fail, ok } from '../base/result';
import { type Bed, CORNERS, CORNER_NAMES, type Corner, type MeasureId } from './bed';

export interface BedMeasure {
  readonly id: MeasureId;
  readonly label: string;
  /** As little as a drawing has room for. */
  readonly short: string;
  readonly of: (bed: Bed) => number;
  readonly set: (bed: Bed, mm: number) => Bed;
  /** Where the tape runs: between two outside corners, inside along or across, at one corner, or up the wall. */
  readonly where:
    | { readonly kind: 'between'; readonly from: Corner; readonly to: Corner }
    | { readonly kind: 'inside'; readonly way: 'along' | 'across' }
    | { readonly kind: 'corner'; readonly corner: Corner }
    | { readonly kind: 'wall' };
  /** What to mind while it is taken. */
  readonly tip: string;
}

const OUTSIDE = [
  ['near', 'Outside length, near side', 'near side', 'nearLeft', 'nearRight', 'nearMm'],
  ['right', 'Outside width, right end', 'right end', 'nearRight', 'farRight', 'rightMm'],
  ['far', 'Outside length, far side', 'far side', 'farRight', 'farLeft', 'farMm'],
  ['left', 'Outside width, left end', 'left end', 'farLeft', 'nearLeft', 'leftMm'],
] as const;

const DIAGONALS = [
  ['rising', 'Diagonal, near left to far right', 'nearLeft', 'farRight', 'risingMm'],
  ['falling', 'Diagonal, near right to far left', 'nearRight', 'farLeft', 'fallingMm'],
] as const;

export const MEASURES: readonly BedMeasure[] = [
  ...OUTSIDE.map(([id, label, short, from, to, key]): BedMeasure => ({
    id,
    label,
    short,
    of: (b) => b.outside[key],
    set: (b, mm) => ({ ...b, outside: { ...b.outside, [key]: mm } }),
    where: { kind: 'between', from, to },
    tip: 'At the rim, outer edge to outer edge.',
  })),
  ...DIAGONALS.map(([id, label, from, to, key]): BedMeasure => ({
    id,
    label,
    short: 'diagonal',
    of: (b) => b.diagonals[key],
    set: (b, mm) => ({ ...b, diagonals: { ...b.diagonals, [key]: mm } }),
    where: { kind: 'between', from, to },
    tip: 'Corner to corner, outside; two people, the tape tight. Or how much longer it is than the other.',
  })),
  {
    id: 'insideLength',
    label: 'Inside length, the shortest',
    short: 'inside',
    of: (b) => b.inside.lengthMm,
    set: (b, lengthMm) => ({ ...b, inside: { ...b.inside, lengthMm } }),
    where: { kind: 'inside', way: 'along' },
    tip: 'Where it is shortest: a frame must drop in there.',
  },
  {
    id: 'insideWidth',
    label: 'Inside width, the narrowest',
    short: 'inside',
    of: (b) => b.inside.widthMm,
    set: (b, widthMm) => ({ ...b, inside: { ...b.inside, widthMm } }),
    where: { kind: 'inside', way: 'across' },
    tip: 'Where the soil has bowed the walls least.',
  },
  ...CORNERS.map((corner): BedMeasure => ({
    id: corner,
    label: `Drop of the ${CORNER_NAMES[corner]} corner below level`,
    short: 'drop',
    of: (b) => b.drops[corner],
    set: (b, mm) => ({ ...b, drops: { ...b.drops, [corner]: mm } }),
    where: { kind: 'corner', corner },
    tip: 'From a level string or a long level down to the rim; nothing at the highest corner.',
  })),
  {
    id: 'wallHeight',
    label: 'Wall height',
    short: 'wall',
    of: (b) => b.wall.heightMm,
    set: (b, heightMm) => ({ ...b, wall: { ...b.wall, heightMm } }),
    where: { kind: 'wall' },
    tip: 'From the ground outside up to the rim.',
  },
  {
    id: 'wallThickness',
    label: 'Wall thickness',
    short: 'thick',
    of: (b) => b.wall.thicknessMm,
    set: (b, thicknessMm) => ({ ...b, wall: { ...b.wall, thicknessMm } }),
    where: { kind: 'wall' },
    tip: 'Of the board or stone at the rim.',
  },
  {
    id: 'soil',
    label: 'Soil below the rim',
    short: 'soil below rim',
    of: (b) => b.soilBelowRimMm,
    set: (b, soilBelowRimMm) => ({ ...b, soilBelowRimMm }),
    where: { kind: 'wall' },
    tip: 'A board over the rim, and down from it to the soil.',
  },
];

/** What a typed length of a diagonal is: its own, or by how much it differs from the other. */
export type Against = 'itself' | 'longer' | 'shorter';

/** The other diagonal of a diagonal; undefined for any other measure. */
export const otherDiagonal = (id: MeasureId): MeasureId | undefined =>
  id === 'rising' ? 'falling' : id === 'falling' ? 'rising' : undefined;

const sideSquares = ({ outside: o }: Bed): number => o.nearMm ** 2 + o.farMm ** 2 + o.leftMm ** 2 + o.rightMm ** 2;

/**
 * A measure that was taken against the other diagonal, as its own length, mm. Where the other is not measured both follow from the sides:
 * d1 - d2 is what was typed, and d1^2 + d2^2 = n^2 + f^2 + l^2 + r^2 (parallelogram law).
 */
export function measuredAgainst(bed: Bed, id: MeasureId, against: Against, mm: number): number {
  const otherId = otherDiagonal(id);
  if (otherId === undefined || against === 'itself') return mm;
  const more = against === 'longer' ? mm : -mm;
  if (bed.measured.includes(otherId)) return (MEASURES.find((m) => m.id === otherId)?.of(bed) ?? 0) + more;
  return (more + Math.sqrt(Math.max(0, 2 * sideSquares(bed) - more ** 2))) / 2;
}

/**
 * Reads what was typed for a measure: a length, or for a diagonal by how much it is longer or shorter than the other.
 * @example readMeasure(bed, 'rising', '1 in longer', 'ftin')
 */
export function readMeasure(bed: Bed, id: MeasureId, text: string, unit: LengthUnit): Result<number> {
  const [, typed = text, way] = /^(.*?)\s*\b(longer|shorter)\b(?:\s+than\s.*)?$/i.exec(text.trim()) ?? [];
  const read = parseLength(typed, unit);
  if (!read.ok || way === undefined) return read;
  if (!otherDiagonal(id))
    return fail('length', 'Only a diagonal can be longer or shorter than the other. Type the length itself.');
  return ok(measuredAgainst(bed, id, way.toLowerCase() === 'longer' ? 'longer' : 'shorter', read.value));
}

/** A bed with one measure taken; what was not measured follows from what was. */
export function withMeasure(bed: Bed, id: MeasureId, mm: number): Bed {
  const measured = bed.measured.includes(id) ? bed.measured : [...bed.measured, id];
  const set = MEASURES.find((m) => m.id === id)?.set(bed, mm) ?? bed;
  return following({ ...set, measured });
}

/**
 * What was not measured, from what was: a side as long as the one across, the inside a wall less at either end, diagonals as of a bed
 * out of square by nothing, or by what the other diagonal says.
 * d1 d2 = n f + l r where both are alike (Ptolemy); d1^2 + d2^2 = n^2 + f^2 + l^2 + r^2 of a parallelogram.
 */
function following(bed: Bed): Bed {
  const { measured, wall } = bed;
  const taken = (id: MeasureId): boolean => measured.includes(id);
  const pair = (a: MeasureId, aMm: number, b: MeasureId, bMm: number): readonly [number, number] =>
    taken(a) === taken(b) ? [aMm, bMm] : taken(a) ? [aMm, aMm] : [bMm, bMm];
  const [nearMm, farMm] = pair('near', bed.outside.nearMm, 'far', bed.outside.farMm);
  const [leftMm, rightMm] = pair('left', bed.outside.leftMm, 'right', bed.outside.rightMm);
  const squares = sideSquares({ ...bed, outside: { nearMm, farMm, leftMm, rightMm } });
  const { risingMm, fallingMm } = bed.diagonals;
  const square = Math.sqrt(nearMm * farMm + leftMm * rightMm);
  const diagonal = (id: MeasureId, mm: number, other: MeasureId, otherMm: number): number =>
    taken(id) ? mm : taken(other) && otherMm ** 2 < squares ? Math.sqrt(squares - otherMm ** 2) : square;
  const inside = (id: MeasureId, mm: number, outsideMm: number): number =>
    taken(id) ? mm : outsideMm - 2 * wall.thicknessMm;
  return {
    ...bed,
    outside: { nearMm, farMm, leftMm, rightMm },
    diagonals: {
      risingMm: diagonal('rising', risingMm, 'falling', fallingMm),
      fallingMm: diagonal('falling', fallingMm, 'rising', risingMm),
    },
    inside: {
      lengthMm: inside('insideLength', bed.inside.lengthMm, Math.min(nearMm, farMm)),
      widthMm: inside('insideWidth', bed.inside.widthMm, Math.min(leftMm, rightMm)),
    },
  };
}
