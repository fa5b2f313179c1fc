/** What must be true of every assembly, whatever family it came from. */
import { demoGarden } from '../files/demo';
import { outline } from '../plan';
import { section, thicknessMm } from '../catalog/sections';
import { boardCorners, bounds, drawAssembly, flatten } from './project';
import type { Assembly, Member, Vec3 } from './types';

const garden = demoGarden();
const built = garden.covers.map((cover) => {
  const found = outline(garden, cover);
  if (!found.ok) throw new Error(cover.id);
  return { name: cover.id, o: found.value };
});

type Box = readonly [low: Vec3, high: Vec3];

/** The box round a member, with its pipe's or board's thickness. */
function boxOf(m: Member): Box {
  const board = section(m.sectionKey).shape.kind === 'board';
  const points = board ? boardCorners(m) : m.shape.kind === 'curve' ? m.shape.points : [m.shape.from, m.shape.to];
  const r = board ? 0 : thicknessMm(section(m.sectionKey)) / 2;
  const end = (pick: (...values: number[]) => number, by: number): Vec3 => [
    pick(...points.map((p) => p[0])) + by,
    pick(...points.map((p) => p[1])) + by,
    pick(...points.map((p) => p[2])) + by,
  ];
  return [end(Math.min, -r), end(Math.max, r)];
}
const apart = ([a0, a1]: Box, [b0, b1]: Box): number =>
  Math.max(...[0, 1, 2].map((k) => Math.max((b0[k] ?? 0) - (a1[k] ?? 0), (a0[k] ?? 0) - (b1[k] ?? 0))));

/** Members that hang together with the bed, walking from piece to piece. */
function floating(a: Assembly, wallTop: number): readonly string[] {
  const boxes = a.members.map((m) => ({ tag: m.tag, box: boxOf(m) }));
  const reached = new Set(boxes.filter(({ box }) => box[0][2] <= wallTop + 12).map((b) => b.tag));
  for (let grown = true; grown;) {
    grown = false;
    for (const b of boxes)
      if (!reached.has(b.tag) && boxes.some((other) => reached.has(other.tag) && apart(b.box, other.box) < 12)) {
        reached.add(b.tag);
        grown = true;
      }
  }
  return boxes.filter((b) => !reached.has(b.tag)).map((b) => b.tag);
}

describe.each(built)('$name', ({ o }) => {
  const { assembly, site } = o;

  test('nothing floats: every piece hangs together with the bed or the soil', () => {
    expect(floating(assembly, site.bed.wall.heightMm)).toEqual([]);
  });

  test('boards do not run through one another', () => {
    const boards = assembly.members.filter((m) => section(m.sectionKey).shape.kind === 'board');
    for (const a of boards)
      for (const b of boards) {
        if (a.tag >= b.tag) continue;
        expect(-apart(boxOf(a), boxOf(b))).toBeLessThan(1);
      }
  });

  test('every piece is put in place in some step, and hours are the steps added up', () => {
    const placed = new Set(assembly.steps.filter((s) => s.id !== 'cut').flatMap((s) => s.tags));
    for (const m of assembly.members) expect(placed.has(m.tag)).toBe(true);
    for (const s of assembly.sheets) expect(placed.has(s.tag)).toBe(true);
    expect(assembly.steps.reduce((sum, s) => sum + s.minutes, 0) / 60).toBeCloseTo(o.hours.value, 9);
    for (const s of assembly.steps) {
      expect(s.minutes).toBeGreaterThan(0);
      expect(s.work.length).toBeGreaterThan(0);
    }
    expect(new Set(assembly.steps.map((s) => s.id)).size).toBe(assembly.steps.length);
  });

  test('the caution stands at the step it belongs to', () => {
    const at = (id: string): string => assembly.steps.find((s) => s.id === id)?.cautions.join(' ') ?? '';
    const pvc = assembly.members.some((m) => section(m.sectionKey).material === 'pvc');
    if (pvc) {
      expect(at('cut')).toContain('PVC');
      expect(at('bend')).toContain('eye protection');
    }
    if (assembly.steps.some((s) => s.id === 'rods')) expect(at('rods')).toContain('buried lines');
    if (assembly.steps.some((s) => s.id === 'hang')) expect(at('hang')).toContain('no child under a lid');
    expect(assembly.steps.flatMap((s) => s.cautions).join(' ')).toContain('snow');
  });

  test('each view draws every kind of piece inside its bounds, each shape once', () => {
    for (const view of ['end', 'side', 'plan'] as const) {
      const shapes = drawAssembly(assembly, site.bed, site.survey, view);
      const b = bounds(shapes);
      expect(b.u1 - b.u0).toBeGreaterThan(300);
      expect(shapes.some((s) => s.stuff === 'film')).toBe(true);
      expect(shapes.some((s) => s.stuff === 'wall')).toBe(true);
      const keys = shapes.map((s) => s.stuff + JSON.stringify(s.points.map((p) => p.map(Math.round))));
      expect(new Set(keys).size).toBe(keys.length);
    }
  });

  test('typed dimensions measure what is drawn', () => {
    for (const d of assembly.dimensions) {
      if (d.side === 'leader') continue;
      const a = flatten(d.from, d.view);
      const b = flatten(d.to, d.view);
      expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeCloseTo(d.valueMm, 3);
    }
  });
});
