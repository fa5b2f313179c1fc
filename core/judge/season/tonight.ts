/** What to do at a cover today and tonight, from what is foreseen. */
import { MS_PER_HOUR } from '../../base/days';
import { type Phrase, amount, phrase, capital } from '../../base/figure';
import type { Crop } from '../../catalog/crops';
import type { Climate } from '../climate/climate';
import type { Weather } from '../weather/weather';

/** How a night or a day stands with the crop. */
export type Mood = 'fine' | 'watch' | 'danger';

export interface Tonight {
  readonly mood: Mood;
  /** In a few words: "Shut by 15:20". */
  readonly word: Phrase;
  readonly low: { readonly insideC: number; readonly outsideC: number };
  readonly high: { readonly insideC: number };
  /** Hours of the clock at which to open and to shut; null: leave it shut. */
  readonly openAt: number | null;
  readonly shutAt: number | null;
  /** What else is to be done. */
  readonly deeds: readonly Phrase[];
}

/** Nearer than this to what kills, a night is to be watched, C: a forecast is as often off by so much. */
const NEAR_C = 2.5;
/** By so much colder inside than outside is said, C. */
const COLDER_C = 0.5;
/** Warmer than this inside it is opened, C below what is too hot. */
const BEFORE_HOT_C = 4;
/** From so much fresh snow on it is brushed, mm. */
const BRUSH_MM = 60;
/** Gusts from which everything is latched, m/s. */
const LATCH_M_PER_S = 17;
/** So long before the sun leaves it is shut, hours. */
const SHUT_BEFORE = 1;

/**
 * The word for the next night and day.
 * @param shut the cover run through the forecast with nothing opened
 * @param now hour of the forecast that is now, counted from its start
 * @param hourOf hour of the clock for an hour of the forecast
 * @param livesToC coldest usual night outside that the crop lives through under this cover, C
 */
export function tonightOf(
  shut: Climate,
  forecast: Weather,
  now: number,
  crop: Crop,
  hourOf: (ms: number) => number,
  canOpen: boolean,
  livesToC: number,
): Tonight {
  const hours = Array.from({ length: Math.min(24, forecast.airC.length - now) }, (_, i) => now + i);
  const least = (list: ArrayLike<number>): number => hours.reduce((m, i) => Math.min(m, list[i] ?? Infinity), Infinity);
  const most = (list: ArrayLike<number>): number =>
    hours.reduce((m, i) => Math.max(m, list[i] ?? -Infinity), -Infinity);
  const sum = (list: ArrayLike<number>): number => hours.reduce((s, i) => s + (list[i] ?? 0), 0);
  const insideC = least(shut.run.lowC);
  const outsideC = least(forecast.airC);
  const hottest = most(shut.run.highC);
  const clock = (i: number): number => hourOf(forecast.startMs + i * MS_PER_HOUR);

  const tooWarm = hours.filter(
    (i) => (shut.run.airC[i] ?? 0) > crop.hotC - BEFORE_HOT_C && (forecast.sunWPerM2[i] ?? 0) > 50,
  );
  const sunny = hours.filter((i) => (forecast.sunWPerM2[i] ?? 0) > 100);
  const [first, lastWarm, lastSun] = [tooWarm[0], tooWarm[tooWarm.length - 1], sunny[sunny.length - 1]];
  const opens = canOpen && first !== undefined;
  const openAt = opens ? clock(first) : null;
  const shutAt =
    opens && lastWarm !== undefined
      ? Math.max(clock(first) + 1, clock(Math.min(lastWarm, (lastSun ?? lastWarm) - SHUT_BEFORE)) + 1)
      : null;

  const margin = insideC - crop.killingC;
  const mood: Mood = margin < 0 ? 'danger' : margin < NEAR_C || hottest > crop.hotC ? 'watch' : 'fine';
  const deeds: Phrase[] = [];
  if (margin < NEAR_C)
    deeds.push(
      margin < 0
        ? phrase`${capital(crop.name)} dies at ${amount(crop.killingC, 'temperature')}: pick what is ready, or lay a blanket over it before dark.`
        : phrase`A blanket before dark is safe: a forecast is as often off by ${amount(NEAR_C, 'warming')}.`,
    );
  if (margin < NEAR_C && insideC < outsideC - COLDER_C)
    deeds.push(
      phrase`Tonight it gets colder under the cover than outside, ${amount(insideC, 'temperature')} beside ${amount(outsideC, 'temperature')}: clear sky and cold soil draw warmth out of the air inside. Fabric laid over the plants helps.`,
    );
  else if (margin < NEAR_C && outsideC > livesToC)
    deeds.push(
      phrase`On a usual night the cover saves ${crop.name} down to ${amount(livesToC, 'livesTo')} outside. Tonight it keeps less, by the sky, the wind and how cold the soil is: count on ${amount(insideC, 'temperature')} inside.`,
    );
  if (hottest > crop.hotC && !canOpen)
    deeds.push(['It gets too hot inside and cannot be opened: lift the cover off for the day.']);
  const snow = sum(forecast.snowMm);
  if (snow > BRUSH_MM)
    deeds.push(phrase`Fresh snow, about ${amount(snow, 'snowDepth')}: brush it off early, from outside.`);
  if (most(forecast.gustMPerS) > LATCH_M_PER_S)
    deeds.push(['A gale: shut, latch and weight it, and look at it afterwards.']);
  const word: Phrase =
    openAt !== null && shutAt !== null
      ? [`Open from ${said(openAt)}, shut by ${said(shutAt)}`]
      : margin < 0
        ? ['Keep it shut; too cold tonight']
        : ['Keep it shut'];
  return { mood, word, low: { insideC, outsideC }, high: { insideC: hottest }, openAt, shutAt, deeds };
}

const said = (hour: number): string => `${Math.round(hour) % 24}:00`;
