import { SHIPPED, coverMaterial } from '../../catalog/catalog';
import { spellsOf } from '../../garden/spells';
import { newEntry } from '../../garden/log';
import { sheetLives, sunDose } from './sheetLife';

const film = coverMaterial(SHIPPED, 'film-uv');
const coverOf = (key: string) => coverMaterial(SHIPPED, key);
const HOLLOW = { latitudeDeg: 44.1, longitudeDeg: -72.6 };

test('the sun of a day: straight over the equator 1/pi of full all day, none in a polar winter', () => {
  // Day 81: declination 0; (cos 0 cos 0 sin(pi/2) + 0) / pi.
  expect(sunDose(0, '2027-03-22')).toBeCloseTo(1 / Math.PI, 4);
  expect(sunDose(80, '2027-12-21')).toBe(0);
  expect(sunDose(44.1, '2027-06-21')).toBeGreaterThan(3 * sunDose(44.1, '2027-12-21'));
});

test('a sheet out a whole year has used one year of its life, and is due when all of them are over', () => {
  const [life] = sheetLives(film, [], coverOf, [['2026-01-01', '9999-12-31']], HOLLOW, '2027-01-01');
  expect(life?.worn).toBeCloseTo(1 / film.lifeYears, 6);
  // Half of the year is day, and refraction adds a little.
  expect(life?.hours).toBeGreaterThan(365 * 12);
  expect(life?.hours).toBeLessThan(365 * 12.5);
  // Five years from the first day of 2026.
  expect(life?.replaceBy?.slice(0, 7)).toBe('2030-12');
});

test('in store nothing ages; a winter wears less than a summer; coats share the year', () => {
  const half = (from: string, to: string) =>
    sheetLives(film, [], coverOf, [[from, to]], HOLLOW, '2027-12-31')[0]?.worn ?? 0;
  expect(half('2026-10-01', '2027-04-01')).toBeLessThan(0.4 * half('2026-10-01', '2027-10-01'));
  expect(sheetLives(film, [], coverOf, [], HOLLOW, '2027-01-01')[0]).toMatchObject({ hours: 0, worn: 0 });
  const coats = [{ coverKey: 'net', from: '05-01', to: '10-01' }];
  const two = sheetLives(film, coats, coverOf, [['2026-01-01', '2027-01-01']], HOLLOW, '2027-01-01');
  const alone = sheetLives(film, [], coverOf, [['2026-01-01', '2027-01-01']], HOLLOW, '2027-01-01')[0];
  expect(two.map((l) => l.coverKey)).toEqual(['film-uv', 'net']);
  expect(two.reduce((sum, l) => sum + l.hours, 0)).toBeCloseTo(alone?.hours ?? 0, 6);
  expect((two[0]?.replaceBy ?? '') > (alone?.replaceBy ?? '')).toBe(true);
});

test('worn right through it is due today; a sheet that the calendar never wears has no end in sight', () => {
  const old = sheetLives(film, [], coverOf, [['1990-01-01', '9999-12-31']], HOLLOW, '2027-01-01')[0];
  expect(old?.worn).toBeGreaterThan(1);
  expect(old?.replaceBy).toBe('2027-01-01');
  const never = [{ coverKey: 'net', from: '01-01', to: '12-31' }];
  expect(
    sheetLives(film, never, coverOf, [], { latitudeDeg: 89, longitudeDeg: 0 }, '2027-01-01')[0]?.replaceBy,
  ).toBeNull();
});

test('when it stood, by the day book: pairs of dates, the last one open; twice up is once up', () => {
  const e = (date: string, kind: 'put-up' | 'taken-down' | 'cover-on' | 'note') =>
    newEntry(date + kind, date, 'c', kind);
  const log = [
    e('2026-10-01', 'put-up'),
    e('2026-10-05', 'cover-on'),
    e('2027-04-01', 'taken-down'),
    e('2027-02-01', 'note'),
  ];
  const standing = { id: 'c', state: { is: 'standing', since: '2027-09-01' } } as const;
  expect(spellsOf(standing, log)).toEqual([
    ['2026-10-01', '2027-04-01'],
    ['2027-09-01', '9999-12-31'],
  ]);
  expect(spellsOf({ id: 'other', state: { is: 'planned' } }, log)).toEqual([]);
});
