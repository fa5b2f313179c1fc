import { validateBytes } from 'gltf-validator';
import { add, cross, dot, subtract } from '../base/geometry';
import { boardShape, tubeShape } from '../catalog/sections';
import { FAMILY_KEYS } from '../cover/families';
import { demoGarden } from '../garden/demo';
import type { Assessment } from '../assessment';
import { onSomeBed } from '../testing/onBed';
import { outlineSize } from '../base/geometry';
import { sheetSize } from '../make/rolls/rolls';
import { dxf } from './dxf';
import { gltf } from './gltf';
import { type Mesh, meshesOf } from './meshes';
import { bounds, drawAssembly } from './project';

const garden = demoGarden();
const built = (family: string): Assessment => onSomeBed(garden, family);

/** Volume within a closed skin whose triangles are seen against the clock from outside, mm³ (divergence theorem). */
const volume = (m: Mesh): number =>
  m.triangles.reduce((sum, t) => {
    const [a, b, c] = t.map((i) => m.points[i] ?? [0, 0, 0]) as [Vec, Vec, Vec];
    return sum + dot(a, cross(b, c)) / 6;
  }, 0);
type Vec = readonly [number, number, number];

test.each(FAMILY_KEYS)('%s in the round: closed solids of their true volume, right side out', (family) => {
  const { assembly: a } = built(family);
  const meshes = meshesOf(a);
  const names = new Set(meshes.map((m) => m.name));
  for (const p of [...a.members, ...a.panels, ...a.sheets, ...a.blocks]) expect(names).toContain(`${p.tag} ${p.part}`);
  for (const m of a.members) {
    const mesh = meshes.find((x) => x.name === `${m.tag} ${m.part}`);
    if (!mesh) throw new Error(m.tag);
    const { shape } = m.section;
    // A pipe is drawn solid, with twelve corners: 12/2 sin 30° r² of area.
    const area =
      shape.kind === 'tube'
        ? 3 * (tubeShape(m.section).outsideMm / 2) ** 2
        : boardShape(m.section).thicknessMm * boardShape(m.section).widthMm;
    const ratio = volume(mesh) / (area * m.lengthMm);
    // Cut at a slant, tapered or bent a piece has less than its blank.
    expect([m.tag, ratio > 0.45 && ratio < 1.05]).toEqual([m.tag, true]);
    if (shape.kind === 'board' && !m.taperMm && !m.endAnglesDeg) expect(ratio).toBeCloseTo(1, 2);
  }
  for (const s of a.sheets) {
    // Every face of a sheet is covered once: half the cross products of a fan about its first corner.
    const size = (points: readonly Vec[]): number =>
      points
        .slice(2)
        .reduce(
          (sum, c, i) => {
            const [o, b] = [points[0], points[i + 1]] as [Vec, Vec];
            return add(sum, cross(subtract(b, o), subtract(c, o)));
          },
          [0, 0, 0] as Vec,
        )
        .reduce((sum, x) => sum + x * x, 0) **
        0.5 /
      2;
    const mesh = meshes.find((x) => x.name === `${s.tag} ${s.part}`);
    const triangles = mesh?.triangles.map((t) => t.map((i): Vec => mesh.points[i] ?? [NaN, 0, 0])) ?? [];
    const sum = (all: readonly (readonly Vec[])[]): number => all.reduce((m2, f) => m2 + size(f), 0);
    // A face that is not quite flat is cut by its shadow.
    expect([s.tag, Math.abs(sum(triangles) / sum(s.faces) - 1) < 0.02]).toEqual([s.tag, true]);
  }
  for (const m of meshes.filter((x) => x.stuff !== 'film')) {
    // Each edge is walked once each way: all faces look the same way, outward as the volume says.
    const edges = m.triangles.flatMap(([a, b, c]) => [`${a}>${b}`, `${b}>${c}`, `${c}>${a}`]);
    const walked = new Set(edges);
    expect([m.name, edges.length - walked.size]).toEqual([m.name, 0]);
    expect([m.name, edges.filter((e) => !walked.has(e.split('>').reverse().join('>')))]).toEqual([m.name, []]);
    expect(volume(m)).toBeGreaterThan(0);
  }
});

test.each(FAMILY_KEYS)('%s is a glTF file without fault, and a DXF file that says what it means', async (family) => {
  const o = built(family);
  const report = await validateBytes(new TextEncoder().encode(gltf(o)));
  expect(report.issues.messages.filter((m) => m.severity <= 1)).toEqual([]);
  expect(report.info.totalTriangleCount).toBeGreaterThan(0);

  const lines = dxf(o).split('\r\n');
  expect(lines.pop()).toBe('');
  expect(lines.length % 2).toBe(0);
  const groups = lines.flatMap((code, i) => (i % 2 === 0 ? [[Number(code), lines[i + 1] ?? ''] as const] : []));
  expect(groups.at(-1)).toEqual([0, 'EOF']);
  expect(groups.every(([code]) => Number.isInteger(code))).toBe(true);
  const count = (value: string): number => groups.filter(([code, v]) => code === 0 && v === value).length;
  expect(count('SEQEND')).toBe(count('POLYLINE'));
  expect(count('SECTION')).toBe(count('ENDSEC'));
  const layers = new Set(groups.filter((g, i) => g[0] === 2 && groups[i - 1]?.[1] === 'LAYER').map((g) => g[1]));
  for (const [code, v] of groups) if (code === 8) expect(layers).toContain(v);
  // Each flat part stands there by its name, at full size.
  const words = groups.filter(([code]) => code === 1).map(([, v]) => v);
  for (const p of [...o.assembly.panels, ...o.assembly.sheets]) expect(words).toContain(`${p.tag} ${p.part}`);
  /** Where a word stands in the drawing. */
  const placeOf = (word: string): readonly number[] => {
    const at = groups.findIndex(([code, v]) => code === 1 && v === word);
    const from = groups.slice(0, at).findLastIndex(([code]) => code === 0);
    return [10, 20].map((of) => Number(groups.slice(from, at).find(([code]) => code === of)?.[1]));
  };
  // Views stand 400 mm apart, each named 60 mm over its highest line.
  let x = 0;
  for (const [view, name] of [
    ['end', 'From the end'],
    ['side', 'From the side'],
    ['plan', 'From above'],
  ] as const) {
    const b = bounds(drawAssembly(o.assembly, o.site.bed, o.site.survey, view));
    expect(placeOf(name)).toEqual([expect.closeTo(x, 1), expect.closeTo(b.v1 - b.v0 + 60, 1)]);
    x += b.u1 - b.u0 + 400;
  }
  const sizes: string[] = [];
  const corner: (readonly [left: number, top: number])[] = [];
  groups.forEach(([code, v], i) => {
    if (code !== 0 || v !== 'POLYLINE') return;
    const end = groups.findIndex((g, k) => k > i && g[1] === 'SEQEND');
    const corners = groups.slice(i, end).flatMap((g, k, all) => (g[1] === 'VERTEX' ? [all.slice(k + 1, k + 5)] : []));
    expect(corners.length).toBeGreaterThan(1);
    const [xs, ys] = [10, 20].map((of) => corners.map((c) => Number(c.find(([k]) => k === of)?.[1])));
    const size = [xs, ys].map((all = []) => Math.max(...all) - Math.min(...all));
    // Views stand beside one another from the corner on.
    expect(Math.min(...(xs ?? []))).toBeGreaterThan(-1);
    if (groups[i + 1]?.[1] !== 'PARTS') return;
    sizes.push(size.map(Math.round).join(' x '));
    corner.push([Math.min(...(xs ?? [])), Math.max(...(ys ?? []))]);
  });
  // The name of a part stands 30 mm over its upper left corner.
  for (const p of [...o.assembly.panels, ...o.assembly.sheets]) {
    const [x = NaN, y = NaN] = placeOf(`${p.tag} ${p.part}`);
    const near = Math.min(...corner.map(([left, top]) => Math.hypot(left - x, top + 30 - y)));
    expect(near).toBeLessThan(0.01);
  }
  for (const p of o.assembly.panels) {
    const { uMm, vMm } = outlineSize(p.outline);
    expect(sizes).toContain(`${Math.round(uMm)} x ${Math.round(vMm)}`);
  }
  for (const s of o.assembly.sheets) {
    const { acrossMm, alongMm } = sheetSize(s);
    expect(sizes).toContain(`${Math.round(alongMm)} x ${Math.round(acrossMm)}`);
  }
});
