/** Frames made of a line of points: arches, cantilevers, hoops. */
import { wrapped } from '../../base/geometry';
import { shortening } from './element';
import type { Beam, FrameNode } from './types';

export interface AxisPoint extends FrameNode {
  /** Direction of the axis, rad from x. */
  readonly angle: number;
}

/**
 * Slender elements along a line of points.
 * @param sprung it was straight before it was bent so, each stretch `stretchMm` long where that is known better than by the points;
 * otherwise it is free of force as it lies
 */
export function beamsAlong(
  points: readonly AxisPoint[],
  stuff: { readonly eaN: number; readonly eiNMm2: number },
  sprung?: { readonly stretchMm?: number },
): readonly Beam[] {
  return points.slice(1).map((b, i): Beam => {
    const a = points[i] ?? b;
    const chord = Math.atan2(b.y - a.y, b.x - a.x);
    const angles = [wrapped(a.angle - chord), wrapped(b.angle - chord)] as const;
    return {
      kind: 'beam',
      from: i,
      to: i + 1,
      ...stuff,
      tangents: [a.angle, b.angle],
      naturalMm: sprung?.stretchMm ?? Math.hypot(b.x - a.x, b.y - a.y) / (1 - shortening(...angles)),
      naturalAngles: sprung ? [0, 0] : angles,
      hinged: [false, false],
    };
  });
}

/** Points along an arc of a circle, from its left end over the top to its right, its middle at (0, 0). */
export function arcPoints(radiusMm: number, openDeg: number, count: number): readonly AxisPoint[] {
  const half = (openDeg * Math.PI) / 360;
  return Array.from({ length: count + 1 }, (_, i) => {
    const a = Math.PI / 2 + half - (2 * half * i) / count;
    return { x: radiusMm * Math.cos(a), y: radiusMm * Math.sin(a), angle: a - Math.PI / 2 };
  });
}
