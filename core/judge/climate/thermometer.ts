/** A made-up pair of thermometers, one in the bed and one beside it: a bed that is not quite what was reckoned, read not quite right. */
import * as z from 'zod/mini';
import { between } from '../../base/schema';
import { MS_PER_HOUR } from '../../base/days';
import { bell, chance, seedOf } from '../../base/noise';
import { simulatedWeather } from '../weather/simulated';
import { hoursOf } from '../weather/weather';
import { climateOf } from './climate';
import type { ClimatePlace } from './drive';
import type { BedModel } from './model';
import type { Operation } from './operation';

const some = between(0, 1e6);
const part = between(-1.001, 1.001);
const draught = z.strictObject({ m2: some, byWarmth: some, byWind: some });

/** A bed as it is sent: bounded, so that what it costs to run is. */
export const bedModelSchema = z.strictObject({
  faces: z
    .array(
      z.strictObject({
        east: part,
        north: part,
        up: part,
        m2: some,
        light: between(0, 1),
        uWPerM2K: between(0.05, 100),
      }),
    )
    .check(z.minLength(1), z.maxLength(120)),
  horizon: z
    .array(
      z.strictObject({
        shades: between(0, 1),
        altitudeDeg: z.array(between(0, 90)).check(z.length(72)),
      }),
    )
    .check(z.maxLength(8)),
  floorM2: between(0.01, 2000),
  canopy: z._default(z.array(z.strictObject({ east: part, north: part, m2: some })).check(z.maxLength(2)), []),
  volumeM3: between(0.001, 5000),
  heightM: between(0.01, 10),
  wallsWPerK: some,
  leaksPerHour: some,
  leaksRange: z.tuple([some, some]),
  draught: z.strictObject({ hand: draught, wax: draught, louvre: draught }),
  sides: z.strictObject({ m: some, highM: between(0, 3), wPerM2K: some }),
  store: z.optional(
    z.strictObject({
      jPerK: between(0, 1e9),
      wPerK: some,
      share: between(0, 0.5),
    }),
  ),
  blanketM2KPerW: between(0, 10),
  lightsW: some,
});
/** One hour as the pair shows it. */
interface PairReading {
  readonly ms: number;
  readonly insideC: number;
  readonly outsideC: number;
}

/** How far the made-up bed is from the reckoned one, and a reading from the truth, C. */
const HIDDEN = 0.16;
const READ_OFF_C = 0.3;
/** An hour in so many is not heard. */
const LOST = 1 / 80;

/**
 * What the pair shows hour by hour; hours that were not heard are left out.
 * @param seed which bed it is: the same seed is always off in the same way
 */
export function pairReadings(
  model: BedModel,
  place: ClimatePlace,
  tending: Operation,
  startMs: number,
  hours: number,
  seed: string,
): readonly PairReading[] {
  const dice = seedOf(`pair ${seed}`);
  const weather = simulatedWeather(place, '', startMs, hours);
  const taught = { loss: Math.exp(HIDDEN * bell(dice, 1, 0)), gain: Math.exp(HIDDEN * bell(dice, 2, 0)) };
  const { run } = climateOf(model, weather, place, tending, { killingC: -99, hotC: 99 }, { taught });
  const first = Math.round(weather.startMs / MS_PER_HOUR);
  const off = (channel: number, i: number): number => READ_OFF_C * bell(dice, channel, first + i);
  const tenth = (x: number): number => Math.round(10 * x) / 10;
  return Array.from({ length: hoursOf(weather) }, (_, i) => ({
    ms: weather.startMs + (i + 1) * MS_PER_HOUR,
    insideC: tenth((run.airC[i] ?? 0) + off(3, i)),
    outsideC: tenth((weather.airC[i] ?? 0) + off(4, i)),
  })).filter((_, i) => chance(dice, 5, first + i) > LOST);
}
