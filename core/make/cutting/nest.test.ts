import { SHIPPED, stiffSheet } from '../../catalog/catalog';
import type { Flat } from '../../base/geometry';
import fc from 'fast-check';
import type { Panel } from '../../cover/assembly/types';
import { type Blank, headToTail } from './nest';
import { cutsText, planSheets } from './panels';

const blankOf = (tag: string, outline: readonly Flat[]): Blank => ({
  piece: {
    tag,
    widthMm: Math.max(...outline.map((c) => c[0])),
    lengthMm: Math.max(...outline.map((c) => c[1])),
    turns: true,
  },
  parts: [{ tag, outline }],
});
const arch = (width: number, height: number): readonly Flat[] =>
  Array.from({ length: 41 }, (_, i) => {
    const angle = (Math.PI * i) / 40;
    return [(width / 2) * (1 + Math.cos(angle)), height * Math.sin(angle)] as const;
  });
/** Whether some edge of one of two convex outlines has all of the other on its far side, at least so far away. */
const apart = (a: readonly Flat[], b: readonly Flat[], gap: number): boolean =>
  [a, b].some((from, k) => {
    const to = k === 0 ? b : a;
    return from.some(([x0, y0], i) => {
      const [x1, y1] = from[(i + 1) % from.length] ?? [x0, y0];
      const length = Math.hypot(x1 - x0, y1 - y0);
      if (length < 1e-9) return false;
      const side = ([x, y]: Flat): number => ((x1 - x0) * (y - y0) - (y1 - y0) * (x - x0)) / length;
      const out = Math.sign(from.reduce((sum, c) => sum + side(c), 0)) * -1;
      return to.every((c) => side(c) * out >= gap - 1e-6);
    });
  });

test('two triangles make a rectangle, two arches save a little, two rectangles nothing', () => {
  const triangle: readonly Flat[] = [
    [0, 0],
    [600, 0],
    [0, 400],
  ];
  const [pair, ...none] = headToTail([blankOf('A', triangle), blankOf('B', triangle)], 0);
  expect(none).toEqual([]);
  expect(pair?.piece).toMatchObject({ tag: 'A + B', widthMm: 600, lengthMm: 400 });
  const arches = headToTail(
    [blankOf('A', arch(1000, 500)), blankOf('B', arch(1000, 500)), blankOf('C', arch(900, 500))],
    3,
  );
  expect(arches.map((b) => b.piece.tag)).toEqual(['A + B', 'C']);
  expect((arches[0]?.piece.widthMm ?? 0) * (arches[0]?.piece.lengthMm ?? 0)).toBeLessThan(0.96 * 2 * 1000 * 500);
  const square: readonly Flat[] = [
    [0, 0],
    [400, 0],
    [400, 400],
    [0, 400],
  ];
  expect(headToTail([blankOf('A', square), blankOf('B', square)], 3)).toHaveLength(2);
});

test('whatever the outline, two that lie head to tail do not touch and stay in their blank', () => {
  const corner = fc.tuple(fc.double({ min: 0, max: 800, noNaN: true }), fc.double({ min: 0, max: 500, noNaN: true }));
  fc.assert(
    fc.property(fc.tuple(corner, corner), fc.double({ min: 0, max: 6, noNaN: true }), ([[p, q], [r, s]], gap) => {
      // A convex four-sided plate standing on its lower edge.
      const plate: readonly Flat[] = [
        [0, 0],
        [900, 0],
        [800 + (r / 800) * 100, 200 + (s / 500) * 300],
        [(p / 800) * 100, 200 + (q / 500) * 300],
      ];
      for (const { piece, parts } of headToTail([blankOf('A', plate), blankOf('B', plate)], gap)) {
        for (const part of parts)
          for (const [a, b] of part.outline) {
            expect(a).toBeGreaterThanOrEqual(-1e-6);
            expect(b).toBeGreaterThanOrEqual(-1e-6);
            expect(a).toBeLessThanOrEqual(piece.widthMm + 1e-6);
            expect(b).toBeLessThanOrEqual(piece.lengthMm + 1e-6);
          }
        const [one, two] = parts;
        if (one && two) expect(apart(one.outline, two.outline, 0)).toBe(true);
      }
    }),
  );
});

test('curved ends share a sheet that their rectangles would not, and say how they come apart', () => {
  const end = (tag: string): Panel => ({
    tag,
    part: 'End',
    sheet: stiffSheet(SHIPPED, 'plywood-1/4'),
    at: [0, 0, 0],
    u: [0, 1, 0],
    v: [0, 0, 1],
    outline: arch(1300, 640),
    openings: [],
    channels: undefined,
    curved: true,
  });
  const { sheets } = planSheets([end('E1'), end('E2')], (size) => size.price);
  expect(sheets).toHaveLength(1);
  expect(sheets[0]?.placed.map((p) => p.tag)).toEqual(['E1', 'E2']);
  for (const p of sheets[0]?.placed ?? []) expect([p.widthMm, p.lengthMm].sort((a, b) => a - b)).toEqual([640, 1300]);
  const [sheet] = sheets;
  if (!sheet) throw new Error('no sheet');
  expect(sheet.blanks).toHaveLength(1);
  expect(cutsText(sheet, 'mm')).toContain('E1 + E2 apart between their slopes');
});

test('the saw takes its width between two that lie head to tail', () => {
  const triangle: readonly Flat[] = [
    [0, 0],
    [600, 0],
    [0, 400],
  ];
  const wide = (gap: number): number => {
    const [pair] = headToTail([blankOf('A', triangle), blankOf('B', triangle)], gap);
    return (pair?.piece.widthMm ?? NaN) + (pair?.piece.lengthMm ?? NaN) - 1000;
  };
  // Side by side they touch along the slope: one is moved out by as much as the saw takes.
  expect([wide(0), wide(3), wide(5)]).toEqual([0, 3, 5]);
});
