import fc from 'fast-check';
import type { Enclosure } from '../../cover/assembly/types';
import { readFileSync } from 'node:fs';
import { buildSite } from '../../garden/buildSite';
import { demoGarden } from '../../garden/demo';
import { build } from '../../testing/site';
import { type NoonPlace, noonAir, noonMs, noonSun } from './noon';
import { aslant, diffusePart } from './sky';
import { TUNNEL } from '../../testing/weather';
import { NOON, skin, sunFromAbove, shown } from '../../testing/judged';
import { bedModel } from './model';
import { clearSunInside } from './drive';

const known = JSON.parse(readFileSync('core/judge/climate/sun.cases.json', 'utf8')) as {
  days: { lat: number; lon: number; date: string; noonAltitudeDeg: number }[];
};

test.each(known.days)('noon sun at $lat on $date', (day) => {
  expect(Math.abs(noonSun(day.lat, day.lon, day.date).altitudeDeg - day.noonAltitudeDeg)).toBeLessThan(0.1);
});

/** When the demo garden's noon is: 1 March. */
const MARCH = noonMs(44.1, -72.6, '2027-03-01');
const enclosure: Enclosure = { skins: [skin('film-uv', 7)], floorM2: 3.6, volumeM3: 2, heightM: 0.7 };
const noonOf = (e: Enclosure, more: Partial<NoonPlace> = {}) => noonAir(e, sunFromAbove(e), { ...NOON, ...more });

test('a shut tunnel on a clear March noon is warm, not a furnace and not cold', () => {
  const air = noonOf(enclosure);
  expect(air.riseShutC).toBeGreaterThan(10);
  expect(air.riseShutC).toBeLessThan(35);
  expect(air.ruleM2).toEqual([0.15 * 3.6, 0.2 * 3.6]);
});

test('the vents it asks for carry off exactly the heat that is too much', () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 15, noNaN: true }), (allowedRiseC) => {
      const air = noonOf(enclosure, { allowedRiseC });
      const flow =
        air.ventEachM2 * Math.hypot((0.6 / Math.SQRT2) * Math.sqrt((2 * 9.80665 * 0.7 * allowedRiseC) / 275.15), 0.3);
      const loss = 6.3 * 7 + (1206 * 1.2 * 2) / 3600;
      const gain = loss * air.riseShutC;
      if (air.riseShutC > allowedRiseC) expect(flow * 1206 * allowedRiseC + loss * allowedRiseC).toBeCloseTo(gain, 6);
      else expect(air.ventEachM2).toBe(0);
    }),
  );
});

test('fabric lets the warmth through', () => {
  expect(noonOf({ ...enclosure, skins: [skin('fabric-19', 7)] }).riseShutC).toBeLessThan(noonOf(enclosure).riseShutC);
});

test('under any kind of cover that a gardener builds, net and fabric stay near outside and film does not', () => {
  const g = demoGarden();
  for (const bed of g.beds) {
    const site = buildSite(g, bed.id);
    if (!site) throw new Error(bed.id);
    for (const family of [
      'staked-tunnel',
      'wire-tunnel',
      'mesh-arch',
      'hinged-hoop-lid',
      'a-frame',
      'walk-in',
      'fitting-gable',
    ])
      for (const [cover, low, high] of [
        ['net', 0, 2],
        ['shade-50', 0, 2],
        ['fabric-19', 1, 10],
        ['fabric-30', 1, 10],
        ['fabric-70', 1, 10],
        ['film-uv', 10, 45],
      ] as const) {
        if (family === 'wire-tunnel' && cover === 'film-uv') continue;
        const a = build(family, site, { cover });
        const sun = clearSunInside(bedModel(a, bed, g.landmarks), MARCH, g.site);
        const air = noonAir(a.enclosure, sun, { ...g.site.noon, windMPerS: 1 });
        expect([bed.id, family, cover, air.riseShutC > low && air.riseShutC <= high, air.riseShutC]).toEqual([
          bed.id,
          family,
          cover,
          true,
          air.riseShutC,
        ]);
      }
  }
});

test('no sun, no rise', () => {
  const winter = noonMs(80, 0, '2026-12-21');
  const dark = clearSunInside(TUNNEL, winter, { latitudeDeg: 80, longitudeDeg: 0, elevationM: 0 });
  expect(dark.caughtW).toBe(0);
  expect(noonAir(enclosure, dark, NOON).riseShutC).toBe(0);
});

test('the higher the garden, the thinner the air over it and the stronger its sun', () => {
  // 45 degrees north at midwinter and midsummer; at 1000 m the beam is (1 - .14) of what air leaves and .14 of all.
  for (const date of ['2027-12-21', '2027-06-21']) {
    const [low, high] = [0, 1000].map((m) => noonSun(45, 0, date, m));
    if (!low || !high) throw new Error('no sun');
    const whole = 1.1 * 1353 * Math.sin((low.altitudeDeg * Math.PI) / 180);
    expect(high.levelWPerM2).toBeCloseTo(0.86 * low.levelWPerM2 + 0.14 * whole, 6);
    expect(high.levelWPerM2).toBeGreaterThan(low.levelWPerM2);
  }
  // What lies below the sea is reckoned as at the sea.
  expect(noonSun(45, 0, '2027-06-21', -300)).toEqual(noonSun(45, 0, '2027-06-21', 0));
});

test('a low sun through much air, worked by hand', () => {
  // 57 degrees north on the shortest day: the sun stands 9.66 degrees high, lifted by the air. Kasten and Young:
  // sin 9.66 = .1678; .50572 x (9.66 + 6.08)^-1.6364 = .00556; air mass 5.769; .7^(5.769^.678) = .3103.
  const sun = noonSun(57, 0, '2027-12-21');
  expect(sun.altitudeDeg).toBeCloseTo(9.66, 1);
  expect(sun.levelWPerM2).toBeGreaterThan(0.99 * 1.1 * 1353 * 0.3103 * 0.1678);
  expect(sun.levelWPerM2).toBeLessThan(1.01 * 1.1 * 1353 * 0.3103 * 0.1678);
  // High noon in midsummer at the tropic: air mass one.
  const high = noonSun(23.4, 0, '2027-06-21');
  expect(high.levelWPerM2 / (1.1 * 1353 * 0.7)).toBeCloseTo(1, 2);
  // Beyond the circle there is none.
  expect(noonSun(80, 0, '2027-12-21').levelWPerM2).toBe(0);
});

test('more wind, smaller vents; and both figures open to what they are made of', () => {
  const still = noonOf(enclosure, { windMPerS: 0 });
  const windy = noonOf(enclosure, { windMPerS: 4 });
  const stack = (0.6 / Math.SQRT2) * Math.sqrt((2 * 9.80665 * 0.7 * 10) / 275.15);
  // The same flow through a stack of its own, or with .3 x 4 m/s of wind beside it.
  expect(still.ventEachM2 * stack).toBeCloseTo(windy.ventEachM2 * Math.hypot(stack, 1.2), 9);
  const terms = (of: 'rise' | 'vent') => shown(windy.figures[of]);
  expect(terms('rise')).toMatchObject({
    cover: 7,
    'heat loss U, W/m²K': 6.3,
    'air changes an hour': 1.2,
    'air inside': 2,
  });
  expect(terms('vent')['low vent to high vent']).toBeCloseTo(700, 9);
  expect(Object.keys(terms('vent')).length).toBeGreaterThan(2);
  for (const one of ['rise', 'vent'] as const) expect(windy.figures[one].assumes.join(' ')).toContain('planning aid');
  expect(windy.figures.vent.assumes.at(-1)).toContain('one high at the other');
});

test('sun through the sides of a tall house is caught by what grows in it, worked by hand', () => {
  // A floor of 1 m2 under a clear roof and a clear wall of 3 m2 to the south, the noon sun at sin .5 = 30 degrees, cos .866.
  const place = { latitudeDeg: 45, longitudeDeg: 0, elevationM: 0 };
  const ms = noonMs(45, 0, '2027-02-19');
  const face = (north: number, up: number, m2: number) => ({ east: 0, north, up, m2, light: 1, uWPerM2K: 6 });
  const house = { ...TUNNEL, faces: [face(0, 1, 1), face(-1, 0, 3)], floorM2: 1, canopy: [] };
  const crop = { ...house, canopy: [{ east: 0, north: 1, m2: 3 }] };
  const [bare, grown, low] = [
    house,
    crop,
    { ...crop, horizon: [{ shades: 0.5, altitudeDeg: Array<number>(72).fill(60) }] },
  ].map((m) => clearSunInside(m, ms, place));
  if (!bare || !grown || !low) throw new Error('no sun');
  const { sun, levelWPerM2: level } = bare;
  expect(sun.altitudeDeg).toBeGreaterThan(32);
  const diffuse = level * diffusePart(level, ms, sun.up);
  const beam = (level - diffuse) / sun.up;
  const [wall, floor] = [-3 * sun.north, sun.up];
  const through = beam * (floor * aslant(sun.up) + wall * aslant(-sun.north));
  // Clear faces keep nothing of what misses the floor; of what lands four fifths stay. Sky: all of it on the roof, half on the wall.
  const sky = 0.9 * (diffuse + 3 * (0.5 * diffuse + 0.5 * 0.2 * level));
  expect(bare.caughtW).toBeCloseTo(0.8 * ((through * floor) / (floor + wall) + sky / 4), 3);
  expect(grown.caughtW).toBeCloseTo(0.8 * (through + sky), 3);
  // What stands in front of the sun takes its part of the beam.
  expect(low.caughtW).toBeLessThan(grown.caughtW - 0.4 * 0.8 * through);
});
