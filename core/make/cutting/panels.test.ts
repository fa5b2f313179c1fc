import fc from 'fast-check';
import { type Flat, area } from '../../base/geometry';
import type { Panel } from '../../cover/assembly/types';
import { SHIPPED, stiffSheet } from '../../catalog/catalog';
import { planSheets } from './panels';

const PLYWOOD = stiffSheet(SHIPPED, 'plywood-1/2');
/** A board with a slope along its top, so that it is like itself in one way only. */
const slanted = (tag: string, w: number, left: number, right: number): Panel => ({
  tag,
  part: 'Board',
  sheet: PLYWOOD,
  at: [0, 0, 0],
  u: [1, 0, 0],
  v: [0, 1, 0],
  // Not from nought: a panel's outline lies where it lies.
  outline: [
    [30, -20],
    [30 + w, -20],
    [30 + w, -20 + right],
    [30, -20 + left],
  ],
  openings: [],
  channels: undefined,
  curved: false,
});
const sides = (outline: readonly Flat[]): readonly number[] =>
  outline.flatMap(([x, y], i) => outline.slice(i + 1).map(([a, b]) => Math.hypot(a - x, b - y)));
/** Twice the area, with its sign: below nought where it goes round the other way. */
const round = (outline: readonly Flat[]): number =>
  outline.reduce((sum, [x, y], i) => {
    const [a = 0, b = 0] = outline[(i + 1) % outline.length] ?? [];
    return sum + x * b - a * y;
  }, 0);

test('every panel is on its sheet as large as it is and not inside out, whichever way it lies', () => {
  const mm = fc.integer({ min: 120, max: 1150 });
  fc.assert(
    fc.property(fc.array(fc.tuple(mm, mm, mm), { minLength: 1, maxLength: 7 }), (list) => {
      const panels = list.map(([w, left, right], i) => slanted(`P${i + 1}`, 2 * w, left, right));
      const { sheets, tooLarge } = planSheets(panels, (size) => size.price);
      expect(tooLarge).toEqual([]);
      const placed = sheets.flatMap((s) => s.placed.map((p) => ({ ...p, size: s.size })));
      expect(placed.map((p) => p.tag).sort()).toEqual(panels.map((p) => p.tag).sort());
      for (const p of placed) {
        const own = panels.find((x) => x.tag === p.tag)?.outline ?? [];
        sides(p.outline).forEach((d, i) => expect(d).toBeCloseTo(sides(own)[i] ?? NaN, 6));
        expect(Math.sign(round(p.outline))).toBe(Math.sign(round(own)));
        // Its bounds are those of its outline, and lie on the sheet.
        for (const [k, [from, long, most]] of [
          [p.xMm, p.widthMm, p.size.widthMm] as const,
          [p.yMm, p.lengthMm, p.size.lengthMm] as const,
        ].entries()) {
          const on = p.outline.map((c) => c[k] ?? NaN);
          expect(Math.min(...on)).toBeCloseTo(from, 6);
          expect(Math.max(...on) - Math.min(...on)).toBeCloseTo(long, 6);
          expect(from).toBeGreaterThan(-0.51);
          expect(from + long).toBeLessThan(most + 1.01);
        }
      }
      for (const s of sheets)
        expect(s.usedShare).toBeCloseTo(
          s.placed.reduce((sum, p) => sum + area(p.outline), 0) / (s.size.widthMm * s.size.lengthMm),
          9,
        );
    }),
    { numRuns: 60 },
  );
});

test.each([
  // 1,100 by 400 and 300, channels along its bottom: a quarter turn, so that they run down the sheet.
  ['u', 1100, 400, 1100],
  ['v', 1100, 1100, 400],
] as const)(
  'channels along %s run along the sheet, and its outer face stays outer',
  (channels, w, widthMm, lengthMm) => {
    const panel = { ...slanted('P1', w, 400, 300), channels };
    const [p] = planSheets([panel], (size) => size.price).sheets[0]?.placed ?? [];
    expect([p?.widthMm, p?.lengthMm]).toEqual([widthMm, lengthMm]);
    expect(Math.sign(round(p?.outline ?? []))).toBe(Math.sign(round(panel.outline)));
    sides(p?.outline ?? []).forEach((d, i) => expect(d).toBeCloseTo(sides(panel.outline)[i] ?? NaN, 6));
  },
);

test('a board longer than the sheet is wide lies along it: turned, with its slope on the same end', () => {
  // 2,000 by 400 and 300: its bottom, that was across, runs down the sheet.
  const [sheet] = planSheets([slanted('P1', 2000, 400, 300)], (size) => size.price).sheets;
  const [p] = sheet?.placed ?? [];
  expect([p?.widthMm, p?.lengthMm]).toEqual([400, 2000]);
  expect(p?.outline.map(([x, y]) => [Math.round(x), Math.round(y)])).toEqual([
    [0, 2000],
    [0, 0],
    [300, 0],
    [400, 2000],
  ]);
});
