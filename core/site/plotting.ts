/** Beds and landmarks as they lie on the plot: x to the east, y to the north, mm. */
import type { Bed } from './bed';
import { LANDMARKS, type Landmark } from './landmark';
import { type PlanPoint, survey } from './survey';

/** What lies on the plot by its near left corner and the bearing of its near side. */
export type Lying = Pick<Bed, 'at' | 'bearingDeg'>;

/** A rectangle along east and north, mm. */
interface PlotExtent {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** A point of a thing, given along its near side and away from it, on the plot, mm. */
export function onPlot({ at, bearingDeg }: Lying, { x, y }: PlanPoint): PlanPoint {
  const turn = ((90 - bearingDeg) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return { x: at.xMm + x * cos - y * sin, y: at.yMm + x * sin + y * cos };
}

/** Corners of a thing by itself: its near left at the origin, its near side along x, mm. */
function corners(thing: Bed | Landmark): readonly PlanPoint[] {
  if ('outside' in thing) {
    const { nearLeft, nearRight, farRight, farLeft } = survey(thing).corners;
    return [nearLeft, nearRight, farRight, farLeft];
  }
  const { lengthMm: x, widthMm: y } = thing;
  return [
    { x: 0, y: 0 },
    { x, y: 0 },
    { x, y },
    { x: 0, y },
  ];
}

/** Corners of a bed or a landmark on the plot, near left first, then round, mm. */
export const footprint = (thing: Bed | Landmark): readonly PlanPoint[] => corners(thing).map((c) => onPlot(thing, c));

/** The middle of its corners on the plot, mm. */
export function middleOf(thing: Bed | Landmark): PlanPoint {
  const points = footprint(thing);
  const sum = points.reduce((a, p) => ({ x: a.x + p.x, y: a.y + p.y }), { x: 0, y: 0 });
  return { x: sum.x / points.length, y: sum.y / points.length };
}

/** The least extent that holds all points; undefined where there are none. */
export function extentOf(points: readonly PlanPoint[]): PlotExtent | undefined {
  if (points.length === 0) return undefined;
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
  return { x0: Math.min(...xs), y0: Math.min(...ys), x1: Math.max(...xs), y1: Math.max(...ys) };
}

/** What a thing takes up along east and north, mm. A tree is round: however it is turned it takes the same. */
export function plotExtent(thing: Bed | Landmark): PlotExtent {
  if (!('outside' in thing) && LANDMARKS[thing.kind].round) {
    const { x, y } = middleOf(thing);
    const r = thing.lengthMm / 2;
    return { x0: x - r, y0: y - r, x1: x + r, y1: y + r };
  }
  return extentOf(footprint(thing)) ?? { x0: 0, y0: 0, x1: 0, y1: 0 };
}

/** A bearing from 0 up to 360, degrees. */
export const bearing = (deg: number): number => ((deg % 360) + 360) % 360;

/**
 * A thing turned about its middle, so that it stays where it lies.
 * @param bearingDeg the bearing of its near side afterwards
 */
export function turnedTo<T extends Bed | Landmark>(thing: T, bearingDeg: number): T {
  const was = middleOf(thing);
  const turned = { ...thing, bearingDeg: bearing(bearingDeg) };
  const is = middleOf(turned);
  return { ...turned, at: { xMm: thing.at.xMm + was.x - is.x, yMm: thing.at.yMm + was.y - is.y } };
}

/** No side of a landmark is drawn shorter or longer than this, mm; its schema takes no more. */
const SIDES_MM = [20, 100_000] as const;

/**
 * A landmark so long and wide that its far right corner comes to a point of the plot, its near left one staying where it is.
 * What is round is as wide as it is long.
 */
export function sizedTo(landmark: Landmark, to: PlanPoint): Landmark {
  const turn = ((90 - landmark.bearingDeg) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [dx, dy] = [to.x - landmark.at.xMm, to.y - landmark.at.yMm];
  const side = (mm: number): number => Math.round(Math.min(SIDES_MM[1], Math.max(SIDES_MM[0], mm)));
  const [lengthMm, widthMm] = [side(dx * cos + dy * sin), side(dy * cos - dx * sin)];
  if (!LANDMARKS[landmark.kind].round) return { ...landmark, lengthMm, widthMm };
  const across = Math.max(lengthMm, widthMm);
  return { ...landmark, lengthMm: across, widthMm: across };
}

/** How far a move is taken, and what it came to lie by. */
export interface Snap {
  readonly dx: number;
  readonly dy: number;
  readonly said: readonly string[];
}

/** One way of lying by a neighbour: how much the move changes for it. */
interface Pull {
  readonly by: number;
  readonly said: string;
}

/** Edges of one axis that can come to lie in line, or a path apart. */
function pulls(
  [a0, a1]: readonly [number, number],
  [b0, b1]: readonly [number, number],
  beside: boolean,
  pathMm: number,
): readonly Pull[] {
  const apart = [b1 + pathMm - a0, b0 - pathMm - a1].map((by) => ({ by, said: 'a path apart' }));
  const touching = [b1 - a0, b0 - a1].map((by) => ({ by, said: 'edge to edge' }));
  const inLine = [b0 - a0, b1 - a1].map((by) => ({ by, said: 'in line' }));
  // A gap means something only to what lies beside it.
  return beside ? [...apart, ...inLine, ...touching] : inLine;
}

/**
 * A move that comes to lie a path's width from a neighbour, or in line with its edges, where it is near to.
 * @param moving where the thing would lie, by itself
 * @param withinMm how near it must be to be drawn there
 */
export function snapped(moving: PlotExtent, others: readonly PlotExtent[], pathMm: number, withinMm: number): Snap {
  const nearest = (all: readonly Pull[]): Pull | undefined =>
    all
      .filter((p) => Math.abs(p.by) <= withinMm)
      .reduce<Pull | undefined>((best, p) => (best && Math.abs(best.by) <= Math.abs(p.by) ? best : p), undefined);
  const reach = pathMm + withinMm;
  const over = (a0: number, a1: number, b0: number, b1: number): boolean => a0 <= b1 + reach && b0 <= a1 + reach;
  const { x0, x1, y0, y1 } = moving;
  const x = nearest(others.flatMap((o) => pulls([x0, x1], [o.x0, o.x1], over(y0, y1, o.y0, o.y1), pathMm)));
  const y = nearest(others.flatMap((o) => pulls([y0, y1], [o.y0, o.y1], over(x0, x1, o.x0, o.x1), pathMm)));
  return {
    dx: x?.by ?? 0,
    dy: y?.by ?? 0,
    said: [...new Set([x, y].flatMap((p) => (p ? [p.said] : [])))],
  };
}

/** A bearing drawn to those of its neighbours, and to whole steps of the compass, where it is near to one. */
export function snappedBearing(deg: number, others: readonly number[], withinDeg = 3): number {
  const square = others.flatMap((o) => [0, 90, 180, 270].map((q) => bearing(o + q)));
  const compass = Array.from({ length: 24 }, (_, i) => 15 * i);
  const off = (to: number): number => Math.abs(bearing(deg - to + 180) - 180);
  const [best] = [...square, ...compass].filter((to) => off(to) <= withinDeg).sort((a, b) => off(a) - off(b));
  return best ?? bearing(deg);
}

/** A place for a thing of that size to the right of everything, a path away, mm. */
export function freeSpot(things: readonly (Bed | Landmark)[], pathMm: number): Bed['at'] {
  const all = extentOf(things.flatMap((t) => footprint(t)));
  return all ? { xMm: all.x1 + pathMm, yMm: all.y0 } : { xMm: 0, yMm: 0 };
}

/** A wall or fence by a bed: its name, how far it stands from the bed's nearest corner or edge, and how high. */
export interface Obstacle {
  readonly name: string;
  readonly gapMm: number;
  readonly heightMm: number;
}

/** Distance from a point to the line between two others. */
function fromEdge(p: PlanPoint, a: PlanPoint, b: PlanPoint): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const along = ((p.x - a.x) * dx + (p.y - a.y) * dy) / Math.max(1e-9, dx * dx + dy * dy);
  const t = Math.max(0, Math.min(1, along));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}

/** How far two things on the plot stand apart, corner to edge; nought where one reaches into the other by a corner. */
function gapBetween(one: readonly PlanPoint[], other: readonly PlanPoint[]): number {
  const edges = (list: readonly PlanPoint[]) => list.map((a, i) => [a, list[(i + 1) % list.length] ?? a] as const);
  const least = (points: readonly PlanPoint[], round: readonly PlanPoint[]): number =>
    Math.min(...points.flatMap((p) => edges(round).map(([a, b]) => fromEdge(p, a, b))));
  return Math.min(least(one, other), least(other, one));
}

/** The wall or fence that stands nearest to a bed. */
export function nearestObstacle(bed: Bed, landmarks: readonly Landmark[]): Obstacle | undefined {
  const around = footprint(bed);
  return landmarks
    .filter((l) => l.kind === 'wall' || l.kind === 'fence')
    .map((l) => ({ name: l.name, gapMm: gapBetween(around, footprint(l)), heightMm: l.heightMm }))
    .sort((a, b) => a.gapMm - b.gapMm)[0];
}
