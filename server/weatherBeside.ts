/** A process that works weather out beside the server's, so that a year of hours keeps no other request waiting. */
import { simulatedForecast, simulatedWeather } from '../core/judge/weather/simulated';
import { WEATHER_LISTS, type Weather } from '../core/judge/weather/weather';

/** Hours that have been; or, where it was issued before them, what a forecast says. */
export interface WeatherQuestion {
  readonly kind: 'past' | 'forecast';
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly elevationM: number;
  readonly seed: string;
  readonly fromMs: number;
  readonly hours: number;
}

const DECIMALS: Readonly<Partial<Record<keyof Weather, number>>> = { sunWPerM2: 0, cloud: 2, rainMm: 2, snowMm: 1 };
/** As finely as weather is known: a tenth. */
const rounded = (w: Weather): Weather =>
  WEATHER_LISTS.reduce((all, k) => ({ ...all, [k]: w[k].map((x) => Number(x.toFixed(DECIMALS[k] ?? 1))) }), w);

process.on('message', ({ kind, seed, fromMs, hours, ...place }: WeatherQuestion) => {
  const weather = kind === 'past' ? simulatedWeather : simulatedForecast;
  process.send?.(JSON.stringify(rounded(weather(place, seed, fromMs, hours))));
});
