import { differences } from '../../../testing/golden';
import { at, build } from '../../../testing/site';

const IN = 25.4;
const [front, back] = [16, 39];
// From the header's outer top edge to the top of the wall plate's inner face.
const slope = (back - front) / (44 - 1.5);
const tilt = Math.hypot(1, slope);
const roof = 44 * tilt;
const high = front + 44 * slope;

test('a lean-to under twin-wall over 128 x 44 in, worked by hand', () => {
  // The underside of 2x3 rafters, from the bed, and the long point of a stud 3.5 wide cut to it.
  const middle = front + 22 * slope - 2.5 * tilt + 1.75 * slope - 1.5;
  const shutter = front - 3.5 + 38 / IN;
  const bay = (128 - 1.5) / 6;
  expect(
    differences(build('lean-to', at(128, 44)), {
      members: {
        'A1 W1': ['2x4 treated', 128],
        A2: ['2x4', 128],
        'A3 A4': ['2x4 treated', 44 - 3.5],
        'D1..D4': ['2x4', front - 3.5 - 1.5],
        'P1 P2': ['2x4', back - 3.5 - 1.5],
        'P3 P4': ['2x4', middle],
        'R1..R7': ['2x3', 41 * tilt + 2.5 * slope],
        'K1a K1b K2a K2b K3a K3b': ['2x2', (128 - (2 * 4) / 25.4) / 3],
        'K1c K1d K2c K2d K3c K3d': ['2x2', shutter - 3],
      },
      panels: {
        // Joints on the third and fifth rafter; 75 mm over the header.
        'G1 G3': ['twin-wall-6', 0.75 + 2 * bay, roof + 75 / IN],
        G2: ['twin-wall-6', 2 * bay, roof + 75 / IN],
        'G4 G5': ['twin-wall-6', 44, high],
        'J1..J3': ['twin-wall-6', (128 - (2 * 4) / 25.4) / 3, shutter],
      },
      sheets: {},
      hardware: [
        // Each 500 mm of 3251 mm along the plate, and two to each post.
        [8 + 4, 'sleeve-anchor', 'Wall plate'],
        [2 * 2, 'screw-3', 'Front sill'],
        [8 * 2 * 2, 'screw-2-1/2', 'Studs and posts'],
        [7 * 2, 'rafter-hanger', 'Rafters'],
        [6, 'bracket', 'Sills'],
        // Each 250 mm: 1272 mm of seven rafters; 1118 + 1014 + 1272 + 406 mm round both ends.
        [7 * 7 + 2 * (6 + 6 + 7 + 3), 'glazing-screw', 'Roof and ends'],
        // Both edges of 3.25 m of roof and 1.12 m of each end.
        [11, 'edge-tape', 'Roof and ends'],
        // Two joints down a slope of 1233 mm.
        [3, 'joining-strip', 'Roof and ends'],
        // Along 3.25 m and down 1.01 m twice.
        [6, 'flashing-tape', 'Cover to the wall'],
        [3 * 4, 'corner-plate', 'Shutter corners'],
        [6 * 2 * 2, 'screw-2-1/2', 'Rails into'],
        // Six stiles of 356 mm, and one more at each corner.
        [9 + 12, 'glazing-screw', 'Glazing'],
        [2 * 4, 'edge-tape', 'Glazing'],
        [3 * 2, 'hinge', 'Shutters to the header'],
        // Round three shutters along and down, 2 x (1081 + 406) mm each.
        [9, 'foam-strip', 'Along the edges'],
        [3, 'handle', 'At the bottom'],
        ...[1, 2, 3].flatMap(() => [
          [1, 'latch', 'Shutters to the sill'] as const,
          [1, 'stay', 'Hold the shutters open'] as const,
        ]),
      ],
      dimensions: {
        boxWidth: 44,
        front,
        backHeight: back,
        rafterLength: 41 * tilt + 2.5 * slope,
        coverLength: 128,
        spacing: bay,
        rowFromEdge: 6,
      },
    }),
  ).toEqual([]);
});

test('under film it has battens on every edge and the sheets wrap them', () => {
  const a = build('lean-to', at(128, 44), { glazing: 'film' });
  const size = (tag: string, way: 'across' | 'along'): readonly number[] =>
    a.sheets.find((s) => s.tag === tag)?.[way].map((l) => Math.round((l.mm / IN) * 10) / 10) ?? [];
  const round = (x: number): number => Math.round(x * 10) / 10;
  expect([size('S1', 'across'), size('S1', 'along')]).toEqual([
    [round(roof), 6],
    [128, 6],
  ]);
  expect([size('S2', 'across'), size('S2', 'along')]).toEqual([
    [44, 6],
    [round(high), 6],
  ]);
  // No 1x2 is longer than 8 ft: both long ones are joined on the middle rafter.
  // One over each of the five rafters between the ends.
  expect(a.members.filter((m) => m.part.startsWith('Batten'))).toHaveLength(2 * 2 + 2 * 4 + 5);
  // Only the shutters' film lies on both faces of a frame.
  expect(a.sheets.filter((s) => s.part.includes('shutter'))).toHaveLength(6);
});

test('it says what it cannot be: too flat, too steep, too narrow', () => {
  const fault = (more: object, widthIn = 44): string => {
    try {
      build('lean-to', at(128, widthIn), more);
      return 'built';
    } catch (error) {
      return (error as Error).message;
    }
  };
  expect(fault({ backMm: (front + 3) * IN })).toContain('too flat');
  expect(fault({ backMm: 2000 })).toContain('steeper than 50 degrees');
  expect(fault({ backMm: (front + 8) * IN }, 16)).toContain('no room for a roof');
});

test('stiff sheets meet on rafters, reach from end to end, and none is wider than it is sold', () => {
  // 96 in is two sheets of 4 ft to a hair; 97 is three; four rafters over two sheets become five.
  for (const [long, rafters, sheets, stand] of [
    [96, null, 2, 5],
    [96, 4, 2, 5],
    [97, 4, 3, 4],
    [40, 2, 1, 2],
    [190, 8, 4, 9],
  ] as const) {
    const a = build('lean-to', at(long, 44), { rafters });
    const roof = a.panels.filter((p) => p.part === 'Roof glazing');
    const spans = roof.map((p): readonly [number, number] => {
      const from = p.at[0] / IN;
      return [from, from + Math.max(...p.outline.map((c) => c[0])) / IN];
    });
    expect(spans).toHaveLength(sheets);
    const xs = a.members.flatMap((m) =>
      m.part === 'Rafter' && m.shape.kind === 'straight' ? [m.shape.from[0] / IN] : [],
    );
    expect(xs).toHaveLength(stand);
    expect(spans[0]?.[0]).toBeCloseTo(0, 6);
    expect(spans.at(-1)?.[1]).toBeCloseTo(long, 6);
    spans.forEach(([from, to], i) => {
      expect(to - from).toBeLessThan(48 + 1e-6);
      if (i === 0) return;
      expect(from).toBeCloseTo(spans[i - 1]?.[1] ?? NaN, 6);
      expect(Math.min(...xs.map((x) => Math.abs(x - from)))).toBeLessThan(1e-6);
    });
  }
});

test('under film over 96 x 40 in, worked by hand', () => {
  const [low, top] = [16, 37];
  const pitch = (top - low) / (40 - 1.5);
  const lean = Math.hypot(1, pitch);
  const middle = low + 20 * pitch - 2.5 * lean + 1.75 * pitch - 1.5;
  const shutter = low - 3.5 + 38 / IN;
  const long = (96 - 4 / IN) / 2;
  const atWall = low + 40 * pitch;
  const film = { across: [shutter, 2 * 3], along: [long, 2 * 3] };
  expect(
    differences(build('lean-to', at(96, 40), { glazing: 'film' }), {
      members: {
        'A1 W1': ['2x4 treated', 96],
        A2: ['2x4', 96],
        'A3 A4': ['2x4 treated', 40 - 3.5],
        'D1..D3': ['2x4', low - 3.5 - 1.5],
        'P1 P2': ['2x4', top - 3.5 - 1.5],
        'P3 P4': ['2x4', middle],
        // 94.5 in at 24 in at the most: four bays.
        'R1..R5': ['2x3', 37 * lean + 2.5 * pitch],
        // Along the top and the header; up both ends, along their feet, and up at 20 mm from front and wall.
        'B1 B2': ['1x2', 96],
        'B3 B7': ['1x2', 40 * lean],
        'B4 B8': ['1x2', 40],
        'B5 B9': ['1x2', low + (pitch * 20) / IN - 100 / IN],
        'B6 B10': ['1x2', low + pitch * (40 - 20 / IN) - 100 / IN],
        // Over each rafter between, 30 mm from the front to 80 from the wall.
        'B11 B12 B13': ['1x2', (40 - 110 / IN) * lean],
        'K1a K1b K2a K2b': ['2x2', long],
        'K1c K1d K2c K2d': ['2x2', shutter - 3],
      },
      sheets: {
        S1: { across: [40 * lean, 2 * 3], along: [96, 2 * 3] },
        S2: { across: [40, 2 * 3], along: [atWall, 2 * 3] },
        S3: { across: [40, 2 * 3], along: [atWall, 2 * 3] },
        F1: film,
        F2: film,
        F3: film,
        F4: film,
      },
      hardware: [
        // Each 500 mm of 2438 mm along the plate, and two to each post.
        [6 + 4, 'sleeve-anchor', 'Wall plate'],
        [2 * 2, 'screw-3', 'Front sill'],
        // Three studs in front, two posts, two studs of the ends.
        [7 * 2 * 2, 'screw-2-1/2', 'Studs and posts'],
        [5 * 2, 'rafter-hanger', 'Rafters'],
        [6, 'bracket', 'Sills'],
        // Each 150 mm round the roof, 2 x (1157 + 2438) mm, and both ends, 2 x 1016 + 406 + 961 mm each: 14 m.
        [94, 'staple', 'Film along every edge'],
        // One each 300 mm and one more: 2438, 1157, 1016, 317 and 850 mm twice each, 1032 mm three times.
        [2 * 10 + 2 * 5 + 2 * 5 + 2 * 3 + 2 * 4 + 3 * 5, 'screw-1-5/8', 'Cover battens'],
        // Along 2.44 m and down .96 m twice.
        [5, 'flashing-tape', 'Cover to the wall'],
        [2 * 4, 'corner-plate', 'Shutter corners'],
        [4 * 2 * 2, 'screw-2-1/2', 'Rails into'],
        // Both faces of two frames, each 75 mm.
        [Math.ceil((2 * 2 * 2 * (long + shutter) * IN) / 75), 'staple', 'Film round the shutter frames'],
        [2 * 2, 'hinge', 'Shutters to the header'],
        // 2 x (1217 + 406) mm round each.
        [7, 'foam-strip', 'Along the edges'],
        [2, 'handle', 'At the bottom'],
        ...[1, 2].flatMap(() => [
          [1, 'latch', 'Shutters to the sill'] as const,
          [1, 'stay', 'Hold the shutters open'] as const,
        ]),
      ],
      dimensions: {
        boxWidth: 40,
        front: low,
        backHeight: top,
        rafterLength: 37 * lean + 2.5 * pitch,
        coverLength: 96,
        spacing: 94.5 / 4,
        rowFromEdge: 6,
      },
    }),
  ).toEqual([]);
});

test('an opener of a shutter pushes at a third of its height and a little more, at most as far out as its arm', () => {
  const arms = (frontIn: number) =>
    build('lean-to', at(128, 44), { airing: 'opener', frontMm: frontIn * IN, backMm: (frontIn + 23) * IN }).moving.map(
      (part) => part.hung?.opener?.armMm,
    );
  // A header of 2x4, 3.5 in deep, under the front; the shutter laps 38 mm over it.
  const arm = 0.35 * ((16 - 3.5) * IN + 38);
  expect(arms(16)).toEqual([1, 2, 3].map(() => expect.closeTo(arm, 6)));
  expect(arms(44)).toEqual([350, 350, 350]);
});
