import { differences, outward, sprung, taut } from '../../../testing/golden';
import { at, build } from '../../../testing/site';

test('a lift-off cover with plywood ends over 128 x 44 in, worked by hand', () => {
  // Ends of 1/4 plywood, .252 thick, stand outside the frame.
  const rail = 128 - 2 * 0.252;
  const span = 44 - 2 * 1.5 - 0.84;
  const pipe = (Math.PI / 2) * span;
  const hoop = sprung(span, pipe);
  const foot = 10 / 25.4;
  const over = outward(hoop.points, 0.42).map(([y, z]): [number, number] => [y + (44 - span) / 2, z + foot]);
  const line = taut([0, 0], [...over, [0, 1.5], [44, 1.5]], [44, 0]);
  const run = rail - 2 * 2;
  // 123.5 in at 30 in at the most: five bays.
  const bay = run / 5;
  // The battens are joined on a hoop, the third of six.
  const [short, long] = [2 + 2 * bay, rail - 2 - 2 * bay];
  expect(
    differences(build('lift-off-cover', at(128, 44)), {
      members: {
        'A1 A2': ['2x2 treated', rail],
        'A3 A4': ['2x2 treated', 44 - 2 * 1.5],
        'H1..H6': ['pvc-1/2', pipe],
        R1: ['pvc-1/2', run + (2 * 30) / 25.4],
        'T1 T2': ['1x4', 41],
        'B1a B2a': ['1x2', short],
        'B1b B2b': ['1x2', long],
      },
      panels: { 'E1 E2': ['plywood-1/4', 44, foot + hoop.height + 0.42] },
      sheets: { S1: { across: [line, 2 * 3, 2], along: [128, 2 * 4] } },
      hardware: [
        [4 * 2, 'screw-2-1/2', 'Frame corners'],
        [2 * 2 * 2, 'screw-2-1/2', 'Cross ties'],
        [6 * 2, 'strap', 'Hoop feet'],
        [6 * 2 * 2, 'screw-1', 'Hoop feet'],
        [6 * 2, 'cable-tie', 'Ridge'],
        [2, 'end-cap', 'Both ends of the ridge pipe'],
        [1, 'paint', 'PVC painted'],
        [2 * 6, 'screw-1-5/8', 'Plywood to the end boards'],
        [2 * 3, 'strap', 'End hoops to the plywood'],
        [2 * 3 * 2, 'screw-1', 'End hoops to the plywood'],
        // Two edges of 1.69 m.
        [4, 'edge-guard', 'Over both plywood edges'],
        [2, 'vent-flap', 'In the openings'],
        // 2 x 3238 / 150 along the rails; 2 x 1694 / 250 over the plywood.
        [2 * 22 + 14, 'staple', 'Cover at the rails'],
        // 1306 mm takes six screws, 1933 mm eight, on both sides.
        [2 * (6 + 8), 'screw-1-5/8', 'Cover battens'],
        [2, 'handle', 'One at each end'],
        [4, 'hook', 'Frame to the bed wall'],
      ],
      dimensions: {
        frameWidth: 44,
        pipeLength: pipe,
        height: hoop.height,
        spacing: bay,
        coverLength: 128,
        endOffset: 2,
        rowFromEdge: 5,
      },
    }),
  ).toEqual([]);
});

test('three hoops over 96 x 48 in, its ends of half-inch plywood with louvres, its film stapled', () => {
  // 1/2 plywood is .5 thick.
  const rail = 96 - 2 * 0.5;
  const span = 48 - 2 * 1.5 - 0.84;
  const pipe = (Math.PI / 2) * span;
  const hoop = sprung(span, pipe);
  const foot = 10 / 25.4;
  const over = outward(hoop.points, 0.42).map(([y, z]): [number, number] => [y + (48 - span) / 2, z + foot]);
  const line = taut([0, 0], [...over, [0, 1.5], [48, 1.5]], [48, 0]);
  const run = rail - 2 * 2;
  const more = { plywood: 'plywood-1/2', vents: 'louvres', ridge: 'rope', fixing: 'staples', hoops: 3, edge: 'bare' };
  expect(
    differences(build('lift-off-cover', at(96, 48), more), {
      members: {
        'A1 A2': ['2x2 treated', rail],
        'A3 A4': ['2x2 treated', 48 - 2 * 1.5],
        'H1..H3': ['pvc-1/2', pipe],
        T1: ['1x4', 45],
      },
      panels: { 'E1 E2': ['plywood-1/2', 48, foot + hoop.height + 0.42] },
      sheets: { S1: { across: [line, 2 * 3, 2], along: [96, 2 * 4] } },
      hardware: [
        [4 * 2, 'screw-2-1/2', 'Frame corners'],
        [2 * 2, 'screw-2-1/2', 'Cross ties'],
        [3 * 2, 'strap', 'Hoop feet'],
        [3 * 2 * 2, 'screw-1', 'Hoop feet'],
        // Three lines of 2311 mm, a turn of 67 mm round each of three hoops, 1.2 m of tails: 11.1 m.
        [12, 'rope', 'Rope at the crown'],
        [1, 'paint', 'PVC painted'],
        // 48 in is 1219 mm: each 200 mm, both ends.
        [2 * 7, 'screw-1-5/8', 'Plywood to the end boards'],
        [2 * 3, 'strap', 'End hoops to the plywood'],
        [2 * 3 * 2, 'screw-1', 'End hoops to the plywood'],
        [2, 'louvre', 'In the openings'],
        // Each 150 mm of 2413 mm along the rails; two edges of 1853 mm each 250.
        [2 * 17 + 15, 'staple', 'Cover at the rails'],
        [2, 'handle', 'One at each end'],
        [4, 'hook', 'Frame to the bed wall'],
      ],
      dimensions: {
        frameWidth: 48,
        pipeLength: pipe,
        height: hoop.height,
        spacing: run / 2,
        coverLength: 96,
        endOffset: 2,
        rowFromEdge: 5,
      },
    }),
  ).toEqual([]);
});

test('let into the bed over 96 x 48 in and hinged, on 1x4 rails with channel, its ends folded over a board ridge', () => {
  // Inside walls of 1.5 with 6 mm of play all round.
  const [long, wide] = [96 - 3 - 12 / 25.4, 48 - 3 - 12 / 25.4];
  const span = wide - 2 * 0.75 - 0.84;
  const pipe = (Math.PI / 2) * span;
  const hoop = sprung(span, pipe);
  const foot = 10 / 25.4;
  const over = outward(hoop.points, 0.42).map(([y, z]): [number, number] => [y + (wide - span) / 2, z + foot]);
  const line = taut([0, 0], [...over, [0, 3.5], [wide, 3.5]], [wide, 0]);
  const rise = foot + hoop.height + 0.42;
  const run = long - 2 * 2;
  const more = {
    ...{ sits: 'inside', frame: '1x4', ridge: 'timber', ends: 'folded', mount: 'hinged', fixing: 'channel' },
    ...{ paint: 'tape', hoops: 4 },
  };
  expect(
    differences(build('lift-off-cover', at(96, 48), more), {
      members: {
        'A1 A2': ['1x4 treated', long],
        'A3 A4': ['1x4 treated', wide - 2 * 0.75],
        'H1..H4': ['pvc-1/2', pipe],
        R1: ['2x2', run + (2 * 30) / 25.4],
        T1: ['1x4', wide - 2 * 0.75],
        'B1 B2': ['1x2', wide],
        // Hinged as a whole: a prop of .55 of its width.
        V1: ['1x2', 0.55 * wide],
      },
      sheets: { S1: { across: [line, 2 * 3, 2], along: [long, 2 * rise, 2 * 6] } },
      hardware: [
        [4 * 2, 'screw-2-1/2', 'Frame corners'],
        [2 * 2, 'screw-2-1/2', 'Cross ties'],
        [4 * 2, 'strap', 'Hoop feet'],
        [4 * 2 * 2, 'screw-1', 'Hoop feet'],
        [4, 'screw-1-5/8', 'Through each crown'],
        // Four hoops of 1683 mm.
        [7, 'pipe-tape', 'Along the outer face'],
        // Each 150 mm: two rails of 2350 mm; round both ends, 1131 + 2 x 589 mm each.
        [2 * 16 + 31, 'staple', 'Cover at the rails'],
        // Two rails of 2350 mm, three screws a metre.
        [5, 'channel', 'Along both rails'],
        [5, 'spring-wire', 'Along both rails'],
        [3 * 5, 'tek-screw', 'Along both rails'],
        // 1131 mm each 300: four bays, both ends.
        [2 * 5, 'screw-1-5/8', 'Cover battens'],
        [3, 'hinge', 'Cover to the bed'],
        [1, 'handle', 'At the front'],
        [1, 'latch', 'Cover to the bed'],
        [1, 'stay', 'Hold the cover open'],
      ],
      dimensions: {
        frameWidth: wide,
        pipeLength: pipe,
        height: hoop.height,
        spacing: run / 3,
        coverLength: long,
        endOffset: 2,
        rowFromEdge: 5,
      },
    }),
  ).toEqual([]);
});
