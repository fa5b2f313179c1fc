/** The usual year of a place from nothing but where it lies: rough, until its gardener knows better. */
import type { WeatherPlace } from './weather';

/** Mean of the year, half the swing from winter to summer, C, and the coldest day of the year. */
interface Normals {
  readonly meanC: number;
  readonly swingC: number;
  readonly coldestDay: number;
}

/** The coldest day comes a month after the darkest. */
const LAG_DAYS = 31;
/** Colder by so much for each metre up, C. Source: ICAO standard atmosphere. */
const LAPSE_C_PER_M = 0.0065;

/**
 * Usual temperatures by latitude and height. Source: our own line through climates away from the sea: 44 N 6 C with a swing of 12,
 * 60 N 0 C with 16, the equator 27 C with 1.
 * @example normalsOf({ latitudeDeg: 44.1, longitudeDeg: -72.6, elevationM: 380 }).meanC // 5.8
 */
export function normalsOf({ latitudeDeg, elevationM }: WeatherPlace): Normals {
  const lat = Math.abs(latitudeDeg);
  const level = 27 - Math.max(0, lat - 8) * 0.52;
  return {
    meanC: level - LAPSE_C_PER_M * elevationM,
    swingC: Math.min(18, 1 + 0.26 * lat),
    coldestDay: latitudeDeg >= 0 ? 355 - 365 + LAG_DAYS : 172 + LAG_DAYS,
  };
}

const YEAR_DAYS = 365.2422;

/** Usual mean of a day of the year, C. */
export const usualC = (n: Normals, day: number): number =>
  n.meanC - n.swingC * Math.cos((2 * Math.PI * (day - n.coldestDay)) / YEAR_DAYS);

/**
 * Temperature in the ground of a depth, C: the swing of the year comes later and smaller.
 * A exp(-z/d) cos(w t - z/d), d = 2.2 m (H. S. Carslaw and J. C. Jaeger, Conduction of Heat in Solids, sec. 2.6; usual garden soil).
 */
export function groundC(n: Normals, day: number, depthM: number): number {
  const z = depthM / 2.2;
  return n.meanC - n.swingC * Math.exp(-z) * Math.cos((2 * Math.PI * (day - n.coldestDay)) / YEAR_DAYS - z);
}
