/** Lines on paper: each dimension as long as its figure says at the scale of its view, each piece on its sheet at one scale. */
import highsLoader from 'highs';
import { PDFPage } from 'pdf-lib';
import { formatLength } from '../base/length';
import { FAMILY_KEYS } from '../cover/families';
import { demoGarden } from '../garden/demo';
import { highsSolver } from '../make/cutting/highs';
import type { CutPiece } from '../make/cutting/bars';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import { plan } from '../plan';
import { onSomeBed } from '../testing/onBed';
import { cutPages } from './cutBook';
import { drawings } from './pdfViews';
import { MARGIN, POINTS_PER_MM, type Pen, newBook } from './pen';

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
    }
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
  pen.text = (said, x, y, size, { bold = false, centre = false } = {}) => {
    const wide = (bold ? pen.bold : pen.font).widthOfTextAtSize(said, size);
    const from = centre ? x - wide / 2 : x;
    strokes.push({ is: 'text', said, at: [x, y], bold, from, to: from + wide });
  };
  pen.box = (x, y, width, height, dashed = false) =>
    void strokes.push({ is: 'box', at: [x, y], width, height, dashed });
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
      const { pen } = await newBook('x', 'x', 'imperial');
      const strokes = await strokesOf((own) => cutPages(own, p));
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
          if (tag?.is !== 'text') continue;
          // Its sizes under its tag, where both have room; else its tag alone, across its middle.
          expect([tag.bold, (tag.from + tag.to) / 2]).toEqual([true, expect.closeTo(x + w / 2, 6)]);
          const said = [piece.lengthMm, piece.widthMm].map((mm) => formatLength(mm, garden.units.length)).join(' x ');
          const sizes = drawn.find(
            (s) => s.is === 'text' && s.said === said && s.at[0] === tag.at[0] && Math.abs(s.at[1] - y - h / 2) < 12,
          );
          expect(tag.at[1] - (y + h / 2)).toBeCloseTo(sizes ? 2 : -3, 6);
          const fits = h > 26 && pen.font.widthOfTextAtSize(said, 7.5) < w - 4;
          expect([piece.tag, sizes !== undefined]).toEqual([piece.tag, fits]);
          if (sizes?.is !== 'text') continue;
          expect([sizes.bold, sizes.at[1], (sizes.from + sizes.to) / 2]).toEqual([
            false,
            expect.closeTo(tag.at[1] - 10, 6),
            expect.closeTo(x + w / 2, 6),
          ]);
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

  test.each([
    ['walk-in', 'as it is'],
    ['lean-to', 'as it is'],
    ['lean-to', 'some of it short'],
  ])(
    '%s, %s: every piece of a bar is a box as long as it is, with its tag and its length in it, its tag, or its tag over it',
    async (key, how) => {
      const garden = demoGarden();
      const made = plan(garden, onSomeBed(garden, key).cover, solver);
      if (!made.ok) throw new Error('no plan');
      const short = (piece: CutPiece, i: number): CutPiece =>
        how === 'as it is' ? piece : { ...piece, lengthMm: [piece.lengthMm, 150, 30][i % 3] ?? 0 };
      const cuts = made.value.cuts.map((c) => ({
        ...c,
        bars: c.bars.map((b) => ({ ...b, pieces: b.pieces.map(short) })),
      }));
      const strokes = await strokesOf((pen) => cutPages(pen, { ...made.value, cuts }));
      const boxes = strokes.flatMap((s, i) => (s.is === 'box' && !s.dashed && s.height === 20 ? [{ ...s, i }] : []));
      const pieces = cuts.flatMap((c) => c.bars.flatMap((b) => b.pieces));
      expect(boxes).toHaveLength(pieces.length);
      const scale = (boxes[0]?.width ?? NaN) / (pieces[0]?.lengthMm ?? NaN);
      const ways = new Set<string>();
      for (const [k, piece] of pieces.entries()) {
        const box = boxes[k];
        if (!box) throw new Error('no box');
        const [x, right, y] = [box.at[0], box.at[0] + box.width, box.at[1]];
        expect(box.width).toBeCloseTo(piece.lengthMm * scale, 6);
        const tag = piece.holds === undefined ? piece.tag : `${piece.tag} + ${piece.holds}`;
        const after = strokes.slice(box.i + 1);
        const inIt = after.slice(
          0,
          after.findIndex((s) => s.is !== 'text'),
        );
        const [first, second] = inIt.flatMap((s) => (s.is === 'text' ? [s] : []));
        ways.add(second ? 'both' : first ? 'tag' : 'over');
        if (first) {
          expect([first.said, first.bold, first.at[1]]).toEqual([tag, true, expect.closeTo(y + 7, 6)]);
          expect(first.from).toBeGreaterThanOrEqual(x + (second ? 4 : 1) - 1e-6);
          expect(first.to).toBeLessThanOrEqual((second?.from ?? right) - (second ? 4 : 1) + 1e-6);
        }
        if (first && !second) expect((first.from + first.to) / 2).toBeCloseTo((x + right) / 2, 6);
        if (second) {
          const said = formatLength(piece.lengthMm, garden.units.length);
          expect([second.said, second.bold, second.at[1]]).toEqual([said, false, expect.closeTo(y + 7, 6)]);
          expect(second.to).toBeCloseTo(right - 4, 6);
        }
        if (first) continue;
        const over = strokes.slice(0, box.i).filter((s) => s.is === 'text' && s.said === tag && s.bold);
        expect(
          over.some((s) => s.is === 'text' && s.at[1] > y + 20 && Math.abs((s.from + s.to - x - right) / 2) < 1e-6),
        ).toBe(true);
      }
      if (how !== 'as it is') expect([...ways].sort()).toEqual(['both', 'over', 'tag']);
    },
  );
});
