/** The faces of a cover that snow lies on, and which of them lies over a place. */
import { type Vec3, add, cross, norm, scale, subtract } from '../../base/geometry';
import { panelFaces } from '../assembly/solids';
import type { Panel, SheetPart } from '../assembly/types';

/** A plane part of a roof, and its size in plan. */
export interface RoofFace {
  readonly tag: string;
  readonly middle: Vec3;
  /** How much higher it is for each mm along the bed, and across it. */
  readonly rises: readonly [x: number, y: number];
  readonly fromX: number;
  readonly toX: number;
  readonly fromY: number;
  readonly toY: number;
  readonly slopeDeg: number;
  /** A sheet is stretched over what lies between, a panel lies on its bars themselves. */
  readonly stretched: boolean;
}

/** Between two lids no more is open, mm. */
const PLAY_MM = 5;
/** Steeper than this no snow lies, and it is a wall. */
const STEEPEST = 80;

function faceOf(tag: string, points: readonly Vec3[], stretched: boolean): RoofFace | undefined {
  const [a, b, c] = points;
  if (!a || !b || !c) return undefined;
  const n = cross(subtract(b, a), subtract(c, a));
  const slopeDeg = (Math.acos(Math.min(1, Math.abs(n[2]) / Math.max(1e-9, norm(n)))) * 180) / Math.PI;
  if (slopeDeg > STEEPEST) return undefined;
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  return {
    tag,
    middle: scale(points.reduce(add), 1 / points.length),
    rises: [-n[0] / n[2], -n[1] / n[2]],
    fromX: Math.min(...xs),
    toX: Math.max(...xs),
    fromY: Math.min(...ys),
    toY: Math.max(...ys),
    slopeDeg,
    stretched,
  };
}

/** The roof faces of sheets and of stiff panels. */
export function roofFaces(pieces: {
  readonly sheets: readonly SheetPart[];
  readonly panels: readonly Panel[];
}): readonly RoofFace[] {
  const all = [
    ...pieces.sheets.flatMap((s) => s.faces.flatMap((f) => faceOf(s.tag, f, true) ?? [])),
    ...pieces.panels.flatMap((p) => {
      const [under, over] = panelFaces(p);
      return faceOf(p.tag, p.u[0] * p.v[1] - p.u[1] * p.v[0] > 0 ? under : over, false) ?? [];
    }),
  ];
  // Snow lies on the outermost: not on a net or a second skin under it.
  return all.filter(({ tag, middle: [x, y, z] }) => {
    const covered = (g: RoofFace): boolean => {
      const top = g.tag === tag ? undefined : heightOver(g, x, y, PLAY_MM);
      return top !== undefined && top > z + 1;
    };
    return !all.some(covered);
  });
}

/** Height of a face over a place in plan; nothing where it does not lie over it, or nearly. */
export function heightOver(f: RoofFace, x: number, y: number, slackMm: number): number | undefined {
  const over = x >= f.fromX - slackMm && x <= f.toX + slackMm && y >= f.fromY - slackMm && y <= f.toY + slackMm;
  return over ? f.middle[2] + f.rises[0] * (x - f.middle[0]) + f.rises[1] * (y - f.middle[1]) : undefined;
}

/** From where to where along the bed a cover goes on without a gap at a place, mm. */
export function reachAt(faces: readonly RoofFace[], x: number): readonly [from: number, to: number] {
  let [from, to] = [x, x];
  for (let grown = true; grown;) {
    grown = false;
    for (const f of faces)
      if (f.fromX <= to + GAP_MM && f.toX >= from - GAP_MM && (f.fromX < from - 1e-6 || f.toX > to + 1e-6)) {
        [from, to] = [Math.min(from, f.fromX), Math.max(to, f.toX)];
        grown = true;
      }
  }
  return [from, to];
}

/** Lids with more play than this between them are two. */
const GAP_MM = 2;
