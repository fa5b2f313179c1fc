/** What is measured at a bed, in the order that one walks round it with a tape. */
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
    tip: 'Corner to corner, outside; two people, the tape tight.',
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
  const squares = nearMm ** 2 + farMm ** 2 + leftMm ** 2 + rightMm ** 2;
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
