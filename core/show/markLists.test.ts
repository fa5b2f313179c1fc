/** Bars, sheets and rolls as lists of marks, on a screen and on paper; and what the painter of paper makes of them. */
import fc from 'fast-check';
import highsLoader from 'highs';
import { PDFPage } from 'pdf-lib';
import { formatLength } from '../base/length';
import type { Flat } from '../base/geometry';
import { demoGarden } from '../garden/demo';
import { type CutPiece, longestDrawnMm } from '../make/cutting/bars';
import { highsSolver } from '../make/cutting/highs';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import { type Plan, plan } from '../plan';
import { onSomeBed } from '../testing/onBed';
import { barDrawing, markedPiece } from './barDrawing';
import { type Lettering, type DrawnMark, type MarkList, ON_SCREEN, box } from './drawing';
import { flatDrawing, rollStock, sheetStock } from './flatDrawing';
import { onPaper, paintMarks } from './paint';
import { MARGIN, newBook } from './pen';

let solver: IntegerSolver;
let paper: Lettering;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
  paper = onPaper((await newBook('x', 'x', 'imperial')).pen);
});

const plans = new Map<string, Plan>();
function planOf(family: string): Plan {
  const before = plans.get(family);
  if (before) return before;
  const garden = demoGarden();
  const made = plan(garden, onSomeBed(garden, family).cover, solver);
  if (!made.ok) throw new Error('no plan');
  plans.set(family, made.value);
  return made.value;
}

const textsOf = ({ marks }: MarkList) => marks.flatMap((m) => (m.kind === 'text' ? [m] : []));
const outlinesOf = ({ marks }: MarkList) => marks.flatMap((m) => (m.kind === 'outline' ? [m] : []));
const boundsOf = (points: readonly Flat[]) => {
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
};
/** Where words stand: from their left to their right, from their head to their foot. */
const roomOf = (m: DrawnMark & { kind: 'text' }, l: Lettering) => {
  const wide = l.widthOf(m.text, m.size, m.bold && !m.figure);
  const x0 = m.at[0] - (m.anchor === 'middle' ? wide / 2 : m.anchor === 'end' ? wide : 0);
  return { x0, x1: x0 + wide, y0: m.at[1] - 0.72 * m.size, y1: m.at[1] };
};

describe.each([
  ['a screen', () => ON_SCREEN, 32, 900],
  ['paper', () => paper, 20, 524],
])('on %s', (_, letters, barHigh, width) => {
  const roomFor = (p: Plan, beside = 100) =>
    ({ width, longestMm: longestDrawnMm(p.cuts), unit: 'ftin', lettering: letters(), barHigh, beside }) as const;

  test.each(['walk-in', 'lean-to', 'sloped-cold-frame'])(
    '%s: every piece of a bar is as long as it is cut at one scale, its end at its mark, its words in it or over it',
    (family) => {
      const p = planOf(family);
      const room = roomFor(p);
      const scale = (width - 100 - 3.5 * room.lettering.figure) / room.longestMm;
      for (const { bars, section } of p.cuts)
        for (const bar of bars) {
          const list = barDrawing(bar, section, room);
          const [left, ...pieces] = outlinesOf(list);
          expect(left?.fill).toBe('left over');
          expect(pieces).toHaveLength(bar.pieces.length);
          bar.pieces.forEach((piece, i) => {
            const b = boundsOf(pieces[i]?.points ?? []);
            expect(b.x1).toBeCloseTo(100 + piece.markMm * scale, 6);
            expect(b.x1 - b.x0).toBeCloseTo(piece.lengthMm * scale, 6);
            const tag = piece.holds === undefined ? piece.tag : `${piece.tag} + ${piece.holds}`;
            const said = textsOf(list).find((t) => t.text === tag && t.bold);
            if (!said) throw new Error(`${tag} is not said`);
            const at = roomOf(said, room.lettering);
            const inside = said.at[1] > b.y0;
            if (inside) expect([at.x0 >= b.x0, at.x1 <= b.x1]).toEqual([true, true]);
            else expect(said.at[0]).toBeCloseTo((b.x0 + b.x1) / 2, 6);
          });
          // Every mark in both systems, unless the bar is one piece whole.
          const whole = bar.pieces.length === 1 && bar.offcutMm < 1;
          const marks = textsOf(list)
            .filter((t) => t.ink === 'mark')
            .map((t) => t.text);
          expect(marks).toEqual(whole ? [] : bar.pieces.map((x) => formatLength(x.markMm, 'ftin')));
        }
    },
  );

  test('however short pieces are, no words of a bar lie on others, and all are within the drawing', () => {
    const p = planOf('walk-in');
    const [cut] = p.cuts;
    const bar = cut?.bars[0];
    if (!bar) throw new Error('no bar');
    const room = roomFor(p);
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 20, max: 1500, noNaN: true }), { minLength: 1, maxLength: 9 }),
        (lengths) => {
          let markMm = 0;
          const pieces = lengths.flatMap((lengthMm, i): readonly CutPiece[] => {
            markMm += lengthMm + 3;
            const [first] = bar.pieces;
            return first && markMm < bar.lengthMm ? [{ ...first, tag: `P${i + 1}`, lengthMm, markMm: markMm - 3 }] : [];
          });
          const list = barDrawing({ ...bar, pieces, offcutMm: 500 }, cut.section, room);
          const rooms = textsOf(list).map((t) => ({ t, ...roomOf(t, room.lettering) }));
          for (const [i, a] of rooms.entries()) {
            expect([a.t.text, a.y0 >= -1, a.y1 <= list.height + 1, a.x1 <= width + 1]).toEqual([
              a.t.text,
              true,
              true,
              true,
            ]);
            for (const b of rooms.slice(i + 1)) {
              const apart = a.x1 <= b.x0 + 0.5 || b.x1 <= a.x0 + 0.5 || a.y1 <= b.y0 + 0.5 || b.y1 <= a.y0 + 0.5;
              expect([a.t.text, b.t.text, apart]).toEqual([a.t.text, b.t.text, true]);
            }
          }
        },
      ),
      { numRuns: 300, endOnFailure: true },
    );
  });

  test.each(['lift-off-cover', 'sloped-cold-frame', 'lean-to', 'walk-in'])(
    '%s: pieces lie on their sheet at one scale, each with its tag in its middle',
    (family) => {
      const p = planOf(family);
      const stocks = [
        ...p.sheets.sheets.map((s) => sheetStock(s, 'ftin')),
        ...p.rolls.rolls.map((r) => rollStock(r, p.garden.units)),
      ];
      expect(stocks.length).toBeGreaterThan(0);
      for (const stock of stocks) {
        const list = flatDrawing(stock, { width, high: 150 }, letters());
        const [sheet, ...pieces] = outlinesOf(list).map((o) => boundsOf(o.points));
        if (!sheet) throw new Error('no sheet');
        const scale = (sheet.y1 - sheet.y0) / stock.wideMm;
        expect(sheet.x1 - sheet.x0).toBeCloseTo(stock.longMm * scale, 6);
        expect(pieces).toHaveLength(stock.pieces.length);
        stock.pieces.forEach((piece, i) => {
          const b = pieces[i];
          if (!b) throw new Error(piece.tag);
          expect([b.x1 - b.x0, b.y1 - b.y0]).toEqual([
            expect.closeTo(piece.sizeMm[0] * scale, 6),
            expect.closeTo(piece.sizeMm[1] * scale, 6),
          ]);
          for (const [least, most, axis] of [[sheet.x0, sheet.x1, 'x'] as const, [sheet.y0, sheet.y1, 'y'] as const])
            expect([b[`${axis}0`] >= least - 1e-6, b[`${axis}1`] <= most + 1e-6]).toEqual([true, true]);
          const tag = textsOf(list).filter((t) => t.text === piece.tag);
          expect(tag.some((t) => Math.abs(t.at[0] - (b.x0 + b.x1) / 2) < 1e-6)).toBe(true);
        });
      }
    },
  );

  test('a marked piece has every mark where the tape finds it, and its label over it', () => {
    const rail = planOf('hinged-hoop-lid').assembly.members.find((m) => m.marks.length > 3);
    if (!rail) throw new Error('no marks');
    const list = markedPiece(rail, width, 'ftin', letters());
    const scale = (width - 4 - 3 * letters().figure) / rail.lengthMm;
    const ticks = list.marks.flatMap((m) => (m.kind === 'line' && m.ink === 'mark' ? [m.from[0]] : []));
    expect(ticks).toEqual(rail.marks.map((m) => expect.closeTo(4 + m.atMm * scale, 6)));
    const said = textsOf(list).map((t) => t.text);
    expect(said).toEqual(expect.arrayContaining(rail.marks.flatMap((m) => [m.label, formatLength(m.atMm, 'ftin')])));
  });
});

test('paper shows each mark where it stands, down the page from the pen, and the pen goes on below', async () => {
  const { pen } = await newBook('x', 'x', 'imperial');
  const top = pen.y;
  const drawn: string[] = [];
  const near = (x = NaN, y = NaN): string => `${Math.round(x - MARGIN)},${Math.round(top - y)}`;
  const spies = [
    jest.spyOn(PDFPage.prototype, 'drawSvgPath').mockImplementation((path, o = {}) => {
      drawn.push(`path ${near(o.x, o.y)} ${path.slice(0, 12)}${o.borderDashArray ? ' dashed' : ''}`);
    }),
    jest.spyOn(PDFPage.prototype, 'drawLine').mockImplementation((o) => {
      drawn.push(`line ${near(o.start.x, o.start.y)} ${near(o.end.x, o.end.y)}`);
    }),
    jest.spyOn(PDFPage.prototype, 'drawCircle').mockImplementation((o = {}) => {
      drawn.push(`hole ${near(o.x, o.y)} ${o.size}`);
    }),
    jest.spyOn(PDFPage.prototype, 'drawRectangle').mockImplementation((o = {}) => {
      drawn.push(`box ${near(o.x, o.y)} ${o.width}`);
    }),
    jest.spyOn(PDFPage.prototype, 'drawText').mockImplementation((text, o = {}) => {
      drawn.push(`text ${text} ${near(o.x, o.y)}`);
    }),
  ];
  const text = { kind: 'text', text: 'abc', size: 10, ink: 'ink' } as const;
  const wide = pen.font.widthOfTextAtSize('abc', 10);
  paintMarks(pen, {
    width: 100,
    height: 60,
    marks: [
      { kind: 'outline', points: box(0, 5, 20, 10), fill: 'left over' },
      { kind: 'outline', points: box(0, 0, 7, 7), fill: 'none' },
      { kind: 'line', from: [10, 1], to: [10, 30], ink: 'mark', thick: 1 },
      { kind: 'hole', at: [15, 20], radius: 3 },
      { ...text, at: [50, 40], anchor: 'start' },
      { ...text, at: [50, 40], anchor: 'middle' },
      { ...text, at: [50, 40], anchor: 'end' },
    ],
  });
  for (const spy of spies) spy.mockRestore();
  expect(drawn).toEqual([
    'path 0,0 M0.00 5.00 L dashed',
    'box 0,7 7',
    'line 10,1 10,30',
    'hole 15,20 3',
    `text abc 50,40`,
    `text abc ${Math.round(50 - wide / 2)},40`,
    `text abc ${Math.round(50 - wide)},40`,
  ]);
  expect(pen.y).toBe(top - 60);
});
