import type { Enclosure } from '../../cover/assembly/types';
import { crop } from '../../catalog/crops';
import { coldestNight } from './coldest';
import { noonAir } from './noon';
import { NOON, skin, sunFromAbove } from '../../testing/judged';

const under = (cropKey: string, cover: string, inner?: string): number =>
  coldestNight({
    crop: { crop: crop(cropKey), soilZMm: 0, rowYsMm: [0, 0], topZMm: 0, clearanceMm: 0 },
    enclosure: {
      skins: [skin(cover, 6, inner)],
      floorM2: 3,
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

const noonOf = (e: Enclosure) => noonAir(e, sunFromAbove(e), NOON);
const rise = (cover: string, inner?: string): number =>
  noonOf({ skins: [skin(cover, 6, inner)], floorM2: 3, volumeM3: 2, heightM: 0.7 }).riseShutC;

test('rise at noon, worked by hand for each kind of cover', () => {
  const sun = noonOf({ skins: [skin('net', 6)], floorM2: 3, volumeM3: 2, heightM: 0.7 }).sunWPerM2;
  // .6 of the .8 of sun x light x 3 m2 that is caught, over U x 6 m2 and 1206 J x changes x 2 m3 an hour: 1.2 of film, 35 of fabric, 3000 of net.
  const by = (light: number, u: number, changes: number): number =>
    (0.6 * 0.8 * sun * light * 3) / (u * 6 + (1206 * changes * 2) / 3600);
  expect(rise('film-uv')).toBeCloseTo(by(0.9, 6.3, 1.2), 6);
  expect(rise('fabric-30')).toBeCloseTo(by(0.8, 17, 35), 6);
  expect(rise('net')).toBeCloseTo(by(0.88, 20, 3000), 6);
  // Glass and twin-wall leak as a glazed box does.
  expect(rise('glass')).toBeCloseTo(by(0.88, 5.8, 1), 6);
  expect(rise('twin-wall')).toBeCloseTo(by(0.8, 3.5, 1), 6);
  // Two films: 1 / (1 / 6.3 + 1 / 6.3) = 3.15, light .9 x .9.
  expect(rise('film-uv', 'film-uv')).toBeCloseTo(by(0.81, 3.15, 1.2), 6);
});

test('the figure says which crop, which cover, which layer, and what it takes for granted', () => {
  const figure = coldestNight({
    crop: { crop: crop('corn-salad'), soilZMm: 0, rowYsMm: [0, 0], topZMm: 0, clearanceMm: 0 },
    enclosure: {
      skins: [skin('film-uv', 6, 'fabric-50')],
      floorM2: 3,
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

test('a second layer over the roof alone counts on the roof alone, by night and at noon', () => {
  // 4 m2 of roof with two films, 2 m2 of ends with one: 2.5 + 4/6 of 2.5.
  const enclosure = {
    skins: [skin('film-uv', 4, 'film-uv'), skin('film-uv', 2)] as const,
    floorM2: 3,
    volumeM3: 2,
    heightM: 0.7,
  };
  const night = coldestNight({
    crop: { crop: crop('spinach'), soilZMm: 0, rowYsMm: [0, 0], topZMm: 0, clearanceMm: 0 },
    enclosure,
  });
  expect(night.value).toBeCloseTo(-12 - 2.5 - (4 / 6) * 2.5, 9);
  const air = noonOf(enclosure);
  const light = (4 * 0.81 + 2 * 0.9) / 6;
  const loss = 4 * 3.15 + 2 * 6.3 + (1206 * 1.2 * 2) / 3600;
  expect(air.riseShutC).toBeCloseTo((0.6 * 0.8 * air.sunWPerM2 * light * 3) / loss, 6);
});

test('edges that only lie weighted leak twice as much', () => {
  const enclosure = { skins: [skin('film-uv', 6)] as const, floorM2: 3, volumeM3: 2, heightM: 0.7 };
  const [shut, loose] = [noonOf(enclosure), noonOf({ ...enclosure, loose: true })];
  expect(shut.riseShutC / loose.riseShutC).toBeCloseTo(
    (6.3 * 6 + (1206 * 2.4 * 2) / 3600) / (6.3 * 6 + (1206 * 1.2 * 2) / 3600),
    9,
  );
});
