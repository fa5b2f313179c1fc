/** The last weather of each garden, kept so that it is there without a network. Storage that refuses keeps none. */
import { weatherSchema } from '../../core/judge/weather/schema';
import { type Storage, dbRequest } from './db';
import type { WeatherRow } from './rows';

/** What is kept of a kind; undefined where there is none, or where it does not read. */
export async function keptWeather(
  storage: Storage,
  gardenId: string,
  kind: WeatherRow['kind'],
): Promise<WeatherRow | undefined> {
  try {
    const row = await dbRequest(storage, (db) => db.weather.get([gardenId, kind]));
    return row && weatherSchema.safeParse(row.weather).success ? row : undefined;
  } catch {
    return undefined;
  }
}

export async function keepWeather(storage: Storage, row: WeatherRow): Promise<void> {
  try {
    await dbRequest(storage, (db) => db.weather.put(row));
  } catch {
    // It is asked for again next time.
  }
}

export async function dropWeather(storage: Storage, gardenId: string, kind: WeatherRow['kind']): Promise<void> {
  try {
    await dbRequest(storage, (db) => db.weather.delete([gardenId, kind]));
  } catch {
    // What cannot be put away was never kept.
  }
}
