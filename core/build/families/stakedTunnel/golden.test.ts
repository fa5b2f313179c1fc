import { type Point, differences, outward, sprung, taut } from '../../../testing/golden';
import { at, build } from '../../../testing/site';

test('a staked tunnel over 128 x 44 in, worked by hand', () => {
  // Rods stand 25 mm and half a pipe inside the walls: 44 - 2 x 1.5 - 2 x (25 / 25.4 + .84 / 2).
  const span = 44 - 3 - 2 * (25 / 25.4 + 0.42);
  // Over upright rods the hoop is a true half circle, with 8 in of pipe down each rod.
  const radius = span / 2;
  const first = 1.5 + 3;
  const run = 128 - 2 * first;
  // 119 in at 36 in at the most: four bays.
  const bay = run / Math.ceil(run / 36);
  // Soil 50 mm under the rim of an 11 in wall; 8 in of leg on it, and the half circle over that, told in 200 steps.
  const springs = 11 - 50 / 25.4 + 8;
  const over = Array.from({ length: 201 }, (_, i): Point => {
    const at = (Math.PI * i) / 200;
    return [22 - (radius + 0.42) * Math.cos(at), springs + (radius + 0.42) * Math.sin(at)];
  });
  expect(
    differences(build('staked-tunnel', at(128, 44)), {
      members: {
        'H1..H5': ['pvc-1/2', (Math.PI / 2) * span + 2 * 8],
        'D1..D10': ['rod-4', 24],
        // 30 mm of ridge beyond the end hoops.
        R1: ['pvc-1/2', run + (2 * 30) / 25.4],
      },
      sheets: {
        S1: {
          // From the ground over the outer edges of both walls.
          across: [taut([0, 0], [[0, 11], ...over, [44, 11]], [44, 0]), 2 * 10, 2],
          // From the crown over the edge of the end wall, and 11 in down its outside.
          along: [run + 0.84, 2 * (Math.hypot(first, springs + radius + 0.42 - 11) + 11), 2 * 12],
        },
      },
      hardware: [
        [1, 'paint', 'PVC painted'],
        [5 * 2, 'cable-tie', 'Ridge to every crown'],
        [2, 'end-cap', 'Both ends of the ridge pipe'],
        // Both end hoops, one each 450 mm up both sides and one more: 2 x 485 mm.
        [2 * (Math.ceil(970 / 450) + 1), 'clip', 'Cover to the end hoops'],
        // One a metre on both skirts, and four on the ends: 3.04 m.
        [2 * 4 + 4, 'sandbag', 'Weights on both skirts'],
      ],
      dimensions: {
        span,
        skirt: 10,
        rodShown: 8,
        pipeLength: (Math.PI / 2) * span + 16,
        height: 8 + radius,
        spacing: bay,
        coverLength: 128,
        endOffset: 3,
        rowFromEdge: 5,
      },
    }),
  ).toEqual([]);
});

test('its rods are marked at the soil from the end that is driven, and its ridge at every hoop', () => {
  const a = build('staked-tunnel', at(128, 44));
  const marks = (tag: string): readonly number[] =>
    a.members.find((m) => m.tag === tag)?.marks.map((m) => Math.round((m.atMm / 25.4) * 100) / 100) ?? [];
  // 24 in of rod with 8 in showing: 16 in in the ground.
  expect(marks('D1')).toEqual([16]);
  expect(marks('R1')).toEqual([0, 1, 2, 3, 4].map((i) => Math.round((30 / 25.4 + 29.75 * i) * 100) / 100));
});

test('with its feet in the soil, a rope along it and folded ends', () => {
  const span = 44 - 3 - 2 * (25 / 25.4 + 0.42);
  // Free to turn in soft soil: a pipe as long as half a circle stands a little higher than one.
  const pipe = (Math.PI / 2) * span;
  const hoop = sprung(span, pipe);
  const run = 128 - 2 * 4.5;
  const soil = 11 - 50 / 25.4;
  const left = 22 - span / 2;
  const over = outward(hoop.points, 0.42).map(([y, z]): Point => [y + left, z + soil]);
  expect(
    differences(build('staked-tunnel', at(128, 44), { feet: 'soil', ridge: 'rope', ends: 'folded', paint: 'tape' }), {
      // Six inches of both tails in the soil.
      members: { 'H1..H5': ['pvc-1/2', pipe + 2 * 6] },
      sheets: {
        S1: {
          across: [taut([0, 0], [[0, 11], ...over, [44, 11]], [44, 0]), 20, 2],
          along: [run + 0.84, 2 * (Math.hypot(4.5, soil + hoop.height + 0.42 - 11) + 11), 2 * 6],
        },
      },
      hardware: [
        [10, 'end-cap', 'Pipe ends'],
        // Five hoops of 1.83 m, taped along their outer face.
        [10, 'pipe-tape', 'Along the outer face'],
        // Three ropes of 3.02 m, and four to tie and stake.
        [14, 'rope', 'Rope at the crown'],
        // 2 x 20.24 in is 1028 mm.
        [2 * (Math.ceil(1028 / 450) + 1), 'clip', 'Cover to the end hoops'],
        [2 * 4 + 4, 'sandbag', 'Weights on both skirts'],
      ],
      dimensions: {
        span,
        skirt: 10,
        bury: 6,
        pipeLength: pipe + 12,
        height: hoop.height,
        spacing: run / 4,
        coverLength: 128,
        endOffset: 3,
        rowFromEdge: 5,
      },
    }),
  ).toEqual([]);
});
