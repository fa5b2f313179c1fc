/** A cover of a garden in weather, and through its year: the design that stands, where it stands. */
import { utcHoursAt } from './site/clock';
import type { Garden } from './garden/garden';
import { type Climate, type ClimateOptions, climateOf } from './judge/climate/climate';
import type { ClimatePlace, Worn } from './judge/climate/drive';
import { type BedModel, bedModel, uncovered } from './judge/climate/model';
import type { Operation } from './judge/climate/operation';
import { type Task, seasonOf } from './judge/season/calendar';
import { coatOn, enclosureIn } from './judge/season/seasonalCovers';
import { type Weather, weatherSpan } from './judge/weather/weather';
import { type CalibrationFit, type Reading, fitReadings, readingSpan } from './judge/climate/fit';
import { type SheetLife, type DeployedPeriod, sheetLives } from './judge/season/sheetLife';
import { type Tonight, tonightOf } from './judge/season/tonight';
import { MS_PER_HOUR, hourAt } from './base/days';
import { clearSunAt } from './judge/climate/sky';
import { coverMaterial } from './catalog/catalog';
import type { Assessment } from './assessment';

/** A garden as the climate sees it, its clock as it is at an instant. */
export function climatePlace({ site }: Pick<Garden, 'site'>, ms: number): ClimatePlace {
  const { latitudeDeg, longitudeDeg, elevationM, exposure } = site;
  return { latitudeDeg, longitudeDeg, elevationM, exposure, utcHours: utcHoursAt(site, ms) };
}

/** The bed under its own cover. */
export const coveredBedModel = ({ assembly, site: { bed }, garden: { landmarks } }: Assessment): BedModel =>
  bedModel(assembly, bed, landmarks);

/** The bed as it is covered on each date: by its own sheet, by the coat of that day, or by nothing. */
export function wornOf(o: Assessment): Worn {
  const own = coveredBedModel(o);
  const { coats } = o.cover;
  if (coats.length === 0) return () => own;
  const { assembly, site, garden } = o;
  const byKey = new Map<string | null, BedModel>([[null, uncovered(own)]]);
  return (date) => {
    const coat = coatOn(coats, date);
    if (coat === undefined) return own;
    const found = byKey.get(coat.coverKey);
    if (found || coat.coverKey === null) return found ?? own;
    const enclosure = enclosureIn(assembly.enclosure, coverMaterial(site.catalog, coat.coverKey));
    const model = bedModel({ ...assembly, enclosure }, site.bed, garden.landmarks);
    byKey.set(coat.coverKey, model);
    return model;
  };
}

/**
 * How warm and how cold it gets under a cover in a weather.
 * @param tending as it is tended; the cover's own rule when not said
 */
export function airOf(
  o: Assessment,
  weather: Weather,
  tending: Operation = o.cover.tending,
  options: ClimateOptions = {},
): Climate {
  const { killingC, hotC } = o.assembly.crop.crop;
  return climateOf(
    coveredBedModel(o),
    weather,
    climatePlace(o.garden, weather.startMs),
    tending,
    { killingC, hotC },
    { worn: wornOf(o), ...(o.cover.taught && { taught: o.cover.taught }), ...options },
  );
}

/** The calendar of a cover for the twelve months from a date. */
export function seasonOfCover(o: Assessment, from: string): readonly Task[] {
  const { catalog } = o.site;
  const row = o.assembly.crop.crop;
  return seasonOf({
    place: o.garden.site,
    crop: row,
    helpC: row.killingC - o.coldest.value,
    coats: o.cover.coats,
    coverName: (key) => coverMaterial(catalog, key).name,
    ownCover: o.assembly.enclosure.skins[0].cover.key,
    from,
  });
}

/** Hours of past before a forecast, so that the bed knows how warm it is. */
const BEFORE_HOURS = 24 * 5;

/**
 * The word for the next day and night of a cover.
 * @param weather hours that have been and, after them, what is foreseen
 * @param now how many of them have been
 */
export function tonightOfCover(o: Assessment, weather: Weather, now: number): Tonight {
  const from = Math.max(0, now - BEFORE_HOURS);
  const near = weatherSpan(weather, from, Math.min(weather.airC.length - from, now - from + 48));
  const shut = airOf(o, near, { ...o.cover.tending, open: null });
  const hourOf = (ms: number): number => hourAt(ms, utcHoursAt(o.garden.site, ms));
  return tonightOf(
    shut,
    near,
    now - from,
    o.assembly.crop.crop,
    hourOf,
    o.assembly.ventilation.byHandM2 > 0,
    o.coldest.value,
  );
}

/** What the readings of a cover teach of it in the weather of those days; undefined where they are too few. */
export function fitOfCover(o: Assessment, weather: Weather, readings: readonly Reading[]): CalibrationFit | undefined {
  const { from, hours } = readingSpan(readings, weather);
  if (hours < 24) return undefined;
  const span = weatherSpan(weather, from, hours);
  return fitReadings(readings, (options) => airOf(o, span, o.cover.tending, options));
}

/** What the sun has done to the sheets of a cover in spells out of doors. @param today up to when it is counted */
export const sheetsInSun = (o: Assessment, spells: readonly DeployedPeriod[], today: string): readonly SheetLife[] =>
  sheetLives(
    o.assembly.enclosure.skins[0].cover,
    o.cover.coats,
    (key) => coverMaterial(o.site.catalog, key),
    spells,
    o.garden.site,
    today,
  );

/** A clear day is so much colder at night than at noon, and its air so dry, C. */
const CLEAR_DAY = { swingsC: 10, dewBelowC: 12, days: 3, warmestAt: 14 } as const;

/**
 * How much warmer than outside the shut cover gets hour by hour on the day of its clear noon, C: over soil that is as cold and as wet
 * as it is at that time of year, which the steady figure of noon leaves out.
 */
export function clearDayRiseC(o: Assessment): number {
  const { noon } = o.garden.site;
  const { swingsC, dewBelowC, days, warmestAt } = CLEAR_DAY;
  const startMs = Date.parse(noon.date) - utcHoursAt(o.garden.site, Date.parse(noon.date)) * MS_PER_HOUR;
  const hours = Array.from({ length: 24 * days }, (_, i) => i);
  const each = (c: number): readonly number[] => hours.map(() => c);
  const airC = hours.map(
    (i) => noon.outsideC - (swingsC / 2) * (1 - Math.cos(((i + 0.5 - warmestAt) * 2 * Math.PI) / 24)),
  );
  const weather: Weather = {
    source: 'A clear day',
    simulated: true,
    startMs,
    airC,
    dewC: each(noon.outsideC - dewBelowC),
    windMPerS: each(2),
    gustMPerS: each(4),
    cloud: each(0),
    rainMm: each(0),
    snowMm: each(0),
    sunWPerM2: hours.map((i) => clearSunAt(startMs + (i + 0.5) * MS_PER_HOUR, o.garden.site)),
  };
  const { run } = airOf(o, weather, { ...o.cover.tending, open: null });
  const last = 24 * (days - 1);
  return Math.max(...hours.slice(last).map((i) => (run.airC[i] ?? 0) - (airC[i] ?? 0)));
}
