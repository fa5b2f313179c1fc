import { MM_PER_INCH } from '../base/length';
import type { SectionSpec } from './types';
import { type Sold, feet, metres } from './stock';

function tube(
  key: string,
  name: string,
  materialKey: string,
  outsideMm: number,
  insideMm: number,
  sold: Sold,
  source: string,
): SectionSpec {
  return {
    key,
    name,
    materialKey,
    shape: { kind: 'tube', outsideMm, insideMm },
    ...sold,
    // Steel pipe and rod are sawn; wire and plastic are sheared.
    toolKey: materialKey === 'steel' && outsideMm > 6 ? 'hand saw' : 'shear',
    squareMm: 0,
    aisle: 'pipe',
    source,
  };
}

const inch = (x: number): number => x * MM_PER_INCH;
const SCHEDULE_40 = 'PVC schedule 40: ASTM D1785 outside and minimum-wall inside sizes';
const STEEL_PIPE = 'Galvanized steel pipe schedule 40, the sizes of PVC schedule 40';
const METRIC_PVC = 'Metric PVC conduit, outside x inside as named by the trade';
const PE_TUBE = 'Polyethylene irrigation tube, outside x inside as named by the trade';
const WIRE = 'Galvanized steel wire, gauge as named; sold by the coil';
const ROD = 'Deformed reinforcing bar, ASTM A615 nominal diameter';

/** Every pipe, rod and wire that ships with the program. */
export const PIPES: readonly SectionSpec[] = [
  tube(
    'pvc-1/2',
    '1/2 PVC',
    'pvc',
    inch(0.84),
    inch(0.622),
    feet([
      [10, 3.35],
      [20, 6.1],
    ]),
    SCHEDULE_40,
  ),
  tube(
    'pvc-3/4',
    '3/4 PVC',
    'pvc',
    inch(1.05),
    inch(0.824),
    feet([
      [10, 4.4],
      [20, 8.2],
    ]),
    SCHEDULE_40,
  ),
  tube(
    'pvc-1',
    '1 PVC',
    'pvc',
    inch(1.315),
    inch(1.049),
    feet([
      [10, 6.7],
      [20, 12.6],
    ]),
    SCHEDULE_40,
  ),
  tube(
    'pvc-1-1/4',
    '1-1/4 PVC',
    'pvc',
    inch(1.66),
    inch(1.38),
    feet([
      [10, 9.4],
      [20, 17.9],
    ]),
    SCHEDULE_40,
  ),
  tube(
    'pvc-1-1/2',
    '1-1/2 PVC',
    'pvc',
    inch(1.9),
    inch(1.61),
    feet([
      [10, 11.2],
      [20, 21.5],
    ]),
    SCHEDULE_40,
  ),
  tube(
    'pvc-16',
    '16 mm PVC',
    'pvc',
    16,
    13,
    metres([
      [2, 1.6],
      [3, 2.3],
    ]),
    METRIC_PVC,
  ),
  tube(
    'pvc-20',
    '20 mm PVC',
    'pvc',
    20,
    16.9,
    metres([
      [2, 2.1],
      [3, 3.05],
    ]),
    METRIC_PVC,
  ),
  tube(
    'pvc-25',
    '25 mm PVC',
    'pvc',
    25,
    21.4,
    metres([
      [2, 3],
      [3, 4.35],
    ]),
    METRIC_PVC,
  ),
  tube(
    'pvc-32',
    '32 mm PVC',
    'pvc',
    32,
    27.8,
    metres([
      [2, 4.3],
      [3, 6.3],
    ]),
    METRIC_PVC,
  ),
  tube('pe-20', '20 mm PE tube', 'pe', 20, 16, metres([[25, 14.5]]), PE_TUBE),
  tube('pe-25', '25 mm PE tube', 'pe', 25, 20.4, metres([[25, 21]]), PE_TUBE),
  tube('pe-32', '32 mm PE tube', 'pe', 32, 26.2, metres([[25, 33]]), PE_TUBE),
  ...(
    [
      ['3/4', 1.05, 0.824, 17, 33],
      ['1', 1.315, 1.049, 24, 47],
      ['1-1/4', 1.66, 1.38, 31, 61],
    ] as const
  ).map(([size, od, id, ten, twentyOne]) =>
    tube(
      `steel-${size}`,
      `${size} steel pipe`,
      'steel',
      inch(od),
      inch(id),
      feet([
        [10, ten],
        [21, twentyOne],
      ]),
      STEEL_PIPE,
    ),
  ),
  ...(
    [
      ['1/2', 0.706, 0.622, 6.9],
      ['3/4', 0.922, 0.824, 11.4],
      ['1', 1.163, 1.049, 17.8],
      ['1-1/4', 1.51, 1.38, 26.5],
    ] as const
  ).map(([size, od, id, price]) =>
    tube(
      `emt-${size}`,
      `${size} conduit`,
      'steel',
      inch(od),
      inch(id),
      feet([[10, price]]),
      'Thin-wall steel conduit, ANSI C80.3',
    ),
  ),
  tube(
    'wire-9',
    '9 gauge wire',
    'steel',
    inch(0.148),
    0,
    feet([
      [50, 9.5],
      [100, 17],
    ]),
    WIRE,
  ),
  tube(
    'mesh-wire',
    'mesh wire .148 in',
    'wire',
    inch(0.148),
    0,
    { stock: [] },
    'Wire of welded reinforcing mesh, .135 to .162 in; bought as mesh, not by itself',
  ),
  tube(
    'wire-10',
    '10 gauge wire',
    'steel',
    inch(0.135),
    0,
    feet([
      [50, 8],
      [100, 14.5],
    ]),
    WIRE,
  ),
  ...(
    [
      ['3', 0.375, 0.42, [1.5, 1.9, 2.7, 3.5]],
      ['4', 0.5, 0.56, [2.1, 2.7, 3.9, 5]],
    ] as const
  ).map(([size, od, ribs, prices]) => ({
    ...tube(
      `rod-${size}`,
      `#${size} rod`,
      'steel',
      inch(od),
      0,
      feet([1.5, 2, 3, 4].map((ft, i) => [ft, prices[i] ?? 0])),
      ROD,
    ),
    overRibsMm: inch(ribs),
  })),
  ...(
    [
      ['3', '3/8', 0.375, 0.42, 4.6, 8.7],
      ['4', '1/2', 0.5, 0.56, 7.4, 13.9],
    ] as const
  ).map(([number, size, od, ribs, ten, twenty]) => ({
    ...tube(
      `bar-${number}`,
      `${size} reinforcing bar`,
      'steel',
      inch(od),
      0,
      feet([
        [10, ten],
        [20, twenty],
      ]),
      ROD,
    ),
    overRibsMm: inch(ribs),
  })),
];
