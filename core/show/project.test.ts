/** What must be true of every assembly, whatever family it came from. */
import { boardCorners, panelFaces } from '../cover/assembly/solids';
import { type Vec3, dot, flatten } from '../base/geometry';
import { demoGarden } from '../garden/demo';
import { everyKind } from '../testing/everyKind';
import { assessCover } from '../plan';
import { thicknessMm } from '../catalog/sections';
import { at, build } from '../testing/site';
import { bounds, drawAssembly, standingTags, thinned } from './project';
import type { Assembly, Member } from '../cover/assembly/types';

const gardens = [demoGarden(), everyKind()];
const built = gardens.flatMap((garden) =>
  garden.covers.map((cover) => {
    const found = assessCover(garden, cover);
    if (!found.ok) throw new Error(`${cover.id}: ${found.faults[0]?.message ?? ''}`);
    return { name: cover.id, o: found.value };
  }),
);

test('in the plan the soil lies inside the wall of the bed, all round', () => {
  const site = at(128, 44);
  const [length, width, t] = [128 * 25.4, 44 * 25.4, site.bed.wall.thicknessMm];
  const drawn = drawAssembly(build('staked-tunnel', site), site.bed, site.survey, 'plan');
  // A survey by diagonals closes to a thousandth.
  expect(drawn.find((d) => d.stuff === 'soil')?.points).toEqual(
    [
      [t, t],
      [length - t, t],
      [length - t, width - t],
      [t, width - t],
    ].map((p) => p.map((x) => expect.closeTo(x, 3))),
  );
});

type Box = readonly [low: Vec3, high: Vec3];

/** The box round a member, with its pipe's or board's thickness. */
function boxOf(m: Member): Box {
  const board = m.section.shape.kind === 'board';
  const points = board ? boardCorners(m) : m.shape.kind === 'curve' ? m.shape.points : [m.shape.from, m.shape.to];
  const r = board ? 0 : thicknessMm(m.section) / 2;
  const end = (pick: (...values: number[]) => number, by: number): Vec3 => [
    pick(...points.map((p) => p[0])) + by,
    pick(...points.map((p) => p[1])) + by,
    pick(...points.map((p) => p[2])) + by,
  ];
  return [end(Math.min, -r), end(Math.max, r)];
}
/** Where a member runs: its ends, or along its curve. */
const boardPoints = ({ shape }: Member): readonly Vec3[] =>
  shape.kind === 'curve' ? shape.points : [shape.from, shape.to];
const apart = ([a0, a1]: Box, [b0, b1]: Box): number =>
  Math.max(...[0, 1, 2].map((k) => Math.max((b0[k] ?? 0) - (a1[k] ?? 0), (a0[k] ?? 0) - (b1[k] ?? 0))));

function pointsBox(points: readonly Vec3[]): Box {
  const at = (pick: (...values: number[]) => number): Vec3 => [
    pick(...points.map((p) => p[0])),
    pick(...points.map((p) => p[1])),
    pick(...points.map((p) => p[2])),
  ];
  return [at(Math.min), at(Math.max)];
}

/** Pieces that do not hang together with the bed, the ground or one another, walking from piece to piece. */
function floating(a: Assembly, wallTop: number): readonly string[] {
  const boxes = [
    ...a.members.map((m) => ({ tag: m.tag, box: boxOf(m) })),
    ...a.panels.map((p) => ({ tag: p.tag, box: pointsBox(panelFaces(p).flat()) })),
    ...a.blocks.map((b) => ({ tag: b.tag, box: [b.low, b.high] as Box })),
  ];
  const reached = new Set(boxes.filter(({ box }) => box[0][2] <= wallTop + 12).map((b) => b.tag));
  for (let grown = true; grown;) {
    grown = false;
    for (const b of boxes)
      if (!reached.has(b.tag) && boxes.some((other) => reached.has(other.tag) && apart(b.box, other.box) < 20)) {
        reached.add(b.tag);
        grown = true;
      }
  }
  return boxes.filter((b) => !reached.has(b.tag)).map((b) => b.tag);
}

const minus = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/**
 * How deep two convex solids of eight corners run into one another, mm: separating axes from edges and their products.
 * Source: S. Gottschalk, M. Lin, D. Manocha, OBBTree, SIGGRAPH 1996.
 */
function overlap(a: readonly Vec3[], b: readonly Vec3[]): number {
  const edges = (c: readonly Vec3[]): Vec3[] =>
    [
      [0, 1],
      [0, 2],
      [0, 4],
      [2, 6],
      [3, 7],
      [1, 5],
      [4, 6],
    ].flatMap(([i = 0, j = 0]) => (c[i] && c[j] ? [minus(c[i], c[j])] : []));
  const [ea, eb] = [edges(a), edges(b)];
  const axes = [
    ...ea.flatMap((x) => ea.map((y) => cross(x, y))),
    ...eb.flatMap((x) => eb.map((y) => cross(x, y))),
    ...ea.flatMap((x) => eb.map((y) => cross(x, y))),
  ].filter((x) => Math.hypot(...x) > 1e-3);
  return Math.min(
    ...axes.map((axis) => {
      const length = Math.hypot(...axis);
      const span = (c: readonly Vec3[]): [number, number] => {
        const d = c.map((p) => dot(p, axis) / length);
        return [Math.min(...d), Math.max(...d)];
      };
      const [a0, a1] = span(a);
      const [b0, b1] = span(b);
      return Math.min(a1 - b0, b1 - a0);
    }),
  );
}

describe.each(built)('$name', ({ o }) => {
  const { assembly, site } = o;

  test('nothing floats: every piece hangs together with the bed or the soil', () => {
    expect(floating(assembly, site.bed.wall.heightMm)).toEqual([]);
  });

  test('boards do not run through one another', () => {
    const boards = assembly.members.filter((m) => m.section.shape.kind === 'board');
    for (const [i, a] of boards.entries())
      for (const b of boards.slice(i + 1)) {
        // Far apart boxes need no closer look.
        if (apart(boxOf(a), boxOf(b)) > 0) continue;
        const deep = overlap(boardCorners(a), boardCorners(b));
        if (deep > 1.5)
          throw new Error(`${a.tag} ${a.part} and ${b.tag} ${b.part} run ${deep.toFixed(1)} mm into one another`);
      }
  });

  test('every piece is put in place in some step, and hours are the steps added up', () => {
    const placed = new Set(assembly.steps.filter((s) => s.id !== 'cut').flatMap((s) => s.tags));
    const pieces = [...assembly.members, ...assembly.panels, ...assembly.blocks, ...assembly.sheets];
    expect(pieces.map((m) => m.tag).filter((tag) => !placed.has(tag))).toEqual([]);
    expect(assembly.steps.reduce((sum, s) => sum + s.minutes, 0) / 60).toBeCloseTo(o.hours.value, 9);
    for (const s of assembly.steps) {
      expect(s.minutes).toBeGreaterThan(0);
      expect(s.work.length).toBeGreaterThan(0);
    }
    expect(new Set(assembly.steps.map((s) => s.id)).size).toBe(assembly.steps.length);
  });

  test('the caution stands at the step it belongs to', () => {
    const at = (id: string): string => assembly.steps.find((s) => s.id === id)?.cautions.join(' ') ?? '';
    const pvc = assembly.members.some((m) => m.section.materialKey === 'pvc');
    if (pvc) {
      expect(at('cut')).toContain('PVC');
      if (assembly.arches.some((x) => x.sprung)) expect(at('bend')).toContain('eye protection');
    }
    if (assembly.steps.some((s) => s.id === 'rods')) expect(at('rods')).toContain('buried lines');
    for (const id of ['hang', 'hang whole'])
      if (assembly.steps.some((s) => s.id === id)) expect(at(id)).toContain('no child under a lid');
    expect(assembly.steps.flatMap((s) => s.cautions).join(' ')).toContain('snow');
  });

  test('each view draws every kind of piece inside its bounds, each shape once', () => {
    for (const view of ['end', 'side', 'plan'] as const) {
      const shapes = drawAssembly(assembly, site.bed, site.survey, view);
      const b = bounds(shapes);
      expect(b.u1 - b.u0).toBeGreaterThan(300);
      expect(shapes.some((s) => s.stuff === 'film' || s.stuff === 'glazing')).toBe(true);
      expect(shapes.some((s) => s.stuff === 'wall')).toBe(true);
      const keys = shapes.map((s) => s.stuff + JSON.stringify(s.points.map((p) => p.map(Math.round))));
      expect(new Set(keys).size).toBe(keys.length);
    }
  });

  test('what is nearer to the eye is drawn over what is farther', () => {
    // From the end the eye is before x = 0, from the side before y = 0, from above over all of it.
    const depth = { end: (p: Vec3) => -p[0], side: (p: Vec3) => -p[1], plan: (p: Vec3) => p[2] };
    for (const view of ['end', 'side', 'plan'] as const) {
      const drawn = drawAssembly(o.assembly, o.site.bed, o.site.survey, view);
      const far = o.assembly.members.flatMap((m) => {
        const points = boardPoints(m);
        const at = drawn.findIndex((d) => d.tag === m.tag && d.stuff !== 'film');
        return at < 0 ? [] : [{ at, depth: points.reduce((sum, p) => sum + depth[view](p), 0) / points.length }];
      });
      far.sort((a, b) => a.at - b.at);
      far.forEach(({ depth: here }, i) => expect(here).toBeGreaterThanOrEqual((far[i - 1]?.depth ?? -Infinity) - 1));
    }
  });
  test('dimensions measure what is drawn, and what is told beside a piece points at it', () => {
    const drawn = bounds(drawAssembly(assembly, site.bed, site.survey, 'end'));
    for (const d of assembly.dimensions) {
      if (d.side === 'leader') {
        const [u, v] = flatten(d.from, d.view);
        expect(d.view).toBe('end');
        expect([u > drawn.u0, u < drawn.u1, v > drawn.v0, v < drawn.v1]).toEqual([true, true, true, true]);
        continue;
      }
      const a = flatten(d.from, d.view);
      const b = flatten(d.to, d.view);
      expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeCloseTo(d.valueMm, 3);
    }
  });
});

test('from the end only the bales beside the covered bed are drawn; along it and from above all of them', () => {
  const site = at(96, 48);
  const bales = build('straw-bale', site);
  const straw = (view: 'end' | 'side' | 'plan') =>
    new Set(drawAssembly(bales, site.bed, site.survey, view).flatMap((d) => (d.stuff === 'straw' ? [d.tag] : [])));
  // 96 in long, 48 wide: bales of the two long sides lie within it, those of the ends before and behind.
  const beside = bales.blocks.filter((b) => b.high[1] <= 0 || b.low[1] >= 48 * 25.4);
  const ends = bales.blocks.filter((b) => !beside.includes(b));
  expect(ends.length).toBeGreaterThan(1);
  for (const b of ends) expect(straw('end').has(b.tag)).toBe(false);
  expect(beside.some((b) => straw('end').has(b.tag))).toBe(true);
  for (const view of ['side', 'plan'] as const) expect(ends.some((b) => straw(view).has(b.tag))).toBe(true);
});

test('along the bed a row is named by its hoops or legs, whatever stands higher beside them', () => {
  const tags = (family: string, more: object = {}): readonly string[] =>
    standingTags(build(family, at(128, 44), more))
      .map((x) => x.tag)
      .sort();
  expect(tags('a-frame')).toEqual(['L1', 'L3', 'L5', 'L7', 'L9']);
  // Ridge posts stand at the end hoops.
  expect(tags('hinged-hoop-lid', { ridge: 'posted' })).toEqual(['H1', 'H2', 'H3', 'H4', 'H5']);
});

test('a thinned line stays within what nobody sees of every point it had, and keeps its ends', () => {
  const arc = Array.from({ length: 201 }, (_, i): [number, number] => {
    const a = (Math.PI * i) / 200;
    return [600 * Math.cos(a), 600 * Math.sin(a)];
  });
  const thin = thinned(arc);
  expect(thin.length).toBeLessThan(80);
  expect([thin[0], thin.at(-1)]).toEqual([arc[0], arc.at(-1)]);
  const off = (p: readonly number[]): number =>
    Math.min(
      ...thin.slice(1).map((b, i) => {
        const a = thin[i] ?? b;
        const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
        const t = Math.max(
          0,
          Math.min(1, (((p[0] ?? 0) - a[0]) * dx + ((p[1] ?? 0) - a[1]) * dy) / (dx * dx + dy * dy)),
        );
        return Math.hypot((p[0] ?? 0) - a[0] - t * dx, (p[1] ?? 0) - a[1] - t * dy);
      }),
    );
  expect(Math.max(...arc.map(off))).toBeLessThan(0.35);
  // There and back over the same line: the far end is kept.
  expect(
    thinned([
      [0, 0],
      [0, 50],
      [0, 100],
      [0, 50],
      [0, 0],
    ]),
  ).toEqual([
    [0, 0],
    [0, 100],
    [0, 0],
  ]);
});

test('a line is thinned to its corners: what lies on its way goes, what turns back or aside stays', () => {
  expect(thinned([])).toEqual([]);
  expect(thinned([[1, 1]])).toEqual([[1, 1]]);
  const straight = [0, 1, 2, 3].map((x) => [10 * x, 5 * x] as const);
  expect(thinned(straight)).toEqual([straight[0], straight[3]]);
  // Up and over: the corner is kept. Half a millimetre aside is seen, a fifth is not.
  expect(
    thinned([
      [0, 0],
      [0, 5],
      [0, 10],
      [5, 10],
      [10, 10],
    ]),
  ).toEqual([
    [0, 0],
    [0, 10],
    [10, 10],
  ]);
  expect(
    thinned([
      [0, 0],
      [50, 0.5],
      [100, 0],
    ]),
  ).toHaveLength(3);
  expect(
    thinned([
      [0, 0],
      [50, 0.2],
      [100, 0],
    ]),
  ).toHaveLength(2);
  // Out and back again.
  expect(
    thinned([
      [0, 0],
      [10, 0],
      [2, 0],
    ]),
  ).toEqual([
    [0, 0],
    [10, 0],
    [2, 0],
  ]);
});

describe('which of two pieces at one place along the bed gives its tag', () => {
  const lid = build('hinged-hoop-lid', at(128, 44));
  const [hoop] = lid.members.filter((m) => m.part === 'Hoop');
  const [tie] = lid.members.filter((m) => m.part === 'Cross tie');
  if (!hoop || !tie) throw new Error('not built');
  const up = (tag: string, z: number) => ({
    ...tie,
    tag,
    shape: {
      kind: 'straight' as const,
      from: [500, 0, z] as const,
      to: [500, 900, z] as const,
      wide: [1, 0, 0] as const,
    },
  });
  const tags = (members: typeof lid.members, rows: readonly string[] = []): readonly string[] =>
    standingTags({ ...lid, members, beams: [], arches: lid.arches.map((r) => ({ ...r, tags: rows })) }).map(
      (t) => t.tag,
    );

  test('the higher one, by more than a millimetre; else the first', () => {
    expect(tags([up('X', 800), up('Y', 801.5)])).toEqual(['Y']);
    expect(tags([up('X', 801.5), up('Y', 800)])).toEqual(['X']);
    expect(tags([up('X', 800), up('Y', 801)])).toEqual(['X']);
  });
  test('a hoop before what is no hoop, however high that stands, in whatever order they come', () => {
    expect(tags([up('X', 700), up('Y', 900)], ['X'])).toEqual(['X']);
    expect(tags([up('Y', 900), up('X', 700)], ['X'])).toEqual(['X']);
  });
  test('what runs along the bed has no place on it', () => {
    const along = {
      ...tie,
      tag: 'Z',
      shape: {
        kind: 'straight' as const,
        from: [0, 0, 900] as const,
        to: [900, 0, 900] as const,
        wide: [0, 1, 0] as const,
      },
    };
    expect(tags([along])).toEqual([]);
  });
});
