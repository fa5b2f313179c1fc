/** Lines on paper: each dimension as long as its figure says at the scale of its view, each piece on its sheet at one scale. */
import highsLoader from 'highs';
import { formatLength } from '../base/length';
import { FAMILY_KEYS } from '../build/families';
import { demoGarden } from '../garden/demo';
import { highsSolver } from '../make/cutting/highs';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import { plan } from '../plan';
import { onSomeBed } from '../testing/onBed';
import { cutPages } from './cutBook';
import { drawings } from './pdfViews';
import { MARGIN, POINTS_PER_MM, type Pen, newBook } from './pen';

type Point = readonly [number, number];
type Stroke =
  | { readonly is: 'line'; readonly from: Point; readonly to: Point; readonly thickness: number }
  | { readonly is: 'text'; readonly said: string; readonly at: Point; readonly bold: boolean }
  | {
      readonly is: 'box';
      readonly at: Point;
      readonly width: number;
      readonly height: number;
      readonly dashed: boolean;
    };

/** All that the pen does, in order. */
async function strokesOf(draw: (pen: Pen) => void): Promise<readonly Stroke[]> {
  const { pen } = await newBook('x', 'x', 'imperial');
  const strokes: Stroke[] = [];
  pen.line = (x0, y0, x1, y1, thickness = 0.9) =>
    void strokes.push({ is: 'line', from: [x0, y0], to: [x1, y1], thickness });
  pen.text = (said, x, y, _, { bold = false } = {}) => void strokes.push({ is: 'text', said, at: [x, y], bold });
  pen.box = (x, y, width, height, dashed = false) =>
    void strokes.push({ is: 'box', at: [x, y], width, height, dashed });
  draw(pen);
  return strokes;
}

const far = ([a, b]: Point, [c, d]: Point): number => Math.hypot(a - c, b - d);
test.each(FAMILY_KEYS)(
  '%s: dimensions are as long as their figures, between ticks that their feet come from',
  async (key) => {
    const o = onSomeBed(demoGarden(), key);
    const strokes = await strokesOf((pen) => drawings(pen, o));
    let scale = 0;
    let feet: (Stroke & { is: 'line' })[] = [];
    let drawn = 0;
    for (const [i, s] of strokes.entries()) {
      if (s.is === 'text' && s.bold) scale = Number(/1 : (\d+)$/.exec(s.said)?.[1]);
      if (s.is === 'line' && s.thickness === 0.25) feet.push(s);
      if (s.is !== 'line' || s.thickness !== 0.5) continue;
      drawn++;
      const after = strokes.slice(i + 1, i + 5);
      const ticks = after.flatMap((t) => (t.is === 'line' && t.thickness === 1.1 ? [t] : [])).slice(0, 2);
      const figure = after.find((t) => t.is === 'text');
      const known = o.assembly.dimensions.filter((d) => formatLength(d.valueMm, 'ftin') === figure?.said);
      expect([figure?.said, known.length > 0]).toEqual([figure?.said, true]);
      if (known.some((d) => d.side === 'leader')) {
        // A leader goes from its words to what they are of; the name of it stands over its figure.
        const words = strokes.slice(i + 1, i + 3);
        expect(words.map((t) => t.is)).toEqual(['text', 'text']);
        const [value, name] = words.flatMap((t) => (t.is === 'text' ? [t.at] : []));
        expect((name?.[1] ?? 0) - (value?.[1] ?? 0)).toBeGreaterThan(5);
        feet = [];
        continue;
      }
      const longMm = (far(s.from, s.to) / POINTS_PER_MM) * scale;
      expect(Math.min(...known.map((d) => Math.abs(d.valueMm - longMm)))).toBeLessThan(1);
      // A tick lies across each end, 5 points each way.
      expect(ticks.map((t) => [(t.from[0] + t.to[0]) / 2, (t.from[1] + t.to[1]) / 2])).toEqual([
        [expect.closeTo(s.from[0], 6), expect.closeTo(s.from[1], 6)],
        [expect.closeTo(s.to[0], 6), expect.closeTo(s.to[1], 6)],
      ]);
      for (const t of ticks)
        expect([t.to[0] - t.from[0], t.to[1] - t.from[1]]).toEqual([expect.closeTo(5, 6), expect.closeTo(5, 6)]);
      // Feet stand square on the line, each at one of its ends.
      for (const f of feet) {
        const along = (f.to[0] - f.from[0]) * (s.to[0] - s.from[0]) + (f.to[1] - f.from[1]) * (s.to[1] - s.from[1]);
        expect(Math.abs(along)).toBeLessThan(1e-6 * far(s.from, s.to) + 1e-6);
        const beside = Math.min(
          ...[s.from, s.to].map((e) => Math.min(Math.abs(f.to[0] - e[0]), Math.abs(f.to[1] - e[1]))),
        );
        expect(beside).toBeLessThan(1e-6);
      }
      expect(feet.length).toBeLessThanOrEqual(2);
      feet = [];
      const middle = figure?.is === 'text' ? figure.at : [0, 0];
      expect(
        far([middle[0] ?? 0, middle[1] ?? 0], [(s.from[0] + s.to[0]) / 2, (s.from[1] + s.to[1]) / 2]),
      ).toBeLessThan(far(s.from, s.to) / 2 + 40);
    }
    expect(drawn).toBe(o.assembly.dimensions.length);
  },
);

describe('sheets and rolls', () => {
  let solver: IntegerSolver;
  beforeAll(async () => {
    solver = highsSolver(await highsLoader(), () => performance.now());
  });

  test.each(['lift-off-cover', 'sloped-cold-frame', 'double-wall-cold-frame', 'walk-in'])(
    '%s: every piece lies on its sheet, at one scale, its tag in its middle',
    async (key) => {
      const garden = demoGarden();
      const made = plan(garden, onSomeBed(garden, key).cover, solver);
      if (!made.ok) throw new Error('no plan');
      const p = made.value;
      const strokes = await strokesOf((pen) => cutPages(pen, p));
      const sheets = [...p.sheets.sheets.map((s) => s.size), ...p.rolls.rolls.map((r) => r.roll)];
      const placed = [
        ...p.sheets.sheets.map((s) => s.placed),
        ...p.rolls.rolls.map((r) =>
          r.placed.map((q) => ({ tag: q.tag, xMm: q.sideMm, yMm: q.atMm, widthMm: q.widthMm, lengthMm: q.runMm })),
        ),
      ];
      const starts = strokes.flatMap((s, i) => (s.is === 'box' && s.dashed && s.at[0] === MARGIN ? [i] : []));
      // Bars that are left over are dashed too: sheets are the last.
      const own = starts.slice(-sheets.length);
      expect(own).toHaveLength(sheets.length);
      expect(sheets.length).toBeGreaterThan(0);
      for (const [k, at] of own.entries()) {
        const [sheet, size, pieces] = [strokes[at], sheets[k], placed[k] ?? []];
        if (sheet?.is !== 'box' || !size) throw new Error('no sheet');
        const scale = sheet.height / size.widthMm;
        expect(sheet.width).toBeLessThanOrEqual(size.lengthMm * scale + 1e-6);
        // Over it a box to tick, and its name beside the box.
        const [tick, title] = strokes.slice(at - 2, at);
        if (tick?.is !== 'box' || title?.is !== 'text') throw new Error('no title');
        expect([tick.at[0], title.at[0], title.bold]).toEqual([MARGIN, MARGIN + 14, true]);
        expect(tick.at[1]).toBeGreaterThan(sheet.at[1] + sheet.height);
        const next = own[k + 1] ?? strokes.length;
        const drawn = strokes.slice(at + 1, next);
        const ends = drawn.flatMap((d): readonly Point[] => (d.is === 'line' ? [d.from, d.to] : []));
        for (const [x, y] of ends) {
          expect(Math.abs(x - sheet.at[0] - sheet.width / 2)).toBeLessThan(sheet.width / 2 + 1e-6);
          expect(Math.abs(y - sheet.at[1] - sheet.height / 2)).toBeLessThan(sheet.height / 2 + 1e-6);
        }
        // An outline comes back to where it began.
        const sides: (Stroke & { is: 'line' })[] = [];
        for (const d of drawn) {
          if (d.is === 'line') sides.push(d);
          if (d.is !== 'text') continue;
          const round = sides.splice(0);
          for (const [i, side] of round.entries())
            expect(far(side.to, round[(i + 1) % round.length]?.from ?? [0, 0])).toBeLessThan(1e-6);
        }
        for (const piece of pieces) {
          const [x, y] = [
            sheet.at[0] + piece.yMm * scale,
            sheet.at[1] + sheet.height - (piece.xMm + piece.widthMm) * scale,
          ];
          const [w, h] = [piece.lengthMm * scale, piece.widthMm * scale];
          const tag = drawn.find(
            (s) =>
              s.is === 'text' &&
              s.said === piece.tag &&
              Math.abs(s.at[0] - (x + w / 2)) < 1e-6 &&
              s.at[1] > y - 3 &&
              s.at[1] < y + h,
          );
          expect([piece.tag, tag !== undefined]).toEqual([piece.tag, true]);
          const corners = drawn.flatMap((s): readonly Point[] =>
            s.is === 'box' ? [s.at, [s.at[0] + s.width, s.at[1] + s.height]] : s.is === 'line' ? [s.from, s.to] : [],
          );
          // Its own outline reaches its bounds on each side, and nothing drawn leaves the sheet.
          for (const [axis, bound] of [
            [0, x],
            [0, x + w],
            [1, y],
            [1, y + h],
          ] as const)
            expect([piece.tag, corners.some((c) => Math.abs(c[axis] - bound) < 1e-6)]).toEqual([piece.tag, true]);
          expect(w).toBeLessThanOrEqual(sheet.width + 1e-6);
          expect(x + w).toBeLessThanOrEqual(sheet.at[0] + sheet.width + 1e-6);
          expect(y).toBeGreaterThanOrEqual(sheet.at[1] - 1e-6);
        }
      }
    },
  );
});
