/** A frame made ready to be solved: its unknowns numbered, and forces and stiffness worked out for any state of them. */
import { type Skyline, addTo, skyline } from '../../base/skyline';
import { barWork, beamWork, elementWork } from './element';
import type { Frame, FrameNode, LineLoad } from './types';

/** The state of a frame: what every node, and every hinged end, has moved and turned. */
export type State = Float64Array;

export interface Model {
  readonly frame: Frame;
  /** All ways in which anything moves: three for a node, then one for each hinged end. */
  readonly count: number;
  /** Which of them each end of each element uses: six for an element. */
  readonly dofs: Int32Array;
  /** Where the lower half of an element's 6 x 6 stiffness, by rows, is added in `matrix.values`; -1 where nowhere. */
  readonly slots: Int32Array;
  /** Number of the unknown that a way is; -1 where it is held. */
  readonly unknown: Int32Array;
  readonly unknowns: number;
  /** How each held way moves for each unit of the load factor. */
  readonly moves: Float64Array;
  readonly moving: boolean;
  /** Stiffness, forces out of balance, and what changes them with the load factor; as left by the last `assemble`. */
  readonly matrix: Skyline;
  readonly residual: Float64Array;
  readonly slope: Float64Array;
  /** Pull of each beam and how it grows (`ElementWork.pull`), as left by the last `assemble`. */
  readonly pulls: Float64Array;
  /** Forces that stay as they are, and those that grow with the load factor, by unknown: all but what turns with its element. */
  readonly steady: Float64Array;
  readonly growing: Float64Array;
  /** Weights by which moves and turns are measured together, by unknown: a move as a part of the frame's size. */
  readonly weights: Float64Array;
}

/** The lower half of a 6 x 6 matrix by rows, as places in the whole. */
const LOWER = Int32Array.from({ length: 36 }, (_, i) => i).filter((i) => i % 6 <= Math.floor(i / 6));

/** Order of the nodes in which neighbours stand near one another. Source: E. Cuthill and J. McKee, ACM 1969, reversed. */
function nodeOrder(frame: Frame): readonly number[] {
  const near = frame.nodes.map(() => new Set<number>());
  for (const e of frame.elements) {
    near[e.from]?.add(e.to);
    near[e.to]?.add(e.from);
  }
  const degree = (i: number): number => near[i]?.size ?? 0;
  const byDegree = frame.nodes.map((_, i) => i).sort((a, b) => degree(a) - degree(b) || a - b);
  const order: number[] = [];
  const seen = new Set<number>();
  for (const start of byDegree) {
    if (seen.has(start)) continue;
    seen.add(start);
    order.push(start);
    for (let at = order.length - 1; at < order.length; at++)
      for (const next of [...(near[order[at] ?? 0] ?? [])].sort((a, b) => degree(a) - degree(b) || a - b))
        if (!seen.has(next)) {
          seen.add(next);
          order.push(next);
        }
  }
  return order.reverse();
}

/** Makes a frame ready. Turns that nothing resists are left out. */
export function frameModel(frame: Frame): Model {
  const { nodes, elements } = frame;
  let count = 3 * nodes.length;
  const dofs = new Int32Array(6 * elements.length);
  const extras: { readonly node: number; readonly dof: number }[] = [];
  const turned = new Set<number>();
  elements.forEach((e, k) => {
    [e.from, e.to].forEach((node, end) => {
      const base = 6 * k + 3 * end;
      dofs[base] = 3 * node;
      dofs[base + 1] = 3 * node + 1;
      dofs[base + 2] = 3 * node + 2;
      if (e.kind !== 'beam') return;
      if (!e.hinged[end as 0 | 1]) return void turned.add(3 * node + 2);
      dofs[base + 2] = count;
      extras.push({ node, dof: count });
      turned.add(count);
      count += 1;
    });
  });
  for (const s of frame.springs) if (s.dof === 2) turned.add(3 * s.node + 2);
  const moves = new Float64Array(count);
  const held = new Set<number>();
  for (const h of frame.holds) {
    held.add(3 * h.node + h.dof);
    moves[3 * h.node + h.dof] = h.move;
  }
  const unknown = new Int32Array(count).fill(-1);
  let unknowns = 0;
  for (const node of nodeOrder(frame)) {
    const own = [3 * node, 3 * node + 1, 3 * node + 2, ...extras.filter((x) => x.node === node).map((x) => x.dof)];
    own.forEach((dof, way) => {
      if (held.has(dof) || (way >= 2 && !turned.has(dof))) return;
      unknown[dof] = unknowns;
      unknowns += 1;
    });
  }
  const first = Int32Array.from({ length: unknowns }, (_, i) => i);
  elements.forEach((_, k) => {
    const own = [...dofs.subarray(6 * k, 6 * k + 6)].map((d) => unknown[d] ?? -1).filter((u) => u >= 0);
    const least = Math.min(...own);
    for (const u of own) first[u] = Math.min(first[u] ?? u, least);
  });
  const matrix = skyline(first);
  const slots = new Int32Array(LOWER.length * elements.length).fill(-1);
  elements.forEach((_, k) => {
    LOWER.forEach((entry, i) => {
      const ends = [Math.floor(entry / 6), entry % 6].map((end) => unknown[dofs[6 * k + end] ?? 0] ?? -1);
      const [low, high] = [Math.min(...ends), Math.max(...ends)];
      if (low >= 0) slots[LOWER.length * k + i] = (matrix.diagonal[high] ?? 0) - (high - low);
    });
  });
  const steady = new Float64Array(unknowns);
  const growing = new Float64Array(unknowns);
  const push = (dof: number, value: number, constant: boolean | undefined): void => {
    const ui = unknown[dof] ?? -1;
    const forces = constant ? steady : growing;
    if (ui >= 0) forces[ui] = (forces[ui] ?? 0) + value;
  };
  for (const l of frame.loads) push(3 * l.node + l.dof, l.value, l.constant);
  for (const l of frame.lines) {
    const at = 6 * l.element;
    const [half, twelfth] = lineShare(frame, l);
    for (const end of [0, 3]) {
      push(dofs[at + end] ?? 0, half.x, l.constant);
      push(dofs[at + end + 1] ?? 0, half.y, l.constant);
      if (elements[l.element]?.kind === 'beam')
        push(dofs[at + end + 2] ?? 0, end === 0 ? twelfth : -twelfth, l.constant);
    }
  }
  const xs = nodes.map((n) => n.x);
  const ys = nodes.map((n) => n.y);
  const size = Math.hypot(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)) || 1;
  const weights = new Float64Array(unknowns);
  for (let dof = 0; dof < count; dof++) {
    const u = unknown[dof] ?? -1;
    if (u >= 0) weights[u] = dof < 3 * nodes.length && dof % 3 !== 2 ? 1 / (size * size * unknowns) : 1 / unknowns;
  }
  return {
    frame,
    count,
    dofs,
    unknown,
    unknowns,
    moves,
    moving: moves.some((x) => x !== 0),
    matrix,
    slots,
    residual: new Float64Array(unknowns),
    slope: new Float64Array(unknowns),
    pulls: new Float64Array(5 * elements.length),
    steady,
    growing,
    weights,
  };
}

/**
 * What a load along an element puts on each of its ends: half of it, and a moment on the first (the other has the opposite one).
 * Source: fixed-end forces of a uniform load, w l / 2 and w l^2 / 12, on the element as it is drawn.
 */
export function lineShare(frame: Frame, l: LineLoad): readonly [half: FrameNode, momentNMm: number] {
  const e = frame.elements[l.element];
  const [a, b] = [frame.nodes[e?.from ?? -1], frame.nodes[e?.to ?? -1]];
  if (!a || !b) return [{ x: 0, y: 0 }, 0];
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const long = Math.sqrt(dx * dx + dy * dy);
  return [{ x: (l.x * long) / 2, y: (l.y * long) / 2 }, ((l.y * dx - l.x * dy) * long) / 12];
}

const work = elementWork();

/**
 * Forces out of balance (`residual`), their change with the load factor (`slope`) and stiffness (`matrix`) at a state.
 * @param foreseen pulls of the beams that their stiffness is of; their own when not given
 */
export function assemble(m: Model, u: State, factor: number, foreseen?: Float64Array): void {
  const { frame, dofs, unknown, moves, moving, matrix, slots, residual, slope, steady, growing, pulls } = m;
  matrix.values.fill(0);
  slope.set(growing);
  for (let i = 0; i < residual.length; i++) residual[i] = (steady[i] ?? 0) + factor * (growing[i] ?? 0);
  const { values } = matrix;
  const { force, stiffness } = work;
  for (let k = 0; k < frame.elements.length; k++) {
    const e = frame.elements[k];
    const a = e && frame.nodes[e.from];
    const b = e && frame.nodes[e.to];
    if (!a || !b) continue;
    const base = 6 * k;
    const dx = b.x - a.x + (u[dofs[base + 3] ?? 0] ?? 0) - (u[dofs[base] ?? 0] ?? 0);
    const dy = b.y - a.y + (u[dofs[base + 4] ?? 0] ?? 0) - (u[dofs[base + 1] ?? 0] ?? 0);
    if (e.kind === 'beam') {
      beamWork(e, dx, dy, u[dofs[base + 2] ?? 0] ?? 0, u[dofs[base + 5] ?? 0] ?? 0, work, foreseen?.[k]);
      for (let i = 0; i < 5; i++) pulls[5 * k + i] = work.pull[i] ?? 0;
    } else barWork(e, dx, dy, work);
    for (let i = 0; i < LOWER.length; i++) {
      const slot = slots[LOWER.length * k + i] ?? -1;
      if (slot >= 0) values[slot] = (values[slot] ?? 0) + (stiffness[LOWER[i] ?? 0] ?? 0);
    }
    for (let i = 0; i < 6; i++) {
      const ui = unknown[dofs[base + i] ?? 0] ?? -1;
      if (ui < 0) continue;
      residual[ui] = (residual[ui] ?? 0) - (force[i] ?? 0);
      if (!moving) continue;
      for (let j = 0; j < 6; j++) {
        const dj = dofs[base + j] ?? 0;
        slope[ui] = (slope[ui] ?? 0) - (stiffness[6 * i + j] ?? 0) * (moves[dj] ?? 0);
      }
    }
  }
  for (const s of frame.springs) {
    const dof = 3 * s.node + s.dof;
    const ui = unknown[dof] ?? -1;
    const way = u[dof] ?? 0;
    if (ui < 0 || (s.acts === 'below' && way > 0) || (s.acts === 'above' && way < 0)) continue;
    residual[ui] = (residual[ui] ?? 0) - s.stiffness * way;
    addTo(matrix, ui, ui, s.stiffness);
  }
  const push = (dof: number, value: number, constant: boolean | undefined): void => {
    const ui = unknown[dof] ?? -1;
    if (ui < 0) return;
    residual[ui] = (residual[ui] ?? 0) + value * (constant ? 1 : factor);
    if (!constant) slope[ui] = (slope[ui] ?? 0) + value;
  };
  const couple = (i: number, j: number, by: number): void => {
    const ui = unknown[i] ?? -1;
    const uj = unknown[j] ?? -1;
    if (ui >= 0 && uj >= 0) addTo(matrix, Math.max(ui, uj), Math.min(ui, uj), by);
  };
  for (const p of frame.pressures) {
    const e = frame.elements[p.element];
    const a = e && frame.nodes[e.from];
    const b = e && frame.nodes[e.to];
    if (!a || !b) continue;
    const ax = 3 * e.from;
    const bx = 3 * e.to;
    const half = p.perMm / 2;
    const dx = b.x - a.x + (u[bx] ?? 0) - (u[ax] ?? 0);
    const dy = b.y - a.y + (u[bx + 1] ?? 0) - (u[ax + 1] ?? 0);
    push(ax, -half * dy, p.constant);
    push(ax + 1, half * dx, p.constant);
    push(bx, -half * dy, p.constant);
    push(bx + 1, half * dx, p.constant);
    // It turns with the element: symmetric but for its ends, where equal neighbours cancel.
    const k = half * (p.constant ? 1 : factor);
    couple(ax, bx + 1, k);
    couple(ax + 1, bx, -k);
  }
}

/**
 * The pull that each beam would have after a small change, by how it grows (`Model.pulls`).
 * Stiffness by foreseen pulls comes to rest in half the rounds where beams are slender: what a move stretches them by beyond that is no
 * real pull. Source: D. Magisano, L. Leonetti and G. Garcea, "How to improve efficiency and robustness of the Newton method in
 * geometrically non-linear structural problem discretized via displacement-based finite elements", 2017 (mixed integration points).
 */
export function foreseenPulls(
  { dofs, unknown, moves }: Model,
  pulls: Float64Array,
  change: Float64Array,
  byFactor: number,
): Float64Array {
  const of = (dof: number): number => {
    const ui = unknown[dof] ?? -1;
    return ui >= 0 ? (change[ui] ?? 0) : byFactor * (moves[dof] ?? 0);
  };
  const all = new Float64Array(pulls.length / 5);
  for (let k = 0; k < all.length; k++) {
    const [at, base] = [5 * k, 6 * k];
    all[k] =
      (pulls[at] ?? 0) +
      (pulls[at + 1] ?? 0) * (of(dofs[base] ?? 0) - of(dofs[base + 3] ?? 0)) +
      (pulls[at + 2] ?? 0) * (of(dofs[base + 1] ?? 0) - of(dofs[base + 4] ?? 0)) +
      (pulls[at + 3] ?? 0) * of(dofs[base + 2] ?? 0) +
      (pulls[at + 4] ?? 0) * of(dofs[base + 5] ?? 0);
  }
  return all;
}
