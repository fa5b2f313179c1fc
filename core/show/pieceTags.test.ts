import fc from 'fast-check';
import { pieceTags } from './pieceTags';
import type { Drawn } from './project';

const pipe = (tag: string, points: Drawn['points'], behind?: readonly string[]): Drawn => ({
  stuff: 'pipe',
  tag,
  points,
  widthMm: 20,
  ...(behind && { behind }),
});
const board = (tag: string, x: number, y: number, w: number, h: number): Drawn => ({
  stuff: 'timber',
  tag,
  points: [
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ],
  widthMm: undefined,
});
const painter = {
  on: (p: readonly [number, number]) => p,
  widthOf: (text: string) => 10 * text.length,
  high: 12,
  left: -500,
  right: 2000,
};

test('a tag stands in the middle of its piece, and only where the piece is in play', () => {
  const shapes = [
    board('A1', 0, 0, 1000, 40),
    board('A2', 0, 500, 1000, 40),
    pipe('H1', [
      [0, 0],
      [0, 300],
      [400, 300],
    ]),
  ];
  // The pipe is 300 + 400 long: its middle, 350 along, is 50 past the corner.
  expect(pieceTags(shapes, new Set(['A2', 'H1']), painter)).toMatchObject([
    { text: 'A2', at: [500, 520] },
    { text: 'H1', at: [50, 300] },
  ]);
});

test('pieces behind one another are named together, in the order of their numbers', () => {
  const line: Drawn['points'] = [
    [0, 0],
    [100, 0],
  ];
  const shapes = [pipe('H10', line, ['H9', 'H8']), board('B2', 0, 500, 100, 20), board('B1', 3, 500, 100, 20)];
  const texts = pieceTags(shapes, new Set(['H8', 'H9', 'H10', 'B1', 'B2']), painter).map((t) => t.text);
  expect(texts).toEqual(['H8 to H10', 'B1, B2']);
});

test('no tag is over another, however many pieces there are', () => {
  const place = fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 200 }));
  fc.assert(
    fc.property(fc.array(place, { minLength: 1, maxLength: 25 }), (places) => {
      const shapes = places.map(([x, y], i) => board(`A${i}`, x, y, 120, 30));
      const tags = pieceTags(shapes, new Set(shapes.map((s) => s.tag)), painter);
      expect(tags.length).toBeGreaterThan(0);
      tags.forEach((a, i) =>
        tags.slice(i + 1).forEach((b) => {
          const apart = (painter.widthOf(a.text) + painter.widthOf(b.text)) / 2;
          expect(Math.abs(a.at[0] - b.at[0]) > apart || Math.abs(a.at[1] - b.at[1]) > painter.high).toBe(true);
        }),
      );
    }),
    { endOnFailure: true },
  );
});
