/** A cover as a DXF drawing, mm: its three views, and under them every flat part at full size. Source: AutoCAD R12 DXF reference (AC1009). */
import type { Flat, View } from '../base/geometry';
import { outlineSize } from '../base/geometry';
import { sheetSize } from '../make/rolls/rolls';
import type { Assessment } from '../assessment';
import { type Drawn, type Stuff, bounds, drawAssembly } from './project';

/** What each layer is drawn in: index of the standard colours. */
const LAYERS = { WALL: 32, SOIL: 33, TIMBER: 34, PIPE: 8, FILM: 140, PANEL: 30, STRAW: 50, TEXT: 7, PARTS: 1 } as const;
type Layer = keyof typeof LAYERS;

const LAYER_OF: Readonly<Record<Stuff, Layer>> = {
  wall: 'WALL',
  soil: 'SOIL',
  timber: 'TIMBER',
  pipe: 'PIPE',
  rod: 'PIPE',
  film: 'FILM',
  'film line': 'FILM',
  mesh: 'FILM',
  plywood: 'PANEL',
  glazing: 'PANEL',
  opening: 'PANEL',
  straw: 'STRAW',
};

/** One group of the file: its code, then its value. */
type Group = readonly [code: number, value: string | number];

const at = (x: number, y: number): readonly Group[] => [
  [10, x.toFixed(3)],
  [20, y.toFixed(3)],
  [30, '0.0'],
];

/** A line through points; shut, or of a width. */
function polyline(layer: Layer, points: readonly Flat[], closed: boolean, widthMm = 0): readonly Group[] {
  return [
    [0, 'POLYLINE'],
    [8, layer],
    [66, 1],
    ...at(0, 0),
    [70, closed ? 1 : 0],
    [40, widthMm.toFixed(3)],
    [41, widthMm.toFixed(3)],
    ...points.flatMap(([x, y]): readonly Group[] => [[0, 'VERTEX'], [8, layer], ...at(x, y)]),
    [0, 'SEQEND'],
    [8, layer],
  ];
}

/** A word that stands at a point. R12 knows letters of ASCII alone. */
function text(words: string, [x, y]: Flat, highMm: number): readonly Group[] {
  const plain = words
    .replace(/[’‘]/g, "'")
    .replace(/[″“”]/g, '"')
    .normalize('NFKD')
    .replace(/[^\x20-\x7e]/g, '');
  return [[0, 'TEXT'], [8, 'TEXT'], ...at(x, y), [40, highMm.toFixed(3)], [1, plain === '' ? '-' : plain]];
}

const moved = (points: readonly Flat[], dx: number, dy: number): readonly Flat[] =>
  points.map(([u, v]): Flat => [u + dx, v + dy]);

const NAMES: Readonly<Record<View, string>> = { end: 'From the end', side: 'From the side', plan: 'From above' };
const GAP_MM = 400;
const WORD_MM = 60;

/** A shape of a view; a pipe as a line of its own width. */
const shape = (d: Drawn, dx: number, dy: number): readonly Group[] =>
  polyline(LAYER_OF[d.stuff], moved(d.points, dx, dy), d.widthMm === undefined, d.widthMm ?? 0);

/** Every part that is cut flat: panels with their openings, sheets as they are cut from the roll. */
function flatParts(o: Assessment): readonly { readonly name: string; readonly rings: readonly (readonly Flat[])[] }[] {
  const box = (w: number, h: number): readonly Flat[] => [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ];
  return [
    ...o.assembly.panels.map((p) => {
      const [us, vs] = [p.outline.map((c) => c[0]), p.outline.map((c) => c[1])];
      const [u0, v0] = [Math.min(...us), Math.min(...vs)];
      return { name: `${p.tag} ${p.part}`, rings: [p.outline, ...p.openings].map((r) => moved(r, -u0, -v0)) };
    }),
    ...o.assembly.sheets.map((s) => {
      const { acrossMm, alongMm } = sheetSize(s);
      return { name: `${s.tag} ${s.part}`, rings: [box(alongMm, acrossMm)] };
    }),
  ];
}

/** The drawing as text of a DXF file. */
export function dxf(o: Assessment): string {
  const entities: Group[] = [];
  let x = 0;
  for (const view of ['end', 'side', 'plan'] as const) {
    const shapes = drawAssembly(o.assembly, o.site.bed, o.site.survey, view);
    const b = bounds(shapes);
    entities.push(
      ...shapes.flatMap((d) => shape(d, x - b.u0, -b.v0)),
      ...text(NAMES[view], [x, b.v1 - b.v0 + WORD_MM], WORD_MM),
    );
    x += b.u1 - b.u0 + GAP_MM;
  }
  let [left, top] = [0, -2 * GAP_MM];
  let lowest = top;
  for (const { name, rings } of flatParts(o)) {
    const { uMm, vMm } = outlineSize(rings[0] ?? []);
    if (left > 0 && left + uMm > Math.max(x, uMm)) {
      [left, top] = [0, lowest - GAP_MM];
      lowest = top;
    }
    entities.push(
      ...rings.flatMap((ring) => polyline('PARTS', moved(ring, left, top - vMm), true)),
      ...text(name, [left, top + WORD_MM / 2], WORD_MM),
    );
    lowest = Math.min(lowest, top - vMm);
    left += uMm + GAP_MM;
  }
  const layers = Object.entries(LAYERS).flatMap(([name, colour]): readonly Group[] => [
    [0, 'LAYER'],
    [2, name],
    [70, 0],
    [62, colour],
    [6, 'CONTINUOUS'],
  ]);
  const groups: readonly Group[] = [
    [999, 'Cabanon: millimetres, full size. A planning aid.'],
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$ACADVER'],
    [1, 'AC1009'],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'TABLES'],
    [0, 'TABLE'],
    [2, 'LTYPE'],
    [70, 1],
    [0, 'LTYPE'],
    [2, 'CONTINUOUS'],
    [70, 0],
    [3, 'Solid line'],
    [72, 65],
    [73, 0],
    [40, '0.0'],
    [0, 'ENDTAB'],
    [0, 'TABLE'],
    [2, 'LAYER'],
    [70, Object.keys(LAYERS).length],
    ...layers,
    [0, 'ENDTAB'],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...entities,
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ];
  return groups.map(([code, value]) => `${String(code).padStart(3)}\r\n${value}\r\n`).join('');
}
