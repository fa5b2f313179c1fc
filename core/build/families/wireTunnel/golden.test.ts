import { type Point, differences, taut } from '../../../testing/golden';
import { at, build } from '../../../testing/site';

test('a wire tunnel over 128 x 44 in, worked by hand', () => {
  const span = 39;
  const run = 128 - 2 * (1.5 + 3);
  // 9 gauge wire of .148, a half circle from the soil 50 mm under the rim of an 11 in wall.
  const soil = 11 - 50 / 25.4;
  const radius = span / 2 + 0.074;
  const over = Array.from({ length: 201 }, (_, i): Point => {
    const at = (Math.PI * i) / 200;
    return [22 - radius * Math.cos(at), soil + radius * Math.sin(at)];
  });
  expect(
    differences(build('wire-tunnel', at(128, 44)), {
      members: {
        // A half circle and two legs of 8 in; 119 in at 24 in at the most: five bays.
        'H1..H6': ['wire-9', (Math.PI / 2) * span + 2 * 8],
      },
      sheets: {
        S1: {
          across: [taut([0, 0], [[0, 11], ...over, [44, 11]], [44, 0]), 2 * 8, 2],
          along: [run + 0.148, 2 * (Math.hypot(4.5, soil + radius - 11) + 11), 2 * 12],
        },
      },
      hardware: [
        // 2 x 19.5 in is 991 mm.
        [2 * (Math.ceil(991 / 450) + 1), 'clip', 'Cover to the end hoops'],
        [2 * 4 + 4, 'sandbag', 'Weights on both skirts'],
      ],
      dimensions: {
        span,
        skirt: 8,
        bury: 8,
        pipeLength: (Math.PI / 2) * span + 16,
        height: span / 2,
        spacing: run / 5,
        coverLength: 128,
        endOffset: 3,
        rowFromEdge: 6,
      },
    }),
  ).toEqual([]);
});
