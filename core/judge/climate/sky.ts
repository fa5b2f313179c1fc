/** Sun and sky over a bed, hour by hour. Angles in degrees, heat in W/m2, temperatures in C. */

const RAD = Math.PI / 180;
/** Sun outside the air, W/m2. Source: WMO; ISO 9060. */
const SOLAR_CONSTANT = 1361;
const STEFAN_BOLTZMANN = 5.670374e-8;

/** Where the sun stands: unit direction east, north, up. */
export interface Sun {
  readonly east: number;
  readonly north: number;
  readonly up: number;
  readonly azimuthDeg: number;
  readonly altitudeDeg: number;
}

/** Days from 1 January 2000, noon, to an instant. */
const since2000 = (ms: number): number => ms / 86_400_000 - 10_957.5;

/**
 * Where the sun stands at an instant, without refraction, to a hundredth of a degree.
 * Source: The Astronomical Almanac, low-precision formulas for the sun, and its mean sidereal time.
 * @example sunAt(Date.parse('2027-03-01T16:57:00Z'), 44.1, -72.6).altitudeDeg // 38.4
 */
export function sunAt(ms: number, latitudeDeg: number, longitudeDeg: number): Sun {
  const n = since2000(ms);
  const g = (357.528 + 0.9856003 * n) * RAD;
  const lambda = (280.46 + 0.9856474 * n + 1.915 * Math.sin(g) + 0.02 * Math.sin(2 * g)) * RAD;
  const tilt = (23.439 - 4e-7 * n) * RAD;
  const sinDec = Math.sin(tilt) * Math.sin(lambda);
  const cosDec = Math.sqrt(1 - sinDec * sinDec);
  const ascension = Math.atan2(Math.cos(tilt) * Math.sin(lambda), Math.cos(lambda));
  const sidereal = (18.697374558 + 24.06570982441908 * n) * 15 * RAD;
  const hourAngle = sidereal + longitudeDeg * RAD - ascension;
  const phi = latitudeDeg * RAD;
  const [sinPhi, cosPhi] = [Math.sin(phi), Math.cos(phi)];
  const up = sinPhi * sinDec + cosPhi * cosDec * Math.cos(hourAngle);
  const east = -cosDec * Math.sin(hourAngle);
  const north = cosPhi * sinDec - sinPhi * cosDec * Math.cos(hourAngle);
  return {
    east,
    north,
    up,
    azimuthDeg: (Math.atan2(east, north) / RAD + 360) % 360,
    altitudeDeg: Math.asin(Math.max(-1, Math.min(1, up))) / RAD,
  };
}

/** Sun outside the air on a plane square to it: nearer in January. Source: J. W. Spencer, Search 2 (1971) 172, first term. */
const outsideAirWPerM2 = (ms: number): number =>
  SOLAR_CONSTANT * (1 + 0.033 * Math.cos((2 * Math.PI * (ms / 86_400_000 - 0.5)) / 365.2422));

/**
 * Sun on level ground under a clear sky, W/m2.
 * Beam 1353 ((1 - 0.14 h) 0.7^(AM^0.678) + 0.14 h) at h km above the sea (A. B. and M. P. Meinel, Applied Solar Energy, 1976),
 * air mass after Kasten and Young (1989), a tenth more from the sky.
 * @example clearSkyWPerM2(90, 0) // 1042
 */
export function clearSkyWPerM2(altitudeDeg: number, elevationM: number): number {
  if (altitudeDeg <= 0) return 0;
  const sin = Math.sin(altitudeDeg * RAD);
  const airMass = 1 / (sin + 0.50572 * (altitudeDeg + 6.07995) ** -1.6364);
  const thin = (0.14 * Math.min(3000, Math.max(0, elevationM))) / 1000;
  return 1.1 * 1353 * ((1 - thin) * 0.7 ** (airMass ** 0.678) + thin) * sin;
}

/** The same at a moment, ms since 1970, and a place; 0 while the sun is down. */
export const clearSunAt = (
  ms: number,
  at: { readonly latitudeDeg: number; readonly longitudeDeg: number; readonly elevationM: number },
): number => clearSkyWPerM2(sunAt(ms, at.latitudeDeg, at.longitudeDeg).altitudeDeg, at.elevationM);

/** What of the sun comes through cloud of so many tenths, as a part. Source: Kasten and Czeplak, Solar Energy 24 (1980) 177. */
export const throughCloud = (cloud: number): number => 1 - 0.75 * cloud ** 3.4;
/** How much cloud lets such a part through: the same turned round. */
export const cloudOf = (part: number): number => Math.max(0, Math.min(1, (1 - part) / 0.75)) ** (1 / 3.4);

/**
 * The part of the light on level ground that comes from the whole sky instead of from the sun.
 * Source: Erbs, Klein and Duffie, Solar Energy 28 (1982) 293.
 * @param levelWPerM2 light on level ground
 */
export function diffusePart(levelWPerM2: number, ms: number, sinAltitude: number): number {
  const k = levelWPerM2 / Math.max(1, outsideAirWPerM2(ms) * sinAltitude);
  if (k <= 0.22) return 1 - 0.09 * k;
  if (k > 0.8) return 0.165;
  return 0.9511 - 0.1604 * k + 4.388 * k ** 2 - 16.638 * k ** 3 + 12.336 * k ** 4;
}

/** Vapour that air can hold, kg/m3. Source: Magnus formula (WMO-No. 8, annex 4.B) and the gas law. */
export function saturatedKgPerM3(c: number): number {
  const pascal = 611.2 * Math.exp((17.62 * c) / (243.12 + c));
  return pascal / (461.5 * (c + 273.15));
}

/** How steeply that grows, as a part of it for each degree: the same formula, differentiated. */
export const saturationSlope = (c: number): number => (17.62 * 243.12) / (243.12 + c) ** 2 - 1 / (c + 273.15);

/**
 * Heat that level ground loses to a sky colder than the air, W/m2.
 * Clear sky: emissivity 0.711 + 0.56 (td/100) + 0.73 (td/100)^2 (Berdahl and Martin, Solar Energy 32 (1984) 663); cloud closes 0.84
 * of what is left of it (Unsworth and Monteith, 1975).
 * @param dewC dew point of the air
 */
export function skyLossWPerM2(airC: number, dewC: number, cloud: number): number {
  const t = dewC / 100;
  const clear = 0.711 + 0.56 * t + 0.73 * t * t;
  const emissivity = clear + (1 - clear) * 0.84 * cloud;
  return STEFAN_BOLTZMANN * (airC + 273.15) ** 4 * (1 - emissivity);
}

/**
 * How much less light comes through a cover aslant than straight on.
 * 1 - 0.1 (1/cos - 1) up to 60 degrees, then straight down with the cosine (Souka and Safwat; Duffie and Beckman, Solar Engineering
 * of Thermal Processes, eq. 6.17.10).
 */
export const aslant = (cos: number): number => (cos <= 0 ? 0 : cos >= 0.5 ? 1 - 0.1 * (1 / cos - 1) : 1.8 * cos);
/** The same for light from everywhere: as at 60 degrees (Duffie and Beckman, sec. 5.4). */
export const ASLANT_DIFFUSE = 0.9;
