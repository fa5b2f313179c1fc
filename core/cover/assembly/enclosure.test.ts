import { SHIPPED, coverMaterial } from '../../catalog/catalog';
import { coverM2, meanOf, underLine } from './enclosure';

test('a box of 1 m by 1 m over 2 m: three sides and two ends', () => {
  const box = [
    { y: 0, z: 0 },
    { y: 0, z: 1000 },
    { y: 1000, z: 1000 },
    { y: 1000, z: 0 },
  ];
  const air = underLine(coverMaterial(SHIPPED, 'film-uv'), box, { lengthMm: 2000, widthMm: 1000, heightMm: 1000 });
  // Floor 2 x 1; cover 3 x 2 and two ends of 1 x 1; air 1 x 1 x 2.
  expect(air).toMatchObject({ floorM2: 2, volumeM3: 2, heightM: 1 });
  expect(coverM2(air)).toBeCloseTo(8, 9);
  // A second layer inside the sides and the top, not the ends: 6 of 8 m2.
  const film = coverMaterial(SHIPPED, 'film-uv');
  const twice = underLine(film, box, { lengthMm: 2000, widthMm: 1000, heightMm: 1000 }, film);
  expect(meanOf(twice, (s) => (s.inner ? 1 : 0))).toBeCloseTo(6 / 8, 9);
});
