import { differences } from '../../../testing/golden';
import { at, build } from '../../../testing/site';

const IN = 25.4;

test('a sloped cold frame of 2x8 over 128 x 44 in, worked by hand', () => {
  const [front, back] = [7.25, 353 / IN];
  // The lid touches the front board's outer edge and the back board's inner one.
  const slope = (back - front) / (44 - 1.5);
  const drop = back - front;
  const down = 44 * Math.hypot(1, slope) + 20 / IN;
  // Three lids, 4 mm of play between them.
  const each = (128 - (2 * 4) / IN) / 3;
  const posts = { low: front - 8 / IN, high: back - slope * 1.5 - 8 / IN };
  expect(
    differences(build('sloped-cold-frame', at(128, 44)), {
      members: {
        'A1 B1 B2': ['2x8 treated', 128],
        'C1 D1 C2 D2': ['2x8 treated', 44 - 2 * 1.5],
        'P1 P2': ['2x2 treated', posts.low],
        'P3 P4': ['2x2 treated', posts.high],
        'K1a K1b K2a K2b K3a K3b': ['2x2', each],
        'K1c K1d K1e K2c K2d K2e K3c K3d K3e': ['2x2', down - 2 * 1.5],
      },
      panels: { 'G1..G3': ['twin-wall-6', each, down] },
      sheets: {},
      hardware: [
        [7 * 2 * 2, 'screw-2-1/2', 'Boards to the corner posts'],
        [3 * 4, 'corner-plate', 'Lid corners'],
        [9 * 2 * 2, 'screw-2-1/2', 'Rails into'],
        // Nine stiles and bars of 1151 mm each 250 mm, and one more at each corner of each lid.
        [42 + 3 * 4, 'glazing-screw', 'Glazing'],
        [2 * 4, 'edge-tape', 'Glazing'],
        [3 * 2, 'hinge', 'Lids to the back'],
        // 2 x (1081 + 1126) mm round each of three.
        [14, 'foam-strip', 'Along the edges'],
        [3, 'handle', 'At the front'],
        ...[1, 2, 3].flatMap(() => [
          [1, 'latch', 'Lids to the front'] as const,
          [1, 'stay', 'Hold the lids open'] as const,
        ]),
        [6, 'bracket', 'Box to the bed'],
      ],
      dimensions: { boxWidth: 44, front, backHeight: back, coverLength: 128, rowFromEdge: 7 },
    }),
  ).toEqual([]);
  const a = build('sloped-cold-frame', at(128, 44));
  const taper = a.members.find((m) => m.tag === 'C2')?.taperMm?.map((mm) => mm / IN) ?? [];
  // From slope x 1.5 at the front, behind the front board, to the whole drop.
  expect(taper[0]).toBeCloseTo(slope * 1.5, 3);
  expect(taper[1]).toBeCloseTo(drop, 3);
});

test('two tapered sides come out of one board only where the saw’s kerf has room as well', () => {
  const sawn = (backMm: number): string | undefined =>
    build('sloped-cold-frame', at(128, 44), { backMm }).members.find((m) => m.tag === 'D2')?.sawnFrom;
  // Both ends of the pair and a kerf of 1/8 in: (1 + 1.5 / 42.5) x drop + .125 is 7.25 at a drop of 6.882 in.
  const drop = (7.25 - 0.125) / (1 + 1.5 / 42.5);
  expect(sawn((7.25 + drop - 0.05) * IN)).toBe('C2');
  expect(sawn((7.25 + drop + 0.05) * IN)).toBeUndefined();
});

test('made to two windows of 30 x 46 in, over part of the bed', () => {
  const [front, back] = [9.25, 17];
  // The windows overhang 20 mm; what lies on the box is its depth along the slope, which rises over the depth less 1.5.
  const onBox = 46 - 20 / IN;
  let depth = onBox;
  for (let i = 0; i < 50; i++) depth = onBox / Math.hypot(1, (back - front) / (depth - 1.5));
  const slope = (back - front) / (depth - 1.5);
  expect(
    differences(
      build('sloped-cold-frame', at(128, 44), {
        glazing: 'old-window',
        sashBy: 'sash',
        lids: 2,
        sashAlongMm: 30 * IN,
        sashReachMm: 46 * IN,
        board: '2x10',
        frontMm: front * IN,
        backMm: back * IN,
        latches: 2,
      }),
      {
        members: {
          // Two windows, and 4 mm between them.
          'A1 B1 B2': ['2x10 treated', 60 + 4 / IN],
          'C1 D1 C2 D2': ['2x10 treated', depth - 2 * 1.5],
          'P1 P2': ['2x2 treated', front - 8 / IN],
          'P3 P4': ['2x2 treated', back - slope * 1.5 - 8 / IN],
          // Where it ends over soil, from wall to wall inside.
          X1: ['1x6 treated', 44 - 3],
        },
        panels: { 'G1 G2': ['old-window', 30, 46] },
        sheets: {},
        hardware: [
          [7 * 2 * 2, 'screw-2-1/2', 'Boards to the corner posts'],
          [2 * 2, 'screw-2-1/2', 'Board across the soil'],
          [2, 'safety-film', 'On the glass'],
          // 2 x (762 + 1148) mm round each of two.
          [8, 'foam-strip', 'Along the edges'],
          [2 * 2, 'hinge', 'Lids to the back'],
          [2, 'handle', 'At the front'],
          ...[1, 2].flatMap(() => [
            [2, 'latch', 'Lids to the front'] as const,
            [1, 'stay', 'Hold the lids open'] as const,
          ]),
          [4, 'bracket', 'Box to the bed'],
          [2, 'old-window', 'One to a lid'],
        ],
        dimensions: { boxWidth: depth, front, backHeight: back, coverLength: 60 + 4 / IN, rowFromEdge: 7 },
      },
    ),
  ).toEqual([]);
});
