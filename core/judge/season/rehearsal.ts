/** A winter played on a cover before it comes: snow, gales, frost and sun on the design as it stands, tended as it is. */
import { MS_PER_HOUR, dayAt, hourAt, isoDay } from '../../base/days';
import { type Phrase, amount, phrase, capital } from '../../base/figure';
import { type ClimateOptions, type DaySum, type Limits, climateOf } from '../climate/climate';
import type { ClimatePlace } from '../climate/drive';
import type { BedModel } from '../climate/model';
import type { Operation } from '../climate/operation';
import { bell } from '../../base/noise';
import { placeSeed, simulatedWeather } from '../weather/simulated';
import { BRUSH_HOUR, BRUSH_KG_PER_M2, wetMm } from '../climate/snowOnCover';

/** Who brushes snow off: nobody, every morning, or as soon as it lies deep. */
export type Brushing = 'never' | 'mornings' | 'at once';

/** What carries a load, as often as it is known: in the middle, and how far off, as the deviation of its logarithm. */
export interface Bears {
  readonly middle: number;
  readonly deviation: number;
}

/** A cover as a winter meets it. */
export interface RehearsalAsk {
  readonly place: ClimatePlace;
  readonly model: BedModel;
  readonly tending: Operation;
  readonly limits: Limits;
  readonly cropName: string;
  /** Snow on the level that folds its weakest part, kg/m2; undefined where nothing of it can be folded. */
  readonly snow: Bears | undefined;
  /** Gust that lifts it off, m/s; undefined where none does. */
  readonly gust: Bears | undefined;
  readonly brushing: Brushing;
  /** Whether the frame wears nothing on a date: no snow lies on it then, and no wind takes it. */
  readonly bare?: (date: string) => boolean;
  readonly options?: ClimateOptions;
}

interface WinterEvent {
  readonly date: string;
  readonly kind: 'snow' | 'brushed' | 'folded' | 'blown' | 'killed' | 'cooked' | 'near';
  readonly text: Phrase;
}

/** One day of a winter, with the snow that lies on the cover at its end, kg/m2 on the level. */
export interface WinterDay extends DaySum {
  readonly snowKgPerM2: number;
  readonly gustMPerS: number;
}

/** How a winter went. */
export interface Winter {
  readonly seed: string;
  readonly days: readonly WinterDay[];
  readonly events: readonly WinterEvent[];
  /** What came of the cover and of the crop; nothing: it stood, it lived. */
  readonly cover: 'folded' | 'blown' | undefined;
  readonly crop: 'killed' | 'cooked' | undefined;
  readonly sums: {
    readonly brushed: number;
    readonly hotHours: number;
    readonly nearNights: number;
    /** Days until the crop was lost, or all. */
    readonly livedDays: number;
    readonly mostSnowKgPerM2: number;
  };
}

/** So far over what it likes leaves scald, C, and so many hours of it kill. */
const COOKS_OVER_C = 15;
const COOKS_HOURS = 2;
/** Nearer than this to what kills is told, C. */
const NEAR_C = 1.5;
/** Days of a winter: from 1 November to the middle of April; half a year later in the south. */
const WINTER_HOURS = 24 * 166;

/** First hour of a winter by the clock of the place, ms since 1970. @param year the year in which it begins */
export const winterStartMs = (place: ClimatePlace, year: number): number =>
  Date.UTC(year, place.latitudeDeg < 0 ? 4 : 10, 1) - place.utcHours * MS_PER_HOUR;

/**
 * Plays one winter: the same seed, the same winter.
 * @param year in which it begins; @param seed which winter of all that could come
 */
export function rehearse(ask: RehearsalAsk, year: number, seed: string): Winter {
  const weather = simulatedWeather(ask.place, seed, winterStartMs(ask.place, year), WINTER_HOURS);
  const dice = placeSeed(ask.place, seed);
  const bears = (b: Bears | undefined, channel: number): number =>
    b ? b.middle * Math.exp(b.deviation * bell(dice, channel, 0)) : Infinity;
  const [folds, lifts] = [bears(ask.snow, 90), bears(ask.gust, 91)];
  const hourOf = (at: number): number => hourAt(weather.startMs + at * MS_PER_HOUR, ask.place.utcHours);
  const dateOf = (at: number): string => isoDay(dayAt(weather.startMs + at * MS_PER_HOUR, ask.place.utcHours));
  const lifted = (at: number): boolean => (weather.gustMPerS[at] ?? 0) > lifts && ask.bare?.(dateOf(at)) !== true;
  // At once means from half of what is brushed of a morning, whatever the hour; nobody brushes what is down.
  const brushings = new Set<number>();
  let down = false;
  const brushed = (at: number, kg: number): boolean => {
    down ||= kg > folds || lifted(at);
    const now =
      ask.brushing === 'at once'
        ? kg > BRUSH_KG_PER_M2 / 2
        : ask.brushing === 'mornings' && hourOf(at) === BRUSH_HOUR && kg > BRUSH_KG_PER_M2;
    if (!now || down) return false;
    brushings.add(at);
    return true;
  };
  const climate = climateOf(ask.model, weather, ask.place, ask.tending, ask.limits, { ...ask.options, brushed });
  const events: WinterEvent[] = [];
  const sums = { brushed: 0, hotHours: 0, nearNights: 0, livedDays: 0, mostSnowKgPerM2: 0 };
  const days: WinterDay[] = [];
  let cover: Winter['cover'];
  let crop: Winter['crop'];
  let snow = 0;
  let at = 0;
  for (const day of climate.days) {
    const tell = (kind: WinterEvent['kind'], text: Phrase): void => void events.push({ date: day.date, kind, text });
    const breaks = (how: NonNullable<Winter['cover']>, text: Phrase): void => {
      if (cover !== undefined) return;
      cover = how;
      tell(how, text);
    };
    const loses = (how: NonNullable<Winter['crop']>, text: Phrase): void => {
      if (crop !== undefined) return;
      crop = how;
      tell(how, text);
    };
    let gust = 0;
    let fell = 0;
    let scalded = 0;
    for (; at < weather.airC.length && dateOf(at) === day.date; at++) {
      fell += weather.snowMm[at] ?? 0;
      const inside = climate.run.airC[at] ?? 0;
      snow = climate.run.snowKgPerM2[at] ?? 0;
      gust = Math.max(gust, weather.gustMPerS[at] ?? 0);
      sums.mostSnowKgPerM2 = Math.max(sums.mostSnowKgPerM2, snow);
      if (snow > folds)
        breaks(
          'folded',
          phrase`Folds under about ${amount(wetMm(snow), 'snowDepth')} of wet snow, or its weight in fresh.`,
        );
      if (lifted(at)) breaks('blown', phrase`A gust of ${amount(gust, 'speed')} takes it away.`);
      if (inside > ask.limits.hotC + COOKS_OVER_C) scalded++;
      if (brushings.has(at)) {
        snow = 0;
        sums.brushed++;
        if (ask.brushing === 'mornings') tell('brushed', ['Brushed off.']);
      }
    }
    if (fell > 150) tell('snow', phrase`Fresh snow, ${amount(fell, 'snowDepth')}.`);
    if (scalded >= COOKS_HOURS)
      loses(
        'cooked',
        phrase`${capital(ask.cropName)} scalds at ${amount(day.highC, 'temperature')}: shut on a sunny day.`,
      );
    // Under a cover that is down the night is as it is outside.
    const lowC = cover === undefined ? day.lowC : Math.min(day.lowC, day.outLowC);
    if (lowC < ask.limits.killingC)
      loses(
        'killed',
        phrase`${capital(ask.cropName)} dies at ${amount(lowC, 'temperature')}${cover === undefined ? ' inside, ' : ' with the cover down, '}${amount(day.outLowC, 'temperature')} outside.`,
      );
    else if (day.lowC < ask.limits.killingC + NEAR_C && crop === undefined) {
      sums.nearNights++;
      tell('near', phrase`${amount(day.lowC, 'temperature')} inside: a near thing.`);
    }
    if (crop === undefined) {
      sums.hotHours += day.hotHours;
      sums.livedDays++;
    }
    days.push({ ...day, snowKgPerM2: snow, gustMPerS: gust });
  }
  return { seed, days, events, cover, crop, sums };
}

/** Many winters at once. */
export interface Winters {
  readonly count: number;
  /** In how many the cover stood, was folded or blown away; and the crop lived, froze or scalded. */
  readonly cover: Readonly<Record<'stood' | NonNullable<Winter['cover']>, number>>;
  readonly crop: Readonly<Record<'lived' | NonNullable<Winter['crop']>, number>>;
  /** Of each day the low inside: one winter in ten colder, the middle one, one in ten milder, C. */
  readonly bands: readonly {
    readonly date: string;
    readonly low: number;
    readonly middle: number;
    readonly high: number;
  }[];
}

/**
 * Plays a number of winters, and says between what they lie.
 * @param hear is told how many are over
 */
export function rehearseMany(ask: RehearsalAsk, year: number, count: number, hear?: (done: number) => void): Winters {
  const cover = { stood: 0, folded: 0, blown: 0 };
  const crop = { lived: 0, killed: 0, cooked: 0 };
  const lows = new Map<string, number[]>();
  for (let i = 0; i < count; i++) {
    const w = rehearse(ask, year, `winter ${i + 1}`);
    cover[w.cover ?? 'stood']++;
    crop[w.crop ?? 'lived']++;
    for (const d of w.days) {
      const list = lows.get(d.date);
      if (list) list.push(d.lowC);
      else lows.set(d.date, [d.lowC]);
    }
    hear?.(i + 1);
  }
  const bands = [...lows].map(([date, list]) => {
    const sorted = [...list].sort((a, b) => a - b);
    const of = (part: number): number => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? 0;
    return { date, low: of(0.1), middle: of(0.5), high: of(0.9) };
  });
  return { count, cover, crop, bands };
}
