import fc from 'fast-check';
import type { ArchRow } from '../../cover/assembly/rows';
import { demoGarden } from '../../garden/demo';
import { assessCover } from '../../plan';
import { type Loading, loadHoop } from './loaded';
import { designSnow } from './snow';
import { hoopStrength } from './snowStrength';

const garden = demoGarden();
const archOf = (id: string): ArchRow => {
  const cover = garden.covers.find((c) => c.id === id);
  const o = cover && assessCover(garden, cover);
  const arch = o?.ok ? o.value.assembly.arches[0] : undefined;
  if (!arch) throw new Error(id);
  return arch;
};
const lid = archOf('winter-lid');
const tunnel = archOf('spring-tunnel');
const snow = designSnow({ by: 'depth', depthMm: 150, kind: 'wet' }, 'normal');
const NONE: Loading = { snowCase: 'even', flatPa: 0, windPa: 0, ends: 'shut' };

test('without a load it stands as it is bent', () => {
  for (const arch of [lid, tunnel]) {
    const { points, gives, crownDownMm } = loadHoop(arch, snow, NONE);
    expect(gives).toBeUndefined();
    expect(crownDownMm).toBeCloseTo(0, 0);
    expect(Math.max(...points.map((p) => p.z)) - arch.footZMm).toBeCloseTo(arch.hoop.heightMm, 0);
    expect(points.at(-1)?.y).toBeCloseTo(arch.footYMm + arch.hoop.spanMm, 1);
  }
});

test('it gives way at the load that the check says, each case of snow by itself', () => {
  for (const arch of [lid, tunnel]) {
    const { ratio } = hoopStrength(arch, snow);
    const parts = (['even', 'one-sided'] as const).map((snowCase) => {
      const { gives } = loadHoop(arch, snow, { ...NONE, snowCase, flatPa: 4 * ratio * snow.flatPa });
      return 4 * ratio * (gives?.part ?? NaN);
    });
    expect(Math.min(...parts) / ratio).toBeCloseTo(1, 1);
    expect(Math.max(...parts)).toBeGreaterThan(1.01 * ratio);
  }
});

test('the more snow, the lower the crown; the shoulders bend, and kink; one-sided it goes aside from the snow', () => {
  const { ratio } = hoopStrength(lid, snow);
  const at = (part: number, snowCase: 'even' | 'one-sided') =>
    loadHoop(lid, snow, { ...NONE, snowCase, flatPa: part * ratio * snow.flatPa });
  const down = [0.2, 0.5, 0.9].map((p) => at(p, 'even').crownDownMm);
  expect(down).toEqual([...down].sort((a, b) => a - b));
  // The crown, bent most at first, is eased; the shoulders take over.
  const [still, laden] = [0, 0.9].map((p) => at(p, 'even').points.map((x) => x.used)) as [number[], number[]];
  expect(laden[20]).toBeLessThan(still[20] ?? 0);
  expect(laden[8]).toBeGreaterThan(still[8] ?? 1);
  const gave = at(1.2, 'even').gives;
  expect(gave?.by).toBe('kink');
  expect(Math.abs((gave?.at ?? 20) - 20)).toBeGreaterThan(5);
  expect(at(0.9, 'one-sided').asideMm).toBeLessThan(-1);
  // Snow on the right half alone.
  const bare = at(0.5, 'one-sided').points.slice(0, 18);
  expect(Math.max(...bare.map((p) => p.snowPa))).toBe(0);
});

test('wind from the left leans a hoop to the right; an open end presses outward on all of it', () => {
  fc.assert(
    fc.property(fc.double({ min: 100, max: 400, noNaN: true }), (windPa) => {
      const [shut, open] = (['shut', 'open'] as const).map((ends) => loadHoop(tunnel, snow, { ...NONE, windPa, ends }));
      expect(shut?.asideMm).toBeGreaterThan(0);
      shut?.points.forEach((p, i) => expect(p.windPa - (open?.points[i]?.windPa ?? NaN)).toBeCloseTo(0.37 * windPa, 6));
      expect(shut?.points[2]?.windPa).toBeGreaterThan(0);
      expect(shut?.points[20]?.windPa).toBeLessThan(0);
    }),
    { numRuns: 6 },
  );
});

test('a gust alone presses the windward side, lifts the middle, and leans it to leeward; twice as hard, twice as far', () => {
  const blown = (windPa: number, ends: Loading['ends'] = 'shut') => loadHoop(lid, snow, { ...NONE, windPa, ends });
  const { points, asideMm } = blown(40);
  const at = (across: number) => points[Math.round(across * (points.length - 1))]?.windPa ?? NaN;
  // An arch is taken no higher than .6 of its span.
  const rise = Math.min(0.6, lid.hoop.heightMm / lid.hoop.spanMm);
  // Arch from the ground: windward 1.4 r, middle -.7 - r, lee -.5; .18 inside.
  expect(at(0.02)).toBeCloseTo(40 * (1.4 * rise - 0.18), 6);
  expect(at(0.5)).toBeCloseTo(40 * (-0.7 - rise - 0.18), 6);
  expect(at(0.98)).toBeCloseTo(40 * (-0.5 - 0.18), 6);
  expect(asideMm).toBeGreaterThan(0);
  expect(blown(20).asideMm / asideMm).toBeCloseTo(0.5, 1);
  // With an end open .55 of it is inside.
  const { points: open } = blown(40, 'open');
  expect(open[Math.round(0.5 * (open.length - 1))]?.windPa).toBeCloseTo(40 * (-0.7 - rise - 0.55), 6);
});
