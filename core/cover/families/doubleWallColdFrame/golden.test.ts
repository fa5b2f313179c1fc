import { differences } from '../../../testing/golden';
import { at, build } from '../../../testing/site';

const IN = 25.4;

test('a double-wall cold frame of 2x2 over 128 x 44 in, worked by hand', () => {
  const [front, back] = [14, 21];
  const slope = (back - front) / (44 - 1.5);
  const tilt = Math.hypot(1, slope);
  // Side studs stop under a sloping plate 1.5 thick, at their own upper corner, with a millimetre to spare.
  const side = (y: number): number => front + slope * y - 1.5 * tilt - 1 / IN - 1.5;
  // The square ends of the sloping plate stop where their upper corners touch.
  const plate = (41 - 1.5 * Math.sin(Math.atan(slope))) * tilt;
  const down = 44 * tilt + 0.75;
  const perimeter = 2 * (128 + 44) * IN;
  // Seven studs in front and at the back, three in each side.
  const studs = (7 * (front - 3) + 7 * (back - 3) + 2 * (side(1.5) + side(22 - 0.75) + side(42.5 - 1.5))) * IN;
  expect(
    differences(build('double-wall-cold-frame', at(128, 44)), {
      members: {
        // Hinged as a whole: a prop of .55 x 44 in.
        V1: ['1x2', 0.55 * 44],
        'A1 A2 B1 B2': ['2x2 treated', 128],
        // 126.5 in at 24 in at the most: six bays.
        'A3..A9': ['2x2 treated', front - 3],
        'B3..B9': ['2x2 treated', back - 3],
        'C1 D1': ['2x2 treated', 41],
        'C2 D2': ['2x2 treated', plate],
        'C3 D3': ['2x2 treated', side(1.5)],
        'C4 D4': ['2x2 treated', side(22 - 0.75)],
        'C5 D5': ['2x2 treated', side(42.5 - 1.5)],
        'K1a K1b K2a K2b K3a K3b K4a K4b': ['2x2', (128 - (3 * 4) / IN) / 4],
        'K1c K1d K2c K2d K3c K3d K4c K4d': ['2x2', down - 3],
        'Q1..Q8': ['1x4', 300 / IN],
      },
      panels: { 'G1..G4': ['twin-wall-6', (128 - (3 * 4) / IN) / 4, down] },
      sheets: {
        S1: { across: [back, 2 * 2], along: [2 * 128, 2 * 44, 4] },
        S2: { across: [back, 2 * 2], along: [2 * 125, 2 * 41, 4] },
        N1: { across: [44 * tilt, 2 * 2], along: [128, 2 * 2] },
      },
      hardware: [
        [20 * 2 * 2, 'screw-2-1/2', 'Plates to studs'],
        [4 * 4, 'screw-3', 'Side walls'],
        // Along the plates of both skins, and up every stud on both faces.
        [Math.ceil((4 * perimeter + 2 * studs) / 100), 'staple', 'Both skins'],
        // Twice round both skins.
        [Math.ceil((4 * perimeter) / 1000), 'seam-tape', 'Over the stapled edges'],
        [Math.ceil(perimeter / 75), 'staple', 'Net'],
        [8 * 2, 'screw-1-5/8', 'Pocket boards'],
        [4 * 4, 'corner-plate', 'Lid corners'],
        [8 * 2 * 2, 'screw-2-1/2', 'Rails into'],
        // Eight stiles of 1152 mm each 250 mm, and one more at each corner of each lid.
        [37 + 4 * 4, 'glazing-screw', 'Glazing'],
        [2 * 4, 'edge-tape', 'Glazing'],
        // 2 x (810 + 1132) mm round each of four.
        [16, 'foam-strip', 'Along the edges'],
        [4 * 2, 'hinge', 'Lids to the back'],
        [4, 'handle', 'At the front'],
        ...[1, 2, 3, 4].flatMap(() => [
          [1, 'stay', 'Hold the lids open'] as const,
          [1, 'opener', 'Lifts the lid'] as const,
        ]),
        // 128 in is 10 ft 8 in: three hinges to 10 ft and one more; over 8 ft two handles and two stays.
        [4, 'hinge', 'Frame to the bed'],
        [2, 'handle', 'At the front'],
        [1, 'latch', 'Frame to the bed, in front'],
        [2, 'stay', 'Hold the frame open'],
      ],
      dimensions: { boxWidth: 44, front, backHeight: back, coverLength: 128, rowFromEdge: 6 },
    }),
  ).toEqual([]);
});

test('braces go from the foot of each corner stud of front and back to the head of the next', () => {
  const a = build('double-wall-cold-frame', at(128, 44), { braces: 'corners' });
  // Studs 126.5 / 6 in apart: in front 11 in high, at the back 18.
  const [low, high] = [14 - 3, 21 - 3].map((z) => Math.hypot(126.5 / 6, z));
  expect(a.members.filter((m) => m.part === 'Brace').map((m) => Math.round((m.lengthMm / IN) * 1e4) / 1e4)).toEqual(
    [low, low, high, high].map((x) => Math.round((x ?? 0) * 1e4) / 1e4),
  );
});

test('two film frames on walls of 2x3 over 96 x 48 in, propped, hooked to the bed, nothing taped or netted', () => {
  // Seven inches higher behind at 44 in of width; a foot more of bed in proportion.
  const [front, back] = [14, 21.5];
  const slope = (back - front) / (48 - 2.5);
  const tilt = Math.hypot(1, slope);
  const side = (y: number): number => front + slope * y - 1.5 * tilt - 1 / IN - 1.5;
  const plate = (43 - 1.5 * Math.sin(Math.atan(slope))) * tilt;
  const down = 48 * tilt + 0.75;
  const lid = (96 - 4 / IN) / 2;
  const film = { across: [down, 2 * 3], along: [lid, 2 * 3] };
  const perimeter = 2 * (96 + 48) * IN;
  const studs = (5 * (front - 3) + 5 * (back - 3) + 2 * (side(2.5) + side(24 - 0.75) + side(45.5 - 1.5))) * IN;
  const more = {
    ...{ glazing: 'film-both', airing: 'prop', screen: 'none', tape: 'none', pocket: 'none', mount: 'hooked' },
    ...{ lids: 2, stud: '2x3' },
  };
  expect(
    differences(build('double-wall-cold-frame', at(96, 48), more), {
      members: {
        'A1 A2 B1 B2': ['2x3 treated', 96],
        // 94.5 in at 24 in at the most: four bays.
        'A3..A7': ['2x3 treated', front - 3],
        'B3..B7': ['2x3 treated', back - 3],
        'C1 D1': ['2x3 treated', 48 - 2 * 2.5],
        'C2 D2': ['2x3 treated', plate],
        'C3 D3': ['2x3 treated', side(2.5)],
        'C4 D4': ['2x3 treated', side(24 - 0.75)],
        'C5 D5': ['2x3 treated', side(45.5 - 1.5)],
        'K1a K1b K2a K2b': ['2x2', lid],
        'K1c K1d K2c K2d': ['2x2', down - 3],
      },
      sheets: {
        S1: { across: [back, 2 * 2], along: [2 * 96, 2 * 48, 4] },
        // Inside walls of 2.5 in.
        S2: { across: [back, 2 * 2], along: [2 * 91, 2 * 43, 4] },
        F1: film,
        F2: film,
        F3: film,
        F4: film,
      },
      hardware: [
        // Ten studs of front and back and six of the sides, two screws at both ends.
        [16 * 2 * 2, 'screw-2-1/2', 'Plates to studs'],
        [4 * 4, 'screw-3', 'Side walls'],
        [Math.ceil((4 * perimeter + 2 * studs) / 100), 'staple', 'Both skins'],
        [2 * 4, 'corner-plate', 'Lid corners'],
        [4 * 2 * 2, 'screw-2-1/2', 'Rails into'],
        // Round both faces of both frames, each 75 mm.
        [Math.ceil((2 * 2 * 2 * (lid + down) * IN) / 75), 'staple', 'Film round the lid frames'],
        [2 * 2, 'hinge', 'Lids to the back'],
        // Where they rest: 2 x (1217 + 1232) mm round each.
        [10, 'foam-strip', 'Along the edges'],
        [2, 'handle', 'At the front'],
        [1, 'latch', 'Lids to the front'],
        [1, 'latch', 'Lids to the front'],
        [1, 'stay', 'Hold the lids open'],
        [1, 'stay', 'Hold the lids open'],
        // Each 1200 mm of 2438 mm, both sides.
        [2 * 3, 'hook', 'Frame to the bed wall'],
      ],
      dimensions: { boxWidth: 48, front, backHeight: back, coverLength: 96, rowFromEdge: 6 },
    }),
  ).toEqual([]);
});
