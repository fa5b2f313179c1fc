/** A frame loaded until it gives way: by turning aside, by snapping through, or because its stuff reaches its limit. */
import { factorize, solveInPlace } from '../../base/skyline';
import { type Equilibrium, type LoadStep, asDrawn, inner, solveEquilibrium, stepFrom } from './equilibrium';
import { type Model, assemble } from './model';

/** How a frame gives way. */
export type Mode =
  /** It turns aside into a shape that its load does not push it to: two paths meet ("bifurcation"). */
  | 'sway'
  /** Its load can grow no more: the path turns down ("limit point"). */
  | 'snap'
  /** What it is made of has reached its limit of strain or stress first. */
  | 'kink';

export interface Limit {
  readonly mode: Mode;
  readonly rest: Equilibrium;
  /** How it moves as it gives way, by way of moving (`Model.count`); unit size. Of a kink: as it was moving. */
  readonly shape: Float64Array;
}

export interface LoadPath {
  /** From no load on. */
  readonly rests: readonly Equilibrium[];
  /** Nothing where the search ended first. */
  readonly limit: Limit | undefined;
  readonly ended: 'limit' | 'most' | 'steps' | 'lost';
}

interface PathOptions {
  /** Load factor at which the search ends. */
  readonly most?: number;
  /** Most steps along the path. */
  readonly steps?: number;
  /** How much of its limit the stuff has reached; 1 and more: it gives way. */
  readonly used?: (rest: Equilibrium) => number;
  /** Longer steps, and a turn of the path read off the curve through the last three of them: within 0.2 % of the load. */
  readonly coarse?: boolean;
}

const FIRST_STEP = 0.004;
const LONGEST_STEP = 0.02;
const LONGEST_COARSE = 0.08;
const SHORTEST_STEP = 1e-10;
/** Short enough, with so little more load, not to leave the path for one that crosses near it. */
const SURE_STEP = 2e-4;
const SURE_RISE = 0.05;
/**
 * No step changes how much of its limit the stuff has reached by more than this, nor, near that limit, makes more than two fifths of its
 * load: what gives way between two states might come back unseen, and what lies between them is read off a curve.
 */
const LEAP = 0.1;
const NEAR_USED = 0.6;
const RISES = LEAP / 0.4;
/** No step makes the load more than so many times what it was, nor the frame give in more ways at once than two that are alike. */
const FASTEST = 4;
const MOST_WAYS = 2;
/** Rounds of Newton's method that a step of the right length takes. */
const GOOD_ROUNDS = 4;
const GOOD_ROUNDS_COARSE = 6;
/** The limit is told to this part of its load, and its place along the path to this part of a step: both, in so many halvings at the most. */
const NEAR = 1e-4;
const NEAR_STEP = 1e-3;
const MOST_HALVINGS = 40;
/** Less alike than this, squared cosine, the frame gives way to another shape than the one that it was taking. */
const ASIDE = 0.3;

/** Loads a frame from nothing until it gives way, or until one of the ends of the search. */
export function loadPath(m: Model, options: PathOptions = {}): LoadPath {
  const { most = Infinity, steps = 400, used = () => 0, coarse = false } = options;
  const start = solveEquilibrium(m, 0, asDrawn(m));
  if (!start) return { rests: [], limit: undefined, ended: 'lost' };
  const gone = (r: Equilibrium, use: number): boolean => r.negatives > 0 || use >= 1;
  const rests = [start];
  // Nothing loads it.
  assemble(m, start.state, 0);
  if (m.slope.every((x) => x === 0))
    return { rests: [start, { ...start, factor: most }], limit: undefined, ended: 'most' };
  let at = start;
  let use = used(start);
  if (gone(start, use)) return { rests, limit: limitAt(m, start, use, undefined), ended: 'limit' };
  let length = FIRST_STEP;
  let before = length;
  let came: LoadStep | undefined;
  for (let i = 0; i < steps; i++) {
    const step = stepFrom(m, at, length, came);
    const then = step ? used(step.rest) : NaN;
    // Another path, or a stretch that stiffens so fast that the load is no longer followed.
    const left = step && (step.rest.negatives > MOST_WAYS || (at.factor > 0 && step.rest.factor > FASTEST * at.factor));
    const sure = length <= SURE_STEP && (!step || Math.abs(step.rest.factor - at.factor) <= SURE_RISE * at.factor);
    const leap = step ? Math.max(Math.abs(then - use), then > NEAR_USED ? RISES * rise(at, step.rest) : 0) : Infinity;
    if (!step || (left === true && !sure) || (leap > LEAP && length > SURE_STEP)) {
      length /= 2;
      if (length < SHORTEST_STEP) return { rests, limit: undefined, ended: 'lost' };
      continue;
    }
    // Past a turn the load falls. A state that gives way while the load still grows lies on another path, or just past the turn.
    const gave = gone(step.rest, then);
    const turned = step.rest.negatives === 0 || (at.factor > 0 && step.rest.factor < at.factor);
    if (gave && !turned && !sure) {
      length /= 2;
      continue;
    }
    if (gave) {
      const found = coarse
        ? readOff(rests.at(-2), [at, use], [step.rest, then], before, length)
        : lastFirm(m, at, step.rest, length, came, (r) => gone(r, used(r)));
      rests.push(found);
      return { rests, limit: limitAt(m, found, used(found), step.way), ended: 'limit' };
    }
    if (step.rest.factor >= most) {
      const end = solveEquilibrium(m, most, step.rest) ?? step.rest;
      return { rests: [...rests, end], limit: undefined, ended: 'most' };
    }
    rests.push(step.rest);
    [at, use, came, before] = [step.rest, then, step, length];
    const rounds = coarse ? GOOD_ROUNDS_COARSE : GOOD_ROUNDS;
    length *= Math.min(2, Math.sqrt(rounds / step.rounds), LEAP / leap);
    length = Math.min(length, coarse ? LONGEST_COARSE : LONGEST_STEP);
  }
  return { rests, limit: undefined, ended: 'steps' };
}

/** How much of its load a step adds. */
const rise = (from: Equilibrium, to: Equilibrium): number => 1 - from.factor / to.factor;

/** Where the path first gives way between a firm state and one that has given way, by halving the step. */
function lastFirm(
  m: Model,
  firm: Equilibrium,
  gave: Equilibrium,
  length: number,
  came: LoadStep | undefined,
  gone: (r: Equilibrium) => boolean,
): Equilibrium {
  let [low, high] = [0, 1];
  let [below, above] = [firm, gave];
  for (let i = 0; i < MOST_HALVINGS; i++) {
    if (high - low < NEAR_STEP && Math.abs(above.factor - below.factor) < NEAR * Math.abs(above.factor)) break;
    const middle = (low + high) / 2;
    const step = stepFrom(m, firm, length * middle, came);
    if (!step) break;
    if (gone(step.rest)) [high, above] = [middle, step.rest];
    else [low, below] = [middle, step.rest];
  }
  // Past a turn of the path the factor falls again: the greater one is what it bore.
  return above.factor > below.factor ? above : { ...above, factor: below.factor };
}

/** Where it gave way between two states: where the stuff reached its limit, or at the top of the curve through the last three. */
function readOff(
  earlier: Equilibrium | undefined,
  [firm, u0]: readonly [Equilibrium, use: number],
  [gave, u1]: readonly [Equilibrium, use: number],
  before: number,
  length: number,
): Equilibrium {
  if (u1 >= 1 && gave.negatives === 0) {
    const part = (1 - u0) / (u1 - u0);
    return {
      factor: firm.factor + part * (gave.factor - firm.factor),
      state: firm.state.map((x, i) => x + part * ((gave.state[i] ?? 0) - x)),
      negatives: 0,
    };
  }
  const highest = gave.factor > firm.factor ? gave : firm;
  if (!earlier) return { ...highest, negatives: 1 };
  // f = f1 + b s + c s², s from the firm state on.
  const [back, on] = [earlier.factor - firm.factor, gave.factor - firm.factor];
  const c = (on / length + back / before) / (length + before);
  const b = on / length - c * length;
  const top = c < 0 ? firm.factor - (b * b) / (4 * c) : highest.factor;
  return { ...highest, factor: Math.max(highest.factor, Math.min(top, highest.factor * 1.05)), negatives: 1 };
}

function limitAt(m: Model, rest: Equilibrium, use: number, came: Float64Array | undefined): Limit {
  if (rest.negatives === 0 && use >= 1) return { mode: 'kink', rest, shape: spread(m, came) };
  // The shape that nothing resists there, by inverse iteration from one that leans no way in particular.
  assemble(m, rest.state, rest.factor);
  factorize(m.matrix);
  let shape: Float64Array = Float64Array.from({ length: m.unknowns }, (_, i) => Math.sin(1 + 2.3 * i));
  for (let i = 0; i < 4; i++) {
    solveInPlace(m.matrix, shape);
    const size = Math.hypot(...shape);
    shape = shape.map((x) => x / size);
  }
  // Where the path turns down the frame goes on along that shape; where two paths meet it goes aside from all that it has done. Close to
  // such a place a frame that is not quite even goes aside already: its last step alone does not tell.
  const alike = (way: Float64Array): number =>
    inner(m, shape, way) ** 2 / (inner(m, shape, shape) * inner(m, way, way));
  const aside = came && Math.min(alike(came), alike(unknownsOf(m, rest.state))) < ASIDE;
  return { mode: aside ? 'sway' : 'snap', rest, shape: spread(m, shape) };
}

/** What a state has moved the unknowns by. */
function unknownsOf(m: Model, state: Float64Array): Float64Array {
  const all = new Float64Array(m.unknowns);
  for (let dof = 0; dof < m.count; dof++) {
    const u = m.unknown[dof] ?? -1;
    if (u >= 0) all[u] = state[dof] ?? 0;
  }
  return all;
}

/** A change of the unknowns as one of all ways of moving, of unit size. */
function spread(m: Model, change: Float64Array | undefined): Float64Array {
  const all = new Float64Array(m.count);
  for (let dof = 0; dof < m.count; dof++) all[dof] = change?.[m.unknown[dof] ?? -1] ?? 0;
  const size = Math.hypot(...all) || 1;
  return all.map((x) => x / size);
}
