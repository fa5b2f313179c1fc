import { treatedKey } from './treatment';
import { MM_PER_INCH } from '../base/length';
import type { SectionSpec } from './types';
import { type Sold, feet, metres } from './stock';

const ACTUAL = 'Actual size of dressed North American lumber; nominal in the name';

function board(key: string, thicknessIn: number, widthIn: number, sold: Sold): SectionSpec {
  return {
    key,
    name: key,
    materialKey: 'spruce',
    shape: { kind: 'board', thicknessMm: thicknessIn * MM_PER_INCH, widthMm: widthIn * MM_PER_INCH },
    ...sold,
    toolKey: 'circular saw',
    squareMm: MM_PER_INCH / 4,
    aisle: 'lumber',
    source: ACTUAL,
  };
}

function metricBoard(thicknessMm: number, widthMm: number, perMetre: number): SectionSpec {
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
const SPRUCE: readonly SectionSpec[] = [
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

const TREATED: readonly SectionSpec[] = SPRUCE.map((s) => ({
  ...s,
  key: treatedKey(s.key),
  name: `${s.name} treated`,
  materialKey: 'treated' as const,
  stock: s.stock.map((bar) => ({ ...bar, price: Math.round(bar.price * 1.45 * 100) / 100 })),
}));

/** Every board that ships with the program, untreated and treated. */
export const LUMBER: readonly SectionSpec[] = [...SPRUCE, ...TREATED];
