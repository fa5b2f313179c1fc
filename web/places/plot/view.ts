/** How the plot is seen: what is in the middle, how large, which bearing is up. */
import type { PlanPoint } from '../../../core/site/survey';
import { extentOf } from '../../../core/site/plotting';
import type { Size } from '../../drawing/useSize';

export interface PlotView {
  /** What lies in the middle of the screen, mm on the plot. */
  readonly middle: PlanPoint;
  /** Screen pixels a millimetre. */
  readonly scale: number;
  readonly upDeg: number;
  readonly size: Size;
}

/** So that what points up is up. */
function turned({ x, y }: PlanPoint, deg: number): PlanPoint {
  const [cos, sin] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  return { x: x * cos - y * sin, y: x * sin + y * cos };
}

/** Where a point of the plot is on the screen, px. */
export function plotToScreen(v: PlotView, p: PlanPoint): readonly [x: number, y: number] {
  const { x, y } = turned({ x: p.x - v.middle.x, y: p.y - v.middle.y }, v.upDeg);
  return [v.size.width / 2 + x * v.scale, v.size.height / 2 - y * v.scale];
}

/** What a way over the screen, px, is on the plot, mm. */
export const wayOnPlot = (v: PlotView, dx: number, dy: number): PlanPoint =>
  turned({ x: dx / v.scale, y: -dy / v.scale }, -v.upDeg);

/** Which point of the plot is there on the screen, mm. */
export function toPlot(v: PlotView, x: number, y: number): PlanPoint {
  const way = wayOnPlot(v, x - v.size.width / 2, y - v.size.height / 2);
  return { x: v.middle.x + way.x, y: v.middle.y + way.y };
}

/** A rectangle on the screen, px. */
export interface ScreenBox {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** What points take up on the screen, px. */
export function boxOf(points: readonly (readonly [number, number])[]): ScreenBox {
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  return { x0: Math.min(...xs), y0: Math.min(...ys), x1: Math.max(...xs), y1: Math.max(...ys) };
}

/** Height of a line of words, and from it to its thing, px. */
const NAME = { high: 18, gap: 3 } as const;

/** About the width of a letter of a name, and the least room that a name may take, px. */
const LETTER_PX = 8.6;
const MIN_NAME_PX = 130;

/** A name as far as it goes beside its thing; the whole of it stands in the list beside the map. */
export function fittedName(name: string, box: ScreenBox): string {
  const most = Math.floor(Math.max(MIN_NAME_PX, box.x1 - box.x0) / LETTER_PX);
  return name.length > most ? `${name.slice(0, most - 1)}…` : name;
}

/**
 * What a name takes up: under its thing, or over it where something else is in the way.
 * @param others what else is on the screen
 */
export function nameBox(box: ScreenBox, name: string, others: readonly ScreenBox[]): ScreenBox {
  const x = (box.x0 + box.x1) / 2;
  const half = (name.length * LETTER_PX) / 2;
  const at = (y0: number): ScreenBox => ({ x0: x - half, x1: x + half, y0, y1: y0 + NAME.high });
  const free = (b: ScreenBox): boolean => !others.some((o) => o.x0 < b.x1 && b.x0 < o.x1 && o.y0 < b.y1 && b.y0 < o.y1);
  const below = at(box.y1 + NAME.gap);
  const above = at(box.y0 - NAME.gap - NAME.high);
  return !free(below) && free(above) ? above : below;
}

/** What every name takes up, clear of all things and of the names before it. @param things in the order in which they are given room */
export function nameBoxes(
  things: readonly { readonly id: string; readonly name: string }[],
  boxes: ReadonlyMap<string, ScreenBox>,
): ReadonlyMap<string, ScreenBox> {
  const names = new Map<string, ScreenBox>();
  for (const { id, name } of things) {
    const box = boxes.get(id);
    if (!box) continue;
    const others = [...boxes].flatMap(([other, b]) => (other === id ? [] : [b]));
    names.set(id, nameBox(box, fittedName(name, box), [...others, ...names.values()]));
  }
  return names;
}

/** Where the letters of a name stand: their middle and their line. */
export const letterSpot = ({ x0, x1, y1 }: ScreenBox): readonly [number, number] => [(x0 + x1) / 2, y1 - 4];

/** Room round what is fitted, for names beneath and the compass, px. */
const PAD = 56;
/** What is seen of an empty plot, mm. */
const EMPTY_MM = 6000;
/** As near and as far as one can look, px a mm. */
const SCALES = { least: 0.002, most: 1.5 } as const;

const within = (scale: number): number => Math.min(SCALES.most, Math.max(SCALES.least, scale));

/** A view that shows all of these. */
export function fitToWindow(points: readonly PlanPoint[], upDeg: number, size: Size): PlotView {
  const e = extentOf(points.map((p) => turned(p, upDeg))) ?? { x0: 0, y0: 0, x1: EMPTY_MM, y1: EMPTY_MM };
  const room = Math.max(40, Math.min(size.width, size.height) - 2 * PAD);
  const [w, h] = [Math.max(1, e.x1 - e.x0), Math.max(1, e.y1 - e.y0)];
  const scale = Math.min((size.width - 2 * PAD) / w, (size.height - 2 * PAD) / h, room / 1500);
  return {
    middle: turned({ x: (e.x0 + e.x1) / 2, y: (e.y0 + e.y1) / 2 }, -upDeg),
    scale: within(Math.max(scale, 0)),
    upDeg,
    size,
  };
}

/** The same view larger or smaller; what is at a point of the screen stays there. */
export function zoomed(v: PlotView, by: number, [x, y]: readonly [number, number]): PlotView {
  const scale = within(v.scale * by);
  const at = toPlot(v, x, y);
  const now = toPlot({ ...v, scale }, x, y);
  return { ...v, scale, middle: { x: v.middle.x + at.x - now.x, y: v.middle.y + at.y - now.y } };
}
