import { SHIPPED, coverMaterial } from '../../catalog/catalog';
import { coldestNight } from './coldest';
import { noonAir } from './noon';
import { NOON } from '../../testing/judged';

const under = (cropKey: string, cover: string, inner?: string): number =>
  coldestNight({
    crop: { cropKey, soilZMm: 0, rowYsMm: [0, 0], topZMm: 0, clearanceMm: 0 },
    enclosure: {
      cover: coverMaterial(SHIPPED, cover),
      ...(inner && { inner: coverMaterial(SHIPPED, inner) }),
      floorM2: 3,
      coverM2: 6,
      volumeM3: 2,
      heightM: 0.7,
    },
  }).value;

test('a cover saves a crop from as many degrees as it helps, and a second layer from more', () => {
  // Spinach dies at -12, lettuce at -3; UV film helps by 2.5, fabric of 30 g by 2, net by nothing.
  expect(under('spinach', 'film-uv')).toBeCloseTo(-14.5, 9);
  expect(under('lettuce', 'net')).toBeCloseTo(-3, 9);
  expect(under('lettuce', 'film-uv', 'fabric-30')).toBeCloseTo(-7.5, 9);
});

const rise = (cover: string, inner?: string): number =>
  noonAir(
    {
      cover: coverMaterial(SHIPPED, cover),
      ...(inner && { inner: coverMaterial(SHIPPED, inner) }),
      floorM2: 3,
      coverM2: 6,
      volumeM3: 2,
      heightM: 0.7,
    },
    NOON,
  ).riseShutC;

test('rise at noon, worked by hand for each kind of cover', () => {
  const sun = noonAir(
    { cover: coverMaterial(SHIPPED, 'net'), floorM2: 3, coverM2: 6, volumeM3: 2, heightM: 0.7 },
    NOON,
  ).sunWPerM2;
  // Half of sun x light x 3 m2, over U x 6 m2 and 1206 J x changes x 2 m3 an hour: 1.5 of film, 15 of fabric, 60 of net.
  const by = (light: number, u: number, changes: number): number =>
    (0.5 * sun * light * 3) / (u * 6 + (1206 * changes * 2) / 3600);
  expect(rise('film-uv')).toBeCloseTo(by(0.9, 6.3, 1.5), 6);
  expect(rise('fabric-30')).toBeCloseTo(by(0.8, 6.5, 15), 6);
  expect(rise('net')).toBeCloseTo(by(0.88, 6.5, 60), 6);
  // Two films: 1 / (1 / 6.3 + 1 / 6.3) = 3.15, light .9 x .9.
  expect(rise('film-uv', 'film-uv')).toBeCloseTo(by(0.81, 3.15, 1.5), 6);
});

test('the figure says which crop, which cover, which layer, and what it takes for granted', () => {
  const figure = coldestNight({
    crop: { cropKey: 'corn-salad', soilZMm: 0, rowYsMm: [0, 0], topZMm: 0, clearanceMm: 0 },
    enclosure: {
      cover: coverMaterial(SHIPPED, 'film-uv'),
      inner: coverMaterial(SHIPPED, 'fabric-50'),
      floorM2: 3,
      coverM2: 6,
      volumeM3: 2,
      heightM: 0.7,
    },
  });
  expect(figure.label).toBe('Corn salad lives down to');
  expect(figure.terms.map((t) => [t.name, t.value])).toEqual([
    ['corn salad dies at', -15],
    ['UV film 6 mil helps by', 2.5],
    ['fabric 50 g inside it by', 3.5],
  ]);
  expect(figure.value).toBe(-21);
  expect(figure.assumes.join(' ')).toContain('not a promise');
});
