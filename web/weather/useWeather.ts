/** The weather of a garden: as the service tells it, as it was last told, or as it was read from a file. */
import { useCallback, useEffect, useState } from 'react';
import { MS_PER_DAY, MS_PER_HOUR } from '../../core/base/days';
import { messageOf } from '../../core/base/result';
import type { Weather, WeatherPlace } from '../../core/judge/weather/weather';
import { useApp, useOf } from '../app/hooks';
import { database } from '../app/world';
import { dropWeather, keepWeather, keptWeather } from '../storage/weather';
import { service } from './source';

interface WeatherHad {
  readonly state: 'asking' | 'there' | 'none';
  readonly weather: Weather | undefined;
  /** Read from a file, which stands in place of the service until it is put away. */
  readonly imported: boolean;
  /** The service did not answer: it is the last that it told, if there is any. */
  readonly stale: string | undefined;
}

const YEAR_HOURS = 366 * 24;
/** Asked anew when what is kept is older, ms. */
const FRESH_MS = 12 * MS_PER_HOUR;
const WAITING: WeatherHad = { state: 'asking', weather: undefined, imported: false, stale: undefined };

/** The twelve months before today, whole days. */
const yearFrom = (nowMs: number): number =>
  Math.floor(nowMs / MS_PER_DAY) * MS_PER_DAY - (YEAR_HOURS - 24) * MS_PER_HOUR;

async function yearOf(gardenId: string, place: WeatherPlace, nowMs: number): Promise<WeatherHad> {
  const file = await keptWeather(database(), gardenId, 'file');
  if (file) return { state: 'there', weather: file.weather, imported: true, stale: undefined };
  const kept = await keptWeather(database(), gardenId, 'year');
  const same =
    kept &&
    Math.abs(kept.place.latitudeDeg - place.latitudeDeg) < 0.05 &&
    Math.abs(kept.place.longitudeDeg - place.longitudeDeg) < 0.05 &&
    kept.place.elevationM === place.elevationM;
  if (same && nowMs - kept.at < FRESH_MS)
    return { state: 'there', weather: kept.weather, imported: false, stale: undefined };
  try {
    const weather = await service.past(place, yearFrom(nowMs), YEAR_HOURS);
    await keepWeather(database(), { gardenId, kind: 'year', at: nowMs, place, weather });
    return { state: 'there', weather, imported: false, stale: undefined };
  } catch (why) {
    return {
      state: same ? 'there' : 'none',
      weather: same ? kept.weather : undefined,
      imported: false,
      stale: messageOf(why),
    };
  }
}

/** A year of weather of the open garden, and what to do with it. */
export function useWeather(): WeatherHad & {
  readonly retry: () => void;
  readonly take: (weather: Weather) => void;
  readonly putAway: () => void;
} {
  const gardenId = useApp((s) => s.open?.id ?? '');
  const latitudeDeg = useOf((g) => g.site.latitudeDeg);
  const longitudeDeg = useOf((g) => g.site.longitudeDeg);
  const elevationM = useOf((g) => g.site.elevationM);
  const [again, setAgain] = useState(0);
  const [had, setHad] = useState<WeatherHad>(WAITING);
  useEffect(() => {
    let gone = false;
    void yearOf(gardenId, { latitudeDeg, longitudeDeg, elevationM }, Date.now()).then((now) => {
      if (!gone) setHad(now);
    });
    return () => {
      gone = true;
    };
  }, [gardenId, latitudeDeg, longitudeDeg, elevationM, again]);
  const retry = useCallback(() => {
    setHad(WAITING);
    setAgain((n) => n + 1);
  }, []);
  const take = useCallback(
    (weather: Weather) => {
      setHad({ state: 'there', weather, imported: true, stale: undefined });
      void keepWeather(database(), {
        gardenId,
        kind: 'file',
        at: Date.now(),
        place: { latitudeDeg, longitudeDeg, elevationM },
        weather,
      });
    },
    [gardenId, latitudeDeg, longitudeDeg, elevationM],
  );
  const putAway = useCallback(() => {
    setHad(WAITING);
    void dropWeather(database(), gardenId, 'file').then(() => setAgain((n) => n + 1));
  }, [gardenId]);
  return { ...had, retry, take, putAway };
}
