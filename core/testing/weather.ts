/** Weather and beds of the simplest kind, for tests of the climate. */
import type { BedModel } from '../judge/climate/model';
import type { ClimatePlace } from '../judge/climate/drive';
import type { Weather } from '../judge/weather/weather';

/** The same hour again and again, with some of it otherwise. */
export function steady(
  hours: number,
  of: Partial<Record<'airC' | 'dewC' | 'sunWPerM2' | 'cloud' | 'windMPerS', number>> = {},
): Weather {
  const list = (value: number): number[] => Array.from({ length: hours }, () => value);
  const { airC = 0, dewC = airC, sunWPerM2 = 0, cloud = 1, windMPerS = 2 } = of;
  return {
    source: 'a test',
    simulated: true,
    startMs: Date.parse('2027-03-01T05:00:00Z'),
    airC: list(airC),
    dewC: list(dewC),
    sunWPerM2: list(sunWPerM2),
    cloud: list(cloud),
    windMPerS: list(windMPerS),
    gustMPerS: list(windMPerS),
    rainMm: list(0),
    snowMm: list(0),
  };
}

export const HOLLOW: ClimatePlace = {
  latitudeDeg: 44.1,
  longitudeDeg: -72.6,
  elevationM: 380,
  exposure: 'normal',
  utcHours: -5,
};

/** A low film tunnel of 3 m2, its faces up and to the four sides. */
export const TUNNEL: BedModel = {
  faces: [
    [0, 0, 1, 3],
    [0, -1, 0, 1],
    [0, 1, 0, 1],
    [1, 0, 0, 0.5],
    [-1, 0, 0, 0.5],
  ].map(([east = 0, north = 0, up = 0, m2 = 0]) => ({ east, north, up, m2, light: 0.9, uWPerM2K: 6.3 })),
  horizon: [],
  floorM2: 3,
  canopy: [],
  volumeM3: 1.5,
  heightM: 0.6,
  wallsWPerK: 0,
  leaksPerHour: 1.2,
  leaksRange: [0.5, 2],
  draught: {
    hand: { m2: 0, byWarmth: 0, byWind: 0 },
    wax: { m2: 0, byWarmth: 0, byWind: 0 },
    louvre: { m2: 0, byWarmth: 0, byWind: 0 },
  },
  sides: { m: 0, highM: 0, wPerM2K: 0 },
  store: undefined,
  blanketM2KPerW: 0,
  lightsW: 0,
};
