/** A row of hoops whose crowns a ridge joins: the ridge as a beam on the hoops' springs. */
import { addTo, factorize, skyline, solveInPlace } from '../../base/skyline';
import type { ArchRow } from '../../cover/assembly/rows';
import { stiffnessNMm2 } from '../../catalog/sections';
import type { LoadCurve } from '../frame/hoop';
import { breakingMomentNMm, curvatureLimitPerMm } from './limits';
import type { SnowCase } from './snow';

/**
 * What a push up at the crown spares a hoop, and what one down costs it, as times its force spread over the span. Hoops 1.2 to 2 spans
 * long on loose, upright and leaning feet, until they sway, snap or kink, solved with and without it: the least that it spares, the most
 * that it costs.
 */
const SPARES: Readonly<Record<SnowCase['snowCase'], number>> = { even: 1.65, 'one-sided': 0.5 };
export const COSTS = 2.5;

/** A hoop at the end of a row bears half of what those between do. */
const AT_END = 0.5;
/** What the hoops bear together is found to a thousandth or so of what one bears, on the safe side. */
const HALVINGS = 9;
const MOST_ROUNDS = 40;
/** Work of the last correction, as a part of the load that a span moves through. */
const MET = 1e-10;

/** A ridge over hoops, without units: lengths by their span, stiffness by theirs. */
export interface JoiningRidge {
  /** Hoops that it joins, and how far they stand apart. */
  readonly hoops: number;
  readonly spacing: number;
  readonly stiffness: number;
  /** Curvature at which it breaks. */
  readonly limit: number;
}

/** The ridge of a row that shares load between its hoops; nothing where none does: rope, spliced pipe, posts, fewer than three hoops. */
export function joiningRidge({ ridge, tags, section, spacingMm, hoop, core }: ArchRow): JoiningRidge | undefined {
  // What goes inside the hoops stiffens them: nothing is counted on top of it.
  if (ridge.kind !== 'tied' || !ridge.section || tags.length < 3 || core) return undefined;
  const own = ridge.section;
  const ei = stiffnessNMm2(own, 'weeks', 'width');
  const breaks = own.material.behaviour.kind === 'plastic' ? curvatureLimitPerMm(own) : breakingMomentNMm(own) / ei;
  return {
    hoops: tags.length,
    spacing: spacingMm / hoop.spanMm,
    stiffness: ei / stiffnessNMm2(section, 'weeks'),
    limit: breaks * hoop.spanMm,
  };
}

/** Even load that brings a crown down so far, growing, until the hoop gives way at the last. */
interface Spring {
  readonly drops: readonly number[];
  readonly loads: readonly number[];
}

/** What a hoop does until it gives way under a load. */
function springOf(curve: LoadCurve, most: number): Spring {
  const drops = [0];
  const loads = [0];
  for (const [i, load] of curve.loads.entries()) {
    const drop = curve.drops[i] ?? 0;
    const [d0, w0] = [drops[drops.length - 1] ?? 0, loads[loads.length - 1] ?? 0];
    if (drop <= d0 || load <= w0) continue;
    const part = Math.min(1, (most - w0) / (load - w0));
    drops.push(d0 + part * (drop - d0));
    loads.push(w0 + part * (load - w0));
    if (load >= most) break;
  }
  return { drops, loads };
}

/** Load of a spring at a drop, and how it grows there; beyond its ends as it does at them. */
function pressed({ drops, loads }: Spring, drop: number): readonly [load: number, grows: number] {
  let i = 1;
  while (i < drops.length - 1 && (drops[i] ?? 0) < drop) i++;
  const [d0, d1, w0, w1] = [drops[i - 1] ?? 0, drops[i] ?? 0, loads[i - 1] ?? 0, loads[i] ?? 0];
  const grows = (w1 - w0) / (d1 - d0);
  return [w0 + grows * (drop - d0), grows];
}

/** A ridge and hoops under a load: whether all bear it. */
function bear(spring: Spring, ridge: JoiningRidge, spares: number, load: number, state: Float64Array): boolean {
  const { hoops, spacing: s, stiffness } = ridge;
  const shareOf = (i: number): number => load * (i === 0 || i === hoops - 1 ? AT_END : 1);
  const first = Int32Array.from(state, (_, k) => Math.max(0, 2 * Math.floor(k / 2) - 2));
  const matrix = skyline(first);
  const [k12, k6, k4, k2] = [12 / s ** 3, 6 / s ** 2, 4 / s, 2 / s].map((k) => k * stiffness) as [
    number,
    number,
    number,
    number,
  ];
  const rest = new Float64Array(2 * hoops);
  /** Forces out of balance at a state into `rest`, stiffness into `matrix`. */
  const balance = (u: Float64Array): void => {
    matrix.values.fill(0);
    rest.fill(0);
    for (let i = 0; i + 1 < hoops; i++) {
      const at = [2 * i, 2 * i + 1, 2 * i + 2, 2 * i + 3];
      const beam = [
        [k12, k6, -k12, k6],
        [k6, k4, -k6, k2],
        [-k12, -k6, k12, -k6],
        [k6, k2, -k6, k4],
      ];
      at.forEach((a, x) =>
        at.forEach((b, y) => {
          const k = beam[x]?.[y] ?? 0;
          rest[a] = (rest[a] ?? 0) - k * (u[b] ?? 0);
          addTo(matrix, a, b, k);
        }),
      );
    }
    for (let i = 0; i < hoops; i++) {
      const [bears, grows] = pressed(spring, u[2 * i] ?? 0);
      const over = shareOf(i) - bears;
      const per = over > 0 ? spares : COSTS;
      rest[2 * i] = (rest[2 * i] ?? 0) + over / per;
      addTo(matrix, 2 * i, 2 * i, grows / per);
    }
  };
  const work = (way: Float64Array): number => way.reduce((sum, x, k) => sum + x * (rest[k] ?? 0), 0);
  balance(state);
  let met = false;
  for (let round = 0; round < MOST_ROUNDS && !met; round++) {
    const way = rest.slice();
    factorize(matrix);
    solveInPlace(matrix, way);
    const from = state.slice();
    const before = work(way);
    // All springs push back the more, the more they are pressed: along its way the energy has one lowest place, and this is short of it or near.
    for (let part = 1; part > 1e-3; part /= 2) {
      for (let k = 0; k < state.length; k++) state[k] = (from[k] ?? 0) + part * (way[k] ?? 0);
      balance(state);
      if (work(way) > -before / 2) break;
    }
    met = before < MET * load;
  }
  if (!met) return false;
  const most = spring.drops[spring.drops.length - 1] ?? 0;
  for (let i = 0; i < hoops; i++) {
    if ((state[2 * i] ?? 0) > most * (1 + 1e-9)) return false;
    for (const j of [i - 1, i + 1]) {
      if (j < 0 || j >= hoops) continue;
      const way = j - i;
      const [vi, vj, ti, tj] = [state[2 * i] ?? 0, state[2 * j] ?? 0, state[2 * i + 1] ?? 0, state[2 * j + 1] ?? 0];
      if (Math.abs((6 * (vj - vi)) / s ** 2 - (way * (4 * ti + 2 * tj)) / s) > ridge.limit) return false;
    }
  }
  return true;
}

const kept = new WeakMap<LoadCurve, Map<string, number>>();

/**
 * Load that each hoop of a row has when the first of them, or their ridge, gives way, over what one bears alone: 1 and more.
 * Loads are spread by where hoops stand, half at the ends; each hoop is the spring of its own large-displacement curve.
 * Source: beam on springs, stiffness matrix of a prismatic beam (Przemieniecki, Theory of Matrix Structural Analysis, sec. 5.6).
 * @param alone what one hoop bears, of its curve
 */
export function timesShared(
  curve: LoadCurve,
  alone: number,
  ridge: JoiningRidge,
  snowCase: SnowCase['snowCase'],
): number {
  const spring = springOf(curve, alone);
  if (spring.drops.length < 2 || alone <= 0) return 1;
  const key = `${snowCase} ${alone.toPrecision(4)} ${ridge.hoops} ${[ridge.spacing, ridge.stiffness, ridge.limit].map((x) => x.toPrecision(3)).join(' ')}`;
  const known = kept.get(curve) ?? new Map<string, number>();
  kept.set(curve, known);
  const before = known.get(key);
  if (before !== undefined) return before;
  const state = new Float64Array(2 * ridge.hoops);
  // No more than all of it shared out evenly.
  let [low, high] = [1, ridge.hoops / (ridge.hoops - 2 + 2 * AT_END)];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (bear(spring, ridge, SPARES[snowCase], middle * alone, state)) low = middle;
    else high = middle;
  }
  known.set(key, low);
  return low;
}
