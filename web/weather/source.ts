/** Where weather comes from: anything that answers these two questions can be put in its place. */
import { weatherSchema } from '../../core/judge/weather/schema';
import type { Weather, WeatherPlace } from '../../core/judge/weather/weather';

export interface WeatherSource {
  /** Hours that have been, from an instant on, ms since 1970. */
  past(place: WeatherPlace, fromMs: number, hours: number): Promise<Weather>;
  /** What is foreseen at an instant for the hours after it. */
  forecast(place: WeatherPlace, nowMs: number, hours: number): Promise<Weather>;
}

/** Longest that is waited for an answer, ms. */
const PATIENCE_MS = 8000;

async function ask(path: string, query: Record<string, string>): Promise<Weather> {
  const response = await fetch(`/api/${path}?${new URLSearchParams(query).toString()}`, {
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  if (!response.ok) throw new Error(`the weather service answered with ${response.status}`);
  return weatherSchema.parse(await response.json());
}

const where = ({ latitudeDeg, longitudeDeg, elevationM }: WeatherPlace): Record<string, string> => ({
  lat: latitudeDeg.toFixed(3),
  lon: longitudeDeg.toFixed(3),
  elevation: elevationM.toFixed(0),
});
const time = (ms: number): string => new Date(ms).toISOString();

/** The service that comes with the program: simulated. */
export const service: WeatherSource = {
  past: (place, fromMs, hours) => ask('weather', { ...where(place), from: time(fromMs), hours: String(hours) }),
  forecast: (place, nowMs, hours) => ask('forecast', { ...where(place), issued: time(nowMs), hours: String(hours) }),
};
