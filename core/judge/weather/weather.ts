/** Weather of a place, hour by hour: what a station, a forecast, a file or the simulated service tells, all in one form. */
import { MS_PER_HOUR } from '../../base/days';

/** Hours of weather one after the other; every list has one entry an hour. */
export interface Weather {
  /** Where it comes from, as it is shown. */
  readonly source: string;
  /** Made up by the program, and marked so wherever it is shown. */
  readonly simulated: boolean;
  /** Beginning of the first hour, ms since 1970. */
  readonly startMs: number;
  readonly airC: readonly number[];
  /** Dew point of the air outside, C. */
  readonly dewC: readonly number[];
  /** Light of sun and sky on level ground, W/m2. */
  readonly sunWPerM2: readonly number[];
  /** Cloud from 0 (clear) to 1. */
  readonly cloud: readonly number[];
  /** Mean and gust at ten metres, m/s. */
  readonly windMPerS: readonly number[];
  readonly gustMPerS: readonly number[];
  readonly rainMm: readonly number[];
  /** Fresh snow that falls, mm of depth. */
  readonly snowMm: readonly number[];
}

/** Where weather is wanted. */
export interface WeatherPlace {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly elevationM: number;
}

/** Depth of fresh snow for so much water. Source: trade range of fresh snow, 50 to 100 kg/m3. */
export const SNOW_PER_WATER = 12;
/** Below so much it snows instead of raining, C. */
export const SNOWS_BELOW_C = 1;

/** The lists of a weather. */
export const WEATHER_LISTS = [
  'airC',
  'dewC',
  'sunWPerM2',
  'cloud',
  'windMPerS',
  'gustMPerS',
  'rainMm',
  'snowMm',
] as const satisfies readonly (keyof Weather)[];

/** What a weather is known by, so that work is done again when it is another. */
export const weatherKey = (w: Weather): string => `${w.source} ${w.startMs} ${w.airC.length}`;

/** Two weathers one after the other; what of the second lies in the first is left out. */
export function joined(first: Weather, second: Weather): Weather {
  const skip = Math.max(0, Math.round((first.startMs - second.startMs) / MS_PER_HOUR) + hoursOf(first));
  const whole: Weather = { ...first, source: second.source, simulated: first.simulated || second.simulated };
  return WEATHER_LISTS.reduce((all, k) => ({ ...all, [k]: [...first[k], ...second[k].slice(skip)] }), whole);
}

/** Hours that a weather has. */
export const hoursOf = (w: Weather): number => w.airC.length;

/** A part of a weather: from an hour on, so many hours, or as many as there are. */
export function weatherSpan(w: Weather, from: number, hours: number): Weather {
  const cut: Weather = { ...w, startMs: w.startMs + from * MS_PER_HOUR };
  return WEATHER_LISTS.reduce((all, k) => ({ ...all, [k]: w[k].slice(from, from + hours) }), cut);
}
