import { SHIPPED, coverMaterial } from '../../catalog/catalog';
import { skin } from '../../testing/judged';
import { leaksPerHour, skinU, wallsWPerK } from './losses';

const film = coverMaterial(SHIPPED, 'film-uv');
const fabric = coverMaterial(SHIPPED, 'fabric-30');

test('two tight layers resist one after the other', () => {
  const u = skinU(skin('film-uv', 1));
  expect(u).toBe(film.uWPerM2K ?? film.throughWPerM2K);
  expect(skinU(skin('film-uv', 1, 'film-uv'))).toBeCloseTo(u / 2, 12);
  const other = skinU(skin('fabric-30', 1));
  expect(1 / skinU(skin('film-uv', 1, 'fabric-30'))).toBeCloseTo(1 / u + 1 / other, 12);
});

test('air leaks by the tighter of two layers, by area over several skins, twice as much under loose edges', () => {
  expect(leaksPerHour({ skins: [skin('film-uv', 3)] })).toBe(film.leaksPerHour);
  expect(leaksPerHour({ skins: [skin('fabric-30', 3, 'film-uv')] })).toBe(
    Math.min(film.leaksPerHour, fabric.leaksPerHour),
  );
  // Three square metres of one, one of the other.
  expect(leaksPerHour({ skins: [skin('film-uv', 3), skin('fabric-30', 1)] })).toBeCloseTo(
    (3 * film.leaksPerHour + fabric.leaksPerHour) / 4,
    12,
  );
  expect(leaksPerHour({ skins: [skin('film-uv', 3)], loose: true })).toBe(2 * film.leaksPerHour);
  // With a whole side open nothing else counts.
  expect(leaksPerHour({ skins: [skin('film-uv', 3)], open: true })).toBe(1000);
});

test('walls: two square metres of 38 mm boards and three of plywood of 6', () => {
  // 1 / (.17 + .038 / .12) = 2.0548; 1 / (.17 + .006 / .13) = 4.6263.
  const walls = [
    { kind: 'board', thicknessMm: 38, m2: 2 },
    { kind: 'plywood', thicknessMm: 6, m2: 3 },
  ] as const;
  expect(wallsWPerK({ walls })).toBeCloseTo(2 * 2.0548 + 3 * 4.6263, 2);
  // Straw as thick as a bale is wide: 1 / (.17 + .457 / .06) = .128.
  expect(wallsWPerK({ walls: [{ kind: 'straw', thicknessMm: 457, m2: 1 }] })).toBeCloseTo(0.1284, 4);
  expect(wallsWPerK({})).toBe(0);
});
