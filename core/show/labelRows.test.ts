import fc from 'fast-check';
import { labelRows, markRows } from './labelRows';

const half = (at: number, halfWidth = 20) => ({ at, halfWidth });

test('a label takes the first row in which nothing is near', () => {
  // From 0 to 40, 30 to 70, 50 to 90: the third fits beside the first again, six beyond its end.
  expect(labelRows([half(20), half(50), half(70)])).toEqual([0, 1, 0]);
  expect(labelRows([])).toEqual([]);
});

test('a label under a mark makes way for the line of the next, where that goes on down', () => {
  // The second runs into the first, so it stands a row lower; its line passes at 38, where the first would end at 40.
  expect(markRows([half(20), half(38)])).toEqual([
    { row: 0, at: 15 },
    { row: 1, at: 38 },
  ]);
  // Far enough apart each stands under its own mark.
  expect(markRows([half(20), half(90)])).toEqual([
    { row: 0, at: 20 },
    { row: 0, at: 90 },
  ]);
  // The third would fit beside the first, but the line of the second comes down through there.
  expect(markRows([half(20), half(50), half(70)]).map((m) => m.row)).toEqual([0, 1, 2]);
});

test('no label is cut off where the drawing begins', () => {
  // Centred under its mark it would begin at -10; the line of the next, at 35, cannot be cleared.
  expect(markRows([half(10), half(35)], 0)).toEqual([
    { row: 0, at: 20 },
    { row: 1, at: 35 },
  ]);
  // Cleared as far as the edge allows.
  expect(markRows([half(25), half(38)], 0)[0]).toEqual({ row: 0, at: 20 });
});

test('no label lies on another, or on a line that goes on past it, unless two marks are nearer than half a label', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 24, max: 90 }), { minLength: 1, maxLength: 12 }), (gaps) => {
      let at = 30;
      const marks = gaps.map((gap) => half((at += gap)));
      const placed = markRows(marks);
      placed.forEach((a, i) => {
        expect(Math.abs(a.at - (marks[i]?.at ?? 0))).toBeLessThanOrEqual(20);
        placed.forEach((b, j) => {
          if (i === j) return;
          if (a.row === b.row) expect(Math.abs(a.at - b.at)).toBeGreaterThanOrEqual(40);
          if (b.row > a.row) expect(Math.abs((marks[j]?.at ?? 0) - a.at)).toBeGreaterThanOrEqual(20);
        });
      });
    }),
  );
});
