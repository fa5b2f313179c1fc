import { differences } from '../../../testing/golden';
import { at, build } from '../../../testing/site';

test('an A-frame over 128 x 44 in, worked by hand', () => {
  // Legs of 2x3 meet a ridge board 1.5 thick, 37 in above the wall.
  const [half, high] = [22 - 0.75, 37];
  // Long points of a leg: its outer edge, from the foot to the ridge.
  const leg = Math.hypot(half, high);
  // Foot ties of 1x4 fit between the outer edges of the legs at their own top edge.
  const tie = 44 - (2 * 3.5 * half) / high;
  // A batten on each leg: 10 mm over its rail to 20 short of the ridge, as the film falls from .75 off the leg to none.
  const batten = Math.hypot(leg - 3.5 - 30 / 25.4, 0.75);
  // The sheet: up the rail of 1x4, off its upper edge, .75 out, straight to the ridge; over it; down alike.
  const sheet = 2 * (3.5 + Math.hypot(leg - 3.5, 0.75)) + 1.5;
  expect(
    differences(build('a-frame', at(128, 44)), {
      members: {
        // 126.5 in at 42 in at the most: four bays.
        'L1..L10': ['2x3', leg],
        R1: ['2x4', 128],
        'T1 T2': ['1x4 treated', tie],
        'A1 A2': ['1x4 treated', 128],
        'B1a B1b B2a B2b': ['1x2', 64],
        'K1..K10': ['1x2', batten],
      },
      sheets: {
        S1: { across: [sheet, 2 * 3, 2], along: [128, 2 * 4] },
        S2: { across: [44, 9], along: [high, 12] },
        S3: { across: [44, 9], along: [high, 12] },
      },
      hardware: [
        [10 * 2, 'screw-3', 'Two through the ridge'],
        [2 * 2 * 2, 'screw-1-5/8', 'Foot ties'],
        [10 * 2, 'screw-1-5/8', 'Side rails'],
        // Rails each 150 mm; four slopes of 1084 mm each 150.
        [2 * 22 + 29, 'staple', 'Cover at the rails'],
        [4 * 7, 'screw-1-5/8', 'Cover battens'],
        // 963 mm at 300 mm: four bays, five screws.
        [10 * 5, 'screw-1-5/8', 'Battens on the legs'],
        // Two legs of 1084 mm each 150, at both ends.
        [2 * 15, 'staple', 'Flaps along the top'],
        [2 * 2, 'sandbag', 'Two on each end flap'],
        [4, 'rope', 'Ties that hold'],
        [10, 'bracket', 'Legs to the bed'],
      ],
      dimensions: {
        frameWidth: 44,
        height: high,
        legLength: leg,
        coverLength: 128,
        spacing: (128 - 1.5) / 4,
        rowFromEdge: 6,
      },
    }),
  ).toEqual([]);
});

test('three triangles, its ends folded and its film in channel', () => {
  const [half, high] = [22 - 0.75, 37];
  const leg = Math.hypot(half, high);
  expect(
    differences(build('a-frame', at(128, 44), { ends: 'folded', fixing: 'channel', pairs: 3, slopes: 'rope' }), {
      members: {
        'L1..L6': ['2x3', leg],
        R1: ['2x4', 128],
        'T1 T2': ['1x4 treated', 44 - (2 * 3.5 * half) / high],
        'A1 A2': ['1x4 treated', 128],
      },
      sheets: { S1: { across: [2 * (3.5 + Math.hypot(leg - 3.5, 0.75)) + 1.5, 6, 2], along: [128, 2 * high, 2 * 6] } },
      hardware: [
        [6 * 2, 'screw-3', 'Two through the ridge'],
        [2 * 2 * 2, 'screw-1-5/8', 'Foot ties'],
        [6 * 2, 'screw-1-5/8', 'Side rails'],
        [2 * 22 + 29, 'staple', 'Cover at the rails'],
        // Two rails of 3.25 m.
        [7, 'channel', 'Along both rails'],
        [7, 'spring-wire', 'Along both rails'],
        [3 * 7, 'screw-1', 'Along both rails'],
        // Two bays, twice a slope of 1084 mm and 600 to tie each: 5.6 m, and a screw in both rails.
        [6, 'rope', 'Over the ridge'],
        [2 * 2, 'screw-2-1/2', 'Over the ridge'],
        [6, 'bracket', 'Legs to the bed'],
      ],
      dimensions: {
        frameWidth: 44,
        height: high,
        legLength: leg,
        coverLength: 128,
        spacing: (128 - 1.5) / 2,
        rowFromEdge: 6,
      },
    }),
  ).toEqual([]);
});

test('four stout triangles over 96 x 36 in, film stapled alone and held down by nothing on its slopes', () => {
  // .85 of the width high, to the half inch below; the ridge board is 1.5 thick.
  const [half, high] = [18 - 0.75, 30.5];
  const leg = Math.hypot(half, high);
  const flap = { across: [36, 9], along: [high, 12] };
  const more = { leg: '2x4', ridge: '2x6', fixing: 'staples', slopes: 'none', pairs: 4 };
  expect(
    differences(build('a-frame', at(96, 36, true), more), {
      members: {
        'L1..L8': ['2x4', leg],
        R1: ['2x6', 96],
        'T1 T2': ['1x4 treated', 36 - (2 * 3.5 * half) / high],
        'A1 A2': ['1x4 treated', 96],
      },
      sheets: {
        S1: { across: [2 * (3.5 + Math.hypot(leg - 3.5, 0.75)) + 1.5, 2 * 3, 2], along: [96, 2 * 4] },
        S2: flap,
        S3: flap,
      },
      hardware: [
        [8 * 2, 'screw-3', 'Two through the ridge'],
        [2 * 2 * 2, 'screw-1-5/8', 'Foot ties'],
        [8 * 2, 'screw-1-5/8', 'Side rails'],
        // Each 150 mm: both rails of 2438 mm, four slopes of 890 mm.
        [2 * 17 + 24, 'staple', 'Cover at the rails'],
        // Two legs of 890 mm at both ends.
        [2 * 12, 'staple', 'Flaps along the top'],
        [2 * 2, 'sandbag', 'Two on each end flap'],
        [4, 'rope', 'Ties that hold'],
        [8, 'bracket', 'Legs to the bed'],
      ],
      dimensions: { frameWidth: 36, height: high, legLength: leg, coverLength: 96, spacing: 94.5 / 3, rowFromEdge: 6 },
    }),
  ).toEqual([]);
});
