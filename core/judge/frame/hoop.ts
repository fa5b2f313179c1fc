/** One hoop loaded until it gives way, without units: the same answer for every pipe and size of that shape. */
import type { BentHoop, Elastica } from '../../cover/hoop/types';
import { hoopCurve } from '../../cover/hoop/curve';
import { beamsAlong } from './chain';
import { beamForces } from './element';
import { type Model, type State, lineShare, frameModel } from './model';
import type { Equilibrium } from './equilibrium';
import { type Limit, type Mode, loadPath } from './path';
import type { Frame, FrameNode, LineLoad, Pressure } from './types';

/** Part of the load on level ground that lies on a stretch: by its slope and how far across the span its middle is. */
export type LoadShape = (slopeDeg: number, across: number) => number;

export interface HoopLoad {
  readonly shape: LoadShape;
  /** w span³ / EI at load factor 1; 1 when not said. */
  readonly size?: number;
  /** Pressure square to the hoop, inward, by how far across the span: p span³ / EI at load factor 1. */
  readonly pressure?: (across: number) => number;
  /** What the hoop itself weighs whatever the load factor: on each unit of its length × span³ / EI. */
  readonly own?: number;
  /** What hangs at the crown at load factor 1: P span² / EI. */
  readonly crown?: number;
  /** Upward push for each mm that the crown goes down, times span³ / EI; 0: nothing stands under it. */
  readonly ridge?: number;
  /** How much of its limit the pipe has reached when its curvature times the span is this much; 1: it kinks. */
  readonly used?: (curvatureTimesSpan: number) => number;
}

interface HoopCollapse {
  /** w span³ / EI: load for each mm of level width at which it gives way. */
  readonly load: number;
  readonly mode: Mode;
  /** Its highest point above the feet before the load and as it gives way, as parts of the span. */
  readonly crownBefore: number;
  readonly crownAtCollapse: number;
  /** From no load on. */
  readonly path: readonly Equilibrium[];
  readonly model: Model;
}

const ELEMENTS = 40;
/**
 * Slender: an axial stiffness this many times EI / span² leaves the length as it is; more where the pipe is hardly longer than its span,
 * so that its own thrust (pi² EI / span²) takes no more than a thousandth of what it is longer.
 */
const SLENDER = 1e6;
const slenderFor = ({ lengthMm, spanMm }: Elastica | BentHoop): number =>
  Math.max(SLENDER, (1e3 * Math.PI ** 2 * spanMm) / Math.max(lengthMm - spanMm, 1e-9 * spanMm));
/** Sideways push on the crown, as a part of the load: no hoop is built quite even, and one that sways must be let. */
const NUDGE = 0.001;

const GAUSS = [0.5 - Math.sqrt(3) / 6, 0.5 + Math.sqrt(3) / 6];

/** A hoop of span 1 and stiffness 1 as a frame, with the load that it bears at factor 1. */
export function hoopFrame(hoop: Elastica | BentHoop, sprung: boolean, load: HoopLoad, elements = ELEMENTS): Frame {
  const span = hoop.spanMm;
  const points = hoopCurve(hoop, elements).map((p) => ({ x: p.y / span, y: p.z / span, angle: p.angle }));
  const last = points.length - 1;
  const held = hoop.feet.kind === 'fixed' ? ([0, 1, 2] as const) : ([0, 1] as const);
  const crown = crownOf(points);
  const lines = points.slice(1).flatMap((b, i): readonly LineLoad[] => {
    const a = points[i] ?? b;
    // What overhangs bears nothing. On a curve two points of the stretch speak for it (Gauss).
    const chord = Math.atan2(b.y - a.y, b.x - a.x);
    const places = sprung
      ? GAUSS.map((part) => [part, a.angle + part * (b.angle - a.angle)] as const)
      : [[0.5, chord] as const];
    const y =
      -places.reduce((sum, [part, angle]) => {
        const level = Math.max(0, Math.cos(angle));
        return sum + (level * load.shape((angle * 180) / Math.PI, a.x + part * (b.x - a.x))) / places.length;
      }, 0) * (load.size ?? 1);
    return y === 0 ? [] : [{ element: i, x: 0, y }];
  });
  const pressures = points.slice(1).flatMap((b, i): readonly Pressure[] => {
    const inward = load.pressure?.(((points[i] ?? b).x + b.x) / 2) ?? 0;
    return inward === 0 ? [] : [{ element: i, perMm: -inward }];
  });
  const pressed = pressures.reduce((sum, p) => sum + Math.abs(p.perMm) * stretch(points, p.element), 0);
  const bears = lines.map((l) => -l.y * stretch(points, l.element));
  const whole = bears.reduce((sum, w) => sum + w, 0);
  // A hoop leans away from the side that bears more.
  const right = lines.reduce((sum, l, i) => sum + (2 * l.element + 1 > last ? 1 : -1) * (bears[i] ?? 0), 0);
  const lean = right > -1e-9 * whole ? -1 : 1;
  return {
    nodes: points,
    elements: beamsAlong(
      points,
      { eaN: slenderFor(hoop), eiNMm2: 1 },
      sprung ? { stretchMm: hoop.lengthMm / span / last } : undefined,
    ),
    holds: [0, last].flatMap((node) => held.map((dof) => ({ node, dof, move: 0 }))),
    springs: load.ridge ? [{ node: crown, dof: 1, stiffness: load.ridge, acts: 'below' }] : [],
    loads: [
      { node: crown, dof: 0, value: lean * NUDGE * (whole + pressed + (load.crown ?? 0)) },
      ...(load.crown ? [{ node: crown, dof: 1 as const, value: -load.crown }] : []),
    ],
    lines: load.own ? [...lines, ...points.slice(1).map((_, element) => ownLine(element, load.own ?? 0))] : lines,
    pressures,
  };
}

const ownLine = (element: number, own: number): LineLoad => ({ element, x: 0, y: -own, constant: true });

const stretch = (points: readonly FrameNode[], i: number): number =>
  Math.hypot((points[i + 1]?.x ?? 0) - (points[i]?.x ?? 0), (points[i + 1]?.y ?? 0) - (points[i]?.y ?? 0));

/** The highest of some points: the first of the highest. */
export const crownOf = (points: readonly { readonly y: number }[]): number =>
  points.reduce((best, p, i) => (p.y > (points[best]?.y ?? -Infinity) + 1e-12 ? i : best), 0);

/** Curvature that bends a hoop's stuff at each of its nodes, per unit of length: over what it has by nature, bulging upward positive. */
export function nodeCurvatures(frame: Frame, { state: u, factor }: Equilibrium): Float64Array {
  const borne = new Float64Array(frame.elements.length);
  for (const l of frame.lines)
    borne[l.element] = (borne[l.element] ?? 0) + (l.constant ? 1 : factor) * lineShare(frame, l)[1];
  const at = new Float64Array(frame.nodes.length);
  const take = (node: number, curvature: number): void => {
    if (Math.abs(curvature) > Math.abs(at[node] ?? 0)) at[node] = curvature;
  };
  frame.elements.forEach((e, k) => {
    const a = frame.nodes[e.from];
    const b = frame.nodes[e.to];
    if (e.kind !== 'beam' || !a || !b) return;
    const [i, j] = [3 * e.from, 3 * e.to];
    const dx = b.x - a.x + (u[j] ?? 0) - (u[i] ?? 0);
    const dy = b.y - a.y + (u[j + 1] ?? 0) - (u[i + 1] ?? 0);
    const { m1NMm, m2NMm } = beamForces(e, dx, dy, u[i + 2] ?? 0, u[j + 2] ?? 0);
    const share = borne[k] ?? 0;
    take(e.from, (m1NMm - share) / e.eiNMm2);
    take(e.to, -(m2NMm + share) / e.eiNMm2);
  });
  return at;
}

/** The greatest of them, whichever way. */
export const greatestCurvature = (frame: Frame, rest: Equilibrium): number =>
  nodeCurvatures(frame, rest).reduce((most, k) => Math.max(most, Math.abs(k)), 0);

/** A movement this much of which is uneven, under an even load, is one that the hoop turned aside to. */
const UNEVEN = 0.2;

/** Whether a hoop whose load is the same on both sides has gone, or gives way, to one of them. */
function swaying(frame: Frame, { shape, rest }: Limit): boolean {
  const last = frame.nodes.length - 1;
  const down = new Float64Array(last);
  for (const l of frame.lines) down[l.element] = l.y;
  const oneSided = down.reduce((sum, w, i) => sum + Math.abs(w - (down[last - 1 - i] ?? 0)), 0);
  if (oneSided > 1e-6 * Math.abs(down.reduce((sum, w) => sum + w, 0))) return false;
  return [shape, rest.state].some((u) => {
    let [uneven, all] = [0, 0];
    for (let i = 0; i <= last; i++) {
      const [x, y] = [u[3 * i] ?? 0, u[3 * i + 1] ?? 0];
      const [mx, my] = [u[3 * (last - i)] ?? 0, u[3 * (last - i) + 1] ?? 0];
      uneven += ((x + mx) ** 2 + (y - my) ** 2) / 4;
      all += x * x + y * y;
    }
    return uneven > UNEVEN * all;
  });
}

/** How far the crown has come down, as a part of its height; at this much the hoop lies on the crop. */
const LOST = 0.75;

/** How much of that a hoop has lost; 1: it lies there. */
export function crownLost(frame: Frame): (rest: Equilibrium) => number {
  const crown = crownOf(frame.nodes);
  const before = frame.nodes[crown]?.y ?? 1;
  return (r) => (before - crownHeight(frame, crown, r.state)) / before / LOST;
}

/** Height of the crown above the feet. */
const crownHeight = (frame: Frame, crown: number, u: State): number =>
  (frame.nodes[crown]?.y ?? 0) + (u[3 * crown + 1] ?? 0);

/** Height of the highest point above the feet: of a hoop that leans not its middle. */
const highest = (frame: Frame, u: State): number =>
  frame.nodes.reduce((most, node, i) => Math.max(most, node.y + (u[3 * i + 1] ?? 0)), 0);

/** Loads one hoop until it gives way. @returns nothing where the hoop does not come to rest by itself, or nothing loads it */
export function hoopCollapse(hoop: Elastica | BentHoop, sprung: boolean, load: HoopLoad): HoopCollapse | undefined {
  const frame = hoopFrame(hoop, sprung, load);
  if (frame.lines.length === 0) return undefined;
  const model = frameModel(frame);
  const lost = crownLost(frame);
  const bent = (r: Equilibrium): number => load.used?.(greatestCurvature(frame, r)) ?? 0;
  const { rests, limit } = loadPath(model, {
    used: (r) => Math.max(bent(r), lost(r)),
  });
  if (!limit) return undefined;
  const kinked = limit.mode === 'kink' && bent(limit.rest) > 1 - 1e-3;
  return {
    load: limit.rest.factor,
    mode: kinked ? 'kink' : swaying(frame, limit) ? 'sway' : 'snap',
    crownBefore: highest(frame, rests[0]?.state ?? limit.rest.state),
    crownAtCollapse: highest(frame, limit.rest.state),
    model,
    path: rests,
  };
}

/** A load shape with a name: equal names are equal shapes. */
export interface NamedLoad extends Pick<HoopLoad, 'shape' | 'pressure'> {
  readonly name: string;
}

/** What a hoop bears, all the way until it gives way by its shape alone: for any pipe of that shape. */
export interface LoadCurve {
  /** w span³ / EI, growing; the greatest curvature times span and the crown's way down over span that belong to each. */
  readonly loads: readonly number[];
  readonly curvatures: readonly number[];
  readonly drops: readonly number[];
  /** How it gives way at the last of them; nothing where it was followed no further than it was asked for. */
  readonly mode: 'sway' | 'snap' | undefined;
}

const COARSE = 24;

/**
 * As `hoopCollapse` with fewer, longer steps: within 2 % of it (1 under snow), and as quick as an edit needs.
 * @param upTo curvature times span beyond which nothing is asked
 * @param most load beyond which nothing is asked
 */
export function loadCurve(
  hoop: Elastica | BentHoop,
  sprung: boolean,
  load: HoopLoad,
  upTo = Infinity,
  most = Infinity,
): LoadCurve | undefined {
  const frame = hoopFrame(hoop, sprung, load, COARSE);
  if (frame.lines.length + frame.pressures.length === 0) return undefined;
  const crown = crownOf(frame.nodes);
  const before = frame.nodes[crown]?.y ?? 0;
  const lost = crownLost(frame);
  const { rests, limit, ended } = loadPath(frameModel(frame), {
    coarse: true,
    most,
    used: (r) => Math.max(lost(r), greatestCurvature(frame, r) / upTo),
  });
  if (rests.length === 0) return undefined;
  const curvatures = rests.map((r) => greatestCurvature(frame, r));
  const bentTo = (curvatures.at(-1) ?? 0) / upTo;
  // Read off between two states it is bent a little less than to the end: what tells is that it still stood there, its crown too.
  const endedByBend = ended === 'most' || bentTo >= 0.999 || (limit?.rest.negatives === 0 && bentTo > lost(limit.rest));
  return {
    loads: rests.map((r) => r.factor),
    curvatures,
    drops: rests.map((r) => before - crownHeight(frame, crown, r.state)),
    mode: endedByBend ? undefined : limit && !swaying(frame, limit) ? 'snap' : 'sway',
  };
}

/** Most curves that are kept; the oldest goes first. */
const KEPT = 2000;
/** Ridges are told apart by 2.5 % of their stiffness: half a percent of the load. */
const RIDGE_STEPS = 40;
const kept = new Map<string, { readonly curve: LoadCurve | undefined; readonly upTo: number; readonly most: number }>();

/** What tells hoops of different form apart: their shape without its size, to a few parts in ten thousand. */
function formOf(hoop: Elastica | BentHoop, sprung: boolean): string {
  const feet = hoop.feet.kind === 'fixed' ? hoop.feet.angleDeg.toFixed(2) : 'loose';
  const span = hoop.spanMm;
  const form =
    'points' in hoop
      ? hoop.points.map((p) => `${(p.y / span).toFixed(4)},${(p.z / span).toFixed(4)}`).join(' ')
      : (hoop.lengthMm / span).toFixed(4);
  return `${sprung ? 'sprung' : 'made'} ${feet} ${form}`;
}

/** As far beyond what is asked a curve is followed, so that a little more is answered too. */
const BEYOND = 1.1;

/**
 * `loadCurve`, worked out once for each form of hoop, load and ridge; as near as that.
 * @param upTo curvature times span that the pipe bears: no more than a little beyond it is followed
 * @param most load that is asked about: no more than half as much again beyond it is followed
 */
export function keptLoadCurve(
  hoop: Elastica | BentHoop,
  sprung: boolean,
  load: NamedLoad,
  ridge: number,
  upTo: number,
  most = Infinity,
): LoadCurve | undefined {
  const step = ridge > 0 ? Math.round(RIDGE_STEPS * Math.log(ridge)) : undefined;
  const key = `${formOf(hoop, sprung)} ${load.name} ${step ?? ''}`;
  const known = kept.get(key);
  if (known && (known.curve?.mode !== undefined || (known.upTo >= upTo && known.most >= most))) return known.curve;
  const wanted = BEYOND * upTo;
  const stiff = step === undefined ? 0 : Math.exp(step / RIDGE_STEPS);
  const followed = 1.5 * most;
  const curve = loadCurve(hoop, sprung, { ...load, ridge: stiff }, wanted, followed);
  const [oldest] = kept.keys();
  if (kept.size >= KEPT && oldest !== undefined) kept.delete(oldest);
  kept.set(key, curve ? { curve, upTo: wanted, most: followed } : { curve, upTo: Infinity, most: Infinity });
  return curve;
}

/** What stops a hoop, and the load at which it does. */
export interface Borne {
  /** w span³ / EI. */
  readonly load: number;
  readonly by: 'sway' | 'snap' | 'curvature' | 'drop';
}

/** The load at which a value is reached between two states, on the curve through these and the one before them where values grow. */
function loadAt(loads: readonly number[], values: readonly number[], i: number, most: number): number {
  const [w0, w1, w2] = [loads[i - 2], loads[i - 1] ?? 0, loads[i] ?? 0];
  const [v0, v1, v2] = [values[i - 2], values[i - 1] ?? 0, values[i] ?? 0];
  const slope = (w2 - w1) / (v2 - v1);
  const straight = w1 + slope * (most - v1);
  if (v0 === undefined || w0 === undefined || v0 >= v1) return straight;
  const bend = (slope - (w1 - w0) / (v1 - v0)) / (v2 - v0);
  // Never outside the two states.
  return Math.max(w1, Math.min(straight + bend * (most - v1) * (most - v2), w2));
}

/** Up to which load a hoop bears whose curvature times span, and whose crown's way down over span, may reach so much. */
export function borneOn(curve: LoadCurve, mostCurvature: number, mostDrop: number): Borne {
  const reached = (values: readonly number[], most: number): number => {
    const i = values.findIndex((v) => v >= most);
    return i < 0 ? Infinity : i === 0 ? 0 : loadAt(curve.loads, values, i, most);
  };
  const all: readonly Borne[] = [
    { load: reached(curve.curvatures, mostCurvature), by: 'curvature' },
    { load: reached(curve.drops, mostDrop), by: 'drop' },
    ...(curve.mode ? [{ load: curve.loads.at(-1) ?? 0, by: curve.mode }] : []),
  ];
  return all.reduce((least, b) => (b.load < least.load ? b : least));
}
