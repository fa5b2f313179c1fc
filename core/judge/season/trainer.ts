/** Five evenings in March: you decide from the forecast, and see afterwards what it cost. */
import { MS_PER_DAY, MS_PER_HOUR, addDays, dayNumber } from '../../base/days';
import { type Phrase, amount, phrase, capital } from '../../base/figure';
import { type DaySum, type Limits, climateOf } from '../climate/climate';
import type { ClimatePlace } from '../climate/drive';
import { BLANKET_M2K_PER_W, type BedModel } from '../climate/model';
import { type Operation, USUAL_TENDING } from '../climate/operation';
import { simulatedForecast, simulatedWeather } from '../weather/simulated';
import type { Weather } from '../weather/weather';
import { BRUSH_HOUR, wetMm } from '../climate/snowOnCover';

/** What is decided of an evening, for the night and the day after it. */
export interface Decision {
  readonly blanket: boolean;
  readonly open: boolean;
  /** Snow is brushed off in the morning. */
  readonly brush: boolean;
}

export const EVENINGS = 5;
const DAYS_BEFORE = 5;
/** The evening on which it is decided, by the clock. */
const EVENING = 18;
/** So far over what it likes leaves scald, C. */
const SCALDS_OVER_C = 10;

/** A cover as the evenings meet it. */
export interface TrainerAsk {
  readonly place: ClimatePlace;
  readonly model: BedModel;
  readonly limits: Limits;
  readonly cropName: string;
  /** Snow on the level that folds it, kg/m2; undefined where none does. */
  readonly foldsKgPerM2: number | undefined;
  /** First of the five days, and which world it is. */
  readonly from: string;
  readonly seed: string;
}

/** The forecast of an evening for the next day and night. */
export interface Foreseen {
  readonly date: string;
  readonly lowC: number;
  readonly highC: number;
  readonly cloud: number;
  readonly gustMPerS: number;
  readonly snowMm: number;
}

/** A day with the most snow that lay on the cover, kg/m2, and whether it folded. */
interface TrainedDay extends DaySum {
  readonly snowKgPerM2: number;
  readonly folded: boolean;
}

/** How the night and day after an evening went. */
export interface Outcome {
  readonly date: string;
  readonly day: TrainedDay;
  readonly decision: Decision;
  /** What would have been better, and how it would have gone; nothing where nothing was. */
  readonly better: { readonly decision: Decision; readonly day: TrainedDay } | undefined;
  readonly word: Phrase;
}

const startMs = ({ from, place }: Pick<TrainerAsk, 'from' | 'place'>): number =>
  dayNumber(from) * MS_PER_DAY - place.utcHours * MS_PER_HOUR;

/** What is foreseen on an evening: wrong as forecasts are. @param evening from 0 */
export function foreseen(ask: TrainerAsk, evening: number): Foreseen {
  const date = addDays(ask.from, evening);
  const issued = startMs(ask) + (evening - 1) * MS_PER_DAY + EVENING * MS_PER_HOUR;
  const w = simulatedForecast(ask.place, ask.seed, issued, 30);
  const sunny = w.sunWPerM2.flatMap((s, i) => (s > 50 ? [w.cloud[i] ?? 0] : []));
  return {
    date,
    lowC: Math.min(...w.airC),
    highC: Math.max(...w.airC),
    cloud: sunny.reduce((a, b) => a + b, 0) / Math.max(1, sunny.length),
    gustMPerS: Math.max(...w.gustMPerS),
    snowMm: w.snowMm.reduce((a, b) => a + b, 0),
  };
}

const tendingOf = ({ blanket, open }: Decision): Operation => ({
  ...USUAL_TENDING,
  open: open ? USUAL_TENDING.open : null,
  fromC: -60,
  blanket: blanket ? USUAL_TENDING.blanket : { from: 0, to: 0 },
});

function daysOf(ask: TrainerAsk, weather: Weather, decisions: readonly Decision[]): readonly TrainedDay[] {
  const daily = new Map<string, Operation>();
  decisions.forEach((d, i) => daily.set(addDays(ask.from, i), tendingOf(d)));
  // Mornings before the first evening are brushed: the five days begin with a clear cover.
  const brushed = (at: number): boolean =>
    at % 24 === BRUSH_HOUR && decisions[Math.floor(at / 24) - DAYS_BEFORE]?.brush !== false;
  const before = tendingOf({ blanket: false, open: false, brush: false });
  const { days, run } = climateOf(
    { ...ask.model, blanketM2KPerW: BLANKET_M2K_PER_W },
    weather,
    ask.place,
    before,
    ask.limits,
    { daily, brushed },
  );
  let folded = false;
  return decisions.flatMap((_, i): readonly TrainedDay[] => {
    const day = days[DAYS_BEFORE + i];
    if (!day) return [];
    let most = 0;
    for (let hour = 0; hour < 24; hour++) {
      const snow = run.snowKgPerM2[24 * (DAYS_BEFORE + i) + hour] ?? 0;
      most = Math.max(most, snow);
      if (snow > (ask.foldsKgPerM2 ?? Infinity)) folded = true;
    }
    // Under a cover that is down it is as it is outside.
    const open = folded ? { lowC: Math.min(day.lowC, day.outLowC), highC: day.outHighC } : {};
    return [{ ...day, ...open, snowKgPerM2: most, folded }];
  });
}

/** The lower the better: dead, scalded, then how cold and how hot against what the crop likes. */
function harm({ killingC, hotC }: Limits, d: TrainedDay): number {
  const [cold, hot] = [killingC - d.lowC, d.highC - hotC];
  return (
    (d.folded ? 2000 : 0) +
    (cold > 0 ? 1000 + cold : 0) +
    (hot > SCALDS_OVER_C ? 500 + hot : Math.max(0, hot)) +
    Math.max(0, cold + 2) / 2
  );
}

const ALL: readonly Decision[] = [false, true].flatMap((blanket) =>
  [false, true].flatMap((open) => [false, true].map((brush) => ({ blanket, open, brush }))),
);
const same = (a: Decision, b: Decision): boolean => a.blanket === b.blanket && a.open === b.open && a.brush === b.brush;

/**
 * How the days went that were decided so far, each beside what would have been better.
 * @returns as many outcomes as decisions
 */
export function trained(ask: TrainerAsk, decisions: readonly Decision[]): readonly Outcome[] {
  const first = startMs(ask) - DAYS_BEFORE * MS_PER_DAY;
  const weather = simulatedWeather(ask.place, ask.seed, first, 24 * (DAYS_BEFORE + EVENINGS));
  const went = daysOf(ask, weather, decisions);
  return decisions.flatMap((decision, i): readonly Outcome[] => {
    const day = went[i];
    if (!day) return [];
    const others = ALL.filter((d) => !same(d, decision)).flatMap((other) => {
      const alone = daysOf(ask, weather, [...decisions.slice(0, i), other])[i];
      return alone ? [{ decision: other, day: alone }] : [];
    });
    const best = others.reduce<(typeof others)[number] | undefined>(
      (a, b) => (a && harm(ask.limits, a.day) <= harm(ask.limits, b.day) ? a : b),
      undefined,
    );
    const better = best && harm(ask.limits, best.day) < harm(ask.limits, day) - 1 ? best : undefined;
    return [{ date: day.date, day, decision, better, word: wordOf(ask, day) }];
  });
}

function wordOf({ limits, cropName }: TrainerAsk, d: TrainedDay): Phrase {
  const name = capital(cropName);
  const range = phrase`${amount(d.lowC, 'temperature')} to ${amount(d.highC, 'temperature')} inside`;
  if (d.folded)
    return phrase`The cover lies folded under about ${amount(wetMm(d.snowKgPerM2), 'snowDepth')} of wet snow: ${range}.`;
  if (d.lowC < limits.killingC) return [`${name} froze: `, ...range, '.'];
  if (d.highC > limits.hotC + SCALDS_OVER_C) return [`${name} scalded: `, ...range, '.'];
  if (d.highC > limits.hotC) return [`Too hot for ${cropName} for ${d.hotHours} hours: `, ...range, '.'];
  return ['All well: ', ...range, '.'];
}

/** The first of the five days: in March of a winter that begins in a year; in September in the south. */
export const trainerFrom = (latitudeDeg: number, year: number): string =>
  latitudeDeg < 0 ? `${year}-09-05` : `${year + 1}-03-05`;
