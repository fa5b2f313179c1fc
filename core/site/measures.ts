/** What is measured at a bed, in the order that one walks round it with a tape. */
import { type Bed, CORNERS, CORNER_NAMES, type Corner } from './bed';

export interface BedMeasure {
  readonly id: string;
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
