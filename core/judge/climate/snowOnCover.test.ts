import { bearingOf, snowAfterHour, underSnow, wetMm } from './snowOnCover';
import { uncovered } from './model';
import { climateOf } from './climate';
import { USUAL_TENDING } from './operation';
import { HOLLOW, TUNNEL, steady } from '../../testing/weather';

test('snow lies on what is flat: parts of light, loss and sky worked by hand', () => {
  // Top 3 m2; sides 3 m2 that see half the sky. Light 2.7 of 2.7 + 1.35; loss 3 of 6; sky 3 of 4.5.
  const b = bearingOf(TUNNEL.faces, 0);
  expect(b.light).toBeCloseTo(2.7 / 4.05, 12);
  expect(b.loss).toBeCloseTo(0.5, 12);
  expect(b.sky).toBeCloseTo(3 / 4.5, 12);
  expect(b.uWPerM2K).toBeCloseTo(6.3, 12);
  // Boards beside it that lose as much again: a quarter.
  expect(bearingOf(TUNNEL.faces, 6 * 6.3).loss).toBeCloseTo(0.25, 12);
  // A slope of 42.5 degrees: (70 - 42.5) / 55, a half; one of 70 none.
  const slope = (deg: number) =>
    ({ ...TUNNEL.faces[0], up: Math.cos((deg * Math.PI) / 180) }) as (typeof TUNNEL.faces)[0];
  expect(bearingOf([slope(42.5)], 0).loss).toBeCloseTo(0.5, 6);
  expect(bearingOf([slope(70)], 0).loss).toBeCloseTo(0, 9);
  expect(bearingOf([], 0)).toEqual({ light: 0, loss: 0, sky: 0, uWPerM2K: 0 });
});

test('six kilograms on the level, by hand', () => {
  // .04 m at .0592 W/mK: .675 m2K/W; 1 / (1 + 6.3 x .675) = .190 is left of the half it lies on. Light e^-2.4 = .091.
  const left = underSnow({ light: 0.6, loss: 0.5, sky: 0.7, uWPerM2K: 6.3 }, 6);
  expect(left.loss).toBeCloseTo(0.5 + 0.5 * 0.19, 3);
  expect(left.sky).toBeCloseTo(0.3 + 0.7 * 0.19, 3);
  expect(left.light).toBeCloseTo(0.4 + 0.6 * 0.0907, 4);
  expect(underSnow({ light: 1, loss: 1, sky: 1, uWPerM2K: 6 }, 0)).toEqual({ light: 1, loss: 1, sky: 1 });
});

test('it falls, thaws and slides', () => {
  expect(snowAfterHour(0, 40, -5, 0)).toBeCloseTo(3, 12);
  // Two degrees take .7 kg an hour; over three inside a seventh of the rest slides.
  expect(snowAfterHour(3, 0, 2, 2)).toBeCloseTo(2.3, 12);
  expect(snowAfterHour(3, 0, -2, 4)).toBeCloseTo(3 * 0.85, 12);
  expect(snowAfterHour(0.5, 0, 10, 0)).toBe(0);
  expect(wetMm(40)).toBe(100);
});

test('brushed in the mornings when somebody comes; none lies on a bare bed', () => {
  // A week from a Monday, a centimetre each hour of the first two days: 18 kg a day.
  const snow = { ...steady(24 * 7, { airC: -8 }), snowMm: Array.from({ length: 24 * 7 }, (_, i) => (i < 48 ? 10 : 0)) };
  const most = (tending: typeof USUAL_TENDING, model = TUNNEL): readonly number[] => {
    const { run } = climateOf(model, snow, HOLLOW, tending, { killingC: -20, hotC: 30 });
    return Array.from({ length: 7 }, (_, day) => run.snowKgPerM2[24 * day + 23] ?? NaN);
  };
  expect(most({ ...USUAL_TENDING, brushes: false })[6]).toBeCloseTo(36, 6);
  const brushed = most(USUAL_TENDING);
  // Midnight to eight of the first day are swept with it: fifteen hours are left at its end.
  expect(brushed[0]).toBeCloseTo(0.75 * 15, 6);
  expect(brushed[6]).toBe(0);
  const never = most({ ...USUAL_TENDING, forgets: [0, 1, 2, 3, 4, 5, 6] });
  expect(never[6]).toBeCloseTo(36, 6);
  expect(most(USUAL_TENDING, uncovered(TUNNEL))).toEqual([0, 0, 0, 0, 0, 0, 0]);
});
