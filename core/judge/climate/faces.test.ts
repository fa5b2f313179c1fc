import { everyKind } from '../../testing/everyKind';
import { evaluate } from '../../evaluate';
import { coverM2 } from '../../cover/assembly/enclosure';
import { HOLLOW, steady } from '../../testing/weather';
import { driveOf } from './drive';
import { facesOf } from './faces';
import { bedModel } from './model';
import { USUAL_TENDING } from './operation';

const garden = everyKind();
const built = garden.covers.flatMap((c) => {
  const o = evaluate(garden, c);
  return o.ok ? [{ name: c.id, ...o.value }] : [];
});

test.each(built)('$name: its faces have the area of its skins, and close over the floor', ({ assembly: a, cover }) => {
  const faces = facesOf(a);
  const m2 = faces.reduce((sum, f) => sum + f.m2, 0);
  expect(m2).toBeCloseTo(coverM2(a.enclosure), 6);
  for (const f of faces) expect(Math.hypot(...f.out)).toBeCloseTo(1, 9);
  // What closes over a level floor sums to that floor, straight up (divergence theorem); what hangs outside a wall covers the wall too.
  const [along, , up] = [0, 1, 2].map((i) => faces.reduce((sum, f) => sum + f.m2 * (f.out[i] ?? 0), 0)) as [
    number,
    number,
    number,
  ];
  const { floorM2, loose } = a.enclosure;
  const hangs = loose === true || cover.family === 'straw-bale';
  expect(up / floorM2).toBeGreaterThan(0.94);
  expect(up / floorM2).toBeLessThan(hangs ? 1.42 : 1.1);
  expect(Math.abs(along)).toBeLessThan(0.1 * m2);
});

test('plywood ends and boards are no skins: they let no light in, and lose as wood does', () => {
  const lift = built.find((b) => b.name === 'lift-off-cover long')?.assembly.enclosure;
  const [end] = lift?.walls ?? [];
  expect(lift?.walls).toHaveLength(2);
  expect(end?.kind).toBe('plywood');
  const frame = built.find((b) => b.name === 'sloped-cold-frame long');
  const glazed = frame?.assembly.panels.reduce((sum, p) => sum + (p.sheet.coverKey ? 1 : 0), 0) ?? 0;
  expect(glazed).toBeGreaterThan(0);
  expect(frame?.assembly.enclosure.walls?.[0]?.m2).toBeGreaterThan(1);
});

test('a bed turned to the sun takes more of it, one behind a wall less', () => {
  const frame = built.find((b) => b.name === 'lean-to long');
  if (!frame) throw new Error('no lean-to');
  const { assembly, site } = frame;
  const noon = steady(24, { sunWPerM2: 500, cloud: 0 });
  const light = (bearingDeg: number, landmarks: Parameters<typeof bedModel>[2] = []): number =>
    driveOf(bedModel(assembly, { ...site.bed, bearingDeg }, landmarks), noon, HOLLOW, USUAL_TENDING)
      .sunW.slice(11, 13)
      .reduce((a, b) => a + b, 0);
  // Near side to the south where left to right runs east.
  expect(light(90)).toBeGreaterThan(1.1 * light(270));
  const wall = {
    id: 'w',
    name: 'Wall',
    kind: 'wall' as const,
    at: { xMm: -5000, yMm: -1500 },
    bearingDeg: 90,
    lengthMm: 14000,
    widthMm: 300,
    heightMm: 4000,
  };
  expect(light(90, [wall])).toBeLessThan(0.5 * light(90));
});
