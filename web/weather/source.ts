/** Where weather comes from: anything that answers these two questions can be put in its place. */
import { weatherSchema } from '../../core/judge/weather/schema';
import * as z from 'zod/mini';
import type { ClimatePlace } from '../../core/judge/climate/drive';
import type { BedModel } from '../../core/judge/climate/model';
import type { Operation } from '../../core/judge/climate/operation';
import type { Weather, WeatherPlace } from '../../core/judge/weather/weather';

interface WeatherSource {
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

const readingSchema = z.object({ ms: z.number(), insideC: z.number(), outsideC: z.number() });
export type StreamedReading = z.infer<typeof readingSchema>;

/** What is asked of a pair of thermometers: where it hangs, in which bed, from when on. */
interface PairAsk {
  readonly place: ClimatePlace;
  readonly bed: BedModel;
  readonly tending: Operation;
  readonly fromMs: number;
  readonly hours: number;
  readonly seed: string;
  /** From one reading to the next, ms. */
  readonly paceMs: number;
}

/** Readings of a pair of thermometers, hour by hour as they come in. The pair that ships with the program is simulated. */
export async function thermometers(ask: PairAsk, hear: (reading: StreamedReading) => void): Promise<void> {
  const { latitudeDeg: lat, longitudeDeg: lon, elevationM: elevation, exposure, utcHours } = ask.place;
  const { bed, tending, hours, seed, paceMs } = ask;
  const response = await fetch('/api/thermometers', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      lat,
      lon,
      elevation,
      exposure,
      utcHours,
      bed,
      tending,
      from: time(ask.fromMs),
      hours,
      seed,
      paceMs,
    }),
    signal: AbortSignal.timeout(PATIENCE_MS + hours * paceMs),
  });
  if (!response.ok || !response.body) throw new Error(`the thermometers answered with ${response.status}`);
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    const lines = (rest + (value ?? '')).split('\n');
    rest = done ? '' : (lines.pop() ?? '');
    for (const line of lines) {
      const read = line.trim() === '' ? undefined : readingSchema.safeParse(JSON.parse(line));
      if (read?.success) hear(read.data);
    }
    if (done) return;
  }
}
