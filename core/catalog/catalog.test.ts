import { roundLength, stockFor } from './market';
import { SHIPPED, fitOf, section, stiffSheet } from './catalog';
import { areaMm2, inertiaMm4, massKg, stiffnessNMm2 } from './sections';

const IN = 25.4;

test.each([
  ['2x4', 1.5, 3.5],
  ['2x4 treated', 1.5, 3.5],
  ['1x2', 0.75, 1.5],
  ['2x12', 1.5, 11.25],
  ['5/4 deck', 1, 5.5],
])('%s is its actual size, not its nominal one', (key, thick, wide) => {
  expect(section(SHIPPED, key).shape).toEqual({ kind: 'board', thicknessMm: thick * IN, widthMm: wide * IN });
});

test.each([
  ['pvc-1/2', 0.84, 0.622],
  ['pvc-1-1/2', 1.9, 1.61],
  ['emt-3/4', 0.922, 0.824],
  ['wire-9', 0.148, 0],
])('%s has its standard diameters', (key, outside, inside) => {
  const { shape } = section(SHIPPED, key);
  if (shape.kind !== 'tube') throw new Error('tube');
  expect([shape.outsideMm, shape.insideMm]).toEqual([outside * IN, inside * IN]);
});

test('every section has stock with prices, a tool with a kerf, a material and a source', () => {
  for (const s of SHIPPED.bar.values()) {
    // Mesh wire is bought as mesh, by the roll.
    expect(s.stock.length > 0).toBe(s.key !== 'mesh-wire');
    for (const bar of s.stock) {
      expect(bar.lengthMm).toBeGreaterThan(100);
      expect(bar.price).toBeGreaterThan(0);
    }
    expect(s.tool.kerfMm).toBeGreaterThanOrEqual(0);
    expect(s.material.source.length).toBeGreaterThan(10);
    expect(s.source.length).toBeGreaterThan(10);
    if (s.shape.kind === 'tube') expect(s.shape.outsideMm).toBeGreaterThan(s.shape.insideMm);
  }
});

test('stiffness, area and weight come from the section', () => {
  const s = section(SHIPPED, '2x4');
  expect(areaMm2(s)).toBeCloseTo(1.5 * 3.5 * IN * IN, 6);
  expect(inertiaMm4(s, 'width') / inertiaMm4(s, 'thickness')).toBeCloseTo((3.5 / 1.5) ** 2, 9);
  expect(massKg(s, 2438.4)).toBeCloseTo(3.716, 2);
  const pvc = section(SHIPPED, 'pvc-1/2');
  expect(stiffnessNMm2(pvc, 'weeks')).toBeCloseTo(stiffnessNMm2(pvc, 'fresh') / 2, 6);
  expect(stiffnessNMm2(section(SHIPPED, 'emt-1/2'), 'weeks')).toBe(stiffnessNMm2(section(SHIPPED, 'emt-1/2'), 'fresh'));
  expect(() => section(SHIPPED, 'gold')).toThrow('No section "gold"');
});

test('covers let light in, help against frost in order of weight, and come on rolls', () => {
  for (const c of SHIPPED.cover.values()) {
    // White film and heavy fabric let least through; bare mesh lets all.
    expect(c.light).toBeGreaterThanOrEqual(c.key === 'film-white' ? 0.3 : 0.4);
    expect(c.light).toBeLessThanOrEqual(c.kind === 'mesh' ? 1 : 0.95);
    // Stiff glazing comes in sheets, and two films are two sheets of one.
    expect(c.rolls.length > 2).toBe(!['film-double', 'glass', 'corrugated', 'twin-wall'].includes(c.key));
    expect(new Set(c.rolls.map((r) => r.key)).size).toBe(c.rolls.length);
  }
  const help = (key: string): number => SHIPPED.cover.get(key)?.frostHelpC ?? NaN;
  expect(help('fabric-50')).toBeGreaterThan(help('fabric-30'));
  expect(help('fabric-30')).toBeGreaterThan(help('fabric-19'));
  expect(help('net')).toBe(0);
});

test('a pipe goes over a rod with a hundredth of an inch of play at the least and twelve at the most', () => {
  const { leastMm, mostMm } = fitOf(SHIPPED, 'sleeve');
  expect([leastMm, mostMm]).toEqual([expect.closeTo(0.254, 9), expect.closeTo(3.048, 9)]);
});

test('stiff sheets have a thickness, a weight, sizes, and glazing its place in the table of covers', () => {
  for (const s of SHIPPED.sheet.values()) {
    expect(s.thicknessMm).toBeGreaterThan(3);
    expect(s.kgPerM2).toBeGreaterThan(1);
    expect(s.kind === 'glazing').toBe(s.coverKey !== null);
    if (s.coverKey !== null) expect(SHIPPED.cover.get(s.coverKey)?.kind).toBe('glazing');
    expect(s.sizes.length > 0).toBe(s.key !== 'old-window');
    for (const size of s.sizes) expect(size.price).toBeGreaterThan(0);
  }
  expect(() => stiffSheet(SHIPPED, 'gold')).toThrow('No sheet "gold"');
});

test('hardware comes in packs', () => {
  for (const item of SHIPPED.item.values()) {
    expect(item.packSize).toBeGreaterThanOrEqual(1);
    expect(item.packPrice).toBeGreaterThan(0);
  }
});

test('what a metric shop has for a board: treated stays treated, what has no equal stays', () => {
  expect(['2x4', '2x4 treated', 'pvc-1', 'rod-4', 'rod-4 treated'].map((k) => stockFor('metric', k))).toEqual([
    '38x89 mm',
    '38x89 mm treated',
    'pvc-32',
    'rod-4',
    'rod-4 treated',
  ]);
  expect(stockFor('imperial', '2x4 treated')).toBe('2x4 treated');
  // Down to a quarter inch under two feet, half from there; 5, 10 and 50 mm.
  expect([25, 610].map((mm) => roundLength(mm, 'imperial'))).toEqual([19.05, 609.6].map((x) => expect.closeTo(x, 6)));
  expect([23, 306, 649].map((mm) => roundLength(mm, 'metric'))).toEqual([20, 300, 600]);
  expect([23, 306, 649].map((mm) => roundLength(mm, 'metric', 'up'))).toEqual([25, 310, 650]);
});

test('a longer bar of a section costs more, by about as much as it is longer', () => {
  for (const s of SHIPPED.bar.values()) {
    const bars = [...s.stock].sort((a, b) => a.lengthMm - b.lengthMm);
    bars.slice(1).forEach((bar, i) => {
      const shorter = bars[i];
      if (!shorter) return;
      expect(bar.price).toBeGreaterThan(shorter.price);
      const each = bar.price / bar.lengthMm / (shorter.price / shorter.lengthMm);
      expect([s.key, each > 0.5, each < 2]).toEqual([s.key, true, true]);
    });
    // Nothing of a garden shop costs as little as a cent a metre, or as much as a hundred.
    for (const bar of bars) {
      const metre = bar.price / (bar.lengthMm / 1000);
      expect([s.key, metre > 0.05, metre < 60]).toEqual([s.key, true, true]);
    }
  }
});
