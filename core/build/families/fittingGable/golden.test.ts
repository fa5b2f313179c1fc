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
      sheets: {
        S1: { across: [over, 2 * 6, 2], along: [run + od, 2 * (od / 2 + rise + od / 2), 2 * 6] },
      },
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
