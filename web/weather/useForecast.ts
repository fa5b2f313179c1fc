/** The days behind and the days ahead, as the service tells them or told them last. */
import { useEffect, useState } from 'react';
import { MS_PER_HOUR } from '../../core/base/days';
import { messageOf } from '../../core/base/result';
import { type Weather, type WeatherPlace, hoursOf, joined } from '../../core/judge/weather/weather';
import { useApp, useOf } from '../app/hooks';
import { database } from '../app/world';
import { keepWeather, keptWeather } from '../storage/weather';
import { service } from './source';

export interface Forecast {
  readonly weather: Weather;
  /** Hours of it that have been. */
  readonly now: number;
  /** Why it is the last that was told, where it is. */
  readonly stale: string | undefined;
}

const BEHIND_HOURS = 24 * 6;
const AHEAD_HOURS = 24 * 4;
/** Asked again after so long, ms. */
const EVERY_MS = MS_PER_HOUR;

async function ask(gardenId: string, place: WeatherPlace, nowMs: number): Promise<Forecast | string> {
  const hour = Math.floor(nowMs / MS_PER_HOUR) * MS_PER_HOUR;
  const at = (weather: Weather, stale?: string): Forecast => ({
    weather,
    now: Math.max(0, Math.min(hoursOf(weather) - 24, Math.round((hour - weather.startMs) / MS_PER_HOUR))),
    stale,
  });
  try {
    const [behind, ahead] = await Promise.all([
      service.past(place, hour - BEHIND_HOURS * MS_PER_HOUR, BEHIND_HOURS),
      service.forecast(place, hour, AHEAD_HOURS),
    ]);
    const weather = joined(behind, ahead);
    await keepWeather(database(), { gardenId, kind: 'forecast', at: nowMs, place, weather });
    return at(weather);
  } catch (why) {
    const kept = await keptWeather(database(), gardenId, 'forecast');
    // A forecast that is all over tells nothing any more.
    const over = kept && hour > kept.weather.startMs + (hoursOf(kept.weather) - 24) * MS_PER_HOUR;
    return kept && !over ? at(kept.weather, messageOf(why)) : messageOf(why);
  }
}

/** What is foreseen for the open garden; a word where there is none; nothing while it is asked for. */
export function useForecast(): { readonly forecast: Forecast | string | undefined; readonly retry: () => void } {
  const gardenId = useApp((s) => s.open?.id ?? '');
  const latitudeDeg = useOf((g) => g.site.latitudeDeg);
  const longitudeDeg = useOf((g) => g.site.longitudeDeg);
  const elevationM = useOf((g) => g.site.elevationM);
  const [again, setAgain] = useState(0);
  const [forecast, setForecast] = useState<Forecast | string>();
  useEffect(() => {
    let gone = false;
    const look = (): void =>
      void ask(gardenId, { latitudeDeg, longitudeDeg, elevationM }, Date.now()).then((f) => {
        if (!gone) setForecast(f);
      });
    look();
    const timer = setInterval(look, EVERY_MS);
    return () => {
      gone = true;
      clearInterval(timer);
    };
  }, [gardenId, latitudeDeg, longitudeDeg, elevationM, again]);
  return { forecast, retry: () => setAgain((n) => n + 1) };
}
