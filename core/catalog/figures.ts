/** What of the catalogue a gardener may change: every figure of every entry, by name. */
import { MM_PER_INCH } from '../base/length';
import type {
  CoverMaterial,
  Fit,
  HardwareItem,
  Material,
  SectionSpec,
  Spread,
  StiffSheet,
  Strength,
  Tool,
} from './types';

/** What a figure is measured in; lengths are kept in mm whatever they are shown in. */
export type FigureUnit =
  'mm' | '/h' | 'kg/m³' | 'kg/m²' | 'GPa' | 'MPa' | 'part' | 'years' | '°C' | 'W/m²K' | 'piece' | 'm' | 'N';

/** One figure of one entry: what it is, what it is now, and the entry with another in its place. */
export interface EntryFigure<T> {
  readonly id: string;
  readonly label: string;
  readonly unit: FigureUnit;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly with: (value: number) => T;
}

const FOOT = 12 * MM_PER_INCH;

/** A figure that is one field of its entry. */
function field<T, K extends keyof T>(
  entry: T,
  key: K,
  label: string,
  unit: FigureUnit,
  [min, max]: readonly [number, number],
): readonly EntryFigure<T>[] {
  const value = entry[key];
  // What an entry does not have, such as the heat loss of a net, cannot be given to it.
  if (typeof value !== 'number') return [];
  return [{ id: String(key), label, unit, value, min, max, with: (next) => ({ ...entry, [key]: next }) }];
}

/** A figure of every size that an entry is sold in. */
function sizes<T, S>(
  list: readonly S[],
  put: (list: readonly S[]) => T,
  key: keyof S & string,
  label: string,
  name: (size: S) => string,
  [min, max]: readonly [number, number],
): readonly EntryFigure<T>[] {
  return list.map((size, i) => ({
    id: `${key} ${name(size)}`,
    label: `${label} ${name(size)}`,
    unit: 'mm' as const,
    value: Number(size[key]),
    min,
    max,
    with: (next) => put(list.map((s, k) => (k === i ? { ...s, [key]: next } : s))),
  }));
}

/** A roll or sheet size by what it is called after its entry: 10x50 ft. */
const sizeName =
  (entry: { readonly key: string }) =>
  (size: { readonly key: string }): string =>
    size.key.slice(entry.key.length + 1);

function barFigures(s: SectionSpec): readonly EntryFigure<SectionSpec>[] {
  const { shape } = s;
  const side = (
    key: string,
    label: string,
    value: number,
    put: (mm: number) => SectionSpec['shape'],
    least: number,
  ) => ({
    id: key,
    label,
    unit: 'mm' as const,
    value,
    min: least,
    max: 400,
    with: (mm: number): SectionSpec => ({ ...s, shape: put(mm) }),
  });
  return [
    ...(shape.kind === 'board'
      ? [
          side('thicknessMm', 'Actual thickness', shape.thicknessMm, (thicknessMm) => ({ ...shape, thicknessMm }), 5),
          side('widthMm', 'Actual width', shape.widthMm, (widthMm) => ({ ...shape, widthMm }), 10),
        ]
      : [
          side('outsideMm', 'Outside diameter', shape.outsideMm, (outsideMm) => ({ ...shape, outsideMm }), 1),
          side('insideMm', 'Inside diameter', shape.insideMm, (insideMm) => ({ ...shape, insideMm }), 0),
        ]),
    ...sizes(
      s.stock,
      (stock) => ({
        ...s,
        stock: stock.map((bar, i) => ({
          ...bar,
          namedMm: s.stock[i]?.namedMm ?? s.stock[i]?.lengthMm ?? bar.lengthMm,
        })),
      }),
      'lengthMm',
      'Real length of',
      (bar) => `${Math.round(bar.namedMm ?? bar.lengthMm)} mm`,
      [100, 100 * FOOT],
    ),
    ...field(s, 'overRibsMm', 'Diameter over the ribs', 'mm', [1, 400]),
    ...field(s, 'squareMm', 'Taken off to square an end', 'mm', [0, 100]),
  ];
}

const coverFigures = (c: CoverMaterial): readonly EntryFigure<CoverMaterial>[] => [
  ...field(c, 'light', 'Light let through', 'part', [0.05, 1]),
  ...field(c, 'frostHelpC', 'Milder on a cold night', '°C', [0, 15]),
  ...field(c, 'uWPerM2K', 'Heat loss', 'W/m²K', [0.5, 15]),
  ...field(c, 'leaksPerHour', 'Air changes when shut', '/h', [0.1, 10000]),
  ...field(c, 'throughWPerM2K', 'Heat through the cloth by day', 'W/m²K', [0, 40]),
  ...field(c, 'kgPerM2', 'Weight', 'kg/m²', [0.005, 40]),
  ...field(c, 'lifeYears', 'Lasts', 'years', [0.1, 100]),
  ...sizes(c.rolls, (rolls) => ({ ...c, rolls }), 'widthMm', 'Width of roll', sizeName(c), [200, 15000]),
  ...sizes(c.rolls, (rolls) => ({ ...c, rolls }), 'lengthMm', 'Length of roll', sizeName(c), [500, 300000]),
];

const sheetFigures = (s: StiffSheet): readonly EntryFigure<StiffSheet>[] => [
  ...field(s, 'thicknessMm', 'Thickness', 'mm', [1, 80]),
  ...field(s, 'kgPerM2', 'Weight', 'kg/m²', [0.2, 60]),
  ...field(s, 'spanAtOneKpaMm', 'Widest span between bars', 'mm', [50, 3000]),
  ...field(s, 'kerfMm', 'Saw’s own width', 'mm', [0, 10]),
  ...sizes(s.sizes, (list) => ({ ...s, sizes: list }), 'widthMm', 'Width of', sizeName(s), [100, 5000]),
  ...sizes(s.sizes, (list) => ({ ...s, sizes: list }), 'lengthMm', 'Length of', sizeName(s), [100, 15000]),
];

function behaviourFigures(b: Material['behaviour']): readonly EntryFigure<Material['behaviour']>[] {
  const left = ['longTermFactor', 'Stiffness left after weeks of load', 'part', [0.05, 1]] as const;
  if (b.kind === 'metal') return field(b, 'yieldMPa', 'Stress at which it yields', 'MPa', [1, 2000]);
  return b.kind === 'wood'
    ? [...field(b, ...left), ...field(b, 'bendingMPa', 'Bending stress it may carry', 'MPa', [1, 2000])]
    : [...field(b, ...left), ...field(b, 'softensPerC', 'Stiffness lost with a degree of warmth', 'part', [0, 0.05])];
}

const materialFigures = (m: Material): readonly EntryFigure<Material>[] => [
  ...field(m, 'densityKgPerM3', 'Density', 'kg/m³', [50, 12000]),
  ...field(m, 'eGPa', 'Stiffness E', 'GPa', [0.05, 300]),
  ...behaviourFigures(m.behaviour).map((f) => ({ ...f, with: (x: number) => ({ ...m, behaviour: f.with(x) }) })),
];

const itemFigures = (i: HardwareItem): readonly EntryFigure<HardwareItem>[] =>
  field(i, 'packSize', 'In one pack', i.unit, [0.1, 100000]);

const fitFigures = (f: Fit): readonly EntryFigure<Fit>[] => [
  ...field(f, 'leastMm', 'Least play', 'mm', [0, 5]),
  ...field(f, 'mostMm', 'Most play', 'mm', [0.1, 10]),
];

const jointFigures = (j: Strength): readonly EntryFigure<Strength>[] =>
  field(j, 'holdsN', 'Holds against lifting', 'N', [1, 20000]);

const toolFigures = (t: Tool): readonly EntryFigure<Tool>[] => field(t, 'kerfMm', 'Saw’s own width', 'mm', [0, 10]);

const spreadFigures = (s: Spread): readonly EntryFigure<Spread>[] => [
  // Low and high never cross, whatever is typed.
  ...field(s, 'low', 'At the least, times the figure', 'part', [0.1, Math.min(1.5, s.high)]),
  ...field(s, 'high', 'At the most, times the figure', 'part', [Math.max(1, s.low), 10]),
];

/** The figures of an entry of each kind. */
export const FIGURES = {
  bar: barFigures,
  sheet: sheetFigures,
  cover: coverFigures,
  item: itemFigures,
  material: materialFigures,
  fit: fitFigures,
  joint: jointFigures,
  tool: toolFigures,
  spread: spreadFigures,
} as const;
