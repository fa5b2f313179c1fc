/** What weather does to a covered bed, hour by hour, before its own warmth answers. */
import { beamOver, skySeen } from '../../site/horizon';
import type { Exposure } from '../../site/place';
import { MS_PER_HOUR, dayAt, hourAt, isoDay } from '../../base/days';
import { type Weather, type WeatherPlace, hoursOf } from '../weather/weather';
import {
  ASLANT_DIFFUSE,
  type Sun,
  aslant,
  clearSkyWPerM2,
  diffusePart,
  saturatedKgPerM3,
  skyLossWPerM2,
  sunAt,
} from './sky';
import { type BedModel, type Calibration, UNCALIBRATED } from './model';
import { type Bearing, bearingOf } from './snowOnCover';
import { type Operation, comes, withinHours } from './operation';

/** A place with its clock. */
export interface ClimatePlace extends WeatherPlace {
  readonly exposure: Exposure;
  /** Hours that its clock is ahead of UTC. */
  readonly utcHours: number;
}

/** One number an hour, in SI. */
export interface Drive {
  readonly hours: number;
  readonly startMs: number;
  readonly airC: Float64Array;
  readonly vapour: Float64Array;
  /** Light that stays inside as warmth, W. */
  readonly sunW: Float64Array;
  /** Through skins and walls for each degree, W/K. */
  readonly lossWPerK: Float64Array;
  /** Lost to a sky colder than the air, W. */
  readonly skyW: Float64Array;
  /** How far the skin is colder than the air outside by that, C; and what part of warmth freed on it comes back inside. */
  readonly skinDropC: Float64Array;
  readonly returned: Float64Array;
  /** Air that leaks, m3/s. */
  readonly leak: Float64Array;
  readonly windMPerS: Float64Array;
  /** 1 where a hand has opened it. */
  readonly opened: Float64Array;
  readonly lightsW: Float64Array;
  /** Fresh snow that falls, mm; and what faces it lies on, undefined where nothing covers the bed. */
  readonly snowMm: Float64Array;
  readonly bears: readonly (Bearing | undefined)[];
}

/** Wind at a bed for wind at ten metres. Source: log law over gardens, roughness .1 to .5 m, at half a metre. */
const AT_BED: Readonly<Record<Exposure, number>> = { exposed: 0.55, normal: 0.4, sheltered: 0.25 };
/** Light that falls on soil, leaves and wood and stays: the rest is thrown back out. */
const TAKEN_IN = 0.8;
const EMISSIVITY = 0.9;
const GRASS_ALBEDO = 0.2;
const SNOW_ALBEDO = 0.7;
/** What a skin takes from the bed under it, by air and radiation, W/m2K. Source: ISO 6946, still air. */
const INSIDE_H = 8;
/** Wind that the losses of the catalogue are said for, m/s. */
const CATALOGUE_WIND = 4;
/** Colder than this on the ground fresh snow stays white, C. */
const THAWS_C = 2;

/**
 * What air and surroundings take from the outside of a cover, W/m2K: 2.8 + 3 V by air (Watmuff, Charters and Proctor, 1977; Duffie and
 * Beckman, eq. 3.15.3), and 4.4 as radiation at about freezing.
 */
const outsideH = (windMPerS: number): number => 7.2 + 3 * windMPerS;

/** Leaks by wind: the catalogue's in light air of 2 m/s, half of it in none, within the range that is said of the cover. */
function leaksIn({ leaksPerHour, leaksRange: [low, high] }: BedModel, windMPerS: number): number {
  const by = leaksPerHour * (0.5 + 0.25 * windMPerS);
  return Math.max(Math.min(low, leaksPerHour), Math.min(Math.max(high, leaksPerHour), by));
}

/** Which bed stands in the weather on a date: a frame changes its coat through the year. */
export type Worn = (date: string) => BedModel;

/** What of a bed's faces is the same every hour. */
function skinOf(model: BedModel) {
  const skinM2 = model.faces.reduce((sum, f) => sum + f.m2, 0);
  const closedM2 = skinM2 + model.wallsWPerK / 3;
  const passes = model.faces.reduce((sum, f) => sum + f.m2 * f.light, 0) / Math.max(1e-9, closedM2);
  return {
    model,
    skinM2,
    passes,
    seen: skySeen(model.horizon),
    bears: model.bare ? undefined : bearingOf(model.faces, model.wallsWPerK),
    skyOf: model.faces.map((f) => (1 + f.up) / 2),
    groundOf: model.faces.map((f) => (1 - f.up) / 2),
  };
}

/** Part of the light that has come in and stays: what misses the floor leaves again by as much as the faces let through. */
const kept = (onFloor: number, passes: number): number => TAKEN_IN * (onFloor + (1 - onFloor) * (1 - passes));

/**
 * Sun that comes through all faces of a cover and stays inside as warmth, W: on each face beam and diffuse light parted by Erbs, an
 * even sky, light thrown up by the ground.
 * @param levelWPerM2 light on level ground in the open
 * @param grown whether a grown crop catches light beside the floor
 */
function sunInside(
  { model, skinM2, passes, seen, skyOf, groundOf }: ReturnType<typeof skinOf>,
  sun: Sun,
  levelWPerM2: number,
  ms: number,
  albedo: number,
  grown = false,
): number {
  const diffuse = levelWPerM2 * diffusePart(levelWPerM2, ms, sun.up);
  const beam =
    ((levelWPerM2 - diffuse) / Math.max(0.05, sun.up)) * beamOver(model.horizon, sun.azimuthDeg, sun.altitudeDeg);
  let [beamIn, square, diffuseIn] = [0, 0, 0];
  for (let k = 0; k < model.faces.length; k++) {
    const f = model.faces[k];
    if (!f) continue;
    const cos = f.east * sun.east + f.north * sun.north + f.up * sun.up;
    if (cos > 0) {
      beamIn += f.m2 * cos * f.light * aslant(cos);
      square += f.m2 * cos;
    }
    diffuseIn += f.m2 * f.light * ((skyOf[k] ?? 0) * seen * diffuse + (groundOf[k] ?? 0) * albedo * levelWPerM2);
  }
  const crop = grown ? model.canopy : [];
  const catches = crop.reduce(
    (m2, c) => m2 + c.m2 * Math.abs(c.east * sun.east + c.north * sun.north),
    model.floorM2 * sun.up,
  );
  const caught = square > 0 ? Math.min(1, catches / square) : 1;
  const round = model.floorM2 + crop.reduce((m2, c) => m2 + c.m2, 0);
  return (
    beam * beamIn * kept(caught, passes) +
    diffuseIn * ASLANT_DIFFUSE * kept(Math.min(1, round / Math.max(1e-9, skinM2)), passes)
  );
}

/** Sun over a covered bed at one instant. */
export interface SunInside {
  readonly sun: Sun;
  /** On level ground in the open, W/m2. */
  readonly levelWPerM2: number;
  /** Caught by the floor and a grown crop, W. */
  readonly caughtW: number;
}

/** Clear sun over snowless ground that a covered bed catches, its crop grown, with the shade of what stands on the plot. */
export function clearSunInside(
  model: BedModel,
  ms: number,
  { latitudeDeg, longitudeDeg, elevationM }: WeatherPlace,
): SunInside {
  const sun = sunAt(ms, latitudeDeg, longitudeDeg);
  const levelWPerM2 = clearSkyWPerM2(sun.altitudeDeg, elevationM);
  const caughtW = sun.up > 0.01 ? sunInside(skinOf(model), sun, levelWPerM2, ms, GRASS_ALBEDO, true) : 0;
  return { sun, levelWPerM2, caughtW };
}

/**
 * Works out what weather brings to a bed.
 * @param worn the bed, or which it is on each date
 */
export function driveOf(
  worn: BedModel | Worn,
  weather: Weather,
  place: ClimatePlace,
  tending: Operation,
  taught: Calibration = UNCALIBRATED,
  daily?: ReadonlyMap<string, Operation>,
): Drive {
  const hours = hoursOf(weather);
  const list = (): Float64Array => new Float64Array(hours);
  const d = {
    hours,
    startMs: weather.startMs,
    airC: Float64Array.from(weather.airC),
    vapour: list(),
    sunW: list(),
    lossWPerK: list(),
    skyW: list(),
    skinDropC: list(),
    returned: list(),
    leak: list(),
    windMPerS: list(),
    opened: list(),
    lightsW: list(),
    snowMm: Float64Array.from(weather.snowMm),
    bears: Array.from<Bearing | undefined>({ length: hours }),
  };
  const onDate = typeof worn === 'function' ? worn : () => worn;
  let whiteMm = 0;
  let today = NaN;
  let tended = tending;
  let skin: ReturnType<typeof skinOf> | undefined;
  for (let i = 0; i < hours; i++) {
    const ms = weather.startMs + i * MS_PER_HOUR;
    const air = weather.airC[i] ?? 0;
    const dew = weather.dewC[i] ?? air;
    const cloud = weather.cloud[i] ?? 0.5;
    const wind = (weather.windMPerS[i] ?? 2) * AT_BED[place.exposure];
    const day = dayAt(ms, place.utcHours);
    const hour = hourAt(ms, place.utcHours);
    if (day !== today || !skin) {
      today = day;
      const date = isoDay(day);
      tended = daily?.get(date) ?? tending;
      const model = onDate(date);
      if (skin?.model !== model) skin = skinOf(model);
    }
    const { model, skinM2, bears, passes, seen, skyOf } = skin;
    d.windMPerS[i] = wind;
    d.bears[i] = bears;
    d.vapour[i] = saturatedKgPerM3(Math.min(dew, air));
    whiteMm = Math.max(0, whiteMm + (weather.snowMm[i] ?? 0) - (air > THAWS_C ? air - THAWS_C : 0.05));
    const albedo = whiteMm > 20 ? SNOW_ALBEDO : GRASS_ALBEDO;

    const covered = model.blanketM2KPerW > 0 && withinHours(tended.blanket, hour + 0.5);
    const level = covered ? 0 : (weather.sunWPerM2[i] ?? 0);
    const sun = level > 0 ? sunAt(ms + MS_PER_HOUR / 2, place.latitudeDeg, place.longitudeDeg) : undefined;
    if (sun && sun.up > 0.01) {
      d.sunW[i] = taught.gain * sunInside(skin, sun, level, ms, albedo);
    } else if (level > 0) d.sunW[i] = taught.gain * level * model.floorM2 * passes * 0.5;

    const h = outsideH(wind);
    const more = 1 / h - 1 / outsideH(CATALOGUE_WIND) + (covered ? model.blanketM2KPerW : 0);
    const drop = (EMISSIVITY * seen * skyLossWPerM2(air, dew, cloud)) / h;
    let [loss, sky, through] = [model.wallsWPerK, 0, 0];
    for (let k = 0; k < model.faces.length; k++) {
      const f = model.faces[k];
      if (!f) continue;
      const u = 1 / Math.max(0.02, 1 / f.uWPerM2K + more);
      // Of what goes through cloth most is air through its pores, which the sky does not cool.
      const bySkin = Math.min(u, 1 / (1 / INSIDE_H + 1 / h));
      loss += u * f.m2;
      sky += bySkin * f.m2 * (skyOf[k] ?? 0) * drop;
      through += bySkin * f.m2;
    }
    d.lossWPerK[i] = taught.loss * loss;
    d.skyW[i] = taught.loss * sky;
    d.skinDropC[i] = skinM2 > 0 ? sky / Math.max(1e-9, through) : 0;
    d.returned[i] = skinM2 > 0 ? Math.min(0.9, through / skinM2 / h) : 0;
    d.leak[i] = (taught.loss * leaksIn(model, wind) * model.volumeM3) / 3600;
    d.opened[i] = tended.open && comes(tended, day) && withinHours(tended.open, hour + 0.5) ? 1 : 0;
    d.lightsW[i] = model.lightsW > 0 && withinHours(tended.lights, hour + 0.5) ? model.lightsW : 0;
  }
  // Who decides day by day has looked at the day.
  if (!daily) onlyWarmDays(d.opened, d.airC, weather, place.utcHours, tending.fromC);
  return d;
}

/** A hand opens only on days that get warm enough outside, and sunny enough to be worth it. */
function onlyWarmDays(
  opened: Float64Array,
  air: Float64Array,
  weather: Weather,
  utcHours: number,
  fromC: number,
): void {
  const dayOf = (i: number): number => dayAt(weather.startMs + i * MS_PER_HOUR, utcHours);
  for (let i = 0; i < opened.length;) {
    let end = i;
    let warmest = -Infinity;
    for (; end < opened.length && dayOf(end) === dayOf(i); end++) warmest = Math.max(warmest, air[end] ?? -Infinity);
    if (warmest < fromC) opened.fill(0, i, end);
    i = end;
  }
}
