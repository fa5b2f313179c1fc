import { SHIPPED, section } from '../../catalog/catalog';
import type { ArchRow } from '../../cover/assembly/rows';
import { solveHoop } from '../../cover/hoop/elastica';
import type { Elastica } from '../../cover/hoop/types';
import { borneOn, crownOf, greatestCurvature, hoopFrame, loadCurve } from '../frame/hoop';
import { frameModel } from '../frame/model';
import { loadPath } from '../frame/path';
import type { Element, Frame } from '../frame/types';
import { type JoiningRidge, joiningRidge, timesShared } from './row';
import { oneSidedFactor, slopeFactor } from './snow';

const LOADS = {
  even: slopeFactor,
  'one-sided': (slope: number, across: number): number => oneSidedFactor(slope, across > 0.5, 1),
} as const;

function hoopOf(stretch: number, upright = false): Elastica {
  const made = solveHoop(upright ? { kind: 'fixed', angleDeg: 90 } : { kind: 'pinned' }, {
    spanMm: 1000,
    lengthMm: 1000 * stretch,
  });
  if (!made.ok) throw new Error('no hoop');
  return made.value;
}

/** All hoops of a row and its ridge as one frame: hoops side by side, their crowns hung by long stiff bars from a beam above them. */
function wholeRow(hoop: Elastica, load: keyof typeof LOADS, ridge: JoiningRidge, bends: number): number {
  const one = hoopFrame(hoop, true, { shape: LOADS[load] }, 16);
  const n = one.nodes.length;
  const crown = crownOf(one.nodes);
  const high = (one.nodes[crown]?.y ?? 0) + 30;
  const each = Array.from({ length: ridge.hoops }, (_, i) => ({ i, part: i === 0 || i === ridge.hoops - 1 ? 0.5 : 1 }));
  const above = n * ridge.hoops;
  const bars = each.map(({ i }): Element => ({
    kind: 'bar',
    from: n * i + crown,
    to: above + i,
    eaN: 1e7,
    naturalMm: 30,
  }));
  const beam = each.slice(1).map(({ i }): Element => ({
    kind: 'beam',
    from: above + i - 1,
    to: above + i,
    eaN: 1e-3,
    eiNMm2: ridge.stiffness,
    naturalMm: ridge.spacing,
    naturalAngles: [0, 0],
    tangents: [0, 0],
    hinged: [false, false],
  }));
  const frame: Frame = {
    nodes: [
      ...each.flatMap(({ i }) => one.nodes.map((p) => ({ x: p.x + i * ridge.spacing, y: p.y }))),
      ...each.map(({ i }) => ({ x: (one.nodes[crown]?.x ?? 0) + i * ridge.spacing, y: high })),
    ],
    elements: [
      ...each.flatMap(({ i }) => one.elements.map((e) => ({ ...e, from: e.from + n * i, to: e.to + n * i }))),
      ...bars,
      ...beam,
    ],
    holds: [
      ...each.flatMap(({ i }) => one.holds.map((h) => ({ ...h, node: h.node + n * i }))),
      ...each.map(({ i }) => ({ node: above + i, dof: 0 as const, move: 0 })),
    ],
    springs: [],
    loads: each.flatMap(({ i, part }) => one.loads.map((l) => ({ ...l, node: l.node + n * i, value: part * l.value }))),
    lines: each.flatMap(({ i, part }) =>
      one.lines.map((l) => ({ ...l, element: l.element + (n - 1) * i, y: part * l.y })),
    ),
    pressures: [],
  };
  const path = loadPath(frameModel(frame), {
    coarse: true,
    used: (r) =>
      Math.max(
        ...each.map(({ i, part }) =>
          greatestCurvature(one, {
            ...r,
            factor: part * r.factor,
            state: r.state.subarray(3 * n * i, 3 * n * (i + 1)),
          }),
        ),
      ) / bends,
  });
  return path.limit?.rest.factor ?? NaN;
}

const ROWS: readonly [
  stretch: number,
  upright: boolean,
  load: keyof typeof LOADS,
  bends: number,
  hoops: number,
  stiffness: number,
][] = [
  [1.57, false, 'even', Infinity, 4, 0.5],
  [1.57, false, 'even', Infinity, 4, 50],
  [1.8, false, 'even', 3.5, 5, 5],
  [1.8, false, 'one-sided', 3.5, 4, 50],
  [1.57, true, 'even', Infinity, 4, 50],
  [1.57, true, 'one-sided', Infinity, 3, 50],
];

test.each(ROWS)(
  'a row of hoops %p spans long, upright %p, under %p snow bears no less than is counted',
  (stretch, upright, load, bends, hoops, stiffness) => {
    const hoop = hoopOf(stretch, upright);
    const curve = loadCurve(hoop, true, { shape: LOADS[load] });
    if (!curve) throw new Error('no curve');
    const alone = borneOn(curve, bends, Infinity).load;
    const ridge = { hoops, spacing: 0.6, stiffness, limit: Infinity };
    const counted = timesShared(curve, alone, ridge, load);
    const solved = wholeRow(hoop, load, ridge, bends) / alone;
    // Sixteen stretches to a hoop and long steps: within 1 %.
    expect(counted).toBeLessThan(1.01 * solved);
    expect(counted).toBeGreaterThanOrEqual(1);
    // Of what a stiff ridge adds under even snow more than half is counted.
    if (stiffness === 50 && load === 'even') expect(counted - 1).toBeGreaterThan((solved - 1) / 2);
  },
);

describe('two springs of one strength, worked by hand', () => {
  // A hoop whose crown goes down in proportion, to .1 spans at a load of 40.
  const curve = { loads: [0, 20, 40], curvatures: [0, 1, 2], drops: [0, 0.05, 0.1], mode: 'snap' as const };
  const row = (more: Partial<JoiningRidge> = {}): JoiningRidge => ({
    hoops: 3,
    spacing: 0.5,
    stiffness: 1e7,
    limit: Infinity,
    ...more,
  });
  test('a stiff ridge over three hoops: the middle one gives 1.65 times what it loses, each end takes 2.5 times half of that', () => {
    // Crowns go down alike: w - 1.65 R = 40 = w/2 + 2.5 R/2, so R = (80 - w)/2.5 and w (1 + .66) = 40 + 52.8: 55.904 of 40.
    expect(timesShared(curve, 40, row(), 'even')).toBeCloseTo(55.904 / 40, 2);
    // One-sided .5 in place of 1.65: w (1 + .2) = 40 + 16.
    expect(timesShared(curve, 40, row(), 'one-sided')).toBeCloseTo(56 / 1.2 / 40, 2);
  });
  test('a limp one shares nothing, and the stiffer, the more', () => {
    const times = [1e-6, 0.5, 5, 50].map((stiffness) => timesShared(curve, 40, row({ stiffness }), 'even'));
    expect(times[0]).toBeCloseTo(1, 3);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(times[3]).toBeGreaterThan(1.2);
  });
  test('one that breaks early shares no more than it bears', () => {
    // R/2 bends it down R/2 x .5^3 / 150 to each end, 1/6 R of load there: w - 1.65 R = w/2 + 1.25 R + R/6, R = w / 6.133. It is bent to
    // R/4 / 50: .044 at R = 8.8, w = 53.97; the hoops would bear 40 / (1 - 1.65 / 6.133) = 54.7.
    expect(timesShared(curve, 40, row({ stiffness: 50, limit: 0.044 }), 'even') * 40).toBeCloseTo(53.97, 1);
    expect(timesShared(curve, 40, row({ stiffness: 50 }), 'even') * 40).toBeCloseTo(54.73, 1);
    // At .02 it breaks before the hoops do: they bear what they bear alone.
    expect(timesShared(curve, 40, row({ stiffness: 50, limit: 0.02 }), 'even')).toBe(1);
  });
  test('more hoops have fewer ends to lean on', () => {
    const [three, twelve] = [3, 12].map((hoops) => timesShared(curve, 40, row({ hoops, stiffness: 50 }), 'even'));
    expect(twelve).toBeLessThan(three ?? 0);
  });
  test('a hoop that bears nothing shares nothing', () => {
    expect(timesShared(curve, 0, row(), 'even')).toBe(1);
    expect(timesShared({ ...curve, drops: [0, -0.01, -0.02] }, 40, row(), 'even')).toBe(1);
  });
});

test('a ridge shares where it is one stiff piece over three hoops and more, of hoops with nothing inside', () => {
  const arch: ArchRow = {
    tags: ['H1', 'H2', 'H3'],
    section: section(SHIPPED, 'pvc-3/4'),
    hoop: hoopOf(1.6),
    sprung: true,
    xsMm: [0, 600, 1200],
    spacingMm: 600,
    footYMm: 0,
    footZMm: 0,
    baseZMm: 0,
    cutMm: 1600,
    ridge: { kind: 'tied', section: section(SHIPPED, '2x2') },
  };
  const shares = joiningRidge(arch);
  // 1.5 x 1.5 in spruce, 9 GPa and .6 of it after weeks: 5400 x 38.1^4 / 12 = 948.2e6; 3/4 PVC 1380 x 15,400 = 21.2e6.
  expect(shares?.stiffness).toBeCloseTo(44.6, 0);
  expect(shares?.spacing).toBeCloseTo(0.6, 9);
  // It breaks at 6 x 1.15 MPa: 6.9 / 5400 / 19.05 mm of curvature, times the span.
  expect(shares?.limit).toBeCloseTo((6.9 / 5400 / 19.05) * 1000, 4);
  // Plastic bends to 3.5 % in its outermost fibre.
  const pipe = joiningRidge({ ...arch, ridge: { kind: 'tied', section: section(SHIPPED, 'pvc-1') } });
  expect(pipe?.limit).toBeCloseTo((0.035 / 16.7) * 1000, 1);
  expect(joiningRidge({ ...arch, ridge: { kind: 'tied' } })).toBeUndefined();
  expect(
    joiningRidge({ ...arch, ridge: { kind: 'posted', section: section(SHIPPED, '2x4'), spanMm: 1200 } }),
  ).toBeUndefined();
  expect(joiningRidge({ ...arch, tags: ['H1', 'H2'] })).toBeUndefined();
  expect(joiningRidge({ ...arch, core: section(SHIPPED, 'emt-1/2') })).toBeUndefined();
});
