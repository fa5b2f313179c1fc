/** Made-up weather with the manners of the real: fronts, snow, gusts, clear cold nights; and a forecast that can be wrong. */
import { clearSkyWPerM2, sunAt, throughCloud } from '../climate/sky';
import { MS_PER_DAY, MS_PER_HOUR } from '../../base/days';
import { bell, seedOf, swell } from '../../base/noise';
import { normalsOf, usualC } from './normals';
import { SNOWS_BELOW_C, SNOW_PER_WATER, type Weather, type WeatherPlace } from './weather';

const MARK = 'Simulated weather';

/** What is drawn from chance, each by itself. */
const CHANNEL = {
  front: 0,
  ripple: 1,
  cloud: 2,
  patch: 3,
  wind: 4,
  gust: 5,
  wet: 6,
  miss: 7,
  missCloud: 8,
  missWind: 9,
};

/** Between fronts and between clouds, hours. */
const FRONT_HOURS = 84;
const CLOUD_HOURS = 22;
const PATCH_HOURS = 5;
/** How far fronts carry the temperature off, C: more in winter. */
const FRONT_C = { winter: 5.6, summer: 2.8 };

/** The seed of a place: near places have the same weather. */
export const placeSeed = ({ latitudeDeg, longitudeDeg }: WeatherPlace, seed = ''): number =>
  seedOf(`${latitudeDeg.toFixed(1)} ${longitudeDeg.toFixed(1)} ${seed}`);

interface Hour {
  readonly airC: number;
  readonly dewC: number;
  readonly cloud: number;
  readonly sun: number;
  readonly wind: number;
  readonly gust: number;
  readonly water: number;
}

/** How wrong a forecast is by an hour so far ahead, in parts of the spread of fronts: a tenth next hour, most of it after a week. */
const missBy = (leadHours: number): number => Math.min(0.85, 0.08 + 0.0055 * leadHours);

function hourOf(
  seed: number,
  place: WeatherPlace,
  ms: number,
  miss: { readonly by: number; readonly seed: number },
): Hour {
  const h = Math.floor(ms / MS_PER_HOUR);
  const off = (channel: number, apart: number): number =>
    miss.by > 0 ? miss.by * swell(miss.seed, channel, h / apart) : 0;
  const n = normalsOf(place);
  const year = new Date(ms).getUTCFullYear();
  const day = (ms - Date.UTC(year, 0, 1)) / MS_PER_DAY + 1;
  // 1 in the middle of winter, 0 in the middle of summer.
  const winter = 0.5 + 0.5 * Math.cos((2 * Math.PI * (day - n.coldestDay)) / 365.2422);
  const front = swell(seed, CHANNEL.front, h / FRONT_HOURS) + off(CHANNEL.miss, 30);
  const cover =
    0.5 * swell(seed, CHANNEL.cloud, h / CLOUD_HOURS) +
    0.25 * swell(seed, CHANNEL.patch, h / PATCH_HOURS) +
    // Mild air brings cloud in winter and sun in summer.
    0.3 * front * (2 * winter - 1) +
    0.5 * off(CHANNEL.missCloud, 12);
  const cloud = Math.max(0, Math.min(1, 0.5 + cover));
  // Local solar time: the warmest hour is three after noon.
  const solarHour = (ms / MS_PER_HOUR + place.longitudeDeg / 15) % 24;
  const bySun = (6.5 - 1.5 * winter) * (1 - 0.75 * cloud);
  // In winter a clear sky is cold, in summer it is warm.
  const byCloud = (0.5 - cloud) * (4 - 10 * winter);
  const wobble = 0.6 * swell(seed, CHANNEL.ripple, h / 4);
  const size = FRONT_C.summer + (FRONT_C.winter - FRONT_C.summer) * winter;
  const mean = usualC(n, day) + size * front + byCloud;
  const airC = mean + bySun * Math.cos((2 * Math.PI * (solarHour - 15)) / 24) + wobble;
  const dewC = Math.min(airC, mean - 1 - 5 * (1 - cloud));
  const { altitudeDeg } = sunAt(ms + MS_PER_HOUR / 2, place.latitudeDeg, place.longitudeDeg);
  const sun = clearSkyWPerM2(altitudeDeg, place.elevationM) * throughCloud(cloud);
  // Fronts that pass bring wind: it goes with how steep they are.
  const steep = Math.abs(
    swell(seed, CHANNEL.front, (h + 6) / FRONT_HOURS) - swell(seed, CHANNEL.front, (h - 6) / FRONT_HOURS),
  );
  const breeze = 0.35 * (1 + Math.cos((2 * Math.PI * (solarHour - 14)) / 24));
  const wind = Math.max(
    0.3,
    1.2 + breeze + 14 * steep + 1.1 * swell(seed, CHANNEL.wind, h / 9) + 1.5 * off(CHANNEL.missWind, 10),
  );
  const gust = wind * (1.5 + 0.25 * Math.abs(bell(seed, CHANNEL.gust, h)));
  const wet = swell(seed, CHANNEL.wet, h / 11) + 0.6 * off(CHANNEL.missCloud, 12);
  const water = cloud > 0.72 && wet > 0.25 ? (cloud - 0.72) * (wet - 0.25) * 5 : 0;
  return { airC, dewC, cloud, sun, wind, gust, water };
}

function series(
  place: WeatherPlace,
  seed: string,
  startMs: number,
  hours: number,
  source: string,
  issuedMs?: number,
): Weather {
  const own = placeSeed(place, seed);
  const first = Math.floor(startMs / MS_PER_HOUR) * MS_PER_HOUR;
  const all = Array.from({ length: hours }, (_, i) => {
    const ms = first + i * MS_PER_HOUR;
    // Each issue is wrong in its own way.
    const missSeed = issuedMs === undefined ? 0 : own ^ Math.floor(issuedMs / MS_PER_HOUR);
    const by = issuedMs === undefined ? 0 : missBy((ms - issuedMs) / MS_PER_HOUR);
    return hourOf(own, place, ms, { by, seed: missSeed });
  });
  const snows = (x: Hour): boolean => x.airC < SNOWS_BELOW_C;
  return {
    source,
    simulated: true,
    startMs: first,
    airC: all.map((x) => x.airC),
    dewC: all.map((x) => x.dewC),
    sunWPerM2: all.map((x) => x.sun),
    cloud: all.map((x) => x.cloud),
    windMPerS: all.map((x) => x.wind),
    gustMPerS: all.map((x) => x.gust),
    rainMm: all.map((x) => (snows(x) ? 0 : x.water)),
    snowMm: all.map((x) => (snows(x) ? x.water * SNOW_PER_WATER : 0)),
  };
}

/**
 * Weather of a place as it comes in the made-up world of a seed: the same whenever it is asked, from whatever hour on.
 * @param startMs first hour, ms since 1970; @param hours how many
 * @example simulatedWeather({ latitudeDeg: 44.1, longitudeDeg: -72.6, elevationM: 380 }, '', 0, 24).airC.length // 24
 */
export const simulatedWeather = (place: WeatherPlace, seed: string, startMs: number, hours: number): Weather =>
  series(place, seed, startMs, hours, MARK);

/**
 * What a forecast issued at an instant says of the hours after it: the same world, more wrong the farther ahead.
 * @param issuedMs when it was issued, ms since 1970
 */
export const simulatedForecast = (place: WeatherPlace, seed: string, issuedMs: number, hours: number): Weather =>
  series(place, seed, issuedMs, hours, `${MARK}, forecast`, Math.floor(issuedMs / MS_PER_HOUR) * MS_PER_HOUR);
