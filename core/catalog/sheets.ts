import { MM_PER_INCH } from '../base/length';
import type { SheetSize, StiffSheet } from './types';

const FOOT = 12 * MM_PER_INCH;
const sizes = (
  key: string,
  list: readonly (readonly [name: string, widthMm: number, lengthMm: number, price: number])[],
): SheetSize[] => list.map(([name, widthMm, lengthMm, price]) => ({ key: `${key} ${name}`, widthMm, lengthMm, price }));

const SAW = MM_PER_INCH / 8;
const TRADE = 'Trade figure; spans are for continuous support at both ends, deflection about a thirtieth of the span';

function plywood(name: string, thicknessMm: number, kgPerM2: number, full: number, half: number): StiffSheet {
  return {
    key: `plywood-${name}`,
    name: `${name} in plywood`,
    kind: 'plywood',
    thicknessMm,
    kgPerM2,
    coverKey: null,
    spanAtOneKpaMm: null,
    channels: false,
    kerfMm: SAW,
    sizes: sizes(`plywood-${name}`, [
      ['4x8 ft', 4 * FOOT, 8 * FOOT, full],
      ['2x4 ft', 2 * FOOT, 4 * FOOT, half],
    ]),
    source: 'Exterior plywood; 1/2 in about 6.5 kg/m2, thinner in proportion',
  };
}

/** Every stiff sheet that ships with the program. */
export const SHEETS: readonly StiffSheet[] = [
  plywood('1/4', 6.4, 3.3, 31, 11),
  plywood('3/8', 9.5, 4.9, 39, 14),
  plywood('1/2', 12.7, 6.5, 46, 17),
  {
    key: 'twin-wall-6',
    name: 'twin-wall 6 mm',
    kind: 'glazing',
    thicknessMm: 6,
    kgPerM2: 1.3,
    coverKey: 'twin-wall',
    spanAtOneKpaMm: 600,
    channels: true,
    kerfMm: 1.6,
    sizes: sizes('twin-wall-6', [
      ['2x4 ft', 2 * FOOT, 4 * FOOT, 19],
      ['4x4 ft', 4 * FOOT, 4 * FOOT, 36],
      ['4x8 ft', 4 * FOOT, 8 * FOOT, 68],
    ]),
    source: TRADE,
  },
  {
    key: 'corrugated',
    name: 'corrugated polycarbonate',
    kind: 'glazing',
    thicknessMm: 14,
    kgPerM2: 1.1,
    coverKey: 'corrugated',
    spanAtOneKpaMm: 750,
    channels: true,
    kerfMm: 1.6,
    sizes: sizes('corrugated', [
      ['26 in x 8 ft', 26 * MM_PER_INCH, 8 * FOOT, 24],
      ['26 in x 10 ft', 26 * MM_PER_INCH, 10 * FOOT, 30],
      ['26 in x 12 ft', 26 * MM_PER_INCH, 12 * FOOT, 36],
    ]),
    source: TRADE,
  },
  {
    key: 'old-window',
    name: 'old window, 3 mm glass',
    kind: 'glazing',
    thicknessMm: 35,
    kgPerM2: 12,
    coverKey: 'glass',
    spanAtOneKpaMm: null,
    channels: false,
    kerfMm: 0,
    sizes: [],
    source: 'Glass 7.5 kg/m2 and its wooden sash; weigh your own',
  },
];
