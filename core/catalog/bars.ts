import { MM_PER_INCH } from '../units/length';
import type { MaterialKey } from './materials';
import type { Section, StockLength } from './sections';

const FOOT = 12 * MM_PER_INCH;
const feet = (pairs: readonly (readonly [number, number])[]): StockLength[] =>
  pairs.map(([ft, price]) => ({ lengthMm: ft * FOOT, price }));
const metres = (pairs: readonly (readonly [number, number])[]): StockLength[] =>
  pairs.map(([m, price]) => ({ lengthMm: m * 1000, price }));

const ACTUAL = 'Actual size of dressed North American lumber; nominal in the name';

function board(key: string, thicknessIn: number, widthIn: number, stock: StockLength[]): Section {
  return {
    key,
    name: key,
    material: 'spruce',
    shape: { kind: 'board', thicknessMm: thicknessIn * MM_PER_INCH, widthMm: widthIn * MM_PER_INCH },
    stock,
    tool: 'circular saw',
    squareMm: MM_PER_INCH / 4,
    aisle: 'Lumber',
    source: ACTUAL,
  };
}

function metricBoard(thicknessMm: number, widthMm: number, perMetre: number): Section {
  return {
    ...board(
      `${thicknessMm}x${widthMm} mm`,
      0,
      0,
      metres([2.4, 3, 3.6, 4.2, 4.8].map((m) => [m, Math.round(m * perMetre * 100) / 100])),
    ),
    shape: { kind: 'board', thicknessMm, widthMm },
    source: 'Metric sawn and planed stock, size as named',
  };
}

function tube(
  key: string,
  name: string,
  material: MaterialKey,
  outsideMm: number,
  insideMm: number,
  stock: StockLength[],
  source: string,
): Section {
  return {
    key,
    name,
    material,
    shape: { kind: 'tube', outsideMm, insideMm },
    stock,
    // Steel pipe and rod are sawn; wire and plastic are sheared.
    tool: material === 'steel' && outsideMm > 6 ? 'hand saw' : 'shear',
    squareMm: 0,
    aisle: 'Pipe and conduit',
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

const SPRUCE: readonly Section[] = [
  board('1x2', 0.75, 1.5, feet([[8, 2.1]])),
  board('1x3', 0.75, 2.5, feet([[8, 2.9]])),
  board(
    '1x4',
    0.75,
    3.5,
    feet([
      [8, 4.6],
      [10, 6.1],
      [12, 7.5],
    ]),
  ),
  board(
    '1x6',
    0.75,
    5.5,
    feet([
      [8, 7.2],
      [10, 9.3],
      [12, 11.4],
    ]),
  ),
  board(
    '2x2',
    1.5,
    1.5,
    feet([
      [8, 3.4],
      [10, 4.6],
      [12, 5.8],
    ]),
  ),
  board(
    '2x3',
    1.5,
    2.5,
    feet([
      [8, 3.2],
      [10, 4.5],
      [12, 5.6],
    ]),
  ),
  board(
    '2x4',
    1.5,
    3.5,
    feet([
      [8, 4.2],
      [10, 5.5],
      [12, 6.6],
      [14, 8.3],
      [16, 9.6],
    ]),
  ),
  board(
    '2x6',
    1.5,
    5.5,
    feet([
      [8, 6.9],
      [10, 8.8],
      [12, 10.7],
      [14, 13],
      [16, 15.2],
    ]),
  ),
  board(
    '2x8',
    1.5,
    7.25,
    feet([
      [8, 9.6],
      [10, 12.4],
      [12, 15],
      [16, 20.8],
    ]),
  ),
  board(
    '2x10',
    1.5,
    9.25,
    feet([
      [8, 13],
      [10, 16.6],
      [12, 20.1],
      [16, 27.8],
    ]),
  ),
  board(
    '2x12',
    1.5,
    11.25,
    feet([
      [8, 17.2],
      [10, 22],
      [12, 26.7],
      [16, 36.9],
    ]),
  ),
  board(
    '4x4',
    3.5,
    3.5,
    feet([
      [8, 11.8],
      [10, 15.4],
      [12, 18.9],
    ]),
  ),
  board(
    '5/4 deck',
    1,
    5.5,
    feet([
      [8, 9.1],
      [10, 11.8],
      [12, 14.2],
      [16, 19.4],
    ]),
  ),
  metricBoard(25, 38, 1.1),
  metricBoard(25, 50, 1.35),
  metricBoard(38, 63, 1.75),
  metricBoard(38, 89, 2.2),
  metricBoard(45, 45, 1.9),
  metricBoard(45, 70, 2.6),
  metricBoard(45, 95, 3.3),
  metricBoard(25, 95, 2.1),
  metricBoard(25, 145, 3.2),
  metricBoard(45, 145, 4.9),
  metricBoard(45, 195, 6.8),
];

const TREATED: readonly Section[] = SPRUCE.map((s) => ({
  ...s,
  key: `${s.key} treated`,
  name: `${s.name} treated`,
  material: 'treated' as const,
  stock: s.stock.map((bar) => ({ ...bar, price: Math.round(bar.price * 1.45 * 100) / 100 })),
}));

/** Every bar that ships with the program. */
export const BARS: readonly Section[] = [
  ...SPRUCE,
  ...TREATED,
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
    [],
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
  tube(
    'rod-3',
    '#3 rod',
    'steel',
    inch(0.375),
    0,
    [18, 24, 36, 48].map((l, i) => ({ lengthMm: inch(l), price: [1.5, 1.9, 2.7, 3.5][i] ?? 0 })),
    ROD,
  ),
  tube(
    'rod-4',
    '#4 rod',
    'steel',
    inch(0.5),
    0,
    [18, 24, 36, 48].map((l, i) => ({ lengthMm: inch(l), price: [2.1, 2.7, 3.9, 5][i] ?? 0 })),
    ROD,
  ),
];
