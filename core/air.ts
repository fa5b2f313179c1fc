/** A cover of a garden in weather, and through its year: the design that stands, where it stands. */
import { crop } from './site/crops';
import { utcHoursAt } from './site/clock';
import type { Garden } from './garden/garden';
import { type Climate, type ClimateOptions, climateOf } from './judge/climate/climate';
import type { ClimatePlace } from './judge/climate/drive';
import { type BedModel, bedModel } from './judge/climate/model';
import type { Tending } from './judge/climate/tending';
import { type Task, seasonOf } from './judge/season/calendar';
import { coatOn, enclosureIn } from './judge/season/coats';
import type { Weather } from './judge/weather/weather';
import { coverMaterial } from './catalog/catalog';
import type { Outline } from './outline';

/** A garden as the climate sees it, its clock as it is at an instant. */
export function climatePlace({ site }: Pick<Garden, 'site'>, ms: number): ClimatePlace {
  const { latitudeDeg, longitudeDeg, elevationM, exposure } = site;
  return { latitudeDeg, longitudeDeg, elevationM, exposure, utcHours: utcHoursAt(site, ms) };
}

/** The bed under its cover, as it is worn on a date: with that day's coat. */
export function modelOf(o: Outline, date?: string): BedModel {
  const coat = date === undefined ? undefined : coatOn(o.cover.coats, date);
  const { assembly } = o;
  const worn =
    coat === undefined || coat.coverKey === null
      ? assembly
      : { ...assembly, enclosure: enclosureIn(assembly.enclosure, coverMaterial(o.site.catalog, coat.coverKey)) };
  return bedModel(worn, o.site.bed, o.garden.landmarks);
}

/**
 * How warm and how cold it gets under a cover in a weather.
 * @param tending as it is tended; the cover's own rule when not said
 */
export function airOf(
  o: Outline,
  weather: Weather,
  tending: Tending = o.cover.tending,
  options: ClimateOptions = {},
): Climate {
  const { killingC, hotC } = crop(o.assembly.crop.cropKey);
  return climateOf(modelOf(o), weather, climatePlace(o.garden, weather.startMs), tending, { killingC, hotC }, options);
}

/** The calendar of a cover for the twelve months from a date. */
export function seasonOfCover(o: Outline, from: string): readonly Task[] {
  const { catalog } = o.site;
  const row = crop(o.assembly.crop.cropKey);
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
