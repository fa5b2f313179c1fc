import { differences } from '../../../testing/golden';
import { at, build } from '../../../testing/site';

test('a gable of pipe and fittings over 128 x 44 in, worked by hand', () => {
  // 3/4 PVC of 1.05 in; straight sockets take 9/16 up to their centre, 45-degree elbows 5/16; roof at 45 degrees.
  const [od, straight, half] = [1.05, 9 / 16, 5 / 16];
  // Pipes stand on the middle of the walls.
  const span = 44 - 1.5;
  const run = 128 - 1.5;
  const eave = 16;
  const rise = eave + span / 2;
  // Around the outside: up the wall's top and the post, round both bends of 45 degrees and the ridge of 90.
  const over = 2 * (od / 2 + eave + (span / 2) * Math.SQRT2) + (od / 2) * Math.PI;
  expect(
    differences(build('fitting-gable', at(128, 44)), {
      members: {
        // 126.5 in at 32 in at the most: four bays.
        'A1..A8': ['pvc-3/4', run / 4 - 2 * straight],
        'E1 E2': ['pvc-3/4', span - 2 * straight],
        'P1..P10': ['pvc-3/4', eave - straight - half],
        'Q1..Q10': ['pvc-3/4', (span / 2) * Math.SQRT2 - straight - half],
        'R1..R4': ['pvc-3/4', run / 4 - 2 * straight],
      },
      sheets: { S1: { across: [over, 2 * 6, 2], along: [run + od, 2 * (od / 2 + rise + od / 2), 2 * 6] } },
      hardware: [
        [4 + 2, 'three-way', 'Four corners'],
        [2 * 3, 'tee', 'Base rails'],
        [2 * 5, 'elbow-45', 'Eaves'],
        [3, 'four-way', 'Ridge'],
        // Both ends of 8 + 2 + 10 + 10 + 4 pipes.
        [2 * 34, 'tek-screw', 'One through each socket'],
        // Each 600 mm of 3240 mm, both sides.
        [2 * 6, 'strap', 'Base rails to the bed'],
        [2 * 6 * 2, 'screw-1', 'Base rails to the bed'],
        // Ten rafters at eight a tin.
        [2, 'paint', 'PVC painted'],
        // Each 450 mm: 3240 mm along both sides, 2408 mm over both ends.
        [2 * 8 + 2 * 6, 'clip', 'Cover to base rails'],
      ],
      dimensions: {
        span,
        eave,
        ridgeHeight: rise,
        rafter: (span / 2) * Math.SQRT2 - straight - half,
        coverLength: 128,
        spacing: run / 4,
        rowFromEdge: 5,
      },
    }),
  ).toEqual([]);
});

test('three frames of 1 in pipe pushed together over 96 x 48 in, clipped at every frame, flaps at the ends', () => {
  // 1 in PVC of 1.315; its sockets take 11/16 up to the centre, its 45-degree elbows 11/32.
  const [od, straight, half] = [1.315, 11 / 16, 11 / 32];
  const span = 48 - 1.5;
  const run = 96 - 1.5;
  const eave = 20;
  const rise = eave + span / 2;
  const slope = (span / 2) * Math.SQRT2;
  const over = 2 * (od / 2 + eave + slope) + (od / 2) * Math.PI;
  const flap = { across: [span + od, 9], along: [rise + od, 12] };
  const more = { pipe: 'pvc-1', joints: 'pushed', clipped: 'every', ends: 'flap', paint: 'tape', frames: 3 };
  expect(
    differences(build('fitting-gable', at(96, 48), { ...more, eaveMm: 20 * 25.4 }), {
      members: {
        'A1..A4': ['pvc-1', run / 2 - 2 * straight],
        'E1 E2': ['pvc-1', span - 2 * straight],
        'P1..P6': ['pvc-1', eave - straight - half],
        'Q1..Q6': ['pvc-1', slope - straight - half],
        'R1 R2': ['pvc-1', run / 2 - 2 * straight],
      },
      sheets: { S1: { across: [over, 2 * 6, 2], along: [run + od, 2 * 4] }, S2: flap, S3: flap },
      hardware: [
        [4 + 2, 'three-way', 'Four corners'],
        [2, 'tee', 'Base rails'],
        [2 * 3, 'elbow-45', 'Eaves'],
        [1, 'four-way', 'Ridge'],
        // Each 600 mm of 2434 mm, both sides.
        [2 * 5, 'strap', 'Base rails to the bed'],
        [2 * 5 * 2, 'screw-1', 'Base rails to the bed'],
        // Six rafters of 809 mm.
        [5, 'pipe-tape', 'Along the outer face'],
        // Each 450 mm: 2434 mm along both sides, 2771 mm over three frames.
        [2 * 6 + 3 * 7, 'clip', 'Cover to base rails and every frame'],
        // The same over each end.
        [2 * 7, 'clip', 'End flaps'],
        [2 * 2, 'sandbag', 'Two on each end flap'],
      ],
      dimensions: {
        span,
        eave,
        ridgeHeight: rise,
        rafter: slope - straight - half,
        coverLength: 96,
        spacing: run / 2,
        rowFromEdge: 5,
      },
    }),
  ).toEqual([]);
});

test('flaps are clipped up the posts as well as along the rafters, evenly round the end', () => {
  const a = build('fitting-gable', at(96, 48), { ends: 'flap', eaveMm: 20 * 25.4 });
  const [clips] = a.joints.filter((j) => j.id === 'flap clips');
  const places = clips?.places ?? [];
  const first = places.slice(0, places.length / 2);
  expect(new Set(first.map(([x]) => Math.round(x))).size).toBe(1);
  const below = first.filter(([, , z]) => z < (11 + 20) * 25.4);
  // Seven over 105.8 in of posts and rafters stand 15.1 in apart, the first 7.6 up its post, the second past the eave at 20.
  expect([first.length, below.length]).toEqual([7, 2]);
  const heights = below.map(([, , z]) => z / 25.4 - 11 - 1.315 / 2);
  heights.forEach((h) => expect(h).toBeCloseTo(105.76 / 14, 0));
  expect(below.filter(([, y]) => y < 24 * 25.4)).toHaveLength(1);
});
