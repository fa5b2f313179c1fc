/** A cover in weather: how warm and how cold it gets, hour by hour and day by day. */
import { dayOfYear, isoDay, MS_PER_DAY, MS_PER_HOUR, dayAt, hourAt } from '../../base/days';
import { groundC, normalsOf } from '../weather/normals';
import { type Weather, hoursOf } from '../weather/weather';
import { type Run, STEPS_PER_HOUR, runBalance } from './balance';
import { type ClimatePlace, type Worn, driveOf } from './drive';
import { BRUSH_HOUR, BRUSH_KG_PER_M2 } from './snowOnCover';
import { type BedModel, type Calibration, UNCALIBRATED } from './model';
import { type Operation, comes } from './operation';

/** One day under the cover, by the clock of the place. */
export interface DaySum {
  readonly date: string;
  readonly outLowC: number;
  readonly outHighC: number;
  readonly lowC: number;
  readonly highC: number;
  readonly soilC: number;
  /** Hours hotter than the crop likes, and hours at which it is killed. */
  readonly hotHours: number;
  readonly killHours: number;
  /** Hours in which something stood open. */
  readonly openHours: number;
  readonly dripKg: number;
}

export interface Climate {
  readonly run: Run;
  readonly days: readonly DaySum[];
}

/** What the crop bears, C. */
export interface Limits {
  readonly killingC: number;
  readonly hotC: number;
}

export interface ClimateOptions {
  readonly taught?: Calibration;
  readonly stepsPerHour?: number;
  /** The same bed as it is on each date, where its coat changes; what opens and stores warmth stays. */
  readonly worn?: Worn;
  /** Dates that are tended in a way of their own. */
  readonly daily?: ReadonlyMap<string, Operation>;
  /** Run in beforehand over the weather's first hours; four days when not said. */
  readonly runInHours?: number;
  /** Who brushes snow off the cover, hour by hour; as it is tended when not said. @see BalanceStart.brushed */
  readonly brushed?: (hour: number, kgPerM2: number) => boolean;
}

/** So many hours make a bed forget how it began. */
const RUN_IN_HOURS = 96;

/**
 * The ground a metre under a bed, C, by the hour of weather; and the mean of its first month, C, which tells whether the year is warmer
 * than usual: the ground is by half of that.
 */
export function groundUnder(
  weather: Weather,
  place: ClimatePlace,
): { readonly meanC: number; readonly deepC: (hour: number) => number } {
  const usual = normalsOf(place);
  const first = dayOfYear(isoDay(weather.startMs / MS_PER_DAY));
  const month = Math.min(hoursOf(weather), 24 * 30);
  const meanC = weather.airC.slice(0, month).reduce((sum, c) => sum + c, 0) / Math.max(1, month);
  const off = month > 0 ? meanC - groundC(usual, first + month / 48, 0) : 0;
  return { meanC, deepC: (hour) => groundC(usual, first + hour / 24, 1) + off / 2 };
}

/**
 * Runs a bed through weather.
 * @param limits what its crop bears, for the days' sums
 */
export function climateOf(
  model: BedModel,
  weather: Weather,
  place: ClimatePlace,
  tending: Operation,
  limits: Limits,
  {
    taught = UNCALIBRATED,
    stepsPerHour = STEPS_PER_HOUR,
    runInHours,
    daily,
    brushed,
    worn = () => model,
  }: ClimateOptions = {},
): Climate {
  const drive = driveOf(worn, weather, place, tending, taught, daily);
  const { meanC, deepC } = groundUnder(weather, place);
  const msOf = (hour: number): number => weather.startMs + hour * MS_PER_HOUR;
  const run = runBalance(model, drive, {
    deepC,
    soilC: (deepC(0) + meanC) / 2,
    stepsPerHour,
    brushed:
      brushed ??
      ((hour, kg) =>
        tending.brushes &&
        kg > BRUSH_KG_PER_M2 &&
        hourAt(msOf(hour), place.utcHours) === BRUSH_HOUR &&
        comes(tending, dayAt(msOf(hour), place.utcHours))),
    runInHours: runInHours ?? Math.min(RUN_IN_HOURS, hoursOf(weather)),
  });
  return { run, days: daysOf(run, weather, place.utcHours, limits) };
}

function daysOf(run: Run, weather: Weather, utcHours: number, { killingC, hotC }: Limits): readonly DaySum[] {
  const days: DaySum[] = [];
  const dayOf = (i: number): number => dayAt(run.startMs + i * MS_PER_HOUR, utcHours);
  const hours = hoursOf(weather);
  for (let i = 0; i < hours;) {
    const sum = {
      out: [Infinity, -Infinity],
      low: Infinity,
      high: -Infinity,
      soil: 0,
      hot: 0,
      kill: 0,
      open: 0,
      drip: 0,
    };
    let end = i;
    for (; end < hours && dayOf(end) === dayOf(i); end++) {
      const out = weather.airC[end] ?? 0;
      sum.out = [Math.min(sum.out[0] ?? out, out), Math.max(sum.out[1] ?? out, out)];
      sum.low = Math.min(sum.low, run.lowC[end] ?? Infinity);
      sum.high = Math.max(sum.high, run.highC[end] ?? -Infinity);
      sum.soil += run.soilC[end] ?? 0;
      sum.drip += run.dripKg[end] ?? 0;
      if ((run.airC[end] ?? 0) > hotC) sum.hot++;
      if ((run.lowC[end] ?? 0) < killingC) sum.kill++;
      if ((run.open[end] ?? 0) > 0.02) sum.open++;
    }
    days.push({
      date: isoDay(dayOf(i)),
      outLowC: sum.out[0] ?? 0,
      outHighC: sum.out[1] ?? 0,
      lowC: sum.low,
      highC: sum.high,
      soilC: sum.soil / (end - i),
      hotHours: sum.hot,
      killHours: sum.kill,
      openHours: sum.open,
      dripKg: sum.drip,
    });
    i = end;
  }
  return days;
}
