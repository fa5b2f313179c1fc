import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { type FrameAnswer, solveFrame } from './answer';
import { type Elastica } from '../../cover/hoop/types';
import { solveHoop } from '../../cover/hoop/elastica';
import { hoopCollapse } from './hoop';
import { type ReadFrame, readFrameJob } from './job';

interface Case {
  readonly name: string;
  readonly value: number;
  readonly tolerance: number;
}
const known = JSON.parse(readFileSync('core/judge/frame/frames.cases.json', 'utf8')) as {
  linear: [Case, Case];
  large_displacement: { name: string; deflection_over_L: number; shortening_over_L: number; tolerance: number }[];
  limit_load: [Case, Case];
};
const hoops = JSON.parse(readFileSync('core/cover/hoop/hoops.cases.json', 'utf8')) as {
  cases: {
    feet: string;
    span: number;
    length: number;
    height: number;
    thrustOverEI: number;
    maxCurvature: number;
    footAngleDeg: number;
  }[];
};

const read = (job: unknown): ReadFrame => {
  const r = readFrameJob(job);
  if (!r.ok) throw new Error(JSON.stringify(r.faults));
  return r.value;
};
const solved = (job: unknown): FrameAnswer => {
  const answer = solveFrame(read(job));
  if (!answer.ok) throw new Error(JSON.stringify(answer.faults));
  return answer.value;
};
/** Slender: EI 1e7, and so stiff along that no length changes. */
const STUFF = { E: 1000, A: 1e4, I: 1e4 };
const pinned = { x: true, y: true };
const clamped = { x: true, y: true, turn: true };

const semicircle = (loads: readonly unknown[]): FrameAnswer =>
  solved({
    nodes: { a: [-500, 0], crown: [0, 500], b: [500, 0] },
    members: {
      left: { from: 'a', to: 'crown', ...STUFF, shape: { arcDeg: 90 } },
      right: { from: 'crown', to: 'b', ...STUFF, shape: { arcDeg: 90 } },
    },
    supports: { a: pinned, b: pinned },
    loads,
  });

test('a two-hinged semicircle under a point load, and under a load by the level', () => {
  const [point, even] = known.linear;
  const one = semicircle([{ node: 'crown', y: -1 }]).at[0];
  expect(Math.abs((one?.reactions['a']?.x ?? NaN) - point.value)).toBeLessThan(point.tolerance);
  // Statics: moment at the crown = P R / 2 - H R.
  expect(one?.members['left']?.to.momentNMm).toBeCloseTo(250 - 500 * (one?.reactions['a']?.x ?? 0), 1);
  const level = semicircle(['left', 'right'].map((member) => ({ member, y: -1, per: 'level' }))).at[0];
  expect(Math.abs((level?.reactions['a']?.x ?? NaN) / 500 - even.value)).toBeLessThan(even.tolerance);
  expect(level?.reactions['a']?.y).toBeCloseTo(500, 3);
});

test('moment distribution by hand: a beam built in on the left, joined to a pinned post on the right', () => {
  // Stiffness at the joint 4 EI/1000 and 3 EI/500: 0.4 and 0.6 of w L²/12 = 41,667 given off; half of it carried over.
  const { at } = solved({
    nodes: { a: [0, 0], b: [1000, 0], c: [1000, 500] },
    members: { m: { from: 'a', to: 'b', ...STUFF, elements: 1 }, n: { from: 'b', to: 'c', ...STUFF, elements: 1 } },
    supports: { a: clamped, c: pinned },
    loads: [{ member: 'm', y: -0.5 }],
  });
  expect(at[0]?.members['m']?.from.momentNMm).toBeCloseTo(50_000, -1);
  expect(at[0]?.members['m']?.to.momentNMm).toBeCloseTo(-25_000, -1);
  expect(at[0]?.members['n']?.from.momentNMm).toBeCloseTo(25_000, -1);
  // 0.5 × 1000 in all; over the joint 250 - (50,000 - 25,000) / 1000.
  expect(at[0]?.reactions['c']?.y).toBeCloseTo(225, 1);
  expect(at[0]?.reactions['a']).toMatchObject({ y: expect.closeTo(275, 1) as number });
});

test('a beam with a hinged end, a spring, a bar and a tie', () => {
  // 3 EI / L³ of a cantilever beside a spring of 0.02 N/mm: 10 N goes 10 / (0.03 + 0.02) = 200 mm by small displacements.
  const spring = solved({
    nodes: { a: [0, 0], b: [1000, 0] },
    members: { m: { from: 'a', to: 'b', ...STUFF } },
    supports: { a: clamped, b: { y: { spring: 0.02 } } },
    loads: [{ node: 'b', y: -10 }],
  });
  expect(spring.at[0]?.nodes['b']?.y).toBeCloseTo(-200, 3);
  expect(spring.at[0]?.reactions['b']?.y).toBeCloseTo(4, 3);
  // A strut hinged at both ends carries along itself only: 3-4-5, 300 N down gives 500 in it.
  const job = (kind: string): unknown => ({
    nodes: { a: [0, 0], b: [400, 300], c: [0, 300] },
    members: {
      strut: { from: 'a', to: 'b', ...STUFF, hinged: ['from', 'to'], elements: 1 },
      tie: { from: 'c', to: 'b', E: 1000, A: 1e4, kind },
    },
    supports: { a: pinned, c: pinned },
    loads: [{ node: 'b', y: -300 }],
  });
  for (const kind of ['bar', 'tie']) {
    const { at } = solved(job(kind));
    expect(at[0]?.members['strut']?.from.axialN).toBeCloseTo(-500, 3);
    expect(at[0]?.members['tie']?.from.axialN).toBeCloseTo(400, 3);
  }
});

test('stuff is as stiff as its warmth and the time it is loaded leave it: a cantilever sinks so much more', () => {
  const tip = (more: object, member: object = {}): number => {
    const job = readFrameJob({
      nodes: { a: [0, 0], b: [1000, 0] },
      members: { m: { from: 'a', to: 'b', E: 2760, A: 100, I: 1e4, ...member } },
      supports: { a: { x: true, y: true, turn: true } },
      loads: [{ node: 'b', y: -1 }],
      ...more,
    });
    const solved = job.ok ? solveFrame(job.value) : job;
    return solved.ok ? (solved.value.at[0]?.nodes['b']?.y ?? NaN) : NaN;
  };
  const stuff = { softensPerC: 0.008, longTermFactor: 0.5 };
  // P L^3 / 3 EI = 1e9 / (3 x 2760 x 1e4) = 12.077 mm.
  expect(tip({}, stuff)).toBeCloseTo(-12.077, 3);
  expect(tip({ atC: 60 }, stuff)).toBeCloseTo(-12.077 / 0.992 ** 37, 2);
  expect(tip({ atC: -2, duration: 'weeks' }, stuff)).toBeCloseTo((-12.077 * 2) / 0.992 ** -25, 2);
  expect(tip({ atC: 60, duration: 'weeks' })).toBeCloseTo(-12.077, 3);
});

test('a tie pulls and does not push; a support of one way lets go', () => {
  const tied = (y: number): FrameAnswer =>
    solved({
      large: true,
      nodes: { a: [0, 0], b: [1000, 0], t: [1000, 400] },
      members: { m: { from: 'a', to: 'b', ...STUFF }, tie: { from: 't', to: 'b', E: 1000, A: 1, kind: 'tie' } },
      supports: { a: clamped, t: pinned },
      loads: [{ node: 'b', y }],
      factors: [1],
      most: 1,
    });
  const [down, up] = [tied(-1).at[0], tied(1).at[0]];
  // 1000 × 1 / 400 = 2.5 N/mm beside 0.03 of the beam.
  expect(down?.nodes['b']?.y).toBeCloseTo(-1 / 2.53, 3);
  expect(up?.nodes['b']?.y).toBeCloseTo(1 / 0.03, 0);
  expect(up?.members['tie']?.from.axialN).toBeCloseTo(0, 3);
});

test('by small displacements too a tie only pulls, and a support of one way lets go', () => {
  const tip = (y: number, holds: 'tie' | 'below' | 'above'): number =>
    solved({
      nodes: { a: [0, 0], b: [1000, 0], t: [1000, 400] },
      members: {
        m: { from: 'a', to: 'b', ...STUFF },
        ...(holds === 'tie' && { tie: { from: 't', to: 'b', E: 1000, A: 1, kind: 'tie' } }),
      },
      supports: { a: clamped, t: pinned, ...(holds !== 'tie' && { b: { y: { spring: 0.02, acts: holds } } }) },
      loads: [{ node: 'b', y }],
    }).at[0]?.nodes['b']?.y ?? NaN;
  // 3 EI / L³ = 0.03 N/mm by itself; the tie adds 1000 / 400 = 2.5, the spring 0.02.
  expect(tip(-1, 'tie')).toBeCloseTo(-1 / 2.53, 4);
  expect(tip(1, 'tie')).toBeCloseTo(1 / 0.03, 3);
  expect(tip(-1, 'below')).toBeCloseTo(-1 / 0.05, 3);
  expect(tip(1, 'below')).toBeCloseTo(1 / 0.03, 3);
  expect(tip(1, 'above')).toBeCloseTo(1 / 0.05, 3);
});

/** Steel of 1 cm⁴, E 210,000: EI 2.1e9 N mm². */
const stiff = (A: number): object => ({ E: 210_000, A, I: 10_000 });

test.each([100, 400, 10_000, 100_000])('a column of %d mm² sways at the load of Euler, a portal at its own', (A) => {
  const column = solved({
    large: true,
    nodes: { a: [0, 0], b: [0, 1000] },
    members: { m: { from: 'a', to: 'b', ...stiff(A) } },
    supports: { a: pinned, b: { x: true } },
    loads: [{ node: 'b', y: -1 }],
    most: 1e6,
  });
  // pi² EI / L² = 20,726 N.
  expect(column.first?.mode).toBe('sway');
  expect(Math.abs((column.first?.factor ?? 0) / 20_726 - 1)).toBeLessThan(0.002);
  const portal = solved({
    large: true,
    nodes: { a: [0, 0], b: [0, 1000], c: [1000, 1000], d: [1000, 0] },
    members: {
      left: { from: 'a', to: 'b', ...stiff(A) },
      beam: { from: 'b', to: 'c', ...stiff(A) },
      right: { from: 'd', to: 'c', ...stiff(A) },
    },
    supports: { a: pinned, d: pinned },
    loads: ['b', 'c'].map((node) => ({ node, y: -1 })),
    most: 1e6,
  });
  // kL tan kL = 6 for a beam of the columns' own EI / L: kL = 1.3496, P = 1.8214 EI / h².
  expect(Math.abs((portal.first?.factor ?? 0) / 3825 - 1)).toBeLessThan(0.002);
});

test('the toggle of Williams and the frame of Lee snap where they are known to', () => {
  const leg = { E: 1.03e7, A: 0.753 * 0.243, I: (0.753 * 0.243 ** 3) / 12, elements: 10 };
  const toggle = solved({
    large: true,
    nodes: { a: [0, 0], top: [12.943, 0.386], b: [25.886, 0] },
    members: { left: { from: 'a', to: 'top', ...leg }, right: { from: 'top', to: 'b', ...leg } },
    supports: { a: clamped, b: clamped },
    loads: [{ node: 'top', y: -1 }],
    most: 100,
  });
  // F. W. Williams, Quart. J. Mech. Appl. Math. 17, 1964: 34 lb, tested and computed.
  expect(toggle.limit?.mode).toBe('snap');
  expect(toggle.limit?.factor).toBeCloseTo(33.9, 0);
  const bar = { E: 720, A: 6, I: 2, elements: 20 };
  const lee = solved({
    large: true,
    nodes: { a: [0, 0], corner: [0, 120], load: [24, 120], b: [120, 120] },
    members: {
      post: { from: 'a', to: 'corner', ...bar },
      near: { from: 'corner', to: 'load', ...bar },
      far: { from: 'load', to: 'b', ...bar },
    },
    supports: { a: pinned, b: pinned },
    loads: [{ node: 'load', y: -1 }],
    most: 100,
  });
  // S. L. Lee, F. S. Manuel and E. C. Rossow, J. Eng. Mech. Div. ASCE 94, 1968: 1.85.
  expect(Math.abs((lee.limit?.factor ?? 0) / 1.85 - 1)).toBeLessThan(0.005);
});

test.each([30, 60, 120, 180, 250])('an arch over %d degrees that is drawn outward does not give way', (arcDeg) => {
  for (const I of [10, 1e4])
    for (const load of [
      { member: 'm', pressure: 1 },
      { member: 'm', y: 1, per: 'level' },
    ] as const) {
      const { first, searchedTo } = solved({
        large: true,
        nodes: { a: [-500, 0], b: [500, 0] },
        members: { m: { from: 'a', to: 'b', E: 1000, A: 1e4, I, shape: { arcDeg } } },
        supports: { a: pinned, b: pinned },
        loads: [load],
      });
      expect([first, searchedTo]).toEqual([null, 10]);
    }
});

test('a cantilever bends as the elastica does', () => {
  for (const c of known.large_displacement) {
    const { at } = solved({
      large: true,
      nodes: { a: [0, 0], b: [1000, 0] },
      members: { m: { from: 'a', to: 'b', ...STUFF, elements: 20 } },
      supports: { a: clamped },
      loads: [{ node: 'b', y: -10 * Number(/= (\d+)$/.exec(c.name)?.[1]) }],
    });
    const tip = at[0]?.nodes['b'];
    expect(Math.abs(-(tip?.y ?? 0) / 1000 - c.deflection_over_L)).toBeLessThan(c.tolerance);
    expect(Math.abs(-(tip?.x ?? 0) / 1000 - c.shortening_over_L)).toBeLessThan(c.tolerance);
  }
});

test('finer, it comes nearer by the square or better', () => {
  const tip = (elements: number): number =>
    solved({
      large: true,
      nodes: { a: [0, 0], b: [1000, 0] },
      members: { m: { from: 'a', to: 'b', ...STUFF, elements } },
      supports: { a: clamped },
      loads: [{ node: 'b', y: -50 }],
    }).at[0]?.nodes['b']?.y ?? NaN;
  const [four, eight, sixteen, best] = [4, 8, 16, 128].map(tip) as [number, number, number, number];
  expect(Math.abs(four - best) / Math.abs(eight - best)).toBeGreaterThan(3.8);
  expect(Math.abs(eight - best) / Math.abs(sixteen - best)).toBeGreaterThan(3.8);
});

test('a clamped and hinged arch snaps; a semicircle under pressure sways, and bears more as it leans', () => {
  const [snap, sway] = known.limit_load;
  const half = (215 / 2) * (Math.PI / 180);
  const R = 100;
  const [x, y] = [R * Math.sin(half), R * Math.cos(half)];
  const arch = solved({
    large: true,
    nodes: { a: [-x, y], crown: [0, R], b: [x, y] },
    members: {
      left: { from: 'a', to: 'crown', ...STUFF, shape: { arcDeg: 107.5 }, elements: 30 },
      right: { from: 'crown', to: 'b', ...STUFF, shape: { arcDeg: 107.5 }, elements: 30 },
    },
    supports: { a: clamped, b: pinned },
    loads: [{ node: 'crown', y: -1e7 / R ** 2 }],
    factors: [5, 12],
    most: 20,
  });
  expect(arch.limit?.mode).toBe('snap');
  expect(Math.abs((arch.limit?.factor ?? 0) - snap.value)).toBeLessThan(snap.tolerance);
  expect([arch.at.map((a) => a.factor), arch.beyond]).toEqual([[5], [12]]);
  const ring = solved({
    large: true,
    nodes: { a: [-500, 0], b: [500, 0] },
    members: { m: { from: 'a', to: 'b', ...STUFF, shape: { arcDeg: 180 } } },
    supports: { a: pinned, b: pinned },
    loads: [{ member: 'm', pressure: -1e7 / 500 ** 3 }],
  });
  expect(ring.first?.mode).toBe('sway');
  expect(Math.abs((ring.first?.factor ?? 0) - sway.value)).toBeLessThan(sway.tolerance);
  expect(ring.limit?.factor).toBeGreaterThan(ring.first?.factor ?? Infinity);
});

test.each(hoops.cases.filter((c) => c.feet === 'pinned'))(
  'a straight pipe of $length walked to $span is the hoop of the table',
  ({ span, length, height, thrustOverEI, maxCurvature }) => {
    const middle = length / 2;
    const { at } = solved({
      large: true,
      nodes: { a: [0, 0], crown: [middle, 0], b: [length, 0] },
      members: {
        left: { from: 'a', to: 'crown', E: 1000, A: 100, I: 10, elements: 30 },
        right: { from: 'crown', to: 'b', E: 1000, A: 100, I: 10, elements: 30 },
      },
      supports: { a: pinned, b: { x: { move: span - length }, y: true } },
      loads: [{ node: 'crown', y: 1e-9 * (1e4 / length ** 2), constant: true }],
    });
    expect((at[0]?.nodes['crown']?.y ?? 0) / height).toBeCloseTo(1, 3);
    expect((at[0]?.reactions['a']?.x ?? 0) / 1e4 / thrustOverEI).toBeCloseTo(1, 2);
    expect(Math.abs(at[0]?.members['left']?.to.momentNMm ?? 0) / 1e4 / maxCurvature).toBeCloseTo(1, 2);
  },
);

test.each(hoops.cases)(
  'a member sprung from $length over $span, its feet $feet, stands as the hoop of the table and pushes as hard',
  ({ feet, span, length, height, thrustOverEI, footAngleDeg }) => {
    const fixed = feet !== 'pinned';
    const held = fixed ? clamped : pinned;
    const job = {
      large: true,
      nodes: { a: [0, 0], b: [span, 0] },
      members: {
        m: {
          from: 'a',
          to: 'b',
          E: 1000,
          A: 100,
          I: 10,
          elements: 60,
          shape: { sprungMm: length, ...(fixed && { footAngleDeg }) },
        },
      },
      supports: { a: held, b: held },
      loads: [{ node: 'b', y: 1e-9, constant: true }],
    };
    const { frame } = read(job);
    expect(Math.max(...frame.nodes.map((n) => n.y)) / height).toBeCloseTo(1, 3);
    // As near as the table is: half a hundredth, and a millionth where there is hardly a push.
    const push = (solved(job).at[0]?.reactions['a']?.x ?? NaN) / 1e4;
    expect(Math.abs(push - thrustOverEI)).toBeLessThan(0.005 * Math.abs(thrustOverEI) + 1e-6);
  },
);

test('a mirrored load has a mirrored answer; a frame twice as large in every way has the same', () => {
  const gable = (side: 1 | -1, size: number): FrameAnswer =>
    solved({
      large: true,
      nodes: { a: [-400 * size, 0], ridge: [0, 300 * size], b: [400 * size, 0] },
      members: {
        left: { from: 'a', to: 'ridge', E: 1000, A: 1e6 * size ** 2, I: 1e4 * size ** 4 },
        right: { from: 'ridge', to: 'b', E: 1000, A: 1e6 * size ** 2, I: 1e4 * size ** 4 },
      },
      supports: { a: pinned, b: pinned },
      loads: [{ member: side > 0 ? 'right' : 'left', y: -0.05 * size }],
      factors: [1, 5],
      most: 100,
    });
  const [right, left, twice] = [gable(1, 1), gable(-1, 1), gable(1, 2)];
  right.at.forEach((at, i) => {
    const [r, l, t] = [at.nodes['ridge'], left.at[i]?.nodes['ridge'], twice.at[i]?.nodes['ridge']];
    expect(l?.x).toBeCloseTo(-(r?.x ?? NaN), 5);
    expect(l?.y).toBeCloseTo(r?.y ?? NaN, 5);
    expect((t?.x ?? NaN) / 2).toBeCloseTo(r?.x ?? NaN, 4);
  });
  expect((left.limit?.factor ?? NaN) / (right.limit?.factor ?? NaN)).toBeCloseTo(1, 3);
  expect((twice.limit?.factor ?? NaN) / (right.limit?.factor ?? NaN)).toBeCloseTo(1, 3);
});

test('reactions bear what is put on, small or large, and small loads are borne alike by both', () => {
  const amount = fc.double({ min: -20, max: 20, noNaN: true });
  fc.assert(
    fc.property(amount, amount, amount, (x, y, w) => {
      const job = (large: boolean, part: number): FrameAnswer =>
        solved({
          large,
          nodes: { a: [0, 0], b: [100, 400], c: [700, 350] },
          members: {
            post: { from: 'a', to: 'b', ...STUFF, elements: 4 },
            rail: { from: 'b', to: 'c', ...STUFF, elements: 4 },
          },
          supports: { a: clamped, c: { y: true } },
          loads: [
            { node: 'b', x: x * part, y: y * part },
            { member: 'rail', y: (w * part) / 600, per: 'level' },
          ],
          factors: [1],
          most: 1,
        });
      const [line, curve] = [job(false, 1), job(true, 1)];
      for (const { at } of [line, curve].filter((a) => a.at.length > 0)) {
        const [a, c] = [at[0]?.reactions['a'], at[0]?.reactions['c']];
        expect((a?.x ?? NaN) + x).toBeCloseTo(0, 2);
        expect((a?.y ?? NaN) + (c?.y ?? NaN) + y + w).toBeCloseTo(0, 2);
      }
      const [small, bent] = [job(false, 1e-3), job(true, 1e-3)].map((f) => f.at[0]?.nodes['b']?.x ?? NaN);
      expect(bent).toBeCloseTo(small ?? NaN, 4);
    }),
    { numRuns: 20 },
  );
});

test('what is wrong with a frame is told by its field', () => {
  const good = {
    nodes: { a: [0, 0], b: [100, 0] },
    members: { m: { from: 'a', to: 'b', ...STUFF } },
    supports: { a: clamped },
    loads: [{ node: 'b', y: -1 }],
  };
  const faults = (more: object): string => {
    const r = readFrameJob({ ...good, ...more });
    const s = r.ok ? solveFrame(r.value) : r;
    return s.ok ? 'none' : s.faults.map((f) => `${f.field}: ${f.message}`).join('; ');
  };
  expect(faults({})).toBe('none');
  expect(faults({ members: { m: { from: 'a', to: 'x', ...STUFF } } })).toBe('members.m.to: there is no node "x"');
  expect(faults({ members: { m: { from: 'a', to: 'a', ...STUFF } } })).toBe(
    'members.m.to: must lie elsewhere than from',
  );
  expect(faults({ members: { m: { from: 'a', to: 'b', E: 1, A: 1 } } })).toMatch(/^members\.m\.I: a beam needs/);
  expect(faults({ members: { m: { from: 'a', to: 'b', ...STUFF, E: -1 } } })).toBe('members.m.E: must be more than 0');
  expect(faults({ members: { m: { from: 'a', to: 'b', ...STUFF, shape: { sprungMm: 90 } } } })).toMatch(
    /^members\.m\.shape\.sprungMm: The pipe must be longer/,
  );
  expect(faults({ members: { m: { from: 'a', to: 'b', ...STUFF, limitStrain: 0.01 } } })).toMatch(/^members\.m\.depth/);
  const many = (n: number) => Object.fromEntries(Array.from({ length: n }, (_, i) => [`n${i}`, [i, 0]]));
  const bars = (n: number) =>
    Object.fromEntries(Array.from({ length: n }, (_, i) => [`m${i}`, { from: 'a', to: 'b', ...STUFF }]));
  const tooMany = 'nodes: must be at most 200, and so must the members';
  expect(faults({ nodes: { ...good.nodes, ...many(199) } })).toBe(tooMany);
  expect(faults({ members: bars(201) })).toBe(tooMany);
  // 200 of each are not too many.
  expect(faults({ nodes: { ...good.nodes, ...many(198) } })).not.toBe(tooMany);
  expect(faults({ members: bars(200) })).not.toBe(tooMany);
  expect(faults({ supports: { q: clamped } })).toBe('supports.q: there is no such node');
  expect(faults({ supports: { a: { x: true } } })).toMatch(/^supports: the frame can move freely/);
  expect(faults({ loads: [{ member: 'n', y: 1 }] })).toBe('loads[0].member: there is no member "n"');
  expect(faults({ nodes: { a: [0, 0], b: [Infinity, 0] } })).toMatch(/^nodes\.b/);
});

test('stuff that reaches its limit gives way before the frame does', () => {
  const job = (limit: object): FrameAnswer =>
    solved({
      large: true,
      nodes: { a: [0, 0], b: [1000, 0] },
      members: { m: { from: 'a', to: 'b', ...STUFF, depth: 20, ...limit } },
      supports: { a: clamped },
      loads: [{ node: 'b', y: -1 }],
      factors: [1, 3],
      most: 50,
    });
  // M r / EI = 1000 × 10 / 1e7 = 0.001 at factor 1, a little less as the arm shortens; 0.002 a little past 2.
  const strain = job({ limitStrain: 0.002 });
  expect(strain.limit?.mode).toBe('kink');
  expect(strain.limit?.factor).toBeGreaterThan(2);
  expect(strain.limit?.factor).toBeLessThan(2.02);
  expect(strain.beyond).toEqual([3]);
  // The same as a stress of 0.002 × E 1000.
  expect(job({ limitMPa: 2 }).limit?.factor).toBeCloseTo(strain.limit?.factor ?? NaN, 3);
  expect(job({}).limit).toBeNull();
});

test('a hoop hardly longer than its span bears something, and a leaning one is as high as its highest point', () => {
  const bent = (spanMm: number, lengthMm: number): Elastica => {
    const hoop = solveHoop({ kind: 'pinned' }, { spanMm, lengthMm });
    if (!hoop.ok) throw new Error('no hoop');
    return hoop.value;
  };
  const flat = bent(1000, 1000.01);
  const even = hoopCollapse(flat, true, { shape: () => 1 });
  expect((even?.crownBefore ?? 0) * 1000).toBeCloseTo(flat.heightMm, 2);
  // A flat arch turns aside at a load in proportion to its rise, which goes as the root of what the pipe is longer.
  const tenfold = hoopCollapse(bent(1000, 1001), true, { shape: () => 1 });
  expect(Math.abs((tenfold?.load ?? 0) / (even?.load ?? 1) / Math.sqrt(100) - 1)).toBeLessThan(0.1);
  const leaning = hoopCollapse(bent(44, 76), true, { shape: (_, across) => (across > 0.5 ? 1 : 0) });
  const { nodes } = leaning?.model.frame ?? { nodes: [] };
  const { state } = leaning?.path.at(-1) ?? { state: [] };
  const heights = nodes.map((n, i) => n.y + (state[3 * i + 1] ?? 0));
  expect(leaning?.crownAtCollapse).toBeCloseTo(Math.max(...heights), 6);
  expect(leaning?.crownAtCollapse).toBeGreaterThan((heights[nodes.length / 2 - 0.5] ?? Infinity) * 1.02);
});
