import { SHIPPED, section } from '../../catalog/catalog';
import type { CutPiece, SectionBar, SectionCuts } from './bars';
import { straightest } from './bars';
import { stopGroups } from './stops';

const piece = (tag: string, lengthMm: number, more: Partial<CutPiece> = {}): CutPiece => ({
  tag,
  part: 'Piece',
  lengthMm,
  markMm: lengthMm,
  ...more,
});
const bar = (label: string, pieces: readonly CutPiece[]): SectionBar => ({
  label,
  lengthMm: 2400,
  price: 4,
  fromShelf: false,
  shelfId: undefined,
  squareMm: 6,
  pieces,
  offcutMm: 0,
});
const cuts = (key: string, bars: readonly SectionBar[]): SectionCuts => ({
  section: section(SHIPPED, key),
  bars,
  cost: 4,
  bound: 4,
  proven: true,
  kerfMm: 3,
});

test('pieces share a stop when length and ends agree, on whatever bar of their section they lie', () => {
  const slanted = { endAnglesDeg: [12.34, -12.34] as const };
  const groups = stopGroups(
    [
      cuts('2x4', [
        bar('Board 1', [piece('A1', 900), piece('B1', 500, slanted)]),
        bar('Board 2', [piece('A2', 900), piece('B2', 500), piece('B3', 500, slanted)]),
      ]),
      cuts('2x2', [bar('Board 3', [piece('C1', 900), piece('C2', 700, { taperMm: [30, 90] })])]),
    ],
    'mm',
  );
  expect(groups.map((g) => [g.section.key, g.lengthMm, g.tags, g.ends])).toEqual([
    ['2x4', 900, ['A1', 'A2'], ''],
    ['2x4', 500, ['B1', 'B3'], 'ends 12.3° and 12.3° off square'],
    ['2x4', 500, ['B2'], ''],
    ['2x2', 900, ['C1'], ''],
    ['2x2', 700, ['C2'], 'tapers from 30 mm to 90 mm'],
  ]);
});

test('straight boards are asked for only where some boards are cut short and others are not; pipes spring anyway', () => {
  const long = bar('Board 1', [piece('A', 2300)]);
  const short = bar('Board 2', [piece('B', 600), piece('C', 600)]);
  expect(straightest(cuts('2x4', [long, short]))).toEqual([long]);
  expect(straightest(cuts('2x4', [long, long]))).toEqual([]);
  expect(straightest(cuts('2x4', [short]))).toEqual([]);
  expect(straightest(cuts('pvc-1/2', [long, short]))).toEqual([]);
});
