/** Lines on paper: each dimension as long as its figure says at the scale of its view. */
import { PDFPage } from 'pdf-lib';
import { formatLength } from '../base/length';
import { FAMILY_KEYS } from '../cover/families';
import { demoGarden } from '../garden/demo';
import { onSomeBed } from '../testing/onBed';
import { drawings } from './pdfViews';
import { POINTS_PER_MM, type Pen, newBook } from './pen';

type Point = readonly [number, number];
type Stroke =
  | { readonly is: 'line'; readonly from: Point; readonly to: Point; readonly thickness: number }
  | {
      readonly is: 'text';
      readonly said: string;
      readonly at: Point;
      readonly bold: boolean;
      /** From its left to its right end, whether it is set from there or from its middle. */
      readonly from: number;
      readonly to: number;
    };

/** All that the pen does, in order. */
async function strokesOf(draw: (pen: Pen) => void): Promise<readonly Stroke[]> {
  const { pen } = await newBook('x', 'x', 'imperial');
  const strokes: Stroke[] = [];
  pen.line = (x0, y0, x1, y1, thickness = 0.9) =>
    void strokes.push({ is: 'line', from: [x0, y0], to: [x1, y1], thickness });
  pen.text = (said, x, y, size, { bold = false, centre = false } = {}) => {
    const wide = (bold ? pen.bold : pen.font).widthOfTextAtSize(said, size);
    const from = centre ? x - wide / 2 : x;
    strokes.push({ is: 'text', said, at: [x, y], bold, from, to: from + wide });
  };
  draw(pen);
  return strokes;
}

test('under every figure of a drawing the paper is white, so that no line runs through it', async () => {
  const o = onSomeBed(demoGarden(), 'hinged-hoop-lid');
  const white: { x: number; y: number; width: number; height: number }[] = [];
  const spy = jest.spyOn(PDFPage.prototype, 'drawRectangle').mockImplementation((options = {}) => {
    const { x = 0, y = 0, width = 0, height = 0 } = options;
    white.push({ x, y, width, height });
  });
  try {
    const strokes = await strokesOf((pen) => drawings(pen, o));
    const values = new Set(o.assembly.dimensions.map((d) => formatLength(d.valueMm, 'ftin')));
    const figures = strokes.flatMap((s) => (s.is === 'text' && values.has(s.said) ? [s] : []));
    expect(figures).toHaveLength(o.assembly.dimensions.length);
    expect(white).toHaveLength(figures.length);
    for (const [i, f] of figures.entries()) {
      const box = white[i];
      if (!box) throw new Error('no white');
      // Two points more on every side, from under its foot to over its head.
      expect([box.x, box.x + box.width]).toEqual([expect.closeTo(f.from - 2, 6), expect.closeTo(f.to + 2, 6)]);
      expect(box.y).toBeCloseTo(f.at[1] - 2, 6);
      expect(box.y + box.height).toBeGreaterThan(f.at[1] + 6);
    }
  } finally {
    spy.mockRestore();
  }
});

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
