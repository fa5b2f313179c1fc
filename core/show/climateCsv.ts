/** A cover in weather as CSV: an hour a line. */
import Papa from 'papaparse';
import { MS_PER_HOUR } from '../base/days';
import type { Climate } from '../judge/climate/climate';
import type { Weather } from '../judge/weather/weather';

/**
 * Hours by the clock of the place, each at its end; temperatures in C, light in W/m2 on level ground, openings in percent.
 * @param utcHours how far that clock is ahead of UTC
 */
export function climateCsv({ run }: Climate, weather: Weather, utcHours: number): string {
  const fields = [
    'time',
    'outside_c',
    'inside_c',
    'inside_low_c',
    'inside_high_c',
    'soil_c',
    'sun_w_m2',
    'open_percent',
    'drip_kg',
  ];
  const at = (list: ArrayLike<number>, i: number, decimals: number): string => (list[i] ?? 0).toFixed(decimals);
  const data = weather.airC.map((out, i) => [
    new Date(run.startMs + i * MS_PER_HOUR + utcHours * MS_PER_HOUR).toISOString().slice(0, 16).replace('T', ' '),
    out.toFixed(2),
    at(run.airC, i, 2),
    at(run.lowC, i, 2),
    at(run.highC, i, 2),
    at(run.soilC, i, 2),
    at(weather.sunWPerM2, i, 0),
    (100 * (run.open[i] ?? 0)).toFixed(0),
    at(run.dripKg, i, 3),
  ]);
  return `${Papa.unparse({ fields, data })}\r\n`.replace(/\r\n/g, '\n');
}
