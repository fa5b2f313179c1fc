/** A plane frame as anyone writes it down: named nodes and members, from a file. */
import * as z from 'zod/mini';
import { between, upTo, whole, word } from '../../base/schema';
import { type Result, fail, failAll, ok } from '../../base/result';
import { issueFaults } from '../../base/issues';
import { MEASURED_AT_C, stiffAt } from '../../catalog/sections';
import { hoopCurve } from '../../cover/hoop/curve';
import { solveHoop } from '../../cover/hoop/elastica';
import { type AxisPoint, arcPoints, beamsAlong } from './chain';
import {
  DOFS,
  type Dof,
  type Element,
  type Frame,
  type FrameNode,
  type Support,
  type LineLoad,
  type Load,
  type Pressure,
  type Spring,
} from './types';

/** Most elements of a frame that is solved. */
const MOST_ELEMENTS = 1000;
const MOST = 200;

const number = between(-1e12, 1e12);
const positive = upTo(1e15);
const name = word(40);
const point = z.tuple([number, number]);

const shape = z.union([
  z.literal('straight'),
  z.strictObject({ arcDeg: between(1, 350) }),
  z.strictObject({ points: z.array(point).check(z.minLength(1), z.maxLength(MOST_ELEMENTS)) }),
  z.strictObject({ sprungMm: positive, footAngleDeg: z.optional(between(15, 165)) }),
]);

const member = z.strictObject({
  from: name,
  to: name,
  kind: z._default(z.enum(['beam', 'bar', 'tie']), 'beam'),
  E: positive,
  A: positive,
  I: z.optional(positive),
  shape: z._default(shape, 'straight'),
  natural: z._default(z.enum(['as drawn', 'straight']), 'as drawn'),
  elements: z.optional(whole(1, 400)),
  hinged: z._default(z.array(z.enum(['from', 'to'])).check(z.maxLength(2)), []),
  depth: z.optional(positive),
  limitStrain: z.optional(positive.check(z.lte(1))),
  limitMPa: z.optional(positive),
  softensPerC: z._default(between(0, 0.1), 0),
  longTermFactor: z._default(between(0.01, 1), 1),
});

const way = z.union([
  z.literal(true),
  z.strictObject({ move: number }),
  z.strictObject({ spring: positive, acts: z._default(z.enum(['both', 'below', 'above']), 'both') }),
]);

const load = z.union([
  z.strictObject({
    node: name,
    x: z._default(number, 0),
    y: z._default(number, 0),
    moment: z._default(number, 0),
    constant: z._default(z.boolean(), false),
  }),
  z.strictObject({
    member: name,
    x: z._default(number, 0),
    y: z._default(number, 0),
    per: z._default(z.enum(['length', 'level']), 'length'),
    constant: z._default(z.boolean(), false),
  }),
  z.strictObject({ member: name, pressure: number, constant: z._default(z.boolean(), false) }),
]);

const frameJobSchema = z.strictObject({
  large: z._default(z.boolean(), false),
  nodes: z.record(name, point),
  members: z.record(name, member),
  supports: z.record(name, z.strictObject({ x: z.optional(way), y: z.optional(way), turn: z.optional(way) })),
  loads: z.array(load).check(z.maxLength(MOST_ELEMENTS)),
  factors: z._default(z.array(between(0, 1e9)).check(z.minLength(1), z.maxLength(50)), [1]),
  most: z.optional(positive),
  atC: z._default(between(-60, 100), MEASURED_AT_C),
  duration: z._default(z.enum(['fresh', 'weeks']), 'fresh'),
});
type FrameJob = z.infer<typeof frameJobSchema>;
type MemberJob = FrameJob['members'][string];

/** Stiffness E of a member as warm as it is, and as long as it is loaded. */
export const stiffnessMPa = ({ atC, duration }: FrameJob, m: MemberJob): number =>
  m.E * (duration === 'weeks' ? m.longTermFactor : 1) * stiffAt(m.softensPerC, atC);

/** Which nodes and elements of the solved frame a named thing became. */
export interface ReadFrame {
  readonly job: FrameJob;
  readonly frame: Frame;
  readonly nodes: ReadonlyMap<string, number>;
  readonly members: ReadonlyMap<string, { readonly first: number; readonly count: number }>;
}

/** The axis of a member from its first node to its last, with the length that it has by nature. */
function axis(
  m: MemberJob,
  a: FrameNode,
  b: FrameNode,
): Result<{ readonly points: readonly AxisPoint[]; readonly sprungMm?: number }> {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const chordMm = Math.hypot(dx, dy);
  if (!(chordMm > 0)) return fail('to', 'must lie elsewhere than from');
  const chord = Math.atan2(dy, dx);
  /** Points over a level chord that starts at (0, 0), laid on the true one. */
  const laid = (points: readonly AxisPoint[]): readonly AxisPoint[] =>
    points.map((p) => ({
      x: a.x + p.x * Math.cos(chord) - p.y * Math.sin(chord),
      y: a.y + p.x * Math.sin(chord) + p.y * Math.cos(chord),
      angle: p.angle + chord,
    }));
  if (m.shape === 'straight') {
    const n = m.kind === 'beam' ? (m.elements ?? 8) : 1;
    return ok({ points: laid(Array.from({ length: n + 1 }, (_, i) => ({ x: (chordMm * i) / n, y: 0, angle: 0 }))) });
  }
  if (m.kind !== 'beam') return fail('shape', 'must be straight for a bar or a tie');
  if ('arcDeg' in m.shape) {
    const half = (m.shape.arcDeg * Math.PI) / 360;
    const r = chordMm / 2 / Math.sin(half);
    const points = arcPoints(r, m.shape.arcDeg, m.elements ?? 40);
    return ok({ points: laid(points.map((p) => ({ ...p, x: p.x + chordMm / 2, y: p.y - r * Math.cos(half) }))) });
  }
  if ('points' in m.shape) {
    const xy = [a, ...m.shape.points.map(([x, y]) => ({ x, y })), b];
    const turns = xy.slice(1).map((q, i) => Math.atan2(q.y - (xy[i]?.y ?? 0), q.x - (xy[i]?.x ?? 0)));
    if (xy.slice(1).some((q, i) => q.x === xy[i]?.x && q.y === xy[i].y))
      return fail('shape', 'has two points in one place');
    // Between two stretches the axis runs along the middle of their directions.
    return ok({
      points: xy.map((p, i) => {
        const [before, after] = [turns[i - 1] ?? turns[i] ?? 0, turns[i] ?? turns[i - 1] ?? 0];
        return { ...p, angle: before + Math.atan2(Math.sin(after - before), Math.cos(after - before)) / 2 };
      }),
    });
  }
  const { sprungMm, footAngleDeg } = m.shape;
  const hoop = solveHoop(footAngleDeg === undefined ? { kind: 'pinned' } : { kind: 'fixed', angleDeg: footAngleDeg }, {
    spanMm: chordMm,
    lengthMm: sprungMm,
  });
  if (!hoop.ok) return fail('shape.sprungMm', hoop.faults.map((f) => f.message).join(' '));
  const n = 2 * Math.ceil((m.elements ?? 40) / 2);
  return ok({ points: laid(hoopCurve(hoop.value, n).map((p) => ({ x: p.y, y: p.z, angle: p.angle }))), sprungMm });
}

/**
 * Reads a frame job. mm, N, MPa, degrees; y is up.
 * @returns the frame to solve, or a fault for each field that is wrong
 */
export function readFrameJob(document: unknown): Result<ReadFrame> {
  const read = frameJobSchema.safeParse(document);
  if (!read.success) return failAll(issueFaults(read.error.issues));
  const job = read.data;
  if (Object.keys(job.nodes).length > MOST || Object.keys(job.members).length > MOST)
    return fail('nodes', `must be at most ${MOST}, and so must the members`);
  const nodes = new Map(Object.keys(job.nodes).map((key, i) => [key, i]));
  const all: FrameNode[] = Object.values(job.nodes).map(([x, y]) => ({ x, y }));
  const elements: Element[] = [];
  const members = new Map<string, { first: number; count: number }>();
  for (const [key, m] of Object.entries(job.members)) {
    const field = (f: string): string => `members.${key}.${f}`;
    const [from, to] = [nodes.get(m.from), nodes.get(m.to)];
    if (from === undefined || to === undefined)
      return fail(
        field(from === undefined ? 'from' : 'to'),
        `there is no node "${from === undefined ? m.from : m.to}"`,
      );
    if (m.kind === 'beam' && m.I === undefined) return fail(field('I'), 'a beam needs its second moment of area, mm4');
    if ((m.limitStrain !== undefined || m.limitMPa !== undefined) && m.depth === undefined)
      return fail(field('depth'), 'a limit needs the depth of the section, mm');
    const line = axis(m, all[from] ?? { x: 0, y: 0 }, all[to] ?? { x: 0, y: 0 });
    if (!line.ok) return fail(field(line.faults[0]?.field ?? 'shape'), line.faults[0]?.message ?? '');
    const { points, sprungMm } = line.value;
    const n = points.length - 1;
    if (elements.length + n > MOST_ELEMENTS)
      return fail(field('elements'), `all members together have at most ${MOST_ELEMENTS}`);
    // Inner points become nodes of their own.
    const index = points.map((p, i) => (i === 0 ? from : i === n ? to : all.push({ x: p.x, y: p.y }) - 1));
    members.set(key, { first: elements.length, count: n });
    const e = stiffnessMPa(job, m);
    const eaN = e * m.A;
    if (m.kind !== 'beam') {
      const [a, b] = [points[0], points[n]];
      if (a && b) elements.push({ kind: m.kind, from, to, eaN, naturalMm: Math.hypot(b.x - a.x, b.y - a.y) });
      continue;
    }
    const sprung = sprungMm !== undefined ? { stretchMm: sprungMm / n } : m.natural === 'straight' ? {} : undefined;
    const beams = beamsAlong(points, { eaN, eiNMm2: e * (m.I ?? 0) }, sprung);
    beams.forEach((b, i) =>
      elements.push({
        ...b,
        from: index[i] ?? 0,
        to: index[i + 1] ?? 0,
        hinged: [i === 0 && m.hinged.includes('from'), i === n - 1 && m.hinged.includes('to')],
      }),
    );
  }
  const holds: Support[] = [];
  const springs: Spring[] = [];
  for (const [key, support] of Object.entries(job.supports)) {
    const node = nodes.get(key);
    if (node === undefined) return fail(`supports.${key}`, 'there is no such node');
    DOFS.forEach((d, i) => {
      const how = support[d];
      const dof = i as Dof;
      if (how === undefined) return;
      if (how === true) holds.push({ node, dof, move: 0 });
      else if ('move' in how) holds.push({ node, dof, move: how.move });
      else springs.push({ node, dof, stiffness: how.spring, acts: how.acts });
    });
  }
  const loads: Load[] = [];
  const lines: LineLoad[] = [];
  const pressures: Pressure[] = [];
  for (const [i, l] of job.loads.entries()) {
    if ('node' in l) {
      const node = nodes.get(l.node);
      if (node === undefined) return fail(`loads[${i}].node`, `there is no node "${l.node}"`);
      [l.x, l.y, l.moment].forEach((value, dof) => {
        if (value !== 0) loads.push({ node, dof: dof as Dof, value, constant: l.constant });
      });
      continue;
    }
    const m = members.get(l.member);
    if (!m) return fail(`loads[${i}].member`, `there is no member "${l.member}"`);
    for (let element = m.first; element < m.first + m.count; element++) {
      if ('pressure' in l) {
        pressures.push({ element, perMm: l.pressure, constant: l.constant });
        continue;
      }
      const e = elements[element];
      const [a, b] = [all[e?.from ?? 0], all[e?.to ?? 0]];
      const level = a && b && l.per === 'level' ? Math.abs(b.x - a.x) / Math.hypot(b.x - a.x, b.y - a.y) : 1;
      lines.push({ element, x: l.x * level, y: l.y * level, constant: l.constant });
    }
  }
  return ok({ job, frame: { nodes: all, elements, holds, springs, loads, lines, pressures }, nodes, members });
}
