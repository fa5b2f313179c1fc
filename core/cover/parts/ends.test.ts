import { SHIPPED, stiffSheet } from '../../catalog/catalog';
import { outlineSize } from '../../base/geometry';
import { PAPERS, offsetTable, plywoodEnd, printedArea, templatePages } from './ends';

const SPAN = 1000;
const arc = Array.from({ length: 181 }, (_, i) => {
  const angle = Math.PI - (i * Math.PI) / 180;
  return { y: SPAN / 2 + (SPAN / 2) * Math.cos(angle), z: 300 + (SPAN / 2) * Math.sin(angle) };
});
const end = plywoodEnd({ tag: 'E1', sheet: stiffSheet(SHIPPED, 'plywood-1/4'), x: 0, line: arc, vent: 'high' });

test('offsets every 2 in follow the true curve, and both ends and the crown are given', () => {
  const rows = offsetTable(end.outline);
  expect(rows[0]?.atMm).toBe(0);
  expect(rows[rows.length - 1]?.atMm).toBeCloseTo(SPAN, 1);
  expect(Math.max(...rows.map((r) => r.toMm))).toBeCloseTo(SPAN / 2, 1);
  for (const { atMm, toMm, fromMm } of rows) {
    expect(toMm).toBeCloseTo(Math.sqrt(Math.max(0, (SPAN / 2) ** 2 - (atMm - SPAN / 2) ** 2)), 0);
    expect(fromMm).toBeCloseTo(0, 6);
  }
  expect(rows.filter((r) => Math.abs(r.atMm / 50.8 - Math.round(r.atMm / 50.8)) < 0.001).length).toBe(20);
  expect(offsetTable(end.outline, 50).some((r) => r.atMm === 450)).toBe(true);
});

test('the vent lies inside the curve', () => {
  expect(end.openings).toHaveLength(1);
  for (const [u, v] of end.openings[0] ?? []) expect(Math.hypot(u - SPAN / 2, v - 300)).toBeLessThan(SPAN / 2 - 20);
  const low = plywoodEnd({
    tag: 'E1',
    sheet: stiffSheet(SHIPPED, 'plywood-1/4'),
    x: 0,
    vent: 'high',
    line: arc.map((p) => ({ y: p.y, z: 300 + (p.z - 300) / 4 })),
  });
  expect(low.openings).toHaveLength(0);
});

test.each(Object.keys(PAPERS) as (keyof typeof PAPERS)[])(
  'pages of %s cover every piece of the edge, without blank ones',
  (paper) => {
    const pages = templatePages(end, paper);
    const { widthMm, heightMm } = printedArea(paper);
    const all = Math.ceil(outlineSize(end.outline).uMm / widthMm) * Math.ceil(outlineSize(end.outline).vMm / heightMm);
    expect(pages.length).toBeGreaterThan(4);
    expect(pages.length).toBeLessThan(all);
    for (const [u, v] of end.outline)
      expect(
        pages.some(
          (p) =>
            u >= p.leftMm - 0.1 &&
            u <= p.leftMm + widthMm + 0.1 &&
            v >= p.bottomMm - 0.1 &&
            v <= p.bottomMm + heightMm + 0.1,
        ),
      ).toBe(true);
  },
);
