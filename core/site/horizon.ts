/** What stands round a bed and keeps the sun off it. */
import { LANDMARKS, LANDMARK_KINDS, type Landmark, type LandmarkKind } from './landmark';
import { footprint, middleOf } from './plotting';
import type { PlanPoint } from './survey';

/** Bearings that a horizon is known at. */
const BEARINGS = 72;
const STEP_DEG = 360 / BEARINGS;
const RAD = Math.PI / 180;

/** Of one kind of landmark: how high it stands over each bearing, degrees, and what part of the sun it keeps off. */
interface Ridge {
  readonly shades: number;
  readonly altitudeDeg: readonly number[];
}
export type Horizon = readonly Ridge[];

/** Nothing round about. */
export const OPEN_HORIZON: Horizon = [];

/** Distance along a ray to a line between two points; undefined where it misses. */
function meets(from: PlanPoint, east: number, north: number, a: PlanPoint, b: PlanPoint): number | undefined {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const turn = east * dy - north * dx;
  if (Math.abs(turn) < 1e-9) return undefined;
  const [ax, ay] = [a.x - from.x, a.y - from.y];
  const along = (ax * dy - ay * dx) / turn;
  const beside = (ax * north - ay * east) / turn;
  return along > 0 && beside >= 0 && beside <= 1 ? along : undefined;
}

/** How far a thing stands off one way, mm; Infinity where it does not. */
function distanceTo(thing: Landmark, from: PlanPoint, east: number, north: number): number {
  if (LANDMARKS[thing.kind].round) {
    const c = middleOf(thing);
    const [x, y] = [c.x - from.x, c.y - from.y];
    // Under its crown it stands over one all round.
    if (Math.hypot(x, y) < thing.lengthMm / 2) return 1;
    const along = x * east + y * north;
    const off = x * north - y * east;
    const half = (thing.lengthMm / 2) ** 2 - off ** 2;
    return along > 0 && half > 0 ? Math.max(1, along - Math.sqrt(half)) : Infinity;
  }
  const corners = footprint(thing);
  return Math.min(
    ...corners.map((a, i) => meets(from, east, north, a, corners[(i + 1) % corners.length] ?? a) ?? Infinity),
  );
}

/**
 * The horizon over a point of the plot.
 * @param from the point, mm east and north; @param heightMm how high over the ground one looks from
 */
export function horizonOf(landmarks: readonly Landmark[], from: PlanPoint, heightMm: number): Horizon {
  const ridge = (kind: LandmarkKind): Horizon => {
    const { shades } = LANDMARKS[kind];
    const mine = landmarks.filter((l) => l.kind === kind && l.heightMm > heightMm);
    if (shades === 0 || mine.length === 0) return [];
    const altitudeDeg = Array.from({ length: BEARINGS }, (_, i) => {
      const [east, north] = [Math.sin(i * STEP_DEG * RAD), Math.cos(i * STEP_DEG * RAD)];
      return Math.max(...mine.map((l) => Math.atan2(l.heightMm - heightMm, distanceTo(l, from, east, north)) / RAD));
    });
    return [{ shades, altitudeDeg }];
  };
  return LANDMARK_KINDS.flatMap(ridge);
}

/** The part of the sun's beam that comes over a horizon. */
export function beamOver(horizon: Horizon, azimuthDeg: number, altitudeDeg: number): number {
  const i = Math.round(azimuthDeg / STEP_DEG) % BEARINGS;
  return horizon.reduce((part, r) => (altitudeDeg < (r.altitudeDeg[i] ?? 0) ? part * (1 - r.shades) : part), 1);
}

/** The part of an even sky that is seen from level ground: what stands up to an angle h takes sin² h of it. */
export const skySeen = (horizon: Horizon): number =>
  horizon.reduce(
    (part, r) => part * (1 - (r.shades * r.altitudeDeg.reduce((sum, h) => sum + Math.sin(h * RAD) ** 2, 0)) / BEARINGS),
    1,
  );
