/** A made-up pair of thermometers, one in the bed and one beside it: a bed that is not quite what was reckoned, read not quite right. */
import { z } from 'zod';
import { MS_PER_HOUR } from '../../base/days';
import { bell, chance, seedOf } from '../../base/noise';
import { simulatedWeather } from '../weather/simulated';
import { hoursOf } from '../weather/weather';
import { climateOf } from './climate';
import type { ClimatePlace } from './drive';
import type { BedModel } from './model';
import type { Tending } from './tending';

const some = z.number().min(0).max(1e6);
const part = z.number().min(-1.001).max(1.001);
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
        light: z.number().min(0).max(1),
        uWPerM2K: z.number().min(0.05).max(100),
      }),
    )
    .min(1)
    .max(120),
  horizon: z
    .array(
      z.strictObject({ shades: z.number().min(0).max(1), altitudeDeg: z.array(z.number().min(0).max(90)).length(72) }),
    )
    .max(8),
  floorM2: z.number().min(0.01).max(2000),
  volumeM3: z.number().min(0.001).max(5000),
  heightM: z.number().min(0.01).max(10),
  wallsWPerK: some,
  leaksPerHour: some,
  leaksRange: z.tuple([some, some]),
  draught: z.strictObject({ hand: draught, wax: draught, louvre: draught }),
  sides: z.strictObject({ m: some, highM: z.number().min(0).max(3), wPerM2K: some }),
  store: z
    .strictObject({ jPerK: z.number().min(0).max(1e9), wPerK: some, share: z.number().min(0).max(0.5) })
    .optional(),
  blanketM2KPerW: z.number().min(0).max(10),
  lightsW: some,
});
/** One hour as the pair shows it. */
export interface PairReading {
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
  tending: Tending,
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
