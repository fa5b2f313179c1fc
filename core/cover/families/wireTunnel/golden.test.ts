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

test('four hoops over 96 x 36 in, clipped at every hoop, boards laid on the skirts, its ends folded', () => {
  // 36 in less two walls of 1.5 and 25 mm inside each, to the nearest inch below: 31.
  const span = 31;
  const run = 96 - 2 * (1.5 + 3);
  const soil = 11 - 50 / 25.4;
  const radius = span / 2 + 0.074;
  const over = Array.from({ length: 201 }, (_, i): Point => {
    const angle = (Math.PI * i) / 200;
    return [18 - radius * Math.cos(angle), soil + radius * Math.sin(angle)];
  });
  const more = { clipped: 'every', ends: 'folded', skirtUnder: 'boards', hoops: 4 };
  expect(
    differences(build('wire-tunnel', at(96, 36), more), {
      members: {
        'H1..H4': ['wire-9', (Math.PI / 2) * span + 2 * 8],
        // A board lies on each skirt from the first hoop to the last.
        'W1 W2': ['2x4 treated', run],
      },
      sheets: {
        S1: {
          across: [taut([0, 0], [[0, 11], ...over, [36, 11]], [36, 0]), 2 * 8, 2],
          // Folded and clipped it takes six inches an end, gathered twelve.
          along: [run + 0.148, 2 * (Math.hypot(4.5, soil + radius - 11) + 11), 2 * 6],
        },
      },
      hardware: [
        // 2 x 15.5 in is 787 mm: two lengths of 450 and one more, on each of four hoops.
        [4 * 3, 'clip', 'Cover to every hoop'],
        // Boards weight the skirts; two bags an end are left.
        [4, 'sandbag', 'Weights on the folded ends'],
      ],
      dimensions: {
        span,
        skirt: 8,
        bury: 8,
        pipeLength: (Math.PI / 2) * span + 16,
        height: span / 2,
        spacing: run / 3,
        coverLength: 96,
        endOffset: 3,
        rowFromEdge: 6,
      },
    }),
  ).toEqual([]);
});
