import type { BentHoop, Feet, HoopPoint } from './types';

/** One bend along the straight pipe, from its left end. */
export interface Bend {
  /** Where the bend starts, mm along the pipe. */
  readonly atMm: number;
  readonly angleDeg: number;
  /** Pipe that the bend uses: r t. */
  readonly arcMm: number;
  /** How much shorter the pipe is than the path over the corner: 2 r tan(t/2) - r t. */
  readonly gainMm: number;
  /** Length of straight that each side of the corner gives up: r tan(t/2). */
  readonly setbackMm: number;
}

interface Corner {
  readonly y: number;
  readonly z: number;
}

/** Pipe for which a bend takes less than it has: the straight between two bends would be negative. */
export const NO_ROOM = 'no room between bends';

/**
 * A path through corners with every inner corner rounded to one centre-line radius.
 *
 * A bend of angle t uses r t of pipe and shortens the corner path by 2 r tan(t/2) - r t.
 * Source: arc geometry; the gain of conduit bending handbooks.
 * @param corners from the left foot to the right; y across, z up
 * @param radiusMm centre-line bend radius; 0 for joints made with fittings
 * @returns the hoop and its bends, or NO_ROOM when two bends would overlap
 */
export function bentHoop(
  corners: readonly Corner[],
  radiusMm: number,
  feet: Feet,
): { readonly hoop: BentHoop; readonly bends: readonly Bend[] } | typeof NO_ROOM {
  const legs = corners.slice(1).map((b, i) => {
    const a = corners[i] ?? b;
    return { length: Math.hypot(b.y - a.y, b.z - a.z), angle: Math.atan2(b.z - a.z, b.y - a.y) };
  });
  const turns = legs.slice(1).map((leg, i) => (legs[i]?.angle ?? 0) - leg.angle);
  const setbacks = turns.map((t) => radiusMm * Math.tan(Math.abs(t) / 2));
  const straights = legs.map((leg, i) => leg.length - (setbacks[i - 1] ?? 0) - (setbacks[i] ?? 0));
  if (straights.some((s) => s < -1e-6)) return NO_ROOM;

  const points: HoopPoint[] = [];
  const bends: Bend[] = [];
  let at = 0;
  let { y, z } = corners[0] ?? { y: 0, z: 0 };
  const put = (angle: number, curvature: number): void => void points.push({ y, z, angle, curvature });
  legs.forEach((leg, i) => {
    const straight = straights[i] ?? 0;
    // Straights are cut into short stretches, so that loads fall along them.
    const pieces = Math.max(1, Math.ceil(straight / 120));
    if (i === 0) put(leg.angle, 0);
    for (let k = 0; k < pieces && straight > 0; k++) {
      y += (straight / pieces) * Math.cos(leg.angle);
      z += (straight / pieces) * Math.sin(leg.angle);
      put(leg.angle, 0);
    }
    at += straight;
    const turn = turns[i];
    if (turn === undefined) return;
    const arc = radiusMm * Math.abs(turn);
    bends.push({
      atMm: at,
      angleDeg: (Math.abs(turn) * 180) / Math.PI,
      arcMm: arc,
      gainMm: 2 * (setbacks[i] ?? 0) - arc,
      setbackMm: setbacks[i] ?? 0,
    });
    at += arc;
    const steps = radiusMm > 0 ? 8 : 0;
    for (let k = 0; k < steps; k++) {
      const middle = leg.angle - (turn * (k + 0.5)) / steps;
      const chord = 2 * radiusMm * Math.sin(Math.abs(turn) / steps / 2);
      y += chord * Math.cos(middle);
      z += chord * Math.sin(middle);
      put(leg.angle - (turn * (k + 1)) / steps, Math.sign(turn) / radiusMm);
    }
  });
  const ys = points.map((p) => p.y);
  const foot = points[0] ?? { y: 0, z: 0 };
  const last = points[points.length - 1] ?? foot;
  return {
    bends,
    hoop: {
      feet,
      spanMm: last.y - foot.y,
      lengthMm: at,
      heightMm: Math.max(...points.map((p) => p.z)) - foot.z,
      maxWidthMm: Math.max(...ys) - Math.min(...ys),
      footAngleDeg: ((legs[0]?.angle ?? 0) * 180) / Math.PI,
      thrustOverEIPerMm2: 0,
      maxCurvaturePerMm: radiusMm > 0 ? 1 / radiusMm : 0,
      points,
    },
  };
}
