import { HOLLOW, TUNNEL, steady } from '../../testing/weather';
import type { Weather } from '../weather/weather';
import { type ClimatePlace, driveOf } from './drive';
import type { BedModel } from './model';
import { ASLANT_DIFFUSE, aslant, diffusePart, saturatedKgPerM3, skyLossWPerM2, sunAt } from './sky';
import { type Operation, USUAL_TENDING } from './operation';

const SHUT: Operation = { ...USUAL_TENDING, open: null };
const FACE = { east: 0, north: 0, up: 1, m2: 2, light: 0.8, uWPerM2K: 5 };
/** Two square metres of one level skin over as much floor. */
const FLAT: BedModel = {
  ...TUNNEL,
  faces: [FACE],
  horizon: [],
  floorM2: 2,
  volumeM3: 0.9,
  wallsWPerK: 3,
  leaksPerHour: 2,
  leaksRange: [1, 3],
  blanketM2KPerW: 0,
  lightsW: 0,
};
const PLACE: ClimatePlace = { ...HOLLOW, exposure: 'normal', latitudeDeg: 45, longitudeDeg: 0, utcHours: 0 };
const NIGHT = Date.parse('2027-01-10T00:00:00Z');
const NOON = Date.parse('2027-06-21T12:00:00Z');
/** One hour of weather. */
type More = NonNullable<Parameters<typeof steady>[1]> & { readonly snowMm?: number };
const hour = (startMs: number, { snowMm = 0, ...more }: More = {}): Weather => ({
  ...steady(1, { airC: 0, dewC: -5, cloud: 0, windMPerS: 5, ...more }),
  snowMm: [snowMm],
  startMs,
});
const first = (list: Float64Array): number => list[0] ?? NaN;

test('a night by hand: wind at the bed, losses, the sky, leaks', () => {
  const d = driveOf(FLAT, hour(NIGHT), PLACE, SHUT);
  // .4 of 5 m/s among gardens. 1/U = 1/5 + 1/(7.2 + 3 x 2) - 1/(7.2 + 3 x 4) = .2237; two square metres of it, and the walls.
  expect(first(d.windMPerS)).toBeCloseTo(2, 9);
  const u = 1 / (1 / 5 + 1 / 13.2 - 1 / 19.2);
  expect(first(d.lossWPerK)).toBeCloseTo(3 + 2 * u, 9);
  // .9 of what a black skin sends to the sky, taken from the air at 13.2 W/m2K; a level skin sees all of it.
  const drop = (0.9 * skyLossWPerM2(0, -5, 0)) / 13.2;
  expect(first(d.skyW)).toBeCloseTo(2 * u * drop, 9);
  expect(first(d.skinDropC)).toBeCloseTo(drop, 9);
  expect(first(d.returned)).toBeCloseTo(u / 13.2, 9);
  // Two changes an hour at 2 m/s, as the catalogue has them.
  expect(first(d.leak)).toBeCloseTo((2 * 0.9) / 3600, 12);
  expect(first(d.vapour)).toBeCloseTo(saturatedKgPerM3(-5), 12);
  expect([first(d.sunW), first(d.lightsW), first(d.opened)]).toEqual([0, 0, 0]);
});

test.each([
  // Half of it in no wind, no less than the least; by wind no more than the most.
  [0, 1],
  [5, 2],
  [10, 3],
  [30, 3],
])('wind of %d m/s at ten metres: %d changes of air an hour', (windMPerS, changes) => {
  const d = driveOf(FLAT, hour(NIGHT, { windMPerS }), PLACE, SHUT);
  expect((first(d.leak) * 3600) / 0.9).toBeCloseTo(changes, 9);
});

test('what readings have taught: losses and leaks by one, the sun by the other', () => {
  const [d, taught] = [undefined, { loss: 1.5, gain: 0.5 }].map((t) =>
    driveOf(FLAT, hour(NOON, { sunWPerM2: 500 }), PLACE, SHUT, t),
  );
  if (!d || !taught) throw new Error('none');
  for (const key of ['lossWPerK', 'skyW', 'leak'] as const)
    expect(first(taught[key]) / first(d[key])).toBeCloseTo(1.5, 9);
  expect(first(taught.sunW) / first(d.sunW)).toBeCloseTo(0.5, 9);
  expect(first(taught.skinDropC)).toBeCloseTo(first(d.skinDropC), 9);
});

test('of what goes through cloth the sky cools only what the skin itself can pass on', () => {
  // 1 / (1/8 + 1/13.2) = 4.98 W/m2K, though 30 go through with the air.
  const cloth = driveOf({ ...FLAT, faces: [{ ...FACE, uWPerM2K: 30 }] }, hour(NIGHT), PLACE, SHUT);
  expect(first(cloth.skyW)).toBeCloseTo((2 * (0.9 * skyLossWPerM2(0, -5, 0))) / 13.2 / (1 / 8 + 1 / 13.2), 9);
});

test('light while the sun is under the horizon: half of what a skin over the floor lets through', () => {
  const d = driveOf(FLAT, hour(NIGHT, { sunWPerM2: 10 }), PLACE, SHUT);
  expect(first(d.sunW)).toBeCloseTo(10 * 2 * (1.6 / 3) * 0.5, 9);
});

test('where the sky is half shut out a skin loses half as much to it', () => {
  const upright: BedModel = { ...FLAT, faces: [{ ...FACE, up: 0, east: 1 }] };
  const [level, wall] = [FLAT, upright].map((m) => first(driveOf(m, hour(NIGHT), PLACE, SHUT).skyW));
  expect((wall ?? 0) / (level ?? 1)).toBeCloseTo(0.5, 9);
});

describe('sun at noon on the longest day, 500 W/m2 on the level', () => {
  const sun = sunAt(NOON + 1_800_000, 45, 0);
  const diffuse = 500 * diffusePart(500, NOON, sun.up);
  const sunIn = (model: BedModel, more: More = {}): number =>
    first(driveOf(model, hour(NOON, { sunWPerM2: 500, airC: 20, ...more }), PLACE, SHUT).sunW);

  test('through a level skin over as much floor: all that comes in meets the floor, .8 of it stays', () => {
    const beam = (500 - diffuse) * 2 * 0.8 * aslant(sun.up);
    expect(sunIn(FLAT)).toBeCloseTo(0.8 * (beam + 2 * 0.8 * diffuse * ASLANT_DIFFUSE), 6);
  });

  test('over half as much floor half of it may leave again, by as much as the skin lets through', () => {
    // .8 of the light comes through 2 m2 of skin, out of 2 + 3/3 m2 that shut it in.
    const stays = 0.8 * (0.5 + 0.5 * (1 - 1.6 / 3));
    expect(sunIn({ ...FLAT, floorM2: 1 }) / sunIn(FLAT)).toBeCloseTo(stays / 0.8, 9);
  });

  test('through an upright skin to the north: no beam, half the sky, and what the ground throws up', () => {
    const north: BedModel = { ...FLAT, faces: [{ ...FACE, up: 0, north: 1 }] };
    expect(sun.north).toBeLessThan(0);
    const wall = 2 * 0.8 * (0.5 * diffuse + 0.5 * 0.2 * 500) * ASLANT_DIFFUSE * 0.8;
    expect(sunIn(north)).toBeCloseTo(wall, 6);
    // Three centimetres of fresh snow throw up .7 of it, where the air does not thaw them.
    const snowy = sunIn(north, { snowMm: 30, airC: 0 });
    expect(snowy - wall).toBeCloseTo(2 * 0.8 * 0.5 * (0.7 - 0.2) * 500 * ASLANT_DIFFUSE * 0.8, 6);
    // At 20 degrees 18 mm of them are gone at once: what is left is no white ground.
    expect(sunIn(north, { snowMm: 30 })).toBeCloseTo(wall, 6);
  });

  test('through an upright skin to the south: the beam slants on it', () => {
    const south: BedModel = { ...FLAT, faces: [{ ...FACE, up: 0, north: -1 }] };
    const cos = -sun.north;
    const square = 2 * cos;
    const onFloor = Math.min(1, (2 * sun.up) / square);
    const stays = 0.8 * (onFloor + (1 - onFloor) * (1 - 1.6 / 3));
    const beam = ((500 - diffuse) / sun.up) * 2 * cos * 0.8 * aslant(cos) * stays;
    const rest = 2 * 0.8 * (0.5 * diffuse + 0.5 * 0.2 * 500) * ASLANT_DIFFUSE * 0.8;
    expect(sunIn(south)).toBeCloseTo(beam + rest, 6);
  });
});

test('a blanket keeps out the sun and 1 / U grows by what it resists, in its hours only', () => {
  const wool: BedModel = { ...FLAT, blanketM2KPerW: 0.35 };
  const on = driveOf(wool, hour(NOON, { sunWPerM2: 500 }), PLACE, { ...SHUT, blanket: { from: 12, to: 13 } });
  const off = driveOf(wool, hour(NOON, { sunWPerM2: 500 }), PLACE, { ...SHUT, blanket: { from: 13, to: 12 } });
  expect(first(on.sunW)).toBe(0);
  expect(first(off.sunW)).toBeGreaterThan(100);
  const u = (d: typeof on): number => (first(d.lossWPerK) - 3) / 2;
  expect(1 / u(on) - 1 / u(off)).toBeCloseTo(0.35, 9);
});

test('a hand opens in its hours, on days that come to be warm, when somebody comes; lights burn in theirs', () => {
  const lit: BedModel = { ...FLAT, lightsW: 25 };
  const day = (more: Partial<Operation>, airC: number) =>
    driveOf(lit, { ...steady(24, { airC, dewC: -9 }), startMs: NIGHT }, PLACE, { ...USUAL_TENDING, ...more });
  const hours = (list: Float64Array): readonly number[] => [...list].flatMap((x, i) => (x > 0 ? [i] : []));
  // From nine to three, where it gets warmer than 7 C; 10 January 2027 is a Sunday.
  expect(hours(day({}, 8).opened)).toEqual([9, 10, 11, 12, 13, 14]);
  expect(hours(day({}, 6.9).opened)).toEqual([]);
  expect(hours(day({ forgets: [0] }, 8).opened)).toEqual([]);
  expect(hours(day({ forgets: [1] }, 8).opened)).toHaveLength(6);
  expect(hours(day({ open: null }, 8).opened)).toEqual([]);
  expect(hours(day({}, 8).lightsW)).toEqual([0, 1, 2, 3, 4, 5, 6, 20, 21, 22, 23]);
  expect(day({}, 8).lightsW[0]).toBe(25);
  // Five hours west of it nine o'clock is at fourteen hours UTC.
  const west = { ...PLACE, utcHours: -5 };
  const there = driveOf(lit, { ...steady(24, { airC: 8, dewC: -9 }), startMs: NIGHT }, west, USUAL_TENDING);
  expect(hours(there.opened)).toEqual([14, 15, 16, 17, 18, 19]);
  // Twelve hours east its Sunday ends at noon UTC: its Monday's nine o'clock is at 21.
  const east = { ...PLACE, utcHours: 12 };
  const idle = { ...USUAL_TENDING, forgets: [0] };
  expect(hours(driveOf(lit, { ...steady(24, { airC: 8, dewC: -9 }), startMs: NIGHT }, east, idle).opened)).toEqual([
    21, 22, 23,
  ]);
});

test('what it wears may change with the date', () => {
  const summer: BedModel = { ...FLAT, wallsWPerK: 10 };
  const d = driveOf(
    (date) => (date >= '2027-01-11' ? summer : FLAT),
    { ...steady(48, { airC: 0, dewC: -5 }), startMs: NIGHT },
    PLACE,
    SHUT,
  );
  expect((d.lossWPerK[24] ?? 0) - (d.lossWPerK[23] ?? 0)).toBeCloseTo(7, 9);
  expect(d.lossWPerK[47]).toBe(d.lossWPerK[24]);
});
