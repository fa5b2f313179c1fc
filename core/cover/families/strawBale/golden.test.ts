import { differences } from '../../../testing/golden';
import { at, build } from '../../../testing/site';

test('a straw-bale frame under old windows over 128 x 44 in, worked by hand', () => {
  // Bales of 36 x 18 x 14 in, flat in two courses, those behind on edge: 28 in front, 28 + 4 behind.
  // Windows and supports rest 100 mm on the bales at both sides.
  const reach = Math.hypot(44 + (2 * 100) / 25.4, 4);
  expect(
    differences(build('straw-bale', at(128, 44)), {
      members: { 'K0a K0b K0c K0d K0e': ['2x4', reach] },
      panels: { 'G1..G4': ['old-window', 32, reach] },
      sheets: {},
      // Each course: four in front, four behind, two at each end.
      blocks: 2 * (4 + 4 + 2 * 2),
      hardware: [
        // Round 2 x (128 + 44) in, 8.74 m, and two to tie.
        [9 + 2, 'rope', 'Round the bales'],
        [4, 'safety-film', 'On the glass'],
        [4, 'handle', 'At the front'],
        [4 * 2, 'brick', 'On the corners'],
        [24, 'straw-bale', 'Round the bed'],
        [4, 'old-window', 'One to a lid'],
      ],
      dimensions: { boxWidth: 44, frontHeight: 28, backHeight: 32, coverLength: 128, rowFromEdge: 6 },
    }),
  ).toEqual([]);
});

test('one course under three frames of twin-wall over 96 x 48 in where it is windy, the slope the other way', () => {
  // 14 in in front, on edge 18 behind.
  const reach = Math.hypot(48 + (2 * 100) / 25.4, 4);
  const more = { glazing: 'twin-wall-6', courses: 1, lids: 3, support: '2x6', back: 'near' };
  const a = build('straw-bale', at(96, 48, true), more);
  expect(
    differences(a, {
      members: {
        'K0a K0b K0c K0d': ['2x6', reach],
        'K1a K1b K2a K2b K3a K3b': ['2x2', 96 / 3],
        // Stiles stand between the rails.
        'K1c K1d K2c K2d K3c K3d': ['2x2', reach - 2 * 1.5],
      },
      panels: { 'G1..G3': ['twin-wall-6', reach, 96 / 3] },
      sheets: {},
      // 96 in take three bales in front and three behind; 48 in take two at each end.
      blocks: 3 + 3 + 2 * 2,
      hardware: [
        // Round 2 x (96 + 48) in, 7.3 m, and two to tie.
        [8 + 2, 'rope', 'Round the bales'],
        [3 * 4, 'corner-plate', 'Lid corners'],
        [3 * 4 * 2, 'screw-2-1/2', 'Rails into'],
        // Six edges of 1423 mm, 8.54 m, each 250 mm, and one at each corner of each lid.
        [35 + 4 * 3, 'glazing-screw', 'Glazing'],
        [2 * 3, 'edge-tape', 'Glazing'],
        [3, 'handle', 'At the front'],
        // Five a lid in wind, two else.
        [5 * 3, 'brick', 'On the corners'],
        [10, 'straw-bale', 'Round the bed'],
      ],
      dimensions: { boxWidth: 48, frontHeight: 14, backHeight: 18, coverLength: 96, rowFromEdge: 6 },
    }),
  ).toEqual([]);
  // Seen from the end the high side is the near one.
  const heights = a.under.map((p) => p.z);
  expect(heights[0]).toBeGreaterThan(heights[1] ?? Infinity);
});

test('slid down as its step says, each lid opens a gap behind it: air that the vents count', () => {
  const a = build('straw-bale', at(96, 48));
  // 4 in = 100 mm behind 96 in of lids.
  expect(a.ventilation.byHandM2).toBeCloseTo((0.1 * 96 * 25.4) / 1000, 9);
});
