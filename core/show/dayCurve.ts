/** A day under a cover as a curve: from midnight to midnight, outside and in, with what opens and what the crop bears. */
import { climatePlace } from '../air';
import { MS_PER_HOUR, dayNumber } from '../base/days';
import type { Climate, DaySum } from '../judge/climate/climate';
import { type NotableDay, notableDays } from '../judge/weather/days';
import type { Weather } from '../judge/weather/weather';
import type { Assessment } from '../assessment';

/** One hour of a day. */
interface CurveHour {
  /** Hour of the clock, 0 to 24. */
  readonly hour: number;
  readonly outC: number;
  readonly inC: number;
  readonly soilC: number;
  readonly sunWPerM2: number;
  /** Part that what opens stands open. */
  readonly open: number;
}

/** A cover in weather as a screen shows it. */
export interface ShownClimate {
  readonly days: readonly DaySum[];
  readonly notable: readonly NotableDay[];
  readonly date: string;
  readonly curve: readonly CurveHour[];
}

/** What of a climate is shown. @param date a day of it; the coldest clear night when not said */
export function shownClimate(o: Assessment, { run, days }: Climate, weather: Weather, date?: string): ShownClimate {
  const { utcHours } = climatePlace(o.garden, weather.startMs);
  const notable = notableDays(weather, utcHours, o.garden.site.latitudeDeg < 0);
  const there = days.some((d) => d.date === date);
  const shown = there && date !== undefined ? date : (notable[0]?.date ?? days[0]?.date ?? '');
  // What is told of an hour is how it is at its end.
  const midnight = Math.round(dayNumber(shown) * 24 - utcHours - weather.startMs / MS_PER_HOUR) - 1;
  const curve = Array.from({ length: 25 }, (_, h) => midnight + h)
    .filter((i) => i >= 0 && i < weather.airC.length)
    .map((i) => ({
      hour: i - midnight,
      outC: weather.airC[i] ?? 0,
      inC: run.airC[i] ?? 0,
      soilC: run.soilC[i] ?? 0,
      sunWPerM2: weather.sunWPerM2[i] ?? 0,
      open: run.open[i] ?? 0,
    }));
  return { days, notable, date: shown, curve };
}
