import fc from 'fast-check';
import { HOLLOW, TUNNEL, steady } from '../../testing/weather';
import { simulatedWeather } from '../weather/simulated';
import { draughtOf } from './airing';
import { runBalance } from './balance';
import { groundC, normalsOf } from '../weather/normals';
import { climateOf, groundUnder } from './climate';
import { type Drive, driveOf } from './drive';
import type { BedModel } from './model';
import { type Operation, USUAL_TENDING } from './operation';

const SHUT: Operation = { ...USUAL_TENDING, open: null };
const LIMITS = { killingC: -7, hotC: 28 };
const last = (list: Float64Array): number => list[list.length - 1] ?? NaN;
/** Without the sky, which may be colder than all else. */
const noSky = (d: Drive): Drive => ({ ...d, skyW: d.skyW.map(() => 0), skinDropC: d.skinDropC.map(() => 0) });
const winter = simulatedWeather(HOLLOW, 'tests', Date.parse('2027-01-10T05:00:00Z'), 24 * 20);
const spring = simulatedWeather(HOLLOW, 'tests', Date.parse('2027-04-01T05:00:00Z'), 24 * 20);

test('a store that cools through its ties and the cover follows exp(-t/tau)', () => {
  // No floor to speak of: 40 kg of water at 10 W/K behind 6 m2 of cover; tau = C (1/10 + 1/UA).
  const model: BedModel = {
    ...TUNNEL,
    floorM2: 1e-9,
    store: { jPerK: 4186 * 40, wPerK: 10, share: 0 },
    leaksPerHour: 0,
    leaksRange: [0, 0],
  };
  const drive = noSky(driveOf(model, steady(48, { airC: 0, dewC: -40 }), HOLLOW, SHUT));
  const ua = drive.lossWPerK[0] ?? NaN;
  const tau = 4186 * 40 * (1 / 10 + 1 / ua);
  // Warmed by lights for a day first, then left alone: both ends of the step have a closed form.
  const lights = drive.airC.map((_, i) => (i < 24 ? 50 : 0));
  const run = runBalance(model, { ...drive, lightsW: lights }, { deepC: () => 0, soilC: 0 });
  const top = (50 / ua) * (1 - Math.exp((-24 * 3600) / tau));
  // The store is left with what it took; the air stands between it and outside.
  const air = (hours: number): number => (top * Math.exp((-hours * 3600) / tau) * 10) / (10 + ua);
  for (const h of [1, 6, 23]) expect(Math.abs((run.airC[24 + h] ?? NaN) - air(h + 1))).toBeLessThan(0.02 * top);
});

test('no sun and no heat: inside tends to outside and the ground', () => {
  // Ground at 5, outside at 5: nothing moves. Ground at 10: inside stands between.
  const dry = (airC: number): Drive => noSky(driveOf(TUNNEL, steady(24 * 60, { airC, dewC: airC }), HOLLOW, SHUT));
  const same = runBalance(TUNNEL, dry(5), { deepC: () => 5, soilC: 12 });
  expect(Math.abs(last(same.airC) - 5)).toBeLessThan(0.3);
  const warmer = runBalance(TUNNEL, dry(0), { deepC: () => 10, soilC: 5 });
  expect(last(warmer.airC)).toBeGreaterThan(0);
  expect(last(warmer.airC)).toBeLessThan(10);
});

test('every step closes, and halving it changes no low or high by 0.2 C', () => {
  const vents = draughtOf([{ name: 'lid', m2: 0.6, lowM: 0.1, highM: 0.5, by: 'hand' }]);
  for (const draught of [
    TUNNEL.draught,
    { ...TUNNEL.draught, hand: vents },
    { ...TUNNEL.draught, wax: vents },
    { ...TUNNEL.draught, louvre: vents },
  ])
    for (const weather of [winter, spring]) {
      const model = { ...TUNNEL, draught };
      const [whole, half] = [2, 4].map((stepsPerHour) =>
        climateOf(model, weather, HOLLOW, USUAL_TENDING, LIMITS, { stepsPerHour }),
      );
      expect(whole?.run.worstGap).toBeLessThan(1e-3);
      whole?.days.forEach((d, i) => {
        // A louvre that snaps may do so in another step.
        const near = draught.louvre.m2 > 0 ? 1 : 0.2;
        expect(Math.abs(d.lowC - (half?.days[i]?.lowC ?? NaN))).toBeLessThan(0.2);
        expect(Math.abs(d.highC - (half?.days[i]?.highC ?? NaN))).toBeLessThan(near);
      });
    }
});

test('more vent is never hotter by day', () => {
  // Snow that slides off under the one and lies on the other is another matter.
  const options = { brushed: () => true };
  fc.assert(
    fc.property(
      fc.double({ min: 0.02, max: 1, noNaN: true }),
      fc.double({ min: 1.1, max: 3, noNaN: true }),
      (m2, more) => {
        const with_ = (area: number): BedModel => ({
          ...TUNNEL,
          draught: { ...TUNNEL.draught, hand: draughtOf([{ name: '', m2: area, lowM: 0.1, highM: 0.4, by: 'hand' }]) },
        });
        const tending = { ...USUAL_TENDING, open: { from: 0, to: 24 }, fromC: -30 };
        const [less, lots] = [m2, m2 * more].map((a) => climateOf(with_(a), spring, HOLLOW, tending, LIMITS, options));
        less?.days.forEach((d, i) => expect(lots?.days[i]?.highC ?? NaN).toBeLessThanOrEqual(d.highC + 0.05));
      },
    ),
    { numRuns: 12 },
  );
});

test('soil freezes from the top as fast as its water gives its warmth off', () => {
  // Stefan: L z (R + z / 2k) = dT t. 83.5 MJ/m3 x .1 m x (1/8 + 3/(6 x 6.3) + .1/2.4) m2K/W / 10 K: 57 hours for ten centimetres.
  const hours = (250 * 334e3 * 0.1 * (1 / 8 + 3 / (6 * 6.3) + 0.1 / 2.4)) / 10 / 3600;
  const dry = { ...TUNNEL, leaksPerHour: 0, leaksRange: [0, 0] as const };
  const drive = noSky(driveOf(dry, steady(24 * 6, { airC: -10, dewC: -60, windMPerS: 10 }), HOLLOW, SHUT));
  const run = runBalance(dry, drive, { deepC: () => 0, soilC: 0 });
  expect(run.worstGap).toBeLessThan(1e-9);
  // The second layer, 3 to 10 cm deep, is through when it gets colder than its water freezes.
  const through = run.soilC.findIndex((c) => c < -0.5);
  expect(through / hours).toBeGreaterThan(0.8);
  expect(through / hours).toBeLessThan(1.2);
  expect(run.soilC.slice(0, through).every((c) => c <= 0 && c >= -0.5)).toBe(true);
});

test('frozen soil thaws at 0 C before it gets warm', () => {
  const drive = noSky(driveOf(TUNNEL, steady(24 * 30, { airC: 6, dewC: 0, windMPerS: 10 }), HOLLOW, SHUT));
  const run = runBalance(TUNNEL, drive, { deepC: () => 0, soilC: -3 });
  expect(run.worstGap).toBeLessThan(1e-9);
  const near = run.soilC.filter((c) => c > -0.5 && c <= 0).length;
  expect(near).toBeGreaterThan(24);
  expect(last(run.soilC)).toBeGreaterThan(0);
  run.soilC.forEach((c, i) => expect(c).toBeGreaterThanOrEqual((run.soilC[i - 1] ?? -3) - 1e-9));
});

test('snow on a cover keeps warmth in and light out, until it is brushed off', () => {
  const bed = { deepC: () => 6, soilC: 6 };
  const night = { ...steady(48, { airC: -15, dewC: -18, cloud: 0.2 }), snowMm: Array.from({ length: 48 }, () => 4) };
  const drive = driveOf(TUNNEL, night, HOLLOW, SHUT);
  const [under, clear] = [runBalance(TUNNEL, drive, bed), runBalance(TUNNEL, drive, { ...bed, brushed: () => true })];
  // 48 hours of 4 mm of fresh snow, 75 kg/m3, none of it thawed.
  expect(last(under.snowKgPerM2)).toBeCloseTo(48 * 0.004 * 75, 9);
  expect(last(clear.snowKgPerM2)).toBeCloseTo(0.3, 9);
  expect(last(under.airC)).toBeGreaterThan(last(clear.airC) + 2);
  const noon = { ...drive, sunW: drive.sunW.map(() => 1500) };
  const dark = runBalance(TUNNEL, noon, bed);
  expect(last(dark.airC)).toBeLessThan(last(runBalance(TUNNEL, noon, { ...bed, brushed: () => true }).airC));
});

test('under snow the sky takes less, and less water settles on the skin that it keeps warm', () => {
  const bed = { deepC: () => 12, soilC: 12 };
  const dry: BedModel = { ...TUNNEL, leaksPerHour: 0, leaksRange: [0, 0] };
  const night = {
    ...steady(72, { airC: -6, dewC: -9 }),
    snowMm: Array.from({ length: 72 }, (_, i) => (i < 24 ? 6 : 0)),
  };
  const drive = driveOf(dry, night, HOLLOW, SHUT);
  const clear = { ...bed, brushed: () => true };
  const more = { ...drive, skyW: drive.skyW.map((w) => w + 60) };
  // Sixty watts more lost to the sky: how much colder, by what part of them comes through to the air.
  const colder = (start: typeof bed) =>
    last(runBalance(dry, drive, start).airC) - last(runBalance(dry, more, start).airC);
  expect(colder(bed)).toBeLessThan(colder(clear));
  const drips = (start: typeof bed) => runBalance(dry, drive, start).dripKg.reduce((sum, kg) => sum + kg, 0);
  expect(drips(bed)).toBeLessThan(drips(clear));
});

test('a second film is never colder at night', () => {
  const twice = { ...TUNNEL, faces: TUNNEL.faces.map((f) => ({ ...f, light: 0.81, uWPerM2K: 3.15 })) };
  // Night after night of one weather, over ground that is warmer: when a thaw comes, two films let it in later.
  fc.assert(
    fc.property(
      fc.double({ min: -25, max: 4, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (airC, cloud) => {
        const night = steady(72, { airC, dewC: airC - 3, cloud });
        const [one, two] = [TUNNEL, twice].map((m) =>
          runBalance(m, driveOf(m, night, HOLLOW, SHUT), { deepC: () => 8, soilC: 8 }),
        );
        one?.lowC.forEach((low, i) => expect(two?.lowC[i] ?? NaN).toBeGreaterThan(low - 1e-6));
      },
    ),
    { numRuns: 20 },
  );
});

test('a net hardly changes the air', () => {
  const net = {
    ...TUNNEL,
    faces: TUNNEL.faces.map((f) => ({ ...f, uWPerM2K: 20 })),
    leaksPerHour: 3000,
    leaksRange: [100, 6000] as const,
  };
  for (const d of climateOf(net, spring, HOLLOW, SHUT, LIMITS).days) {
    expect(Math.abs(d.highC - d.outHighC)).toBeLessThan(2);
    expect(Math.abs(d.lowC - d.outLowC)).toBeLessThan(2.5);
  }
});

test('jugs, lights and a blanket make nights milder; jugs make days cooler', () => {
  const plain = climateOf(TUNNEL, winter, HOLLOW, SHUT, LIMITS).days;
  const mean = (days: typeof plain, of: 'lowC' | 'highC'): number =>
    days.reduce((sum, d) => sum + d[of], 0) / days.length;
  const jugs = climateOf(
    { ...TUNNEL, store: { jPerK: 4186 * 48, wPerK: 18, share: 0.12 } },
    winter,
    HOLLOW,
    SHUT,
    LIMITS,
  ).days;
  const lights = climateOf({ ...TUNNEL, lightsW: 50 }, winter, HOLLOW, SHUT, LIMITS).days;
  const blanket = climateOf({ ...TUNNEL, blanketM2KPerW: 0.35 }, winter, HOLLOW, SHUT, LIMITS).days;
  for (const more of [jugs, lights, blanket]) expect(mean(more, 'lowC')).toBeGreaterThan(mean(plain, 'lowC') + 0.3);
  expect(mean(jugs, 'highC')).toBeLessThan(mean(plain, 'highC'));
});

test('a lid that nobody opens on a Tuesday is hotter that day and no other', () => {
  const draught = {
    ...TUNNEL.draught,
    hand: draughtOf([{ name: '', m2: 0.8, lowM: 0.1, highM: 0.5, by: 'hand' as const }]),
  };
  const warm = simulatedWeather(HOLLOW, 'tests', Date.parse('2027-05-01T05:00:00Z'), 24 * 14);
  const [kept, forgot] = [[], [2]].map(
    (forgets) => climateOf({ ...TUNNEL, draught }, warm, HOLLOW, { ...USUAL_TENDING, forgets }, LIMITS).days,
  );
  const warmer = kept?.map((d, i) => (forgot?.[i]?.highC ?? NaN) - d.highC) ?? [];
  const tuesday = kept?.map((d) => new Date(`${d.date}T12:00:00Z`).getUTCDay() === 2) ?? [];
  expect(Math.max(...warmer)).toBeGreaterThan(4);
  warmer.forEach((w, i) => {
    expect(w).toBeGreaterThan(-0.05);
    if (tuesday[i] === false) expect(w).toBeLessThan(1.5);
    expect(forgot?.[i]?.openHours === 0 || tuesday[i] === false).toBe(true);
  });
});

test('a wax opener opens in a straight line, a louvre keeps as it stood between its two temperatures', () => {
  const vent = draughtOf([{ name: '', m2: 0.3, lowM: 0.1, highM: 0.4, by: 'wax' }]);
  const hot = steady(240, { airC: 21, dewC: 5 });
  const run = (draught: BedModel['draught'], weather = hot) =>
    climateOf({ ...TUNNEL, draught }, weather, HOLLOW, SHUT, LIMITS).run;
  // Without sun the bed ends near 21: wax at (21 - 18) / 12, a louvre that was shut stays shut.
  const wax = run({ ...TUNNEL.draught, wax: vent });
  expect(last(wax.open)).toBeCloseTo((last(wax.airC) - 18) / 12, 2);
  expect(last(run({ ...TUNNEL.draught, louvre: vent }).open)).toBe(0);
  const before = { ...hot, airC: hot.airC.map((_, i) => (i < 120 ? 32 : 21)) };
  expect(last(run({ ...TUNNEL.draught, louvre: vent }, before).open)).toBe(1);
});

test('water that runs down inside is water that dries from the soil', () => {
  const days = climateOf(TUNNEL, spring, HOLLOW, SHUT, LIMITS).days;
  const perDay = days.reduce((sum, d) => sum + d.dripKg, 0) / days.length;
  // A wet bed under film gives half a litre to three litres a square metre a day, and nearly all of it runs back.
  expect(perDay / TUNNEL.floorM2).toBeGreaterThan(0.2);
  expect(perDay / TUNNEL.floorM2).toBeLessThan(3);
});

test('the ground below goes with the season, and with half of how much warmer than usual the year begins', () => {
  // Thirty days of 4 C from the first of April: day 91 of the year; their middle is day 106.
  const { meanC, deepC } = groundUnder({ ...steady(24 * 200, { airC: 4 }), startMs: Date.UTC(2027, 3, 1) }, HOLLOW);
  const usual = normalsOf(HOLLOW);
  const half = (4 - groundC(usual, 91 + 15, 0)) / 2;
  expect(meanC).toBe(4);
  expect(deepC(0)).toBeCloseTo(groundC(usual, 91, 1) + half, 9);
  expect(deepC(24 * 150)).toBeCloseTo(groundC(usual, 91 + 150, 1) + half, 9);
  // By the end of August a metre down it is warmer than on the first of April.
  expect(deepC(24 * 150)).toBeGreaterThan(deepC(0) + 4);
});
