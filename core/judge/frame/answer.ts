/** What a frame does under its load: moves, forces in its members, reactions, and the load at which it gives way. */
import { factorize, solveInPlace } from '../../base/skyline';
import { type Result, fail, ok } from '../../base/result';
import { SLACK, barPullN, barWork, beamForces, beamWork, elementWork } from './element';
import { type Equilibrium, asDrawn, solveEquilibrium } from './equilibrium';
import { type ReadFrame, stiffnessMPa } from './job';
import { type Model, type State, assemble, lineShare, frameModel } from './model';
import { type Limit, type Mode, type LoadPath, loadPath } from './path';
import type { FrameBar, Beam } from './types';

/** What holds one end of a member: pull along it, shear (to the left of from-to on its first end, to the right on its last), moment against the clock. */
interface MemberEnd {
  readonly axialN: number;
  readonly shearN: number;
  readonly momentNMm: number;
}

interface FactorAnswer {
  readonly factor: number;
  readonly nodes: Readonly<Record<string, { readonly x: number; readonly y: number; readonly turnDeg: number }>>;
  readonly members: Readonly<
    Record<string, { readonly from: MemberEnd; readonly to: MemberEnd; readonly greatestMomentNMm: number }>
  >;
  readonly reactions: Readonly<Record<string, { readonly x: number; readonly y: number; readonly momentNMm: number }>>;
}

export interface FrameAnswer {
  readonly large: boolean;
  readonly at: readonly FactorAnswer[];
  /** Factors asked for beyond which the frame had given way. */
  readonly beyond: readonly number[];
  /** Where the path first meets another, or turns down, or the stuff reaches its limit; null: not up to `searchedTo`. */
  readonly first: { readonly factor: number; readonly mode: Mode } | null;
  /** Where it gives way for good: past a sway that it bears, on the path that it sways along. */
  readonly limit: { readonly factor: number; readonly mode: Mode } | null;
  readonly searchedTo: number;
}

/** Pull along an element, moments on its ends, and how its chord lies. */
interface ElementForces {
  readonly pull: number;
  readonly m1: number;
  readonly m2: number;
  readonly l: number;
  readonly chord: number;
}

function endForces(model: Model, u: State, k: number): ElementForces {
  const { frame, dofs } = model;
  const e = frame.elements[k];
  const [a, b] = [frame.nodes[e?.from ?? 0], frame.nodes[e?.to ?? 0]];
  if (!e || !a || !b) return { pull: 0, m1: 0, m2: 0, l: 1, chord: 0 };
  const at = (i: number): number => u[dofs[6 * k + i] ?? 0] ?? 0;
  const [dx, dy] = [b.x - a.x + at(3) - at(0), b.y - a.y + at(4) - at(1)];
  const [l, chord] = [Math.hypot(dx, dy), Math.atan2(dy, dx)];
  if (e.kind !== 'beam') return { pull: barPullN(e, dx, dy), m1: 0, m2: 0, l, chord };
  const f = beamForces(e, dx, dy, at(2), at(5));
  return { pull: f.pullN, m1: f.m1NMm, m2: f.m2NMm, l, chord };
}

/** The greatest part of its limit that any member has reached, by strain or by stress of its outermost fibre. */
function usedOf({ job, members }: ReadFrame, model: Model): ((rest: Equilibrium) => number) | undefined {
  const limited = Object.entries(job.members).filter(
    ([, m]) => m.limitStrain !== undefined || m.limitMPa !== undefined,
  );
  if (limited.length === 0) return undefined;
  return (rest) =>
    limited.reduce((most, [key, m]) => {
      const { first, count } = members.get(key) ?? { first: 0, count: 0 };
      const e = stiffnessMPa(job, m);
      let used = most;
      for (let k = first; k < first + count; k++) {
        const { pull, m1, m2 } = endForces(model, rest.state, k);
        const ei = (model.frame.elements[k] as Beam).eiNMm2;
        const strain = Math.abs(pull) / (e * m.A) + ((Math.max(Math.abs(m1), Math.abs(m2)) / ei) * (m.depth ?? 0)) / 2;
        used = Math.max(used, strain / (m.limitStrain ?? Infinity), (strain * e) / (m.limitMPa ?? Infinity));
      }
      return used;
    }, 0);
}

/** @param forcesOf what each element does at its ends in that state */
function answerAt(
  read: ReadFrame,
  { factor, state }: Equilibrium,
  forcesOf: (k: number) => ElementForces,
): FactorAnswer {
  const { frame } = read;
  const lines = new Map<number, { x: number; y: number; moment: number }>();
  for (const l of frame.lines) {
    const [half, moment] = lineShare(frame, l);
    const times = l.constant ? 1 : factor;
    const so = lines.get(l.element) ?? { x: 0, y: 0, moment: 0 };
    lines.set(l.element, { x: so.x + half.x * times, y: so.y + half.y * times, moment: so.moment + moment * times });
  }
  const pressures = new Map<number, number>();
  for (const p of frame.pressures)
    pressures.set(p.element, (pressures.get(p.element) ?? 0) + p.perMm * (p.constant ? 1 : factor));

  /** Forces that the element puts on nothing else but its ends: its own, less what its load already gives them. */
  const ends = (k: number): readonly [MemberEnd, MemberEnd, { readonly x: number; readonly y: number }[]] => {
    const { pull, m1, m2, l, chord } = forcesOf(k);
    const shear = (m1 + m2) / l;
    const [c, s] = [Math.cos(chord), Math.sin(chord)];
    const line = lines.get(k) ?? { x: 0, y: 0, moment: 0 };
    const across = (pressures.get(k) ?? 0) * (l / 2);
    const half = { x: line.x - across * s, y: line.y + across * c };
    // Along and across the element.
    const [halfAlong, halfAcross] = [half.x * c + half.y * s, -half.x * s + half.y * c];
    const from = { axialN: pull + halfAlong, shearN: shear - halfAcross, momentNMm: m1 - line.moment };
    const to = { axialN: pull - halfAlong, shearN: shear + halfAcross, momentNMm: m2 + line.moment };
    return [
      from,
      to,
      [
        { x: -from.axialN * c - from.shearN * s, y: -from.axialN * s + from.shearN * c },
        { x: to.axialN * c + to.shearN * s, y: to.axialN * s - to.shearN * c },
      ],
    ];
  };
  const held = new Map<number, { x: number; y: number; momentNMm: number }>();
  frame.elements.forEach((e, k) => {
    const [from, to, forces] = ends(k);
    [e.from, e.to].forEach((node, i) => {
      const so = held.get(node) ?? { x: 0, y: 0, momentNMm: 0 };
      const hinged = e.kind === 'beam' && e.hinged[i as 0 | 1];
      held.set(node, {
        x: so.x + (forces[i]?.x ?? 0),
        y: so.y + (forces[i]?.y ?? 0),
        momentNMm: so.momentNMm + (hinged ? 0 : i === 0 ? from.momentNMm : to.momentNMm),
      });
    });
  });
  for (const l of frame.loads) {
    const so = held.get(l.node) ?? { x: 0, y: 0, momentNMm: 0 };
    const value = l.value * (l.constant ? 1 : factor);
    held.set(l.node, {
      x: so.x - (l.dof === 0 ? value : 0),
      y: so.y - (l.dof === 1 ? value : 0),
      momentNMm: so.momentNMm - (l.dof === 2 ? value : 0),
    });
  }
  return {
    factor,
    nodes: Object.fromEntries(
      [...read.nodes].map(([key, i]) => [
        key,
        { x: state[3 * i] ?? 0, y: state[3 * i + 1] ?? 0, turnDeg: ((state[3 * i + 2] ?? 0) * 180) / Math.PI },
      ]),
    ),
    members: Object.fromEntries(
      [...read.members].map(([key, { first, count }]) => {
        const all = Array.from({ length: count }, (_, i) => ends(first + i));
        const [from] = all[0] ?? ends(first);
        const [, to] = all[count - 1] ?? ends(first);
        const greatest = all.flatMap(([a, b]) => [-a.momentNMm, b.momentNMm]);
        return [
          key,
          { from, to, greatestMomentNMm: greatest.reduce((m, x) => (Math.abs(x) > Math.abs(m) ? x : m), 0) },
        ];
      }),
    ),
    reactions: Object.fromEntries(
      Object.keys(read.job.supports).map((key) => [
        key,
        held.get(read.nodes.get(key) ?? -1) ?? { x: 0, y: 0, momentNMm: 0 },
      ]),
    ),
  };
}

/** What holds one way only: ties, then springs that push back on one side. */
type Holding = readonly boolean[];
const oneWay = ({ elements, springs }: ReadFrame['frame']) => ({
  ties: elements.flatMap((e, k) => (e.kind === 'tie' ? [k] : [])),
  sided: springs.flatMap((s, i) => (s.acts === 'both' ? [] : [i])),
});

/** The frame in which what holds holds both ways, and the rest of what holds one way hardly at all. */
function framed(frame: ReadFrame['frame'], holding: Holding): ReadFrame['frame'] {
  const { ties, sided } = oneWay(frame);
  const stiff = (i: number): number => (holding[i] ? 1 : SLACK);
  return {
    ...frame,
    elements: frame.elements.map((e, k) => {
      const i = ties.indexOf(k);
      return i < 0 || e.kind === 'beam' ? e : { ...e, kind: 'bar', eaN: e.eaN * stiff(i) };
    }),
    springs: frame.springs.map((s, k) => {
      const i = sided.indexOf(k);
      return i < 0 ? s : { ...s, acts: 'both', stiffness: s.stiffness * stiff(ties.length + i) };
    }),
  };
}

/**
 * What small displacements bring: the state of rest without load, and what changes from it in proportion to the load. What holds one way
 * only is found by trying: what would have to push lets go, what would be drawn out holds, until neither is left.
 * @returns nothing where no such set of what holds is found
 */
function linearAnswer(read: ReadFrame, start: Equilibrium, factor: number): FactorAnswer | undefined {
  const { ties, sided } = oneWay(read.frame);
  const of = (node: number, dof: number, change: Float64Array): number =>
    (start.state[3 * node + dof] ?? 0) + (change[3 * node + dof] ?? 0);
  /** Which hold in a state: by how far a tie is drawn out along its chord, and to which side a spring is moved. */
  const holdingAt = (model: Model, change: Float64Array): Holding => [
    ...ties.map((k) => {
      const e = read.frame.elements[k] as FrameBar;
      const { l, chord } = endForces(model, start.state, k);
      const [dx, dy] = [0, 1].map((dof) => (change[3 * e.to + dof] ?? 0) - (change[3 * e.from + dof] ?? 0));
      return l + (dx ?? 0) * Math.cos(chord) + (dy ?? 0) * Math.sin(chord) > e.naturalMm * (1 + 1e-12);
    }),
    ...sided.map((i) => {
      const spring = read.frame.springs[i];
      const way = spring ? of(spring.node, spring.dof, change) : 0;
      return spring?.acts === 'below' ? way < 0 : way > 0;
    }),
  ];
  const tried = new Set<string>();
  // All that may hold does at first: what is then pushed lets go.
  for (let holding: Holding = [...ties, ...sided].map(() => true); ;) {
    const model = frameModel(framed(read.frame, holding));
    const change = linearChange(model, start, factor);
    const now = holdingAt(model, change);
    if (now.every((x, i) => x === holding[i])) return linearAt(read, model, start, change, factor);
    tried.add(holding.join());
    if (tried.has(now.join())) {
      // It goes round: one at a time, the first that differs.
      const i = now.findIndex((x, k) => x !== holding[k]);
      holding = holding.map((x, k) => (k === i ? !x : x));
      if (tried.has(holding.join())) return undefined;
    } else holding = now;
  }
}

/** How everything moves from a state of rest under a load factor, in proportion. */
function linearChange(model: Model, start: Equilibrium, factor: number): Float64Array {
  assemble(model, start.state, 0);
  factorize(model.matrix);
  const way = model.slope.map((x, i) => factor * x + (model.residual[i] ?? 0));
  solveInPlace(model.matrix, way);
  const change = new Float64Array(model.count);
  for (let dof = 0; dof < model.count; dof++) {
    const u = model.unknown[dof] ?? -1;
    change[dof] = u >= 0 ? (way[u] ?? 0) : factor * (model.moves[dof] ?? 0);
  }
  return change;
}

/** Forces that go with small moves from a state of rest. */
function linearAt(
  read: ReadFrame,
  model: Model,
  start: Equilibrium,
  change: Float64Array,
  factor: number,
): FactorAnswer {
  const { frame, dofs } = model;
  const work = elementWork();
  const forcesOf = (k: number): ElementForces => {
    const none = endForces(model, start.state, k);
    const e = frame.elements[k];
    if (!e) return none;
    const at = (i: number): number => start.state[dofs[6 * k + i] ?? 0] ?? 0;
    const [dx, dy] = [none.l * Math.cos(none.chord), none.l * Math.sin(none.chord)];
    if (e.kind === 'beam') beamWork(e, dx, dy, at(2), at(5), work);
    else barWork(e, dx, dy, work);
    const grown = (i: number): number =>
      Array.from(
        { length: 6 },
        (_, j) => (work.stiffness[6 * i + j] ?? 0) * (change[dofs[6 * k + j] ?? 0] ?? 0),
      ).reduce((sum, x) => sum + x, 0);
    return {
      ...none,
      pull: none.pull + (grown(3) * dx + grown(4) * dy) / none.l,
      m1: none.m1 + grown(2),
      m2: none.m2 + grown(5),
    };
  };
  return answerAt(read, { factor, state: start.state.map((x, i) => x + (change[i] ?? 0)), negatives: 0 }, forcesOf);
}

/** The state at a load factor, walked to from one below; steps are halved where one is too long. */
function walkTo(model: Model, factor: number, from: Equilibrium): Equilibrium | undefined {
  let at = from;
  let step = factor - from.factor;
  for (let i = 0; i < 400 && at.factor < factor; i++) {
    const next = solveEquilibrium(model, Math.min(factor, at.factor + step), at);
    if (next && next.negatives === 0) at = next;
    else step /= 2;
    if (Math.abs(step) < 1e-6 * Math.abs(factor)) return undefined;
  }
  return at.factor >= factor ? at : undefined;
}

/** Nudge with which a frame that turns aside is let do so, as a part of the greatest force in any of its members. */
const NUDGE = 1e-3;

/** Loads a frame that has been found to turn aside once more, nudged into the shape that it turns to. */
function nudgedPath(
  read: ReadFrame,
  model: Model,
  { shape, rest }: Limit,
  most: number,
): { model: Model; path: LoadPath } {
  const { frame } = read;
  const force = frame.elements.reduce((most, _, k) => {
    const { pull, m1, m2, l } = endForces(model, rest.state, k);
    return Math.max(most, Math.hypot(pull, (m1 + m2) / l));
  }, 0);
  const moves = shape.subarray(0, 3 * frame.nodes.length);
  const largest = moves.reduce((m, x, dof) => (dof % 3 === 2 ? m : Math.max(m, Math.abs(x))), 0);
  const loads = [...moves].flatMap((x, dof) =>
    x !== 0 && dof % 3 !== 2
      ? [{ node: Math.floor(dof / 3), dof: (dof % 3) as 0 | 1, value: (NUDGE * force * x) / largest, constant: true }]
      : [],
  );
  const nudged = frameModel({ ...frame, loads: [...frame.loads, ...loads] });
  const used = usedOf(read, nudged);
  return { model: nudged, path: loadPath(nudged, { most, ...(used && { used }) }) };
}

/**
 * Solves a frame: by small displacements, or by large ones with the load at which it gives way.
 * @returns a fault where the frame can move freely, or cannot come to rest without load
 */
export function solveFrame(read: ReadFrame): Result<FrameAnswer> {
  const model = frameModel(read.frame);
  const { large, factors, most = 10 * Math.max(1, ...factors) } = read.job;
  const drawn = asDrawn(model);
  assemble(model, drawn.state, 0);
  const freely = model.unknowns === 0 ? 0 : factorize(model.matrix);
  const loose = [...model.matrix.diagonal].some((d) => Math.abs(model.matrix.values[d] ?? 0) < 1e-200);
  if (loose) return fail('supports', 'the frame can move freely: hold it, or join it, in one more way');
  const start = freely === 0 || large ? solveEquilibrium(model, 0, drawn) : undefined;
  if (!start) return fail('members', 'the frame does not come to rest by itself, without any load');
  if (!large) {
    const at = factors.map((f) => linearAnswer(read, start, f));
    if (at.some((a) => a === undefined))
      return fail('members', 'no set of ties and one-way supports holds this load by small displacements');
    return ok({ large, at: at.flatMap((a) => a ?? []), beyond: [], first: null, limit: null, searchedTo: 0 });
  }
  const used = usedOf(read, model);
  const path = loadPath(model, { most, ...(used && { used }) });
  const first = path.limit && { factor: path.limit.rest.factor, mode: path.limit.mode };
  const on = path.limit?.mode === 'sway' ? nudgedPath(read, model, path.limit, most) : { model, path };
  const last = on.path.limit;
  const limit = last && {
    factor: last.rest.factor,
    mode: first?.mode === 'sway' && last.mode === 'snap' ? 'sway' : last.mode,
  };
  const end = limit?.factor ?? on.path.rests.reduce((f, r) => Math.max(f, r.factor), 0);
  const at: FactorAnswer[] = [];
  const beyond: number[] = [];
  for (const factor of factors) {
    // Past a first sway it stands as it does when it has swayed.
    const where = first && first.mode === 'sway' && factor > first.factor ? on : { model, path };
    const from = [...where.path.rests].filter((r) => r.factor <= factor && r.negatives === 0).at(-1);
    const near = limit && factor > limit.factor ? undefined : from && walkTo(where.model, factor, from);
    // There the nudge is taken away again.
    const rest = where === on && near ? solveEquilibrium(model, factor, near) : near;
    if (rest?.negatives === 0) at.push(answerAt(read, rest, (k) => endForces(model, rest.state, k)));
    else beyond.push(factor);
  }
  return ok({ large, at, beyond, first: first ?? null, limit: limit ?? null, searchedTo: end });
}
