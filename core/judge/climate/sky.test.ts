import fc from 'fast-check';
import { getPosition } from 'suncalc';
import { readFileSync } from 'node:fs';
import {
  ASLANT_DIFFUSE,
  aslant,
  clearSkyWPerM2,
  cloudOf,
  diffusePart,
  saturatedKgPerM3,
  saturationSlope,
  skyLossWPerM2,
  sunAt,
  throughCloud,
} from './sky';

const known = JSON.parse(readFileSync('core/judge/climate/sun.cases.json', 'utf8')) as {
  days: { lat: number; lon: number; noonAltitudeDeg: number; sunriseUTC: string; sunsetUTC: string }[];
};

test.each(known.days)('the sun stands on the horizon when it rises at $lat, and as high as known at noon', (d) => {
  const [rise, set] = [d.sunriseUTC, d.sunsetUTC].map((t) => Date.parse(`${t.replace(' ', 'T')}Z`)) as [number, number];
  // Its upper edge shows at -0.833 degrees.
  for (const t of [rise, set]) expect(Math.abs(sunAt(t, d.lat, d.lon).altitudeDeg + 0.833)).toBeLessThan(0.1);
  const noon = sunAt((rise + set) / 2, d.lat, d.lon);
  expect(Math.abs(noon.altitudeDeg - d.noonAltitudeDeg)).toBeLessThan(0.1);
  expect(Math.abs(noon.azimuthDeg - (d.lat > 0 ? 180 : noon.azimuthDeg < 180 ? 0 : 360))).toBeLessThan(1);
});

test('the quick sun is the library’s sun, anywhere and at any time', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -88, max: 88, noNaN: true }),
      fc.double({ min: -180, max: 180, noNaN: true }),
      fc.integer({ min: 1767225600, max: 1893456000 }),
      (lat, lon, s) => {
        const [quick, slow] = [sunAt(s * 1000, lat, lon), getPosition(new Date(s * 1000), lat, lon)];
        // Refraction lifts the library's low sun by up to half a degree.
        const near = slow.altitude > 25 ? 0.05 : slow.altitude > 10 ? 0.12 : slow.altitude > -1 ? 0.7 : 99;
        expect(Math.abs(quick.altitudeDeg - slow.altitude)).toBeLessThan(near);
        expect(Math.hypot(quick.east, quick.north, quick.up)).toBeCloseTo(1, 9);
        if (slow.altitude > 10 && slow.altitude < 80)
          expect(Math.abs(((quick.azimuthDeg - slow.azimuth + 540) % 360) - 180)).toBeLessThan(0.3);
      },
    ),
  );
});

test('vapour, cloud and slanting light by hand', () => {
  // Steam tables: 4.85 g/m3 at 0 C, 17.3 at 20.
  expect(saturatedKgPerM3(0) * 1000).toBeCloseTo(4.85, 2);
  expect(saturatedKgPerM3(20) * 1000).toBeCloseTo(17.27, 1);
  for (const t of [-20, 0, 15, 40])
    expect(saturationSlope(t)).toBeCloseTo(
      (saturatedKgPerM3(t + 0.01) - saturatedKgPerM3(t - 0.01)) / 0.02 / saturatedKgPerM3(t),
      5,
    );
  expect(throughCloud(0)).toBe(1);
  expect(throughCloud(1)).toBe(0.25);
  for (const c of [0, 0.3, 0.9, 1]) expect(cloudOf(throughCloud(c))).toBeCloseTo(c, 9);
  expect(aslant(1)).toBe(1);
  // 60 degrees: 1 - 0.1 (2 - 1) = 0.9, where the straight line begins: 1.8 x 0.5.
  expect(aslant(0.5)).toBeCloseTo(0.9, 12);
  expect(aslant(0.499)).toBeCloseTo(0.8982, 9);
  expect(aslant(0.25)).toBeCloseTo(0.45, 12);
  expect(aslant(-0.2)).toBe(0);
  expect(ASLANT_DIFFUSE).toBe(aslant(0.5));
});

test('light of a dull day comes from everywhere, of a clear one from the sun', () => {
  const noon = Date.parse('2027-03-21T12:00:00Z');
  // k = 100 / (1361 x .7) = .1: 1 - .09 x .105; k above .8: .165.
  expect(diffusePart(100, noon, 0.7)).toBeCloseTo(0.99, 2);
  expect(diffusePart(800, noon, 0.7)).toBe(0.165);
  const parts = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.78].map((k) => diffusePart(k * 1361 * 0.7, noon, 0.7));
  parts.slice(1).forEach((p, i) => expect(p).toBeLessThan(parts[i] ?? 0));
  expect(clearSkyWPerM2(-3, 0)).toBe(0);
  expect(clearSkyWPerM2(60, 1500)).toBeGreaterThan(clearSkyWPerM2(60, 0));
});

test('a clear dry night loses more to the sky than a wet or cloudy one', () => {
  // At 0 C with a dew point of -5: 315.6 (1 - .711 + .028 - .0018) = 99.5.
  expect(skyLossWPerM2(0, -5, 0)).toBeCloseTo(99.5, 0);
  expect(skyLossWPerM2(0, 0, 0)).toBeLessThan(skyLossWPerM2(0, -10, 0));
  expect(skyLossWPerM2(0, -5, 1)).toBeCloseTo(0.16 * skyLossWPerM2(0, -5, 0), 6);
});

test('the same light is the more of it from the sky in January, when the sun outside the air is nearer', () => {
  // Erbs with k .5 of 1361 W/m2 in the mean: by hand k = .5 / (1 + .033 cos).
  const part = (iso: string): number => diffusePart(0.5 * 1361 * 0.5, Date.parse(iso), 0.5);
  const erbs = (k: number): number => 0.9511 - 0.1604 * k + 4.388 * k ** 2 - 16.638 * k ** 3 + 12.336 * k ** 4;
  expect(part('2027-01-01T12:00:00Z')).toBeCloseTo(erbs(0.5 / 1.033), 2);
  expect(part('2027-07-02T12:00:00Z')).toBeCloseTo(erbs(0.5 / 0.967), 2);
  // A quarter and three quarters of the year lie between, alike.
  expect(part('2027-04-02T12:00:00Z')).toBeCloseTo(part('2027-10-01T12:00:00Z'), 2);
  expect(part('2027-10-01T12:00:00Z')).toBeCloseTo(erbs(0.5), 2);
});
