import type { Section, StiffSheet } from '../../catalog/types';
import { type Flat, type Vec3, add, area, cross, distance, scale } from '../../base/geometry';
import type { EndCut, Hole, Mark, Member, Panel } from './types';

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
  section: Section,
  from: Vec3,
  to: Vec3,
  wide: Vec3,
  extras: Extras = {},
): Member {
  const half = section.shape.kind === 'board' ? section.shape.widthMm / 2 : 0;
  const slant = (extras.endAnglesDeg ?? [0, 0]).reduce((sum, deg) => sum + half * Math.abs(tanDeg(deg)), 0);
  return {
    tag,
    part,
    section,
    shape: { kind: 'straight', from, to, wide },
    lengthMm: distance(from, to) + slant,
    ends: ['square', 'square'],
    holes: [],
    marks: [],
    ...extras,
  };
}

/** Both ends of straight pieces, one after the other. */
export const endsOf = (pieces: readonly Member[]): readonly Vec3[] =>
  pieces.flatMap((m) => (m.shape.kind === 'straight' ? [m.shape.from, m.shape.to] : []));

/** An upright or lying rectangle of sheet. */
export function rectangle(
  tag: string,
  part: string,
  sheet: StiffSheet,
  at: Vec3,
  u: Vec3,
  v: Vec3,
  size: readonly [uMm: number, vMm: number],
  channels?: 'u' | 'v',
): Panel {
  const [w, h] = size;
  const outline: readonly Flat[] = [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ];
  return { tag, part, sheet, at, u, v, outline, openings: [], channels, curved: false };
}

/** A point of a panel's outline in place. */
export function inPlace(p: Panel, [u, v]: Flat): Vec3 {
  return add(p.at, add(scale(p.u, u), scale(p.v, v)));
}

/** Direction in which a panel's thickness grows: u x v. */
export const panelNormal = ({ u, v }: Pick<Panel, 'u' | 'v'>): Vec3 => cross(u, v);

/** Area of a panel less its openings, m2. */
export function panelAreaM2(p: Panel): number {
  return (area(p.outline) - p.openings.reduce((sum, o) => sum + area(o), 0)) / 1e6;
}
