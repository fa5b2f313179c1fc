/** The state in which a frame is at rest, and a path of such states while its load grows. */
import { factorize, solveInPlace } from '../../base/skyline';
import { type Model, type State, assemble, foreseenPulls } from './model';

/** A frame at rest. */
export interface Equilibrium {
  readonly factor: number;
  readonly state: State;
  /** Ways in which it would give by itself: 0 where it stands firm. */
  readonly negatives: number;
}

/** A correction is the last when it moves the frame by less than this part of its size: the next would be its square. */
const MET = 1e-6;
const MOST_STEPS = 30;
/** One correction never turns or moves the frame by more than this part of its size: beyond, its forces are of another shape. */
const FARTHEST = 0.3;

/** A step that has gone so many times its length in all has left the path. */
const STRAYED = 2;

/** Adds to a state what its unknowns change by, and to its held ways what they move by. */
function moved(m: Model, u: State, change: Float64Array, part: number, byFactor: number): void {
  for (let dof = 0; dof < m.count; dof++) {
    const ui = m.unknown[dof] ?? -1;
    if (ui >= 0) u[dof] = (u[dof] ?? 0) + part * (change[ui] ?? 0);
    else u[dof] = (u[dof] ?? 0) + byFactor * (m.moves[dof] ?? 0);
  }
}

/** What two changes have in common, moves and turns weighed together. */
export function inner(m: Model, a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < m.unknowns; i++) sum += (m.weights[i] ?? 0) * (a[i] ?? 0) * (b[i] ?? 0);
  return sum;
}

/**
 * The state of rest at one load factor, by Newton's method from a state nearby.
 * @returns nothing where it does not come to rest
 */
export function solveEquilibrium(m: Model, factor: number, from: Equilibrium): Equilibrium | undefined {
  const state = from.state.slice();
  moved(m, state, new Float64Array(m.unknowns), 0, factor - from.factor);
  for (let i = 0; i < MOST_STEPS; i++) {
    assemble(m, state, factor);
    const negatives = factorize(m.matrix);
    const change = m.residual.slice();
    solveInPlace(m.matrix, change);
    const far = Math.sqrt(inner(m, change, change));
    if (!Number.isFinite(far)) return undefined;
    moved(m, state, change, Math.min(1, FARTHEST / far), 0);
    if (far < MET) return { factor, state, negatives };
  }
  return undefined;
}

/** The frame as it is drawn, not yet at rest. */
export const asDrawn = (m: Model): Equilibrium => ({ factor: 0, state: new Float64Array(m.count), negatives: 0 });

/** The way on from a state of rest: how everything changes with the load factor there. */
function onward(m: Model): Float64Array {
  const way = m.slope.slice();
  solveInPlace(m.matrix, way);
  return way;
}

/** A step along the path. */
export interface LoadStep {
  readonly rest: Equilibrium;
  /** What it changed of the unknowns. */
  readonly way: Float64Array;
  /** How everything changes with the load factor where it ends. */
  readonly onward: Float64Array;
  /** `Model.pulls` there. */
  readonly pulls: Float64Array;
  readonly rounds: number;
}

/**
 * The next state of rest, one step of given length along the path.
 * Source: E. Ramm's updated normal plane, in Crisfield, Non-linear Finite Element Analysis, vol. 1, sec. 9.3.2.
 * @param came the step that came there, so that it goes on and does not turn back
 */
export function stepFrom(
  m: Model,
  from: Equilibrium,
  lengthOfStep: number,
  came: LoadStep | undefined,
): LoadStep | undefined {
  if (!came) {
    assemble(m, from.state, from.factor);
    factorize(m.matrix);
  }
  const first = came?.onward ?? onward(m);
  const size = Math.sqrt(inner(m, first, first));
  if (!(size > 0) || !Number.isFinite(size)) return undefined;
  const sign = came && inner(m, first, came.way) < 0 ? -1 : 1;
  const rising = (sign * lengthOfStep) / size;
  const way = first.map((x) => x * rising);
  let factor = from.factor + rising;
  const state = from.state.slice();
  moved(m, state, way, 1, factor - from.factor);
  let foreseen = foreseenPulls(m, came?.pulls ?? m.pulls, way, factor - from.factor);
  for (let i = 0; i < MOST_STEPS; i++) {
    assemble(m, state, factor, foreseen);
    const negatives = factorize(m.matrix);
    const correction = m.residual.slice();
    solveInPlace(m.matrix, correction);
    const tangent = onward(m);
    const byFactor = -inner(m, way, correction) / inner(m, way, tangent);
    const change = correction;
    for (let k = 0; k < change.length; k++) change[k] = (change[k] ?? 0) + byFactor * (tangent[k] ?? 0);
    const far = Math.sqrt(inner(m, change, change));
    if (!Number.isFinite(far)) return undefined;
    factor += byFactor;
    moved(m, state, change, 1, byFactor);
    foreseen = foreseenPulls(m, m.pulls, change, byFactor);
    for (let k = 0; k < way.length; k++) way[k] = (way[k] ?? 0) + (change[k] ?? 0);
    // Farther than the step itself: it is on its way to somewhere else.
    if (inner(m, way, way) > (STRAYED * lengthOfStep) ** 2) return undefined;
    if (far < MET)
      return { rest: { factor, state, negatives }, way, onward: tangent, pulls: m.pulls.slice(), rounds: i + 1 };
  }
  return undefined;
}
