import { SHIPPED, coverMaterial } from '../../catalog/catalog';
import { underLine } from './enclosure';

test('a box of 1 m by 1 m over 2 m: three sides and two ends', () => {
  const box = [
    { y: 0, z: 0 },
    { y: 0, z: 1000 },
    { y: 1000, z: 1000 },
    { y: 1000, z: 0 },
  ];
  const air = underLine(coverMaterial(SHIPPED, 'film-uv'), box, { lengthMm: 2000, widthMm: 1000, heightMm: 1000 });
  // Floor 2 x 1; cover 3 x 2 and two ends of 1 x 1; air 1 x 1 x 2.
  expect(air).toMatchObject({ floorM2: 2, coverM2: 8, volumeM3: 2, heightM: 1 });
});
