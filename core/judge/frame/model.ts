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
  /** Where each entry of an element's 6 x 6 stiffness is added in `matrix.values`; -1 where nowhere. */
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
  /** Weights by which moves and turns are measured together, by unknown: a move as a part of the frame's size. */
  readonly weights: Float64Array;
}

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
export function modelOf(frame: Frame): Model {
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
  const slots = new Int32Array(36 * elements.length).fill(-1);
  elements.forEach((_, k) => {
    for (let i = 0; i < 6; i++)
      for (let j = 0; j < 6; j++) {
        const [ui, uj] = [unknown[dofs[6 * k + i] ?? 0] ?? -1, unknown[dofs[6 * k + j] ?? 0] ?? -1];
        if (ui >= 0 && uj >= 0 && uj <= ui) slots[36 * k + 6 * i + j] = (matrix.diagonal[ui] ?? 0) - (ui - uj);
      }
  });
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
  const long = Math.hypot(dx, dy);
  return [{ x: (l.x * long) / 2, y: (l.y * long) / 2 }, ((l.y * dx - l.x * dy) * long) / 12];
}

const work = elementWork();

/** Forces out of balance (`residual`), their change with the load factor (`slope`) and stiffness (`matrix`) at a state. */
export function assemble(m: Model, u: State, factor: number): void {
  const { frame, dofs, unknown, moves, moving, matrix, slots, residual, slope } = m;
  matrix.values.fill(0);
  residual.fill(0);
  slope.fill(0);
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
    if (e.kind === 'beam') beamWork(e, dx, dy, u[dofs[base + 2] ?? 0] ?? 0, u[dofs[base + 5] ?? 0] ?? 0, work);
    else barWork(e, dx, dy, work);
    for (let i = 0; i < 6; i++) {
      const ui = unknown[dofs[base + i] ?? 0] ?? -1;
      if (ui < 0) continue;
      residual[ui] = (residual[ui] ?? 0) - (force[i] ?? 0);
      for (let j = 0; j < 6; j++) {
        const slot = slots[36 * k + 6 * i + j] ?? -1;
        if (slot >= 0) values[slot] = (values[slot] ?? 0) + (stiffness[6 * i + j] ?? 0);
      }
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
  for (const l of frame.loads) push(3 * l.node + l.dof, l.value, l.constant);
  for (const l of frame.lines) {
    const e = frame.elements[l.element];
    if (!e) continue;
    const at = 6 * l.element;
    const [half, twelfth] = lineShare(frame, l);
    for (const end of [0, 3]) {
      push(dofs[at + end] ?? 0, half.x, l.constant);
      push(dofs[at + end + 1] ?? 0, half.y, l.constant);
      if (e.kind === 'beam') push(dofs[at + end + 2] ?? 0, end === 0 ? twelfth : -twelfth, l.constant);
    }
  }
  for (const p of frame.pressures) {
    const e = frame.elements[p.element];
    const a = e && frame.nodes[e.from];
    const b = e && frame.nodes[e.to];
    if (!a || !b) continue;
    const [ax, ay, bx, by] = [3 * e.from, 3 * e.from + 1, 3 * e.to, 3 * e.to + 1];
    const half = p.perMm / 2;
    const dx = b.x - a.x + (u[bx] ?? 0) - (u[ax] ?? 0);
    const dy = b.y - a.y + (u[by] ?? 0) - (u[ay] ?? 0);
    for (const [x, y] of [
      [ax, ay],
      [bx, by],
    ] as const) {
      push(x, -half * dy, p.constant);
      push(y, half * dx, p.constant);
    }
    // It turns with the element: symmetric but for its ends, where equal neighbours cancel.
    const k = half * (p.constant ? 1 : factor);
    const couple = (i: number, j: number, by: number): void => {
      const [ui, uj] = [unknown[i] ?? -1, unknown[j] ?? -1];
      if (ui >= 0 && uj >= 0) addTo(matrix, Math.max(ui, uj), Math.min(ui, uj), by);
    };
    couple(ax, by, k);
    couple(ay, bx, -k);
  }
}
