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
