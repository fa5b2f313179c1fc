import { squareBed } from '../../site/bed';
import { survey } from '../../site/survey';
import { crop } from '../../catalog/crops';
import { cropUnder } from './crop';

const bed = squareBed('b', 'Bed', 2400, 1200, { heightMm: 300, thicknessMm: 40 }, { xMm: 0, yMm: 0 });

test('rows stand from the inner face of the wall, and the lower of the two has its clearance', () => {
  // Soil 50 below a rim of 300; spinach 250 high: its top at 500. Rows at 40 + 100 from both sides.
  const line = [
    { y: 0, z: 300 },
    { y: 600, z: 900 },
    { y: 1200, z: 700 },
  ];
  const row = cropUnder({ bed, survey: survey(bed) }, crop('spinach'), 100, line);
  expect(row.rowYsMm).toEqual([140, 1060]);
  expect(row.soilZMm).toBe(250);
  expect(row.topZMm).toBe(500);
  // Over the left row the cover is at 300 + 140 = 440, over the right at 700 + 140 / 3 = 746.7.
  expect(row.clearanceMm).toBeCloseTo(440 - 500, 9);
});
