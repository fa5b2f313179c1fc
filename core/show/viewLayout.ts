/** Where the dimension lines, figures and tags of a view stand round it: none over another, none off the paper. */
import { type Flat, flatten } from '../base/geometry';
import { type LengthUnit, formatLength } from '../base/length';
import type { Dimension } from '../cover/assembly/types';
import type { ViewFrame } from './project';

/** A rectangle on the screen, px; y grows downward. */
export interface LayoutBox {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}
type Point = readonly [x: number, y: number];

/** A dimension as it is drawn: its line, its figure, and what leads from the thing measured to the line. */
export interface PlacedDimension {
  readonly dimension: Dimension;
  readonly a: Point;
  readonly b: Point;
  readonly feet: readonly (readonly [Point, Point])[];
  readonly label: LayoutBox;
}

interface Tag {
  readonly tag: string;
  readonly at: Flat;
}

/** A view on its paper, px. */
export interface ViewLayout {
  readonly scale: number;
  readonly width: number;
  readonly height: number;
  /** The drawing itself, within its paper. */
  readonly box: LayoutBox;
  readonly dimensions: readonly PlacedDimension[];
  readonly tags: readonly { readonly tag: string; readonly label: LayoutBox }[];
}

export interface LayoutOf {
  readonly frame: ViewFrame;
  readonly dimensions: readonly Dimension[];
  readonly tags: readonly Tag[];
  /** Width of a dimension's figure, and of what is said over that of a leader, px. */
  readonly widthOf: (d: Dimension) => number;
  /** How much larger type is than on an ordinary screen. */
  readonly type: number;
}

/** Width of one character of a figure, of the box it is typed in beyond them, and of a character of the word over a leader, px. */
const FIGURE_CHAR = 9;
const FIELD_BOX = 14;
const WORD_CHAR = 6.6;

/** Width of a dimension's figure as it is typed over, and of what is said over that of a leader, on an ordinary screen, px. */
export function dimensionWidth(d: Dimension, unit: LengthUnit): number {
  // A field is never narrower than four characters.
  const figure = Math.max(4, formatLength(d.valueMm, unit).length) * FIGURE_CHAR + FIELD_BOX;
  return d.side === 'leader' ? Math.max(figure, d.label.length * WORD_CHAR) : figure;
}

/** Sizes of type and gaps on an ordinary screen, px. */
const FIGURE = 30;
const LEADER = 48;
const ROW = 30;
const CAPTION = 24;
const TAG = { width: 26, height: 16, over: 5 } as const;
const GAP = 6;
/** Half the width of a line with its ticks. */
const LINE = 8;
/** Room round a drawing that has nothing beside it. */
const LEAST = { left: 12, right: 12, bottom: 14 } as const;

const overlap = (a: LayoutBox, b: LayoutBox): boolean => a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1;

/** Places what stands round a drawing whose corner is the origin, one after another, clear of what is placed already. */
class Placer {
  readonly taken: LayoutBox[] = [];
  free(box: LayoutBox): boolean {
    return !this.taken.some((t) => overlap(t, box));
  }
  take(...boxes: readonly LayoutBox[]): void {
    this.taken.push(...boxes);
  }
  /** What stands in the way of a box. */
  inWay(box: LayoutBox): readonly LayoutBox[] {
    return this.taken.filter((t) => overlap(t, box));
  }
}

/** A view at a scale. @param scale px a mm */
export function layoutView(of: LayoutOf, scale: number): ViewLayout {
  const { frame, type } = of;
  const [w, h] = [frame.widthMm * scale, frame.heightMm * scale];
  const on = ([u, v]: Flat): Point => [(u - frame.u0) * scale, (frame.v1 - v) * scale];
  const placer = new Placer();
  placer.take({ x0: 1 - GAP, y0: 1 - GAP, x1: w + GAP - 1, y1: h + GAP - 1 });
  const tags = placeTags(of, on, placer);
  // What lies nearest to the drawing goes first; what leads to a side, after what measures it.
  const order = { below: 0, above: 1, left: 2, right: 3, leader: 4 } as const;
  const sorted = [...of.dimensions].sort((a, b) => order[a.side] - order[b.side] || a.row - b.row);
  const placed = sorted.map((d) => placeDimension(d, of.widthOf(d), { w, h, type, on, placer }));

  const all = [...placer.taken.slice(1), ...tags.map((t) => t.label)];
  const left = Math.max(LEAST.left, ...all.map((b) => -b.x0));
  const right = Math.max(LEAST.right, ...all.map((b) => b.x1 - w));
  const top = CAPTION * type + Math.max(0, ...all.map((b) => -b.y0));
  const bottom = Math.max(LEAST.bottom, ...all.map((b) => b.y1 - h));
  const move = (b: LayoutBox): LayoutBox => ({ x0: b.x0 + left, y0: b.y0 + top, x1: b.x1 + left, y1: b.y1 + top });
  const point = ([x, y]: Point): Point => [x + left, y + top];
  return {
    scale,
    width: w + left + right,
    height: h + top + bottom,
    box: move({ x0: 0, y0: 0, x1: w, y1: h }),
    tags: tags.map(({ tag, label }) => ({ tag, label: move(label) })),
    dimensions: placed.map((p) => ({
      ...p,
      a: point(p.a),
      b: point(p.b),
      label: move(p.label),
      feet: p.feet.map(([a, b]) => [point(a), point(b)] as const),
    })),
  };
}

/** Tags over the drawing; left out is one that would stand on its neighbour, or on what has grown over the paper while it is pulled at. */
function placeTags({ tags, type }: LayoutOf, on: (p: Flat) => Point, placer: Placer): ViewLayout['tags'] {
  return [...tags]
    .map(({ tag, at }) => ({ tag, at: on(at) }))
    .filter(({ at }) => at[1] > -TAG.over)
    .map(({ tag, at }) => ({ tag, x: at[0] }))
    .sort((a, b) => a.x - b.x)
    .flatMap(({ tag, x }) => {
      const half = (TAG.width / 2) * type;
      const label = { x0: x - half, x1: x + half, y0: -(TAG.over + TAG.height) * type, y1: -TAG.over };
      if (placer.taken.slice(1).some((t) => overlap(t, label))) return [];
      placer.take(label);
      return [{ tag, label }];
    });
}

interface Ground {
  readonly w: number;
  readonly h: number;
  readonly type: number;
  readonly on: (p: Flat) => Point;
  readonly placer: Placer;
}

function placeDimension(d: Dimension, width: number, g: Ground): PlacedDimension {
  const from = g.on(flatten(d.from, d.view));
  const to = g.on(flatten(d.to, d.view));
  switch (d.side) {
    case 'below':
    case 'above':
      return placeAlong(d, width, from, to, g);
    case 'left':
    case 'right':
      return placeUpright(d, width, from, to, g);
    case 'leader':
      return placeLeader(d, width, from, g);
  }
}

/** A line under or over the drawing, in the first row that is free. */
function placeAlong(d: Dimension, width: number, from: Point, to: Point, g: Ground): PlacedDimension {
  const { h, type, placer } = g;
  const [left, right] = [Math.min(from[0], to[0]), Math.max(from[0], to[0])];
  const half = (FIGURE / 2) * type;
  const wide = right - left > width + 3 * LINE;
  const middle = (left + right) / 2;
  for (let row = 1; ; row++) {
    const out = GAP + half + (row - 1) * ROW * type;
    const y = d.side === 'below' ? h + out : -out;
    const at = (x0: number): LayoutBox => ({ x0, x1: x0 + width, y0: y - half, y1: y + half });
    const line = { x0: left - LINE, x1: right + LINE, y0: y - LINE, y1: y + LINE };
    const labels = wide ? [at(middle - width / 2)] : [at(right + LINE), at(left - LINE - width)];
    const label = labels.find((l) => placer.free(l));
    // After so many rows nothing more is in the way.
    if ((!label || !placer.free(line)) && row < MOST_ROWS) continue;
    const box = label ?? at(right + LINE);
    placer.take(box, line);
    return {
      dimension: d,
      a: [from[0], y],
      b: [to[0], y],
      label: box,
      feet: [from, to].map((p) => [p, [p[0], y]] as const),
    };
  }
}
const MOST_ROWS = 12;

/** A line beside the drawing, as near to it as there is room. */
function placeUpright(d: Dimension, width: number, from: Point, to: Point, g: Ground): PlacedDimension {
  const { w, type, placer } = g;
  const [top, bottom] = [Math.min(from[1], to[1]), Math.max(from[1], to[1])];
  const half = (FIGURE / 2) * type;
  // A figure stands on its line where the line is longer than it is high, else beside it.
  const long = bottom - top > FIGURE * type + 2 * LINE;
  const sign = d.side === 'right' ? 1 : -1;
  const edge = d.side === 'right' ? w : 0;
  const middle = (top + bottom) / 2;
  // Beside its line a figure may stand a little higher or lower, where a neighbour is in its way.
  const shifts = long ? [0] : [0, half, -half, 2 * half, -2 * half];
  let out = GAP;
  for (let tries = 0; ; tries++) {
    const lineOut = long ? out + width / 2 : out + LINE;
    const x = edge + sign * lineOut;
    const [near, far] = long ? [out, out + width] : [lineOut + LINE, lineOut + LINE + width];
    const xs = [edge + sign * near, edge + sign * far];
    const at = (y: number): LayoutBox => ({ x0: Math.min(...xs), x1: Math.max(...xs), y0: y - half, y1: y + half });
    // Lines end to end are one chain: each counts as shorter by this, and a figure as higher by as much and the line's own width.
    const line = { x0: x - LINE, x1: x + LINE, y0: top + 1, y1: bottom - 1 };
    const clear = (box: LayoutBox): LayoutBox => ({ ...box, y0: box.y0 - 2, y1: box.y1 + 2 });
    const label = shifts.map((by) => at(middle + by)).find((box) => placer.free(clear(box))) ?? at(middle);
    const inWay = [...placer.inWay(clear(label)), ...placer.inWay(line)];
    if (inWay.length > 0 && tries < MOST_ROWS) {
      const beyond = inWay.map((box) => (d.side === 'right' ? box.x1 - edge : edge - box.x0));
      out = Math.max(out + 1, ...beyond);
      continue;
    }
    placer.take(clear(label), line);
    return {
      dimension: d,
      a: [x, from[1]],
      b: [x, to[1]],
      label,
      feet: [from, to].map((p) => [p, [x, p[1]]] as const),
    };
  }
}

/** A figure that leads to a point of the drawing. */
function placeLeader(d: Dimension, width: number, at: Point, g: Ground): PlacedDimension {
  const { w, type, placer } = g;
  const high = LEADER * type;
  const x0 = Math.max(w + GAP, at[0] + 2 * GAP);
  const box = (y: number): LayoutBox => ({ x0, x1: x0 + width, y0: y, y1: y + high });
  // Beside what it leads to, over the drawing's corner, or as near under that as there is room.
  let y = [Math.min(0, at[1] - high), -high - LINE].find((top) => placer.free(box(top))) ?? 0;
  for (let tries = 0; tries < MOST_ROWS && !placer.free(box(y)); tries++)
    y = Math.max(...placer.inWay(box(y)).map((b) => b.y1)) + 1;
  const label = box(y);
  placer.take(label);
  // It ends at the lower left of its figure, which stands under what is said of it.
  const end: Point = [label.x0, label.y1 - (FIGURE / 2) * type];
  return { dimension: d, a: at, b: end, label, feet: [] };
}

/** Rounds until a view fits; each makes it smaller. */
const MOST_ROUNDS = 24;

/** A view as large as a place on the screen allows, with all that stands round it. */
export function fitView(of: LayoutOf, cell: { readonly width: number; readonly height: number }): ViewLayout {
  const { widthMm, heightMm } = of.frame;
  // Too large at first; what stands round it says how much, and changes little with the scale.
  let layout = layoutView(of, Math.min(cell.width / widthMm, cell.height / heightMm));
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { scale, width, height } = layout;
    if (width <= cell.width && height <= cell.height) break;
    const [aside, over] = [width - widthMm * scale, height - heightMm * scale];
    const next = Math.min((cell.width - aside) / widthMm, (cell.height - over) / heightMm);
    layout = layoutView(of, Math.max(LEAST_SCALE, Math.min(next, 0.995 * scale)));
  }
  return layout;
}

/** Smaller than this a drawing says nothing, px a mm. */
const LEAST_SCALE = 0.005;
