import type { Corner2, EndCut, HardwareUse, Hole, Mark, Member, Panel, Vec3 } from './types';
import { boardShape, section } from '../catalog/sections';

interface Extras {
  readonly ends?: readonly [EndCut, EndCut];
  readonly endAnglesDeg?: readonly [number, number];
  readonly taperMm?: readonly [number, number];
  readonly sawnFrom?: string;
  readonly holes?: readonly Hole[];
  readonly marks?: readonly Mark[];
}

const tanDeg = (deg: number): number => Math.tan((deg * Math.PI) / 180);

/**
 * A straight piece between two points of its centre line.
 * Where an end is cut off square, the piece is as long as the blank it is cut from: long point to long point.
 */
export function piece(
  tag: string,
  part: string,
  sectionKey: string,
  from: Vec3,
  to: Vec3,
  wide: Vec3,
  extras: Extras = {},
): Member {
  const s = section(sectionKey);
  const half = s.shape.kind === 'board' ? boardShape(s).widthMm / 2 : 0;
  const slant = (extras.endAnglesDeg ?? [0, 0]).reduce((sum, deg) => sum + half * Math.abs(tanDeg(deg)), 0);
  return {
    tag,
    part,
    sectionKey,
    shape: { kind: 'straight', from, to, wide },
    lengthMm: Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]) + slant,
    ends: ['square', 'square'],
    holes: [],
    marks: [],
    ...extras,
  };
}

/** A count of hardware at a joint; drop those of nothing with `some`. */
export function use(itemKey: string, count: number, joint: string): HardwareUse {
  return { itemKey, count, joint };
}

/** The uses that there are any of. */
export function some(uses: readonly HardwareUse[]): readonly HardwareUse[] {
  return uses.filter((u) => u.count > 0);
}

/** An upright or lying rectangle of sheet. */
export function rectangle(
  tag: string,
  part: string,
  sheetKey: string,
  at: Vec3,
  u: Vec3,
  v: Vec3,
  size: readonly [uMm: number, vMm: number],
  channels?: 'u' | 'v',
): Panel {
  const [w, h] = size;
  const outline: readonly Corner2[] = [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ];
  return { tag, part, sheetKey, at, u, v, outline, openings: [], channels, curved: false };
}

/** A point of a panel's outline in place. */
export function inPlace(p: Panel, [u, v]: Corner2): Vec3 {
  return [p.at[0] + p.u[0] * u + p.v[0] * v, p.at[1] + p.u[1] * u + p.v[1] * v, p.at[2] + p.u[2] * u + p.v[2] * v];
}

/** Direction in which a panel's thickness grows: u x v. */
export function panelNormal({ u, v }: Pick<Panel, 'u' | 'v'>): Vec3 {
  return [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
}

/** Smallest rectangle round an outline, mm. */
export function outlineSize(outline: readonly Corner2[]): { readonly uMm: number; readonly vMm: number } {
  const us = outline.map((c) => c[0]);
  const vs = outline.map((c) => c[1]);
  return { uMm: Math.max(...us) - Math.min(...us), vMm: Math.max(...vs) - Math.min(...vs) };
}

/** Area inside an outline, mm2 (shoelace formula). */
export function outlineArea(outline: readonly Corner2[]): number {
  return (
    Math.abs(
      outline.reduce((sum, [u, v], i) => {
        const next = outline[(i + 1) % outline.length] ?? [u, v];
        return sum + u * next[1] - next[0] * v;
      }, 0),
    ) / 2
  );
}

/** Area of a panel less its openings, m2. */
export function panelAreaM2(p: Panel): number {
  return (outlineArea(p.outline) - p.openings.reduce((sum, o) => sum + outlineArea(o), 0)) / 1e6;
}
